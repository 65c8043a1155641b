import { lightOfDay, noonOf } from '../environment/light';
import { minutesTo, throughMidnight } from '../documents/hours';
import { movedTo } from '../editing/hours';
import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import { HOUR_MS, type Instant, addDays, clockAt, instantOf } from '../units/time';
import type { Answers } from '../walkround/answers';
import { contextOf } from './context';
import type { Finding } from './finding';
import { judge } from './repairEngine';
import type { Facts } from './allRules';

/** One launch as it would be judged. */
export interface LaunchChoice {
  date: string;
  launchAt: string;
  homeAt: string;
  stops: number;
  minds: number;
  /** The first Stop, else the first Mind: why not; null: neither. */
  first: { level: Finding['level']; facts: Facts } | null;
}

const DAYS = 3;
const STEP_MIN = 30;

/**
 * Every half-hour launch from first light to dusk, on the day of the outing and the two after it, each judged whole. Hours in the past are left out. Empty until water and hours are known.
 */
export function betterHours(outing: Outing, references: References, answers: Answers, now: Instant): LaunchChoice[] {
  const { brief } = outing;
  const { water } = lookUp(outing, references);
  const lasts = minutesTo(brief.launchAt, brief.homeAt);
  if (!water || (lasts === 0 && brief.nights === 0)) return [];
  // One who means to be home by midnight is shown no night; one who means to fish through it is.
  const endsThatDay = brief.nights === 0 && !throughMidnight(brief);
  const like = contextOf(outing, references, answers, now);
  const choices: LaunchChoice[] = [];
  for (let d = 0; d < DAYS; d += 1) {
    const date = addDays(brief.date, d);
    const { dawn, dusk } = lightOfDay(noonOf(date, water.lonDeg), water.latDeg, water.lonDeg);
    const midnight = instantOf(date, '00:00', water.timeZone);
    if (midnight === null) continue;
    const first = Math.ceil(((dawn ?? midnight) - midnight) / (STEP_MIN * 60_000)) * STEP_MIN;
    const last = ((dusk ?? midnight + 24 * HOUR_MS) - midnight) / 60_000;
    for (let minute = Math.max(0, first); minute <= last && minute < 24 * 60; minute += STEP_MIN) {
      if (midnight + minute * 60_000 < now || (endsThatDay && minute + lasts >= 24 * 60)) continue;
      const launchAt = clockAt(midnight + minute * 60_000, water.timeZone);
      const moved = movedTo(brief, date, launchAt);
      const found = judge(contextOf({ ...outing, brief: moved }, references, answers, now, like)).all;
      const of = (level: Finding['level']) => found.filter((one) => one.level === level);
      const [worst] = [...of('stop'), ...of('mind')];
      choices.push({
        date,
        launchAt,
        homeAt: moved.homeAt,
        stops: of('stop').length,
        minds: of('mind').length,
        first: worst ? { level: worst.level, facts: worst.facts } : null,
      });
    }
  }
  return choices;
}
