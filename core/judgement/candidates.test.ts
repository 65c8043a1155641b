import { describe, expect, it } from 'vitest';
import type { Hour } from '../documents/outing';
import { NO_FIGURES } from '../editing/hours';
import { HOUR_MS } from '../units/time';
import { hoursClearOf } from './candidates';
import type { Context } from './context';

const midnight = Date.parse('2026-06-06T00:00:00Z');
/** A day whose hours blow as they are given, from 05:00 on; afloat from 08:00 to 14:00. */
function day(winds: readonly number[], nights = 0) {
  const hours = winds.map((windMps, i): Hour => ({
    ...NO_FIGURES,
    at: new Date(midnight + (5 + i) * HOUR_MS).toISOString(),
    windMps,
  }));
  return {
    brief: { launchAt: '08:00', homeAt: '14:00', nights },
    day: { launchAt: midnight + 8 * HOUR_MS, homeAt: midnight + 14 * HOUR_MS },
    conditions: { hours },
  } as unknown as Context;
}
const offered = (context: Context, guardMin?: number) =>
  hoursClearOf(context, ({ windMps }) => (windMps ?? 0) > 8, guardMin).map((repair) =>
    repair.do === 'set-hours' ? `${repair.launchAt} ${repair.homeAt}` : repair.do,
  );
/** 05:00 to 17:00, blowing from one hour to before another. */
const blowing = (from: number, to: number) =>
  Array.from({ length: 13 }, (_, i) => (i + 5 >= from && i + 5 < to ? 12 : 3));

describe('hours clear of what is the matter', () => {
  it('end before it, the least change first, then go out and come in earlier', () => {
    const [first, ...others] = offered(day(blowing(12, 17)));
    expect(first).toBe('08:00 11:55');
    expect(others).toContain('06:00 11:55');
  });
  it('begin after it where it is over', () => {
    expect(offered(day(blowing(5, 10)))[0]).toBe('10:00 14:00');
  });
  it('keep so long away from it as is asked', () => {
    expect(offered(day(blowing(12, 17)), 60)[0]).toBe('08:00 10:55');
    expect(offered(day(blowing(5, 10)), 60)[0]).toBe('11:00 14:00');
  });
  it('are none where it lasts all day, and none that are too short', () => {
    expect(offered(day(blowing(5, 18)))).toEqual([]);
    expect(offered(day(blowing(6, 18)))).toEqual([]);
    for (const hours of offered(day(blowing(9, 12)))) {
      const [launch, home] = hours
        .split(' ')
        .map((clock) => Number(clock.slice(0, 2)) + Number(clock.slice(3)) / 60);
      expect((home ?? 0) - (launch ?? 0), hours).toBeGreaterThanOrEqual(2);
    }
  });
});
