import { type Context, asSpare, contextOf } from '../judgement/context';
import { partialMeans } from '../judgement/candidates';
import { judge, repairsFor } from '../judgement/repairEngine';
import { rules } from '../judgement/allRules';
import { kindIds, kinds } from '../catalog/gear/kinds';
import { withItem } from '../editing/edit';
import type { AddedItem } from '../editing/repair';
import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { type References, byItself, idsAboard } from '../documents/references';
import type { Instant } from '../units/time';
import type { Answers } from '../walkround/answers';
import { catalogue } from '../needs/catalogue';
import { type Choosable, cheapestCover } from './cover';
import type { NeedId } from '../vocabulary/needs';
import { type Level, type Shortfall, disqualified, isBySort, louder, sortOf, worthOf } from '../needs/need';
import { standingOf } from '../needs/schools';
import { type TackleCount, tackleAboard, tackleBudget, tackleKindIds } from '../tackle/tackleBudget';
import { clashOf } from '../needs/clash';
import { type JudgedNeed, outOfService } from '../needs/match';
import { unneeded } from '../needs/unneeded';
import { type PurchaseOption, disqualifiedHere, purchaseOptions } from '../needs/purchaseOptions';

/** What each thing costs beside its mass: room, leashes, attention. kg. */
const CLUTTER_KG = 0.05;
/** What one's own school or the water speaks for counts as lighter than it is, and a makeshift as heavier. */
const weight = { 1: 0.6, 0: 1, [-1]: 4 } as const;
const MOST_NODES = 6000;
/**
 * Things bring needs with them (a rod its leash, a sounder its charge): as many rounds as such chains are
 * long.
 */
const MOST_ROUNDS = 6;
/** So often it is chosen again without what would bring trouble of its own. */
const MOST_RETRIES = 4;

export interface ProposedItem {
  itemId: string;
  /** How many aboard in all. */
  quantity: number;
  addedKg: number;
  needs: NeedId[];
}
/** A need that nothing owned can meet, what would, and what is owned and would count again once put right. */
export interface Missing {
  needId: NeedId;
  level: Level;
  unmet: JudgedNeed['unmet'];
  /** How many different kinds are still to come; 1 where any number of one kind will do. */
  different: number;
  would: PurchaseOption[];
  putRight: { name: string; why: Shortfall }[];
}
/** Owned, of a kind that could serve, and not proposed. */
export interface Omitted {
  itemId: string;
  needId: NeedId;
  why:
    | Shortfall
    | { code: 'met-already'; by: string }
    | { code: 'heavier'; than: string }
    | { code: 'over-budget' };
}
export interface Proposal {
  add: ProposedItem[];
  /** Aboard, meeting no need: may stay ashore. */
  leave: string[];
  missing: Missing[];
  omitted: Omitted[];
  /** Tackle aboard with the proposal taken, and the angler's own measure. */
  tackle: { have: TackleCount; budget: TackleCount | null };
  addedKg: number;
  /**
   * No set that meets the same needs is lighter than this share below the proposed one; 0: proven lightest.
   */
  gap: number;
}

/**
 * The lightest, least cluttered set of serviceable owned things that meets what is still open: law, must and
 * should. What is aboard stays; each round settles all open needs at once, exactly where the search ends in
 * time, else with the gap said.
 */
export function propose(outing: Outing, references: References, answers: Answers, now: Instant): Proposal {
  const forbidden = new Set<string>();
  const before = troubles(outing, references, answers, now);
  let start = outing;
  for (let tried = 0; ; tried += 1) {
    const owned = references.items.filter(({ id }) => !forbidden.has(id));
    const { taken, proposal } = lightest({ outing, start }, { references, owned }, answers, now);
    const besides = start === outing ? alsoWanted(outing, taken, references, answers, now) : [];
    if (besides.length > 0) {
      start = besides.reduce((next, { itemId, quantity }) => withItem(next, itemId, quantity), outing);
      continue;
    }
    const brought = [...troubles(taken, references, answers, now)].filter((key) => !before.has(key));
    if (brought.length === 0 || tried >= MOST_RETRIES) return proposal;
    // What brings a Stop or a Mind of its own is left where it lies, and the rest is chosen again without it.
    const guilty = proposal.add.filter(({ itemId }) => {
      const without = troubles(withItem(taken, itemId, 0), references, answers, now);
      return brought.some((key) => !without.has(key));
    });
    if (guilty.length === 0) return proposal;
    for (const { itemId } of guilty) forbidden.add(itemId);
  }
}

