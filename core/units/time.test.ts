import fc from 'fast-check';
import { DateTime } from 'luxon';
import { describe, expect, it } from 'vitest';
import {
  addDays,
  clockAt,
  clockOver,
  dateAt,
  dayInWords,
  daysBetween,
  instantOf,
  isTimeZone,
  morningAfter,
  isoAt,
  shiftClock,
  clockName,
} from './time';

describe('wall-clock times', () => {
  it('depend on the zone, daylight saving included', () => {
    expect(instantOf('2026-07-01', '06:00', 'UTC-1')).toBe(Date.parse('2026-07-01T07:00:00Z'));
    expect(instantOf('2026-07-01', '06:00', 'Atlantic/Azores')).toBe(Date.parse('2026-07-01T06:00:00Z'));
    expect(instantOf('2026-01-01', '06:00', 'Atlantic/Azores')).toBe(Date.parse('2026-01-01T07:00:00Z'));
  });
  it('are null for what is no date, time or zone', () => {
    for (const [date, time, zone] of [
      ['2026-02-30', '06:00', 'utc'],
      ['2026-02-20', '24:61', 'utc'],
      ['2026-02-20', '06:00', 'Nowhere/Land'],
    ] as const)
      expect(instantOf(date, time, zone)).toBeNull();
    expect(isTimeZone('Nowhere/Land')).toBe(false);
    // Half typed in a form it ends no screen: it reads as UTC.
    const at = Date.parse('2026-05-16T04:30:00Z');
    for (const half of ['', 'E', 'Europe/', 'UTC+']) {
      expect(clockAt(at, half)).toBe('04:30');
      expect(dateAt(at, half)).toBe('2026-05-16');
    }
  });
  it('come back from the instant they made', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 20_000 }), fc.integer({ min: 0, max: 1439 }), (day, minute) => {
        const date = addDays('2000-01-01', day);
        const time = shiftClock('00:00', minute);
        const at = instantOf(date, time, 'UTC-3') ?? NaN;
        expect([dateAt(at, 'UTC-3'), clockAt(at, 'UTC-3')]).toEqual([date, time]);
        expect(Date.parse(isoAt(at, 'UTC-3'))).toBe(at);
      }),
    );
  });
});

describe('clock, date and ISO text', () => {
  it('are those of the date library, in any zone and over daylight saving', () => {
    const zone = fc.constantFrom('utc', 'UTC-1', 'UTC+5:30', 'Atlantic/Azores', 'Australia/Adelaide');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 4_000_000_000 }), zone, (seconds, place) => {
        const at = seconds * 1000;
        const luxon = DateTime.fromMillis(at, { zone: place });
        expect(clockAt(at, place)).toBe(luxon.toFormat('HH:mm'));
        expect(dateAt(at, place)).toBe(luxon.toFormat('yyyy-MM-dd'));
        expect(isoAt(at, place)).toBe(luxon.toFormat("yyyy-MM-dd'T'HH:mm:ssZZ"));
      }),
    );
  });
});

describe('the coming morning', () => {
  it('is that of the next date, and in the small hours of the same', () => {
    const on = (clock: string) => morningAfter(Date.parse(`2026-12-01T${clock}:00Z`), 'utc');
    expect(['00:18', '03:59', '04:00', '10:00', '23:59'].map(on)).toEqual([
      ...['2026-12-01', '2026-12-01'],
      ...['2026-12-02', '2026-12-02', '2026-12-02'],
    ]);
    // By the clock of the place.
    expect(morningAfter(Date.parse('2026-12-01T23:30:00Z'), 'UTC+2')).toBe('2026-12-02');
  });
});

describe('a moment of a stay', () => {
  const zone = 'Atlantic/Azores';
  const launch = instantOf('2026-10-24', '09:00', zone) ?? 0;
  const after = (hours: number) => launch + hours * 3_600_000;
  it('is said by the clock alone while the clock does not come round', () => {
    expect(clockOver(launch, after(23.9), zone)(after(2))).toBe('11:00');
    expect(clockOver(null, null, zone)(launch)).toBe('09:00');
  });
  it('is said with its day where the clock comes round, the change of clocks within it', () => {
    const say = clockOver(launch, after(30), zone);
    expect([0, 12, 24, 25].map((hours) => say(after(hours)))).toEqual([
      'Sat 09:00',
      'Sat 21:00',
      'Sun 08:00',
      'Sun 09:00',
    ]);
  });
  it('is the day and the clock of the place, anywhere', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 4e12 }),
        fc.constantFrom('Atlantic/Azores', 'Pacific/Kiritimati', 'UTC-11'),
        (at, place) => {
          const said = DateTime.fromMillis(at, { zone: place, locale: 'en-GB' }).toFormat('ccc HH:mm');
          expect(clockOver(at, at + 48 * 3_600_000, place)(at)).toBe(said);
        },
      ),
    );
  });
});

describe('days', () => {
  it('are added over month and leap day, and counted back', () => {
    expect(addDays('2028-02-28', 2)).toBe('2028-03-01');
    expect(daysBetween('2028-03-01', '2028-02-28')).toBe(-2);
  });
  it('are said in words', () => expect(dayInWords('2026-05-16')).toBe('Saturday 16 May'));
});

describe('a moved clock', () => {
  it('goes through midnight either way', () => {
    expect(shiftClock('23:30', 60)).toBe('00:30');
    expect(shiftClock('00:30', -60)).toBe('23:30');
    expect(shiftClock('12:00', -3 * 1440)).toBe('12:00');
    expect(shiftClock('09:50', 25)).toBe('10:15');
  });
});

describe('the clock of a place', () => {
  it.each([
    ['utc', '2026-07-04T12:00:00Z', 'UTC'],
    ['Europe/Paris', '2026-07-04T12:00:00Z', 'UTC+2'],
    ['Europe/Paris', '2026-12-04T12:00:00Z', 'UTC+1'],
    ['UTC-1', '2026-12-04T12:00:00Z', 'UTC−1'],
    ['America/St_Johns', '2026-12-04T12:00:00Z', 'UTC−3:30'],
  ])('%s at %s is %s', (zone, at, name) => expect(clockName(Date.parse(at), zone)).toBe(name));
});
