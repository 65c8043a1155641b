import {
  type Box,
  type Container,
  LEAST_SUPPORT,
  type PlacedBox,
  SAME_M,
  sharedBase,
  supportOf,
  turnsOf,
} from './box';

/** One or several boxes put together, and placed as one: its sides, m, and its parts from its own corner. */
export interface Block {
  size: readonly [number, number, number];
  parts: readonly PlacedBox[];
  /** What its parts fill, m³. */
  filled: number;
  /** A bit for each of its boxes. */
  boxes: number;
}

/** Blocks that are made at most: more are seldom better, and all are compared. */
const MOST_BLOCKS = 500;

/** Each box by itself, in every way it may be turned. */
export function singles(boxes: readonly Box[]): Block[] {
  return boxes.flatMap((box, i) =>
    turnsOf(box).map((size): Block => {
      const [dxM, dyM, dzM] = size;
      return {
        size,
        parts: [{ id: box.id, xM: 0, yM: 0, zM: 0, dxM, dyM, dzM }],
        filled: dxM * dyM * dzM,
        boxes: 2 ** i,
      };
    }),
  );
}

/**
 * Boxes put side by side or one on the other wherever next to nothing is left open between them, again and
 * again: what was cut out of one piece comes together as it was.
 * @param leastFill share of a block that its parts fill, 0 to 1
 * @param orderOf when a box is taken out: nothing later may lie over it
 */
export function blocksOf(
  container: Container,
  boxes: readonly Box[],
  leastFill: number,
  orderOf: ReadonlyMap<string, number>,
): Block[] {
  const limits = [container.xM, container.yM, container.zM] as const;
  const all = singles(boxes).filter(({ size }) =>
    size.every((side, axis) => side <= (limits[axis] ?? 0) + SAME_M),
  );
  const known = new Set<string>();
  for (let i = 0; i < all.length && all.length < MOST_BLOCKS; i += 1)
    for (let j = 0; j < i && all.length < MOST_BLOCKS; j += 1) {
      const [a, b] = [all[i], all[j]];
      if (!a || !b || (a.boxes & b.boxes) !== 0) continue;
      for (const axis of [0, 1, 2] as const) {
        const joined = join(a, b, axis, leastFill, limits);
        if (joined === null) continue;
        const key = `${joined.boxes} ${joined.size.map((side) => Math.round(side * 1e6)).join(' ')}`;
        if (known.has(key)) continue;
        known.add(key);
        const block = axis === 2 ? (stacked(a, b, orderOf) ?? stacked(b, a, orderOf)) : besides(a, b, axis);
        if (block) all.push({ ...joined, parts: block });
      }
    }
  return all;
}

/** What two blocks come to along an axis; null: too much of it would be empty, or it is too long. */
function join(
  a: Block,
  b: Block,
  axis: 0 | 1 | 2,
  leastFill: number,
  limits: Block['size'],
): Omit<Block, 'parts'> | null {
  const [ax, ay, az] = a.size;
  const [bx, by, bz] = b.size;
  const x = axis === 0 ? ax + bx : Math.max(ax, bx);
  const y = axis === 1 ? ay + by : Math.max(ay, by);
  const z = axis === 2 ? az + bz : Math.max(az, bz);
  const filled = a.filled + b.filled;
  if (filled < leastFill * x * y * z) return null;
  if (x > limits[0] + SAME_M || y > limits[1] + SAME_M || z > limits[2] + SAME_M) return null;
  return { size: [x, y, z], filled, boxes: a.boxes | b.boxes };
}
function besides(a: Block, b: Block, axis: 0 | 1): PlacedBox[] {
  return [
    ...a.parts,
    ...b.parts.map((part) => moved(part, axis === 0 ? [a.size[0], 0, 0] : [0, a.size[1], 0])),
  ];
}
/** One on the other; null: what is above would not rest, or would be in the way of what is taken out first. */
function stacked(low: Block, high: Block, orderOf: ReadonlyMap<string, number>): PlacedBox[] | null {
  const above = high.parts.map((part) => moved(part, [0, 0, low.size[2]]));
  const rests = above.every(
    (part, i) => (high.parts[i]?.zM ?? 0) > SAME_M || supportOf(part, low.parts) >= LEAST_SUPPORT - SAME_M,
  );
  return rests && above.every((part) => isInOrder(part, low.parts, orderOf))
    ? [...low.parts, ...above]
    : null;
}

export function moved(part: PlacedBox, [x, y, z]: readonly [number, number, number]): PlacedBox {
  return { ...part, xM: part.xM + x, yM: part.yM + y, zM: part.zM + z };
}
/** Whether what is above is taken out no later than what lies under it. */
export function isInOrder(
  box: PlacedBox,
  others: readonly PlacedBox[],
  orderOf: ReadonlyMap<string, number>,
): boolean {
  if (orderOf.size === 0) return true;
  const order = orderOf.get(box.id) ?? Infinity;
  return others.every((other) => {
    const its = orderOf.get(other.id) ?? Infinity;
    if (order === its || sharedBase(box, other) === 0) return true;
    return other.zM + other.dzM <= box.zM + SAME_M ? order <= its : its <= order;
  });
}
