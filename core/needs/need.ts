import type { AttributeId } from '../catalog/gear/attributes';
import type { KindId } from '../catalog/gear/kinds';
import type { DayExposures, Exposures } from '../exposures/exposures';
import type { Brief, Outward } from '../documents/outing';
import type { Item } from '../documents/item';
import type { Aboard, Lies, Places } from '../documents/references';
import type { Where } from '../vocabulary/where';
import type { FindingLevel } from '../vocabulary/levels';
import type { NeedId } from '../vocabulary/needs';
import type { BodyPart, Mode } from '../vocabulary/stow';

export const levels = ['law', 'must', 'should', 'could'] as const;
export type Level = (typeof levels)[number];

/** The two distances: to any ground where one can get out, and to a landing with its vehicle and road. */
export type Far = 'shore' | 'landing';

/** What raised a need, with its figures. Sentences are made in sayNeeds. */
export type Reason =
  | {
      because:
        | 'always'
        | 'solo'
        | 'remote'
        | 'river'
        | 'branches'
        | 'busy'
        | 'traffic'
        | 'cannot-swim'
        | 'drive-can-fail'
        | 'closed-hull'
        | 'anchor-line'
        | 'big-hooks'
        | 'toothy'
        | 'competition'
        | 'fishing'
        | 'standing'
        | 'inflatable'
        | 'heavy'
        | 'sounder-school'
        | 'tide'
        | 'motor'
        | 'current';
    }
  | { because: 'distance'; from: Far; metres: number }
  | { because: 'newtons'; newtons: number }
  | { because: 'fog'; metres: number }
  | { because: 'dark'; minutes: number; until: string }
  | { because: 'swell'; metres: number }
  | { because: 'surf'; breakerM: number }
  | { because: 'rapids'; count: number }
  | { because: 'cold-water'; waterC: number }
  | { because: 'cold-air'; feelsC: number }
  | { because: 'deep'; metres: number }
  | { because: 'released' }
  | { because: 'hours'; hours: number }
  | { because: 'sun'; deg: number }
  | { because: 'wind'; mps: number }
  | { because: 'rain'; mm: number }
  | { because: 'heat'; feelsC: number }
  | { because: 'nights'; nights: number }
  | { because: 'species'; name: string; lengthM: number }
  | { because: 'kept'; count: number; kg: number }
  | { because: 'plugs'; count: number }
  | { because: 'carry'; metres: number }
  | { because: 'rods'; count: number }
  | { because: 'electrics'; watts: number; hours: number }
  | { because: 'technique'; technique: string }
  | { because: 'rule'; authority: string; text: string; citation: string };

/** Why something aboard does not count for a need. */
export type Shortfall =
  | {
      code:
        | 'battery-ashore'
        | 'battery-in-other-boat'
        | 'battery-unsound'
        | 'patchy-coverage'
        | 'not-on-body'
        | 'too-low'
        | 'night-only'
        | 'not-for-this-part'
        | 'not-for-chambers'
        | 'for-chambers'
        | 'does-not-reach'
        | 'one-piece'
        | 'ties-nothing'
        | 'tyres-sink'
        | 'needs-tarp'
        | 'salt-water'
        | 'grip-teeth'
        | 'tool-small'
        | 'sinks'
        | 'not-tied'
        | 'failed-inspection'
        | 'under-repair'
        | 'fault-on-walk'
        | 'missing-on-walk'
        | 'same-kind'
        | 'not-approved'
        | 'not-bright'
        | 'not-hardened'
        | 'not-coated'
        | 'not-floating'
        | 'needs-chart'
        | 'needs-compass'
        | 'daylight-only'
        | 'no-coverage'
        | 'nobody-listens'
        | 'gaff-inflatable'
        | 'gaff-release'
        | 'grip-mouth'
        | 'rope-small'
        | 'rope-release'
        | 'deep-for-poles'
        | 'pole-in-stream'
        | 'light-to-jig'
        | 'dries-out'
        | 'keeps-dead-bait'
        | 'first-paddle'
        | 'not-practised'
        | 'no-contact'
        | 'alarm-early'
        | 'wrong-technique'
        | 'bites-through'
        | 'wire-unneeded'
        | 'not-waterproof'
        | 'not-retained'
        | 'not-charged'
        | 'school-no-anchor'
        | 'no-release'
        | 'in-other-boat';
    }
  | { code: 'wrong-bottom'; bottom: string }
  /** A wetsuit, the water from which it is warm enough, °C, and what would be thick enough here. */
  | { code: 'too-thin'; mm: number; fromC: number; wantMm: number }
  | { code: 'out-of-date'; on: string }
  /** It is aboard, and lies where it does not serve. */
  | ({ code: 'out-of-place'; want: Where; on: BodyPart | null; mode: Mode } & Pick<
      Lies,
      'boxes' | 'place' | 'in' | 'moves' | 'state'
    >)
  /** All that is wrong with it, told together. */
  | { code: 'several'; all: readonly Shortfall[] }
  | { code: 'wrong-size'; of: 'jacket'; haveKg: readonly [number, number]; bodyKg: number }
  | { code: 'wrong-size'; of: 'paddle'; haveM: number; wantM: number }
  | { code: 'same-container'; withItem: string }
  | { code: 'same-battery'; withItem: string }
  | { code: 'too-little'; attribute: AttributeId; have: number; want: number };

