import { G } from '../units/constants';

export interface WavesInput {
  /** At 10 m, m/s. */
  windSpeedMps: number;
  fetchM: number;
  /** How long it has blown, s; null: long enough. */
  durationS: number | null;
  /** null: deep. */
  depthM: number | null;
}
export interface Waves {
  hsM: number;
  tpS: number;
  lengthM: number;
  steepness: number;
  limitedBy: 'calm' | 'fetch' | 'duration' | 'developed' | 'depth';
}

const CALM: Waves = { hsM: 0, tpS: 0, lengthM: 0, steepness: 0, limitedBy: 'calm' };
const HS_CAP = 211.5;
const TP_CAP = 239.8;
const TP_COEFFICIENT = 0.651;

/** Wind sea by fetch: Coastal Engineering Manual, limited by duration, full development and depth. */
export function waves({ windSpeedMps: u, fetchM, durationS, depthM }: WavesInput): Waves {
  if (u <= 0 || fetchM <= 0) return CALM;
  const drag = 0.001 * (1.1 + 0.035 * u);
  const friction = u * Math.sqrt(drag);
  const tooShort = durationS !== null && durationS < (77.23 * fetchM ** 0.67) / (u ** 0.34 * G ** 0.33);
  const reach = tooShort ? 5.23e-3 * ((G * durationS) / friction) ** 1.5 : (G * fetchM) / friction ** 2;
  const heightOf = (x: number) => Math.min(4.13e-2 * Math.sqrt(x), HS_CAP);
  const capped = 4.13e-2 * Math.sqrt(reach) >= HS_CAP || TP_COEFFICIENT * Math.cbrt(reach) >= TP_CAP;
  let limitedBy: Waves['limitedBy'] = capped ? 'developed' : tooShort ? 'duration' : 'fetch';
  let hsM = (heightOf(reach) * friction ** 2) / G;
  let tpS = (Math.min(TP_COEFFICIENT * Math.cbrt(reach), TP_CAP) * friction) / G;
  if (depthM !== null) {
    const longest = 9.78 * Math.sqrt(depthM / G);
    if (tpS > longest) {
      tpS = longest;
      hsM = (heightOf(((G * longest) / friction / TP_COEFFICIENT) ** 3) * friction ** 2) / G;
      limitedBy = 'depth';
    }
    if (hsM > 0.6 * depthM) {
      hsM = 0.6 * depthM;
      limitedBy = 'depth';
    }
  }
  const lengthM = (G * tpS ** 2) / (2 * Math.PI);
  return { hsM, tpS, lengthM, steepness: lengthM > 0 ? hsM / lengthM : 0, limitedBy };
}