/**
 * Told of the sum of all things, or of the hours, and not of one thing that came: they have repairs of their
 * own.
 */
export const ofTheWhole: ReadonlySet<string> = new Set([
  'need-unmet',
  'overload',
  'stern-load',
  'anchor-shut',
  'anchor-drags',
  'rods-over-rule',
  'one-thing-many-jobs',
  'sinks',
  'trim',
  'heel',
  'freeboard',
  'unsteady',
  'standing-unsteady',
  // Where a thing lies is settled once it is aboard.
  ...rules.filter(({ aboutPlacement }) => aboutPlacement).map(({ code }) => code),
]);
/** Stops and Minds of an outing beside the needs that are open, by key. */
function troubles(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
): ReadonlySet<string> {
  const { all } = judge(contextOf(outing, references, answers, now));
  return new Set(
    all.flatMap(({ key, level, facts }) => (level === 'note' || ofTheWhole.has(facts.code) ? [] : [key])),
  );
}

/**
 * What one more thing would settle that the whole brings with it: another way to call where the only one
 * takes the pictures.
 */
function alsoWanted(
  outing: Outing,
  taken: Outing,
  references: References,
  answers: Answers,
  now: Instant,
): AddedItem[] {
  const before = new Set(judge(contextOf(outing, references, answers, now)).all.map(({ key }) => key));
  const judged = judge(contextOf(taken, references, answers, now));
  return judged.all
    .filter(({ key, level, facts }) => level !== 'note' && facts.code !== 'need-unmet' && !before.has(key))
    .flatMap((one) => {
      const [first] = repairsFor(one, judged).repairs;
      return first?.do === 'add-items' ? first.items : [];
    });
}

function lightest(
  { outing, start }: { outing: Outing; start: Outing },
  { references, owned }: { references: References; owned: readonly Item[] },
  answers: Answers,
  now: Instant,
): { taken: Outing; proposal: Proposal } {
  let next = start;
  let cost = 0;
  let bound = 0;
  const serves = new Map<string, NeedId[]>();
  const unmeetable = new Set<NeedId>();
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const context = contextOf(next, references, answers, now);
    const open = context.needs.filter(
      (need) => !need.met && need.level !== 'could' && !unmeetable.has(need.id),
    );
    if (open.length === 0) break;
    for (const group of apart(open)) {
      const settled = settle(group, context, owned);
      if (!settled) continue;
      for (const id of settled.unmeetable) unmeetable.add(id);
      for (const [item, more] of settled.added) {
        const aboard = next.loadout.find((entry) => entry.itemId === item.id)?.quantity ?? 0;
        next = withItem(next, item.id, aboard + more);
        const known = serves.get(item.id) ?? [];
        serves.set(item.id, [
          ...known,
          ...group
            .map(({ id }) => id)
            .filter((id) => kinds[item.kind].means.includes(id) && !known.includes(id)),
        ]);
      }
      cost += settled.cost;
      bound += settled.bound;
    }
  }
  next = withPartialMeans(next, references, owned, answers, now, serves);
  return { taken: next, proposal: summary(outing, next, references, answers, now, serves, cost, bound) };
}

/** Adds things that meet a need in part, where nothing owned meets it whole and a part lowers its level. */
function withPartialMeans(
  outing: Outing,
  references: References,
  owned: readonly Item[],
  answers: Answers,
  now: Instant,
  serves: Map<string, NeedId[]>,
): Outing {
  const context = contextOf(outing, references, answers, now);
  const allowed = new Set(owned.map(({ id }) => id));
  return context.needs.reduce((next, need) => {
    if (need.met || need.findingLevel === null) return next;
    for (const item of partialMeans(need.id, context)) {
      if (!allowed.has(item.id)) continue;
      const tried = withItem(next, item.id, 1);
      const told =
        contextOf(tried, references, answers, now).needs.find(({ id }) => id === need.id)?.findingLevel ??
        null;
      if (told !== need.findingLevel && louder(told, need.findingLevel) === need.findingLevel) {
        serves.set(item.id, [...(serves.get(item.id) ?? []), need.id]);
        return tried;
      }
    }
    return next;
  }, outing);
}

