import { type Chart, EMPTY_CHART } from '../documents/chart';
import { type Position, toSixPlaces } from '../units/position';

/** The least corners of a shore that goes all round. */
export const LEAST_CORNERS = 3;
/** A chart with one more shore, drawn as a line; one that goes all round ends where it began. */
export function withShore(chart: Chart, points: readonly Position[], closed: boolean): Chart {
  if (points.length < (closed ? LEAST_CORNERS : 2)) return chart;
  const corners = points.map((point): [number, number] => {
    const { latDeg, lonDeg } = toSixPlaces(point);
    return [lonDeg, latDeg];
  });
  const coordinates = closed ? [...corners, ...corners.slice(0, 1)] : corners;
  const shore: Chart['features'][number] = {
    type: 'Feature',
    properties: { shows: 'land', depthM: null, name: '' },
    geometry: { type: 'LineString', coordinates },
  };
  return { ...EMPTY_CHART, features: [...chart.features, shore] };
}

/** A corner of a shore that was drawn: which feature of the chart, and which of its points. */
export interface Corner {
  feature: number;
  point: number;
}
/** Corners of the lines of a chart; the last of a closed one is its first, and no corner of its own. */
export function cornersOf({ features }: Chart): (Corner & { at: Position })[] {
  return features.flatMap(({ geometry }, feature) => {
    if (geometry.type !== 'LineString') return [];
    const own = isClosedLine(geometry.coordinates) ? geometry.coordinates.slice(0, -1) : geometry.coordinates;
    return own.map(([lonDeg, latDeg], point) => ({ feature, point, at: { latDeg, lonDeg } }));
  });
}
function isClosedLine(line: readonly (readonly [number, number])[]): boolean {
  const [first, last] = [line[0], line.at(-1)];
  return line.length > LEAST_CORNERS && first?.[0] === last?.[0] && first?.[1] === last?.[1];
}
/**
 * A chart with one corner of a drawn line moved, or taken out (null); a line left with too few goes
 * altogether.
 */
export function withCorner(chart: Chart, { feature, point }: Corner, to: Position | null): Chart {
  return {
    ...chart,
    features: chart.features.flatMap((one, i) => {
      if (i !== feature || one.geometry.type !== 'LineString') return [one];
      const { coordinates } = one.geometry;
      const closed = isClosedLine(coordinates);
      const corners: [number, number][] = (closed ? coordinates.slice(0, -1) : coordinates).flatMap(
        (was, at): [number, number][] => {
          if (at !== point) return [was];
          if (to === null) return [];
          const { latDeg, lonDeg } = toSixPlaces(to);
          return [[lonDeg, latDeg]];
        },
      );
      if (corners.length < (closed ? LEAST_CORNERS : 2)) return [];
      const line = closed ? [...corners, ...corners.slice(0, 1)] : corners;
      return [{ ...one, geometry: { ...one.geometry, coordinates: line } }];
    }),
  };
}
