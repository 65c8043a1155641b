import type { Chart } from '../documents/chart';
import type { Water } from '../documents/water';
import { fromPlane, toPlane } from '../environment/geo';
import { type Position, toSixPlaces } from '../units/position';
import { offsetHours } from '../units/time';

/** Position assumed for a water that has none: of a known water of its time zone, else by the zone's offset. */
export function nominalPosition(
  zone: string,
  known: readonly Pick<Water, 'timeZone' | 'positioned' | 'latDeg' | 'lonDeg'>[],
): Position {
  const near = known.find((one) => one.positioned && one.timeZone === zone);
  if (near) return { latDeg: near.latDeg, lonDeg: near.lonDeg };
  const [january, july] = [0, 6].map((month) => offsetHours(Date.UTC(2024, month, 15), zone));
  // A zone that is ahead in January has its summer then: it lies in the south.
  const southern = (january ?? 0) > (july ?? 0);
  return {
    latDeg: southern ? -USUAL_LATITUDE : USUAL_LATITUDE,
    lonDeg: Math.min(january ?? 0, july ?? 0) * DEG_PER_HOUR,
  };
}
const USUAL_LATITUDE = 45;
/** The earth turns so far in an hour, °. */
const DEG_PER_HOUR = 15;

/**
 * Moves positions and charts by what lies between two positions, without turning them. Distances change by
 * the convergence of the meridians only: 0.1 % within 50 km.
 */
export function translation(from: Position, to: Position) {
  const position = (at: Position): Position => toSixPlaces(fromPlane(to, toPlane(from, at)));
  const line = (points: readonly (readonly [number, number])[]) =>
    points.map(([lonDeg, latDeg]): [number, number] => {
      const next = position({ latDeg, lonDeg });
      return [next.lonDeg, next.latDeg];
    });
  const chart = ({ features, ...rest }: Chart): Chart => ({
    ...rest,
    features: features.map((feature) => ({
      ...feature,
      geometry:
        feature.geometry.type === 'Polygon'
          ? { ...feature.geometry, coordinates: feature.geometry.coordinates.map(line) }
          : { ...feature.geometry, coordinates: line(feature.geometry.coordinates) },
    })),
  });
  return { position, chart };
}

/** The same water, moved so that its first launch lies at a position now known. */
export function withPosition(water: Water, at: Position): Water {
  const moved = translation(water.launches[0] ?? water, at);
  const placed = <One extends Position>(one: One): One => ({ ...one, ...moved.position(one) });
  return {
    ...placed(water),
    positioned: true,
    launches: water.launches.map(placed),
    areas: water.areas.map(placed),
    hazards: water.hazards.map(placed),
    chart: moved.chart(water.chart),
  };
}
