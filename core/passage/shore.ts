import type { Chart } from '../documents/chart';
import { type Place, distanceBetween, fromPlane, toPlane } from '../environment/geo';

const known = new WeakMap<Chart, Map<string, readonly number[]>>();

/**
 * Where a straight way crosses the shores of a chart, as shares of its length in rising order. Along a shore
 * is no crossing.
 */
export function shoreCrossings(from: Place, to: Place, chart: Chart): readonly number[] {
  const key = `${from.latDeg} ${from.lonDeg} ${to.latDeg} ${to.lonDeg}`;
  const ways = known.get(chart) ?? new Map<string, readonly number[]>();
  known.set(chart, ways);
  const found = ways.get(key) ?? crossings(from, to, chart);
  ways.set(key, found);
  return found;
}

function crossings(from: Place, to: Place, chart: Chart): number[] {
  const way = toPlane(from, to);
  const list: number[] = [];
  for (const { properties, geometry } of chart.features) {
    if (properties.shows !== 'land' || geometry.type !== 'Polygon') continue;
    for (const ring of geometry.coordinates) {
      const points = ring.map(([lonDeg, latDeg]) => toPlane(from, { latDeg, lonDeg }));
      points.slice(1).forEach((b, i) => {
        const a = points[i] ?? b;
        const edge = { x: b.x - a.x, y: b.y - a.y };
        const cross = way.x * edge.y - way.y * edge.x;
        if (cross === 0) return;
        const along = (a.x * edge.y - a.y * edge.x) / cross;
        const across = (a.x * way.y - a.y * way.x) / cross;
        if (along >= 0 && along <= 1 && across >= 0 && across < 1) list.push(along);
      });
    }
  }
  return list.sort((a, b) => a - b);
}

/**
 * Whether a straight way leads over land: it crosses a shore farther from every place one may land than a
 * position is good to.
 * @param landings where the shore is meant to be met
 * @param nearM how near to one of them a crossing is nothing to tell, m
 */
export function overLand(
  from: Place,
  to: Place,
  landings: readonly Place[],
  chart: Chart,
  nearM = 100,
): boolean {
  const way = toPlane(from, to);
  return shoreCrossings(from, to, chart).some((share) => {
    const at = fromPlane(from, { x: way.x * share, y: way.y * share });
    return landings.every((landing) => distanceBetween(landing, at) > nearM);
  });
}
