import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { idText } from '#core/documents/field';
import { kindNames } from '#core/documents/registry';
import { problemSchema } from '../http/problem';
import type { Database } from '../storage/open';
import { clearSample, countSample, restoreSample } from './sample';

const takenSchema = z.strictObject(
  Object.fromEntries(kindNames.map((kind) => [kind, z.array(idText).max(1000).optional()])),
);

/** The sample data: how much of it is here as it came, cleared away in one step, and brought back. */
export function sampleRoutes(parent: FastifyInstance, db: Database): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['sample'];
  const problems = { 400: problemSchema, 503: problemSchema };
  app.get(
    '/api/sample',
    { schema: { tags, response: { 200: z.object({ documents: z.int() }), ...problems } } },
    async () => ({
      documents: await countSample(db),
    }),
  );
  app.post(
    '/api/sample/clear',
    {
      schema: {
        tags,
        body: z.strictObject({}),
        response: { 200: z.object({ taken: takenSchema }), ...problems },
      },
    },
    async () => ({ taken: await clearSample(db) }),
  );
  app.post(
    '/api/sample/restore',
    {
      schema: {
        tags,
        body: z.strictObject({ taken: takenSchema }),
        response: { 200: z.object({ documents: z.int() }), ...problems },
      },
    },
    async (request) => ({ documents: await restoreSample(db, request.body.taken) }),
  );
}
