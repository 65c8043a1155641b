import type { Angler } from '../documents/angler';
import type { DayExposures } from '../exposures/exposures';

/** The scale by which buoyancy is asked for. Grounds: the classes of ISO 12402, docs/sources.md. */
export const buoyancyScale = {
  sheltered: {
    newtons: 50,
    when: 'within {150 m} of ground to get out on, waves to {0.3 m}, no surf and no rapids, water of {15 °C} or more, for one who swims well',
  },
  open: {
    newtons: 70,
    when: 'farther out, rougher, colder, in surf or rapids, or for one who swims a little: ordinary approved paddling foam',
  },
  far: {
    newtons: 100,
    when: 'for one who does not swim; more than {2 km} out with waves over {0.6 m} or water under {10 °C}; more than {5 km} out in any water',
  },
} as const;
export type BuoyancyStep = keyof typeof buoyancyScale;

/** Which step of the scale an outing stands on. What is not known is never the easiest. */
export function buoyancyStep(e: DayExposures, angler: Pick<Angler, 'swims'> | null): BuoyancyStep {
  const outM = e.maxDistanceFromShoreM;
  const seaM = e.hs?.value ?? 0;
  if (angler?.swims === 'not') return 'far';
  if (outM !== null && outM > 5000) return 'far';
  if (outM !== null && outM > 2000 && (seaM > 0.6 || (e.waterC !== null && e.waterC < 10))) return 'far';
  const sheltered =
    outM !== null &&
    outM <= 150 &&
    seaM <= 0.3 &&
    (e.breakerM ?? 0) <= 0.3 &&
    e.rapids === 0 &&
    e.waterC !== null &&
    e.waterC >= 15 &&
    angler?.swims === 'well';
  return sheltered ? 'sheltered' : 'open';
}
