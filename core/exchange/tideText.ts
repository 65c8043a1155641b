import { DateTime } from 'luxon';
import type { TideTurn } from '../documents/water';
import { addDays, clockAt, daysBetween } from '../units/time';
import { amount } from '../units/amount';
import { dayWords, figure } from '../units/words';
import { isWeekday, monthOf } from './calendarWords';
import {
  type AnswersGiven,
  type Asking,
  PASTED,
  type Question,
  reader,
  refused,
  told,
  withoutListCommas,
} from './imported';
import {
  type DayOrder,
  type MomentParts,
  type Zone,
  dayOf,
  dayOrderOf,
  instantAt,
  takeDay,
  zoneIn,
} from './momentCells';
import { type LineTurns, turnsOfLine } from './tideTurns';
import { answeredOrder, askDayOrder, unanswered } from './questions';
import { isFrenchTable, unitOfTable } from './tideWords';

const HOUR_MS = 3_600_000;
/**
 * High and low waters lie so far apart, h: closer ones are one turn written twice, farther ones have one
 * missing between them.
 */
const LEAST_APART_H = 3;
const MOST_APART_H = 16;
/**
 * Where most lie farther apart than this, h, there may be one of each a day, or the low waters may be
 * missing: asked.
 */
const SEMIDIURNAL_MOST_H = 9;
/** So many days between two days of a table, and a day may have been taken for a month. */
const MOST_DAYS_APART = 20;
/** No tide is as high as this, m: a figure over it is in another unit, or none. */
const MOST_M = 25;
const MOST_HOURLY = 6;

export interface TideText {
  turns: TideTurn[];
  /** How it was understood, to be shown before it is kept. */
  days: number;
  feet: boolean;
  /**
   * The clock that it names, in words, where its times were turned from that to the water's own; null: it is
   * the water's own.
   */
  clock: string | null;
  /** What was asked, and answered. */
  asked: Question[];
}

/** A line of the table: its day as it stands there, and what is left of the line. */
interface Line {
  number: number;
  raw: string;
  /** A day; one by its number alone; the month and year of a heading; none. */
  day:
    | { date: NonNullable<MomentParts['date']> }
    | { alone: number }
    | { month: number; year: number | null }
    | null;
  rest: string;
}
type FoundTurn = TideTurn & { known: boolean; line: number };

/**
 * High and low waters from a table as people paste it: a date at the head of a day or of each line, then
 * times and heights, with or without words for high and low; several days at once; CSV with a header too.
 * Where high and low are not named, the higher of neighbours is high. What may be read in two ways is asked;
 * what is left out is told by its line.
 * @param firstDate the day of lines that stand before any date, yyyy-mm-dd; a year that no line has is the
 * one nearest to it
 * @param zone the clock of the table
 */
export const readTideText: (
  text: string,
  firstDate: string,
  zone: string,
  answers?: AnswersGiven,
) => Asking<TideText> = reader(PASTED, inTideText);
function inTideText(
  text: string,
  firstDate: string,
  zone: string,
  answers: AnswersGiven = {},
): Asking<TideText> {
  if (text.trim() === '')
    return refused(
      'Nothing is written. Paste times and heights, such as: 27 Nov  HW 05:12 4.3 m  LW 11:30 0.9 m.',
    );
  const lines = linesOf(text, zone);
  const asks: Question[] = [];
  const order = orderOf(lines, answers, asks);
  const perM = unitOf(text, lines, answers, asks);
  const { found, troubles, clock } = turnsOf(lines, {
    text,
    firstDate: yearOf(text, firstDate),
    zone,
    order,
    perM,
  });
  if (found.length < 2)
    return refused(
      `No two times with heights were found. Write them like this: 27 Nov  HW 05:12 4.3 m  LW 11:30 0.9 m.${troubles.length > 0 ? ` ${troubles[0] ?? ''}` : ''}`,
    );
  const turns = ordered(found, troubles);
  const why = askSpacing(turns, zone, asks, answers);
  if (why !== null) return refused(why);
  const waiting = unanswered(asks, answers);
  if (waiting) return waiting;
  const days = new Set(turns.map(({ at }) => DateTime.fromISO(at, { zone }).toISODate())).size;
  return {
    taken: true,
    value: { turns, days, feet: perM === 0.3048, clock, asked: asks },
    troubles: told(troubles),
  };
}

