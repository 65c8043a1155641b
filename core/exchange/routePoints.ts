import simplify from 'simplify-js';
import type { Brief, Waypoint } from '../documents/outing';
import { type Place, distanceBetween, toPlane } from '../environment/geo';

export type RoutePoints = Brief['route'];

/** The ends of an outing's ways: points of a file that lie there are the same places. */
export interface Ends {
  launch: Place | null;
  area: Place | null;
  landing: Place | null;
}

export const MOST_POINTS = 100_000;
/** Points kept each way, as many as an outing holds: more would be no route but a recording. */
const MOST_KEPT = 60;
const SAME_PLACE_M = 150;

/**
 * Routes out and home from lines of points. One line that comes back to where it began is parted at its
 * farthest point; of two, the second leads home. Long lines are thinned (Ramer–Douglas–Peucker) as little as
 * brings them to sixty points each way.
 */
export function routeFromLines(lines: readonly (readonly Waypoint[])[], ends: Ends): RoutePoints {
  const [first = [], second] = lines;
  const [out, home] = second ? [first, second] : partAtFarthest(first);
  return {
    out: thinned(withoutEnds(out, ends.launch, ends.area)),
    home: thinned(withoutEnds(home, ends.area, ends.landing ?? ends.launch)),
  };
}

function partAtFarthest(line: readonly Waypoint[]): [readonly Waypoint[], readonly Waypoint[]] {
  const [start] = line;
  const end = line[line.length - 1];
  if (!start || !end || line.length < 3) return [line, []];
  const distances = line.map((point) => distanceBetween(start, point));
  const far = Math.max(...distances);
  if (distanceBetween(start, end) > Math.max(SAME_PLACE_M, far * 0.25)) return [line, []];
  const at = distances.indexOf(far);
  return [line.slice(0, at + 1), line.slice(at)];
}

function withoutEnds(line: readonly Waypoint[], start: Place | null, end: Place | null): readonly Waypoint[] {
  const near = (a: Waypoint | undefined, b: Place | null) =>
    a !== undefined && b !== null && distanceBetween(a, b) < SAME_PLACE_M;
  const from = near(line[0], start) ? 1 : 0;
  const to = near(line[line.length - 1], end) ? line.length - 1 : line.length;
  return line.slice(from, Math.max(from, to));
}

function thinned(line: readonly Waypoint[]): Waypoint[] {
  const [origin] = line;
  if (!origin || line.length <= MOST_KEPT) return [...line];
  const points = line.map((point, i) => ({ ...toPlane(origin, point), i }));
  let tolerance = 5;
  let kept = simplify(points, tolerance, true) as typeof points;
  while (kept.length > MOST_KEPT) {
    tolerance *= 1.5;
    kept = simplify(kept, tolerance, true) as typeof points;
  }
  return kept.flatMap(({ i }) => line[i] ?? []);
}
