import { z } from 'zod';
import type { Waypoint } from '../documents/outing';
import { featuresOf } from './geojsonFeatures';
import { type AnswersGiven, type Asking, MARKUP, reader, refused } from './imported';
import { type FileLine, type RouteFile, routeOfLines } from './routeLines';
import type { Ends } from './routePoints';

const position = z.array(z.unknown());
const geometry = z.discriminatedUnion('type', [
  z.object({ type: z.literal('LineString'), coordinates: z.array(position) }),
  z.object({ type: z.literal('MultiLineString'), coordinates: z.array(z.array(position)) }),
  z.object({ type: z.enum(['Point', 'MultiPoint', 'Polygon', 'MultiPolygon', 'GeometryCollection']) }),
]);
const feature = z.object({
  type: z.literal('Feature'),
  properties: z
    .object({
      names: z.array(z.string()).optional(),
      name: z.unknown().optional(),
      title: z.unknown().optional(),
      way: z.unknown().optional(),
    })
    .nullish(),
  geometry: geometry.nullable(),
});
const file = z.union([
  z.object({ type: z.literal('FeatureCollection'), features: z.array(feature) }),
  feature,
  geometry,
]);

/**
 * A route from the lines of a GeoJSON file (RFC 7946): the first leads out, the second home; the parts of one
 * feature are one line.
 */
export const readGeoJson: (text: string, ends: Ends, answers?: AnswersGiven) => Asking<RouteFile> = reader(
  MARKUP,
  inGeoJson,
);
function inGeoJson(text: string, ends: Ends, answers: AnswersGiven = {}): Asking<RouteFile> {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return refused(`This is no JSON: ${error instanceof Error ? error.message : 'it cannot be read'}.`);
  }
  const crs = crsOf(json);
  if (crs !== null)
    return refused(
      `Its positions are in "${crs}". Only longitude and latitude in degrees (WGS 84, CRS84) are read: export it so.`,
    );
  const parsed = file.safeParse(json);
  if (!parsed.success) return refused('This is JSON, but no GeoJSON with lines in it.');
  const features = featuresOf<z.infer<typeof feature>>(parsed.data);
  const lines = features.flatMap(({ properties, geometry: shape }, i): FileLine[] => {
    const parts =
      shape?.type === 'LineString'
        ? [shape.coordinates]
        : shape?.type === 'MultiLineString'
          ? shape.coordinates
          : [];
    const names = parts.length === 1 ? (properties?.names ?? []) : [];
    const named = [properties?.name, properties?.way, properties?.title].find(
      (one) => typeof one === 'string' && one !== '',
    );
    const points = parts.flat().map(([lon, lat], at) => ({ lat, lon, name: names[at] ?? '' }));
    return points.length > 0 ? [{ name: typeof named === 'string' ? named : `Line ${i + 1}`, points }] : [];
  });
  return lines.length === 0 ? refused('The file has no line in it.') : routeOfLines(lines, ends, answers);
}
/**
 * The reference system that a file of the older form names, where it is another than that of longitude and
 * latitude; null: it is that.
 */
function crsOf(json: unknown): string | null {
  const crs = z.object({ crs: z.object({ properties: z.object({ name: z.string() }) }) }).safeParse(json);
  if (!crs.success) return null;
  const { name } = crs.data.crs.properties;
  return /CRS84|(?:^|[:/])4326$/i.test(name) ? null : name.slice(0, 80);
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
  return JSON.stringify(
    { type: 'FeatureCollection', features: [line('out', out), line('home', home)] },
    null,
    2,
  );
}
