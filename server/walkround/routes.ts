import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { assess } from '#core/judgement/assess';
import { sayBar } from '#core/judgement/phrase';
import { lastAnswers, standingAnswers } from '#core/walkround/answers';
import { answerSchema } from '#core/walkround/answerSchema';
import { whatIsJudged } from '#core/signing/signOff';
import { idParams } from '../documents/routes';
import { Refusal, notFound, problemSchema } from '../http/problem';
import { type Stores, readReferences } from '../documents/stores';
import type { WalkStore } from './store';

const signatureSchema = z.object({ id: z.int(), signedAt: z.string(), hash: z.string(), judged: z.unknown() });
const walkSchema = z.object({ answers: z.array(answerSchema), signature: signatureSchema.nullable() });
const FUTURE_SLACK_MS = 5 * 60_000;

/** Answers are recorded, never changed; the server signs only what it has judged itself. */
export function walkRoutes(parent: FastifyInstance, from: Stores, walks: WalkStore, now: () => number): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['walk-round'];
  const problems = { 400: problemSchema, 404: problemSchema, 409: problemSchema, 422: problemSchema };
  const outingOf = async (id: string) => {
    const kept = await from.outings.get(id);
    if (!kept) throw notFound('outing');
    return kept;
  };
  const walkOf = async (id: string) => ({ answers: await walks.answers(id), signature: await walks.lastSignature(id) });

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
          answers: z.array(answerSchema).min(1, 'Send at least one answer.').max(500, 'At most 500 answers at once.'),
        }),
        response: { 200: walkSchema, ...problems },
      },
    },
    async (request) => {
      const { id } = request.params;
      await outingOf(id);
      const late = request.body.answers.findIndex(({ at }) => Date.parse(at) > now() + FUTURE_SLACK_MS);
      if (late >= 0)
        throw new Refusal(400, 'Bad input', 'An answer cannot be given in the future.', [
          { field: `answers.${late}.at`, message: 'This moment has not come yet. Is the clock right?' },
        ]);
      await walks.record(id, request.body.answers);
      return walkOf(id);
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
          409,
          'Changed elsewhere',
          'The outing was changed since you looked at it. Look again, then sign.',
          [{ field: 'version', message: `The current version is ${version}.` }],
          { version, updatedAt, doc },
        );
      const at = now();
      const references = await readReferences(from);
      const record = await walks.answers(id);
      const { gate } = assess(doc, references, standingAnswers(record, at), at);
      if (!gate.open)
        throw new Refusal(
          422,
          'The gate is shut',
          'This outing cannot be signed yet.',
          gate.bars.map((bar) => ({ field: bar.bar, message: sayBar(bar) })),
        );
      await walks.sign(id, whatIsJudged(doc, references, lastAnswers(record)), new Date(at).toISOString());
      return reply.code(201).send(await walkOf(id));
    },
  );
}
