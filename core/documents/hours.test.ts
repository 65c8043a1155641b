import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { clockAt, dateAt } from '../units/time';
import { callInstant, homeDate, minutesTo, outingHours, throughMidnight } from './hours';

const day = {
  date: '2026-05-16',
  launchAt: '05:10',
  turnAt: null,
  homeAt: '11:30',
  alarmAt: '12:30',
  nights: 0,
};
const lasting = (
  change: Partial<Omit<typeof day, 'turnAt'> & { turnAt: string | null }>,
  zone = 'Europe/Vienna',
) => {
  const hours = outingHours({ ...day, ...change }, zone);
  if (!hours) throw new Error('no hours');
  return { ...hours, hours: (hours.homeAt - hours.launchAt) / 3_600_000 };
};

describe('the hours of an outing', () => {
  it.each([
    ['2026-03-28', 1, '08:00', '08:00', 23],
    ['2026-10-24', 1, '08:00', '08:00', 25],
    ['2026-06-01', 1, '08:00', '08:00', 24],
    ['2026-03-27', 3, '20:00', '07:00', 58],
    ['2026-03-28', 0, '22:00', '06:00', 7],
    ['2026-10-24', 0, '22:00', '06:00', 9],
  ])(
    'from %s with %s nights, %s to %s, are %s hours: the clocks change as they do',
    (date, nights, launchAt, homeAt, hours) => {
      expect(lasting({ date, nights, launchAt, homeAt }).hours).toBe(hours);
    },
  );
  it('in the southern hemisphere change the other way', () => {
    const zone = 'Pacific/Auckland';
    expect(lasting({ date: '2026-09-26', nights: 1, launchAt: '08:00', homeAt: '08:00' }, zone).hours).toBe(
      23,
    );
    expect(lasting({ date: '2026-04-04', nights: 1, launchAt: '08:00', homeAt: '08:00' }, zone).hours).toBe(
      25,
    );
  });
  it('with home before the launch by the clock end the next morning, with no night in camp', () => {
    const night = { ...day, launchAt: '21:00', homeAt: '02:30' };
    expect(throughMidnight(night)).toBe(true);
    expect(homeDate(night)).toBe('2026-05-17');
    expect(lasting(night).hours).toBe(5.5);
    expect(homeDate({ ...night, nights: 2 })).toBe('2026-05-18');
    expect(throughMidnight({ ...night, nights: 2 })).toBe(false);
  });
  it.each([
    ['21:00', '23:30', '00:30', 1],
    ['21:00', '02:30', '03:30', 1],
    ['05:10', '11:30', '12:30', 1],
    ['05:10', '23:59', '00:00', 1 / 60],
    ['05:10', '11:30', '11:00', -0.5],
    ['05:10', '12:00', '00:00', 12],
  ])('launch %s, home %s, call %s: the call is %s hours after home', (launchAt, homeAt, alarmAt, hours) => {
    const { homeAt: home } = lasting({ launchAt, homeAt, alarmAt });
    const call = callInstant({ ...day, launchAt, homeAt, alarmAt }, 'Europe/Vienna') ?? NaN;
    expect((call - home) / 3_600_000).toBeCloseTo(hours, 9);
  });
  it.each([
    [{ launchAt: '21:00', homeAt: '02:30', turnAt: '23:00' }, '2026-05-16'],
    [{ launchAt: '21:00', homeAt: '02:30', turnAt: '01:00' }, '2026-05-17'],
    [{ turnAt: '09:00' }, '2026-05-16'],
    [{ nights: 2, turnAt: '09:00' }, '2026-05-18'],
  ])('turn on the day that lies between: %j', (change, date) => {
    const { turnAt, launchAt, homeAt } = lasting(change);
    expect(dateAt(turnAt ?? 0, 'Europe/Vienna')).toBe(date);
    expect(turnAt).toBeGreaterThan(launchAt);
    expect(turnAt).toBeLessThan(homeAt);
  });
  it('are null for what is no date, time or zone', () => {
    expect(outingHours({ ...day, date: '2026-02-30' }, 'utc')).toBeNull();
    expect(outingHours(day, 'Mars/Base')).toBeNull();
  });
  it('always show the clock that was written, and never end before they begin', () => {
    const clock = fc
      .integer({ min: 0, max: 1439 })
      .map((m) => `${String(Math.floor(m / 60)).padStart(2, '0')}:${String(m % 60).padStart(2, '0')}`);
    fc.assert(
      fc.property(
        clock,
        clock,
        fc.integer({ min: 0, max: 3 }),
        fc.integer({ min: 1, max: 28 }),
        (launchAt, homeAt, nights, d) => {
          const zone = 'Pacific/Auckland';
          const hours = outingHours(
            { ...day, date: `2026-07-${String(d).padStart(2, '0')}`, launchAt, homeAt, nights },
            zone,
          );
          expect(clockAt(hours?.launchAt ?? 0, zone)).toBe(launchAt);
          expect(clockAt(hours?.homeAt ?? 0, zone)).toBe(homeAt);
          expect((hours?.homeAt ?? 0) - (hours?.launchAt ?? 0)).toBeGreaterThanOrEqual(0);
          expect(minutesTo(launchAt, homeAt)).toBeLessThan(1440);
        },
      ),
      runs(200),
    );
  });
});
