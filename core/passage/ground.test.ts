import { describe, expect, it } from 'vitest';
import type { Chart } from '../documents/chart';
import type { Water } from '../documents/water';
import { demo } from '../demo/demo';
import { type Point, fromPlane } from '../environment/geo';
import { farthestFromGround, nearestGround, nearestLand } from './ground';

const origin = { latDeg: 47, lonDeg: -20 };
const at = (x: number, y: number) => fromPlane(origin, { x, y });
const position = ({ x, y }: Point): [number, number] => {
  const place = at(x, y);
  return [place.lonDeg, place.latDeg];
};
/** A square of land, its south-west corner at the origin, a kilometre a side. */
const corners = [
  { x: 0, y: 0 },
  { x: 1000, y: 0 },
  { x: 1000, y: 1000 },
  { x: 0, y: 1000 },
  { x: 0, y: 0 },
];
const chart: Chart = {
  type: 'FeatureCollection',
  features: [
    {
      type: 'Feature',
      properties: { shows: 'land', depthM: null, name: '' },
      geometry: { type: 'Polygon', coordinates: [corners.map(position)] },
    },
  ],
};

describe('the nearest land', () => {
  it.each([
    ['straight off a shore', 500, -300, 300],
    ['off a corner', -300, -400, 500],
    ['on the shore', 500, 0, 0],
    ['far off, beyond another corner', 1000, -4000, 4000],
  ])('%s', (_, x, y, metres) => {
    const found = nearestLand(at(x, y), chart);
    expect(Math.abs((found?.distanceM ?? NaN) - metres)).toBeLessThan(Math.max(0.5, metres * 1e-3));
  });
  it('is none where the chart shows none', () => {
    expect(nearestLand(origin, { type: 'FeatureCollection', features: [] })).toBeNull();
  });
});

const { references } = demo(Date.parse('2026-05-15T19:00:00Z'));
const mere = references.waters.find(({ id }) => id === 'hallow-mere') as Water;
const places = (change: Partial<Water>, area: Partial<Water['areas'][number]> = {}) => {
  const water: Water = { ...mere, ...change };
  const [first] = water.areas;
  return { ...({} as object), water, area: { ...first, ...area } } as Parameters<
    typeof farthestFromGround
  >[0];
};

describe('the farthest from ground where one can get out', () => {
  it('is never farther than the nearest launch, and nearer where a bank is', () => {
    for (const water of references.waters)
      for (const area of water.areas) {
        const byChart = nearestGround(area, { ...water, getOut: 'by the chart' })?.distanceM ?? Infinity;
        const byLaunch = nearestGround(area, { ...water, getOut: 'launches only' })?.distanceM ?? Infinity;
        expect(byChart).toBeLessThanOrEqual(byLaunch);
      }
  });
  it('is what was written of the place, before what the chart shows', () => {
    expect(farthestFromGround(places({}, { shoreM: 40 }), null, 900)).toBe(40);
    expect(farthestFromGround(places({ getOut: 'in places' }, { shoreM: 120 }), null, 900)).toBe(120);
  });
  it('falls back to the launches where nobody wrote it and the banks do not count', () => {
    const only = farthestFromGround(places({ getOut: 'launches only' }), null, 5000);
    expect(only).toBeGreaterThan(800);
    expect(farthestFromGround(places({ getOut: 'in places' }), null, 5000)).toBe(only);
    expect(farthestFromGround(places({ getOut: 'anywhere along the banks' }), null, 5000)).toBeLessThan(
      only ?? 0,
    );
  });
  it('is not known without a place', () => {
    expect(farthestFromGround({ ...places({}), area: null }, null, null)).toBeNull();
  });
});
