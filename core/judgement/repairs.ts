import { kinds } from '../catalog/gear/kinds';
import { catalogue } from '../needs/catalogue';
import type { NeedId } from '../vocabulary/needs';
import { applyRepair } from '../editing/edit';
import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { type References, byItself } from '../documents/references';
import { outOfService } from '../needs/match';
import { LOAD_MIND } from '../boat/load';
import { worthOf } from '../needs/need';
import { workingsRepairs } from './repairsWorkings';
import { tackleKindIds } from '../tackle/tackleBudget';
import { minutesTo } from '../documents/hours';
import { addDays, clockAt, minutesOf, shiftClock } from '../units/time';
import type { Facts, FindingCode, Found } from './finding';
import type { Repair } from '../editing/repair';
import type { Judging } from './context';

/** Repairs offered for one finding at the most, and candidates judged to find them. */
const MOST_OFFERED = 3;
const MOST_JUDGED = 12;
const MOST_ADDED = 6;
const MOST_TRIED = 3;

/** A boat laden too much already: so much more, kg, does not keep a missing thing from being offered. */
const slackKg: Partial<Record<FindingCode, number>> = { overload: 2, 'stern-load': 2 };

/** The judgement of a repaired outing: all of it, or whether it says anything of a kind. */
export interface JudgeAgain {
  all: (outing: Outing) => Found[];
  any: (outing: Outing, asked: (one: Found) => boolean) => boolean;
}

/**
 * Repairs that settle a finding, cheapest sound one first. Each is carried out on a copy and judged:
 * offered only when the finding is gone and no other Stop or Mind has come or grown.
 */
export function repairsFor(
  one: Found,
  j: Judging,
  references: References,
  before: readonly Found[],
  judge: JudgeAgain,
): Repair[] {
  const offered: Repair[] = [];
  if (one.facts.code === 'need-unmet') {
    // Where the lightest opens another hole, the next lightest is tried.
    for (let skip = 0; skip < MOST_TRIED && offered.length === 0; skip += 1) {
      const added = addingItems(one.facts, one, j, references, before, judge, skip);
      if (added === 'none') break;
      if (added) offered.push(added);
    }
  }
  let judged = 0;
  for (const repair of candidates(one, j)) {
    if (offered.length >= MOST_OFFERED || judged >= MOST_JUDGED) break;
    judged += 1;
    if (settles(one, repair, j, before, judge)) offered.push(repair);
  }
  return offered;
}

function settles(one: Found, repair: Repair, j: Judging, before: readonly Found[], judge: JudgeAgain): boolean {
  return !judge.any(applyRepair(j.outing, repair, j.now), (next) => {
    if (next.level === 'note') return false;
    if (next.key === one.key) return true;
    const was = before.find((earlier) => earlier.key === next.key);
    if (!was || was.level === 'note' || (next.level === 'stop' && was.level !== 'stop')) return true;
    return next.extent > was.extent + (slackKg[next.facts.code] ?? 1e-9);
  });
}

type Added = Extract<Repair, { do: 'add-items' }>['items'][number];

/**
 * The lightest sound items of the locker that meet the need, added one to another until it is met; where they raise
 * a need of their own (a rod wants its leash), that is met too. null: the locker cannot.
 */
function addingItems(
  facts: Extract<Facts, { code: 'need-unmet' }>,
  one: Found,
  j: Judging,
  references: References,
  before: readonly Found[],
  judge: JudgeAgain,
  skip: number,
): Repair | 'none' | null {
  const known = new Set(before.map((earlier) => earlier.key));
  let chosen: readonly Added[] = [];
  let open = [facts];
  for (let round = 0; round < 3 && open.length > 0; round += 1) {
    for (const need of open) {
      const added = lightest(need, j, references.items, chosen, need === facts ? skip : 0);
      if (!added) return need === facts ? 'none' : null;
      chosen = [...chosen.filter((item) => !added.some((more) => more.itemId === item.itemId)), ...added];
    }
    const repair: Repair = { do: 'add-items', items: chosen };
    if (chosen.length > MOST_ADDED) return null;
    if (settles(one, repair, j, before, judge)) return repair;
    open = judge
      .all(applyRepair(j.outing, repair, j.now))
      .flatMap((next) =>
        next.facts.code === 'need-unmet' && next.level !== 'note' && !known.has(next.key) ? [next.facts] : [],
      );
  }
  return null;
}

