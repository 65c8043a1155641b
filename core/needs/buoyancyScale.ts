import type { Angler } from '../documents/angler';
import type { DayExposures } from '../exposures/exposures';

/** The scale by which buoyancy is asked for. Grounds: the classes of ISO 12402, docs/sources.md. */
export const buoyancyScale = {
  sheltered: {
    newtons: 50,
    when: 'where help or ground is near, for one who swims well: a pond, between two banks, a sheltered bay in company',
  },
  open: {
    newtons: 70,
    when: 'farther out, rougher, colder, by night, in surf or rapids, or for one who swims a little: ordinary approved paddling foam',
  },
  far: {
    newtons: 100,
    when: 'for one who does not swim; more than {5 km} out; far out alone in cold water, or by night',
  },
} as const;
export type BuoyancyStep = keyof typeof buoyancyScale;

/** Which step of the scale an outing stands on. What is not known is never the easiest. */
export function buoyancyStep(e: DayExposures, angler: Pick<Angler, 'swims'> | null): BuoyancyStep {
  const { total } = e.seriousness;
  if (angler?.swims === 'not' || total >= FAR_FROM || (e.maxDistanceFromShoreM ?? 0) > 5000) return 'far';
  return total < OPEN_FROM && angler?.swims === 'well' ? 'sheltered' : 'open';
}
/** Sums of what makes an outing serious. */
const OPEN_FROM = 2.4;
const FAR_FROM = 4.9;
