import { kinds } from '../catalog/gear/kinds';
import type { NeedId } from '../vocabulary/needs';
import type { Placed, StowPlan } from './plan';

/** Needs that have to be met after a capsize too. */
export const afterRoll: readonly NeedId[] = [
  'call-for-help',
  'sound-signal',
  'cut-line',
  'take-water-out',
  'distress-signal',
  'be-seen-night',
  'propulsion',
  'second-propulsion',
  'navigate',
];

/** What a capsize makes of a thing: it stays where it is, hangs on its leash, floats away, or sinks. */
export type Fate = 'stays' | 'hangs' | 'floats away' | 'sinks';

export function fateOf({ lies, spot, one, eye }: Placed): Fate {
  if (lies.in !== 'zone') return 'stays';
  // A leash that goes nowhere holds nothing.
  const tied = spot.held !== 'leashed' || spot.in !== 'zone' || eye !== null;
  if (lies.held && tied) return spot.held === 'leashed' && lies.compartment === null ? 'hangs' : 'stays';
  return one.item.qualities.includes('floats') ? 'floats away' : 'sinks';
}
export function isLost(placed: Placed): boolean {
  const fate = fateOf(placed);
  return fate === 'floats away' || fate === 'sinks';
}
/** What goes with a capsize, heaviest first. */
export function lostIn({ things }: StowPlan): readonly Placed[] {
  return things.filter(isLost).toSorted((a, b) => b.one.item.massKg - a.one.item.massKg);
}
/** The cold stores that are lost in a capsize: the fish kept go with them. */
export function lostWithFish(plan: StowPlan): readonly Placed[] {
  return lostIn(plan).filter(({ one: { item } }) => kinds[item.kind].means.includes('cold-store'));
}
