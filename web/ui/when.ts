import { DateTime } from 'luxon';
import { isWeekday } from '#core/exchange/calendarWords';
import { dayOf, momentParts } from '#core/exchange/momentCells';
import { addDays, daysBetween } from '#core/units/time';
import { spoken } from '#core/units/speaking';
import { countedWords, dayWords } from '#core/units/words';

/** What a text means: one value, or two between which whoever wrote it must choose. */
export type Meant = { is: 'one'; value: string } | { is: 'either'; values: readonly [string, string] };
const one = (value: string): Meant => ({ is: 'one', value });

export interface DayReading {
  /** yyyy-mm-dd. */
  today: string;
  /** Whether "3/4" is the fourth of March to whoever reads; null: nobody knows. */
  monthFirst: boolean | null;
}

const WEEKDAYS = ['mon', 'tue', 'wed', 'thu', 'fri', 'sat', 'sun'];
const weekdayOf = (date: string): number => (new Date(`${date}T00:00:00Z`).getUTCDay() + 6) % 7;
/**
 * A day without a year is the first such day from so many days ago on: a bill of last month, an outing of
 * next summer.
 */
const BACK_DAYS = 60;

/** A day as people write it, in words or in figures; null: it is none. */
export function readDay(text: string, { today, monthFirst }: DayReading): Meant | null {
  const words = text.trim().toLowerCase().replace(/,/g, ' ').replace(/\s+/g, ' ');
  const spoken = spokenDay(words, today);
  if (spoken !== null) return spoken;
  // "5 Dec 26", "Dec 5 '26": a year of two figures at the end.
  const { date, minutes, left } = momentParts(
    words.replace(
      /^(.*[a-z]{3}.*\d.*|\d{1,2}(?:st|nd|rd|th)? (?:of )?[a-z]{3,}\.?) [’']?(\d{2})$/,
      '$1 20$2',
    ),
  );
  if (date === null || minutes !== null || left !== '') return null;
  const from = addDays(today, -BACK_DAYS);
  const read = (order: 'day first' | 'month first') => {
    const near = dayOf(date, order, from);
    if (near === null || date.year !== null || near >= from) return near;
    return dayOf({ ...date, year: Number(near.slice(0, 4)) + 1 }, order, from);
  };
  const [dayFirst, monthBefore] = [read('day first'), read('month first')];
  const both = dayFirst !== null && monthBefore !== null && dayFirst !== monthBefore;
  if (both && monthFirst === null) return { is: 'either', values: [dayFirst, monthBefore] };
  const day = both ? (monthFirst === true ? monthBefore : dayFirst) : (dayFirst ?? monthBefore);
  if (day === null || isOtherWeekday(words, day)) return null;
  return one(day);
}
/** "today", "sat", "saturday week", "next saturday", "in three days"; null: none of these. */
function spokenDay(words: string, today: string): Meant | null {
  if (words === 'today' || words === 'tonight') return one(today);
  if (words === 'tomorrow') return one(addDays(today, 1));
  if (words === 'day after tomorrow' || words === 'the day after tomorrow') return one(addDays(today, 2));
  if (words === 'yesterday') return one(addDays(today, -1));
  const later = /^(?:in )?(\d{1,3}) (day|week)s?$/.exec(words);
  if (later) return one(addDays(today, Number(later[1]) * (later[2] === 'week' ? 7 : 1)));
  const named = /^(this|on|next|coming)? ?([a-z]{3,9})\.?( week| after next)?$/.exec(words);
  const weekday = named && isWeekday(named[2] ?? '') ? WEEKDAYS.indexOf((named[2] ?? '').slice(0, 3)) : -1;
  if (!named || weekday < 0) return null;
  const coming = addDays(today, (weekday - weekdayOf(today) + 7) % 7);
  if (named[3] !== undefined) return one(addDays(coming, 7));
  // "Next Saturday" is the coming one to some, and the one after it to others.
  return named[1] === 'next' && daysBetween(today, coming) > 0
    ? { is: 'either', values: [coming, addDays(coming, 7)] }
    : one(named[1] === 'next' ? addDays(coming, 7) : coming);
}
/** Whether a weekday is written beside a date of another: one of both is wrong. */
function isOtherWeekday(words: string, day: string): boolean {
  const at = words
    .split(' ')
    .flatMap((word) => (isWeekday(word) ? [WEEKDAYS.indexOf(word.slice(0, 3))] : []));
  return at.some((weekday) => weekday >= 0 && weekday !== weekdayOf(day));
}

/** A time of day, by either clock. */
const CLOCKS = ['H:mm', 'H.mm', 'HHmm', 'H', 'h:mm a', 'h:mma', 'h.mm a', 'h a', 'ha'];
const NAMED: Readonly<Record<string, string>> = { noon: '12:00', midday: '12:00', midnight: '00:00' };
/**
 * A time of day as people write it; null: it is none.
 * @param twelve whoever reads has a clock of twelve hours: "2:40" is then of the night or of the afternoon
 */
export function readClock(text: string, twelve: boolean): Meant | null {
  const plain = clockWords(text.trim().toLowerCase().replace(/\s+/g, ' '));
  const named = NAMED[plain];
  if (named !== undefined) return one(named);
  // The end of a day is the beginning of the next: 24:00 is no time of this one.
  if (/^24/.test(plain)) return null;
  for (const format of CLOCKS) {
    const at = DateTime.fromFormat(plain, format, { zone: 'utc', locale: 'en-GB' });
    if (!at.isValid) continue;
    const open = twelve && /^(?:[1-9]|1[0-2])(?:[:.]\d\d)?$/.test(plain);
    const clock = at.toFormat('HH:mm');
    return open
      ? {
          is: 'either',
          values: [
            at.minus({ hours: at.hour === 12 ? 12 : 0 }).toFormat('HH:mm'),
            at.plus({ hours: at.hour === 12 ? 0 : 12 }).toFormat('HH:mm'),
          ],
        }
      : one(clock);
  }
  return null;
}
/** "half past six", "quarter to 7 in the evening", "6 o’clock", "6h30" in figures. */
function clockWords(text: string): string {
  const half = / (?:in the )?(?:morning|a\.m\.?)$/.test(text)
    ? ' am'
    : / (?:in the )?(?:afternoon|evening|at night|p\.m\.?)$/.test(text)
      ? ' pm'
      : '';
  const plain = text
    .replace(/ (?:in the )?(?:morning|afternoon|evening)$| at night$| [ap]\.m\.?$/, '')
    .replace(/ ?o[’']?clock$/, '')
    .replace(/^at /, '')
    .replaceAll(new RegExp(String.raw`\b(${countedWords.join('|')})\b`, 'g'), (word) =>
      String(countedWords.indexOf(word) + 1),
    )
    .replace(
      /^(\d{1,2}) ?h ?(\d{2})?$/,
      (_, hour: string, minute: string | undefined) => `${hour}:${minute ?? '00'}`,
    );
  const beside = /^(half|quarter|\d{1,2})(?: minutes?)? (past|to) (\d{1,2})$/.exec(plain);
  if (!beside) return `${plain}${half}`;
  const by = beside[1] === 'half' ? 30 : beside[1] === 'quarter' ? 15 : Number(beside[1]);
  const minutes = (Number(beside[3]) * 60 + (beside[2] === 'past' ? by : -by) + 720) % 720 || 720;
  return `${Math.floor(minutes / 60) || 12}:${String(minutes % 60).padStart(2, '0')}${half}`;
}

/** Whether this browser writes the month before the day, as it says of itself. */
const browserMonthFirst = (): boolean => {
  const parts = new Intl.DateTimeFormat().formatToParts(new Date(2026, 10, 26)).map(({ type }) => type);
  return parts.indexOf('month') < parts.indexOf('day');
};
/**
 * Whether "3/4" is the fourth of March to this reader, by their units and their browser; null: the two do not
 * say the same.
 */
export function monthIsFirst(): boolean | null {
  if (spoken().temperature === '°F') return true;
  return browserMonthFirst() ? null : false;
}

/** "26 November 2026"; what is no day comes back as it is. */
export function sayDay(date: string): string {
  return /^\d{4}-\d\d-\d\d$/.test(date) ? dayWords(date) : date;
}
