import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { assess } from '#core/judgement/assess';
import { idText, dateText } from '#core/documents/field';
import { copyOuting } from '#core/editing/newOuting';
import { outingSchema } from '#core/documents/outing';
import { lastAnswers, standingAnswers } from '#core/walkround/answers';
import { changesSince, whatIsJudged } from '#core/signing/signOff';
import { documentRoutes, idParams, keptSchema, settled } from '../documents/routes';
import { notFound, problemSchema } from '../http/problem';
import { type Stores, readReferences } from '../documents/stores';
import type { WalkStore } from '../walkround/store';

const tally = z.object({ counted: z.int(), of: z.int() });
const summarySchema = z.object({
  kept: keptSchema(outingSchema),
  counts: z.object({ stop: z.int(), mind: z.int(), note: z.int() }),
  tallies: z.object({ brief: tally, kit: tally, workings: tally, walkRound: tally, ashore: tally }),
  gateOpen: z.boolean(),
  signed: z.object({ at: z.string(), stale: z.boolean() }).nullable(),
});

/** Outings as documents, each judged for the list, and copied for another day. */
export function outingRoutes(parent: FastifyInstance, from: Stores, walks: WalkStore, now: () => number): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['outing'];
  documentRoutes(parent, '/api/outings', 'outing', outingSchema, from.outings);

  app.get('/api/outings/summaries', { schema: { tags, response: { 200: z.array(summarySchema) } } }, async () => {
    const [list, references] = await Promise.all([from.outings.list(), readReferences(from)]);
    const at = now();
    return Promise.all(
      list.map(async (kept) => {
        const record = await walks.answers(kept.doc.id);
        const signature = await walks.lastSignature(kept.doc.id);
        const { findings, tallies, gate } = assess(kept.doc, references, standingAnswers(record, at), at);
        const standing = (level: string) =>
          findings.filter((one) => one.level === level && one.accepted === null).length;
        const judged = whatIsJudged(kept.doc, references, lastAnswers(record));
        return {
          kept,
          counts: { stop: standing('stop'), mind: standing('mind'), note: standing('note') },
          tallies,
          gateOpen: gate.open,
          signed: signature && { at: signature.signedAt, stale: changesSince(signature.judged, judged).length > 0 },
        };
      }),
    );
  });

  app.post(
    '/api/outings/:id/copy',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({ id: idText, date: dateText }),
        response: { 201: keptSchema(outingSchema), 400: problemSchema, 404: problemSchema, 409: problemSchema },
      },
    },
    async (request, reply) => {
      const source = await from.outings.get(request.params.id);
      if (!source) throw notFound('outing');
      const { id, date } = request.body;
      return reply.code(201).send(settled(await from.outings.create(copyOuting(source.doc, id, date)), 'outing'));
    },
  );
}
