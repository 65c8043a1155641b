import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { idText } from '#core/documents/field';
import { Refusal, notFound } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import { type Documents, type KindName, documentKinds } from '#core/documents/registry';
import { upgraded } from '#core/documents/open';
import { isRecord } from '#core/documents/upgrade';
import type { Versioned } from '#core/documents/kept';
import { keepersOnly } from '../people/authHook';
import { hasClub } from '../people/scope';
import { type DocumentStore, type WriteConflict, type WriteResult, isSetAside } from './store';

export const idParams = z.strictObject({ id: idText });
const MOST_VERSION = 2 ** 31 - 2;
export const versionField = z
  .int('The version you changed: a whole number.')
  .min(1, 'Versions begin at 1.')
  .max(MOST_VERSION, 'No document has that many versions.');

export function versionedSchema<Doc>(doc: z.ZodType<Doc>) {
  return z.object({ version: z.int(), updatedAt: z.string(), doc });
}

/** The kept document, or the refusal that tells what stands in the way. */
export function settled<Doc>(result: WriteResult<Doc>, what: string): Versioned<Doc> {
  if (result.done === 'kept') return result.kept;
  throw refusal(result, what);
}

/** What stands in the way of a write. */
export function refusal<Doc>(result: WriteConflict<Doc>, what: string): Refusal {
  if (result.done === 'missing') return notFound(what);
  if (result.done === 'set aside')
    return new Refusal('conflict', 'Set aside', `This ${what} is set aside: ${result.why}`);
  return new Refusal(
    'conflict',
    'Changed elsewhere',
    `This ${what} was changed in another window since you opened it. Your change was not kept; the current one comes with this answer.`,
    [{ field: 'version', message: `The current version is ${result.current.version}.` }],
    result.current,
  );
}

/** A document that is there and can be read, or the refusal that says why not. */
export function found<Doc>(
  read: Awaited<ReturnType<DocumentStore<Doc>['get']>>,
  what: string,
): Versioned<Doc> {
  if (!read) throw notFound(what);
  if (isSetAside(read)) throw new Refusal('conflict', 'Set aside', `This ${what} is set aside: ${read.why}`);
  return read;
}

/**
 * Create, read, replace, delete and bring back: the same for every kind of document. Older forms are brought
 * up to today's.
 */
export function documentRoutes<Name extends KindName>(
  parent: FastifyInstance,
  name: Name,
  store: DocumentStore<Documents[Name]>,
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const kind = documentKinds[name];
  const what = kind.word;
  const path = `/api/${kind.path}`;
  const schema = kind.schema as z.ZodType<Documents[Name]>;
  const kept = versionedSchema(schema);
  const tags = [what];
  const problems = { 400: problemSchema, 404: problemSchema, 409: problemSchema, 503: problemSchema };
  // What was read is of its form already: it is not held against it once more on its way out.
  const serializerCompiler = () => (data: unknown) => JSON.stringify(data);
  // A page that was open through an update of the program still sends the form it knows.
  const broughtUp = (request: { body: unknown }, _reply: unknown, done: () => void) => {
    if (isRecord(request.body) && 'doc' in request.body)
      request.body = { ...request.body, doc: upgraded(kind, request.body.doc) };
    done();
  };

  app.post(
    path,
    {
      serializerCompiler,
      preValidation: broughtUp,
      schema: { tags, body: z.strictObject({ doc: schema }), response: { 201: kept, ...problems } },
    },
    async (request, reply) =>
      reply.code(201).send(settled(await store.create(request.body.doc as Documents[Name]), what)),
  );
  app.get(
    `${path}/:id`,
    { serializerCompiler, schema: { tags, params: idParams, response: { 200: kept, ...problems } } },
    async (request) => found(await store.get(request.params.id), what),
  );
  app.put(
    `${path}/:id`,
    {
      serializerCompiler,
      preValidation: broughtUp,
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({ version: versionField, doc: schema }),
        response: { 200: kept, ...problems },
      },
    },
    async (request) => {
      const { id } = request.params;
      const { version } = request.body;
      const doc = request.body.doc as Documents[Name];
      if (doc.id !== id)
        throw new Refusal('bad input', 'Bad input', 'The document names another id than the address.', [
          { field: 'doc.id', message: `Must be ${id}.` },
        ]);
      return settled(await store.put(id, version, doc), what);
    },
  );
  app.delete(
    `${path}/:id`,
    {
      serializerCompiler,
      schema: {
        tags,
        params: idParams,
        querystring: z.strictObject({ version: z.coerce.number().pipe(versionField) }),
        response: { 200: kept, ...problems },
      },
    },
    async (request) => settled(await store.remove(request.params.id, request.query.version), what),
  );
  if (hasClub(name))
    for (const [act, to] of [
      ['give', 'club'],
      ['keep', 'self'],
    ] as const)
      app.post(
        `${path}/:id/${act}`,
        {
          serializerCompiler,
          schema: {
            tags,
            description:
              to === 'club'
                ? 'Makes one’s own the club’s. For keepers.'
                : 'Makes the club’s one’s own alone. For keepers.',
            params: idParams,
            /** The version of what stands there and is to be replaced; null: nothing is. */
            body: z.strictObject({ over: versionField.nullable() }),
            response: { 200: kept, ...problems },
          },
        },
        async (request) => {
          keepersOnly();
          return settled(await store.hand(request.params.id, to, request.body.over), what);
        },
      );
  app.post(
    `${path}/:id/restore`,
    { serializerCompiler, schema: { tags, params: idParams, response: { 200: kept, ...problems } } },
    async (request) => settled(await store.restore(request.params.id), what),
  );
}
