import type { Chart } from '../documents/chart';
import type { Places } from '../documents/references';
import type { Water } from '../documents/water';
import { type Place, type Point, distanceBetween, fromPlane, toPlane } from '../environment/geo';
import type { Plan } from './plan';

/** A leg is looked at this often on its way, m. */
const STEP_M = 250;
const MOST_STEPS = 40;

/**
 * The nearest land of a chart: how far, and where; null: the chart shows none. Exact on the plane that
 * touches the earth there.
 */
export function nearestLand(from: Place, chart: Chart): { distanceM: number; at: Place } | null {
  let best: { distanceM: number; point: Point } | null = null;
  for (const { properties, geometry } of chart.features) {
    if (properties.shows !== 'land') continue;
    for (const ring of geometry.type === 'Polygon' ? geometry.coordinates : [geometry.coordinates]) {
      const points = ring.map(([lonDeg, latDeg]) => toPlane(from, { latDeg, lonDeg }));
      points.slice(1).forEach((b, i) => {
        const point = nearestOn(points[i] ?? b, b);
        const distanceM = Math.hypot(point.x, point.y);
        if (best === null || distanceM < best.distanceM) best = { distanceM, point };
      });
    }
  }
  // What a callback wrote is not seen by the compiler.
  const found = best as { distanceM: number; point: Point } | null;
  return found && { distanceM: found.distanceM, at: fromPlane(from, found.point) };
}

/** The point of a line that is nearest to the origin. */
function nearestOn(a: Point, b: Point): Point {
  const d = { x: b.x - a.x, y: b.y - a.y };
  const length2 = d.x * d.x + d.y * d.y;
  const share = length2 === 0 ? 0 : Math.min(1, Math.max(0, -(a.x * d.x + a.y * d.y) / length2));
  return { x: a.x + d.x * share, y: a.y + d.y * share };
}

/**
 * Where one can get out nearest to a place, as the water says it: along its chart's land, or at its launches
 * only.
 */
export function nearestGround(place: Place, water: Water): { distanceM: number; at: Place } | null {
  const launches = water.launches.map((launch) => ({
    distanceM: distanceBetween(place, launch),
    at: launch,
  }));
  const land =
    water.getOut === 'launches only' || water.getOut === 'in places' ? null : nearestLand(place, water.chart);
  return [...launches, ...(land ? [land] : [])].toSorted((a, b) => a.distanceM - b.distanceM)[0] ?? null;
}

/**
 * The farthest that one is from ground where one can get out, m: at the place to fish as it was written, else
 * by the water's chart and launches; on the way, where the chart shows land or nothing else counts. null: no
 * place to fish is chosen. Never farther than a landing.
 */
export function farthestFromGround(
  { area, water }: Places,
  plan: Plan | null,
  fromLandingM: number | null,
): number | null {
  if (!area || !water) return null;
  const there = area.shoreM ?? nearestGround(area, water)?.distanceM ?? Infinity;
  const written =
    area.shoreM !== null && (water.getOut === 'in places' || nearestLand(area, water.chart) === null);
  const onTheWay = written ? [] : (plan?.legs ?? []).map(({ leg }) => farthestOnLeg(leg.from, leg.to, water));
  return Math.min(Math.max(there, ...onTheWay), fromLandingM ?? Infinity);
}

const known = new WeakMap<Water, Map<string, number>>();
function farthestOnLeg(from: Place, to: Place, water: Water): number {
  const legs = known.get(water) ?? new Map<string, number>();
  known.set(water, legs);
  const key = `${from.latDeg} ${from.lonDeg} ${to.latDeg} ${to.lonDeg}`;
  const farthest = legs.get(key) ?? sampled(from, to, water);
  legs.set(key, farthest);
  return farthest;
}
function sampled(from: Place, to: Place, water: Water): number {
  const way = toPlane(from, to);
  const steps = Math.min(MOST_STEPS, Math.max(1, Math.ceil(Math.hypot(way.x, way.y) / STEP_M)));
  const places = Array.from({ length: steps + 1 }, (_, i) =>
    fromPlane(from, { x: (way.x * i) / steps, y: (way.y * i) / steps }),
  );
  return Math.max(...places.map((place) => nearestGround(place, water)?.distanceM ?? 0));
}
