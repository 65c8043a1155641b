import { type KindId, kinds } from '../catalog/gear/kinds';
import { type Aboard, idsAboard } from '../documents/references';
import { clashOf, shareRoom } from './clash';
import { catalogue } from './catalogue';
import { outOfPlace } from './where';
import type { FindingLevel } from '../vocabulary/levels';
import type { NeedId } from '../vocabulary/needs';
import {
  type FitContext,
  type Need,
  type NeedContext,
  type OtherMeans,
  type Partly,
  type Raise,
  type Shortfall,
  disqualified,
  isBySort,
  atMost,
  quieter,
  sortOf,
  worthOf,
} from './need';

/** Items taken away by an answer on the walk-round. */
export interface WalkTaken {
  fault: ReadonlySet<string>;
  missing: ReadonlySet<string>;
}

/** One thing that could meet a need, and whether it counts. */
export type Means =
  | {
      by: 'item';
      itemId: string;
      kind: KindId;
      name: string;
      quantity: number;
      amount: number;
      shortfall: Shortfall | null;
    }
  | OtherMeans;

/** A need as this outing raises it, with what meets it. */
export interface JudgedNeed extends Raise {
  id: NeedId;
  means: Means[];
  /** Independent means counted, or the amount in the need's unit. */
  counted: number;
  met: boolean;
  /** Parts of the set that nothing aboard fills, by name. */
  lacking: readonly string[];
  /** What is told of it as it stands; null: nothing, met or not. Law is another matter. */
  findingLevel: FindingLevel | null;
}

/** The things aboard that count for these needs. */
export function itemsServing(needs: readonly JudgedNeed[]): ReadonlySet<string> {
  const serving = new Set<string>();
  for (const { means } of needs)
    for (const one of means) if (one.by === 'item' && one.shortfall === null) serving.add(one.itemId);
  return serving;
}

/** A serviceable item counts for a need unless its dates, condition or the walk-round say otherwise. */
export function outOfService({ item }: Aboard, lastDay: string, taken: WalkTaken): Shortfall | null {
  if (taken.missing.has(item.id)) return { code: 'missing-on-walk' };
  if (taken.fault.has(item.id)) return { code: 'fault-on-walk' };
  if (item.condition === 'under repair') return { code: 'under-repair' };
  if (item.condition === 'failed inspection') return { code: 'failed-inspection' };
  if (item.expiresOn !== null && item.expiresOn < lastDay) return { code: 'out-of-date', on: item.expiresOn };
  return null;
}

/** What runs on a battery of its own counts only with that battery aboard, in the same boat, and sound. */
function batteryFails(
  { item, entry }: Aboard,
  aboard: readonly Aboard[],
  lastDay: string,
  taken: WalkTaken,
): Shortfall | null {
  if (item.poweredById === null) return null;
  const battery = aboard.find((other) => other.item.id === item.poweredById);
  if (!battery) return { code: 'battery-ashore' };
  if (battery.entry.carriedBy !== entry.carriedBy) return { code: 'battery-in-other-boat' };
  return outOfService(battery, lastDay, taken) === null ? null : { code: 'battery-unsound' };
}

/** Something aboard whose kind can meet a need, and why it is not serviceable; null: it is. */
export interface Candidate {
  aboard: Aboard;
  unserviceable: Shortfall | null;
}

/**
 * What is aboard, under each need that its kind can be a means of; and what others bring, under those that
 * the party shares.
 * @param only the needs asked for @param brought what others bring for all
 */
export function candidatesByNeed(
  aboard: readonly Aboard[],
  lastDay: string,
  taken: WalkTaken,
  only: ReadonlySet<NeedId>,
  brought: readonly Aboard[],
): ReadonlyMap<NeedId, Candidate[]> {
  const byNeed = new Map<NeedId, Candidate[]>();
  for (const one of aboard) {
    const { means } = kinds[one.item.kind];
    if (!means.some((id) => only.has(id))) continue;
    const candidate = {
      aboard: one,
      unserviceable: outOfService(one, lastDay, taken) ?? batteryFails(one, aboard, lastDay, taken),
    };
    for (const id of means) {
      const list = byNeed.get(id);
      if (list) list.push(candidate);
      else byNeed.set(id, [candidate]);
    }
  }
  for (const one of brought)
    for (const id of kinds[one.item.kind].means)
      if (only.has(id) && catalogue[id].shared === true)
        byNeed.set(id, [
          ...(byNeed.get(id) ?? []),
          { aboard: one, unserviceable: outOfService(one, lastDay, taken) },
        ]);
  return byNeed;
}

const noOthers: readonly OtherMeans[] = [];

