import type { Hour } from '../documents/outing';
import { G } from '../units/constants';
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
  /**
   * How many times higher the wind's waves stand on the stream; 1: no stream; null: the stream stops them and
   * they break.
   */
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

/** Height over length of a growing wind sea, usual of fetch-limited seas (JONSWAP: about 0.04). */
const USUAL_STEEPNESS = 1 / 25;
/**
 * Waves this many times as fast as the stream against them are far from being stopped by it: at four times
 * they are.
 */
const FASTER_THAN_STREAM = 5;
/**
 * A period that a wave of a written height can have, s, in deep water (L = g T² / 2π): of a usual steepness,
 * and long enough that a stream does not stop it. Whoever wrote the height saw waves, not broken water.
 */
export function assumedPeriodS(hsM: number, streamMps: number): number {
  const bySteepness = Math.sqrt((hsM * 2 * Math.PI) / USUAL_STEEPNESS / G);
  return Math.max(bySteepness, (FASTER_THAN_STREAM * streamMps * 2 * Math.PI) / G);
}

/**
 * The sea at an hour. A wave height that was written down stands before the one worked out from wind and
 * fetch.
 */
export function seaAt(hour: Hour, water: Pick<Water, 'fetchM'>, stream: Flow): Sea {
  const { windMps, windFromDeg, waveM, swellM } = hour;
  const fetchM = windFromDeg === null ? null : fetchFor(water.fetchM, windFromDeg);
  const own = waves({ windSpeedMps: windMps ?? 0, fetchM: fetchM ?? 0, durationS: null, depthM: null });
  const windSeaM = waveM ?? own.hsM;
  const speed = speedOf(stream);
  const windSeaS = waveM === null ? own.tpS : Math.max(own.tpS, assumedPeriodS(windSeaM, speed));
  const along =
    windFromDeg === null || speed === 0
      ? 0
      : speed * Math.cos(((bearingOf(stream) - windFromDeg - 180) * Math.PI) / 180);
  const met =
    windSeaM > 0 && windSeaS > 0
      ? waveOnStream({ hsM: windSeaM, periodS: windSeaS, streamMps: along })
      : null;
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
