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
import { idText } from '#core/documents/field';
import { isRecord } from '#core/documents/upgrade';
import { Refusal, notFound } from '../errors/refusal';
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
import { keyFor, ownKeys, ownOwners, plainId, readableOwners, rowKey, currentScope } from '../people/scope';
import type { Bundle, BundledSignature } from './read';

export interface BundleContents {
  documents: Compared[];
  signatures: Pick<BundledSignature, 'outingId' | 'signedAt' | 'good'>[];
  answers: number;
  plans: number;
  checkIns: number;
  pictures: number;
  unreadable: number;
}

/** Documents compared or written at a time, so that others are answered in between. */
const AT_A_TIME = 200;

/** What importing a bundle would do here. Nothing is changed. */
export async function compareBundle(db: Database, bundle: Bundle): Promise<BundleContents> {
  const documents: Compared[] = [];
  for (const [kind, theirs] of bundle.documents)
    for (const some of inPieces(theirs)) documents.push(...(await heldAgainst(db, kind, some)));
  return {
    documents,
    signatures: bundle.signatures.map(({ outingId, signedAt, good }) => ({ outingId, signedAt, good })),
    answers: bundle.answers.length,
    plans: bundle.plans.length,
    checkIns: bundle.checkIns.length,
    pictures: bundle.pictures.length,
    unreadable: bundle.unreadable,
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
 * Imports the chosen documents, with all that was answered, signed, left and said of the outings that are
 * then here: all of it or nothing. Done twice under one key it is done once.
 * @throws Refusal (409) where one of them was changed here since it was looked at, or the key is somebody
 * else's
 */
export async function importBundle(
  db: Database,
  bundle: Bundle,
  { key, take, at }: { key: string; take: readonly Choice[]; at: string },
): Promise<{ written: number }> {
  const before = await importDone(db, key);
  if (before !== null) return { written: before };
  const taken = await takenOf(db, bundle, take);
  return inTransaction(db, async (tx) => {
    const done = await importDone(tx, key);
    if (done !== null) return { written: done };
    const undo: Undone = [];
    for (const [kind, documents] of taken)
      for (const some of inPieces(documents)) undo.push(...(await written(tx, kind, some)));
    await importRecords(tx, bundle, at);
    await tx.insert(imports).values({ key, owner: currentScope().owner, at, undo });
    return { written: undo.length };
  });
}

/** How many documents an import of one's own under this key wrote; null: there was none. */
async function importDone(db: Database, key: string): Promise<number | null> {
  const [done] = await db.select().from(imports).where(eq(imports.key, key));
  if (done && done.owner !== currentScope().owner)
    throw new Refusal('conflict', 'Not yours', 'This key belongs to another import. Look at the file again.');
  return done ? undoneSchema.parse(done.undo).length : null;
}

const changedMeanwhile = (name: string) =>
  new Refusal('conflict', 'Changed meanwhile', `${name} was changed here since you looked. Look again.`);

/**
 * The chosen documents by their kinds. They are compared before the transaction, which everyone else may have
 * to wait for.
 */
async function takenOf(
  db: Database,
  bundle: Bundle,
  take: readonly Choice[],
): Promise<Map<KindName, Taken[]>> {
  const chosen = new Map(take.map((one) => [one.choice, one.here]));
  const taken = new Map<KindName, Taken[]>();
  for (const one of (await compareBundle(db, bundle)).documents) {
    const seen = chosen.get(choiceOf(one));
    // One that the bundle holds twice is taken once.
    chosen.delete(choiceOf(one));
    if (seen === undefined || !isTakeable(one) || one.doc === null) continue;
    if (seen !== one.here) throw changedMeanwhile(one.name);
    const of = taken.get(one.kind) ?? [];
    taken.set(one.kind, of);
    of.push({ id: one.id, name: one.name, here: one.here, doc: one.doc });
  }
  return taken;
}

/** A document that takes the place of what was here at this version; null: of nothing. */
interface Taken {
  id: string;
  name: string;
  here: number | null;
  doc: { id: string };
}

async function written(tx: Database, kind: KindName, some: readonly Taken[]): Promise<Undone> {
  const table = documentTables[kind];
  const rows = await tx
    .select()
    .from(table)
    .where(
      inArray(
        table.id,
        some.flatMap(({ id }) => ownKeys(id)),
      ),
    );
  // Of a name that was handed on there are two rows: the one that stands is replaced.
  rows.sort((a, b) => Number(a.deletedAt === null) - Number(b.deletedAt === null));
  const before = new Map(rows.map((row) => [plainId(row.id), row]));
  for (const { id, name, here } of some) {
    const row = before.get(id);
    if ((row && row.deletedAt === null ? row.version : null) !== here) throw changedMeanwhile(name);
  }
  const values = new Map(
    some.map(({ id, doc }) => [
      before.get(id)?.id ?? rowKey(id),
      // Each at its moment: they stand in the order in which they stood there.
      { version: 1, doc, createdAt: sql`clock_timestamp()` },
    ]),
  );
  const kept = await tx
    .insert(table)
    .values([...values].map(([id, value]) => ({ id, ...value })))
    .onConflictDoUpdate({
      target: table.id,
      set: {
        doc: sql`excluded.doc`,
        deletedAt: null,
        version: sql`${table.version} + 1`,
        updatedAt: sql`now()`,
      },
    })
    .returning({ id: table.id, version: table.version });
  const versions = new Map(kept.map(({ id, version }) => [plainId(id), version]));
  return some.map(({ id, here }) => {
    const was = here === null ? undefined : before.get(id);
    return { kind, id, version: versions.get(id) ?? 1, before: was ? { doc: was.doc } : null };
  });
}

/**
 * Adds what only grows: each once, by its key, and only to outings that are here. A signature whose hash is
 * not that of its content is left.
 * @param at now: nothing was recorded later, whatever the bundle says, or it would stand over all that is
 * said from now on
 */
async function importRecords(tx: Database, bundle: Bundle, at: string): Promise<void> {
  const notLater = (moment: string) => (Date.parse(moment) > Date.parse(at) ? at : moment);
  const named = [...bundle.answers, ...bundle.signatures, ...bundle.plans, ...bundle.checkIns];
  const ids = [...new Set(named.map(({ outingId }) => rowKey(outingId)))];
  const there = new Set(
    ids.length === 0
      ? []
      : (await tx.select({ id: outings.id }).from(outings).where(inArray(outings.id, ids))).map(
          ({ id }) => id,
        ),
  );
  const here = <T extends { outingId: string }>(list: readonly T[]) =>
    list.flatMap((one) => {
      const outingId = rowKey(one.outingId);
      return there.has(outingId) ? [{ ...one, outingId }] : [];
    });
  const recorded = <T extends { outingId: string; recordedAt: string }>(list: readonly T[]) =>
    here(list).map((one) => ({ ...one, recordedAt: notLater(one.recordedAt) }));
  await inSome(recorded(bundle.answers), (some) =>
    tx
      .insert(walkAnswers)
      .values(some)
      .onConflictDoNothing({ target: [walkAnswers.outingId, walkAnswers.key] }),
  );
  await inSome(here(bundle.plans), (some) =>
    tx
      .insert(plansLeft)
      .values(some.map((one) => ({ ...one, leftAt: notLater(one.leftAt) })))
      .onConflictDoNothing({ target: [plansLeft.outingId, plansLeft.key] }),
  );
  await inSome(recorded(bundle.checkIns), (some) =>
    tx
      .insert(checkIns)
      .values(some)
      .onConflictDoNothing({ target: [checkIns.outingId, checkIns.key] }),
  );
  await inSome(bundle.pictures, (some) => tx.insert(pictures).values(some).onConflictDoNothing());
  for (const { outingId, signedAt: said, hash, judged, key, good } of here(bundle.signatures)) {
    if (!good) continue;
    const signedAt = notLater(said);
    const known = await tx
      .select({ id: signatures.id })
      .from(signatures)
      .where(
        and(eq(signatures.outingId, outingId), eq(signatures.hash, hash), eq(signatures.signedAt, signedAt)),
      );
    if (known.length === 0)
      await tx
        .insert(signatures)
        .values({ outingId, signedAt, hash, judged, key })
        .onConflictDoNothing({ target: [signatures.outingId, signatures.key] });
  }
}

/**
 * Undoes an import of one's own: what was new is gone again, what was replaced is as it was. What was changed
 * since stays, and is told.
 */
export function undoImport(db: Database, key: string, at: string): Promise<{ back: number; left: string[] }> {
  return inTransaction(db, async (tx) => {
    const [row] = await tx
      .select()
      .from(imports)
      .where(and(eq(imports.key, key), eq(imports.owner, currentScope().owner)));
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

async function heldAgainst(
  db: Database,
  kind: KindName,
  theirs: readonly CarriedDocument[],
): Promise<Compared[]> {
  await new Promise((done) => setImmediate(done));
  const own = ownOwners();
  const others = readableOwners(kind).filter((owner) => !own.includes(owner));
  // A house has one profile, against which theirs is held whatever it is called.
  const ids =
    kind === 'anglers'
      ? null
      : theirs.flatMap(({ doc }) => idText.safeParse(isRecord(doc) ? doc.id : null).data ?? []);
  const read = others.length > 0 ? await rowsHere(db, kind, others, ids) : undefined;
  return compared(kind, theirs, await rowsHere(db, kind, own, ids), read);
}
/** @param ids names of documents; null: all */
async function rowsHere(
  db: Database,
  kind: KindName,
  owners: readonly string[],
  ids: readonly string[] | null,
): Promise<Map<string, KeptHere>> {
  const table = documentTables[kind];
  const keys = ids?.flatMap((id) => owners.map((owner) => keyFor(owner, id)));
  const rows = await db
    .select()
    .from(table)
    .where(keys ? inArray(table.id, keys) : inArray(table.owner, owners));
  // Of a name that was handed on, the one that stands.
  rows.sort((a, b) => Number(b.deletedAt !== null) - Number(a.deletedAt !== null));
  return new Map(
    rows.map(({ id, version, updatedAt, deletedAt, doc }) => [
      plainId(id),
      { version, updatedAt: new Date(updatedAt).toISOString(), deleted: deletedAt !== null, doc },
    ]),
  );
}
function* inPieces<T>(list: readonly T[]): Generator<T[]> {
  for (let at = 0; at < list.length; at += AT_A_TIME) yield list.slice(at, at + AT_A_TIME);
}
async function inSome<T>(list: readonly T[], write: (some: T[]) => Promise<unknown>): Promise<void> {
  for (let at = 0; at < list.length; at += 500) await write(list.slice(at, at + 500));
}