/** Matches what is aboard to a raised need: each candidate counted, or with the reason why not. */
export function judgeNeed(
  id: NeedId,
  raise: Raise,
  context: NeedContext,
  candidates: readonly Candidate[],
): JudgedNeed {
  const need = catalogue[id];
  const { amount: attribute } = need;
  const bySort = isBySort(need);
  const others = need.others?.(context) ?? noOthers;
  const means: Means[] = [];
  const fit: Aboard[] = [];
  const shortfalls: Shortfall[] = [];
  let counted = 0;
  for (const { aboard, unserviceable } of candidates) {
    const elsewhere =
      aboard.entry.carriedBy !== null &&
      need.shared !== true &&
      !need.sharedKinds?.(context).includes(aboard.item.kind)
        ? ({ code: 'in-other-boat' } as const)
        : null;
    const unfit = unserviceable ?? elsewhere ?? disqualified(need, aboard, context);
    const misplaced = outOfPlace(id, aboard, context.exposures);
    // A thing that would not count anywhere is told as that, not as misplaced.
    const shortfall = unfit ?? misplaced;
    const { quantity } = aboard.entry;
    const amount = worthOf(need, aboard.item, context) * quantity;
    means.push(itemMeans(aboard, shortfall, amount));
    if (shortfall !== null) {
      // What is not where it serves is no better than none: a thin jacket in the well holds nobody up.
      shortfalls.push(misplaced ?? shortfall);
      continue;
    }
    fit.push(aboard);
    counted += attribute || !(bySort || raise.want === 1) ? amount : 1;
  }
  if (raise.want > 1 && !attribute && fit.length > 0) {
    const { kept, dropped } = independent(fit, (item) => sortOf(need, item.kind, context), context);
    const aboardIds = idsAboard(context);
    // Several in one container or behind one lid are lost together, whether they are one line of the list or
    // several.
    const apart = (one: Aboard) => (bySort || shareRoom(one, one, aboardIds) ? 1 : one.entry.quantity);
    counted = kept.reduce((sum, one) => sum + apart(one), 0);
    for (const one of means) if (one.by === 'item') one.shortfall ??= dropped.get(one.itemId) ?? null;
  }
  for (const other of others) {
    means.push(other);
    if (other.shortfall === null) counted += 1;
  }
  const { want, unmet, reasons, law } = raise;
  const met = counted + 1e-6 >= want;
  const level = law && !met && counted + 1e-6 >= law.want ? law.beyond : raise.level;
  return {
    id,
    level,
    want,
    unmet,
    reasons,
    means,
    counted,
    met,
    lacking: met ? noNames : lackingParts(need, means, context),
    findingLevel: met ? null : partlyTold(need, raise, { counted, shortfalls }, context),
  };
}

/**
 * What is told of a need that is not met: where something is there for it, never more than where nothing is.
 */
function partlyTold(
  need: Need,
  { unmet, want }: Raise,
  { counted, shortfalls }: Pick<Partly, 'counted' | 'shortfalls'>,
  context: FitContext,
): FindingLevel | null {
  if (counted === 0 && shortfalls.length === 0) return unmet;
  // One part of a set is less than all of it.
  if (!need.partly) return need.parts && counted > 0 && want - counted <= 1 ? quieter(unmet) : unmet;
  return unmet && atMost(unmet, need.partly({ counted, want, unmet, shortfalls }, context));
}

const noNames: readonly string[] = [];
/** The sorts of means, or parts of a set, that something counted fills. */
export function filledSorts(
  need: Need,
  means: readonly Means[],
  context: FitContext,
): ReadonlySet<string | null> {
  const filled = new Set<string | null>();
  for (const one of means)
    if (one.by === 'item' && one.shortfall === null) filled.add(sortOf(need, one.kind, context));
  return filled;
}
/** The parts of a set that nothing counted fills. */
function lackingParts(need: Need, means: readonly Means[], context: FitContext): readonly string[] {
  if (!need.parts) return noNames;
  const filled = filledSorts(need, means, context);
  return need.parts(context).flatMap(({ id, name }) => (filled.has(id) ? [] : [name]));
}

function itemMeans({ item, entry }: Aboard, shortfall: Shortfall | null, amount: number) {
  const { id: itemId, kind, name } = item;
  return { by: 'item' as const, itemId, kind, name, quantity: entry.quantity, amount, shortfall };
}

/**
 * The largest set of means no two of which are of one sort (where sorts must differ), a container or a
 * battery. Exact for the few candidates a need has; beyond twelve the first twelve are weighed.
 */
function independent(
  fit: readonly Aboard[],
  sort: (item: Aboard['item']) => string | null,
  context: NeedContext,
) {
  const dropped = new Map<string, Shortfall>();
  const aboardIds = idsAboard(context);
  const clash = (a: Aboard, b: Aboard) => clashOf(a, b, { sortOf: sort, aboardIds });
  let best: Aboard[] = [];
  const grow = (kept: Aboard[], rest: readonly Aboard[]) => {
    if (kept.length > best.length) best = kept;
    if (kept.length + rest.length <= best.length) return;
    rest.forEach((next, i) => {
      if (kept.every((one) => clash(next, one) === null)) grow([...kept, next], rest.slice(i + 1));
    });
  };
  grow([], fit.slice(0, 12));
  const kept = best;
  for (const one of fit) {
    if (kept.includes(one)) continue;
    const why = kept.map((other) => clash(one, other)).find((found) => found !== null);
    if (why) dropped.set(one.item.id, why);
  }
  return { kept, dropped };
}
