import type { Flow } from '../passage/travel';
import { type Place, fromPlane } from '../passage/geo';
import type { SpotHour } from './spot';

const STEP_S = 1800;

/** Over the ground: the drift through the water, the way the wind goes, and the stream. m/s east and north. */
export function groundDrift({ air, windMps, stream }: SpotHour, driftMps: number): Flow {
  const share = windMps > 0 ? driftMps / windMps : 0;
  return { east: air.east * share + stream.east, north: air.north * share + stream.north };
}

/** Where a boat left to drift from the mark lies at each half hour; the first is the mark. @param driftAt through the water, m/s */
export function driftPath(mark: Place, hours: readonly SpotHour[], driftAt: (hour: SpotHour) => number): Place[] {
  const path = [{ x: 0, y: 0 }];
  for (const hour of hours.slice(0, -1)) {
    const last = path[path.length - 1] ?? { x: 0, y: 0 };
    const { east, north } = groundDrift(hour, driftAt(hour));
    path.push({ x: last.x + east * STEP_S, y: last.y + north * STEP_S });
  }
  return path.map((point) => fromPlane(mark, point));
}
