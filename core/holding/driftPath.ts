import type { Flow } from '../environment/flow';
import { type Place, fromPlane } from '../environment/geo';
import type { Chart } from '../documents/chart';
import { shoreCrossings } from '../passage/shore';
import type { Instant } from '../units/time';
import type { SpotHour } from '../environment/spot';

const STEP_S = 1800;

/**
 * Over the ground: the drift through the water, the way the wind goes, and the stream. m/s east and north.
 */
export function groundDrift({ air, windMps, stream }: SpotHour, driftMps: number): Flow {
  const share = windMps > 0 ? driftMps / windMps : 0;
  return { east: air.east * share + stream.east, north: air.north * share + stream.north };
}

/** Where a boat goes that is left to drift. */
export interface Drifted {
  /** The mark, then each half hour; the last is the shore, where it comes to one. */
  points: Place[];
  /** When it comes to the shore, by the chart; null: not within these hours, or no chart. */
  ashoreAt: Instant | null;
}

/**
 * A boat left to drift from the mark, until it comes to land on the chart.
 * @param driftAt through the water, m/s
 */
export function driftPath(
  mark: Place,
  hours: readonly SpotHour[],
  chart: Chart,
  driftAt: (hour: SpotHour) => number,
): Drifted {
  const points: Place[] = [{ latDeg: mark.latDeg, lonDeg: mark.lonDeg }];
  for (const hour of hours.slice(0, -1)) {
    const from = points[points.length - 1] ?? mark;
    const { east, north } = groundDrift(hour, driftAt(hour));
    const to = fromPlane(from, { x: east * STEP_S, y: north * STEP_S });
    const [share] = shoreCrossings(from, to, chart);
    if (share !== undefined) {
      points.push(fromPlane(from, { x: east * STEP_S * share, y: north * STEP_S * share }));
      return { points, ashoreAt: hour.at + share * STEP_S * 1000 };
    }
    points.push(to);
  }
  return { points, ashoreAt: null };
}
