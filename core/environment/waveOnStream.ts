import { G } from '../units/constants';

export interface WaveOnStream {
  /** The stream stops the waves: they cannot run against it. Then no figures are given. */
  blocked: boolean;
  factor: number | null;
  hsM: number | null;
  steepness: number | null;
}

/**
 * Waves meeting or following a stream (Longuet-Higgins & Stewart 1961).
 * @param streamMps positive: with the waves, negative: against them @param periodS > 0
 */
export function waveOnStream({
  hsM,
  periodS,
  streamMps,
}: {
  hsM: number;
  periodS: number;
  streamMps: number;
}): WaveOnStream {
  const still = (G * periodS) / (2 * Math.PI);
  if (streamMps <= -still / 4) return { blocked: true, factor: null, hsM: null, steepness: null };
  const speed = (still * (1 + Math.sqrt(1 + (4 * streamMps) / still))) / 2;
  const factor = still / Math.sqrt(speed * (speed + 2 * streamMps));
  const height = hsM * factor;
  return { blocked: false, factor, hsM: height, steepness: height / ((2 * Math.PI * speed ** 2) / G) };
}
