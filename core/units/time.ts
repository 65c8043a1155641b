import { DateTime, Info, type Zone } from 'luxon';
import { rememberLast } from './remember';

/** Milliseconds since the epoch. Always passed in; core never asks for the time itself. */
export type Instant = number;

export const MINUTE_MS = 60_000;
export const HOUR_MS = 3_600_000;
export const DAY_MS = 86_400_000;
const DAY_MIN = 24 * 60;

/** True for an IANA zone ("Atlantic/Azores") or a fixed offset ("UTC+1"). */
export function isTimeZone(zone: string): boolean {
  return DateTime.fromObject({}, { zone }).isValid;
}

const MOST_INSTANTS = 2000;
/**
 * The instant of a wall-clock time at a place. One judgement asks for the same few moments hundreds of times.
 * @param date yyyy-mm-dd @param time hh:mm @param zone IANA or fixed offset
 * @returns null when the date, time or zone is not one
 */
export const instantOf = rememberLast(
  MOST_INSTANTS,
  (date: string, time: string, zone: string): Instant | null => {
    const parsed = DateTime.fromISO(`${date}T${time}`, { zone });
    return parsed.isValid ? parsed.toMillis() : null;
  },
);

const zoneNamed = rememberLast(100, (name: string): Zone => Info.normalizeZone(name));
/**
 * The wall clock at a place as ISO text without an offset: yyyy-mm-ddThh:mm:ss.sss. A name that is no zone is
 * read as UTC: schemas refuse one, and a form may hold it half typed.
 */
function wall(at: Instant, zone: string): { text: string; offsetMin: number } {
  const offset = zoneNamed(zone).offset(at);
  const offsetMin = Number.isFinite(offset) ? offset : 0;
  return { text: new Date(at + offsetMin * MINUTE_MS).toISOString(), offsetMin };
}

/** hh:mm on the wall at a place. */
export function clockAt(at: Instant, zone: string): string {
  return wall(at, zone).text.slice(11, 16);
}

/** The clock of a place at a moment, by what it is ahead of UTC: "UTC+1", "UTC−3:30". */
export function clockName(at: Instant, zone: string): string {
  const { offsetMin } = wall(at, zone);
  if (offsetMin === 0) return 'UTC';
  const minutes = Math.abs(offsetMin);
  const part = minutes % 60 === 0 ? '' : `:${String(minutes % 60).padStart(2, '0')}`;
  return `UTC${offsetMin < 0 ? '−' : '+'}${Math.floor(minutes / 60)}${part}`;
}

const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'];
/**
 * Says moments of a stay by the clock of its place, and by their day too where the stay is so long that the
 * clock comes round.
 * @returns of a moment "09:30", or "Sat 09:30"
 */
export function clockOver(from: Instant | null, to: Instant | null, zone: string): (at: Instant) => string {
  if (from === null || to === null || to - from < DAY_MS) return (at) => clockAt(at, zone);
  return (at) => {
    const { text, offsetMin } = wall(at, zone);
    return `${WEEKDAYS[new Date(at + offsetMin * MINUTE_MS).getUTCDay()] ?? ''} ${text.slice(11, 16)}`;
  };
}

/** yyyy-mm-dd at a place. */
export function dateAt(at: Instant, zone: string): string {
  return wall(at, zone).text.slice(0, 10);
}

/** How far a zone's clock is ahead of UTC at an instant, h; a name that is no zone counts as UTC. */
export function offsetHours(at: Instant, zone: string): number {
  return wall(at, zone).offsetMin / 60;
}
/** ISO 8601 with the place's own offset, to the second. */
export function isoAt(at: Instant, zone: string): string {
  const { text, offsetMin } = wall(at, zone);
  const two = (n: number) => String(Math.floor(n)).padStart(2, '0');
  const size = Math.abs(offsetMin);
  return `${text.slice(0, 19)}${offsetMin < 0 ? '-' : '+'}${two(size / 60)}:${two(size % 60)}`;
}

/** The same day so many months on, or the last of a shorter month; yyyy-mm-dd. */
export function addMonths(date: string, months: number): string {
  return DateTime.fromISO(date, { zone: 'utc' }).plus({ months }).toFormat('yyyy-MM-dd');
}
/** The date a whole number of days later (or earlier). */
export function addDays(date: string, days: number): string {
  return new Date(Date.parse(`${date}T00:00:00Z`) + days * DAY_MS).toISOString().slice(0, 10);
}

/** In the small hours the morning that one plans for is that of the same date. */
const SMALL_HOURS_END = '04:00';
/** The date of the coming morning at a moment. */
export function morningAfter(at: Instant, zone: string): string {
  const today = dateAt(at, zone);
  return clockAt(at, zone) < SMALL_HOURS_END ? today : addDays(today, 1);
}

/** "Saturday 16 May", in English; a date that is not one comes back as it was. */
export function dayInWords(date: string): string {
  const at = DateTime.fromISO(date, { zone: 'utc', locale: 'en-GB' });
  return at.isValid ? at.toFormat('cccc d LLLL') : date;
}

/** Whole days from one date to another; negative when the second is earlier. */
export function daysBetween(from: string, to: string): number {
  return Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS);
}

/** Minutes from the first instant to the second. */
export function minutesBetween(from: Instant, to: Instant): number {
  return (to - from) / MINUTE_MS;
}

/** hh:mm moved by minutes, through midnight where it passes it. */
export function shiftClock(time: string, minutes: number): string {
  const total = (((minutesOf(time) + minutes) % DAY_MIN) + DAY_MIN) % DAY_MIN;
  return `${String(Math.floor(total / 60)).padStart(2, '0')}:${String(total % 60).padStart(2, '0')}`;
}

/** Minutes since midnight of hh:mm. */
export function minutesOf(clock: string): number {
  const [h = 0, m = 0] = clock.split(':').map(Number);
  return h * 60 + m;
}
