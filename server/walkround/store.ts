import { createHash } from 'node:crypto';
import { asc, desc, eq } from 'drizzle-orm';
import { type Answer, answerSchema } from '#core/walkround/answerSchema';
import { type Judged } from '#core/signing/signOff';
import { canonical } from '#core/documents/canonical';
import type { Database } from '../storage/open';
import { signatures, walkAnswers } from '../storage/schema';

export interface Signature {
  id: number;
  signedAt: string;
  /** SHA-256 over the canonical JSON of what was judged. */
  hash: string;
  judged: Judged;
}

/** The answers of an outing's walk-round and the signatures over them. Both only grow. */
export interface WalkStore {
  /** In the order in which they were recorded. */
  answers: (outingId: string) => Promise<Answer[]>;
  /** An answer whose key is known already is not recorded twice. */
  record: (outingId: string, answers: readonly Answer[]) => Promise<void>;
  lastSignature: (outingId: string) => Promise<Signature | null>;
  sign: (outingId: string, judged: Judged, at: string) => Promise<Signature>;
}

export function walkStore(db: Database): WalkStore {
  const asSignature = (row: typeof signatures.$inferSelect): Signature => ({
    id: row.id,
    signedAt: new Date(row.signedAt).toISOString(),
    hash: row.hash,
    judged: row.judged as Judged,
  });
  return {
    answers: async (outingId) => {
      const rows = await db
        .select()
        .from(walkAnswers)
        .where(eq(walkAnswers.outingId, outingId))
        .orderBy(asc(walkAnswers.id));
      return rows.map(({ key, stepId, verdict, at, note }) =>
        answerSchema.parse({ key, stepId, verdict, note, at: new Date(at).toISOString() }),
      );
    },
    record: async (outingId, answers) => {
      if (answers.length === 0) return;
      await db
        .insert(walkAnswers)
        .values(answers.map((answer) => ({ ...answer, outingId })))
        .onConflictDoNothing({ target: walkAnswers.key });
    },
    lastSignature: async (outingId) => {
      const [row] = await db
        .select()
        .from(signatures)
        .where(eq(signatures.outingId, outingId))
        .orderBy(desc(signatures.id))
        .limit(1);
      return row ? asSignature(row) : null;
    },
    sign: async (outingId, judged, signedAt) => {
      const [row] = await db
        .insert(signatures)
        .values({ outingId, signedAt, hash: hashOf(judged), judged })
        .returning();
      if (!row) throw new Error('The signature was not kept.');
      return asSignature(row);
    },
  };
}

export function hashOf(judged: Judged): string {
  return createHash('sha256').update(canonical(judged)).digest('hex');
}
