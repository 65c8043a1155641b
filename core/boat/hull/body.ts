import type { Station } from '../../documents/hullShape';

/**
 * What displaces water, cut into slices across: closed outlines with the weights by which Simpson's rule adds
 * them up. Kept in flat arrays, because a heeled waterline asks for every edge of them many times.
 */
export interface Body {
  /** 1: it displaces; −1: a hole in what displaces, such as a well that water stands in. */
  sign: 1 | -1;
  x: Float64Array;
  weight: Float64Array;
  /** Where each slice's points begin; one more than there are slices. */
  from: Int32Array;
  y: Float64Array;
  z: Float64Array;
  /** How far each slice reaches to port, to starboard and down: what hangs in the air is passed over. */
  port: Float64Array;
  starboard: Float64Array;
  low: Float64Array;
  /** The points of the sheer, for freeboard: both sides. Empty: it has none of its own. */
  sheer: readonly { xM: number; yM: number; zM: number }[];
}

/** Simpson's weights for slices in equal pairs; slices are at equal spacing between given stations. */
function simpson(xs: readonly number[]): Float64Array {
  const weights = new Float64Array(xs.length);
  for (let i = 0; i + 2 < xs.length; i += 2) {
    const third = ((xs[i + 2] ?? 0) - (xs[i] ?? 0)) / 6;
    weights[i] = (weights[i] ?? 0) + third;
    weights[i + 1] = (weights[i + 1] ?? 0) + 4 * third;
    weights[i + 2] = (weights[i + 2] ?? 0) + third;
  }
  return weights;
}

/**
 * A body from half outlines: mirrored, closed flat from sheer to sheer, and set beside the middle line where
 * it is a side float.
 */
export function bodyOf(
  stations: readonly Station[],
  {
    sign = 1,
    atM = { x: 0, y: 0, z: 0 },
    sheer = true,
  }: { sign?: 1 | -1; atM?: Offset; sheer?: boolean } = {},
): Body {
  const points = stations.map(({ outline }) => [
    ...outline.map(({ yM, zM }) => ({ y: yM, z: zM })),
    ...outline.toReversed().map(({ yM, zM }) => ({ y: -yM, z: zM })),
  ]);
  const xs = stations.map(({ xM }) => xM + atM.x);
  const from = new Int32Array(points.length + 1);
  points.forEach((list, i) => {
    from[i + 1] = (from[i] ?? 0) + list.length;
  });
  const flat = points.flat();
  return {
    sign,
    x: Float64Array.from(xs),
    weight: simpson(xs),
    from,
    y: Float64Array.from(flat, ({ y }) => y + atM.y),
    z: Float64Array.from(flat, ({ z }) => z + atM.z),
    port: Float64Array.from(points, (list) => Math.min(...list.map(({ y }) => y)) + atM.y),
    starboard: Float64Array.from(points, (list) => Math.max(...list.map(({ y }) => y)) + atM.y),
    low: Float64Array.from(points, (list) => Math.min(...list.map(({ z }) => z)) + atM.z),
    sheer: sheer
      ? stations.flatMap(({ xM, outline }) => {
          const top = outline[outline.length - 1];
          if (!top) return [];
          return [top.yM, -top.yM].map((yM) => ({ xM: xM + atM.x, yM: yM + atM.y, zM: top.zM + atM.z }));
        })
      : [],
  };
}
export interface Offset {
  x: number;
  y: number;
  z: number;
}
