import { describe, expect, it } from 'vitest';
import { readClock, readDay, sayDay } from './when';

describe('a day as people write it', () => {
  it.each([
    ['26 November 2026', '2026-11-26'],
    ['26 nov 2026', '2026-11-26'],
    ['Thursday 26 November 2026', '2026-11-26'],
    ['6.3.2026', '2026-03-06'],
    ['06/03/2026', '2026-03-06'],
    ['2026-03-06', '2026-03-06'],
    ['  2026-3-6 ', '2026-03-06'],
  ])('%s', (text, day) => expect(readDay(text)).toBe(day));
  it.each(['', '31.2.2026', '13/13/2026', 'Friday 26 November 2026', 'tomorrow', '26'])('is none: %j', (text) =>
    expect(readDay(text)).toBeNull(),
  );
  it('is said in words, and read again as it was said', () => {
    for (const day of ['2026-01-01', '2028-02-29', '2026-11-26']) expect(readDay(sayDay(day))).toBe(day);
    expect(sayDay('')).toBe('');
  });
});

describe('a time as people write it', () => {
  it.each([
    ['7:25', '07:25'],
    ['07.25', '07:25'],
    ['0725', '07:25'],
    ['7:25 PM', '19:25'],
    ['12:05 am', '00:05'],
    ['3pm', '15:00'],
    ['7', '07:00'],
    ['23:59', '23:59'],
    ['00:00', '00:00'],
  ])('%s', (text, clock) => expect(readClock(text)).toBe(clock));
  it.each(['', '24:00', '7:60', '25:00', 'noon'])('is none: %j', (text) => expect(readClock(text)).toBeNull());
});
