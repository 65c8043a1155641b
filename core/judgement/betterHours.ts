import { isDark, lightOfDay, noonOf } from '../environment/light';
import { minutesTo, throughMidnight } from '../documents/hours';
import { movedTo } from '../editing/hours';
import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import { HOUR_MS, type Instant, addDays, clockAt, instantOf, minutesBetween } from '../units/time';
import type { Answers } from '../walkround/answers';
import { acceptancesOf } from './accepted';
import { type Context, contextOf } from './context';
import type { Finding } from './finding';
import { stopsAndMindsAfter } from './repairEngine';
import type { Facts, Found } from './allRules';

/** One launch as it would be judged. */
export interface LaunchChoice {
  date: string;
  launchAt: string;
  homeAt: string;
  /** Stops and Minds that this hour brings: neither what stands at every hour, nor what was accepted. */
  stops: number;
  minds: number;
  /** The first Stop, else the first Mind: why not; null: neither. */
  first: { level: Finding['level']; facts: Facts } | null;
  /** What stands at each of these hours alike. */
  same: { stops: number; minds: number };
  /**
   * What the hour is like: strongest wind and gust, highest sea and breakers, whether one launches in the
   * dark, slack before the hour home. null: not known.
   */
  windMps: number | null;
  gustMps: number | null;
  seaM: number | null;
  /** Height of the tide over chart datum when one comes to the place; null: no tide. */
  tideM: number | null;
  inDark: boolean;
  darkMinutes: number;
  spareMin: number | null;
  /** Hours afloat of which no wind is written. */
  unknownHours: number;
}

const DAYS = 3;
const STEP_MIN = 30;

/**
 * Every half-hour launch from first light to dusk, on the day of the outing and the two after it, each judged
 * whole. Hours in the past are left out. Empty until water and hours are known.
 */
export function betterHours(
  outing: Outing,
  references: References,
  answers: Answers,
  now: Instant,
): LaunchChoice[] {
  const { brief } = outing;
  const { water } = lookUp(outing, references);
  const lasts = minutesTo(brief.launchAt, brief.homeAt);
  if (!water || (lasts === 0 && brief.nights === 0)) return [];
  // One who means to be home by midnight is shown no night; one who means to fish through it is.
  const endsThatDay = brief.nights === 0 && !throughMidnight(brief);
  const like = contextOf(outing, references, answers, now);
  const loudIn = stopsAndMindsAfter(like);
  const judged: JudgedHour[] = [];
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
      const context = contextOf({ ...outing, brief: moved }, references, answers, now, like);
      judged.push({
        date,
        launchAt,
        homeAt: moved.homeAt,
        ...likeOf(context),
        open: openOf(loudIn(context), context),
      });
    }
  }
  return told(judged);
}

interface JudgedHour extends Omit<LaunchChoice, 'stops' | 'minds' | 'first' | 'same'> {
  open: readonly Found[];
}

/** Those that stand unanswered. */
function openOf(loud: readonly Found[], context: Context): Found[] {
  return loud.filter((one) => {
    const { here, there } = acceptancesOf(one, context);
    return here === null && there === null;
  });
}

/** What the hours of an outing are like. */
function likeOf({ exposures: e, conditions, places: { water } }: Context) {
  const known = new Set(
    conditions.hours.flatMap(({ at, windMps }) => (windMps === null ? [] : [hourOf(Date.parse(at))])),
  );
  const [from, to] = [e.launchAt ?? 0, e.homeAt ?? 0];
  const afloat = Array.from({ length: Math.max(1, Math.ceil((to - from) / HOUR_MS)) }, (_, i) =>
    hourOf(from + i * HOUR_MS),
  );
  const { plan } = e;
  return {
    windMps: e.wind?.value ?? null,
    gustMps: e.gust?.value ?? null,
    seaM: e.hs?.value ?? null,
    tideM: water?.tide ? (e.spot[0]?.tideM ?? null) : null,
    inDark: water !== null && e.launchAt !== null && isDark(e.launchAt, water.latDeg, water.lonDeg),
    darkMinutes: e.darkMinutes,
    spareMin: plan?.homeAt == null ? null : minutesBetween(plan.homeAt, plan.deadline),
    unknownHours: afloat.filter((hour) => !known.has(hour)).length,
  };
}
function hourOf(at: Instant): number {
  return Math.floor(at / HOUR_MS);
}

/** What stands at every hour alike says nothing of the hours: it is counted apart. */
function told(judged: readonly JudgedHour[]): LaunchChoice[] {
  const nameOf = (one: Found) => `${one.level} ${one.key}`;
  const [first, ...others] = judged.map(({ open }) => new Set(open.map(nameOf)));
  const alike = new Set([...(first ?? [])].filter((name) => others.every((names) => names.has(name))));
  const count = (level: string) => [...alike].filter((name) => name.startsWith(level)).length;
  const same = { stops: count('stop'), minds: count('mind') };
  return judged.map(({ open, ...hour }) => {
    const own = open.filter((one) => !alike.has(nameOf(one)));
    const of = (level: Finding['level']) => own.filter((one) => one.level === level);
    const [worst] = [...of('stop'), ...of('mind')];
    return {
      ...hour,
      stops: of('stop').length,
      minds: of('mind').length,
      first: worst ? { level: worst.level, facts: worst.facts } : null,
      same,
    };
  });
}

/**
 * How much an hour has against it: Stops before Minds, and hours of which nothing is known after all that
 * are.
 */
export function weightOf({ stops, minds, unknownHours, inDark }: LaunchChoice): number {
  return (unknownHours > 0 ? 1_000_000 : 0) + stops * 1000 + minds + (inDark ? 0.5 : 0);
}
