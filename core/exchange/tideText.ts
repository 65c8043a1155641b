import { DateTime } from 'luxon';
import type { TideTurn } from '../documents/water';
import { addDays, clockAt, instantOf } from '../units/time';
import { amount } from '../units/amount';
import { dayWords, figure } from '../units/words';
import { type Imported, PASTED, reader, refused, told, withoutListCommas } from './imported';

const FOOT_M = 0.3048;
/** High and low waters lie so far apart, h: closer ones are one turn written twice, farther ones have one missing between them. */
const LEAST_APART_H = 3;
const MOST_APART_H = 16;
const HOUR_MS = 3_600_000;

const MONTHS = 'jan feb mar apr may jun jul aug sep oct nov dec'.split(' ');
const WEEKDAY = String.raw`(?:mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?,?\s+`;
const MONTH = `(${MONTHS.join('|')})[a-z]*\\.?`;
/** `figures`: in figures alone, so that a table may mean the month first. */
const DATES: readonly { is: RegExp; order: 'ymd' | 'dmy' | 'mdy'; figures?: true }[] = [
  { is: /\b(\d{4})-(\d{1,2})-(\d{1,2})(?=T|\b)/i, order: 'ymd' },
  { is: /\b(\d{1,2})[./](\d{1,2})[./](\d{4}|\d{2})\b/, order: 'dmy', figures: true },
  {
    is: new RegExp(String.raw`(?:\b${WEEKDAY})?\b(\d{1,2})(?:st|nd|rd|th)?\s+${MONTH}(?:\s+(\d{4}))?`, 'i'),
    order: 'dmy',
  },
  {
    is: new RegExp(String.raw`(?:\b${WEEKDAY})?\b${MONTH}\s+(\d{1,2})(?!\d)(?:st|nd|rd|th)?(?:,?\s+(\d{4}))?`, 'i'),
    order: 'mdy',
  },
];
/** A month over its days, and days by their number alone: "26 Th 0412 5.1", "TU 26 0412 5.1", "26 0412 5.1". */
const MONTH_ALONE = new RegExp(String.raw`^\s*${MONTH}\s+(\d{4})\s*$`, 'i');
const SHORT_DAY = String.raw`(?:m|mo|t|tu|w|we|th|f|fr|s|sa|su|mon|tue|wed|thu|fri|sat|sun)[a-z]*\.?`;
const DAY_ALONE = new RegExp(
  String.raw`^\s*(?:(\d{1,2})\s+${SHORT_DAY}(?=\s|$)|${SHORT_DAY},?\s+(\d{1,2})(?:st|nd|rd|th)?(?=\s|$)|(\d{1,2})(?=\s*$|\s+\d{4}\s+-?\d+[.,]\d))`,
  'i',
);
/** An instant as programs write it, with its own offset; and a table that says its times are of Greenwich. */
const INSTANT = /\b\d{4}-\d\d-\d\d[T ]\d\d:\d\d(?::\d\d(?:\.\d+)?)?\s?(?:Z|[+-]\d\d:?\d\d)(?![\d.])/gi;
const GREENWICH =
  /\btimes?\b[^\n\d]*\b(?:gmt|utc)\b\s?([+-]\d{1,2})?|\b(?:gmt|utc)\b\s?([+-]\d{1,2})?[^\n\d]*\btimes?\b/i;
