import { kinds } from '../catalog/gear/kinds';
import type { PlaceId } from '../catalog/gear/places';
import { type Aboard, type Looked, idsAboard } from '../documents/references';
import type { Craft } from '../documents/craft';
import { rememberFor } from '../units/remember';
import { fittingsOf, seatOf } from './build';
import { type Lading, usualSpot } from './lading';

/** Shares of the maker's rating at which the product speaks. Rules of thumb; the maker's rating always wins. */
export const LOAD_NOTE = 0.75;
export const LOAD_MIND = 0.9;
export const LOAD_STOP = 1;
/** The same for what rides behind the seat, against the maker's figure for the well. Where a thing really goes is not known: a quarter is left before a Stop. */
export const STERN_MIND = 1;
export const STERN_STOP = 1.25;
/** What the catch will weigh, kg. */
interface Expected {
  keepKg: number;
}

const behindTheSeat: ReadonlySet<PlaceId> = new Set<PlaceId>(['tankwell', 'stern']);

/** What the hull carries, kg: angler, what is fitted, all that is aboard, and the fish expected. null without angler or craft. */
export function carriedKg(looked: Looked, expected: Expected): number | null {
  if (!looked.angler || !looked.craft) return null;
  return looked.angler.massKg + fittedKg(looked.craft) + gearKg(looked) + expected.keepKg;
}

/** Mass of what is fitted in the set-up the boat is in, kg; behind a place along it, where one is named. */
function fittedKg(craft: Craft, behindM = Infinity): number {
  return fittingsOf(craft).reduce((sum, { massKg, xM }) => sum + (xM < behindM ? massKg : 0), 0);
}

/** Mass of the loadout alone, kg. What stays in the vehicle or rides in another boat is not aboard. */
export function gearKg(looked: Looked): number {
  let sum = 0;
  for (const one of looked.aboard) if (kinds[one.item.kind].place !== 'vehicle') sum += inOwnBoatKg(one);
  return sum;
}

/**
 * What rides behind the seat by where each thing usually goes, kg: in its container, if that is aboard. The fish expected ride with
 * their store. An estimate: where a thing really goes is the angler's.
 */
export function sternLoad(looked: Looked, expected: Expected): { massKg: number; items: readonly Aboard[] } {
  const items: Aboard[] = [];
  let store = false;
  let massKg = looked.craft ? fittedKg(looked.craft, seatOf(looked.craft).xM) : 0;
  for (const one of looked.aboard) {
    if (one.entry.carriedBy !== null || !behindTheSeat.has(usualPlace(one, looked))) continue;
    items.push(one);
    massKg += inOwnBoatKg(one);
    store ||= kinds[one.item.kind].means.includes('cold-store');
  }
  const fishKg = store ? expected.keepKg : 0;
  return { massKg: massKg + fishKg, items };
}

function inOwnBoatKg({ item, entry }: Aboard): number {
  return entry.carriedBy === null ? item.massKg * entry.quantity : 0;
}

/** Where a thing usually lies: where its container does, if that is aboard and it is in it. */
export function usualPlace({ item, entry }: Aboard, looked: Looked): PlaceId {
  const { containerId } = item;
  const packed = containerId !== null && !entry.outsideContainer && idsAboard(looked).has(containerId);
  const inside = packed ? looked.items.get(containerId) : undefined;
  return kinds[(inside ?? item).kind].place;
}

const spots = rememberFor((_: Craft) => new Map<PlaceId, { heightM: number; spot: Omit<Lading, 'massKg'> | null }>());
function spotOn(craft: Craft, place: PlaceId, heightM: number): Omit<Lading, 'massKg'> | null {
  const known = spots(craft);
  const found = known.get(place);
  if (found?.heightM === heightM) return found.spot;
  const spot = usualSpot(craft, place, heightM);
  known.set(place, { heightM, spot });
  return spot;
}

/**
 * All that is aboard of one's own boat, with the fish expected, at its common centre: each thing at its kind's usual place in this boat.
 * Mass to half a kilogram, places to a centimetre, so that what hangs on it stands while little changes. null without angler or craft.
 */
export function gearLading(looked: Looked, { keepKg }: Expected): Lading | null {
  const { craft, angler } = looked;
  if (!craft || !angler) return null;
  let [massKg, x, y, z] = [0, 0, 0, 0];
  const put = (place: PlaceId, kg: number) => {
    const spot = kg > 0 ? spotOn(craft, place, angler.heightM) : null;
    if (!spot) return;
    massKg += kg;
    x += kg * spot.xM;
    y += kg * spot.yM;
    z += kg * spot.zM;
  };
  for (const one of looked.aboard) put(usualPlace(one, looked), inOwnBoatKg(one));
  put('tankwell', keepKg);
  const to = (value: number, step: number) => Math.round(value / step) * step;
  const at = (sum: number) => (massKg > 0 ? to(sum / massKg, 0.01) : 0);
  return { massKg: to(massKg, 0.5), xM: at(x), yM: at(y), zM: at(z) };
}
