import { type Instant, addDays, daysBetween, instantOf } from '../units/time';
import { isWeekday, monthOf } from './calendarWords';

/** Which of the figures of a date is the day: asked where a table may mean both. */
export type DayOrder = 'day first' | 'month first';

/** A cell, or a day's and an hour's cell together, taken apart. */
export interface MomentParts {
  /** In figures, as they stand; a year of two figures is of this century. null: no day in it. */
  date: { year: number | null; a: number; b: number; order: 'known' | 'open' } | null;
  /** Minutes after midnight; null: no hour in it. */
  minutes: number | null;
  /** The zone that it names; null: none. */
  zone: Zone | null;
  /** An instant by itself: seconds or milliseconds since 1970. */
  instant: Instant | null;
  /** What of it was not understood; '' where all was. */
  left: string;
}
/** Minutes ahead of UTC, or letters that are no clock known here. */
export type Zone = { offsetMin: number } | { letters: string };

/** Clocks by their letters, hours ahead of UTC, as far as letters mean one alone. */
const CLOCKS: Readonly<Record<string, number>> = {
  z: 0,
  utc: 0,
  gmt: 0,
  wet: 0,
  west: 1,
  bst: 1,
  cet: 1,
  mez: 1,
  cest: 2,
  mesz: 2,
  eet: 2,
  eest: 3,
  msk: 3,
  ast: -4,
  adt: -3,
  est: -5,
  edt: -4,
  cdt: -5,
  mst: -7,
  mdt: -6,
  pst: -8,
  pdt: -7,
  akst: -9,
  akdt: -8,
  hst: -10,
  jst: 9,
  awst: 8,
  acst: 9.5,
  acdt: 10.5,
  aest: 10,
  aedt: 11,
  nzst: 12,
  nzdt: 13,
  sast: 2,
};

/** The zone that letters or an offset name: "Z", "UTC+2", "+02:00", "CEST". null: they name none. */
export function zoneOf(text: string): Zone | null {
  const match = /^(?:(utc|gmt)\s*)?([+−-])\s*(\d{1,2})(?::?(\d{2}))?$/iu.exec(text.trim().replace('−', '-'));
  if (match) {
    const [, , sign, hours = '0', minutes = '0'] = match;
    const offset = Number(hours) * 60 + Number(minutes);
    return offset <= 14 * 60 ? { offsetMin: sign === '-' ? -offset : offset } : null;
  }
  const clock = CLOCKS[text.trim().toLowerCase()];
  return clock === undefined ? null : { offsetMin: clock * 60 };
}
/**
 * The zone that a sentence, a heading or a head of a column names: "Times in UTC", "time (GMT+1)". null:
 * none.
 */
export function zoneIn(text: string): Zone | null {
  for (const match of text.matchAll(/\b(?:utc|gmt)(?:\s*[+-]\s*\d{1,2}(?::?\d{2})?)?(?![a-z])/giu)) {
    const zone = zoneOf(match[0]);
    if (zone) return zone;
  }
  const letters = /[([_\s]([a-z]{2,4}|[zZ])[)\]]?$/iu.exec(text.trim())?.[1];
  return letters === undefined ? null : zoneOf(letters);
}

/** What is left of a text while parts are taken out of it. */
interface Rest {
  text: string;
}
type Take = (pattern: RegExp, fits?: (match: RegExpExecArray) => boolean) => RegExpExecArray | null;
/** Takes the first match that fits out of what is left. */
function takerOf(rest: Rest): Take {
  return (pattern, fits = () => true) => {
    for (const match of rest.text.matchAll(new RegExp(pattern.source, `${pattern.flags}g`)))
      if (fits(match)) {
        rest.text = `${rest.text.slice(0, match.index)} ${rest.text.slice(match.index + match[0].length)}`;
        return match;
      }
    return null;
  };
}
/**
 * The day in a line, and the line without it; null: none. A pair such as 05.12 is none here: it may be an
 * hour or a height.
 */
export function takeDay(line: string): { date: NonNullable<MomentParts['date']>; rest: string } | null {
  const rest = { text: ` ${line} ` };
  const date = dateFrom(takerOf(rest), false);
  return date && { date, rest: rest.text };
}