const INSTANT_IN = new RegExp(INSTANT.source, 'i');
/** "4.3 m at 05:12": the height first. */
const HEIGHT_FIRST = /(-?\d{0,2}[.,]?\d{1,2})\s*(m|ft)\s*(?:at|@)\s*(\d{1,2}[:.]?\d{2}(?:\s*[ap]m)?)/gi;
/** A clock time and a height behind it, with words for high and low before, between or behind. */
const WORD = String.raw`(h\.?w\.?|l\.?w\.?|high(?:\s*(?:water|tide))?|low(?:\s*(?:water|tide))?|[hl])`;
const TURN = new RegExp(
  String.raw`(?:\b${WORD}[\s,;:]+)?\b(\d{1,2})[:.h]?(\d{2})(?::\d{2})?\s*([ap]\.?m\.?)?(?:\s*(z|utc|gmt|[a-z]{2,4}t))?[\s,;|]+(?:${WORD}[\s,;:|]+)?\(?(-?(?:\d{1,2}(?:[.,]\d{1,3})?|[.,]\d{1,3}))\s*(m|ft|feet|metres|meters)?\b\)?(?:[\s,;|]+${WORD}\b(?![\s,;:]+\d{1,2}[:.h]?\d{2}))?`,
  'gi',
);

export interface TideText {
  turns: TideTurn[];
  /** How it was understood, to be shown before it is kept. */
  days: number;
  feet: boolean;
  /** The clock that it names, in words, where its times were turned from that to the water's own; null: it is the water's own. */
  clock: string | null;
}

/**
 * High and low waters from a table as people paste it: a date at the head of a day or of each line, then times and heights, with or without
 * "HW" and "LW"; several days at once; CSV with a header too. Heights in metres unless feet are named. Where high and low are not named,
 * the higher of neighbours is high.
 * @param firstDate the day of lines that stand before any date, yyyy-mm-dd; its year stands where a date has none @param zone the clock of the table
 */