function lightest(
  facts: Extract<Facts, { code: 'need-unmet' }>,
  j: Judging,
  items: readonly Item[],
  already: readonly Added[],
  skip: number,
): Added[] | null {
  const { distinctKinds } = catalogue[facts.needId];
  const chosen: Added[] = [];
  let missing = facts.want - facts.have;
  for (const { item, carried } of serviceable(facts.needId, j, items).slice(skip)) {
    if (missing <= 1e-9) break;
    const each = worthOf(catalogue[facts.needId], item);
    const before = already.find((one) => one.itemId === item.id)?.quantity ?? carried;
    const free = item.quantity - before;
    if (each <= 0 || free < 1 || chosen.some((other) => sharesMeans(other.itemId, item, facts.needId, items))) continue;
    const more = distinctKinds ? 1 : Math.min(free, Math.max(1, Math.ceil(missing / each - 1e-9)));
    chosen.push({ itemId: item.id, quantity: before + more, name: item.name, massKg: item.massKg * more });
    missing -= more * each;
  }
  return missing > 1e-9 ? null : chosen;
}

function sharesMeans(otherId: string, item: Item, need: NeedId, items: readonly Item[]): boolean {
  const other = items.find((one) => one.id === otherId);
  return catalogue[need].distinctKinds === true && other?.kind === item.kind;
}

const byNeed = new WeakMap<readonly Item[], Map<NeedId, readonly Item[]>>();
/** The locker's items whose kind can meet a need; worked out once for a list. */
function meansAmong(items: readonly Item[], needId: NeedId): readonly Item[] {
  const known = byNeed.get(items) ?? new Map<NeedId, readonly Item[]>();
  byNeed.set(items, known);
  const list = known.get(needId) ?? items.filter((item) => kinds[item.kind].means.includes(needId));
  known.set(needId, list);
  return list;
}

/** Owned items that would count, not yet all aboard, lightest first. */
export function serviceable(needId: NeedId, j: Judging, items: readonly Item[]): { item: Item; carried: number }[] {
  const carriedOf = new Map(j.looked.aboard.map(({ item, entry }) => [item.id, entry.quantity]));
  const aboardKinds = new Set(j.looked.aboard.map(({ item }) => item.kind));
  const { lacks, distinctKinds, amount } = catalogue[needId];
  return meansAmong(items, needId)
    .map((item) => ({ item, carried: carriedOf.get(item.id) ?? 0 }))
    .filter(({ item, carried }) => {
      if (carried >= item.quantity) return false;
      const aboard = byItself(item);
      const c = { e: j.e, brief: j.outing.brief, looked: j.looked, firstPaddleId: null };
      if (outOfService(aboard, j.lastDay, j.taken) !== null || (lacks?.(aboard, c) ?? null) !== null) return false;
      return !(distinctKinds && !amount && aboardKinds.has(item.kind) && carried > 0);
    })
    .sort((a, b) => a.item.massKg - b.item.massKg || a.item.id.localeCompare(b.item.id));
}

