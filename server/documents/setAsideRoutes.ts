import { and, inArray, isNull } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { idText } from '#core/documents/field';
import { type KindName, kindNames } from '#core/documents/registry';
import { Refusal, notFound } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import { ownKeys } from '../people/scope';
import type { Database } from '../storage/open';
import { documentTables } from '../storage/schema';
import type { SetAside } from '#core/documents/kept';
import { isSetAside, readRow } from './store';

const params = z.strictObject({ kind: z.enum(kindNames as [KindName, ...KindName[]]), id: idText });

/** Rows that cannot be read: written out as they are, and taken away for good when asked for. */
export function setAsideRoutes(parent: FastifyInstance, db: Database): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['set aside'];
  const problems = { 400: problemSchema, 404: problemSchema, 409: problemSchema };
  const rowOf = async ({ kind, id }: z.infer<typeof params>): Promise<{ doc: unknown; aside: SetAside }> => {
    const table = documentTables[kind];
    const [row] = await db
      .select()
      .from(table)
      .where(and(inArray(table.id, ownKeys(id)), isNull(table.deletedAt)));
    const read = row ? readRow(kind, row) : null;
    if (!row || !read || !isSetAside(read)) throw notFound('thing set aside');
    return { doc: row.doc, aside: read };
  };
  app.get(
    '/api/set-aside/:kind/:id',
    { schema: { tags, params, response: { 200: z.unknown(), ...problems } } },
    async (request, reply) => {
      const { doc } = await rowOf(request.params);
      return reply
        .header('content-disposition', `attachment; filename="${request.params.kind}-set-aside.json"`)
        .send(doc);
    },
  );
  app.delete(
    '/api/set-aside/:kind/:id',
    { schema: { tags, params, response: { 200: z.object({ deleted: z.string() }), ...problems } } },
    async (request) => {
      const { aside } = await rowOf(request.params);
      if (aside.newer)
        throw new Refusal(
          'conflict',
          'Set aside',
          'A newer version of this program made it; it is not deleted here.',
        );
      const table = documentTables[aside.kind];
      await db
        .update(table)
        .set({ deletedAt: new Date() })
        .where(and(inArray(table.id, ownKeys(aside.id)), isNull(table.deletedAt)));
      return { deleted: aside.id };
    },
  );
}