export const readTideText = reader(PASTED, inTideText);
function inTideText(text: string, firstDate: string, zone: string): Imported<TideText> {
  if (text.trim() === '')
    return refused('Nothing is written. Paste times and heights, such as: 27 Nov  HW 05:12 4.3 m  LW 11:30 0.9 m.');
  const feet = /\b(ft|feet)\b/i.test(text) && !/\d\s*m\b/i.test(text);
  const troubles: string[] = [];
  const found: (TideTurn & { known: boolean; line: number })[] = [];
  let date = firstDate;
  const headed = GREENWICH.exec(text);
  let clock = headed ? `UTC${headed[1] ?? headed[2] ?? ''}` : null;
  const monthFirst = isMonthFirst(text);
  const ofWater = (written: string) =>
    DateTime.fromISO(written.replace(/(\d) (?=\d\d:)/, '$1T').replace(' ', ''))
      .setZone(zone)
      .toFormat('yyyy-MM-dd HH:mm');
  for (const [i, raw] of text.split(/\r?\n/).entries()) {
    const line = withoutListCommas(raw)
      .replaceAll(/["\t|]/g, ' ')
      .replaceAll('−', '-')
      .replaceAll(INSTANT, ofWater)
      .replaceAll(HEIGHT_FIRST, '$3 $1 $2');
    const dated = dateIn(line, firstDate, date, monthFirst);
    if (dated.is === 'wrong') {
      troubles.push(`Line ${i + 1}: ${dated.why}`);
      continue;
    }
    if (dated.is === 'date') date = dated.date;
    const rest = dated.is === 'date' ? dated.rest : line;
    let before = '';
    for (const match of rest.matchAll(TURN)) {
      const [, wordBefore, h = '', m = '', half = '', named = '', wordBetween, height = '', unit = '', wordBehind] =
        match;
      const hhmm = clockOf(Number(h), Number(m), half);
      if (hhmm === null) {
        troubles.push(`Line ${i + 1}: ${h}:${m} is no time.`);
        continue;
      }
      // A time earlier than the one before it in the same line belongs to the next day.
      if (before !== '' && hhmm < before && dated.is !== 'date') date = addDays(date, 1);
      before = hhmm;
      if (/^(z|utc|gmt)$/i.test(named)) clock ??= 'UTC';
      else if (named !== '' && !isClockOf(named, date, zone))
        troubles.push(`Line ${i + 1}: "${named}" is taken for the water’s own clock.`);
      const at = instantOf(date, hhmm, clock !== null && !INSTANT_IN.test(raw) ? clock : zone);
      const heightM = Number(height.replace(',', '.')) * ((unit === '' ? feet : /^f/i.test(unit)) ? FOOT_M : 1);
      const word = (wordBefore ?? wordBetween ?? wordBehind ?? '').toLowerCase();
      if (at === null || Math.abs(heightM) > 25) {
        troubles.push(`Line ${i + 1}: ${hhmm} ${height} is no tide.`);
        continue;
      }
      const rounded = Math.round(heightM * 1000) / 1000;
      found.push({
        at: new Date(at).toISOString(),
        heightM: rounded,
        high: word.startsWith('h'),
        known: word !== '',
        line: i + 1,
      });
    }
    if (/\d/.test(rest) && before === '' && dated.is !== 'date' && !/[a-z]{4}/i.test(rest))
      troubles.push(`Line ${i + 1}: no time with a height in "${raw.trim().slice(0, 50)}".`);
  }
  if (found.length < 2)
    return refused(
      `No two times with heights were found. Write them like this: 27 Nov  HW 05:12 4.3 m  LW 11:30 0.9 m.${troubles.length > 0 ? ` ${troubles[0] ?? ''}` : ''}`,
    );
  const turns = ordered(found, troubles);
  const days = new Set(turns.map(({ at }) => DateTime.fromISO(at, { zone }).toISODate())).size;
  return { taken: true, value: { turns, days, feet, clock }, troubles: told(troubles) };
}

/** In order of time, each high or low by its word or by its neighbours; what cannot be is told. */
function ordered(found: readonly (TideTurn & { known: boolean; line: number })[], troubles: string[]): TideTurn[] {
  const sorted = found.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const turns = sorted.filter((one, i) => {
    const last = sorted[i - 1];
    const twice = last !== undefined && Date.parse(one.at) - Date.parse(last.at) < 60_000;
    if (twice && one.heightM !== last.heightM)
      troubles.push(
        `Line ${one.line}: the same time as another, at ${amount(one.heightM, 'm', 2)}. The first is kept.`,
      );
    return !twice;
  });
  return turns.map(({ at, heightM, high, known, line }, i) => {
    const [last, next] = [turns[i - 1], turns[i + 1]];
    const gapH = last ? (Date.parse(at) - Date.parse(last.at)) / HOUR_MS : null;
    if (gapH !== null && gapH < LEAST_APART_H) troubles.push(`Line ${line}: two turns within ${figure(gapH)} h.`);
    if (gapH !== null && gapH > MOST_APART_H && gapH < 48)
      troubles.push(`Line ${line}: a turn is missing before it, ${figure(gapH, 0)} h after the last.`);
    const over = (other: { heightM: number } | undefined) => other !== undefined && heightM > other.heightM;
    const isHigh = known ? high : over(last) || over(next);
    if (known && last && high === last.high && last.known && (gapH ?? 0) < MOST_APART_H)
      troubles.push(`Line ${line}: two ${high ? 'high' : 'low'} waters one after the other.`);
    return { at, heightM, high: isHigh };
  });
}

function clockOf(h: number, m: number, half: string): string | null {
  const letter = half.charAt(0).toLowerCase();
  if (m > 59 || h > 23 || (letter !== '' && (h < 1 || h > 12))) return null;
  const hour = letter === 'p' ? (h % 12) + 12 : letter === 'a' ? h % 12 : h;
  return `${String(hour).padStart(2, '0')}:${String(m).padStart(2, '0')}`;
}

/** Whether letters are what the clock of the water is called on a day: "CET", "BST". */
function isClockOf(letters: string, date: string, zone: string): boolean {
  const noon = DateTime.fromISO(`${date}T12:00`, { zone });
  return ['en-GB', 'en-US', 'en-AU'].some(
    (locale) => noon.setLocale(locale).offsetNameShort?.toLowerCase() === letters.toLowerCase(),
  );
}

/** Whether a table writes 11/26/2026: a second figure past twelve, and no first one. */
function isMonthFirst(text: string): boolean {
  const dates = [...text.matchAll(/\b(\d{1,2})[./](\d{1,2})[./]\d{2,4}\b/g)];
  return dates.some(([, , b]) => Number(b) > 12) && dates.every(([, a]) => Number(a) <= 12);
}

type Dated = { is: 'date'; date: string; rest: string } | { is: 'none' } | { is: 'wrong'; why: string };
/** The first date of a line, and the line without it. */
function dateIn(line: string, near: string, last: string, monthFirst: boolean): Dated {
  const month = MONTH_ALONE.exec(line);
  if (month) {
    const [, name = '', year = ''] = month;
    const number = MONTHS.indexOf(name.slice(0, 3).toLowerCase()) + 1;
    return { is: 'date', date: `${year}-${String(number).padStart(2, '0')}-01`, rest: '' };
  }
  for (const { is, order: usual, figures } of DATES) {
    const order = monthFirst && figures ? 'mdy' : usual;
    const match = is.exec(line);
    if (!match) continue;
    const [whole, a = '', b = '', c] = match;
    const [day, month, year] = order === 'ymd' ? [c ?? '', b, a] : order === 'dmy' ? [a, b, c] : [b, a, c];
    const months = MONTHS.indexOf(month.slice(0, 3).toLowerCase()) + 1 || Number(month);
    const years =
      year === undefined ? Number(near.slice(0, 4)) : Number(year) < 100 ? 2000 + Number(year) : Number(year);
    const read = DateTime.fromObject({ year: years, month: months, day: Number(day) }, { zone: 'utc' });
    if (!read.isValid) return { is: 'wrong', why: `"${whole.trim()}" is no day.` };
    // A table over the turn of the year writes January without a year.
    const behind = year === undefined && read.toISODate() < addDays(near, -180);
    const date = (behind ? read.plus({ years: 1 }) : read).toISODate();
    return { is: 'date', date, rest: line.replace(whole, ' ').replace(/^\s*T/, ' ') };
  }
  const alone = DAY_ALONE.exec(line);
  const day = Number(alone?.[1] ?? alone?.[2] ?? alone?.[3] ?? 0);
  if (!alone || day < 1 || day > 31) return { is: 'none' };
  const before = DateTime.fromISO(last, { zone: 'utc' });
  // A day long before the last one is of the next month.
  const of = before.startOf('month').plus({ months: before.day - day > 15 ? 1 : 0 });
  const read = of.set({ day });
  return read.hasSame(of, 'month')
    ? { is: 'date', date: read.toISODate() ?? last, rest: line.replace(alone[0], ' ') }
    : { is: 'wrong', why: `There is no ${day}. in that month.` };
}

/** High and low waters as lines that can be read again: a day a line. */
export function writeTideText(turns: readonly TideTurn[], zone: string): string {
  const days = new Map<string, string[]>();
  for (const { at, heightM, high } of turns) {
    const local = DateTime.fromISO(at, { zone });
    const day = local.toISODate() ?? '';
    days.set(day, [
      ...(days.get(day) ?? []),
      `${high ? 'HW' : 'LW'} ${local.toFormat('HH:mm')} ${figure(heightM, 2).replace('−', '-')} m`,
    ]);
  }
  return [...days].map(([day, list]) => `${day}  ${list.join('  ')}`).join('\n');
}
/** "4 high and 3 low waters, 27 November 2026 to 28 November 2026". */
export function sayTurns(turns: readonly TideTurn[], zone: string): string {
  const day = (turn: TideTurn | undefined) => dayWords(DateTime.fromISO(turn?.at ?? '', { zone }).toISODate() ?? '');
  const highs = turns.filter(({ high }) => high).length;
  const first = turns.find(({ high }) => high);
  const at = first
    ? `; the first high water at ${clockAt(Date.parse(first.at), zone)}, ${amount(first.heightM, 'm', 2)}`
    : '';
  return `${highs} high and ${turns.length - highs} low waters, ${day(turns[0])} to ${day(turns[turns.length - 1])}${at}`;
}
