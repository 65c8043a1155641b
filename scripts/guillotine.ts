import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Box, Container } from '#core/packing/box';

const STEPS = 1_000_000;
type Sides = [number, number, number];

/**
 * A container cut right through, again and again, into so many boxes, each shrunk alike to the fill asked for
 * and turned at random: they are known to go in, stacked as they were cut.
 * @param fill share of the container that the boxes come to, 0 to 1
 */
export function cutInstance(
  seed: number,
  many: number,
  fill: number,
): { container: Container; boxes: Box[] } {
  const random = xoroshiro128plus(seed);
  const share = () => uniformInt(random, 0, STEPS) / STEPS;
  const whole: Sides = [0.3 + share() * 0.5, 0.3 + share() * 0.4, 0.25 + share() * 0.3];
  const parts: Sides[] = [whole];
  while (parts.length < many) {
    parts.sort((a, b) => b[0] * b[1] * b[2] - a[0] * a[1] * a[2]);
    const [part] = parts.splice(Math.floor(share() * Math.min(parts.length, 3)) % parts.length, 1);
    if (!part) break;
    const axis = share() < 0.7 ? part.indexOf(Math.max(...part)) : Math.floor(share() * 3) % 3;
    const at = 0.25 + share() * 0.5;
    const cut = (by: number) => part.map((side, i) => (i === axis ? side * by : side)) as Sides;
    parts.push(cut(at), cut(1 - at));
  }
  const scale = Math.cbrt(fill);
  const [xM, yM, zM] = whole;
  const boxes = parts.map((sides, i): Box => {
    const [a = 0, b = 0, c = 0] = sides
      .map((side) => ({ side: side * scale, by: share() }))
      .toSorted((p, q) => p.by - q.by)
      .map(({ side }) => side);
    return { id: `box-${i}`, xM: a, yM: b, zM: c };
  });
  return { container: { xM, yM, zM }, boxes };
}

/** The same with boxes left out at random until no more than so many and so much are there. */
export function thinnedInstance(seed: number, many: number, fill: number) {
  const { container, boxes } = cutInstance(seed, Math.ceil(many / fill) + 1, 1);
  const random = xoroshiro128plus(seed + 1);
  const left = [...boxes];
  const filled = () =>
    left.reduce((sum, { xM, yM, zM }) => sum + xM * yM * zM, 0) /
    (container.xM * container.yM * container.zM);
  while (left.length > many || filled() > fill) left.splice(uniformInt(random, 0, left.length - 1), 1);
  return { container, boxes: left };
}
