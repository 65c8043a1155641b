import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { DAY_MS, HOUR_MS } from '../units/time';
import { dayOf } from './day';
import { valueAt } from './tide';

const launch = Date.parse('2026-05-16T03:15:00Z');
const { references, outings } = demo(launch);
const [{ conditions }] = outings as [(typeof outings)[number]];
const salt = references.waters.filter(({ tide }) => tide !== null);

describe('the tide of a stretch of days', () => {
  it.each(salt.map((water) => [water.name, water] as const))(
    'of %s is the same whichever days were asked for before',
    (_, water) => {
      const to = launch + 6 * HOUR_MS;
      // A day first, a week then; and the week by itself.
      dayOf({ ...conditions }, water, launch, to);
      const after = dayOf({ ...conditions }, water, launch, to + 7 * DAY_MS);
      const alone = dayOf({ ...conditions }, structuredClone(water), launch, to + 7 * DAY_MS);
      const later = dayOf({ ...conditions }, water, launch + 5 * DAY_MS, to + 5 * DAY_MS);
      const heights = Array.from({ length: 7 * 12 }, (_, i) => {
        const at = launch + 2 * i * HOUR_MS;
        const [a, b] = [after, alone].map(({ tideSeries }) => tideSeries && valueAt(tideSeries, at));
        expect(a).toBeCloseTo(b ?? NaN, 6);
        return a ?? NaN;
      });
      // Each day has its rise and fall.
      for (let day = 0; day < 7; day += 1) {
        const own = heights.slice(day * 12, day * 12 + 12);
        expect(Math.max(...own) - Math.min(...own), `day ${day}`).toBeGreaterThan(0.3);
      }
      const at = launch + 5 * DAY_MS;
      const [a, b] = [after, later].map(({ tideSeries }) => tideSeries && valueAt(tideSeries, at));
      expect(a).toBeCloseTo(b ?? NaN, 4);
    },
  );
});
