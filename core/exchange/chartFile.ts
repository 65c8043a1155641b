import { z } from 'zod';
import { type Chart, chartSchema } from '../documents/chart';
import { featuresOf } from './geojsonFeatures';
import { type Imported, MARKUP, reader, refused, told } from './imported';

const MOST_CHART_BYTES = 1_500_000;
const FEATURES = 400;
const POINTS = 4000;

type Feature = Chart['features'][number];
type Position = [number, number];
const place = z.array(z.unknown());
const lines = z.array(place);
const geometry = z.union([
  z.object({ type: z.enum(['LineString']), coordinates: lines }),
  z.object({ type: z.enum(['Polygon', 'MultiLineString']), coordinates: z.array(lines) }),
  z.object({ type: z.literal('MultiPolygon'), coordinates: z.array(z.array(lines)) }),
  z.object({ type: z.enum(['Point', 'MultiPoint', 'GeometryCollection']) }),
]);
const feature = z.object({
  type: z.literal('Feature'),
  properties: z.record(z.string(), z.unknown()).nullish(),
  geometry: geometry.nullable(),
});
const file = z.union([
  z.object({ type: z.literal('FeatureCollection'), features: z.array(feature) }),
  feature,
  geometry,
]);
const shown = chartSchema.shape.features.element.shape.properties.shape;

/**
 * A chart from any GeoJSON (RFC 7946). What says in "shows" what it is, is that; what says nothing is taken
 * for land, as a shore exported elsewhere says nothing. Areas of several parts become several; heights, and
 * what is no line or area, are left out, and told.
 */
export const readChart = reader(MARKUP, inChart);
function inChart(text: string): Imported<Chart> {
  if (text.length > MOST_CHART_BYTES)
    return refused('The file is larger than 1.5 MB. Export a smaller piece of shore.');
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refused('This is no JSON.');
  }
  const parsed = file.safeParse(json);
  if (!parsed.success) return refused('This is JSON, but no GeoJSON with a shore in it: lines or areas.');
  const given = featuresOf<z.infer<typeof feature>>(parsed.data);
  const troubles: string[] = [];
  const features = given.flatMap(({ properties, geometry: shape }, i): Feature[] => {
    const what = properties?.shows;
    const kind = shown.shows.safeParse(what ?? 'land');
    if (!kind.success) {
      troubles.push(`Feature ${i + 1}: "${String(what)}" is nothing a chart shows here. Left out.`);
      return [];
    }
    const pieces = piecesOf(shape);
    if (pieces === null) {
      troubles.push(`Feature ${i + 1}: neither a line nor an area. Left out.`);
      return [];
    }
    const about = {
      shows: kind.data,
      depthM: shown.depthM.catch(null).parse(properties?.depthM ?? null),
      name: shown.name.catch('').parse(properties?.name ?? ''),
    };
    return pieces.map((piece) => ({ type: 'Feature', properties: about, geometry: piece }));
  });
  if (features.length === 0) return refused(troubles[0] ?? 'The file has no line or area in it.');
  if (features.length > FEATURES)
    return refused(
      `The file has ${features.length} features; at most ${FEATURES} are read. Export a smaller piece.`,
    );
  const longest = Math.max(
    ...features.map(({ geometry: one }) =>
      one.type === 'Polygon'
        ? Math.max(...one.coordinates.map(({ length }) => length))
        : one.coordinates.length,
    ),
  );
  if (longest > POINTS)
    return refused(`A line of the file has ${longest} points; at most ${POINTS} are read. Thin it out.`);
  const sound = chartSchema.safeParse({ type: 'FeatureCollection', features });
  if (!sound.success)
    return refused(
      'A line or an area of the file has too few sound positions: longitude, latitude in degrees.',
    );
  return { taken: true, value: sound.data, troubles: told(troubles) };
}

function piecesOf(shape: z.infer<typeof geometry> | null): Feature['geometry'][] | null {
  switch (shape?.type) {
    case 'LineString':
      return [{ type: 'LineString', coordinates: flat(shape.coordinates) }];
    case 'MultiLineString':
      return shape.coordinates.map((one) => ({ type: 'LineString', coordinates: flat(one) }));
    case 'Polygon':
      return [{ type: 'Polygon', coordinates: shape.coordinates.map(flat) }];
    case 'MultiPolygon':
      return shape.coordinates.map((one) => ({ type: 'Polygon', coordinates: one.map(flat) }));
    default:
      return null;
  }
}
/** Without heights; whether they are positions is asked of the whole. */
const flat = (points: unknown[][]) => points.map(([lon, lat]) => [lon, lat] as Position);