function candidates(one: Found, j: Judging): Repair[] {
  const { facts } = one;
  const { brief } = j.outing;
  switch (facts.code) {
    case 'need-unmet':
      return needCandidates(facts, j);
    case 'hours-reversed':
      return [{ do: 'set-hours', launchAt: brief.launchAt, homeAt: shiftClock(brief.launchAt, 240) }];
    case 'hours-gone':
      return [j.today, addDays(j.today, 1)]
        .filter((date) => date > brief.date)
        .map((date) => ({ do: 'set-date', date }));
    case 'wind-over-limit':
    case 'gust-over-limit':
    case 'thunder':
    case 'surf-over-limit':
    case 'fog':
    case 'wind-against-stream':
    case 'bar-low':
      return otherHours(j);
    case 'home-late':
    case 'home-after-dark':
      return [...earlierTurn(j), ...otherHours(j), ...otherPlaces(j)];
    case 'cannot-hold':
    case 'turn-passed':
    case 'second-too-slow':
      return [...otherPlaces(j), ...otherHours(j)];
    case 'anchor-shut':
    case 'anchor-scope':
    case 'anchor-drags':
    case 'anchor-no-release':
    case 'pole-no-hold':
    case 'rig-weak':
    case 'rig-over-rod':
    case 'rig-knot':
    case 'rig-spool':
    case 'rig-window':
    case 'rig-guides':
    case 'rig-bites':
    case 'jig-light':
    case 'battery-short':
      return workingsRepairs(facts, j, () => otherHours(j));
    case 'conditions-stale':
      return [{ do: 'looked-again' }];
    case 'keep-over-rule':
      return [{ do: 'set-keep', keep: facts.most }];
    case 'gaff-aboard':
    case 'automatic-jacket':
      return removing(j, (kind) => kind === (facts.code === 'gaff-aboard' ? 'gaff' : 'inflatable-jacket'));
    case 'rods-over-rule':
      return rodsAshore(j, facts.rods - facts.most);
    case 'spread-wide':
      // One rod across the bow: the others stay ashore.
      return [...fewerRods(j, j.e.rods - 1), ...rodsAshore(j, j.e.rods - 1)];
    case 'tackle-over':
      return removing(j, (kind) => tackleKindIds.has(kind));
    case 'baits-react':
      return [{ do: 'separate-item', itemId: facts.itemId, name: facts.item }];
    case 'overload':
      // Only what is heavy enough to settle it is tried.
      return [
        ...removing(
          j,
          (kind) => kinds[kind].means.length === 0,
          (kg) => facts.massKg - kg <= facts.ratedKg * LOAD_MIND,
        ),
        ...fewerFish(brief.keep),
      ];
    case 'stern-load':
      return [
        ...facts.heaviest.map(({ id, name }): Repair => ({ do: 'remove-item', itemId: id, name })),
        ...fewerFish(brief.keep),
      ];
    case 'out-of-date-aboard':
      return removing(j, () => true).filter(
        (repair) => repair.do === 'remove-item' && facts.items.some((item) => item.name === repair.name),
      );
    default:
      return [];
  }
}

function fewerFish(keep: number): Repair[] {
  return keep > 0 ? [{ do: 'set-keep', keep: keep - 1 }] : [];
}

/** So many rods fewer of one line that has more. */
function fewerRods(j: Judging, many: number): Repair[] {
  return j.looked.aboard
    .filter(({ item, entry }) => kinds[item.kind].means.includes('rods') && entry.quantity > many)
    .map(({ item, entry }) => ({ do: 'fewer', itemId: item.id, quantity: entry.quantity - many, name: item.name }));
}

/** Leaving so many rods ashore, where one line of the loadout does it. */
function rodsAshore(j: Judging, many: number): Repair[] {
  const enough = new Set(j.looked.aboard.filter(({ entry }) => entry.quantity >= many).map(({ item }) => item.id));
  return removing(j, (kind) => kinds[kind].means.includes('rods'))
    .filter((repair) => repair.do === 'remove-item' && enough.has(repair.itemId))
    .slice(0, MOST_OFFERED);
}

/** Taking off one item of a kind, the heaviest first. */
function removing(
  j: Judging,
  which: (kind: Item['kind']) => boolean,
  heavy: (kg: number) => boolean = () => true,
): Repair[] {
  return j.looked.aboard
    .filter(({ item, entry }) => which(item.kind) && heavy(item.massKg * entry.quantity))
    .sort((a, b) => b.item.massKg * b.entry.quantity - a.item.massKg * a.entry.quantity)
    .map(({ item }) => ({ do: 'remove-item', itemId: item.id, name: item.name }));
}

