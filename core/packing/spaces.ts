import { type Container, type PlacedBox, SAME_M } from './box';

/** An empty block that cannot be made larger in any direction: from one corner to the other, m. */
export interface Space {
  x0: number;
  y0: number;
  z0: number;
  x1: number;
  y1: number;
  z1: number;
}

export function wholeSpace({ xM, yM, zM }: Container): Space {
  return { x0: 0, y0: 0, z0: 0, x1: xM, y1: yM, z1: zM };
}

const within = (a: Space, b: Space) =>
  a.x0 >= b.x0 - SAME_M &&
  a.y0 >= b.y0 - SAME_M &&
  a.z0 >= b.z0 - SAME_M &&
  a.x1 <= b.x1 + SAME_M &&
  a.y1 <= b.y1 + SAME_M &&
  a.z1 <= b.z1 + SAME_M;

/**
 * The largest empty blocks that are left once a box was put in, by the difference process of Lai and Chan:
 * each block that it cuts falls into at most six, and those inside another go. Blocks that no box fits are
 * left out.
 * @param least the shortest side of any box still to come, m
 */
export function spacesAfter(spaces: readonly Space[], box: PlacedBox, least: number): Space[] {
  const [x0, y0, z0] = [box.xM, box.yM, box.zM];
  const [x1, y1, z1] = [x0 + box.dxM, y0 + box.dyM, z0 + box.dzM];
  const kept: Space[] = [];
  const cut: Space[] = [];
  for (const one of spaces) {
    const apart =
      x0 >= one.x1 - SAME_M ||
      x1 <= one.x0 + SAME_M ||
      y0 >= one.y1 - SAME_M ||
      y1 <= one.y0 + SAME_M ||
      z0 >= one.z1 - SAME_M ||
      z1 <= one.z0 + SAME_M;
    if (apart) {
      kept.push(one);
      continue;
    }
    if (x0 - one.x0 >= least) cut.push({ ...one, x1: x0 });
    if (one.x1 - x1 >= least) cut.push({ ...one, x0: x1 });
    if (y0 - one.y0 >= least) cut.push({ ...one, y1: y0 });
    if (one.y1 - y1 >= least) cut.push({ ...one, y0: y1 });
    if (z0 - one.z0 >= least) cut.push({ ...one, z1: z0 });
    if (one.z1 - z1 >= least) cut.push({ ...one, z0: z1 });
  }
  const fresh = cut.filter(
    (one, i) =>
      !kept.some((other) => within(one, other)) &&
      !cut.some((other, j) => i !== j && within(one, other) && (i > j || !within(other, one))),
  );
  return [...kept, ...fresh];
}
