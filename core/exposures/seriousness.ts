import type { Angler } from '../documents/angler';

/**
 * How serious it is here to be in the water, or to need help: what makes it so, each in steps, and their sum.
 * A step is what turns a Note into a Mind, or a Mind into a Stop; every part grows evenly, so that one metre
 * or one degree never changes a verdict by two levels. A rule of thumb, by the table of verdicts that
 * docs/sources.md names.
 */
export interface Seriousness {
  /** Distance from ground where one can get out: 0 within 50 m, 1 at 300 m, 2 at 1 km, 3 at 3 km. */
  ground: number;
  /** Cold of the water: 0 at 18 °C, 1 at 12 °C; less than nothing over that, down to −0.5 at 21 °C. */
  cold: number;
  /** 1 alone, 0 in company. */
  alone: number;
  /** Nearly half a step at dusk, 1 by night. */
  dark: number;
  /** Breakers, rapids and waves. */
  rough: number;
  /** Wind off the shore, fog, and little experience. */
  offshore: number;
  fog: number;
  skill: number;
  total: number;
}
/** What of the day and the way it goes by, as `Exposures` says each. */
interface Day {
  maxDistanceFromShoreM: number | null;
  waterC: number | null;
  breakerM: number | null;
  rapids: number;
  hs: { value: number } | null;
  /** Wind off the shore, m/s, and sight, m. */
  offshore: { value: number } | null;
  visibility: { value: number } | null;
  solo: boolean;
  nightMinutes: number;
  darkMinutes: number;
  daylightLeftMin: number | null;
}

/** Within so many metres of ground nothing is asked for the sake of distance. */
export const NEAR_GROUND_M = 150;
/** A swim in rapids of any grade. */
const RAPIDS = 1.5;
const byExperience: Record<Angler['experience'], number> = { new: 1, some: 0.4, experienced: 0 };
/** Taken where nobody said: some distance, some cold. */
const UNKNOWN_GROUND = 1;
const UNKNOWN_COLD = 0.5;

export function seriousnessOf(day: Day, angler: Pick<Angler, 'experience' | 'swims'> | null): Seriousness {
  const { maxDistanceFromShoreM: outM, waterC, breakerM, hs, offshore: wind, visibility } = day;
  const ground = outM === null ? UNKNOWN_GROUND : groundSteps(outM);
  const parts = {
    ground,
    cold: waterC === null ? UNKNOWN_COLD : coldSteps(waterC),
    alone: day.solo ? 1 : 0,
    dark: darkSteps(day),
    rough:
      Math.max(rising(breakerM ?? 0, 0.3, 0.9), day.rapids > 0 ? RAPIDS : 0) + rising(hs?.value ?? 0, 0.5, 1),
    // Between two banks, or close to the shore, a wind drives nobody far.
    offshore: rising(wind?.value ?? 0, 2, 6) * Math.min(1, ground),
    fog: rising(1000 - (visibility?.value ?? Infinity), 0, 500) * Math.min(2, Math.max(0, ground)),
    skill: angler === null ? 0 : byExperience[angler.experience] + (angler.swims === 'not' ? 0.5 : 0),
  };
  return { ...parts, total: Object.values(parts).reduce((sum, part) => sum + part, 0) };
}

/** Under 12 °C every 3 °C are a step. */
function coldSteps(waterC: number): number {
  return waterC >= 12 ? Math.max(-0.5, (18 - waterC) / 6) : Math.min(3, 1 + (12 - waterC) / 3);
}

/** Late in the evening, or in the night; a morning gets lighter by itself. */
function darkSteps({ nightMinutes, darkMinutes, daylightLeftMin }: Day): number {
  if (nightMinutes >= 1) return 0.5 + 0.5 * rising(nightMinutes, 0, 20);
  if (daylightLeftMin !== null) return 0.4 * rising(-daylightLeftMin, -30, 0);
  return darkMinutes > 0 ? 0.4 : 0;
}

/** Distance from ground as steps. */
const steps: readonly (readonly [metres: number, steps: number])[] = [
  [50, 0],
  [300, 1],
  [1000, 2],
  [3000, 3],
  [10_000, 4],
];
function groundSteps(metres: number): number {
  const next = steps.findIndex(([to]) => metres < to);
  if (next === 0) return 0;
  const [from, to] = [steps[next - 1], steps[next]];
  if (!from || !to) return 4;
  return from[1] + Math.log(metres / from[0]) / Math.log(to[0] / from[0]);
}

/** From 0 at one value evenly up to 1 at another. */
function rising(value: number, from: number, to: number): number {
  return Math.min(1, Math.max(0, (value - from) / (to - from)));
}
