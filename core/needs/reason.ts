import type { Exposures } from '../exposures/exposures';
import type { Reason } from './need';

/** Farther out than this many metres, as a reason; false when nearer or not known. */
export function farther(exposures: Exposures, metres: number): Reason | false {
  return (
    exposures.maxDistanceM !== null &&
    exposures.maxDistanceM > metres && { because: 'distance', metres: exposures.maxDistanceM }
  );
}
export function alone(exposures: Exposures): Reason | false {
  return exposures.solo && { because: 'solo' };
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
