import { DateTime } from 'luxon';
import { dayWords } from '#core/units/words';

/** Ways in which a day is written: in words, as numbers day first, and year first. */
const DAYS = [
  'd LLLL yyyy',
  'd LLL yyyy',
  'cccc d LLLL yyyy',
  'd.M.yyyy',
  'd/M/yyyy',
  'd-M-yyyy',
  'yyyy-M-d',
  'yyyy/M/d',
];
/** And a time of day, by either clock. */
const CLOCKS = ['H:mm', 'H.mm', 'HHmm', 'H', 'h:mm a', 'h:mma', 'h.mm a', 'h a', 'ha'];

function read(text: string, formats: readonly string[]): DateTime | null {
  const plain = text.trim().replace(/\s+/g, ' ').replace(/,/g, '');
  for (const format of formats) {
    const at = DateTime.fromFormat(plain, format, { zone: 'utc', locale: 'en-GB' });
    if (at.isValid) return at;
  }
  return null;
}

/** yyyy-mm-dd of a day as people write it; null: it is none. Day before month. */
export function readDay(text: string): string | null {
  return read(text, DAYS)?.toFormat('yyyy-MM-dd') ?? null;
}
/** hh:mm of a time as people write it; null: it is none. */
export function readClock(text: string): string | null {
  // The end of a day is the beginning of the next: 24:00 is no time of this one.
  return /^\s*24/.test(text) ? null : (read(text, CLOCKS)?.toFormat('HH:mm') ?? null);
}
/** "26 November 2026"; what is no day comes back as it is. */
export function sayDay(date: string): string {
  return /^\d{4}-\d\d-\d\d$/.test(date) ? dayWords(date) : date;
}