function summary(
  before: Outing,
  after: Outing,
  references: References,
  answers: Answers,
  now: Instant,
  serves: ReadonlyMap<string, NeedId[]>,
  cost: number,
  bound: number,
): Proposal {
  const was = new Map(before.loadout.map((entry) => [entry.itemId, entry.quantity]));
  const items = new Map(references.items.map((item) => [item.id, item]));
  const add = after.loadout.flatMap(({ itemId, quantity }): ProposedItem[] => {
    const more = quantity - (was.get(itemId) ?? 0);
    const item = items.get(itemId);
    return more > 0 && item
      ? [{ itemId, quantity, addedKg: item.massKg * more, needs: serves.get(itemId) ?? [] }]
      : [];
  });
  const context = contextOf(after, references, answers, now);
  return {
    add,
    leave: unneeded(context.needs, context.looked, after).filter((id) => was.has(id)),
    missing: context.needs
      .filter((need) => !need.met && need.level !== 'could')
      .map((need) => missing(need, context, references.items)),
    omitted: omitted(context, references.items),
    tackle: { have: tackleAboard(context.looked), budget: tackleBudget(context.looked, context.exposures) },
    addedKg: add.reduce((sum, one) => sum + one.addedKg, 0),
    gap: cost > 0 ? (cost - bound) / cost : 0,
  };
}

function missing(
  { id, level, unmet, want, counted }: JudgedNeed,
  context: Context,
  items: readonly Item[],
): Missing {
  const need = catalogue[id];
  const bySort = isBySort(need);
  const spare = asSpare(context);
  const unserviceable = (item: Item) => outOfService(byItself(item), context.lastDay, context.taken);
  const taken = new Set(
    context.aboard.flatMap(({ item }) =>
      bySort && unserviceable(item) === null && disqualifiedHere(id, item, spare) === null
        ? [sortOf(need, item.kind, context)]
        : [],
    ),
  );
  const putRight = items.flatMap((item) => {
    const why = kinds[item.kind].means.includes(id) ? unserviceable(item) : null;
    return why !== null &&
      !taken.has(sortOf(need, item.kind, context) ?? '') &&
      disqualifiedHere(id, item, spare) === null
      ? [{ name: item.name, why }]
      : [];
  });
  const would = purchaseOptions(id, spare, want - counted, taken);
  return { needId: id, level, unmet, different: bySort ? want - counted : 1, would, putRight };
}

/**
 * Why each thing that could serve a need of this outing stays ashore: the first need that speaks of it is
 * told.
 */
function omitted(context: Context, items: readonly Item[]): Omitted[] {
  const aboard = new Map(context.aboard.map(({ item }) => [item.id, item]));
  const spare = asSpare(context);
  const budget = tackleBudget(context.looked, context.exposures);
  const have = tackleAboard(context.looked);
  return items.flatMap((item): Omitted[] => {
    if (aboard.has(item.id)) return [];
    const need = context.needs.find((one) => kinds[item.kind].means.includes(one.id));
    if (!need) return [];
    const one = byItself(item);
    const lacks =
      outOfService(one, context.lastDay, context.taken) ?? disqualified(catalogue[need.id], one, spare);
    if (lacks) return [{ itemId: item.id, needId: need.id, why: lacks }];
    const serving = need.means.flatMap((means) =>
      means.by === 'item' && means.shortfall === null ? (aboard.get(means.itemId) ?? []) : [],
    );
    const [by] = serving;
    if (by) {
      const why =
        item.massKg > by.massKg
          ? ({ code: 'heavier', than: by.name } as const)
          : { code: 'met-already' as const, by: by.name };
      return [{ itemId: item.id, needId: need.id, why }];
    }
    const over = budget !== null && tackleKindIds.has(item.kind) && have.boxes >= budget.boxes;
    return over ? [{ itemId: item.id, needId: need.id, why: { code: 'over-budget' } }] : [];
  });
}

/** Needs that share no kind of thing are settled apart from each other. */
function apart(open: readonly JudgedNeed[]): JudgedNeed[][] {
  const groups: JudgedNeed[][] = [];
  for (const need of open) {
    const touching = groups.filter((group) =>
      group.some((other) =>
        kindIds.some((kind) => kinds[kind].means.includes(need.id) && kinds[kind].means.includes(other.id)),
      ),
    );
    for (const group of touching) groups.splice(groups.indexOf(group), 1);
    groups.push([...touching.flat(), need]);
  }
  return groups;
}

