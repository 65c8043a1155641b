import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { simulateStation } from '#core/environment/station';
import { dateText, instantText, quantity } from '#core/documents/field';
import { hourSchema } from '#core/documents/outing';
import { instantOf } from '#core/units/time';
import { found, idParams } from '../documents/routes';
import { problemSchema } from '../http/problem';
import type { Stores } from '../documents/stores';

const DAYS = 4;
const forecastSchema = z.object({
  station: z.string(),
  simulated: z.literal(true),
  takenAt: z.string(),
  waterC: quantity(-2, 40, '°C'),
  hours: z.array(hourSchema),
});

/**
 * The stand-in for a weather station: simulated, and says so. The same water and day give the same weather.
 */
export function stationRoutes(parent: FastifyInstance, from: Stores, now: () => number): void {
  parent.withTypeProvider<ZodTypeProvider>().get(
    '/api/station/:id',
    {
      schema: {
        tags: ['station'],
        params: idParams,
        querystring: z.strictObject({ date: dateText }),
        response: { 200: forecastSchema, 400: problemSchema, 404: problemSchema },
      },
    },
    async (request) => {
      const kept = found(await from.waters.get(request.params.id), 'water');
      const midnight = instantOf(request.query.date, '00:00', kept.doc.timeZone) ?? now();
      const { hours, waterC } = simulateStation(kept.doc, midnight, DAYS * 24);
      // At the two ends of what can be written there are fewer.
      const writable = hours.filter(({ at }) => instantText.safeParse(at).success);
      return {
        station: `${kept.doc.name}, simulated station`,
        simulated: true as const,
        takenAt: new Date(now()).toISOString(),
        waterC,
        hours: writable,
      };
    },
  );
}
