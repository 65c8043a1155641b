import { minutesOf, shiftClock } from '../units/time';
import type { Brief, Hour } from '../documents/outing';

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

/** The brief with all its hours moved together, to a launch on a day. What would pass midnight is held at its edge. */
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

/** The brief with other hours afloat; the hour to call keeps its distance from home, a written turn is kept while it lies between. */
export function withHours(brief: Brief, launchAt: string, homeAt: string): Brief {
  const turn = brief.turnAt;
  const inside = turn !== null && (brief.nights > 0 || (turn > launchAt && turn < homeAt));
  return {
    ...brief,
    launchAt,
    homeAt,
    turnAt: inside ? turn : null,
    alarmAt: shiftClock(homeAt, Math.max(0, minutesOf(brief.alarmAt) - minutesOf(brief.homeAt))),
  };
}
