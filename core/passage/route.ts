import type { Waypoint } from '../documents/outing';
import type { Places } from '../documents/references';
import type { Hazard } from '../documents/water';
import { type Place, bearingBetween, distanceBetween, shareWithin } from '../environment/geo';

/** A straight way between two points, or the part of one in which the stream runs otherwise. */
export interface RouteLeg {
  from: Waypoint;
  to: Waypoint;
  name: string;
  bearingDeg: number;
  distanceM: number;
  /** Pieces from start to end; each has its own share of the stream. */
  pieces: readonly { distanceM: number; streamFactor: number }[];
  /** Named hazards that the leg touches. */
  hazards: readonly Hazard[];
}

export interface Route {
  out: readonly RouteLeg[];
  home: readonly RouteLeg[];
}

/** The ways out and home, from launch to the place to fish to the landing; null until those are known. */
export function routeOf(
  points: { out: readonly Waypoint[]; home: readonly Waypoint[] },
  looked: Places,
): Route | null {
  const { launch, landing, area, water } = looked;
  if (!launch || !landing || !area || !water) return null;
  // A place without a position of its own stands on the launch: then the way is not known.
  if (distanceBetween(launch, area) < 5) return null;
  return {
    out: legsThrough([named(launch), ...points.out, named(area)], water.hazards),
    home: legsThrough([named(area), ...points.home, named(landing)], water.hazards),
  };
}

const named = ({ latDeg, lonDeg, name }: Waypoint): Waypoint => ({ latDeg, lonDeg, name });

function legsThrough(points: readonly Waypoint[], hazards: readonly Hazard[]): RouteLeg[] {
  return points.slice(1).flatMap((to, i) => {
    const from = points[i] ?? to;
    const distanceM = distanceBetween(from, to);
    if (distanceM < 1) return [];
    const touched = hazards.filter((hazard) => shareWithin(from, to, hazard, hazard.radiusM) !== null);
    return [
      {
        from,
        to,
        name: `${from.name || 'the last point'} to ${to.name || 'the next point'}`,
        bearingDeg: bearingBetween(from, to),
        distanceM,
        pieces: piecesOf(from, to, distanceM, touched),
        hazards: touched,
      },
    ];
  });
}

/** Cuts a leg at the edges of what changes the stream; where two overlap, the stronger counts. */
function piecesOf(from: Place, to: Place, distanceM: number, hazards: readonly Hazard[]): RouteLeg['pieces'] {
  const spans = hazards
    .filter((hazard) => hazard.streamFactor !== 1)
    .map((hazard) => ({
      span: shareWithin(from, to, hazard, hazard.radiusM) ?? [0, 0],
      factor: hazard.streamFactor,
    }));
  const cuts = [...new Set([0, 1, ...spans.flatMap(({ span }) => span)])].sort((a, b) => a - b);
  return cuts.slice(1).map((end, i) => {
    const start = cuts[i] ?? 0;
    const middle = (start + end) / 2;
    const inside = spans
      .filter(({ span: [a = 0, b = 0] }) => a <= middle && middle <= b)
      .map(({ factor }) => factor);
    return {
      distanceM: (end - start) * distanceM,
      streamFactor: inside.length > 0 ? Math.max(...inside) : 1,
    };
  });
}
