import { randomBytes } from 'node:crypto';
import { type SQL, and, asc, desc, eq, gt, inArray, isNotNull, isNull, lt, ne, or, sql } from 'drizzle-orm';
import { type FloatPlan, floatPlanSchema } from '#core/floatplan/floatPlan';
import { type Message, type MessageKind, messageKinds } from '#core/floatplan/message';
import { type CheckIn, checkInSchema } from '#core/documents/checkIn';
import { DAY_MS, HOUR_MS, type Instant } from '#core/units/time';
import { answeredAt } from '#core/documents/answer';
import type { Database } from '../storage/open';
import { rowKey } from '../people/scope';
import { checkIns, outbox, outings, plansLeft, watchPages } from '../storage/schema';

export interface LeftPlan {
  id: number;
  outingId: string;
  leftAt: string;
  plan: FloatPlan;
}
export interface WatchPage {
  outingId: string;
  token: string;
  base: string;
  offAt: string | null;
  /** When it was opened last, and when the angler said that they have the plan; null: never. */
  openedAt: string | null;
  toldAt: string | null;
}
/** A message with the number of its row. */
export interface KeptMessage extends Message {
  id: number;
  /** How often it was sent in vain. */
  tries: number;
}

/** Letters of a secret: 192 bits, which nobody guesses. */
const SECRET_BYTES = 24;
/**
 * How old a message may be and still be sent; after that it is only shown. An alarm of last year would send
 * people out for nothing.
 */
const SENT_WITHIN_MS: Record<MessageKind, number> = {
  left: DAY_MS,
  late: 6 * HOUR_MS,
  overdue: 3 * DAY_MS,
  home: DAY_MS,
};
/**
 * After the first failed attempt a message is tried again so many seconds after it was made; then three times
 * as many, seven, fifteen.
 */
const FIRST_WAIT_S = 15;
/** When a check-in was said, by the server's clock, in SQL: `answeredAt` of the walk-round says the same. */
const saidAt = (row: 'home' | 'undo') =>
  sql.raw(
    `least(${row}.at + coalesce(${row}.clock_ahead_ms, 0) * interval '1 millisecond', ${row}.recorded_at)`,
  );