/** A need as this outing raises it. */
export interface Raise {
  level: Level;
  /** How many independent means, or how much in the need's unit. */
  want: number;
  /** What is told where nothing at all meets it: a Stop where life hangs on it; null: nothing is. */
  unmet: FindingLevel | null;
  reasons: readonly Reason[];
  /**
   * Of what the law asks for, how much, and the level of what is wanted beyond that; left out: no law speaks.
   */
  law?: { want: number; beyond: Level };
}
/** The day and the way, by the figures of the sheets; not what the loadout makes of them. */
export type FitExposures = DayExposures & Pick<Exposures, 'workings'>;
/** What a means is held against, whatever else is aboard. */
export interface FitContext {
  exposures: FitExposures;
  brief: Outward;
  places: Places;
}
/** What may raise a need: the day with what the loadout makes of it. */
export interface RaiseContext extends FitContext {
  exposures: Exposures;
}
export interface NeedContext extends FitContext {
  brief: Brief;
  aboard: readonly Aboard[];
  /** The paddle that is the first propulsion of a paddled boat, so not its spare. */
  firstPaddleId: string | null;
}
/** One part of a set that meets a need together. */
export interface Part {
  id: string;
  name: string;
  kinds: readonly KindId[];
}

/** A means that is not an item: a part of the boat, the angler's practice, the plan with a person ashore. */
export interface OtherMeans {
  by: 'craft' | 'angler' | 'plan';
  part: 'drive' | 'plugs' | 'practice' | 'practising' | 'contact';
  shortfall: Shortfall | null;
}

/** How far a need is met that is not met. */
export interface Partly {
  counted: number;
  want: number;
  unmet: FindingLevel | null;
  /**
   * Why each thing that is there for it does not count; of one that also lies where it does not serve, that
   * it does.
   */
  shortfalls: readonly Shortfall[];
}

/** One record of the catalogue. */
export interface Need {
  /** Which distance raises it: to ground where one can get out, or to a landing; left out: none does. */
  far?: Far;
  title: string;
  /** What happens without it, one plain sentence. */
  without: string;
  /** What must fit for a means to count here, in words; left out: any sound one does. */
  fits?: string;
  /** Summed in this measure instead of counted by means. */
  amount?: AttributeId;
  /** Share of an item's own measure that counts; left out: all of it. */
  share?: (item: Item) => number;
  /** What one piece counts for, where its own measure does not say it. */
  worth?: (context: FitContext, item: Item) => number;
  /** One of it serves the whole party, and may lie in any boat of it. */
  shared?: boolean;
  /** Kinds of which that is so here, where it is not of all. */
  sharedKinds?: (context: FitContext) => readonly KindId[];
  /** Means must be of different sorts: what sort a kind is; kinds of one sort fail together. */
  sort?: (kind: KindId) => string;
  /** Met by a set: each part once. What it wants is one of each. */
  parts?: (context: FitContext) => readonly Part[];
  /** Other kinds whose presence affects whether a means counts. */
  alsoBy?: readonly KindId[] | 'anything';
  raise: (context: RaiseContext) => Raise | null;
  /** Why a serviceable item of a fitting kind still does not count here; null: it counts. */
  disqualify?: (aboard: Aboard, context: NeedContext) => Shortfall | null;
  /**
   * What is told where something is there for it and it is not met all the same; left out: of a set that
   * lacks one part one level less than of all of it, else as where nothing is there.
   */
  partly?: (state: Partly, context: FitContext) => FindingLevel | null;
  others?: (context: NeedContext) => OtherMeans[];
}
export type NeedTable<Ids extends NeedId = NeedId> = Record<Ids, Need>;

