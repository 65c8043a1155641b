import type { Water } from '#core/documents/water';
import type { Day } from '#core/environment/day';
import { lightOfDay, noonOf } from '#core/environment/light';
import { amount } from '#core/units/amount';
import { byClock, sayHour } from '#core/units/clockWords';
import { addDays, clockAt, dateAt, dayInWords } from '#core/units/time';
import type { TimeAxis } from '../../../../ui/timeAxis';

interface StripEvent {
  at: number;
  text: string;
}

/** Each rising and setting of the sun and each turn of the tide on the axis, in their order. */
export function eventsOf(
  { from, to }: TimeAxis,
  { timeZone, latDeg, lonDeg }: Water,
  day: Day,
): StripEvent[] {
  const events: StripEvent[] = day.turns.map(({ at, high, value }) => ({
    at,
    text: byClock(`${high ? 'high' : 'low'} ${clockAt(at, timeZone)} · ${amount(value, 'm')}`),
  }));
  for (let date = dateAt(from, timeZone); date <= dateAt(to, timeZone); date = addDays(date, 1)) {
    const { sunrise, sunset } = lightOfDay(noonOf(date, lonDeg), latDeg, lonDeg);
    if (sunrise !== null)
      events.push({ at: sunrise, text: byClock(`sunrise ${clockAt(sunrise, timeZone)}`) });
    if (sunset !== null) events.push({ at: sunset, text: byClock(`sunset ${clockAt(sunset, timeZone)}`) });
  }
  return events.filter(({ at }) => at > from && at < to).sort((a, b) => a.at - b.at);
}

/**
 * The hours of an axis as they are called; where they are of several days, the first of each names its day.
 */
export function hourNames(hours: readonly number[], timeZone: string): string[] {
  const dates = hours.map((hour) => dateAt(hour, timeZone));
  const several = new Set(dates).size > 1;
  return hours.map((hour, i) => {
    const name = sayHour(clockAt(hour, timeZone));
    const date = dates[i] ?? '';
    return several && date !== dates[i - 1] ? `${dayInWords(date).slice(0, 3)} ${name}` : name;
  });
}
