import { randomBytes } from 'node:crypto';
import { type SQL, and, asc, desc, eq, inArray, isNull, lt, sql } from 'drizzle-orm';
import { type FloatPlan, floatPlanSchema } from '#core/floatplan/floatPlan';
import type { Message, MessageKind } from '#core/floatplan/message';
import { type CheckIn, checkInSchema } from '#core/floatplan/checkIn';
import { answeredAt } from '#core/walkround/answerSchema';
import type { Database } from '../storage/open';
import { rowKey } from '../people/scope';
import { checkIns, outbox, plansLeft, watchPages } from '../storage/schema';

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
}
/** A message with the number of its row. */
export interface KeptMessage extends Message {
  id: number;
  /** How often it was sent in vain. */
  tries: number;
}

/** Letters of a secret: 192 bits, which nobody guesses. */
const SECRET_BYTES = 24;
/** A message that cannot be sent is tried so often, and then only shown. */
const MOST_TRIES = 20;

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
    return read.success ? { id: row.id, outingId: row.outingId, leftAt: iso(row.leftAt), plan: read.data } : null;
  };
  const pageWhere = async (is: SQL): Promise<WatchPage | null> => {
    const [row] = await db.select().from(watchPages).where(is);
    return row ? { ...row, offAt: row.offAt === null ? null : iso(row.offAt) } : null;
  };
  const heardIn = ({ key, what, at, homeBy, clockAheadMs, recordedAt }: typeof checkIns.$inferSelect): CheckIn[] => {
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
    /** The plan that somebody has; null: nobody was left one. */
    plan: async (outingId: string): Promise<LeftPlan | null> => {
      const [row] = await db
        .select()
        .from(plansLeft)
        .where(eq(plansLeft.outingId, rowKey(outingId)))
        .orderBy(desc(plansLeft.id))
        .limit(1);
      return row ? planIn(row) : null;
    },
    /** Of every outing the plan that somebody has, where its launch is before one moment and its hour to call after another. */
    plans: async ({ launchBefore, callAfter }: { launchBefore: string; callAfter: string }): Promise<LeftPlan[]> => {
      const newest = db
        .selectDistinctOn([plansLeft.outingId])
        .from(plansLeft)
        .orderBy(plansLeft.outingId, desc(plansLeft.id))
        .as('newest');
      const time = (name: string) => sql`(${newest.plan} -> 'times' ->> ${name})::timestamptz`;
      const rows = await db
        .select()
        .from(newest)
        .where(
          and(
            sql`${time('launchAt')} < ${launchBefore}::timestamptz`,
            sql`${time('callAt')} > ${callAfter}::timestamptz`,
          ),
        );
      return rows.flatMap((row) => planIn(row) ?? []);
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
    unsent: async (): Promise<KeptMessage[]> => {
      const rows = await db
        .select()
        .from(outbox)
        .where(and(isNull(outbox.sentAt), lt(outbox.tries, MOST_TRIES)))
        .orderBy(asc(outbox.id))
        .limit(50);
      return rows.map(asMessage).filter(({ toAddress }) => toAddress !== '');
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