/** Plans left ashore, what was heard since, and what was written to whoever has them. */
export function wordStore(db: Database) {
  const iso = (at: string) => new Date(at).toISOString();
  const asMessage = (row: typeof outbox.$inferSelect): KeptMessage => ({
    ...row,
    kind: row.kind as MessageKind,
    madeAt: iso(row.madeAt),
    sentAt: row.sentAt === null ? null : iso(row.sentAt),
  });
  const planIn = (row: typeof plansLeft.$inferSelect): LeftPlan | null => {
    const read = floatPlanSchema.safeParse(row.plan);
    return read.success
      ? { id: row.id, outingId: row.outingId, leftAt: iso(row.leftAt), plan: read.data }
      : null;
  };
  const newestReadable = async (outingKey: string): Promise<LeftPlan | null> => {
    for (let at = 0; ; at += 1) {
      const [row] = await db
        .select()
        .from(plansLeft)
        .where(eq(plansLeft.outingId, outingKey))
        .orderBy(desc(plansLeft.leftAt), desc(plansLeft.id))
        .limit(1)
        .offset(at);
      const read = row ? planIn(row) : null;
      if (!row || read) return read;
    }
  };
  const pageWhere = async (is: SQL): Promise<WatchPage | null> => {
    const [row] = await db.select().from(watchPages).where(is);
    const when = (at: string | null) => (at === null ? null : iso(at));
    return row
      ? { ...row, offAt: when(row.offAt), openedAt: when(row.openedAt), toldAt: when(row.toldAt) }
      : null;
  };
  const heardIn = ({
    key,
    what,
    at,
    homeBy,
    clockAheadMs,
    recordedAt,
  }: typeof checkIns.$inferSelect): CheckIn[] => {
    const read = checkInSchema.safeParse({
      key,
      what,
      at: answeredAt(at, clockAheadMs, recordedAt),
      homeBy: homeBy === null ? null : iso(homeBy),
    });
    return read.success ? [read.data] : [];
  };
  /** What was heard of several outings, by the keys of their rows. */
  const heardOf = async (keys: readonly string[]): Promise<Map<string, CheckIn[]>> => {
    const rows = await db
      .select()
      .from(checkIns)
      .where(inArray(checkIns.outingId, [...keys]))
      .orderBy(asc(checkIns.id));
    const all = new Map<string, CheckIn[]>();
    for (const row of rows) all.set(row.outingId, [...(all.get(row.outingId) ?? []), ...heardIn(row)]);
    return all;
  };
  return {
    /**
     * The plan that somebody has: of those that can be read, the one left last. null: nobody was left one.
     */
    plan: async (outingId: string): Promise<LeftPlan | null> => newestReadable(rowKey(outingId)),
    /** How many of the plans left of an outing cannot be read. They are kept, and count for nothing. */
    unreadablePlans: async (outingId: string): Promise<number> => {
      const rows = await db
        .select()
        .from(plansLeft)
        .where(eq(plansLeft.outingId, rowKey(outingId)));
      return rows.filter((row) => planIn(row) === null).length;
    },
    /**
     * Plans in force of outings that are waited for: launched before one moment, to be called after another,
     * not logged or deleted, and not said to be home since the plan was left.
     */
    waitedFor: async ({
      launchBefore,
      callAfter,
    }: {
      launchBefore: string;
      callAfter: string;
    }): Promise<LeftPlan[]> => {
      const inForce = db
        .selectDistinctOn([plansLeft.outingId])
        .from(plansLeft)
        .where(isNotNull(plansLeft.callAt))
        .orderBy(plansLeft.outingId, desc(plansLeft.leftAt), desc(plansLeft.id))
        .as('in_force');
      const rows = await db
        .select()
        .from(inForce)
        .where(
          and(
            lt(inForce.launchAt, launchBefore),
            gt(inForce.callAt, callAfter),
            sql`exists (select 1 from ${outings} where ${outings.id} = ${inForce.outingId} and ${outings.deletedAt} is null
              and coalesce(jsonb_typeof(${outings.doc} -> 'log'), 'null') = 'null')`,
            // A "taken back" may undo the "home": then the plan is read, and its status decides.
            sql`not exists (select 1 from ${checkIns} home where home.outing_id = ${inForce.outingId} and home.what = 'home'
              and ${saidAt('home')} >= ${inForce.leftAt} and not exists (select 1 from ${checkIns} undo
                where undo.outing_id = home.outing_id and undo.what = 'taken back' and ${saidAt('undo')} >= ${saidAt('home')}))`,
          ),
        );
      const plans: LeftPlan[] = [];
      for (const row of rows) {
        const plan = planIn(row) ?? (await newestReadable(row.outingId));
        if (plan) plans.push(plan);
      }
      return plans;
    },
    /** A plan whose key is known already is not left twice. @returns whether it is new */
    leave: async (outingId: string, key: string, plan: FloatPlan, leftAt: string): Promise<boolean> => {
      const rows = await db
        .insert(plansLeft)
        .values({ key, outingId: rowKey(outingId), plan, leftAt })
        .onConflictDoNothing({ target: [plansLeft.outingId, plansLeft.key] })
        .returning({ id: plansLeft.id });
      return rows.length > 0;
    },
    page: (outingId: string) => pageWhere(eq(watchPages.outingId, rowKey(outingId))),
    pageBySecret: (token: string) => pageWhere(eq(watchPages.token, token)),
    /** Opens the page of an outing; one that was switched off comes back at another address. */
    open: async (outingId: string, base: string): Promise<void> => {
      const token = randomBytes(SECRET_BYTES).toString('base64url');
      await db
        .insert(watchPages)
        .values({ outingId: rowKey(outingId), token, base, offAt: null })
        .onConflictDoUpdate({
          target: watchPages.outingId,
          set: {
            base,
            token: sql`case when ${watchPages.offAt} is null then ${watchPages.token} else ${token} end`,
            offAt: null,
          },
        });
    },
    close: async (outingId: string, at: string): Promise<void> => {
      await db
        .update(watchPages)
        .set({ offAt: at })
        .where(and(eq(watchPages.outingId, rowKey(outingId)), isNull(watchPages.offAt)));
    },
    /** Writes down that whoever waits has the plan: they opened its page, or the angler says so. */
    received: async (outingId: string, how: 'openedAt' | 'toldAt', at: string): Promise<void> => {
      await db
        .update(watchPages)
        .set({ [how]: at })
        .where(eq(watchPages.outingId, rowKey(outingId)));
    },
    /** What was heard, in the order in which it came. Moments are reckoned by the server's clock. */
    heard: async (outingId: string): Promise<CheckIn[]> => {
      const key = rowKey(outingId);
      return (await heardOf([key])).get(key) ?? [];
    },
    heardOf,
    hear: async (
      outingId: string,
      list: readonly CheckIn[],
      recordedAt: string,
      clockAheadMs: number | null,
    ): Promise<void> => {
      if (list.length === 0) return;
      await db
        .insert(checkIns)
        .values(list.map((one) => ({ ...one, outingId: rowKey(outingId), recordedAt, clockAheadMs })))
        .onConflictDoNothing({ target: [checkIns.outingId, checkIns.key] });
    },
    /** Writes a message once: by its mark it is known again. */
    write: async (message: Omit<typeof outbox.$inferInsert, 'id'>): Promise<void> => {
      await db.insert(outbox).values(message).onConflictDoNothing({ target: outbox.mark });
    },
    messages: async (outingId: string): Promise<KeptMessage[]> => {
      const rows = await db
        .select()
        .from(outbox)
        .where(eq(outbox.outingId, rowKey(outingId)))
        .orderBy(asc(outbox.id));
      return rows.map(asMessage);
    },
    /**
     * Messages to send now, those tried least first. Each is tried again after a wait that doubles, until it
     * is too old to help.
     */
    due: async (now: Instant, most: number): Promise<KeptMessage[]> => {
      const at = new Date(now).toISOString();
      const fresh = messageKinds.map(
        (kind) =>
          sql`(${outbox.kind} = ${kind} and ${outbox.madeAt} > ${new Date(now - SENT_WITHIN_MS[kind]).toISOString()}::timestamptz)`,
      );
      const rows = await db
        .select()
        .from(outbox)
        .where(
          and(
            isNull(outbox.sentAt),
            ne(outbox.toAddress, ''),
            or(...fresh),
            sql`${outbox.madeAt} + ${FIRST_WAIT_S} * interval '1 second' * (power(2, least(${outbox.tries}, 30)) - 1) <= ${at}::timestamptz`,
          ),
        )
        .orderBy(asc(outbox.tries), asc(outbox.id))
        .limit(most);
      return rows.map(asMessage);
    },
    /** Takes a message for sending; false: another process has it. */
    take: async ({ id, tries }: KeptMessage): Promise<boolean> => {
      const rows = await db
        .update(outbox)
        .set({ tries: tries + 1 })
        .where(and(eq(outbox.id, id), eq(outbox.tries, tries), isNull(outbox.sentAt)))
        .returning({ id: outbox.id });
      return rows.length > 0;
    },
    sent: async (id: number, at: string): Promise<void> => {
      await db.update(outbox).set({ sentAt: at, trouble: '' }).where(eq(outbox.id, id));
    },
    failed: async (id: number, trouble: string): Promise<void> => {
      await db
        .update(outbox)
        .set({ trouble: trouble.slice(0, 300) })
        .where(eq(outbox.id, id));
    },
  };
}
