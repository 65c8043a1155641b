import { kinds } from '../gear/kinds';
import type { Exposures } from '../exposures/exposures';
import type { Looked } from '../outing/references';

/** Shares of the maker's rating at which the product speaks. Rules of thumb; the maker's rating always wins. */
export const LOAD_NOTE = 0.75;
export const LOAD_MIND = 0.9;
export const LOAD_STOP = 1;

/** What the hull carries, kg: angler, all that is aboard, and the fish expected. null without angler or craft. */
export function carriedKg(looked: Looked, e: Exposures): number | null {
  if (!looked.angler || !looked.craft) return null;
  return looked.angler.massKg + gearKg(looked) + e.keepKg;
}

/** Mass of the loadout alone, kg. What stays in the vehicle or rides in another boat is not aboard. */
export function gearKg(looked: Looked): number {
  return looked.aboard.reduce(
    (sum, { item, entry }) =>
      sum + (kinds[item.kind].place === 'vehicle' || entry.withId !== null ? 0 : item.massKg * entry.quantity),
    0,
  );
}
