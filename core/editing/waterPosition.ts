import type { Chart } from '../documents/chart';
import type { Water } from '../documents/water';
import { fromPlane, toPlane } from '../environment/geo';
import { type Position, toSixPlaces } from '../units/position';
import { offsetHours } from '../units/time';

/** Where a water without a position is drawn: by its clock, and by waters that are known. */
export function nominalPosition(
  zone: string,
  known: readonly Pick<Water, 'timeZone' | 'positioned' | 'latDeg' | 'lonDeg'>[],
): Position {
  const near = known.find((one) => one.positioned && one.timeZone === zone);
  if (near) return { latDeg: near.latDeg, lonDeg: near.lonDeg };
  const [january, july] = [0, 6].map((month) => offsetHours(Date.UTC(2024, month, 15), zone));
  // The earth turns 15° an hour; a clock that is ahead in January has its summer then.
  const southern = (january ?? 0) > (july ?? 0);
  return {
    latDeg: southern ? -USUAL_LATITUDE : USUAL_LATITUDE,
    lonDeg: Math.min(january ?? 0, july ?? 0) * DEG_PER_HOUR,
  };
}
const USUAL_LATITUDE = 45;
const DEG_PER_HOUR = 15;

/**
 * What lies about one position, moved to lie so about another, without turning it. Distances change by the
 * convergence of the meridians only: 0.1 % within 50 km.
 */
export function movedAbout(from: Position, to: Position) {
  const place = (at: Position): Position => toSixPlaces(fromPlane(to, toPlane(from, at)));
  const line = (points: readonly (readonly [number, number])[]) =>
    points.map(([lonDeg, latDeg]): [number, number] => {
      const next = place({ latDeg, lonDeg });
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
  return { place, chart };
}

/** The same water, moved so that its first launch lies at a position now known. */
export function withPosition(water: Water, at: Position): Water {
  const moved = movedAbout(water.launches[0] ?? water, at);
  const placed = <One extends Position>(one: One): One => ({ ...one, ...moved.place(one) });
  return {
    ...placed(water),
    positioned: true,
    launches: water.launches.map(placed),
    areas: water.areas.map(placed),
    hazards: water.hazards.map(placed),
    chart: moved.chart(water.chart),
  };
}
