import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { emptyLog, logSchema, withMark } from '../documents/log';
import { hoursLogged, learnt, neverUsed, ownLossRate } from './learnt';
import type { Outing } from '../documents/outing';

const { outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready] = outings as [Outing];
const hours = { ...ready.brief, launchAt: '06:00', homeAt: '10:00', nights: 0 };
const logged = (log: Partial<typeof emptyLog>): Outing => ({
  ...ready,
  brief: hours,
  log: { ...emptyLog, ...log },
});

describe('what became of a thing', () => {
  it('is said once, changed, and taken back', () => {
    const lost = withMark(withMark(emptyLog, 'jigs', 'used'), 'jigs', 'lost');
    expect(lost.items).toEqual([{ itemId: 'jigs', mark: 'lost', lost: 1 }]);
    expect(withMark(lost, 'jigs', 'lost', 4).items).toEqual([{ itemId: 'jigs', mark: 'lost', lost: 4 }]);
    expect(withMark(lost, 'jigs', 'used').items).toEqual([{ itemId: 'jigs', mark: 'used', lost: 0 }]);
    expect(withMark(lost, 'jigs', null).items).toEqual([]);
  });
  it('is refused when it cannot be', () => {
    expect(logSchema.safeParse({ ...emptyLog, launchedAt: '25:00' }).success).toBe(false);
    expect(
      logSchema.safeParse({ ...emptyLog, catches: [{ key: 'a', speciesId: 'cod', lengthM: 0, kept: true }] })
        .success,
    ).toBe(false);
  });
});

describe('what the logs say', () => {
  it('counts the hours as they were, past midnight and over nights; as planned where no time was written', () => {
    expect(hoursLogged(logged({}), 'utc')).toBe(4);
    expect(hoursLogged(logged({ launchedAt: '06:30', landedAt: '11:00' }), 'utc')).toBe(4.5);
    expect(hoursLogged(logged({ launchedAt: '22:00', landedAt: '01:00' }), 'utc')).toBe(3);
    expect(hoursLogged({ ...logged({}), brief: { ...hours, nights: 1 } }, 'utc')).toBe(28);
  });
  it('counts a night in which the clocks change as long as it was', () => {
    const night = { ...logged({ launchedAt: '22:00', landedAt: '06:00' }) };
    const on = (date: string) => hoursLogged({ ...night, brief: { ...night.brief, date } }, 'Europe/Vienna');
    expect([on('2026-03-28'), on('2026-10-24'), on('2026-06-01')]).toEqual([7, 9, 8]);
  });
  it('adds to what other logs said already', () => {
    const before = { jigs: { carried: 2, used: 1, lost: 1, hours: 3 } };
    const used = logged(withMark(emptyLog, 'jigs', 'used'));
    expect(learnt([used], () => 'utc', before).get('jigs')).toEqual({
      carried: 3,
      used: 2,
      lost: 1,
      hours: 7,
    });
  });
  it('sums what was carried, used and lost, and leaves outings without a log out', () => {
    const used = logged(withMark(emptyLog, 'jigs', 'used'));
    const lost = logged(withMark(emptyLog, 'jigs', 'lost', 2));
    const carried = logged(withMark(emptyLog, 'jigs', 'carried'));
    expect(learnt([used, lost, carried, ready], () => 'utc').get('jigs')).toEqual({
      carried: 3,
      used: 2,
      lost: 2,
      hours: 8,
    });
  });
  it('gives a loss an hour of use only after hours enough', () => {
    expect(ownLossRate({ carried: 2, used: 2, lost: 2, hours: 8 })).toBe(0.25);
    expect(ownLossRate({ carried: 2, used: 2, lost: 0, hours: 8 })).toBeNull();
    expect(ownLossRate({ carried: 1, used: 1, lost: 2, hours: 1.9 })).toBeNull();
  });
  it('names what went along five times and was never used', () => {
    const along = (many: number) =>
      learnt(
        Array.from({ length: many }, () => logged(withMark(emptyLog, 'flare', 'carried'))),
        () => 'utc',
      ).get('flare');
    expect(
      [4, 5].map((many) => neverUsed(along(many) ?? { carried: 0, used: 0, lost: 0, hours: 0 })),
    ).toEqual([false, true]);
    expect(neverUsed({ carried: 9, used: 1, lost: 0, hours: 3 })).toBe(false);
  });
});
