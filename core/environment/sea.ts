import type { Hour } from '../documents/outing';
import { FETCH_BEARINGS, type Water } from '../documents/water';
import { bearingOf, speedOf } from './flow';
import type { Flow } from './flow';
import { waveOnStream } from './waveOnStream';
import { waves } from './waves';

/** The sea of one hour: the wind's own waves, the swell, and what the stream makes of them. */
export interface Sea {
  windSeaM: number;
  windSeaS: number;
  swellM: number;
  /** Both together, m: root of the sum of squares. */
  hsM: number;
  /** Set against or with the stream. */
  onStreamM: number;
  /** How many times higher the wind's waves stand on the stream; 1: no stream; null: the stream stops them and they break. */
  factor: number | null;
  /** Height over length of the wind's waves on the stream; null: they break. */
  steepness: number | null;
  /** Open water upwind, m; null: the wind's bearing is not known. */
  fetchM: number | null;
}

const DEGREES_APART = 360 / FETCH_BEARINGS;

/** Open water upwind for a bearing, straight between the sixteen given. */
export function fetchFor(fetchM: readonly number[], fromDeg: number): number {
  const place = (((fromDeg % 360) + 360) % 360) / DEGREES_APART;
  const i = Math.floor(place);
  const [a, b] = [fetchM[i % FETCH_BEARINGS] ?? 0, fetchM[(i + 1) % FETCH_BEARINGS] ?? 0];
  return a + (b - a) * (place - i);
}

/** The sea at an hour. A wave height that was written down stands before the one worked out from wind and fetch. */
export function seaAt(hour: Hour, water: Pick<Water, 'fetchM'>, stream: Flow): Sea {
  const { windMps, windFromDeg, waveM, swellM } = hour;
  const fetchM = windFromDeg === null ? null : fetchFor(water.fetchM, windFromDeg);
  const own = waves({ windSpeedMps: windMps ?? 0, fetchM: fetchM ?? 0, durationS: null, depthM: null });
  const windSeaM = waveM ?? own.hsM;
  // A written height without a known fetch takes the period of a middling short sea: steepness 1/15.
  const windSeaS = own.tpS > 0 ? own.tpS : Math.sqrt((windSeaM * 15 * 2 * Math.PI) / 9.80665);
  const speed = speedOf(stream);
  const along =
    windFromDeg === null || speed === 0
      ? 0
      : speed * Math.cos(((bearingOf(stream) - windFromDeg - 180) * Math.PI) / 180);
  const met =
    windSeaM > 0 && windSeaS > 0 ? waveOnStream({ hsM: windSeaM, periodS: windSeaS, streamMps: along }) : null;
  const swell = swellM ?? 0;
  return {
    windSeaM,
    windSeaS,
    swellM: swell,
    hsM: Math.hypot(windSeaM, swell),
    onStreamM: Math.hypot(met?.hsM ?? windSeaM, swell),
    factor: met === null ? 1 : met.factor,
    steepness: met === null ? 0 : met.steepness,
    fetchM,
  };
}
