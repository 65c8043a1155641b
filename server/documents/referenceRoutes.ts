import { forms } from '#core/documents/forms';
import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { idText } from '#core/documents/field';
import { itemSchema } from '#core/documents/item';
import { upgraded } from '#core/documents/open';
import { documentKinds, referenceNames } from '#core/documents/registry';
import { rulePackSchema } from '#core/documents/rulePack';
import { isRecord } from '#core/documents/upgrade';
import { Refusal } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import type { Library } from './library';
import { documentRoutes, refusal, versionField, versionedSchema } from './routes';
import type { DocumentVersion } from './store';
import type { Stores } from './stores';

/** Five thousand items with all their fields. */
const BATCH_LIMIT = 12 * 1024 * 1024;
const MOST_IN_BATCH = 5000;
const BATCH_LISTS = ['create', 'change', 'remove', 'restore'] as const;

const many = <One extends z.ZodType>(one: One) =>
  z.array(one).max(MOST_IN_BATCH, `At most ${MOST_IN_BATCH}.`).default([]);
const documentVersion = z.strictObject({ id: idText, version: versionField });
const batchSchema = z
  .strictObject({
    create: many(itemSchema),
    change: many(z.strictObject({ version: versionField, doc: itemSchema })),
    remove: many(documentVersion),
    restore: many(idText),
  })
  .refine((work) => Object.values(work).some((list) => list.length > 0), 'Send at least one.');

/** Too long a list is refused by its length, before anything in it is looked at. */
function refuseLongLists(request: { body: unknown }, _reply: unknown, done: (error?: Error) => void): void {
  const { body } = request;
  if (!isRecord(body)) return done();
  for (const list of BATCH_LISTS) {
    const given = body[list];
    if (Array.isArray(given) && given.length > MOST_IN_BATCH)
      return done(
        new Refusal('bad input', 'Bad input', 'Some of what was sent cannot be taken.', [
          { field: list, message: `At most ${MOST_IN_BATCH}.` },
        ]),
      );
  }
  const up = (doc: unknown) => upgraded(documentKinds.items, doc);
  // In place: a copy of hundreds of thousands of unknown fields would take longer than refusing them.
  const lists = body as Record<string, unknown>;
  if (Array.isArray(body.create)) lists.create = body.create.map(up);
  if (Array.isArray(body.change))
    lists.change = body.change.map((one: unknown) => (isRecord(one) ? { ...one, doc: up(one.doc) } : one));
  done();
}

const changes = <Doc extends z.ZodType>(doc: Doc) =>
  z.object({ changed: z.array(versionedSchema(doc)), gone: z.array(z.string()) });
/** What the answer to a reader of references looks like; the text itself is written by the library. */
const changesSchema = z.object({
  at: z.int(),
  series: z.string(),
  whole: z.boolean(),
  ...Object.fromEntries(referenceNames.map((name) => [name, changes(documentKinds[name].schema)])),
  setAside: z.array(
    z.object({ kind: z.string(), id: z.string(), name: z.string(), why: z.string(), newer: z.boolean() }),
  ),
});

/**
 * What outings point at: each kind as documents, and what changed of them in one answer for those who judge.
 */
export function referenceRoutes(parent: FastifyInstance, from: Stores, library: Library): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  for (const name of referenceNames) documentRoutes(parent, name, from[name] as never);
  app.post(
    '/api/batches/items',
    {
      bodyLimit: BATCH_LIMIT,
      preValidation: refuseLongLists,
      schema: {
        tags: ['item'],
        body: batchSchema,
        response: {
          200: z.object({ versions: z.array(documentVersion) }),
          400: problemSchema,
          404: problemSchema,
          409: problemSchema,
        },
      },
    },
    async (request): Promise<{ versions: DocumentVersion[] }> => {
      const result = await from.items.batch(request.body);
      if (result.done !== 'all') throw refusal(result, 'item');
      return { versions: result.versions };
    },
  );
  app.get(
    '/api/schemas/rule-pack',
    { schema: { tags: ['rule pack'], response: { 200: z.record(z.string(), z.unknown()) } } },
    () => ({
      $id: `urn:unhurried-tally:${forms.rulePacks}`,
      ...z.toJSONSchema(rulePackSchema, { io: 'input', unrepresentable: 'any' }),
    }),
  );
  app.get(
    '/api/references',
    {
      schema: {
        tags: ['references'],
        description:
          'Everything that changed after a number, with the number to ask for next time; 0: everything.',
        querystring: z.strictObject({
          since: z.coerce.number().pipe(z.int('A whole number.').min(0, 'Not before 0.')).default(0),
          /** The series that the number is of, as it was told with it. */
          series: z.string().max(40).optional(),
        }),
        response: { 200: changesSchema, 400: problemSchema, 503: problemSchema },
      },
    },
    async (request, reply) => {
      const text = await library.changesSince(request.query.since, request.query.series ?? null);
      // Written already: it is not taken apart and written again.
      return reply.type('application/json; charset=utf-8').send(text as never);
    },
  );
}
