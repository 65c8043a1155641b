import { and, eq, inArray, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import {
  type CarriedDocument,
  type Compared,
  type KeptHere,
  choiceOf,
  compared,
  isTakeable,
} from '#core/documents/bundle';
import { documentKinds, type KindName, kindNames } from '#core/documents/registry';
import { Refusal, notFound } from '../http/problem';
import type { Database } from '../storage/open';
import {
  checkIns,
  documentTables,
  imports,
  outings,
  pictures,
  plansLeft,
  signatures,
  walkAnswers,
} from '../storage/schema';
import { inTransaction } from '../storage/transaction';
import { hashOf } from '../walkround/store';
import { ownKeys, ownOwners, plainId, readableOwners, rowKey } from '../people/scope';
import type { Bundle } from './read';

/** A signature of a bundle, held against its hash again. */
export interface BundledSignature {
  outingId: string;
  signedAt: string;
  /** Whether it is over what stands beside it. */
  good: boolean;
}
export interface Look {
  documents: Compared[];
  signatures: BundledSignature[];
  answers: number;
  plans: number;
  checkIns: number;
  pictures: number;
}

/** What bringing a bundle in would do here. Nothing is changed. */
export async function lookAt(db: Database, bundle: Bundle): Promise<Look> {
  const documents: Compared[] = [];
  for (const [kind, theirs] of bundle.documents) documents.push(...(await heldAgainst(db, kind, theirs)));
  return {
    documents,
    signatures: bundle.signatures.map(({ outingId, signedAt, hash, judged }) => ({
      ...{ outingId, signedAt },
      good: hashOf(judged) === hash,
    })),
    answers: bundle.answers.length,
    plans: bundle.plans.length,
    checkIns: bundle.checkIns.length,
    pictures: bundle.pictures.length,
  };
}

const undoneSchema = z.array(
  z.object({
    kind: z.enum(kindNames as [KindName, ...KindName[]]),
    id: z.string(),
    version: z.int(),
    /** What stood there; null: nothing, or it was deleted. */
    before: z.object({ doc: z.unknown() }).nullable(),
  }),
);
type Undone = z.infer<typeof undoneSchema>;

/** One that is to take the place of what was here at this version; null: of nothing. */
export interface Choice {
  choice: string;
  here: number | null;
}

/**
 * Brings the chosen documents in, with all that was answered, signed, left and said of the outings that are then here: all of it or
 * nothing. Done twice under one key it is done once.
 * @throws Refusal (409) where one of them was changed here since it was looked at
 */
export function bringIn(
  db: Database,
  bundle: Bundle,
  { key, take, at }: { key: string; take: readonly Choice[]; at: string },
): Promise<{ written: number }> {
  return inTransaction(db, async (tx) => {
    const [done] = await tx.select().from(imports).where(eq(imports.key, key));
    if (done) return { written: undoneSchema.parse(done.undo).length };
    const chosen = new Map(take.map((one) => [one.choice, one.here]));
    const undo: Undone = [];
    for (const one of (await lookAt(tx, bundle)).documents) {
      const seen = chosen.get(choiceOf(one));
      if (seen === undefined || !isTakeable(one) || one.doc === null) continue;
      if (seen !== one.here)
        throw new Refusal(409, 'Changed meanwhile', `${one.name} was changed here since you looked. Look again.`);
      undo.push(await written(tx, one, one.doc));
    }
    await recordsIn(tx, bundle);
    await tx.insert(imports).values({ key, at, undo });
    return { written: undo.length };
  });
}

async function written(tx: Database, { kind, id, here }: Compared, doc: { id: string }): Promise<Undone[number]> {
  const table = documentTables[kind];
  const rows = await tx
    .select()
    .from(table)
    .where(inArray(table.id, ownKeys(id)));
  const before = rows.find(({ deletedAt }) => deletedAt === null) ?? rows[0];
  const key = before?.id ?? rowKey(id);
  const [row] = before
    ? await tx
        .update(table)
        .set({ doc, deletedAt: null, version: sql`${table.version} + 1`, updatedAt: sql`now()` })
        .where(eq(table.id, key))
        .returning({ version: table.version })
    : await tx
        .insert(table)
        // Each at its moment: they stand in the order in which they stood there.
        .values({ id: key, version: 1, doc, createdAt: sql`clock_timestamp()` })
        .returning({ version: table.version });
  return { kind, id, version: row?.version ?? 1, before: before && here !== null ? { doc: before.doc } : null };
}

/** What only grows is added: each once, by its key, and only to outings that are here. A signature that is not over its content is left. */
async function recordsIn(tx: Database, bundle: Bundle): Promise<void> {
  const named = [...bundle.answers, ...bundle.signatures, ...bundle.plans, ...bundle.checkIns];
  const ids = [...new Set(named.map(({ outingId }) => rowKey(outingId)))];
  const there = new Set(
    ids.length === 0
      ? []
      : (await tx.select({ id: outings.id }).from(outings).where(inArray(outings.id, ids))).map(({ id }) => id),
  );
  const here = <T extends { outingId: string }>(list: readonly T[]) =>
    list.flatMap((one) => {
      const outingId = rowKey(one.outingId);
      return there.has(outingId) ? [{ ...one, outingId }] : [];
    });
  await inSome(here(bundle.answers), (some) =>
    tx
      .insert(walkAnswers)
      .values(some)
      .onConflictDoNothing({ target: [walkAnswers.outingId, walkAnswers.key] }),
  );
  await inSome(here(bundle.plans), (some) =>
    tx
      .insert(plansLeft)
      .values(some)
      .onConflictDoNothing({ target: [plansLeft.outingId, plansLeft.key] }),
  );
  await inSome(here(bundle.checkIns), (some) =>
    tx
      .insert(checkIns)
      .values(some)
      .onConflictDoNothing({ target: [checkIns.outingId, checkIns.key] }),
  );
  await inSome(bundle.pictures, (some) => tx.insert(pictures).values(some).onConflictDoNothing());
  for (const { outingId, signedAt, hash, judged, key } of here(bundle.signatures)) {
    if (hashOf(judged) !== hash) continue;
    const known = await tx
      .select({ id: signatures.id })
      .from(signatures)
      .where(and(eq(signatures.outingId, outingId), eq(signatures.hash, hash), eq(signatures.signedAt, signedAt)));
    if (known.length === 0)
      await tx
        .insert(signatures)
        .values({ outingId, signedAt, hash, judged, key })
        .onConflictDoNothing({ target: [signatures.outingId, signatures.key] });
  }
}

/** Takes back what was brought in: what was new is gone again, what was replaced is as it was. What was changed since stays, and is told. */
export function takeBack(db: Database, key: string, at: string): Promise<{ back: number; left: string[] }> {
  return inTransaction(db, async (tx) => {
    const [row] = await tx.select().from(imports).where(eq(imports.key, key));
    if (!row) throw notFound('import');
    if (row.undoneAt !== null) return { back: 0, left: [] };
    const left: string[] = [];
    let back = 0;
    for (const { kind, id, version, before } of undoneSchema.parse(row.undo)) {
      const table = documentTables[kind];
      const rows = await tx
        .update(table)
        .set({
          ...(before ? { doc: before.doc } : { deletedAt: sql`now()` }),
          version: sql`${table.version} + 1`,
          updatedAt: sql`now()`,
        })
        .where(and(inArray(table.id, ownKeys(id)), eq(table.version, version), isNull(table.deletedAt)))
        .returning({ id: table.id });
      if (rows.length > 0) back += 1;
      else left.push(`${documentKinds[kind].word} ${id}`);
    }
    await tx.update(imports).set({ undoneAt: at }).where(eq(imports.key, key));
    return { back, left };
  });
}

async function heldAgainst(db: Database, kind: KindName, theirs: readonly CarriedDocument[]): Promise<Compared[]> {
  const own = ownOwners();
  const others = readableOwners(kind).filter((owner) => !own.includes(owner));
  const read = others.length > 0 ? await rowsHere(db, kind, others) : undefined;
  return compared(kind, theirs, await rowsHere(db, kind, own), read);
}
async function rowsHere(db: Database, kind: KindName, owners: readonly string[]): Promise<Map<string, KeptHere>> {
  const table = documentTables[kind];
  const rows = await db.select().from(table).where(inArray(table.owner, owners));
  // Of a name that was handed on, the one that stands.
  rows.sort((a, b) => Number(b.deletedAt !== null) - Number(a.deletedAt !== null));
  return new Map(
    rows.map(({ id, version, updatedAt, deletedAt, doc }) => [
      plainId(id),
      { version, updatedAt: new Date(updatedAt).toISOString(), deleted: deletedAt !== null, doc },
    ]),
  );
}
async function inSome<T>(list: readonly T[], write: (some: T[]) => Promise<unknown>): Promise<void> {
  for (let at = 0; at < list.length; at += 500) await write(list.slice(at, at + 500));
}
