import { describe, expect, it } from 'vitest';
import { readClock, readDay, sayDay } from './when';

/** A Tuesday. */
const today = '2026-12-01';
const day = (text: string, monthFirst: boolean | null = false) => {
  const meant = readDay(text, { today, monthFirst });
  return meant && (meant.is === 'one' ? meant.value : meant.values);
};
const clock = (text: string, twelve = false) => {
  const meant = readClock(text, twelve);
  return meant && (meant.is === 'one' ? meant.value : meant.values);
};

describe('a day as people write it', () => {
  it.each([
    ['26 November 2026', '2026-11-26'],
    ['26 nov 2026', '2026-11-26'],
    ['Thursday 26 November 2026', '2026-11-26'],
    ['Thursday, November 26, 2026', '2026-11-26'],
    ['6.3.2026', '2026-03-06'],
    ['06/03/2026', '2026-03-06'],
    ['2026-03-06', '2026-03-06'],
    ['20260306', '2026-03-06'],
    ['  2026-3-6 ', '2026-03-06'],
    ['Dec 5', '2026-12-05'],
    ['5 dec', '2026-12-05'],
    ['5th of December', '2026-12-05'],
    ['sat 5 dec', '2026-12-05'],
    ['5 dec 27', '2027-12-05'],
    ["Dec 5 '27", '2027-12-05'],
    ['5 Dec 2027', '2027-12-05'],
    ['10 jan', '2027-01-10'],
    ['4 July', '2027-07-04'],
    ['20 Nov', '2026-11-20'],
    ['5.12.', '2026-12-05'],
    ['5/12', '2026-12-05'],
    ['12/5/26', '2026-05-12'],
    ['31/12/2026', '2026-12-31'],
    ['12/31/2026', '2026-12-31'],
    ['today', '2026-12-01'],
    ['Tomorrow', '2026-12-02'],
    ['sat', '2026-12-05'],
    ['Saturday', '2026-12-05'],
    ['this saturday', '2026-12-05'],
    ['tuesday', '2026-12-01'],
    ['saturday week', '2026-12-12'],
    ['in 3 days', '2026-12-04'],
    ['2 weeks', '2026-12-15'],
  ])('%s', (text, read) => expect(day(text)).toBe(read));
  it('in figures is by the reader’s order, and asked where nobody knows it', () => {
    expect(day('3/4/2027', false)).toBe('2027-04-03');
    expect(day('3/4/2027', true)).toBe('2027-03-04');
    expect(day('3/4/2027', null)).toEqual(['2027-04-03', '2027-03-04']);
    expect(day('3.4.2027', true)).toBe('2027-04-03');
    expect(day('4/4/2027', null)).toBe('2027-04-04');
    expect(day('31/4/2027', null)).toBeNull();
    expect(day('13/4/2027', null)).toBe('2027-04-13');
  });
  it('"next Saturday" is asked', () => {
    expect(day('next saturday')).toEqual(['2026-12-05', '2026-12-12']);
    expect(day('next tuesday')).toBe('2026-12-08');
  });
  it.each([
    '',
    '31.2.2026',
    '13/13/2026',
    'Friday 26 November 2026',
    'soon',
    '26',
    '12:30',
    '5 dec 6:00',
    '5 dec 99:00',
  ])('is none: %j', (text) => expect(day(text)).toBeNull());
  it('is said in words, and read again as it was said', () => {
    for (const one of ['2026-01-01', '2028-02-29', '2026-11-26']) expect(day(sayDay(one))).toBe(one);
    expect(sayDay('')).toBe('');
  });
});

describe('a time as people write it', () => {
  it.each([
    ['7:25', '07:25'],
    ['07.25', '07:25'],
    ['0725', '07:25'],
    ['7:25 PM', '19:25'],
    ['7:25 p.m.', '19:25'],
    ['12:05 am', '00:05'],
    ['3pm', '15:00'],
    ['7', '07:00'],
    ['23:59', '23:59'],
    ['00:00', '00:00'],
    ['noon', '12:00'],
    ['midnight', '00:00'],
    ['6 o’clock', '06:00'],
    ['at six', '06:00'],
    ['half past six', '06:30'],
    ['quarter to 7', '06:45'],
    ['ten past 12', '12:10'],
    ['half past six in the evening', '18:30'],
    ['6 in the morning', '06:00'],
    ['6h30', '06:30'],
    ['6h', '06:00'],
  ])('%s', (text, read) => expect(clock(text)).toBe(read));
  it('of a clock of twelve hours is asked where it may be of the night or the afternoon', () => {
    expect(clock('2:40', true)).toEqual(['02:40', '14:40']);
    expect(clock('12:10', true)).toEqual(['00:10', '12:10']);
    expect(clock('2:40 pm', true)).toBe('14:40');
    expect(clock('02:40', true)).toBe('02:40');
    expect(clock('14:40', true)).toBe('14:40');
  });
  it.each(['', '24:00', '7:60', '25:00', 'dusk', '13:61'])('is none: %j', (text) =>
    expect(clock(text)).toBeNull(),
  );
});
