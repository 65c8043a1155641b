import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { idText } from '#core/documents/field';
import { Refusal, notFound, problemSchema } from '../http/problem';
import type { DocumentStore, Hindrance, Kept, WriteResult } from './store';

export const idParams = z.strictObject({ id: idText });
export const versionField = z.int('The version you changed: a whole number.').min(1, 'Versions begin at 1.');

export function keptSchema<Doc>(doc: z.ZodType<Doc>) {
  return z.object({ version: z.int(), updatedAt: z.string(), doc });
}

/** The kept document, or the refusal that tells what stands in the way. */
export function settled<Doc>(result: WriteResult<Doc>, what: string): Kept<Doc> {
  if (result.done === 'kept') return result.kept;
  throw refusal(result, what);
}

/** What stands in the way of a write. */
export function refusal<Doc>(result: Hindrance<Doc>, what: string): Refusal {
  if (result.done === 'missing') return notFound(what);
  return new Refusal(
    409,
    'Changed elsewhere',
    `This ${what} was changed in another window since you opened it. Your change was not kept; the current one comes with this answer.`,
    [{ field: 'version', message: `The current version is ${result.current.version}.` }],
    result.current,
  );
}

/** List, read, create, replace, delete and bring back: the same for every kind of document. */
export function documentRoutes<Doc extends { id: string }>(
  parent: FastifyInstance,
  path: string,
  what: string,
  schema: z.ZodType<Doc>,
  store: DocumentStore<Doc>,
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const kept = keptSchema(schema);
  const tags = [what];
  const problems = { 400: problemSchema, 404: problemSchema, 409: problemSchema };

  app.get(path, { schema: { tags, response: { 200: z.array(kept) } } }, () => store.list());
  app.post(
    path,
    { schema: { tags, body: z.strictObject({ doc: schema }), response: { 201: kept, ...problems } } },
    async (request, reply) => reply.code(201).send(settled(await store.create(request.body.doc), what)),
  );
  app.get(
    `${path}/:id`,
    { schema: { tags, params: idParams, response: { 200: kept, ...problems } } },
    async (request) => {
      const found = await store.get(request.params.id);
      if (!found) throw notFound(what);
      return found;
    },
  );
  app.put(
    `${path}/:id`,
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({ version: versionField, doc: schema }),
        response: { 200: kept, ...problems },
      },
    },
    async (request) => {
      const { id } = request.params;
      const { version, doc } = request.body;
      if (doc.id !== id)
        throw new Refusal(400, 'Bad input', 'The document names another id than the address.', [
          { field: 'doc.id', message: `Must be ${id}.` },
        ]);
      return settled(await store.put(id, version, doc), what);
    },
  );
  app.delete(
    `${path}/:id`,
    {
      schema: {
        tags,
        params: idParams,
        querystring: z.strictObject({ version: z.coerce.number().pipe(versionField) }),
        response: { 200: kept, ...problems },
      },
    },
    async (request) => settled(await store.remove(request.params.id, request.query.version), what),
  );
  app.post(
    `${path}/:id/restore`,
    { schema: { tags, params: idParams, response: { 200: kept, ...problems } } },
    async (request) => settled(await store.restore(request.params.id), what),
  );
}
