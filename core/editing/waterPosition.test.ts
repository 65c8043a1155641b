import { describe, expect, it } from 'vitest';
import { EMPTY_CHART } from '../documents/chart';
import { waterSchema } from '../documents/water';
import { bearingBetween, distanceBetween, placeAt } from '../environment/geo';
import { withShore } from './shore';
import { waterFrom } from './waterFrom';
import { nominalPosition, withPosition } from './waterPosition';

let n = 0;
const nominal = { latDeg: 45, lonDeg: -15 };
const water = waterFrom(
  {
    name: 'Long Pond',
    type: 'fresh',
    setting: 'still',
    timeZone: 'UTC-1',
    launch: { name: 'The ramp', at: nominal, surf: false },
    positioned: false,
    marks: [
      { name: 'The weeds', use: 'place to fish', at: placeAt(nominal, 60, 700) },
      { name: 'The stumps', use: 'hazard', at: placeAt(nominal, 200, 300) },
    ],
    chart: withShore(
      EMPTY_CHART,
      [0, 120, 240].map((b) => placeAt(nominal, b, 900)),
      true,
    ),
    openFrom: [],
    acrossM: null,
    turns: [],
    streamHours: [],
    steady: null,
  },
  () => `id-${(n += 1)}`,
);

describe('a water without a position', () => {
  it('is whole, and is drawn by a known water of its clock, else by the clock alone', () => {
    expect(waterSchema.safeParse(water).error?.issues).toBeUndefined();
    expect(water.positioned).toBe(false);
    const known = { timeZone: 'UTC-1', positioned: true, latDeg: 51, lonDeg: -20 };
    expect(nominalPosition('UTC-1', [known])).toEqual({ latDeg: 51, lonDeg: -20 });
    expect(nominalPosition('UTC-1', [{ ...known, positioned: false }])).toEqual({ latDeg: 45, lonDeg: -15 });
    expect(nominalPosition('Australia/Hobart', [])).toEqual({ latDeg: -45, lonDeg: 150 });
    expect(nominalPosition('America/Chicago', [])).toEqual({ latDeg: 45, lonDeg: -90 });
  });
  it('lies as it was told once its position is written: distances and directions hold', () => {
    const at = { latDeg: -33.2, lonDeg: 151.4 };
    const placed = withPosition(water, at);
    expect(placed.positioned).toBe(true);
    const [launch, area, hazard] = [placed.launches[0], placed.areas[0], placed.hazards[0]];
    if (!launch || !area || !hazard) throw new Error('lost');
    expect(distanceBetween(launch, at)).toBeLessThan(0.2);
    expect(distanceBetween(launch, area)).toBeCloseTo(700, -1);
    expect(Math.abs(bearingBetween(launch, area) - 60)).toBeLessThan(0.5);
    expect(Math.abs(bearingBetween(launch, hazard) - 200)).toBeLessThan(0.5);
    const geometry = placed.chart.features[0]?.geometry;
    const [lonDeg, latDeg] = geometry?.type === 'LineString' ? (geometry.coordinates[0] ?? [0, 0]) : [0, 0];
    expect(distanceBetween(launch, { latDeg, lonDeg })).toBeCloseTo(900, -1);
    expect(placed.areas[0]?.distanceM).toBe(water.areas[0]?.distanceM);
  });
});
