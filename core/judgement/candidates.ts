import { type KindId, kinds } from '../catalog/gear/kinds';
import { minutesTo } from '../documents/hours';
import type { Item } from '../documents/item';
import type { Hour } from '../documents/outing';
import type { AddedItem, Repair } from '../editing/repair';
import { HOUR_MS, type Instant, MINUTE_MS, clockAt, minutesOf, shiftClock } from '../units/time';
import { rememberFor } from '../units/remember';
import type { NeedId } from '../vocabulary/needs';
import { catalogue } from '../needs/catalogue';
import { filledSorts, outOfService } from '../needs/match';
import { disqualified, isBySort, sortOf } from '../needs/need';
import { standingOf } from '../needs/schools';
import { type Aboard, byItself } from '../documents/references';
import { type Context, asSpare } from './context';

/**
 * What might settle a finding, whatever the finding: each is judged before it is offered. The fitting order
 * is said by the rule that asks.
 */

const LEAST_AFLOAT_MIN = 120;
const DAY_MIN = 24 * 60;
const MOST_ROD_LINES = 3;

/**
 * The same hours moved, or the outing cut short, soonest in first; at least two hours afloat, and the launch
 * on its day.
 */
export function otherHours({ brief: { launchAt, homeAt } }: Pick<Context, 'brief'>): Repair[] {
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

/** Hours that are looked at before the launch and after coming in, h. */
const LOOKED_H = 3;
/**
 * Hours afloat without bad hours of the forecast: home before them, all of it earlier, or launching after
 * them; the smallest change first.
 * @param guardMin margin kept before and after a bad hour, minutes
 */
export function hoursClearOf(
  context: Pick<Context, 'brief' | 'conditions' | 'day'>,
  isBad: (hour: Hour) => boolean,
  guardMin = 0,
): Repair[] {
  const { brief, day, conditions } = context;
  if (day.launchAt === null || day.homeAt === null || brief.nights > 0) return otherHours(context);
  const from = day.launchAt - LOOKED_H * HOUR_MS;
  const to = day.homeAt + LOOKED_H * HOUR_MS;
  const bad = conditions.hours
    .map((hour) => ({ hour, at: Date.parse(hour.at) }))
    .filter(({ hour, at }) => at > from - HOUR_MS && at < to && isBad(hour))
    .map(({ at }) => at)
    .toSorted((a, b) => a - b);
  const guard = guardMin * MINUTE_MS;
  // The free spans lie between bad hours; a bad hour lasts from its own time until an hour later.
  const starts = [from, ...bad.map((at) => at + HOUR_MS + guard)];
  const ends = [...bad.map((at) => at - guard - MINUTE_MS), to];
  const [launch, home] = [day.launchAt, day.homeAt];
  const free = starts.flatMap((start, i): [Instant, Instant][] => {
    const end = ends[i] ?? to;
    return end - start >= LEAST_AFLOAT_MIN * MINUTE_MS ? [[start, end]] : [];
  });
  const lasts = home - launch;
  const changed = ([start, end]: readonly [Instant, Instant]) =>
    Math.abs(start - launch) + Math.abs(end - home);
  return free
    .flatMap(([start, end]): [Instant, Instant][] => {
      const last = Math.min(end, home);
      const first = Math.max(start, launch);
      return [
        [first, last],
        // As long as was meant, or an hour less, altogether earlier or later.
        [Math.max(start, last - lasts), last],
        [Math.max(start, last - lasts + HOUR_MS), last],
        [first, Math.min(end, first + lasts)],
      ];
    })
    .filter((span) => span[1] - span[0] >= LEAST_AFLOAT_MIN * MINUTE_MS && changed(span) > 0)
    .toSorted((a, b) => changed(a) - changed(b))
    .map(([start, end]) => ({
      do: 'set-hours' as const,
      launchAt: shiftClock(brief.launchAt, Math.ceil((start - launch) / STEP_MS) * STEP_MIN),
      homeAt: shiftClock(brief.homeAt, Math.floor((end - home) / STEP_MS) * STEP_MIN),
    }))
    .filter(({ launchAt, homeAt }, i, all) => {
      const first = all.findIndex((one) => one.launchAt === launchAt && one.homeAt === homeAt);
      return first === i && minutesTo(launchAt, homeAt) >= LEAST_AFLOAT_MIN;
    });
}
/** Hours are offered in steps of this. */
const STEP_MIN = 5;
const STEP_MS = STEP_MIN * MINUTE_MS;

/** Launching after sunrise, or being in before sunset. */
export function outOfTheDark({ brief: { launchAt, homeAt }, exposures: { darkSpans } }: Context): Repair[] {
  const [first] = darkSpans;
  const last = darkSpans[darkSpans.length - 1];
  const list: { launchAt: string; homeAt: string }[] = [];
  if (first?.from === launchAt) list.push({ launchAt: shiftClock(first.to, 1), homeAt });
  if (last?.to === homeAt && last.from !== launchAt)
    list.push({ launchAt, homeAt: shiftClock(last.from, -1) });
  return list
    .filter((hours) => minutesTo(hours.launchAt, hours.homeAt) > 0)
    .map((hours) => ({ do: 'set-hours', ...hours }));
}

/** A turn at least so long before the latest one is not remarked on, min. */
export const IN_HAND_MIN = 30;
/** Turning with time in hand, else at the latest. */
export function earlierTurn({ exposures: { plan }, places: { water } }: Context): Repair[] {
  if (plan?.latestTurn == null || !water) return [];
  const { latestTurn, spotAt } = plan;
  return [latestTurn - IN_HAND_MIN * MINUTE_MS, latestTurn]
    .filter((at) => spotAt === null || at > spotAt)
    .map((at) => ({ do: 'set-turn', turnAt: clockAt(at, water.timeZone) }));
}

/** Another landing, a nearer place to fish, a straight way: whatever makes the way shorter. */
export function otherPlaces({ places: { water, area, landing }, brief: { route } }: Context): Repair[] {
  if (!water || !area || !landing) return [];
  return [
    ...(route.out.length + route.home.length > 0 ? [{ do: 'straight-route' as const }] : []),
    ...water.launches
      .filter((one) => one.id !== landing.id)
      .map(({ id, name }) => ({ do: 'set-landing' as const, landingId: id, name })),
    ...water.areas
      .filter((one) => one.id !== area.id && one.distanceM < area.distanceM)
      .map(({ id, name, distanceM }) => ({ do: 'set-area' as const, areaId: id, name, distanceM })),
  ];
}

/** Another launch: a sheltered one first. */
export function otherLaunches({ places: { water, launch } }: Pick<Context, 'places'>): Repair[] {
  if (!water || !launch) return [];
  return water.launches
    .filter((one) => one.id !== launch.id)
    .toSorted((a, b) => Number(a.surf) - Number(b.surf))
    .map(({ id, name }) => ({ do: 'set-launch' as const, launchId: id, name }));
}

/** Taking off one item of a kind, the heaviest first. */
export function removing(
  { aboard }: Pick<Context, 'aboard'>,
  which: (kind: KindId) => boolean,
  heavy: (kg: number) => boolean = () => true,
): Repair[] {
  return aboard
    .filter(({ item, entry }) => which(item.kind) && heavy(item.massKg * entry.quantity))
    .sort((a, b) => b.item.massKg * b.entry.quantity - a.item.massKg * a.entry.quantity)
    .map(({ item }) => ({ do: 'remove-item', itemId: item.id, name: item.name }));
}

/** Lighter than this a thing is not felt, kg. */
const FELT_KG = 0.3;
/**
 * Leaving ashore what meets no need of this outing, the heaviest first: as many as take so much off, kg;
 * null: all that weigh something. One alone is offered by itself.
 */
export function withoutUnneeded(
  { aboard, unneeded }: Pick<Context, 'aboard' | 'unneeded'>,
  kg: number | null = null,
): Repair[] {
  const ids = new Set(unneeded);
  const things = aboard
    .filter(({ item }) => ids.has(item.id))
    .map(({ item: { id: itemId, name, massKg }, entry }) => ({
      itemId,
      name,
      massKg: massKg * entry.quantity,
    }))
    .filter(({ massKg }) => massKg >= FELT_KG)
    .toSorted((a, b) => b.massKg - a.massKg);
  let gone = 0;
  const off = things.filter(({ massKg }) => {
    const goes = kg === null || gone < kg;
    if (goes) gone += massKg;
    return goes;
  });
  if (off.length < 2 || (kg !== null && gone < kg)) return [];
  return [{ do: 'remove-items', items: off.map(({ itemId, name }) => ({ itemId, name })) }];
}

export function fewerFish({ brief: { keep } }: Pick<Context, 'brief'>): Repair[] {
  return keep > 0 ? [{ do: 'set-keep', keep: keep - 1 }] : [];
}

const isRod = (kind: KindId) => kinds[kind].means.includes('rods');
/** So many rods fewer of one line that has more. */
export function fewerRods({ aboard }: Pick<Context, 'aboard'>, many: number): Repair[] {
  return aboard
    .filter(({ item, entry }) => isRod(item.kind) && entry.quantity > many)
    .map(({ item, entry }) => ({
      do: 'fewer',
      itemId: item.id,
      quantity: entry.quantity - many,
      name: item.name,
    }));
}
/**
 * Leaving so many rods ashore: one line of the loadout where that does it, else several; those that no rig is
 * on go first.
 */
export function rodsAshore({ aboard, rigs }: Pick<Context, 'aboard' | 'rigs'>, many: number): Repair[] {
  if (many <= 0) return [];
  const rigged = new Set(rigs.map(({ rodId }) => rodId));
  const rods = aboard
    .filter(({ item }) => isRod(item.kind))
    .toSorted(
      (a, b) =>
        Number(rigged.has(a.item.id)) - Number(rigged.has(b.item.id)) ||
        b.item.massKg * b.entry.quantity - a.item.massKg * a.entry.quantity,
    );
  const named = ({ item: { id: itemId, name } }: Aboard) => ({ itemId, name });
  const alone = rods.filter(({ entry }) => entry.quantity >= many);
  if (alone.length > 0)
    return alone.slice(0, MOST_ROD_LINES).map((one) => ({ do: 'remove-item', ...named(one) }));
  let left = many;
  const gone = rods.filter(({ entry }) => {
    const goes = left > 0;
    if (goes) left -= entry.quantity;
    return goes;
  });
  // More than a few is another outing, not a repair of this one.
  return left > 0 || gone.length > MOST_ROD_LINES ? [] : [{ do: 'remove-items', items: gone.map(named) }];
}
/** One thing aboard in exchange for each sound one of the locker that would do instead. */
export function swapping(
  context: Pick<Context, 'aboard' | 'items' | 'lastDay'>,
  off: (item: Item) => boolean,
  on: (item: Item) => boolean,
): Repair[] {
  const others = owned(context, (item) => on(item) && !isAboard(context, item));
  return context.aboard
    .filter(({ item }) => off(item))
    .flatMap(({ item }) => others.map((other) => swap(item, other)));
}

/** Sound things of the locker, the lightest first. */
export function owned(
  { items, lastDay }: Pick<Context, 'items' | 'lastDay'>,
  fits: (item: Item) => boolean,
): Item[] {
  return items
    .filter(
      (item) =>
        item.condition === 'good' && (item.expiresOn === null || item.expiresOn >= lastDay) && fits(item),
    )
    .sort((a, b) => a.massKg - b.massKg || a.id.localeCompare(b.id));
}
export function isAboard({ aboard }: Pick<Context, 'aboard'>, { id }: Item): boolean {
  return aboard.some((one) => one.item.id === id);
}
export function adding(context: Context, kinds_: readonly KindId[]): Repair[] {
  return owned(context, (item) => kinds_.includes(item.kind) && !isAboard(context, item)).map((item) => ({
    do: 'add-items',
    items: [theFirst(item)],
  }));
}
/** One of a thing of which none is aboard. */
export function theFirst({ id: itemId, name, massKg }: Item): AddedItem {
  return { itemId, quantity: 1, more: 1, name, massKg };
}
/** Another boat that is fit to go, as well as its own hours and rules allow. */
export function otherBoats({ boats, places: { craft } }: Pick<Context, 'boats' | 'places'>): Repair[] {
  return boats
    .filter((one) => one.id !== craft?.id && one.condition === 'good')
    .map(({ id, name }) => ({ do: 'set-craft' as const, craftId: id, name }));
}
/** The same boat, put together otherwise: low seats and floats that are out first. */
export function otherSetUps({ places: { craft } }: Pick<Context, 'places'>): Repair[] {
  if (!craft) return [];
  const unsteady = ({ seat, floats }: (typeof craft.setUps)[number]) =>
    Number(seat === 'high') + Number(floats === 'folded');
  return craft.setUps
    .filter(({ id }) => id !== craft.setUpId)
    .toSorted((a, b) => unsteady(a) - unsteady(b))
    .map(({ id, name, stow }) => ({ do: 'set-set-up' as const, setUp: { id, stow }, name }));
}
export function swap(off: Item, on: Item): Repair {
  return { do: 'swap-item', offId: off.id, off: off.name, onId: on.id, on: on.name };
}

/** The locker's items by the needs that their kinds can meet. */
const meansByNeed = rememberFor((items: readonly Item[]): ReadonlyMap<NeedId, readonly Item[]> => {
  const byNeed = new Map<NeedId, Item[]>();
  for (const item of items)
    for (const id of kinds[item.kind].means) byNeed.set(id, [...(byNeed.get(id) ?? []), item]);
  return byNeed;
});

/** The sorts of a need that something aboard fills already. */
export function filledFor(needId: NeedId, context: Context): ReadonlySet<string | null> {
  const means = context.needs.find(({ id }) => id === needId)?.means ?? [];
  return filledSorts(catalogue[needId], means, context);
}

/** 0 for what is made for the need first, 1 for what does it beside something else. */
function made({ kind }: Item, needId: NeedId): number {
  return kinds[kind].means[0] === needId ? 0 : 1;
}

/**
 * Owned, sound things that meet a need only in part, where that is better than nothing: a wetsuit that is too
 * thin, a jacket of less buoyancy. The best first.
 */
export function partialMeans(needId: NeedId, context: Context): Item[] {
  const need = catalogue[needId];
  if (!need.partly || isBySort(need) || need.amount) return [];
  const spare = asSpare(context);
  const lacks = (item: Item) => disqualified(need, byItself(item), spare);
  return owned(context, (item) => kinds[item.kind].means.includes(needId) && !isAboard(context, item))
    .flatMap((item) => {
      const shortfall = lacks(item);
      const out = outOfService(byItself(item), context.lastDay, context.taken) !== null;
      const has =
        shortfall?.code === 'too-little'
          ? shortfall.have
          : shortfall?.code === 'too-thin'
            ? shortfall.mm
            : null;
      return out || has === null ? [] : [{ item, has }];
    })
    .toSorted((a, b) => b.has - a.has)
    .map(({ item }) => item);
}

interface Spare {
  item: Item;
  carried: number;
}
const spares = rememberFor((_: Context) => new Map<NeedId, readonly Spare[]>());
/**
 * Owned items that would count, not yet all aboard: of one's own school first, then what is made for it, then
 * the lightest.
 */
export function serviceable(needId: NeedId, context: Context): readonly Spare[] {
  const known = spares(context);
  const found = known.get(needId) ?? sparesFor(needId, context);
  known.set(needId, found);
  return found;
}
const quantitiesOf = rememberFor(
  (loadout: Context['loadout']): ReadonlyMap<string, number> =>
    new Map(loadout.map(({ itemId, quantity }) => [itemId, quantity])),
);
function sparesFor(needId: NeedId, context: Context): Spare[] {
  const { loadout, items, lastDay, taken } = context;
  const carriedOf = quantitiesOf(loadout);
  const need = catalogue[needId];
  const spare = asSpare(context);
  const filled = filledFor(needId, context);
  const standing = (item: Item) => standingOf(context.places, context.brief, item);
  return (meansByNeed(items).get(needId) ?? [])
    .map((item) => ({ item, carried: carriedOf.get(item.id) ?? 0 }))
    .filter(({ item, carried }) => {
      if (carried >= item.quantity) return false;
      const alone = byItself(item);
      if (outOfService(alone, lastDay, taken) !== null || disqualified(need, alone, spare) !== null)
        return false;
      return !(
        isBySort(need) &&
        !need.amount &&
        (carried > 0 || filled.has(sortOf(need, item.kind, context)))
      );
    })
    .sort(
      (a, b) =>
        standing(b.item) - standing(a.item) ||
        made(a.item, needId) - made(b.item, needId) ||
        a.item.massKg - b.item.massKg ||
        a.item.id.localeCompare(b.item.id),
    );
}