function needCandidates(facts: Extract<Facts, { code: 'need-unmet' }>, j: Judging): Repair[] {
  const { brief } = j.outing;
  const list: Repair[] = facts.notCounted.flatMap((means): Repair[] =>
    means.by === 'item' && means.shortfall?.code === 'same-container'
      ? [{ do: 'separate-item', itemId: means.itemId, name: means.name }]
      : [],
  );
  if (facts.needId === 'float-plan') {
    const { contact } = j.looked.angler ?? {};
    if (contact && contact.name !== '') list.push({ do: 'set-contact', ...contact });
    list.push({ do: 'set-alarm', alarmAt: shiftClock(brief.homeAt, 60) });
  }
  if (facts.needId === 'be-seen-night') list.push(...outOfTheDark(j));
  if (facts.needId === 'rod-retention') list.push(...rodsAshore(j, facts.want - facts.have));
  return list;
}

/** Launching after sunrise, or being in before sunset. */
function outOfTheDark(j: Judging): Repair[] {
  const { launchAt, homeAt } = j.outing.brief;
  const [first] = j.e.darkSpans;
  const last = j.e.darkSpans[j.e.darkSpans.length - 1];
  const list: Repair[] = [];
  if (first?.from === launchAt) list.push({ do: 'set-hours', launchAt: shiftClock(first.to, 1), homeAt });
  if (last?.to === homeAt && last.from !== launchAt)
    list.push({ do: 'set-hours', launchAt, homeAt: shiftClock(last.from, -1) });
  return list.filter((one) => one.do !== 'set-hours' || minutesTo(one.launchAt, one.homeAt) > 0);
}

function earlierTurn({ e: { plan }, looked }: Judging): Repair[] {
  if (plan?.latestTurn == null || !looked.water) return [];
  return [{ do: 'set-turn', turnAt: clockAt(plan.latestTurn, looked.water.timeZone) }];
}

/** Another landing, a nearer place to fish, a straight way: whatever makes the way shorter. */
function otherPlaces({ looked, outing: { brief } }: Judging): Repair[] {
  const { water, area, landing } = looked;
  if (!water || !area || !landing) return [];
  const bent = brief.route.out.length + brief.route.home.length > 0;
  return [
    ...(bent ? [{ do: 'straight-route' as const }] : []),
    ...water.launches
      .filter((one) => one.id !== landing.id)
      .map(({ id, name }) => ({ do: 'set-landing' as const, landingId: id, name })),
    ...water.areas
      .filter((one) => one.id !== area.id && one.distanceM < area.distanceM)
      .map(({ id, name, distanceM }) => ({ do: 'set-area' as const, areaId: id, name, distanceM })),
  ];
}

/** The same hours moved, or the outing cut short, soonest in first; at least two hours afloat, and the launch on its day. */
function otherHours(j: Judging): Repair[] {
  const { launchAt, homeAt } = j.outing.brief;
  const lasts = minutesTo(launchAt, homeAt);
  const launch = minutesOf(launchAt);
  const moved = [-30, -60, -90, -120, -150, -180, 60, 120, 180]
    .filter((by) => launch + by >= 0 && launch + by < DAY_MIN && lasts >= LEAST_AFLOAT_MIN)
    .map((by) => ({ launchAt: shiftClock(launchAt, by), homeAt: shiftClock(homeAt, by) }));
  const shorter = [60, 120, 180, 240]
    .filter((by) => lasts - by >= LEAST_AFLOAT_MIN)
    .map((by) => ({ launchAt, homeAt: shiftClock(homeAt, -by) }));
  return [...shorter, ...moved].map((hours) => ({ do: 'set-hours', ...hours }));
}
const LEAST_AFLOAT_MIN = 120;
const DAY_MIN = 24 * 60;
