import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { anglerSchema } from '#core/documents/angler';
import { dateText, idText } from '#core/documents/field';
import { outingSchema } from '#core/documents/outing';
import { copyOuting } from '#core/editing/newOuting';
import { documentRoutes, found, idParams, settled, versionedSchema } from '../documents/routes';
import type { Library } from '../documents/library';
import type { Stores } from '../documents/stores';
import { type Station, stationIds } from '#core/vocabulary/stations';
import { problemSchema } from '../http/problem';
import type { Summaries } from './summaries';

const tally = z.object({ counted: z.int(), of: z.int() });
const summarySchema = z.object({
  id: z.string(),
  version: z.int(),
  title: z.string(),
  date: z.string(),
  nights: z.int(),
  launchAt: z.string(),
  homeAt: z.string(),
  party: z.int(),
  water: z.string().nullable(),
  timeZone: z.string().nullable(),
  craft: z.string().nullable(),
  counts: z.object({ stop: z.int(), mind: z.int(), note: z.int() }),
  tallies: z.record(z.enum(stationIds as [Station, ...Station[]]), tally),
  gateOpen: z.boolean(),
  signed: z.object({ at: z.string(), stale: z.boolean() }).nullable(),
  logged: z.object({ fish: z.int(), lostOrBroken: z.int() }).nullable(),
});
const setAsideSchema = z.object({
  kind: z.string(),
  id: z.string(),
  name: z.string(),
  why: z.string(),
  newer: z.boolean(),
});
const pageSchema = z.object({
  ahead: z.array(summarySchema),
  gone: z.array(summarySchema),
  of: z.object({ ahead: z.int(), gone: z.int() }),
  /** What an empty house still lacks, in which units its words are read, and all that is set aside. */
  house: z.object({
    profile: z.object({ units: anglerSchema.shape.units }).nullable(),
    boats: z.int(),
    waters: z.int(),
    things: z.int(),
  }),
  setAside: z.array(setAsideSchema),
});
const MOST_ON_A_PAGE = 500;
const most = z.coerce
  .number()
  .pipe(z.int('A whole number.').min(0, 'Not below 0.').max(MOST_ON_A_PAGE, `At most ${MOST_ON_A_PAGE}.`));

/** Outings as documents, each judged for the list, and copied for another day. */
export function outingRoutes(
  parent: FastifyInstance,
  from: Stores,
  library: Library,
  summaries: Summaries,
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['outing'];
  documentRoutes(parent, 'outings', from.outings);

  app.get(
    '/api/summaries',
    {
      schema: {
        tags,
        querystring: z.strictObject({ today: dateText, ahead: most.default(12), gone: most.default(8) }),
        response: { 200: pageSchema, 400: problemSchema, 503: problemSchema },
      },
    },
    async (request) => {
      const { today, ahead, gone } = request.query;
      const page = await summaries.page(today, { ahead, gone });
      const { references, setAside } = await library.read();
      return {
        ...page,
        house: {
          profile: references.angler && { units: references.angler.units },
          boats: references.craft.length,
          waters: references.waters.length,
          things: references.items.length,
        },
        setAside: [...page.setAside, ...setAside],
      };
    },
  );

  app.get(
    '/api/use-of-things',
    {
      schema: {
        tags,
        description: 'What all outings and their logs say of the things in the locker.',
        querystring: z.strictObject({ without: idText.optional() }),
        response: {
          200: z.object({
            usedIds: z.array(z.string()),
            learnt: z.record(
              z.string(),
              z.object({ carried: z.number(), used: z.number(), lost: z.number(), hours: z.number() }),
            ),
          }),
          400: problemSchema,
          503: problemSchema,
        },
      },
    },
    (request) => summaries.use(request.query.without ?? null),
  );

  app.post(
    '/api/outings/:id/copy',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({ id: idText, date: dateText }),
        response: {
          201: versionedSchema(outingSchema),
          400: problemSchema,
          404: problemSchema,
          409: problemSchema,
        },
      },
    },
    async (request, reply) => {
      const source = found(await from.outings.get(request.params.id), 'outing');
      const { id, date } = request.body;
      const { references } = await library.read();
      return reply
        .code(201)
        .send(settled(await from.outings.create(copyOuting(source.doc, id, date, references)), 'outing'));
    },
  );
}
