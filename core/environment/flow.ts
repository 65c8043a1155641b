import type { Instant } from '../units/time';

/** A flow over the ground by its east and north parts, m/s. */
export interface Flow {
  east: number;
  north: number;
}
export type FlowAt = (at: Instant) => Flow;

const RAD = Math.PI / 180;

/** A flow that runs toward a bearing. */
export function toward(speedMps: number, bearingDeg: number): Flow {
  return { east: speedMps * Math.sin(bearingDeg * RAD), north: speedMps * Math.cos(bearingDeg * RAD) };
}
/** A wind named by where it comes from. */
export function fromBearing(speedMps: number, bearingDeg: number): Flow {
  return toward(-speedMps, bearingDeg);
}
export function speedOf({ east, north }: Flow): number {
  return Math.hypot(east, north);
}
/** Where it runs toward, 0 to 360°. */
export function bearingOf({ east, north }: Flow): number {
  return (Math.atan2(east, north) / RAD + 360) % 360;
}

export interface FlowPoint extends Flow {
  at: Instant;
}

export const NO_STREAM: Flow = { east: 0, north: 0 };
export const STILL: FlowAt = () => NO_STREAM;

/**
 * A flow between given moments, straight in its east and north parts; the ends are held. Points in order of
 * time.
 */
export function flowBetween(points: readonly FlowPoint[]): FlowAt {
  const [first] = points;
  const last = points[points.length - 1];
  if (!first || !last) return STILL;
  let i = 0;
  return (at) => {
    if (at <= first.at) return first;
    if (at >= last.at) return last;
    // Asked mostly in order of time: go on from the last place.
    if ((points[i]?.at ?? 0) > at) i = 0;
    while ((points[i + 1]?.at ?? Infinity) <= at) i += 1;
    const a = points[i] ?? first;
    const b = points[i + 1] ?? last;
    const part = (at - a.at) / (b.at - a.at);
    return { east: a.east + (b.east - a.east) * part, north: a.north + (b.north - a.north) * part };
  };
}
