import type { Exposures } from '../exposures/exposures';
import type { Reason } from './need';

/** Farther out than this many metres, as a reason; false when nearer or not known. */
export function farther(e: Exposures, metres: number): Reason | false {
  return e.maxDistanceM !== null && e.maxDistanceM > metres && { because: 'distance', metres: e.maxDistanceM };
}
export function alone(e: Exposures): Reason | false {
  return e.solo && { because: 'solo' };
}
export function inDark(e: Exposures): Reason | false {
  const last = e.darkSpans[e.darkSpans.length - 1];
  return e.darkMinutes >= 1 && last !== undefined && { because: 'dark', minutes: e.darkMinutes, until: last.to };
}
export function outOvernight(e: Exposures): Reason | false {
  return e.nights > 0 && { because: 'nights', nights: e.nights };
}
export function inRapids(e: Exposures): Reason | false {
  return e.rapids > 0 && { because: 'rapids', count: e.rapids };
}
export function throughSurf(e: Exposures, overM: number): Reason | false {
  return e.breakerM !== null && e.breakerM > overM && { because: 'surf', breakerM: e.breakerM };
}
export function coldWater(e: Exposures, belowC: number): Reason | false {
  return e.waterC !== null && e.waterC < belowC && { because: 'cold-water', waterC: e.waterC };
}
/** Air that feels colder than this, °C, with the wind in it. */
const COLD_AIR_BELOW_C = 3;
export function coldAir(e: Exposures): Reason | false {
  return e.feelsMinC !== null && e.feelsMinC < COLD_AIR_BELOW_C && { because: 'cold-air', feelsC: e.feelsMinC };
}
export function deeper(metres: number | undefined, thanM: number): Reason | false {
  return metres !== undefined && metres > thanM && { because: 'deep', metres };
}
export function fishing(e: Exposures): Reason | false {
  return e.largest !== null && { because: 'fishing' };
}
export function keepsFish(e: Exposures): Reason | false {
  return e.keep > 0 && e.largest !== null && { because: 'kept', count: e.keep, kg: e.keepKg };
}
export function largestFish(e: Exposures): Reason | false {
  const { largest } = e;
  return largest !== null && { because: 'species', name: largest.species.name, lengthM: largest.lengthM };
}
