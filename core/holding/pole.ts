import type { KindId } from '../catalog/gear/kinds';
import type { Bottom } from '../vocabulary/holding';

/** What holds the boat by being driven in: nothing of it is let go in a hurry. */
export const stakePoles: readonly KindId[] = ['stake-pole', 'short-pole', 'push-pole'];

/** Driven in, and left above the water, m. Rule of thumb. */
export const POLE_PENETRATION_M = 0.5;
export const POLE_ABOVE_M = 0.3;
/** Stream from which a pole is not used, m/s. */
export const POLE_STREAM_MPS = 0.5;

export interface PoleInput {
  poleM: number;
  depthM: number;
  tideRiseM: number;
  bottom: Bottom;
  streamMps: number;
}

/** Whether a stake-out pole is long enough, and whether bottom and stream allow one. Rule of thumb. */
export function pole({ poleM, depthM, tideRiseM, bottom, streamMps }: PoleInput): {
  neededM: number;
  reaches: boolean;
  bottomHolds: boolean;
  streamAllows: boolean;
  allowed: boolean;
} {
  const neededM = depthM + tideRiseM + POLE_PENETRATION_M + POLE_ABOVE_M;
  const reaches = poleM > neededM;
  const bottomHolds = bottom === 'mud' || bottom === 'sand';
  const streamAllows = streamMps < POLE_STREAM_MPS;
  return { neededM, reaches, bottomHolds, streamAllows, allowed: reaches && bottomHolds && streamAllows };
}
