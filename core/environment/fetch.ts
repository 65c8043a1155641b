import type { Chart } from '../documents/chart';
import { FETCH_BEARINGS } from '../documents/water';
import { type Place, type Point, toPlane } from './geo';

/**
 * Where a chart shows no shore in a direction the sea is taken as open, m: past this a longer fetch raises no
 * higher sea within a day's wind.
 */
export const OPEN_SEA_M = 300_000;
/**
 * Rays on either side of a bearing over which its fetch is averaged, °, as the usual practice of effective
 * fetch is, narrowed to one point of sixteen.
 */
const SPREAD_DEG = [-9, -4.5, 0, 4.5, 9];

/**
 * The shores a chart shows, as pieces of line on a plane about a place: the edges of land, and lines drawn as
 * land.
 */
function shores(from: Place, chart: Chart): (readonly [Point, Point])[] {
  return chart.features.flatMap(({ properties, geometry }) => {
    if (properties.shows !== 'land') return [];
    const lines = geometry.type === 'Polygon' ? geometry.coordinates : [geometry.coordinates];
    return lines.flatMap((line) => {
      const points = line.map(([lonDeg, latDeg]) => toPlane(from, { latDeg, lonDeg }));
      return points.slice(1).map((b, i) => [points[i] ?? b, b] as const);
    });
  });
}

/**
 * Open water from a place in each of sixteen directions, m, north first, clockwise: the distance to the first
 * shore of the chart, the mean of five rays within nine degrees; open sea where no ray meets a shore. null:
 * the chart shows no land.
 */
export function fetchFromChart(from: Place, chart: Chart): number[] | null {
  const pieces = shores(from, chart);
  if (pieces.length === 0) return null;
  return Array.from({ length: FETCH_BEARINGS }, (_, i) => {
    const bearing = (i * 360) / FETCH_BEARINGS;
    const rays = SPREAD_DEG.map((off) => firstShore(bearing + off, pieces));
    return Math.round(rays.reduce((sum, metres) => sum + metres, 0) / rays.length);
  });
}

/** How far a ray from the origin goes before it meets a shore, m. */
function firstShore(bearingDeg: number, pieces: readonly (readonly [Point, Point])[]): number {
  const angle = (bearingDeg * Math.PI) / 180;
  const [dx, dy] = [Math.sin(angle), Math.cos(angle)];
  let nearest = OPEN_SEA_M;
  for (const [a, b] of pieces) {
    const [ex, ey] = [b.x - a.x, b.y - a.y];
    const cross = dx * ey - dy * ex;
    if (Math.abs(cross) < 1e-12) continue;
    const along = (a.x * ey - a.y * ex) / cross;
    const share = (a.x * dy - a.y * dx) / cross;
    if (along > 0 && along < nearest && share >= 0 && share <= 1) nearest = along;
  }
  return nearest;
}
