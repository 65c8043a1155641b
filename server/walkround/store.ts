import { and, asc, desc, eq, gte, inArray, max, sql } from 'drizzle-orm';
import { unionAll } from 'drizzle-orm/pg-core';
import { readFrozen } from '#core/signing/frozen';
import type { SignedSnapshot } from '#core/signing/snapshot';
import { type Answer, answerSchema, answeredAt } from '#core/documents/answer';
import type { Database } from '../storage/open';
import { signatures, walkAnswers } from '../storage/schema';
import { hashOf } from './snapshotHash';
import { rowKey, currentScope } from '../people/scope';
import { type Earlier } from '#core/walkround/answers';
import { type Instant } from '#core/units/time';

export interface Signature {
  id: number;
  signedAt: string;
  /** SHA-256 over the canonical JSON of what was judged. */
  hash: string;
  /** What was signed, in the form of its time. */
  judged: unknown;
  /** The same in today's form. */
  snapshot: SignedSnapshot;
  /** Made without a network, by the clock of its device. */
  atWater: boolean;
}
export interface WalkRecord {
  /** In the order in which they were recorded, each at its moment by the server's clock. */
  answers: Answer[];
  /** How far the server's clock was ahead of the device that sent last, ms; null: it did not say. */
  clockAheadMs: number | null;
  /** Recorded once and not readable as answers: they count for nothing, and are not lost. */
  leftOut: number;
}

/** The newest answer and the newest signature of an outing, by their numbers; 0: none. */
export interface NewestRecords {
  answers: number;
  signatures: number;
}

/** The answers of an outing's walk-round and the signatures over them. Both only grow. */
export interface WalkStore {
  read: (outingId: string) => Promise<WalkRecord>;
  answers: (outingId: string) => Promise<Answer[]>;
  /** An answer whose key is known already is not recorded twice. */
  record: (
    outingId: string,
    answers: readonly Answer[],
    recordedAt: string,
    clockAheadMs: number | null,
  ) => Promise<void>;
  /** Things found sound the evening before other outings since a moment, and not found wanting after. */
  earlier: (outingId: string, since: Instant) => Promise<Earlier[]>;
  /** The same for many outings, read once. */
  earlierOf: (since: Instant) => Promise<(outingId: string) => Earlier[]>;
  /** The signature in force: of those that can be read, the one signed last. */
  lastSignature: (outingId: string) => Promise<Signature | null>;
  /** How far the walk-rounds of these outings have grown: the same, and nothing was added. */
  growth: (outingIds: readonly string[]) => Promise<ReadonlyMap<string, NewestRecords>>;
  /** @param key of one made on a device: it is kept once */
  sign: (outingId: string, snapshot: SignedSnapshot, at: string, key?: string) => Promise<void>;
}

export function walkStore(db: Database): WalkStore {
  const asSignature = (row: typeof signatures.$inferSelect): Signature | null => {
    const read = readFrozen(row.judged);
    if ('why' in read) return null;
    return {
      id: row.id,
      signedAt: new Date(row.signedAt).toISOString(),
      hash: row.hash,
      judged: row.judged,
      snapshot: read.snapshot,
      atWater: row.key !== null,
    };
  };
  const read = async (outingId: string): Promise<WalkRecord> => {
    const rows = await db
      .select()
      .from(walkAnswers)
      .where(eq(walkAnswers.outingId, rowKey(outingId)))
      .orderBy(asc(walkAnswers.id));
    const answers: Answer[] = [];
    for (const { key, stepId, verdict, at, note, clockAheadMs, recordedAt } of rows) {
      const parsed = answerSchema.safeParse({
        key,
        stepId,
        verdict,
        note,
        at: answeredAt(at, clockAheadMs, recordedAt),
      });
      if (parsed.success) answers.push(parsed.data);
    }
    return {
      answers,
      clockAheadMs: rows.at(-1)?.clockAheadMs ?? null,
      leftOut: rows.length - answers.length,
    };
  };
  const earlierOf: WalkStore['earlierOf'] = async (since) => {
    const rows = await db
      .select()
      .from(walkAnswers)
      .where(and(ofOwner(currentScope().owner), gte(walkAnswers.recordedAt, new Date(since).toISOString())))
      .orderBy(asc(walkAnswers.id));
    const given = rows
      .map((row) => ({ ...row, at: answeredAt(row.at, row.clockAheadMs, row.recordedAt) }))
      .sort((a, b) => Date.parse(a.at) - Date.parse(b.at));
    return (outingId) => {
      const own = rowKey(outingId);
      const sound = new Map<string, Earlier>();
      for (const { outingId: of, stepId, verdict, at } of given) {
        const [kind, itemId = ''] = stepId.split(':');
        if (of === own || (kind !== 'evening' && kind !== 'item')) continue;
        if (verdict !== 'good') sound.delete(itemId);
        else if (kind === 'evening') sound.set(itemId, { itemId, at });
      }
      return [...sound.values()];
    };
  };
  return {
    read,
    answers: async (outingId) => (await read(outingId)).answers,
    record: async (outingId, answers, recordedAt, clockAheadMs) => {
      if (answers.length === 0) return;
      await db
        .insert(walkAnswers)
        .values(
          answers.map((answer) => ({ ...answer, outingId: rowKey(outingId), recordedAt, clockAheadMs })),
        )
        .onConflictDoNothing({ target: [walkAnswers.outingId, walkAnswers.key] });
    },
    earlier: async (outingId, since) => (await earlierOf(since))(outingId),
    earlierOf,
    lastSignature: async (outingId) => {
      for (let at = 0; ; at += 1) {
        const [row] = await db
          .select()
          .from(signatures)
          .where(eq(signatures.outingId, rowKey(outingId)))
          .orderBy(desc(signatures.signedAt), desc(signatures.id))
          .limit(1)
          .offset(at);
        const read = row ? asSignature(row) : null;
        if (!row || read) return read;
      }
    },
    growth: async (outingIds) => {
      if (outingIds.length === 0) return new Map();
      const newest = (table: typeof walkAnswers | typeof signatures, of: string) =>
        db
          .select({
            of: sql<string>`${of}::text`.as('of'),
            outingId: table.outingId,
            newest: max(table.id).as('newest'),
          })
          .from(table)
          .where(inArray(table.outingId, outingIds.map(rowKey)))
          .groupBy(table.outingId);
      const rows = await unionAll(newest(walkAnswers, 'answers'), newest(signatures, 'signatures'));
      const at = new Map(rows.map((row) => [`${row.of} ${row.outingId}`, row.newest]));
      return new Map(
        outingIds.map((id) => [
          id,
          {
            answers: at.get(`answers ${rowKey(id)}`) ?? 0,
            signatures: at.get(`signatures ${rowKey(id)}`) ?? 0,
          },
        ]),
      );
    },
    sign: async (outingId, snapshot, signedAt, key) => {
      await db
        .insert(signatures)
        .values({
          outingId: rowKey(outingId),
          signedAt,
          hash: hashOf(snapshot),
          judged: snapshot,
          key: key ?? null,
        })
        .onConflictDoNothing({ target: [signatures.outingId, signatures.key] });
    },
  };
}

/** Answers of one owner's outings. */
const ofOwner = (owner: string) =>
  owner === ''
    ? sql`position('~' in ${walkAnswers.outingId}) = 0`
    : sql`starts_with(${walkAnswers.outingId}, ${`${owner}~`})`;