/** An instant as programs write it, with its own offset. */
const INSTANT = /\b\d{4}-\d\d-\d\d[T ]\d\d:\d\d(?::\d\d(?:\.\d+)?)?\s?(?:Z|[+-]\d\d:?\d\d)(?![\d.])/gi;
function linesOf(text: string, zone: string): Line[] {
  const ofWater = (written: string) =>
    DateTime.fromISO(written.replace(/(\d) (?=\d\d:)/, '$1T').replace(' ', ''))
      .setZone(zone)
      // Its clock is the water's from here on, whatever the table says of its own.
      .toFormat("yyyy-MM-dd HH:mm'\u2009'");
  return text.split(/\r?\n/).map((raw, i) => {
    const line = withoutListCommas(raw)
      .replaceAll(/["\t|;]/g, ' ')
      .replaceAll('−', '-')
      .replaceAll(INSTANT, ofWater)
      .replaceAll(/(\d)T(?=\d\d:)/g, '$1 ');
    return { number: i + 1, raw, ...dayOfLine(line) };
  });
}
/** The day of a line: a heading of a month, a date wherever it stands, or a number at its beginning. */
function dayOfLine(line: string): Pick<Line, 'day' | 'rest'> {
  const heading = /^\W*(?:(\p{L}{3,10})\.?,?\s*((?:19|20)\d{2})?|((?:19|20)\d{2})\s+(\p{L}{3,10}))\W*$/u.exec(
    line,
  );
  const name = heading?.[1] ?? heading?.[4] ?? '';
  const month = heading ? monthOf(name) : null;
  if (heading && month !== null) {
    const year = heading[2] ?? heading[3];
    return { day: { month, year: year === undefined ? null : Number(year) }, rest: '' };
  }
  const alone = dayAlone(line);
  const dated = takeDay(line);
  // "Mar 24" under a month's heading is a Tuesday in some languages: the heading decides when the days are
  // put together.
  if (dated && !(alone && isWeekday(line.trim().split(/\s+/)[0] ?? '')))
    return { day: { date: dated.date }, rest: dated.rest };
  return alone ? { day: { alone: alone.day }, rest: alone.rest } : { day: null, rest: line };
}
/** A day by its number alone at the head of a line: "26 Th 0412 5.1", "TU 26 0412 5.1", "26 0412 5.1". */
function dayAlone(line: string): { day: number; rest: string } | null {
  const [first = '', second = '', ...others] = line
    .trim()
    .split(/\s+|,(?=\s)/)
    .filter((word) => word !== '');
  const isDay = (text: string) =>
    /^\d{1,2}(?:st|nd|rd|th|\.)?$/.test(text) &&
    Number.parseInt(text, 10) >= 1 &&
    Number.parseInt(text, 10) <= 31;
  const isShortDay = (text: string) => /^\p{L}{1,2}\.?$/u.test(text) || isWeekday(text);
  if (isShortDay(first) && isDay(second)) return { day: Number.parseInt(second, 10), rest: others.join(' ') };
  if (!isDay(first)) return null;
  if (isShortDay(second) && !/^[hl]\.?$/i.test(second))
    return { day: Number.parseInt(first, 10), rest: others.join(' ') };
  const isTime = /^(?:\d{4}|\d{1,2}[:h]\d{2})$/.test(second);
  return second === '' || isTime
    ? { day: Number.parseInt(first, 10), rest: [second, ...others].join(' ') }
    : null;
}
/** A year that stands somewhere in the table, where it is the only one: days without a year are of it. */
function yearOf(text: string, firstDate: string): string {
  const years = new Set(
    [...text.matchAll(/(?<![\d:.,])((?:19|20)\d{2})(?![\d:.,])/g)].map(([, year]) => year ?? ''),
  );
  const [only] = years;
  const heads = text.split(/\r?\n/).some((line) => /^\D*(?:19|20)\d{2}\D*$/.test(line));
  if (years.size !== 1 || only === undefined || !heads || only === firstDate.slice(0, 4)) return firstDate;
  return `${only}-07-01`;
}

function orderOf(lines: readonly Line[], answers: AnswersGiven, asks: Question[]): DayOrder {
  const parts = lines.flatMap(({ day }) =>
    day && 'date' in day ? [{ date: day.date, minutes: null, zone: null, instant: null, left: '' }] : [],
  );
  const order = dayOrderOf(parts);
  if (order === 'known') return 'day first';
  if (order !== null) return order;
  const first = parts.find(({ date }) => date.order === 'open')?.date;
  if (first) asks.push(askDayOrder(first));
  return answeredOrder(answers);
}
/** How many metres one of the table's unit is; asked where heights without a unit are no metres. */
function unitOf(text: string, lines: readonly Line[], answers: AnswersGiven, asks: Question[]): number {
  const named = unitOfTable(text);
  if (named !== null) return named === 'm' ? 1 : named === 'ft' ? 0.3048 : 0.01;
  const reading = { french: isFrenchTable(text), heightFirst: false, inCm: true };
  const heights = lines.flatMap(({ rest }) =>
    turnsOfLine(rest, reading).turns.map(({ height }) => Math.abs(height)),
  );
  const high = heights.filter((height) => height > MOST_M);
  if (high.length * 3 < heights.length || high.length === 0) return 1;
  asks.push({
    id: 'unit',
    text: `Which unit are the heights in? One of them is ${high[0] ?? ''}.`,
    choices: [
      { id: 'cm', text: 'centimetres' },
      { id: 'ft', text: 'feet' },
    ],
  });
  return answers.unit === 'ft' ? 0.3048 : 0.01;
}

interface TableReading {
  text: string;
  firstDate: string;
  zone: string;
  order: DayOrder;
  perM: number;
}
/** All turns with their instants, in the order they stand in; what could not be taken, by line. */
function turnsOf(lines: readonly Line[], { text, firstDate, zone, order, perM }: TableReading) {
  const reading = { french: isFrenchTable(text), heightFirst: isHeightFirst(lines), inCm: perM === 0.01 };
  const troubles: string[] = [];
  const found: FoundTurn[] = [];
  let date = firstDate;
  let ofTable: Zone | null = null;
  let clock: string | null = null;
  /** What stands of a day so far, for lines that have no day of their own. */
  let last = { minutes: -1, words: new Set<string>() };
  for (const { number, raw, day, rest } of lines) {
    const at = day === null ? date : dayIn(day, date, firstDate, order);
    if (at === null) {
      troubles.push(`Line ${number}: "${raw.trim().slice(0, 30)}" has no day that there is.`);
      continue;
    }
    if (day !== null) last = { minutes: -1, words: new Set() };
    date = at;
    const line = turnsOfLine(rest.replaceAll('\u2009', ' '), reading);
    if (line.turns.length === 0) {
      ofTable ??= zoneOfHeading(raw);
      troubles.push(...leftOut(line, raw, number));
      continue;
    }
    troubles.push(...line.troubles.map((trouble) => `Line ${number}: ${trouble}`));
    if (line.left.length > 0)
      troubles.push(`Line ${number}: ${line.left.map((left) => `"${left}"`).join(', ')} left out.`);
    const own = rest.includes('\u2009');
    const begunAnew = day === null && isNextDay(line, last);
    if (begunAnew) [date, last] = [addDays(date, 1), { minutes: -1, words: new Set() }];
    for (const turn of line.turns) {
      // A time earlier than the one before it in a line without a day is of the next day.
      if (turn.minutes < last.minutes && day === null && line.turns[0] !== turn) date = addDays(date, 1);
      last = { minutes: turn.minutes, words: last.words.add(turn.word ?? '') };
      const zoned = turn.zone && 'offsetMin' in turn.zone ? turn.zone : own ? null : ofTable;
      if (zoned && 'offsetMin' in zoned) clock ??= sayClock(zoned.offsetMin);
      if (turn.zone && 'letters' in turn.zone && !isClockOf(turn.zone.letters, date, zone))
        troubles.push(`Line ${number}: "${turn.zone.letters}" is taken for the water’s own clock.`);
      const isOwn = turn.zone && 'letters' in turn.zone;
      const moment = instantAt(date, turn.minutes, isOwn ? null : zoned, zone);
      const heightM = turn.height * (turn.perM ?? perM);
      if (moment === null || Math.abs(heightM) > MOST_M) {
        troubles.push(`Line ${number}: ${figure(turn.height, 2)} is no height of a tide.`);
        continue;
      }
      const rounded = Math.round(heightM * 1000) / 1000;
      found.push({
        at: new Date(moment).toISOString(),
        heightM: rounded,
        high: turn.word === 'high',
        known: turn.word !== null,
        line: number,
      });
    }
  }
  return { found, troubles, clock };
}
/**
 * Whether a line without a day begins the next one: its first time is earlier than the last. Highs in one
 * line and lows in the next are one day.
 */
function isNextDay({ turns }: LineTurns, last: { minutes: number; words: ReadonlySet<string> }): boolean {
  const words = new Set(turns.map(({ word }) => word ?? ''));
  const [only] = words;
  const parted = words.size === 1 && last.words.size === 1 && only !== '' && !last.words.has(only ?? '');
  return (turns[0]?.minutes ?? 0) < last.minutes && !(parted && turns.length > 1);
}
function leftOut({ troubles, left }: LineTurns, raw: string, number: number): string[] {
  if (troubles.length > 0) return troubles.map((trouble) => `Line ${number}: ${trouble}`);
  // A year alone, or a figure within a title, is no tide that was lost.
  const isTitle = /\p{L}{4}/u.test(raw) || /^\D*(?:19|20)\d{2}\D*$/.test(raw);
  return left.length > 0 && !isTitle
    ? [`Line ${number}: no time with a height in "${raw.trim().slice(0, 50)}".`]
    : [];
}
/** The clock that a heading names for the whole table: "Times in UTC", "Zeiten in MEZ", "BST (GMT+1)". */
function zoneOfHeading(line: string): Zone | null {
  return /times?|zeit|heure|hora|ore|tijd|tid|utc|gmt/i.test(line)
    ? zoneIn(line.replace(/[.:]\s*$/, ''))
    : null;
}
function sayClock(minutes: number): string {
  const hours = minutes / 60;
  return minutes === 0 ? 'UTC' : `UTC${hours < 0 ? '−' : '+'}${figure(Math.abs(hours), 2)}`;
}
/** Whether the heads of the columns have the height before the time. */
function isHeightFirst(lines: readonly Line[]): boolean {
  return lines.some(({ raw }) => {
    const height = raw.search(/height|hoehe|höhe|hauteur|altura|altezza|hoogte|højde|høyde/i);
    const time = raw.search(/time|uhr|zeit|heure|hora(?!ri)|\bora\b|tijd|\btid/i);
    return height >= 0 && time > height && !/\d/.test(raw);
  });
}
/** The day that a line says, after the day before it; null: there is none such. */
function dayIn(
  day: NonNullable<Line['day']>,
  last: string,
  firstDate: string,
  order: DayOrder,
): string | null {
  if ('date' in day) return dayOf(day.date, order, firstDate);
  if ('month' in day) {
    const of = dayOf({ year: day.year, a: 1, b: day.month, order: 'known' }, 'day first', firstDate);
    return of;
  }
  const before = DateTime.fromISO(last, { zone: 'utc' });
  // A day long before the last one is of the next month.
  const of = before.startOf('month').plus({ months: before.day - day.alone > 15 ? 1 : 0 });
  const read = of.set({ day: day.alone });
  return read.hasSame(of, 'month') ? read.toISODate() : null;
}

/**
 * Turns that lie otherwise than a tide's are asked about.
 * @returns why none of it can be a tide table; null: it can
 */
function askSpacing(
  turns: readonly TideTurn[],
  zone: string,
  asks: Question[],
  answers: AnswersGiven,
): string | null {
  const gaps = turns.slice(1).map(({ at }, i) => (Date.parse(at) - Date.parse(turns[i]?.at ?? '')) / HOUR_MS);
  const usual = gaps.filter((gap) => gap < 48).toSorted((a, b) => a - b);
  const middle = usual[Math.floor((usual.length - 1) / 2)];
  if (middle === undefined && gaps.length === 0) return null;
  if (middle !== undefined && middle < LEAST_APART_H && turns.length > MOST_HOURLY)
    return `Its times lie ${figure(middle)} h apart: these are heights by the hour, and not high and low waters.`;
  if (middle !== undefined && middle > SEMIDIURNAL_MOST_H)
    asks.push({
      id: 'spacing',
      text: `Its turns lie about ${figure(middle, 0)} h apart, where most tides turn every six hours. Is there one high and one low water a day there?`,
      choices: [
        { id: 'one a day', text: 'Yes, one of each a day' },
        { id: 'one kind', text: 'No, it has high or low waters alone' },
      ],
    });
  if (answers.spacing === 'one kind')
    return 'Between high waters alone nobody knows how far it falls: paste the low waters too.';
  const apart = turns
    .slice(1)
    .find(({ at }, i) => daysBetween(dateOf(turns[i]?.at, zone), dateOf(at, zone)) > MOST_DAYS_APART);
  if (apart)
    asks.push({
      id: 'days',
      text: `Its days lie months apart (${dayWords(dateOf(turns[0]?.at, zone))}, ${dayWords(dateOf(apart.at, zone))}). Is that so in the table?`,
      choices: [
        { id: 'so', text: 'Yes, take them as they stand' },
        { id: 'not', text: 'No' },
      ],
    });
  return answers.days === 'not'
    ? 'Write the months by their names, or the days as 2026-11-27: then nobody takes one for the other.'
    : null;
}
const dateOf = (at: string | undefined, zone: string): string =>
  DateTime.fromISO(at ?? '', { zone }).toISODate() ?? '';

/** In order of time, each high or low by its word or by its neighbours; what cannot be is told. */
function ordered(found: readonly FoundTurn[], troubles: string[]): TideTurn[] {
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
    if (gapH !== null && gapH < LEAST_APART_H)
      troubles.push(`Line ${line}: two turns within ${figure(gapH)} h.`);
    if (gapH !== null && gapH > MOST_APART_H && gapH < 48)
      troubles.push(`Line ${line}: a turn is missing before it, ${figure(gapH, 0)} h after the last.`);
    const over = (other: { heightM: number } | undefined) => other !== undefined && heightM > other.heightM;
    const isHigh = known ? high : over(last) || over(next);
    if (known && last && high === last.high && last.known && (gapH ?? 0) < MOST_APART_H)
      troubles.push(`Line ${line}: two ${high ? 'high' : 'low'} waters one after the other.`);
    return { at, heightM, high: isHigh };
  });
}

/** Whether letters are what the clock of the water is called on a day: "CET", "BST". */
function isClockOf(letters: string, date: string, zone: string): boolean {
  const noon = DateTime.fromISO(`${date}T12:00`, { zone });
  return ['en-GB', 'en-US', 'en-AU'].some(
    (locale) => noon.setLocale(locale).offsetNameShort?.toLowerCase() === letters.toLowerCase(),
  );
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
  const day = (turn: TideTurn | undefined) =>
    dayWords(DateTime.fromISO(turn?.at ?? '', { zone }).toISODate() ?? '');
  const highs = turns.filter(({ high }) => high).length;
  const first = turns.find(({ high }) => high);
  const at = first
    ? `; the first high water at ${clockAt(Date.parse(first.at), zone)}, ${amount(first.heightM, 'm', 2)}`
    : '';
  return `${highs} high and ${turns.length - highs} low waters, ${day(turns[0])} to ${day(turns[turns.length - 1])}${at}`;
}
