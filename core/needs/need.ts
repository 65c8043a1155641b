import type { AttributeId } from '../catalog/gear/attributes';
import type { Exposures } from '../exposures/exposures';
import type { Brief } from '../documents/outing';
import type { Item } from '../documents/item';
import type { Aboard, Places } from '../documents/references';
import type { NeedId } from '../vocabulary/needs';

export const levels = ['law', 'must', 'should', 'could'] as const;
export type Level = (typeof levels)[number];

/** What raised a need, with its figures. Sentences are made in findings/phraseNeeds. */
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
        | 'open-water'
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
  | { because: 'distance'; metres: number }
  | { because: 'dark'; minutes: number; until: string }
  | { because: 'swell'; metres: number }
  | { because: 'surf'; breakerM: number }
  | { because: 'rapids'; count: number }
  | { because: 'cold-water'; waterC: number }
  | { because: 'cold-air'; feelsC: number }
  | { because: 'deep'; metres: number }
  | { because: 'released' }
  | { because: 'hours'; hours: number }
  | { because: 'wind'; mps: number }
  | { because: 'heat'; airC: number }
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
        | 'gaff-inflatable'
        | 'gaff-release'
        | 'grip-mouth'
        | 'rope-small'
        | 'first-paddle'
        | 'not-practised'
        | 'no-contact'
        | 'alarm-early'
        | 'wrong-technique'
        | 'bites-through'
        | 'too-thin'
        | 'not-waterproof'
        | 'not-retained'
        | 'not-charged'
        | 'school-no-anchor'
        | 'no-release'
        | 'in-other-boat';
    }
  | { code: 'out-of-date'; on: string }
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
  /** Whether life hangs on it here, so that missing it shuts the gate. */
  lifeCritical: boolean;
  reasons: readonly Reason[];
}
/** What may raise a need: never what is aboard, which is what is asked for. */
export interface RaiseContext {
  exposures: Exposures;
  brief: Brief;
  places: Places;
}
export interface NeedContext extends RaiseContext {
  aboard: readonly Aboard[];
  /** The paddle that is the first propulsion of a paddled boat, so not its spare. */
  firstPaddleId: string | null;
}
/** A means that is not an item: a part of the boat, the angler's practice, the plan with a person ashore. */
export interface OtherMeans {
  by: 'craft' | 'angler' | 'plan';
  part: 'drive' | 'plugs' | 'practice' | 'contact';
  shortfall: Shortfall | null;
}

/** One record of the catalogue. */
export interface Need {
  title: string;
  /** What happens without it, one plain sentence. */
  without: string;
  /** Summed in this measure instead of counted by means. */
  amount?: AttributeId;
  /** Share of an item's own measure that counts; left out: all of it. */
  share?: (item: Item) => number;
  /** One of it serves the whole party, and may lie in any boat of it. */
  shared?: boolean;
  /** Means must be of different kinds (a lamp on the mast and one on the head). */
  distinctKinds?: boolean;
  raise: (context: RaiseContext) => Raise | null;
  /** Why a serviceable item of a fitting kind still does not count here; null: it counts. */
  disqualify?: (aboard: Aboard, context: NeedContext) => Shortfall | null;
  others?: (context: NeedContext) => OtherMeans[];
}
export type NeedTable<Ids extends NeedId = NeedId> = Record<Ids, Need>;

/** Too little of a measure, when the item has less than wanted (a missing measure counts as nothing). */
export function tooLittle({ item }: Aboard, attribute: AttributeId, want: number): Shortfall | null {
  const have = item.attributes[attribute] ?? 0;
  return have + 1e-9 >= want ? null : { code: 'too-little', attribute, have, want };
}

/** The reasons that hold. */
export function reasons(...list: (Reason | false | null)[]): Reason[] {
  return list.filter((reason) => reason !== null && reason !== false);
}

/** A raise when at least one reason holds, else null. */
export function raised(level: Level, want: number, lifeCritical: boolean, list: readonly Reason[]): Raise | null {
  return list.length > 0 ? { level, want, lifeCritical, reasons: list } : null;
}

/** What one piece of an item is worth to a need: its measure, where the need sums one, else one. */
export function worthOf({ amount, share }: Need, item: Item): number {
  return amount ? (item.attributes[amount] ?? 0) * (share?.(item) ?? 1) : 1;
}
