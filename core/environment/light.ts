import { getPosition, getTimes } from 'suncalc';
import { DAY_MS, HOUR_MS, type Instant, minutesBetween } from '../units/time';
import { rememberLast } from '../units/remember';

// suncalc's altitude has refraction added: at its own sunrise and sunset it reads −0.349°.
const SUN_RIM_DEG = -0.349;

export interface DayLight {
  /** null: the sun does not cross the horizon that day (high latitudes). */
  sunrise: Instant | null;
  sunset: Instant | null;
  dawn: Instant | null;
  dusk: Instant | null;
}

const MOST_DAYS = 500;
/**
 * Sun times of the day around an instant (give about local noon), at a place. One judgement asks for the same
 * few days many times over. Degrees north and east. Sunrise and sunset at altitude −0.833°, civil twilight at
 * −6°. Source: suncalc.
 */
export const lightOfDay = rememberLast(
  MOST_DAYS,
  (noon: Instant, latDeg: number, lonDeg: number): DayLight => {
    const times = getTimes(new Date(noon), latDeg, lonDeg);
    const at = (when: Date | null) => when?.getTime() ?? null;
    return {
      sunrise: at(times.sunrise),
      sunset: at(times.sunset),
      dawn: at(times.dawn),
      dusk: at(times.dusk),
    };
  },
);

/**
 * Minutes between sunset and sunrise within a span of at most 40 days, and the parts they fall in.
 * @param dark what counts: the sun under the horizon, or past civil twilight
 */
export function darkness(
  from: Instant,
  to: Instant,
  latDeg: number,
  lonDeg: number,
  dark: typeof isDark = isDark,
): { minutes: number; spans: [Instant, Instant][] } {
  const edges = [from, to];
  const firstDay = Math.floor(from / DAY_MS) * DAY_MS + DAY_MS / 2;
  for (let day = firstDay - DAY_MS; day <= to + DAY_MS; day += DAY_MS) {
    const { sunrise, sunset, dawn, dusk } = lightOfDay(day, latDeg, lonDeg);
    for (const edge of [sunrise, sunset, dawn, dusk])
      if (edge !== null && edge > from && edge < to) edges.push(edge);
  }
  edges.sort((a, b) => a - b);
  const spans: [Instant, Instant][] = [];
  edges.slice(1).forEach((end, i) => {
    const start = edges[i] ?? from;
    if (end <= start || !dark((start + end) / 2, latDeg, lonDeg)) return;
    const last = spans[spans.length - 1];
    if (last?.[1] === start) last[1] = end;
    else spans.push([start, end]);
  });
  return { minutes: spans.reduce((sum, [start, end]) => sum + minutesBetween(start, end), 0), spans };
}

/** Whether the sun's upper edge is under the horizon. */
export function isDark(at: Instant, latDeg: number, lonDeg: number): boolean {
  return getPosition(new Date(at), latDeg, lonDeg).altitude < SUN_RIM_DEG;
}

/**
 * How high the sun comes within a span, by its position every half hour, degrees over the horizon; under it,
 * less than nought.
 */
export function highestSun(from: Instant, to: Instant, latDeg: number, lonDeg: number): number {
  let highest = -90;
  for (let at = from; ; at = Math.min(to, at + HOUR_MS / 2)) {
    highest = Math.max(highest, getPosition(new Date(at), latDeg, lonDeg).altitude);
    if (at >= to) return highest;
  }
}

/** Night proper, past civil twilight: the sun more than 6° under. */
export function isNight(at: Instant, latDeg: number, lonDeg: number): boolean {
  return getPosition(new Date(at), latDeg, lonDeg).altitude < -6;
}

/** Local solar noon to within the equation of time, for picking the day. */
export function noonOf(date: string, lonDeg: number): Instant {
  return Date.parse(`${date}T12:00:00Z`) - (lonDeg / 15) * HOUR_MS;
}
