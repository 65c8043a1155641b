import { describe, expect, it } from 'vitest';
import { EMPTY_CHART } from '../documents/chart';
import { distanceBetween, placeAt } from '../environment/geo';
import { cornersOf, withCorner, withShore } from './shore';

const here = { latDeg: 51.2, lonDeg: -20.3 };
const round = [0, 90, 180, 270].map((bearing) => placeAt(here, bearing, 400));

describe('a shore drawn by hand', () => {
  it('that is closed ends where it began, and has a corner for each press', () => {
    const chart = withShore(EMPTY_CHART, round, true);
    const [feature] = chart.features;
    const line = feature?.geometry.type === 'LineString' ? feature.geometry.coordinates : [];
    expect(line).toHaveLength(5);
    expect(line[4]).toEqual(line[0]);
    expect(cornersOf(chart)).toHaveLength(4);
    expect(cornersOf(withShore(EMPTY_CHART, round, false))).toHaveLength(4);
    expect(withShore(EMPTY_CHART, round.slice(0, 2), true)).toBe(EMPTY_CHART);
  });
  it('has a corner moved, the first one too, and stays closed', () => {
    const chart = withShore(EMPTY_CHART, round, true);
    const to = placeAt(here, 10, 900);
    const [first] = cornersOf(withCorner(chart, { feature: 0, point: 0 }, to));
    expect(distanceBetween(first?.at ?? here, to)).toBeLessThan(0.2);
    expect(cornersOf(withCorner(chart, { feature: 0, point: 0 }, to))).toHaveLength(4);
  });
  it('has a corner taken out, until too few are left to be a shore', () => {
    const chart = withShore(EMPTY_CHART, round, true);
    const three = withCorner(chart, { feature: 0, point: 1 }, null);
    expect(cornersOf(three)).toHaveLength(3);
    expect(withCorner(three, { feature: 0, point: 0 }, null).features).toEqual([]);
    const line = withShore(EMPTY_CHART, round.slice(0, 2), false);
    expect(withCorner(line, { feature: 0, point: 0 }, null).features).toEqual([]);
  });
});
