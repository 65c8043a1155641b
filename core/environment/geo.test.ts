import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { bearingBetween, distanceBetween, fromPlane, placeAt, shareWithin, toPlane } from './geo';

const origin = { latDeg: 47.5, lonDeg: -18.5 };

describe('positions', () => {
  it('a degree of latitude is 111.2 km, a degree of longitude that times the cosine', () => {
    expect(distanceBetween({ latDeg: 0, lonDeg: 0 }, { latDeg: 1, lonDeg: 0 })).toBeCloseTo(111_195, 0);
    expect(distanceBetween({ latDeg: 60, lonDeg: 0 }, { latDeg: 60, lonDeg: 1 })).toBeCloseTo(
      111_195 / 2,
      -1,
    );
  });
  it('bearings are true, clockwise from north', () => {
    for (const [x, y, bearing] of [
      [0, 100, 0],
      [100, 0, 90],
      [0, -100, 180],
      [-100, 0, 270],
    ] as const)
      expect(bearingBetween(origin, fromPlane(origin, { x, y }))).toBeCloseTo(bearing, 1);
  });
  it('so far along a bearing are that far away, on that bearing, over the date line too', () => {
    const most = (max: number) => fc.double({ min: -max, max, noNaN: true });
    fc.assert(
      fc.property(
        most(75),
        most(180),
        fc.double({ min: 0, max: 359.9, noNaN: true }),
        (latDeg, lonDeg, bearing) => {
          const there = placeAt({ latDeg, lonDeg }, bearing, 5000);
          const turned = Math.abs(((bearingBetween({ latDeg, lonDeg }, there) - bearing + 540) % 360) - 180);
          return (
            Math.abs(distanceBetween({ latDeg, lonDeg }, there) - 5000) < 0.01 &&
            turned < 1e-4 &&
            Math.abs(there.lonDeg) <= 180
          );
        },
      ),
    );
    expect(placeAt({ latDeg: 0, lonDeg: 179.99 }, 90, 5000).lonDeg).toBeLessThan(-179.9);
  });
  it('on the plane agree with the sphere to 0.1 % within 20 km, there and back', () => {
    const metres = fc.double({ min: -20_000, max: 20_000, noNaN: true });
    fc.assert(
      fc.property(metres, metres, (x, y) => {
        const place = fromPlane(origin, { x, y });
        const back = toPlane(origin, place);
        expect(Math.hypot(back.x - x, back.y - y)).toBeLessThan(1e-6);
        const length = Math.hypot(x, y);
        if (length > 10) expect(Math.abs(distanceBetween(origin, place) / length - 1)).toBeLessThan(1e-3);
      }),
    );
  });
  it('say which part of a way lies in a circle', () => {
    const at = (x: number, y: number) => fromPlane(origin, { x, y });
    const [enter = 0, leave = 0] = shareWithin(at(-1000, 0), at(1000, 0), at(0, 0), 250) ?? [];
    expect([enter, leave].map((share) => Number(share.toFixed(4)))).toEqual([0.375, 0.625]);
    expect(shareWithin(at(-1000, 300), at(1000, 300), at(0, 0), 250)).toBeNull();
    expect(shareWithin(at(0, 0), at(10, 0), at(0, 0), 250)).toEqual([0, 1]);
  });
});
