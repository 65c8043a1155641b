import { type Container, LEAST_SUPPORT, type PlacedBox, SAME_M, supportOf } from './box';
import { type Block, isInOrder, moved } from './blocks';
import { type Space, spacesAfter, wholeSpace } from './spaces';

/** Boxes that go in together, in one of several ways. */
export interface Piece {
  ways: readonly Block[];
  boxes: number;
  filled: number;
  /** The first of its boxes to be taken out. */
  order: number;
  shortest: number;
}

/** What is preferred among the places that a block may take: the lowest number wins. */
export type Preference = (space: Space, size: Block['size'], at: readonly [number, number, number]) => number;
/** Low, then to the back, then to the left. */
export const fromTheCorner: Preference = (_, __, [x, y, z]) => z * 1e6 + y * 1e3 + x;
export const preferences: readonly Preference[] = [
  fromTheCorner,
  (_, __, [x, y, z]) => z * 1e6 + x * 1e3 + y,
  // What leaves the thinnest rest beside it.
  ({ x0, x1, y0, y1 }, [dx, dy], [, , z]) => z * 10 + Math.min(x1 - x0 - dx, y1 - y0 - dy),
  ({ x0, x1, y0, y1, z0, z1 }, [dx, dy, dz]) => Math.min(x1 - x0 - dx, y1 - y0 - dy, z1 - z0 - dz),
  // As much as possible of the space it goes into.
  ({ x0, x1, y0, y1, z0, z1 }, [dx, dy, dz]) => -(dx * dy * dz) / ((x1 - x0) * (y1 - y0) * (z1 - z0)),
  // From one wall on, layer by layer.
  (_, __, [x, y, z]) => x * 1e6 + z * 1e3 + y,
  (_, __, [x, y, z]) => y * 1e6 + z * 1e3 + x,
  // Far from the opposite corner: the open room stays in one piece.
  (_, [dx, dy, dz], [x, y, z]) => Math.hypot(x + dx, y + dy, z + dz),
];

export interface Packing {
  placed: PlacedBox[];
  unplaced: Piece[];
}

/**
 * Puts the pieces in one after another, each where it is preferred, or not at all where none of its places
 * bears it.
 * @param most volume that may stay out, m³: once more does, the rest is not tried
 */
export function build(
  container: Container,
  sequence: readonly Piece[],
  preference: Preference,
  orderOf: ReadonlyMap<string, number>,
  most = Infinity,
): Packing {
  let spaces: readonly Space[] = [wholeSpace(container)];
  const placed: PlacedBox[] = [];
  const unplaced: Piece[] = [];
  const bears = (block: Block, at: readonly [number, number, number]) => {
    const isOnFloor = at[2] <= SAME_M;
    if (isOnFloor && orderOf.size === 0) return true;
    for (const part of block.parts) {
      const isBase = part.zM <= SAME_M && !isOnFloor;
      if (!isBase && orderOf.size === 0) continue;
      const here = moved(part, at);
      if (isBase && supportOf(here, placed) < LEAST_SUPPORT - SAME_M) return false;
      if (!isInOrder(here, placed, orderOf)) return false;
    }
    return true;
  };
  const shortestLeft = sequence.map(() => Infinity);
  for (let i = sequence.length - 2; i >= 0; i -= 1)
    shortestLeft[i] = Math.min(shortestLeft[i + 1] ?? Infinity, sequence[i + 1]?.shortest ?? Infinity);
  let out = 0;
  sequence.forEach((piece, i) => {
    if (out > most) {
      unplaced.push(piece);
      return;
    }
    let best: { block: Block; at: readonly [number, number, number] } | null = null;
    let least = Infinity;
    for (const space of spaces) {
      const [wx, wy, wz] = [space.x1 - space.x0, space.y1 - space.y0, space.z1 - space.z0];
      for (const block of piece.ways) {
        const [dx, dy, dz] = block.size;
        if (dx > wx + SAME_M || dy > wy + SAME_M || dz > wz + SAME_M) continue;
        // In a corner of the space's floor: the far ones only where they differ.
        const nx = wx - dx > SAME_M ? 2 : 1;
        const ny = wy - dy > SAME_M ? 2 : 1;
        for (let cx = 0; cx < nx; cx += 1)
          for (let cy = 0; cy < ny; cy += 1) {
            const at = [
              cx === 0 ? space.x0 : space.x1 - dx,
              cy === 0 ? space.y0 : space.y1 - dy,
              space.z0,
            ] as const;
            const worth = preference(space, block.size, at);
            if (worth >= least || !bears(block, at)) continue;
            least = worth;
            best = { block, at };
          }
      }
    }
    if (best === null) {
      unplaced.push(piece);
      out += piece.filled;
      return;
    }
    const { block, at } = best as { block: Block; at: readonly [number, number, number] };
    placed.push(...block.parts.map((part) => moved(part, at)));
    const [dxM, dyM, dzM] = block.size;
    const taken = { id: '', xM: at[0], yM: at[1], zM: at[2], dxM, dyM, dzM };
    spaces = spacesAfter(spaces, taken, (shortestLeft[i] ?? Infinity) - SAME_M);
  });
  return { placed, unplaced };
}
