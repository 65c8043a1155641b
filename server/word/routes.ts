import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { instantText, text } from '#core/documents/field';
import { messageKinds } from '#core/floatplan/message';
import { type FloatPlan, floatPlanSchema } from '#core/floatplan/floatPlan';
import { checkInSchema } from '#core/documents/checkIn';
import { type PlanState, statusOf } from '#core/floatplan/status';
import { found, idParams } from '../documents/routes';
import type { Stores } from '../documents/stores';
import { Refusal } from '../errors/refusal';
import { problemSchema } from '../http/problem';
import { runAsServer, isMine, plainId } from '../people/scope';
import type { Database } from '../storage/open';
import { inTransaction } from '../storage/transaction';
import type { PlanPage } from './planPdfWorker';
import { workerCode, workerPool } from '../workers/pool';
import { wordStore } from './store';
import { type Watch, isWatched, pagePath } from './watch';
import { noPage, watchPage } from './watchPage';

const states = ['left', 'afloat', 'late', 'overdue', 'home'] as const satisfies readonly PlanState[];
const wordSchema = z.object({
  /** As it was left last; null: with nobody. */
  left: z
    .object({
      at: z.string(),
      plan: floatPlanSchema,
      /** When its page was opened since, and when the angler said that they have it; null: not since it was left. */
      openedAt: z.string().nullable(),
      toldAt: z.string().nullable(),
    })
    .nullable(),
  /** The path of its page; null: none, or switched off. */
  page: z.string().nullable(),
  checkIns: z.array(checkInSchema),
  state: z.enum(states).nullable(),
  messages: z.array(
    z.object({
      kind: z.enum(messageKinds),
      toName: z.string(),
      toAddress: z.string(),
      subject: z.string(),
      body: z.string(),
      madeAt: z.string(),
      sentAt: z.string().nullable(),
      trouble: z.string(),
    }),
  ),
  /** Whether messages leave this house; else they are only shown. */
  mails: z.boolean(),
  /** Plans left of this outing that cannot be read: they are kept, and count for nothing. */
  unreadable: z.int(),
});
const outSchema = z.object({
  out: z.array(
    z.object({
      outingId: z.string(),
      title: z.string(),
      state: z.enum(states),
      ...floatPlanSchema.pick({ zone: true, rescue: true, who: true, phone: true, vehicle: true }).shape,
      homeAt: z.number(),
      callAt: z.number(),
      heardAt: z.number().nullable(),
      heard: checkInSchema.nullable(),
    }),
  ),
});
/** What comes before a path: scheme, name and port. */
const baseText = text(200).regex(
  /^https?:\/\/[^\s/?#]+$/,
  'The address of this house as your browser has it.',
);
const MOST_CHECK_INS = 50;
/** Characters of a plan that goes on a page of paper: some seven times what an ordinary one has. */
const MOST_ON_PAPER = 20_000;
/** Setting pages: one after another, beside the server's thread. */
const press = workerPool<PlanPage, Uint8Array>(workerCode('planPdfWorker', import.meta.url), {
  ...{ atOnce: 1, waiting: 10, longestMs: 20_000, heapMb: 512 },
});

/** The characters of everything that is read on a plan. */
function wordsIn({ way: _way, land: _land, ...words }: FloatPlan): number {
  return JSON.stringify(words).length;
}

/**
 * Plans left ashore: kept, watched, and heard from. Only what was shown is sent here, and only that is shown
 * again.
 */
export function wordRoutes(
  parent: FastifyInstance,
  parts: { db: Database; from: Stores; now: () => number; watch: Watch; mails: boolean },
): void {
  const { db, from, now, watch, mails } = parts;
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const words = wordStore(db);
  const tags = ['word'];
  const problems = { 400: problemSchema, 404: problemSchema, 409: problemSchema, 503: problemSchema };
  const outingOf = async (id: string) => found(await from.outings.get(id), 'outing');

  const since = (leftAt: string, at: string | null | undefined) => (at && at >= leftAt ? at : null);
  const wordOf = async (id: string) => {
    const [left, page, heard, messages] = [
      await words.plan(id),
      await words.page(id),
      await words.heard(id),
      await words.messages(id),
    ];
    const status = left && statusOf(left.plan, heard, now());
    return {
      left: left && {
        at: left.leftAt,
        plan: left.plan,
        openedAt: since(left.leftAt, page?.openedAt),
        toldAt: since(left.leftAt, page?.toldAt),
      },
      page: page && status && isWatched(page, status, now()) ? pagePath(page) : null,
      checkIns: heard,
      state: status?.state ?? null,
      messages,
      mails,
      unreadable: await words.unreadablePlans(id),
    };
  };

  app.get(
    '/api/outings/:id/word',
    { schema: { tags, params: idParams, response: { 200: wordSchema, ...problems } } },
    async ({ params }) => {
      await outingOf(params.id);
      return wordOf(params.id);
    },
  );
  app.post(
    '/api/outings/:id/word',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({
          /** Made where it was left, so that leaving it twice leaves it once. */
          key: z.uuid('A plan that is left carries a key of its own (a UUID).'),
          plan: floatPlanSchema,
          base: baseText,
        }),
        response: { 201: wordSchema, ...problems },
      },
    },
    async ({ params: { id }, body: { key, plan, base } }, reply) => {
      await outingOf(id);
      await inTransaction(db, async (tx) => {
        const within = wordStore(tx);
        if (await within.leave(id, key, plan, new Date(now()).toISOString())) await within.open(id, base);
      });
      const left = await words.plan(id);
      if (left) await watch.left(left);
      return reply.code(201).send(await wordOf(id));
    },
  );
  app.post(
    '/api/outings/:id/watch-page',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({ on: z.boolean(), base: baseText }),
        response: { 200: wordSchema, ...problems },
      },
    },
    async ({ params: { id }, body: { on, base } }) => {
      await outingOf(id);
      if (on) await words.open(id, base);
      else await words.close(id, new Date(now()).toISOString());
      return wordOf(id);
    },
  );
  app.post(
    '/api/outings/:id/word-received',
    { schema: { tags, params: idParams, response: { 200: wordSchema, ...problems } } },
    async ({ params: { id } }) => {
      await outingOf(id);
      await words.received(id, 'toldAt', new Date(now()).toISOString());
      return wordOf(id);
    },
  );
  app.post(
    '/api/outings/:id/check-ins',
    {
      schema: {
        tags,
        params: idParams,
        body: z.strictObject({
          checkIns: z
            .array(checkInSchema)
            .min(1, 'Send at least one check-in.')
            .max(MOST_CHECK_INS, `At most ${MOST_CHECK_INS} at once.`),
          /** As of the walk-round's answers. */
          sentAt: instantText.optional(),
        }),
        response: { 200: wordSchema, ...problems },
      },
    },
    async ({ params: { id }, body: { checkIns, sentAt } }) => {
      await outingOf(id);
      const at = now();
      const ahead = sentAt === undefined ? null : Math.round(at - Date.parse(sentAt));
      await words.hear(id, checkIns, new Date(at).toISOString(), ahead);
      const left = await words.plan(id);
      if (left) await watch.home(left, statusOf(left.plan, await words.heard(id), at));
      return wordOf(id);
    },
  );
  app.get(
    '/api/out',
    {
      schema: {
        tags,
        description: 'Plans that are out: launched, late or overdue, by the clock of this server.',
        response: { 200: outSchema, 503: problemSchema },
      },
    },
    async () => {
      const out = [];
      for (const { left, status } of await watch.out()) {
        if (!isMine(left.outingId)) continue;
        const { state, homeAt, callAt, heardAt, heard } = status;
        const { title, zone, rescue, who, phone, vehicle } = left.plan;
        const waited = { zone, rescue, who, phone, vehicle };
        out.push({
          outingId: plainId(left.outingId),
          title,
          ...waited,
          state,
          homeAt,
          callAt,
          heardAt,
          heard,
        });
      }
      return { out };
    },
  );
  app.post(
    '/api/plan-pages',
    {
      schema: {
        tags,
        description: 'A plan as one page of PDF.',
        body: z.strictObject({
          plan: floatPlanSchema,
          paper: z.enum(['A4', 'LETTER'], 'A4 or LETTER.'),
          /** The address of its watch page; empty: none. */
          page: text(300),
        }),
        response: { 200: z.unknown(), 400: problemSchema, 413: problemSchema, 503: problemSchema },
      },
    },
    async ({ body: { plan, paper, page } }, reply) => {
      if (wordsIn(plan) > MOST_ON_PAPER)
        throw new Refusal('too large', 'Too much', 'This plan holds more than a page of paper can.', [
          { field: 'plan', message: `At most ${MOST_ON_PAPER} characters.` },
        ]);
      const [bytes] = await press.run({ plan, paper, page, now: now() });
      if (!bytes) throw new Error('No page was made.');
      return reply.type('application/pdf').send(Buffer.from(bytes));
    },
  );
  app.get(
    '/watch/:token',
    {
      schema: {
        tags,
        params: z.strictObject({ token: text(80) }),
        response: { 200: z.unknown(), 404: z.unknown() },
      },
    },
    // Whoever has the address, whoever else they are.
    ({ params: { token } }, reply) =>
      runAsServer(async () => {
        void reply
          .type('text/html; charset=utf-8')
          .header('cache-control', 'no-store')
          .header('x-robots-tag', 'noindex')
          .header('referrer-policy', 'no-referrer');
        const page = await words.pageBySecret(token);
        const left = page && (await words.plan(page.outingId));
        const at = now();
        const status = left && statusOf(left.plan, await words.heard(left.outingId), at);
        if (!page || !left || !status || !isWatched(page, status, at)) return reply.code(404).send(noPage());
        await words.received(left.outingId, 'openedAt', new Date(at).toISOString());
        return reply.send(watchPage(left.plan, status, left.leftAt, at));
      }),
  );
}
