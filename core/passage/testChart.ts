import { type Place, fromPlane } from '../environment/geo';
import type { Chart } from '../documents/chart';

/** For tests: a chart of one piece of land, its corners so many metres east and north of a place. */
export function landAt(origin: Place, corners: readonly [east: number, north: number][]): Chart {
  const ring = [...corners, ...corners.slice(0, 1)].map(([x, y]): [number, number] => {
    const { lonDeg, latDeg } = fromPlane(origin, { x, y });
    return [lonDeg, latDeg];
  });
  return {
    type: 'FeatureCollection',
    features: [
      {
        type: 'Feature',
        properties: { shows: 'land', depthM: null, name: '' },
        geometry: { type: 'Polygon', coordinates: [ring] },
      },
    ],
  };
}
