import type { DayExposures, Exposures } from '../exposures/exposures';
import { NEAR_GROUND_M } from '../exposures/seriousness';
import { SURF_M } from '../exposures/rough';
import type { Outward } from '../documents/outing';
import type { Technique } from '../vocabulary/trips';
import type { Reason } from './need';

/**
 * Farther than this many metres from ground where one can get out, as a reason; false when nearer or not
 * known.
 */
export function offShore({ maxDistanceFromShoreM: metres }: Exposures, over: number): Reason | false {
  return metres !== null && metres > over && { because: 'distance', from: 'shore', metres };
}
/** The same from a landing, where the vehicle and the road are. */
export function farAfield({ maxDistanceFromLandingM: metres }: Exposures, over: number): Reason | false {
  return metres !== null && metres > over && { because: 'distance', from: 'landing', metres };
}
export function alone(exposures: Exposures): Reason | false {
  return exposures.solo && { because: 'solo' };
}
const FOG_UNDER_M = 1000;
/** Sight that hides boats and shore from one another. */
export function inFog({ visibility }: Exposures): Reason | false {
  return (
    visibility !== null && visibility.value < FOG_UNDER_M && { because: 'fog', metres: visibility.value }
  );
}
export function inDark(exposures: Exposures): Reason | false {
  const last = exposures.darkSpans[exposures.darkSpans.length - 1];
  return (
    exposures.darkMinutes >= 1 &&
    last !== undefined && { because: 'dark', minutes: exposures.darkMinutes, until: last.to }
  );
}
/** Breaking water at the launch or the landing, or rapids on the way. */
export function inRough(exposures: Exposures): Reason | false {
  return inRapids(exposures) || throughSurf(exposures, SURF_M);
}
/** Water that takes the boat along, m/s. */
const MOVES_FROM_MPS = 0.3;
export function isMoving({ river, stream }: DayExposures): boolean {
  return river && (stream?.value ?? 0) >= MOVES_FROM_MPS;
}
/** Within so many metres of where one launched a broken paddle costs a walk. Rule of thumb. */
export const AT_THE_LANDING_M = 90;
/** Within a short swim of ground all the way: known, not feared. */
export function isNearGround({ maxDistanceFromShoreM: metres }: DayExposures): boolean {
  return metres !== null && metres <= NEAR_GROUND_M;
}
export function outOvernight(exposures: Exposures): Reason | false {
  return exposures.nights > 0 && { because: 'nights', nights: exposures.nights };
}
export function inRapids(exposures: Exposures): Reason | false {
  return exposures.rapids > 0 && { because: 'rapids', count: exposures.rapids };
}
export function throughSurf(exposures: Exposures, overM: number): Reason | false {
  return (
    exposures.breakerM !== null &&
    exposures.breakerM > overM && { because: 'surf', breakerM: exposures.breakerM }
  );
}
export function coldWater(exposures: Exposures, belowC: number): Reason | false {
  return (
    exposures.waterC !== null &&
    exposures.waterC < belowC && { because: 'cold-water', waterC: exposures.waterC }
  );
}
/** Air that feels colder than this, °C, with the wind in it. */
const COLD_AIR_BELOW_C = 3;
export function coldAir(exposures: Exposures): Reason | false {
  return (
    exposures.feelsMinC !== null &&
    exposures.feelsMinC < COLD_AIR_BELOW_C && { because: 'cold-air', feelsC: exposures.feelsMinC }
  );
}
export function deeper(metres: number | undefined, thanM: number): Reason | false {
  return metres !== undefined && metres > thanM && { because: 'deep', metres };
}
export function fishing(exposures: Exposures): Reason | false {
  return exposures.largest !== null && { because: 'fishing' };
}
export function keepsFish(exposures: Exposures): Reason | false {
  return (
    exposures.keep > 0 &&
    exposures.largest !== null && { because: 'kept', count: exposures.keep, kg: exposures.keepKg }
  );
}
export function largestFish(exposures: Exposures): Reason | false {
  const { largest } = exposures;
  return largest !== null && { because: 'species', name: largest.species.name, lengthM: largest.lengthM };
}
/** One of these ways of fishing is meant. */
export function byTechnique(brief: Outward, ...some: Technique[]): Reason | false {
  const technique = some.find((one) => brief.techniques.includes(one));
  return technique !== undefined && { because: 'technique', technique };
}
/** After dark, air that is colder than the water. */
export function coolEvening({ nightMinutes, airMinC, waterC }: DayExposures): Reason | false {
  const isCool = nightMinutes >= 1 && airMinC !== null && airMinC <= 10 && (waterC ?? 0) < 15;
  return isCool && { because: 'cold-air', feelsC: airMinC };
}
