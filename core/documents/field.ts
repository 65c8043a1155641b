import { z } from 'zod';
import { rangeInWords } from '../units/amount';
import { isTimeZone } from '../units/time';

// Postgres keeps neither NUL nor half a surrogate pair in JSON: such text is refused at the door, in words.
/* oxlint-disable no-control-regex -- control characters are just what is looked for */
const unkeepable =
  /[\u0000-\u0008\u000b\u000c\u000e-\u001f\u007f]|[\ud800-\udbff](?![\udc00-\udfff])|(?<![\ud800-\udbff])[\udc00-\udfff]/;

/** Text of at most so many characters that a database can keep. */
export function text(max: number) {
  return z
    .string('Write this as text.')
    .max(max, `At most ${max} characters.`)
    .refine((value) => !unkeepable.test(value), 'Has a character that cannot be kept.');
}

/**
 * The text on one line: each line break in it is a space. A name with one would begin a line of its own in a
 * plan, a calendar or a mail.
 */
export const onOneLine = (value: string): string => value.replaceAll(/\s*[\r\n\u0085\u2028\u2029]\s*/g, ' ');

/** A name on one line: 1 to 80 characters. */
export const nameText = text(80)
  .overwrite(onOneLine)
  .refine((value) => value.trim().length > 0, 'Give it a name.');
/** One line, may be empty. */
/** Signs in one line that somebody writes, at most. */
export const MOST_LINE = 200;
export const lineText = text(MOST_LINE).overwrite(onOneLine);
/** An address for mail, may be empty. */
export const emailText = lineText.refine(
  (value) => value === '' || z.email().safeParse(value).success,
  'Write it as name@place.example, or leave it empty.',
);
/** Several lines, may be empty. */
export const noteText = text(4000);

/** Identifier of a document: lower-case letters, digits and hyphens. */
export const idText = z
  .string('An identifier is text.')
  .regex(
    /^[a-z0-9][a-z0-9-]{0,63}$/,
    'An identifier has lower-case letters, digits and hyphens, at most 64.',
  );

/** yyyy-mm-dd of a day that exists, 1900 to 2199. */
export const dateText = z
  .string('Write the date as yyyy-mm-dd.')
  .refine(
    (value) => /^(19|20|21)\d\d-\d\d-\d\d$/.test(value) && realDay(value),
    'Write a real date as yyyy-mm-dd.',
  );
/** hh:mm, 00:00 to 23:59. */
export const clockText = z
  .string('Write the time as hh:mm.')
  .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'Write the time as hh:mm, 00:00 to 23:59.');
const EARLIEST = Date.UTC(1900, 0, 1);
const LATEST = Date.UTC(2200, 0, 1) - 1;
/** ISO 8601 with offset or Z. The instant itself lies in 1900 to 2199 by UTC, whatever its text says. */
export const instantText = z.iso
  .datetime({ offset: true, error: 'Write the moment as ISO 8601 with an offset.' })
  .refine((value) => {
    const at = Date.parse(value);
    return at >= EARLIEST && at <= LATEST;
  }, 'A moment lies between 1900 and 2199, by UTC.');
export const zoneText = text(60).refine(
  isTimeZone,
  'Not a time zone. Write one like UTC+1 or Atlantic/Azores.',
);

/**
 * A finite number within a range; the message names the range and the unit, as the one who reads it has them.
 */
export function quantity(min: number, max: number, unit: string) {
  const message = () => `A number from ${rangeInWords(min, max, unit)}.`;
  return z.number({ error: message }).min(min, { error: message }).max(max, { error: message });
}

/** A whole number within a range. */
export function wholeNumber(min: number, max: number) {
  const message = `A whole number from ${min} to ${max}.`;
  return z.int(message).min(min, message).max(max, message);
}

function realDay(value: string): boolean {
  const [y = 0, m = 0, d = 0] = value.split('-').map(Number);
  const day = new Date(Date.UTC(y, m - 1, d));
  return day.getUTCFullYear() === y && day.getUTCMonth() === m - 1 && day.getUTCDate() === d;
}

/** A position, degrees north and east. */
export const placed = { latDeg: quantity(-89, 89, '°'), lonDeg: quantity(-180, 180, '°') };
