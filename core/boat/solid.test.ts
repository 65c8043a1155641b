import { describe, expect, it } from 'vitest';
import { demoCraft } from '../demo/boats';
import type { Craft } from '../documents/craft';
import { shapeOf } from './build';
import { linesOf } from './drawing';
import { hullOf } from './hull/hull';
import { wholeVolume } from './hull/float';
import { deckOf, reachShells, skinOf, volumeOf } from './solid';

const boats = demoCraft.map((craft) => [craft.name, craft] as const);

/** The skin with a flat lid from sheer to sheer at each section. */
function closed(craft: Craft) {
  const { points, triangles } = skinOf(craft);
  const { stations } = linesOf(craft);
  let at = 0;
  const rims = stations.map(({ outline }) => {
    const rim = [at, at + 2 * outline.length - 2] as const;
    at += 2 * outline.length - 1;
    return rim;
  });
  const lid = rims.slice(1).flatMap(([port, starboard], i) => {
    const [portBefore, starboardBefore] = rims[i] ?? [0, 0];
    return [
      [portBefore, starboardBefore, port],
      [starboardBefore, starboard, port],
    ] as const;
  });
  return { points, triangles: [...triangles, ...lid] };
}

describe('the hull as a surface', () => {
  it.each(boats)('%s closes the volume that it floats by, within a hundredth', (_, craft) => {
    const hull = hullOf(shapeOf(craft));
    expect(volumeOf(closed(craft)) / wholeVolume(hull.bodies, hull.midM)).toBeCloseTo(1, 1.7);
  });
  it('takes sections with unequal numbers of points', () => {
    const [craft] = demoCraft as [Craft];
    const square = (xM: number, points: number) => ({
      xM,
      outline: [
        { yM: 0, zM: 0 },
        ...Array.from({ length: points }, (_, i) => ({ yM: 0.4, zM: (0.3 * i) / (points - 1) })),
      ],
    });
    const box = {
      ...craft,
      shape: craft.shape && { ...craft.shape, stations: [square(0, 2), square(2, 5), square(4, 3)] },
    };
    // A corner meets the middle of the next section's side: a little is cut off.
    expect(volumeOf(closed(box)) / (4 * 0.8 * 0.3)).toBeCloseTo(1, 1);
  });
});

describe('the deck', () => {
  it.each(boats)('%s has openings within its edge, over its floor, none over another', (_, craft) => {
    const { edge, openings, heightAt } = deckOf(craft);
    expect(openings.length).toBeGreaterThan(0);
    for (const one of openings) {
      expect(one.floorM).toBeLessThan(heightAt((one.fromXM + one.toXM) / 2));
      for (const xM of [one.fromXM, one.toXM]) {
        const beside = edge.filter((point) => Math.abs(point.xM - xM) < 0.12).map(({ yM }) => Math.abs(yM));
        expect(Math.abs(one.yM) + one.halfM).toBeLessThan(Math.max(...beside));
      }
      for (const other of openings)
        if (other !== one)
          expect(
            one.toXM <= other.fromXM ||
              one.fromXM >= other.toXM ||
              Math.abs(one.yM - other.yM) >= one.halfM + other.halfM,
          ).toBe(true);
    }
  });
  it('reaches farther with a twist, from the shoulders', () => {
    const [craft] = demoCraft as [Craft];
    const { hand, turn } = reachShells(craft, { heightM: 1.8 }, 'seated low');
    expect(hand.radiusM).toBeCloseTo(0.37 * 1.8, 6);
    expect(turn.radiusM).toBeGreaterThan(hand.radiusM);
    expect(turn.roundDeg).toBeGreaterThan(hand.roundDeg);
    expect(turn.centre).toEqual(hand.centre);
  });
});
