import type { Exposures } from '../exposures/exposures';
import type { Outward } from '../documents/outing';
import type { Technique } from '../vocabulary/trips';
import type { Reason } from './need';

/** Farther than this many metres from ground where one can get out, as a reason; false when nearer or not known. */
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
/** Alone, and farther from ground than a short swim, m. */
const ALONE_OUT_M = 150;
export function aloneOut(exposures: Exposures): Reason | false {
  const { solo, maxDistanceFromShoreM: metres } = exposures;
  return solo && (metres === null || metres > ALONE_OUT_M) && { because: 'solo' };
}
const FOG_UNDER_M = 1000;
export function inFog({ visibility }: Exposures): Reason | false {
  return visibility !== null && visibility.value < FOG_UNDER_M && { because: 'fog', metres: visibility.value };
}
export function inDark(exposures: Exposures): Reason | false {
  const last = exposures.darkSpans[exposures.darkSpans.length - 1];
  return (
    exposures.darkMinutes >= 1 &&
    last !== undefined && { because: 'dark', minutes: exposures.darkMinutes, until: last.to }
  );
}
export function outOvernight(exposures: Exposures): Reason | false {
  return exposures.nights > 0 && { because: 'nights', nights: exposures.nights };
}
export function inRapids(exposures: Exposures): Reason | false {
  return exposures.rapids > 0 && { because: 'rapids', count: exposures.rapids };
}
export function throughSurf(exposures: Exposures, overM: number): Reason | false {
  return exposures.breakerM !== null && exposures.breakerM > overM && { because: 'surf', breakerM: exposures.breakerM };
}
export function coldWater(exposures: Exposures, belowC: number): Reason | false {
  return exposures.waterC !== null && exposures.waterC < belowC && { because: 'cold-water', waterC: exposures.waterC };
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
    exposures.keep > 0 && exposures.largest !== null && { because: 'kept', count: exposures.keep, kg: exposures.keepKg }
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
