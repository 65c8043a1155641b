import { z } from 'zod';
import { lineText, quantity } from './field';

const position = z.tuple([quantity(-180, 180, '°'), quantity(-89, 89, '°')]);
const line = z.array(position).min(2).max(4000);
const ring = z.array(position).min(4).max(4000);

/** What a chart shows: land, depth lines, kinds of bottom. GeoJSON (RFC 7946), longitude before latitude. */
export const chartSchema = z.strictObject({
  type: z.literal('FeatureCollection'),
  features: z
    .array(
      z.strictObject({
        type: z.literal('Feature'),
        properties: z.strictObject({
          shows: z.enum(['land', 'shallow', 'weed', 'reef', 'depth line']),
          depthM: quantity(0, 1000, 'm').nullable(),
          name: lineText,
        }),
        geometry: z.discriminatedUnion('type', [
          z.strictObject({ type: z.literal('Polygon'), coordinates: z.array(ring).min(1).max(20) }),
          z.strictObject({ type: z.literal('LineString'), coordinates: line }),
        ]),
      }),
    )
    .max(400),
});
export type Chart = z.infer<typeof chartSchema>;

export const EMPTY_CHART: Chart = { type: 'FeatureCollection', features: [] };
