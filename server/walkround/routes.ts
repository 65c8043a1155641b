import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { instantText } from '#core/documents/field';
import { assess } from '#core/judgement/assess';
import { sayBar } from '#core/judgement/gate';
import { judgeFrozen, readFrozen } from '#core/signing/frozen';
import { signedSnapshot } from '#core/signing/snapshot';
import { EVENING_STANDS_DAYS, lastAnswers, standingAnswers, withEarlier } from '#core/walkround/answers';
import { answerSchema, answeredAt } from '#core/documents/answer';
import type { Library } from '../documents/library';
import { found, idParams } from '../documents/routes';
import type { Stores } from '../documents/stores';
import { Refusal } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import type { Database } from '../storage/open';
import { inTransaction } from '../storage/transaction';
import { type WalkStore, walkStore } from './store';
import { DAY_MS } from '#core/units/time';

const signatureSchema = z.object({
  id: z.int(),
  signedAt: z.string(),
  hash: z.string(),
  judged: z.unknown(),
  atWater: z.boolean(),
});
const walkSchema = z.object({
  answers: z.array(answerSchema),
  signature: signatureSchema.nullable(),
  clockAheadMs: z.number().nullable(),
  leftOut: z.int(),
  /** What was looked over for other outings of the last days: it need not be again. */
  earlier: z.array(z.object({ itemId: z.string(), at: z.string() })),
});
const MOST_ANSWERS = 500;

/** Answers are recorded, never changed; the server signs only what it has judged itself. */
export function walkRoutes(
  parent: FastifyInstance,
  db: Database,
  from: Stores,
  library: Library,
  now: () => number,
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const walks = walkStore(db);
  const tags = ['walk-round'];
  const problems = {
    400: problemSchema,
    404: problemSchema,
    409: problemSchema,
    422: problemSchema,
    503: problemSchema,
  };
  const outingOf = async (id: string) => found(await from.outings.get(id), 'outing');
  const earlierFor = (id: string, of: WalkStore) => of.earlier(id, now() - EVENING_STANDS_DAYS * DAY_MS);
  const walkOf = async (id: string, of: WalkStore = walks) => ({
    ...(await of.read(id)),
    signature: await of.lastSignature(id),
    earlier: await earlierFor(id, of),
  });

  app.get(
    '/api/outings/:id/walk-round',
    { schema: { tags, params: idParams, response: { 200: walkSchema, ...problems } } },
    async (request) => {
      await outingOf(request.params.id);
      return walkOf(request.params.id);
    },
  );

  app.post(
    '/api/outings/:id/answers',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({
          answers: z
            .array(answerSchema)
            .min(1, 'Send at least one answer.')
            .max(MOST_ANSWERS, `At most ${MOST_ANSWERS} answers at once.`),
          /** By the device's clock: the two clocks are compared, and neither is thought to be right. */
          sentAt: instantText.optional(),
        }),
        response: { 200: walkSchema, ...problems },
      },
    },
    async (request) => {
      const { id } = request.params;
      const { answers, sentAt } = request.body;
      await outingOf(id);
      const recordedAt = now();
      const clockAheadMs = sentAt === undefined ? null : Math.round(recordedAt - Date.parse(sentAt));
      // What cannot be read back is not kept either.
      return inTransaction(db, async (tx) => {
        const within = walkStore(tx);
        await within.record(id, answers, new Date(recordedAt).toISOString(), clockAheadMs);
        return walkOf(id, within);
      });
    },
  );

  app.post(
    '/api/outings/:id/signatures',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({ version: z.int('The version on your screen: a whole number.') }),
        response: { 201: walkSchema, ...problems },
      },
    },
    async (request, reply) => {
      const { id } = request.params;
      const { version, doc, updatedAt } = await outingOf(id);
      if (version !== request.body.version)
        throw new Refusal(
          'conflict',
          'Changed elsewhere',
          'The outing was changed since you looked at it. Look again, then sign.',
          [{ field: 'version', message: `The current version is ${version}.` }],
          { version, updatedAt, doc },
        );
      const at = now();
      const { references } = await library.read();
      const record = await walks.answers(id);
      const answers = withEarlier(standingAnswers(record, at), await earlierFor(id, walks), at);
      const { gate } = assess(doc, references, answers, at, { withRepairs: false });
      if (!gate.open)
        throw new Refusal(
          'not ready',
          'The gate is shut',
          'This outing cannot be signed yet.',
          gate.bars.map((bar) => ({ field: bar.bar, message: sayBar(bar) })),
        );
      await walks.sign(id, signedSnapshot(doc, references, lastAnswers(record)), new Date(at).toISOString());
      return reply.code(201).send(await walkOf(id));
    },
  );

  app.post(
    '/api/outings/:id/signatures-at-the-water',
    {
      schema: {
        tags,
        description: 'A signature that was made on a device without a network, over what was judged there.',
        params: idParams,
        body: z.strictObject({
          key: z.uuid('A signature carries a key of its own (a UUID).'),
          signedAt: instantText,
          sentAt: instantText,
          judged: z.unknown(),
        }),
        response: { 201: walkSchema, ...problems },
      },
    },
    async (request, reply) => {
      const { id } = request.params;
      const { key, signedAt, sentAt, judged } = request.body;
      await outingOf(id);
      const frozen = readFrozen(judged);
      if ('why' in frozen || frozen.snapshot.outing.id !== id)
        throw new Refusal('bad input', 'Bad input', 'What was signed cannot be read.', [
          { field: 'judged', message: 'why' in frozen ? frozen.why : 'It is of another outing.' },
        ]);
      const at = now();
      const moment = answeredAt(signedAt, Math.round(at - Date.parse(sentAt)), new Date(at).toISOString());
      // The same frozen content is judged again: the two cannot disagree but by a fault, and that is said.
      const { gate } = judgeFrozen(frozen.snapshot, Date.parse(moment), await earlierFor(id, walks));
      if (!gate.open)
        throw new Refusal(
          'not ready',
          'The gate is shut',
          'What was signed at the water does not open the gate here.',
          gate.bars.map((bar) => ({ field: bar.bar, message: sayBar(bar) })),
        );
      await walks.sign(id, frozen.snapshot, moment, key);
      return reply.code(201).send(await walkOf(id));
    },
  );
}
