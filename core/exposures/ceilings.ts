import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import type { Exposures } from './exposures';

/** What one kind of water may bring before it is the next kind. */
export interface Ceiling {
  name: string;
  windMps: number;
  gustMps: number;
  waveM: number;
  breakerM: number;
  streamMps: number;
  /** From ground where one can get out; Infinity: what is aboard decides. */
  shoreM: number;
}

/** Gusts stand beside a wind up to so many times as strong. */
const GUSTS = 1.4;
const ceiling = (
  name: string,
  [windMps, waveM, breakerM, streamMps, shoreM]: readonly [number, number, number, number, number],
) => ({
  name,
  windMps,
  gustMps: Math.round(windMps * GUSTS * 10) / 10,
  waveM,
  breakerM,
  streamMps,
  shoreM,
});

export const sheltered = ceiling('sheltered water', [5.4, 0.3, 0.3, 0.5, 150]);
/**
 * The usual coaching definitions of water, the calmest first: wind to the upper edge of Beaufort 2, 3, 4 and
 * 5 (3.3, 5.4, 7.9, 10.7 m/s). Grounds: docs/sources.md. Rules of thumb on which a Stop of judgement rests,
 * never a promise below them.
 */
export const ceilings: readonly Ceiling[] = [
  ceiling('calm water', [3.3, 0.2, 0.2, 0.3, 50]),
  sheltered,
  ceiling('moderate water', [7.9, 0.6, 0.8, 1, 1000]),
  ceiling('advanced water', [10.7, 1, 1.2, 2, Infinity]),
];
const byExperience: Record<Angler['experience'], number> = { new: 1, some: 2, experienced: 3 };

/** Colder than this, alone, one step lower, °C. */
export const ALONE_COLD_BELOW_C = 10;
export const stepWords = {
  practice: 'getting back in not practised',
  'no-swimmer': 'not swimming',
  inflatable: 'an inflated hull',
  'alone-cold': 'alone in water under {10 °C}',
} as const;
export type Step = keyof typeof stepWords;

/** Which water is within an angler's reach: by experience, and the steps that lower it. */
export interface Reach {
  experience: Angler['experience'];
  steps: readonly Step[];
  ceiling: Ceiling;
  /** One step lower: where the wind blows off the shore. */
  offshore: Ceiling;
  /** One step higher, for what a Stop of distance stands at. */
  above: Ceiling;
}
export function reachOf(
  angler: Pick<Angler, 'experience' | 'reentryPractised' | 'swims'>,
  craft: Pick<Craft, 'hull'> | null,
  { solo, waterC }: Pick<Exposures, 'solo' | 'waterC'>,
): Reach {
  const { experience } = angler;
  const steps: Step[] = [];
  if (!angler.reentryPractised && experience !== 'new') steps.push('practice');
  if (angler.swims === 'not') steps.push('no-swimmer');
  if (craft?.hull === 'inflatable') steps.push('inflatable');
  if (solo && waterC !== null && waterC < ALONE_COLD_BELOW_C) steps.push('alone-cold');
  const at = (step: number): Ceiling =>
    ceilings[Math.min(ceilings.length - 1, Math.max(0, step))] ?? (ceilings[0] as Ceiling);
  const level = Math.max(0, byExperience[experience] - steps.length);
  return { experience, steps, ceiling: at(level), offshore: at(level - 1), above: at(level + 1) };
}
