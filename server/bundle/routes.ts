import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { type BundlePart, bundleJsonSchema, bundlePartNames } from '#core/documents/bundle';
import { type KindName, kindNames } from '#core/documents/registry';
import type { Library } from '../documents/library';
import { problemSchema } from '../http/problem';
import { currentScope } from '../people/scope';
import { peopleStore } from '../people/store';
import type { Database } from '../storage/open';
import { compareBundle, importBundle, undoImport } from './importBundle';
import { type Bundle, type BundlePiece, bundleFrom } from './read';
import { workerCode, workerPool } from '../workers/pool';
import { writeBundle } from './write';

/** Of a file, as base 64 in JSON: about 48 MB of zip. */
const MOST_BODY = 64 * 1024 * 1024;
const MOST_TAKEN = 100_000;

const partSchema = z.enum(bundlePartNames as [BundlePart, ...BundlePart[]]);
const partsText = z
  .string()
  .max(200)
  .transform((text) => text.split(','))
  .pipe(z.array(partSchema).min(1, 'Say which parts.'));
const fileText = z.string('The file, in base 64.').max(MOST_BODY, 'The file is too large.');
const choiceSchema = z.strictObject({ choice: z.string().max(300), here: z.int().nullable() });
const lookSchema = z.object({
  madeAt: z.string(),
  parts: z.array(partSchema),
  documents: z.array(
    z.object({
      kind: z.enum(kindNames as [KindName, ...KindName[]]),
      id: z.string(),
      name: z.string(),
      is: z.enum(['new', 'same', 'changed', 'clash', 'unreadable', 'newer']),
      why: z.string(),
      here: z.int().nullable(),
    }),
  ),
  signatures: z.array(z.object({ outingId: z.string(), signedAt: z.string(), good: z.boolean() })),
  answers: z.int(),
  plans: z.int(),
  checkIns: z.int(),
  pictures: z.int(),
  /** Records and pictures that cannot be read and are left out. */
  unreadable: z.int(),
});

/** Opening bundles: some at once, beside the server's thread. */
const readers = workerPool<{ bytes: Uint8Array }, BundlePiece>(
  workerCode('readBundleWorker', import.meta.url),
  {
    ...{ atOnce: 2, waiting: 6, longestMs: 60_000, heapMb: 768 },
  },
);

/**
 * Everything with you: written out, looked at elsewhere before anything changes, brought in, and taken back.
 */
export function bundleRoutes(
  parent: FastifyInstance,
  { db, library, now }: { db: Database; library: Library; now: () => number },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['bundle'];
  const problems = {
    ...{ 400: problemSchema, 404: problemSchema, 409: problemSchema, 413: problemSchema, 503: problemSchema },
  };
  const noted = async (what: 'exported' | 'brought in', address: string, detail: string) => {
    const { personId } = currentScope();
    if (personId !== null) await peopleStore(db, now).note(what, personId, address, detail);
  };
  const opened = async (file: string): Promise<Bundle> =>
    bundleFrom(await readers.run({ bytes: new Uint8Array(Buffer.from(file, 'base64')) }));
  app.get(
    '/api/bundle',
    {
      schema: {
        tags,
        querystring: z.strictObject({ parts: partsText }),
        response: { 200: z.unknown(), ...problems },
      },
    },
    async (request, reply) => {
      const { references } = await library.read();
      const bytes = await writeBundle(db, references, [...new Set(request.query.parts)], now());
      await noted('exported', request.ip, request.query.parts.join(', '));
      const day = new Date(now()).toISOString().slice(0, 10);
      return reply
        .header('content-disposition', `attachment; filename="unhurried-tally-${day}.zip"`)
        .header('cache-control', 'no-store')
        .type('application/zip')
        .send(Buffer.from(bytes));
    },
  );
  app.get('/api/bundle/schema', { schema: { tags, response: { 200: z.unknown() } } }, () =>
    bundleJsonSchema(),
  );
  app.post(
    '/api/bundle/look',
    {
      bodyLimit: MOST_BODY,
      schema: { tags, body: z.strictObject({ file: fileText }), response: { 200: lookSchema, ...problems } },
    },
    async (request) => {
      const bundle = await opened(request.body.file);
      const { documents, ...rest } = await compareBundle(db, bundle);
      const { madeAt, parts } = bundle.list;
      return { madeAt, parts, documents: documents.map(({ doc: _, ...shown }) => shown), ...rest };
    },
  );
  app.post(
    '/api/bundle/bring-in',
    {
      bodyLimit: MOST_BODY,
      schema: {
        tags,
        body: z.strictObject({ file: fileText, key: z.uuid(), take: z.array(choiceSchema).max(MOST_TAKEN) }),
        response: { 200: z.object({ written: z.int() }), ...problems },
      },
    },
    async (request) => {
      const { file, key, take } = request.body;
      const done = await importBundle(db, await opened(file), {
        key,
        take,
        at: new Date(now()).toISOString(),
      });
      await noted('brought in', request.ip, `${done.written}`);
      return done;
    },
  );
  app.post(
    '/api/bundle/take-back',
    {
      schema: {
        tags,
        body: z.strictObject({ key: z.uuid() }),
        response: { 200: z.object({ back: z.int(), left: z.array(z.string()) }), ...problems },
      },
    },
    (request) => undoImport(db, request.body.key, new Date(now()).toISOString()),
  );
}
