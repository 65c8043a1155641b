import { type Place, fromPlane } from '#core/environment/geo';

const POINTS = 36;

/** A circle round a place, so many metres wide, as points of a chart. */
export function swingCircle(centre: Place, radiusM: number): Place[] {
  return Array.from({ length: POINTS + 1 }, (_, i) => {
    const angle = (i / POINTS) * 2 * Math.PI;
    return fromPlane(centre, { x: radiusM * Math.sin(angle), y: radiusM * Math.cos(angle) });
  });
}
