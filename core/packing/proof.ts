import { type Box, type Container, type PlacedBox, SAME_M, overlaps, turnsOf, volumeOf } from './box';

/** More boxes than this are not searched exhaustively. */
const MOST_EXACT = 7;
/** The search gives up after this many positions. */
const MOST_POSITIONS = 400_000;

/** Why boxes can never all go in. */
export type Impossible = 'mass' | 'volume' | 'dimension' | 'search';

/**
 * What proves that the boxes cannot all go in; null: nothing does, which is no promise that they can.
 * The search asks only that nothing overlaps: what is impossible without regard to support is so with it.
 */
export function impossible(container: Container, boxes: readonly Box[]): Impossible | null {
  const { maxKg } = container;
  if (maxKg !== undefined && boxes.reduce((sum, { massKg }) => sum + (massKg ?? 0), 0) > maxKg) return 'mass';
  const fits = ([x, y, z]: readonly [number, number, number]) =>
    x <= container.xM + SAME_M && y <= container.yM + SAME_M && z <= container.zM + SAME_M;
  if (boxes.some((box) => !turnsOf(box).some(fits))) return 'dimension';
  const volume = boxes.reduce((sum, box) => sum + volumeOf(box), 0);
  if (volume > volumeOf(container) * (1 + SAME_M)) return 'volume';
  return boxes.length <= MOST_EXACT && isProvenBySearch(container, boxes) ? 'search' : null;
}

/**
 * Whether a search through every arrangement that is pushed into the corner of the origin finds none: its
 * edges lie at sums of sides of other boxes. False too where the search grew too long to end.
 */
function isProvenBySearch(container: Container, boxes: readonly Box[]): boolean {
  const largest = boxes.toSorted((a, b) => volumeOf(b) - volumeOf(a));
  const axes = [container.xM, container.yM, container.zM].map((length, axis) =>
    largest.map((_, i) =>
      sums(
        largest.filter((__, j) => j !== i),
        axis,
        length,
      ),
    ),
  );
  let positions = 0;
  const placed: PlacedBox[] = [];
  /** true: all lie; false: none of this branch can; null: too long. */
  const place = (i: number): boolean | null => {
    const box = largest[i];
    if (!box) return true;
    for (const [dxM, dyM, dzM] of turnsOf(box))
      for (const xM of axes[0]?.[i] ?? []) {
        if (xM + dxM > container.xM + SAME_M) break;
        for (const yM of axes[1]?.[i] ?? []) {
          if (yM + dyM > container.yM + SAME_M) break;
          for (const zM of axes[2]?.[i] ?? []) {
            if (zM + dzM > container.zM + SAME_M) break;
            if ((positions += 1) > MOST_POSITIONS) return null;
            const at = { id: box.id, xM, yM, zM, dxM, dyM, dzM };
            if (placed.some((other) => overlaps(at, other))) continue;
            placed.push(at);
            const found = place(i + 1);
            placed.pop();
            if (found !== false) return found;
          }
        }
      }
    return false;
  };
  return place(0) === false;
}
/** Every sum of sides of some of the boxes along an axis that leaves room, shortest first. */
function sums(boxes: readonly Box[], axis: number, most: number): number[] {
  let all = [0];
  for (const box of boxes) {
    const sides = new Set(turnsOf(box).map((turned) => turned[axis] ?? 0));
    const more = all.flatMap((sum) => [...sides].map((side) => sum + side).filter((one) => one < most));
    all = [...all, ...more]
      .toSorted((a, b) => a - b)
      .filter((one, i, list) => i === 0 || one - (list[i - 1] ?? 0) > SAME_M);
  }
  return all;
}
