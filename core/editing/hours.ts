import { minutesTo, outingHours, throughMidnight } from '../documents/hours';
import type { Brief, Hour } from '../documents/outing';
import { DAY_MS, type Instant, clockAt, dateAt, minutesOf, shiftClock } from '../units/time';

/** An hour of which nothing is known. */
export const NO_FIGURES: Omit<Hour, 'at'> = {
  windMps: null,
  gustMps: null,
  windFromDeg: null,
  airC: null,
  waveM: null,
  swellM: null,
  swellPeriodS: null,
  thunderPct: null,
  rainMm: null,
  visibilityM: null,
  humidityPct: null,
};

/**
 * The brief with all its hours moved together, to a launch on a day. What passes midnight is on the next day.
 */
export function movedTo(brief: Brief, date: string, launchAt: string): Brief {
  const by = minutesOf(launchAt) - minutesOf(brief.launchAt);
  return {
    ...brief,
    date,
    launchAt,
    turnAt: brief.turnAt === null ? null : shiftClock(brief.turnAt, by),
    homeAt: shiftClock(brief.homeAt, by),
    alarmAt: shiftClock(brief.alarmAt, by),
  };
}

/**
 * The brief with other hours afloat; the hour to call keeps its distance from home, a written turn is kept
 * while it lies between.
 */
export function withHours(brief: Brief, launchAt: string, homeAt: string): Brief {
  const next = { ...brief, launchAt, homeAt };
  const turn = brief.turnAt;
  const inside = turn !== null && (brief.nights > 0 || isBetween(turn, next));
  const called = minutesTo(brief.homeAt, brief.alarmAt);
  return {
    ...next,
    turnAt: inside ? turn : null,
    alarmAt: shiftClock(homeAt, called <= MOST_CALL_MIN ? called : 0),
  };
}
/** A call farther from home than this was before it. */
const MOST_CALL_MIN = 12 * 60;

function isBetween(
  clock: string,
  { launchAt, homeAt, nights }: Pick<Brief, 'launchAt' | 'homeAt' | 'nights'>,
): boolean {
  return throughMidnight({ nights, launchAt, homeAt })
    ? clock > launchAt || clock < homeAt
    : clock > launchAt && clock < homeAt;
}

export type HandleName = 'launch' | 'turn' | 'home';
/** The steps of a handle, and how near launch and home may come, minutes. */
const STEP_MIN = 5;
const LEAST_MIN = 15;

/**
 * The brief with one of its three hours moved to a moment, on a grid of five minutes: the turn stays between
 * the others, launch and home stay a quarter of an hour apart. The launch keeps its day; home may pass
 * midnight where there is no night in camp.
 * @returns the same brief where the moment is no place for it
 */
export function withHandle(brief: Brief, zone: string, which: HandleName, moment: Instant): Brief {
  const hours = outingHours(brief, zone);
  if (!hours) return brief;
  const { launchAt, homeAt } = hours;
  const [step, least] = [STEP_MIN * 60_000, LEAST_MIN * 60_000];
  const at = Math.round(moment / step) * step;
  if (which === 'turn')
    return { ...brief, turnAt: clockAt(between(at, launchAt + step, homeAt - step), zone) };
  const isOn = (one: Instant, other: Instant) => dateAt(one, zone) === dateAt(other, zone);
  if (which === 'launch') {
    const launch = Math.min(at, homeAt - least);
    return isOn(launch, launchAt) ? withHours(brief, clockAt(launch, zone), brief.homeAt) : brief;
  }
  const home = between(at, launchAt + least, brief.nights === 0 ? launchAt + DAY_MS - least : Infinity);
  return brief.nights === 0 || isOn(home, homeAt)
    ? withHours(brief, brief.launchAt, clockAt(home, zone))
    : brief;
}

function between(at: Instant, least: Instant, most: Instant): Instant {
  return Math.min(most, Math.max(least, at));
}