/** The cheapest way to settle a group; needs that cannot be met at all are put aside first. */
function settle(group: readonly JudgedNeed[], context: Context, items: readonly Item[]) {
  const candidates = items.flatMap((item) => copiesOf(item, group, context));
  const wanted = new Map(group.map((need) => [need.id, mostOf(need, candidates, context)]));
  const meetable = group.filter(({ id }) => (wanted.get(id) ?? 0) > 0);
  // What is met in part is taken as far as it goes, and is not asked for again.
  const unmeetable = group.filter((need) => (wanted.get(need.id) ?? 0) < openOf(need)).map((need) => need.id);
  if (meetable.length === 0) return { unmeetable, added: new Map<Item, number>(), cost: 0, bound: 0 };
  const cover = cheapestCover(problemOf(meetable, candidates, context, wanted));
  if (!cover) return null;
  const added = new Map<Item, number>();
  for (const option of cover.chosen) {
    const item = candidates[option]?.item;
    if (item) added.set(item, (added.get(item) ?? 0) + 1);
  }
  return { unmeetable, added, cost: cover.cost, bound: cover.bound };
}

/** How much of a need is still open. */
function openOf({ want, counted }: JudgedNeed): number {
  return want - counted;
}

/** How much of what a need still misses owned things can come to: all of it, a part, or nothing. */
function mostOf(need: JudgedNeed, candidates: readonly Candidate[], context: Context): number {
  const all = openOf(need);
  const comesTo = (amount: number) =>
    cheapestCover(problemOf([need], candidates, context, new Map([[need.id, amount]]))) !== null;
  if (comesTo(all)) return all;
  if (catalogue[need.id].amount)
    return candidates.reduce((sum, { amounts }) => sum + (amounts.get(need.id) ?? 0), 0);
  for (let part = Math.ceil(all) - 1; part >= 1; part -= 1) if (comesTo(part)) return part;
  return 0;
}

interface Candidate {
  item: Item;
  amounts: ReadonlyMap<NeedId, number>;
}

/** Each piece still ashore of a serviceable item, with what it counts for. */
function copiesOf(item: Item, group: readonly JudgedNeed[], context: Context): Candidate[] {
  const aboard = context.aboard.find((one) => one.item.id === item.id)?.entry.quantity ?? 0;
  const one = byItself(item);
  if (aboard >= item.quantity || outOfService(one, context.lastDay, context.taken) !== null) return [];
  const spare = asSpare(context);
  const amounts = new Map<NeedId, number>();
  for (const { id } of group) {
    const need = catalogue[id];
    if (!kinds[item.kind].means.includes(id) || disqualified(need, one, spare) !== null) continue;
    const sort = sortOf(need, item.kind, context);
    if (
      sort !== null &&
      context.aboard.some(
        (other) => sortOf(need, other.item.kind, context) === sort && counts(id, other.item.id, group),
      )
    )
      continue;
    const worth = worthOf(need, item, context);
    if (worth > 0) amounts.set(id, worth);
  }
  if (amounts.size === 0) return [];
  const most = Math.max(
    ...group
      .filter(({ id }) => amounts.has(id))
      .map(({ id, want }) => Math.ceil(want / (amounts.get(id) ?? 1))),
  );
  return Array.from({ length: Math.min(item.quantity - aboard, most) }, () => ({ item, amounts }));
}

/** Whether a thing aboard is counted for a need. */
function counts(id: NeedId, itemId: string, group: readonly JudgedNeed[]): boolean {
  const means = group.find((need) => need.id === id)?.means ?? [];
  return means.some((one) => one.by === 'item' && one.itemId === itemId && one.shortfall === null);
}

function problemOf(
  group: readonly JudgedNeed[],
  candidates: readonly Candidate[],
  context: Context,
  wanted: ReadonlyMap<NeedId, number>,
) {
  const aboardIds = idsAboard(context);
  return {
    options: candidates.map(({ item, amounts }): Choosable => ({
      cost: (item.massKg + CLUTTER_KG) * weight[standingOf(context.places, context.brief, item)],
      covers: group.flatMap(({ id }, demand) => {
        const amount = amounts.get(id);
        return amount === undefined ? [] : [{ demand, amount }];
      }),
    })),
    wanted: group.map((need) => wanted.get(need.id) ?? openOf(need)),
    clash: (demand: number, a: number, b: number) => {
      const [one, other] = [candidates[a]?.item, candidates[b]?.item];
      const need = group[demand];
      if (!one || !other || !need || catalogue[need.id].amount) return false;
      const sort = (item: Item) => sortOf(catalogue[need.id], item.kind, context);
      const clash = clashOf(byItself(one), byItself(other), { sortOf: sort, aboardIds });
      // Where one means is enough, only what asks for different kinds sets two against each other.
      return clash !== null && (need.want > 1 || clash.code === 'same-kind');
    },
    mostNodes: MOST_NODES,
  };
}
