import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { demo } from '../demo/demo';
import { outingHours } from '../documents/hours';
import type { Brief, Outing } from '../documents/outing';
import { instantOf } from '../units/time';
import { movedTo, withHandle, withHours } from './hours';

const [ready] = demo(Date.parse('2026-05-15T19:00:00Z')).outings as [Outing];
const ZONE = 'Europe/Vienna';
const brief: Brief = {
  ...ready.brief,
  date: '2026-05-16',
  launchAt: '06:00',
  turnAt: '09:00',
  homeAt: '12:00',
  alarmAt: '13:00',
  nights: 0,
};
const at = (clock: string, date = brief.date) => instantOf(date, clock, ZONE) ?? 0;

describe('hours that are moved', () => {
  it('keep the distance of home, turn and call, through midnight too', () => {
    expect(movedTo(brief, '2026-05-17', '19:30')).toMatchObject({
      date: '2026-05-17',
      turnAt: '22:30',
      homeAt: '01:30',
      alarmAt: '02:30',
    });
  });
  it('keep a written turn only while it lies between', () => {
    expect(withHours(brief, '06:00', '08:30').turnAt).toBeNull();
    expect(withHours(brief, '07:00', '12:00').turnAt).toBe('09:00');
    expect(withHours({ ...brief, turnAt: '01:00' }, '21:00', '03:00').turnAt).toBe('01:00');
    expect(withHours({ ...brief, turnAt: '09:00' }, '21:00', '03:00').turnAt).toBeNull();
  });
  it('take the call with them, also past midnight, and a call before home to home itself', () => {
    expect(withHours(brief, '18:00', '23:30').alarmAt).toBe('00:30');
    expect(withHours({ ...brief, alarmAt: '11:00' }, '06:00', '12:30').alarmAt).toBe('12:30');
  });
});

describe('a handle of the day strip', () => {
  it('moves on a grid of five minutes', () => {
    expect(withHandle(brief, ZONE, 'launch', at('06:22') + 31_000).launchAt).toBe('06:25');
    expect(withHandle(brief, ZONE, 'home', at('12:58')).homeAt).toBe('13:00');
  });
  it('keeps launch and home a quarter of an hour apart, and the turn between them', () => {
    expect(withHandle(brief, ZONE, 'launch', at('15:00')).launchAt).toBe('11:45');
    expect(withHandle(brief, ZONE, 'home', at('03:00')).homeAt).toBe('06:15');
    expect(withHandle(brief, ZONE, 'turn', at('03:00')).turnAt).toBe('06:05');
    expect(withHandle(brief, ZONE, 'turn', at('18:00')).turnAt).toBe('11:55');
  });
  it('takes home past midnight, never a whole day round, and leaves the launch on its day', () => {
    const late = withHandle(brief, ZONE, 'home', at('01:30', '2026-05-17'));
    expect(late.homeAt).toBe('01:30');
    expect(late.date).toBe(brief.date);
    expect(withHandle(brief, ZONE, 'home', at('09:00', '2026-05-17')).homeAt).toBe('05:45');
    expect(withHandle(brief, ZONE, 'launch', at('23:00', '2026-05-15'))).toBe(brief);
  });
  it('leaves home on its day where there are nights in camp', () => {
    const camp = { ...brief, nights: 2 };
    expect(withHandle(camp, ZONE, 'home', at('15:00', '2026-05-18')).homeAt).toBe('15:00');
    expect(withHandle(camp, ZONE, 'home', at('15:00', '2026-05-19'))).toBe(camp);
  });
  it('wherever it is dropped leaves hours that are in order', () => {
    fc.assert(
      fc.property(
        fc.constantFrom('launch' as const, 'turn' as const, 'home' as const),
        fc.integer({ min: -48, max: 72 }),
        (which, hours) => {
          const moved = withHandle(brief, ZONE, which, at('00:00') + hours * 1_800_000);
          const span = outingHours(moved, ZONE);
          expect(span && span.homeAt - span.launchAt >= 15 * 60_000).toBe(true);
          if (span?.turnAt != null)
            expect(span.turnAt > span.launchAt && span.turnAt < span.homeAt).toBe(true);
        },
      ),
      runs(300),
    );
  });
});
