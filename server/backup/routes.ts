import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { PlainError } from '../errors/plainError';
import { Refusal } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import { keepersOnly } from '../people/authHook';
import type { Backups } from './daily';

const keptSchema = z.object({ name: z.string(), at: z.string(), bytes: z.int() });
const stateSchema = z.object({
  on: z.boolean(),
  last: keptSchema.nullable(),
  count: z.int(),
  trouble: z.string(),
  minded: z.boolean(),
});

export function backupRoutes(parent: FastifyInstance, backups: Backups): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['backup'];
  app.get('/api/backups', { schema: { tags, response: { 200: stateSchema } } }, () => backups.state());
  app.post(
    '/api/backups',
    { schema: { tags, response: { 201: keptSchema, 409: problemSchema } } },
    async (_request, reply) => {
      keepersOnly();
      try {
        return await reply.code(201).send(await backups.make());
      } catch (error) {
        if (error instanceof PlainError) throw new Refusal('conflict', 'No backup', error.message);
        throw error;
      }
    },
  );
}
