import { isRod, isSoft, sizeOf, storageOf } from '../catalog/gear/stowing';
import type { Zone } from '../documents/boatParts';
import type { Item } from '../documents/item';
import type { Box, Container, PlacedBox } from '../packing/box';
import type { Layer } from '../vocabulary/stow';
import type { Placed } from './plan';

/** Walls of what is hard, m. Rule of thumb. */
const WALL_M = 0.01;
/** Of an open crate so much more than its height is used: things stand out over its rim. Rule of thumb. */
const OVER_RIM = 1.5;
/** What is soft gives: so much of each side is left when it is pressed. Rule of thumb. */
const PRESSED = 0.9;
/** What lies on top is taken out first; what lies at the bottom is not asked for on the way. */
const orders: Readonly<Record<Layer, number | undefined>> = { top: 1, middle: 2, bottom: undefined };

/**
 * A container or a place with what is meant to go into it, as boxes: length along x, width along y, height
 * along z.
 */
export interface ToPack {
  container: Container;
  boxes: readonly Box[];
  /** Whose box each is, by the box's id. */
  itemOf: ReadonlyMap<string, Item>;
  /** Stands in tubes or over the rim, and takes no room among the rest. */
  standing: readonly Item[];
}

export function toPack(container: Item, contents: readonly Placed[]): ToPack {
  const [long, middle, short] = sizeOf(container);
  const soft = isSoft(container.kind);
  const wall = soft ? 0 : 2 * WALL_M;
  // A bag stands on its end, and is filled from its mouth.
  const [xM, yM, zM] = soft ? [middle, short, long] : [long - wall, middle - wall, short - wall];
  const rim = storageOf(container).shut ? 1 : OVER_RIM;
  return packingOf({ xM, yM, zM: zM * rim }, contents);
}

/** The same for a hatch, a pod or a well of the boat, by its own room and the mass that it carries. */
export function toPackPlace(zone: Zone, contents: readonly Placed[]): ToPack {
  const { lengthM, widthM, heightM, maxKg } = zone;
  return packingOf({ xM: lengthM, yM: widthM, zM: heightM, maxKg: maxKg ?? undefined }, contents);
}

function packingOf(container: Container, contents: readonly Placed[]): ToPack {
  const lying = contents.filter(({ one }) => !isRod(one.item.kind));
  const itemOf = new Map<string, Item>();
  const boxes = lying.flatMap(({ one: { item, entry }, spot }) => {
    const [a, b, c] = sizeOf(item).map((side) => side * (isSoft(item.kind) ? PRESSED : 1));
    return Array.from({ length: entry.quantity }, (_, i): Box => {
      const id = i === 0 ? item.id : `${item.id} ${i + 1}`;
      itemOf.set(id, item);
      return { id, xM: a ?? 0, yM: b ?? 0, zM: c ?? 0, massKg: item.massKg, order: orders[spot.layer] };
    });
  });
  return {
    container,
    boxes,
    itemOf,
    standing: contents.filter(({ one }) => isRod(one.item.kind)).map(({ one }) => one.item),
  };
}

/** One thing to put in, in its turn: where in the container, and how it lies. */
export interface PackStep {
  box: PlacedBox;
  where: string;
  lies: 'flat' | 'on edge' | 'upright';
}
/** In which order they go in: from the bottom up, from the back to the front. */
export function packSteps({ xM, yM }: Container, placed: readonly PlacedBox[]): PackStep[] {
  return placed
    .toSorted((a, b) => a.zM - b.zM || a.yM - b.yM || a.xM - b.xM)
    .map((box) => ({ box, where: placeIn(box, xM, yM), lies: liesIn(box) }));
}
function placeIn(box: PlacedBox, longM: number, wideM: number): string {
  const third = (at: number, whole: number, names: readonly [string, string, string]) =>
    at < whole / 3 ? names[0] : at > (whole * 2) / 3 ? names[2] : names[1];
  const across = third(box.xM + box.dxM / 2, longM, ['left', '', 'right']);
  const along = third(box.yM + box.dyM / 2, wideM, ['back', '', 'front']);
  return [along, across].filter((one) => one !== '').join(' ') || 'middle';
}
const NEAR_M = 1e-6;
function liesIn({ dxM, dyM, dzM }: PlacedBox): PackStep['lies'] {
  if (dzM >= Math.max(dxM, dyM) - NEAR_M && dzM > Math.min(dxM, dyM) + NEAR_M) return 'upright';
  return dzM <= Math.min(dxM, dyM) + NEAR_M ? 'flat' : 'on edge';
}
