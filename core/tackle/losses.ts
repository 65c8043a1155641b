import type { Item } from '../documents/item';
import type { Technique } from '../vocabulary/trips';
import type { Bottom } from '../vocabulary/holding';

/**
 * Lures or leads lost an hour over clean sand by how one fishes. Starting values, rule of thumb: one's own
 * count replaces them.
 */
const BY_TECHNIQUE: Record<Technique, number> = {
  casting: 0.1,
  jigging: 0.15,
  trolling: 0.1,
  drifting: 0.2,
  'anchored bait': 0.2,
  'live bait': 0.15,
  fly: 0.2,
  'sight fishing': 0.1,
};
/** How many times that over other bottoms. */
const BY_BOTTOM: Record<Bottom, number> = { sand: 1, mud: 1, gravel: 1.5, weed: 2, rock: 3 };
/** Added for fish whose teeth cut. */
const BY_TEETH = 0.15;

/**
 * What is lost of one kind of lure an hour: its own figure where it is written down, else by technique,
 * bottom and teeth.
 */
export function lossRate(
  item: Item,
  techniques: readonly Technique[],
  bottom: Bottom | null,
  toothy: boolean,
): { perHour: number; own: boolean } {
  const own = item.attributes.lossPerHour;
  if (own !== undefined) return { perHour: own, own: true };
  const technique = Math.max(0, ...techniques.map((one) => BY_TECHNIQUE[one]));
  return { perHour: technique * (bottom ? BY_BOTTOM[bottom] : 1) + (toothy ? BY_TEETH : 0), own: false };
}
