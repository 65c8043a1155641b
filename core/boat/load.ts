import type { Craft } from '../documents/craft';
import { type OutingInView, ridesAlong } from '../documents/references';
import { fittingsOf } from './build';

/**
 * Shares of the maker's rating at which the product speaks. Rules of thumb; the maker's rating always wins.
 */
export const LOAD_NOTE = 0.75;
export const LOAD_MIND = 0.9;
export const LOAD_STOP = 1;
/**
 * The same for what rides behind the seat, against the maker's figure for the well: a quarter is left before
 * a Stop.
 */
export const STERN_MIND = 1;
export const STERN_STOP = 1.25;
/** What the catch will weigh, kg. */
interface Expected {
  keepKg: number;
}

/**
 * What the hull carries, kg: angler, what is fitted, all that is aboard, and the fish expected. null without
 * angler or craft.
 */
export function carriedKg(looked: OutingInView, expected: Expected): number | null {
  if (!looked.angler || !looked.craft) return null;
  return looked.angler.massKg + fittedKg(looked.craft) + gearKg(looked) + expected.keepKg;
}

/** Mass of what is fitted in the set-up the boat is in, kg; behind a place along it, where one is named. */
export function fittedKg(craft: Craft, behindM = Infinity): number {
  return fittingsOf(craft).reduce((sum, { massKg, xM }) => sum + (xM < behindM ? massKg : 0), 0);
}

/** Mass of the loadout alone, kg. What stays in the vehicle or rides in another boat is not aboard. */
export function gearKg(looked: OutingInView): number {
  let sum = 0;
  for (const one of looked.aboard) if (ridesAlong(one)) sum += one.item.massKg * one.entry.quantity;
  return sum;
}
