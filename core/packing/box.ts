/** A box to pack. Lengths in metres, more than nought. */
export interface Box {
  id: string;
  xM: number;
  yM: number;
  zM: number;
  massKg?: number | undefined;
  /** Its z stays up: it is only turned about the upright. */
  upright?: boolean | undefined;
  /** 1 is taken out first: nothing of a higher order, or of none, may lie over it. */
  order?: number | undefined;
}
/** What they go into, open at the top. */
export interface Container {
  xM: number;
  yM: number;
  zM: number;
  /** The most that it may carry, kg; left out: no limit. */
  maxKg?: number | undefined;
}
/** Where a box went: its corner nearest the origin, and how long it is along each axis as it was turned. */
export interface PlacedBox {
  id: string;
  xM: number;
  yM: number;
  zM: number;
  dxM: number;
  dyM: number;
  dzM: number;
}

/** More boxes than this are not asked of a crate: the sets of blocks are counted in the bits of a number. */
export const MOST_BOXES = 30;
/** Lengths nearer than this are the same, m. */
export const SAME_M = 1e-7;
/** A box rests on the floor, or on at least this share of its base. */
export const LEAST_SUPPORT = 0.75;

type Turned = readonly [number, number, number];
/** Every way a box may be turned, each once. */
export function turnsOf({ xM, yM, zM, upright }: Box): Turned[] {
  const all: Turned[] = upright
    ? [
        [xM, yM, zM],
        [yM, xM, zM],
      ]
    : [
        [xM, yM, zM],
        [yM, xM, zM],
        [xM, zM, yM],
        [zM, xM, yM],
        [yM, zM, xM],
        [zM, yM, xM],
      ];
  return all.filter(
    (one, i) => all.findIndex((other) => other.every((side, axis) => side === one[axis])) === i,
  );
}
export function volumeOf({ xM, yM, zM }: Pick<Box, 'xM' | 'yM' | 'zM'>): number {
  return xM * yM * zM;
}
/** How far in two boxes overlap along an axis, m; negative: so far apart. */
function overlap(a: number, da: number, b: number, db: number): number {
  return Math.min(a + da, b + db) - Math.max(a, b);
}
/** The area in which one box lies over or under another, m². */
export function sharedBase(a: PlacedBox, b: PlacedBox): number {
  const x = overlap(a.xM, a.dxM, b.xM, b.dxM);
  const y = overlap(a.yM, a.dyM, b.yM, b.dyM);
  return x > SAME_M && y > SAME_M ? x * y : 0;
}
export function overlaps(a: PlacedBox, b: PlacedBox): boolean {
  return sharedBase(a, b) > 0 && overlap(a.zM, a.dzM, b.zM, b.dzM) > SAME_M;
}
/** The share of its base that a box has the floor or other boxes under, 0 to 1. */
export function supportOf(box: PlacedBox, others: readonly PlacedBox[]): number {
  if (box.zM <= SAME_M) return 1;
  let area = 0;
  for (const other of others)
    if (Math.abs(other.zM + other.dzM - box.zM) <= SAME_M) area += sharedBase(box, other);
  return area / (box.dxM * box.dyM);
}