/** Practice grants a twentieth: half a metre where 0.51 m is wanted is half a metre. */
export const GRANTED = 0.95;
/**
 * Too little of a measure, when the item has less than wanted (a missing measure counts as nothing), past
 * what practice would grant.
 */
export function tooLittle({ item }: Aboard, attribute: AttributeId, want: number): Shortfall | null {
  const have = item.attributes[attribute] ?? 0;
  return have + 1e-9 >= want * GRANTED ? null : { code: 'too-little', attribute, have, want };
}

/** All that is wrong with a thing, together; null: nothing is. */
export function together(...list: (Shortfall | null | false)[]): Shortfall | null {
  const all = list.flatMap((one) => (one === null || one === false ? [] : eachShortfall(one)));
  return all.length > 1 ? { code: 'several', all } : (all[0] ?? null);
}
export function eachShortfall(shortfall: Shortfall): readonly Shortfall[] {
  return shortfall.code === 'several' ? shortfall.all : [shortfall];
}

/** What sort of means a kind is to a need: of one sort only one counts. null: any number counts. */
export function sortOf(need: Pick<Need, 'sort' | 'parts'>, kind: KindId, context: FitContext): string | null {
  if (need.parts) return need.parts(context).find((part) => part.kinds.includes(kind))?.id ?? null;
  return need.sort?.(kind) ?? null;
}
/** Each kind a sort of its own. */
export function ownSort(kind: KindId): string {
  return kind;
}
export function isBySort({ sort, parts }: Pick<Need, 'sort' | 'parts'>): boolean {
  return sort !== undefined || parts !== undefined;
}
/** Why a thing does not count for a need here, all of it; its condition and its battery left out. */
export function disqualified(need: Need, aboard: Aboard, context: NeedContext): Shortfall | null {
  if (need.parts && sortOf(need, aboard.item.kind, context) === null)
    return need.disqualify?.(aboard, context) ?? { code: 'not-for-this-part' };
  return need.disqualify?.(aboard, context) ?? null;
}

/** The reasons that hold. */
export function reasons(...list: (Reason | false | null)[]): Reason[] {
  return list.filter((reason) => reason !== null && reason !== false);
}

/** A raise when at least one reason holds, else null. @param unmet what is told where nothing meets it */
export function raised(unmet: FindingLevel | null, want: number, list: readonly Reason[]): Raise | null {
  return list.length > 0 ? { level: levelFor(unmet), want, unmet, reasons: list } : null;
}
/** What should be there is a Note without it; what must be there is more. */
export function levelFor(unmet: FindingLevel | null): Level {
  return unmet === null ? 'could' : unmet === 'note' ? 'should' : 'must';
}

/** No thicker wetsuits are sold, mm. */
export const THICKEST_MM = 7;

/** From which value on a Note, a Mind and a Stop are told; left out: never. */
export interface Scale {
  note?: number;
  mind?: number;
  stop?: number;
}
export function onScale(
  value: number,
  { note = Infinity, mind = Infinity, stop = Infinity }: Scale,
): FindingLevel | null {
  return value >= stop ? 'stop' : value >= mind ? 'mind' : value >= note ? 'note' : null;
}
export function quieter(level: FindingLevel | null): FindingLevel | null {
  return level === 'stop' ? 'mind' : level === 'mind' ? 'note' : null;
}
export function atMost(most: FindingLevel, level: FindingLevel | null): FindingLevel | null {
  return louder(most, level) === most ? level : most;
}
export function louder(a: FindingLevel | null, b: FindingLevel | null): FindingLevel | null {
  const order = [null, 'note', 'mind', 'stop'] as const;
  return order[Math.max(order.indexOf(a), order.indexOf(b))] ?? null;
}

/** What one piece of an item is worth to a need: its measure, where the need sums one, else one. */
export function worthOf({ amount, share, worth }: Need, item: Item, context: FitContext): number {
  if (worth) return worth(context, item);
  return amount ? (item.attributes[amount] ?? 0) * (share?.(item) ?? 1) : 1;
}
