import { isRod, isSoft, sizeOf } from '../catalog/gear/stowing';
import type { Zone } from '../documents/boatParts';
import type { Item } from '../documents/item';
import { rememberFor } from '../units/remember';
import { USABLE_SHARE } from '../units/constants';
import type { ZoneKind } from '../vocabulary/boat';

/** Packed things give a little: so much of a dimension. */
const GIVES = 1.1;
/** What is soft goes through an opening that its least side is so many times as wide as. */
const PRESSED = 1.6;
/** What lies open may stand out over the end of its place by as much of itself again. */
const OVERHANG = 2.2;
const ROD_OVERHANG = 3;
/** Kinds of place in which a thing stands or hangs, whatever its length. */
const holders: ReadonlySet<ZoneKind> = new Set<ZoneKind>(['rod tube', 'rod holder', 'pad-eye', 'rail']);
/** What goes into a holder has a handle this thick at most, m: shorter side of what it packs to. */
const HANDLE_M = 0.16;
/** What hangs on a rail is this thick at most, m. */
const RAIL_M = 0.3;

export type NoFit =
  | { why: 'opening'; haveM: number; wantM: number }
  | { why: 'inside'; haveM: number; wantM: number }
  | { why: 'mass'; haveKg: number; wantKg: number };

/** A place with a lid or walls all round. */
export function isClosed({ kind, opening }: Pick<Zone, 'kind' | 'opening'>): boolean {
  return (
    kind === 'hatch' || (kind === 'pod' && opening !== null) || (opening !== null && kind !== 'tank well')
  );
}

const known = rememberFor((_: Zone) => new WeakMap<Item, NoFit | 'fits'>());
/**
 * Why a thing does not go into a place of the boat by itself: the opening, the room inside, or its mass;
 * null: it does.
 */
export function fitsIn(item: Item, zone: Zone): NoFit | null {
  const tried = known(zone);
  let answer = tried.get(item);
  if (answer === undefined) {
    answer = look(item, zone) ?? 'fits';
    tried.set(item, answer);
  }
  return answer === 'fits' ? null : answer;
}
function look(item: Item, zone: Zone): NoFit | null {
  const [long, middle, short] = sizeOf(item);
  if (zone.maxKg !== null && item.massKg > zone.maxKg + 1e-9)
    return { why: 'mass', haveKg: item.massKg, wantKg: zone.maxKg };
  if (holders.has(zone.kind)) {
    // A net stands by its handle, however wide its hoop.
    const stands = isRod(item.kind) || (item.attributes.hoopM ?? 0) > 0 || zone.kind === 'pad-eye';
    const most = zone.kind === 'rail' ? RAIL_M : HANDLE_M;
    return stands || middle <= most ? null : { why: 'inside', haveM: middle, wantM: most };
  }
  // What is soft is pressed through an opening and into a corner: it takes its litres, and no shape.
  if (isSoft(item.kind) && isClosed(zone)) {
    const narrow = zone.opening ? Math.min(zone.opening.longM, zone.opening.shortM) : Infinity;
    if (short > narrow * PRESSED) return { why: 'opening', haveM: short, wantM: narrow };
    const room = roomOf(zone) ?? Infinity;
    return litresOf(item) <= room
      ? null
      : { why: 'inside', haveM: Math.cbrt(litresOf(item) / 1000), wantM: Math.cbrt(room / 1000) };
  }
  if (zone.opening) {
    const { longM, shortM } = zone.opening;
    const wide = Math.max(longM, shortM) * GIVES;
    const narrow = Math.min(longM, shortM) * GIVES;
    // It goes in end first: its two lesser sides have to pass.
    if (short > narrow) return { why: 'opening', haveM: short, wantM: narrow / GIVES };
    if (middle > wide) return { why: 'opening', haveM: middle, wantM: wide / GIVES };
  }
  const [far, near] = [Math.max(zone.lengthM, zone.widthM), Math.min(zone.lengthM, zone.widthM)];
  if (isClosed(zone)) {
    const inside = [zone.lengthM, zone.widthM, zone.heightM].toSorted((a, b) => b - a);
    const sides = [long, middle, short];
    for (const [i, side] of sides.entries())
      if (side > (inside[i] ?? 0) * GIVES) return { why: 'inside', haveM: side, wantM: inside[i] ?? 0 };
    return null;
  }
  const overhang = isRod(item.kind) ? ROD_OVERHANG : OVERHANG;
  // On an open place it lies flat or stands: two of its sides lie on the floor of it.
  if (short > near * GIVES) return { why: 'inside', haveM: short, wantM: near };
  const lies = middle <= near * GIVES && long <= far * overhang;
  const onEdge = short <= near * GIVES && long <= far * overhang && middle <= zone.heightM * OVERHANG;
  const stands =
    middle <= far * GIVES && short <= near * GIVES && long <= Math.max(zone.heightM * OVERHANG, far);
  if (lies || onEdge || stands) return null;
  return long > far * overhang
    ? { why: 'inside', haveM: long, wantM: far }
    : { why: 'inside', haveM: middle, wantM: near };
}

/** Room of a thing, L. */
export function litresOf(item: Item): number {
  const [a, b, c] = sizeOf(item);
  return a * b * c * 1000;
}
/** Room that can be filled, L; null: it is no room, things stand or hang there. */
export function roomOf(zone: Zone): number | null {
  if (holders.has(zone.kind)) return null;
  const over = isClosed(zone) ? 1 : 1.5;
  return zone.lengthM * zone.widthM * zone.heightM * over * 1000 * USABLE_SHARE;
}
/** How many things stand in a holder; null: it is none. */
export function standsIn({ kind }: Zone): number | null {
  return kind === 'rod tube' || kind === 'rod holder' ? 1 : null;
}
