import { byClock } from '#core/units/clockWords';
import { clockAt, dateAt, dayInWords } from '#core/units/time';

/** Day and hour of a moment by the clock of this device. */
export function dayAndHour(iso: string): string {
  const at = Date.parse(iso);
  return byClock(`${dayInWords(dateAt(at, 'local'))}, ${clockAt(at, 'local')}`);
}