/** Takes a cell apart that holds a day, an hour or both, with or without a zone. */
export function momentParts(cell: string): MomentParts {
  const none: MomentParts = { date: null, minutes: null, zone: null, instant: null, left: '' };
  const text = cell.trim();
  if (/^\d{10}$/.test(text)) return { ...none, instant: Number(text) * 1000 };
  if (/^\d{13}$/.test(text)) return { ...none, instant: Number(text) };
  const rest = { text: ` ${text.replace(/(\d)T(\d)/, '$1 $2')} ` };
  const take = takerOf(rest);
  const date = dateFrom(take);
  const { minutes, zone, refused } = clockFrom(take, date !== null);
  const words = `${rest.text} ${refused}`
    .split(/[\s,;|/·-]+/)
    .filter(
      (word) =>
        word !== '' &&
        !isWeekday(word) &&
        !/^(?:at|um|à|a|h|uhr|o'clock|kl\.?|de|den|the|local|lt|time)$/iu.test(word),
    );
  const letters = zone === null && words.length === 1 && minutes !== null ? words[0] : undefined;
  return {
    ...none,
    date,
    minutes,
    zone:
      zone ??
      (letters === undefined
        ? null
        : (zoneOf(letters) ?? (/^[a-z]{2,5}$/iu.test(letters) ? { letters } : null))),
    left: letters !== undefined ? (/^[a-z]{1,5}$/iu.test(letters) ? '' : letters) : words.join(' '),
  };
}

function dateFrom(take: Take, pairs = true): MomentParts['date'] {
  const year = (text: string | undefined) =>
    text === undefined || text === '' ? null : text.length === 2 ? 2000 + Number(text) : Number(text);
  const iso = take(/(?<!\d)(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?!\d)/);
  if (iso) return { year: year(iso[1]), a: Number(iso[3]), b: Number(iso[2]), order: 'known' };
  const compact = take(/(?<!\d)((?:19|20)\d{2})(\d{2})(\d{2})(?!\d)/);
  if (compact)
    return { year: year(compact[1]), a: Number(compact[3]), b: Number(compact[2]), order: 'known' };
  const figures = take(/(?<!\d)(\d{1,2})([-/.])(\d{1,2})\2(\d{4}|\d{2})(?!\d)/);
  if (figures)
    // Points stand between day and month where the day comes first.
    return {
      year: year(figures[4]),
      a: Number(figures[1]),
      b: Number(figures[3]),
      order: figures[2] === '.' ? 'known' : 'open',
    };
  const dayMonth = take(
    /(?<!\d)(\d{1,2})(?:st|nd|rd|th|\.|º|er)?[\s/-]*(?:(?:de|of)\s+)?([\p{L}]{3,10})\.?(?:[\s,/-]*(?:de\s+)?((?:19|20)\d{2})(?!\d))?/u,
    ([, , name = '']) => monthOf(name) !== null,
  );
  if (dayMonth)
    return {
      year: year(dayMonth[3]),
      a: Number(dayMonth[1]),
      b: monthOf(dayMonth[2] ?? '') ?? 0,
      order: 'known',
    };
  const monthDay = take(
    /(?<!\p{L})([\p{L}]{3,10})\.?[\s-]+(\d{1,2})(?!\d|:\d)(?:st|nd|rd|th)?(?:,?\s+((?:19|20)\d{2})(?!\d))?/u,
    ([, name = '']) => monthOf(name) !== null,
  );
  if (monthDay)
    return {
      year: year(monthDay[3]),
      a: Number(monthDay[2]),
      b: monthOf(monthDay[1] ?? '') ?? 0,
      order: 'known',
    };
  const short = take(
    pairs
      ? /(?<![\d.:])(\d{1,2})([/.])(\d{1,2})(?:\2(?!\d)|(?![\d.:/]))/
      : /(?<![\d.:])(\d{1,2})(?:(\/)(\d{1,2})(?![\d./:])|(\.)(\d{1,2})\.(?!\d))/,
    (match) => Number(match[3] ?? match[5]) <= 31,
  );
  if (short) {
    const order = (short[2] ?? short[4]) === '.' ? 'known' : 'open';
    return { year: null, a: Number(short[1]), b: Number(short[3] ?? short[5]), order };
  }
  return null;
}

/**
 * @param dated a day stands before it: "-11:00" behind the hour is an offset there, and the end of a span
 * elsewhere
 */
function clockFrom(
  take: Take,
  dated: boolean,
): { minutes: number | null; zone: Zone | null; refused: string } {
  if (!dated) take(/(?<=\d{1,2}[:.]\d{2})\s*[-–]\s*\d{1,2}[:.]\d{2}/);
  const zoned = take(
    /(?<=\d)\s*(?:z\b|(?:utc|gmt)?\s*[+−-]\d{1,2}:?\d{2}\b|(?:utc|gmt)\s*[+−-]\s*\d{1,2}\b|[+−-]\d{2}\b(?=\s*$)|(?:utc|gmt)\b)/iu,
  );
  const zone = zoned ? zoneOf(zoned[0].trim().replace(/^z$/i, 'utc')) : null;
  const half = String.raw`\s*([ap])\.?\s?m\.?(?![a-z])`;
  const twelve = take(new RegExp(String.raw`(?<!\d)(\d{1,2})(?:[:.](\d{2}))?(?::\d{2})?${half}`, 'iu'));
  if (twelve) {
    const hour = Number(twelve[1]);
    const minutes = Number(twelve[2] ?? 0);
    if (hour < 1 || hour > 12 || minutes > 59) return { minutes: null, zone, refused: twelve[0] };
    return {
      minutes: ((hour % 12) + (/p/i.test(twelve[3] ?? '') ? 12 : 0)) * 60 + minutes,
      zone,
      refused: '',
    };
  }
  const plain =
    take(/(?<!\d)(\d{1,2})[:.](\d{2})(?::\d{2}(?:\.\d+)?)?(?!\d)/) ??
    take(/(?<!\d)(\d{1,2})\s*h\s*(\d{2})?(?!\d)/iu) ??
    take(/(?<!\d)(\d{2})(\d{2})(?:\d{2})?(?!\d)/) ??
    take(/(?<![\d.])(\d{1,2})()(?![\d.])/);
  if (!plain) return { minutes: null, zone, refused: '' };
  const [hour, minutes] = [Number(plain[1]), Number(plain[2] || 0)];
  // Midnight at the end of a day.
  const isClock = minutes <= 59 && (hour <= 23 || (hour === 24 && minutes === 0));
  return isClock
    ? { minutes: hour * 60 + minutes, zone, refused: '' }
    : { minutes: null, zone, refused: plain[0] };
}

/**
 * What days in figures alone say of their order; null: nothing, and there are such days. 'known': there are
 * none.
 */
export function dayOrderOf(parts: readonly MomentParts[]): DayOrder | 'known' | null {
  const open = parts.flatMap(({ date }) => (date?.order === 'open' ? [date] : []));
  if (open.length === 0 || open.every(({ a, b }) => a === b)) return 'known';
  const [dayFirst, monthFirst] = [open.every(({ b }) => b <= 12), open.every(({ a }) => a <= 12)];
  if (dayFirst !== monthFirst) return dayFirst ? 'day first' : 'month first';
  // A forecast goes on for days: of two ways to read it the one that runs day by day is meant.
  const runs = (order: DayOrder) =>
    isRunOfDays(
      open.map(({ year, a, b }) =>
        isoDay(year ?? 2000, order === 'day first' ? b : a, order === 'day first' ? a : b),
      ),
    );
  const [first, second] = [runs('day first'), runs('month first')];
  return first === second ? null : first ? 'day first' : 'month first';
}
function isRunOfDays(days: readonly (string | null)[]): boolean {
  const distinct = [...new Set(days)];
  if (distinct.length < 2 || distinct.includes(null)) return false;
  return distinct.slice(1).every((day, i) => {
    const apart = daysBetween(distinct[i] ?? '', day ?? '');
    return apart >= 0 && apart <= 3;
  });
}
function isoDay(year: number, month: number, day: number): string | null {
  const made = new Date(Date.UTC(year, month - 1, day)).toISOString().slice(0, 10);
  return made ===
    `${String(year).padStart(4, '0')}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
    ? made
    : null;
}

/** The day of parts; a year that is not written is the one that lies nearest to a day. null: no such day. */
export function dayOf(date: NonNullable<MomentParts['date']>, order: DayOrder, near: string): string | null {
  const monthFirst = date.order === 'open' && order === 'month first';
  const [day, month] = monthFirst ? [date.b, date.a] : [date.a, date.b];
  if (date.year !== null) return isoDay(date.year, month, day);
  const year = Number(near.slice(0, 4));
  const days = [year - 1, year, year + 1].flatMap((each) => isoDay(each, month, day) ?? []);
  return days.toSorted((a, b) => Math.abs(daysBetween(near, a)) - Math.abs(daysBetween(near, b)))[0] ?? null;
}

/** The instant of a day and minutes by a clock; null: that clock has no such minute. */
export function instantAt(
  day: string,
  minutes: number,
  clock: Zone | null,
  waterZone: string,
): Instant | null {
  const [date, left] = minutes >= 24 * 60 ? [addDays(day, 1), minutes - 24 * 60] : [day, minutes];
  if (clock && 'offsetMin' in clock)
    return Date.parse(`${date}T00:00:00Z`) + left * 60_000 - clock.offsetMin * 60_000;
  const hhmm = `${String(Math.floor(left / 60)).padStart(2, '0')}:${String(left % 60).padStart(2, '0')}`;
  return instantOf(date, hhmm, waterZone);
}
