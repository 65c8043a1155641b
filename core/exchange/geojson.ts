import { z } from 'zod';
import type { Waypoint } from '../documents/outing';
import { featuresOf } from './geojsonFeatures';
import { type Imported, MARKUP, reader, refused, told } from './imported';
import { type Ends, MOST_POINTS, type RoutePoints, routeFromLines } from './routePoints';

const position = z.array(z.unknown());
const geometry = z.discriminatedUnion('type', [
  z.object({ type: z.literal('LineString'), coordinates: z.array(position) }),
  z.object({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(position)) }),
  z.object({ type: z.enum(['Point', 'MultiPoint', 'Polygon', 'MultiPolygon', 'GeometryCollection']) }),
]);
const feature = z.object({
  type: z.literal('Feature'),
  properties: z.object({ names: z.array(z.string()).optional() }).nullish(),
  geometry: geometry.nullable(),
});
const file = z.union([
  z.object({ type: z.literal('FeatureCollection'), features: z.array(feature) }),
  feature,
  geometry,
]);

/** A route from the lines of a GeoJSON file (RFC 7946): the first leads out, the second home. */
export const readGeoJson = reader(MARKUP, inGeoJson);
function inGeoJson(text: string, ends: Ends): Imported<RoutePoints> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refused(`This is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
  const parsed = file.safeParse(json);
  if (!parsed.success) return refused('This is JSON, but no GeoJSON with lines in it.');
  const features = featuresOf<z.infer<typeof feature>>(parsed.data);
  const lines = features.flatMap(({ properties, geometry: shape }) => {
    if (shape?.type === 'LineString') return [{ names: properties?.names ?? [], points: shape.coordinates }];
    return shape?.type === 'MultiLineString' ? shape.coordinates.map((points) => ({ names: [], points })) : [];
  });
  const count = lines.reduce((sum, line) => sum + line.points.length, 0);
  if (count === 0) return refused('The file has no line in it.');
  if (count > MOST_POINTS) return refused(`The file has ${count} points; at most ${MOST_POINTS} are read.`);
  const troubles: string[] = [];
  const sound = lines.slice(0, 2).map(({ names, points }, l) =>
    points.flatMap(([lonDeg, latDeg], i): Waypoint[] => {
      const good =
        typeof lonDeg === 'number' && typeof latDeg === 'number' && Math.abs(latDeg) <= 89 && Math.abs(lonDeg) <= 180;
      if (!good) {
        troubles.push(`Line ${l + 1}, point ${i + 1}: no position. Left out.`);
        return [];
      }
      return [{ latDeg, lonDeg, name: (names[i] ?? '').slice(0, 200) }];
    }),
  );
  if (sound.every((line) => line.length === 0)) return refused('No point of the file has a position.');
  return { taken: true, value: routeFromLines(sound, ends), troubles: told(troubles) };
}

/** A feature collection with two lines: out and home, ends included, the points' names beside them. */
export function writeGeoJson(title: string, out: readonly Waypoint[], home: readonly Waypoint[]): string {
  const line = (way: string, points: readonly Waypoint[]) => ({
    type: 'Feature',
    properties: { title, way, names: points.map((point) => point.name) },
    geometry: {
      type: 'LineString',
      coordinates: points.map(({ latDeg, lonDeg }) => [Number(lonDeg.toFixed(6)), Number(latDeg.toFixed(6))]),
    },
  });
  return JSON.stringify({ type: 'FeatureCollection', features: [line('out', out), line('home', home)] }, null, 2);
}
