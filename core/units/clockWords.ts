import { spoken } from './speaking';

const CLOCK = /\b([01]?\d|2[0-3]):([0-5]\d)\b/g;

/**
 * A text with its times of day by the reader's clock: "14:40" stays, or becomes "2:40 pm". hh:mm in, anything
 * else untouched.
 */
export function byClock(text: string): string {
  if (spoken().clock === '24 h') return text;
  return text.replaceAll(CLOCK, (_, hours: string, minutes: string) => {
    const hour = Number(hours);
    return `${hour % 12 === 0 ? 12 : hour % 12}:${minutes} ${hour < 12 ? 'am' : 'pm'}`;
  });
}

/** A whole hour on an axis, of its clock hh:00: "07", or "7 am". */
export function sayHour(clock: string): string {
  return byClock(clock).replace(':00', '');
}
