import { and, asc, eq, inArray, isNull, sql } from 'drizzle-orm';
import type { SetAside, Versioned } from '#core/documents/kept';
import { openDocument, sayNotOpened } from '#core/documents/open';
import { type Documents, type KindName, documentKinds } from '#core/documents/registry';
import { isRecord } from '#core/documents/upgrade';
import type { Database } from '../storage/open';
import { type DocumentTable, documentTables } from '../storage/schema';
import { Refusal } from '../errors/refusal';
import {
  clubKey,
  isMine,
  plainId,
  readableKeys,
  readableOwners,
  rowKey,
  currentScope,
  selfKey,
} from '../people/scope';
import { inTransaction } from '../storage/transaction';

/** What stands in the way of a write. */
export type WriteConflict<Doc> =
  | { done: 'clash'; current: Versioned<Doc> }
  | { done: 'missing' }
  | { done: 'set aside'; why: string };
export type WriteResult<Doc> = { done: 'kept'; kept: Versioned<Doc> } | WriteConflict<Doc>;

export interface DocumentVersion {
  id: string;
  version: number;
}
/**
 * Many writes at once: documents that are new, changed from a version, taken out at one, and brought back.
 */
export interface Batch<Doc> {
  create: readonly Doc[];
  change: readonly { version: number; doc: Doc }[];
  remove: readonly DocumentVersion[];
  restore: readonly string[];
}

/** Reads and writes of one kind of document. */
export interface DocumentStore<Doc> {
  /** Those that can be read; the others stand in the list of what is set aside. */
  list: () => Promise<Versioned<Doc>[]>;
  get: (id: string) => Promise<Versioned<Doc> | SetAside | null>;
  /** A clash when the id is taken, by a deleted one too. */
  create: (doc: Doc) => Promise<WriteResult<Doc>>;
  /**
   * All of it or, where one of it cannot be, none: then that one's result. Answers with the versions that
   * came of it.
   */
  batch: (work: Batch<Doc>) => Promise<WriteConflict<Doc> | { done: 'all'; versions: DocumentVersion[] }>;
  /** Replaces the document if it still is at this version. */
  put: (id: string, version: number, doc: Doc) => Promise<WriteResult<Doc>>;
  /** Out of every list, but kept: `restore` brings it back. */
  remove: (id: string, version: number) => Promise<WriteResult<Doc>>;
  restore: (id: string) => Promise<WriteResult<Doc>>;
  /**
   * Makes one's own the club's, or the club's one's own alone. A clash where one of that name stands there
   * already, unless it still is at the version that it is to take the place of.
   */
  hand: (id: string, to: 'club' | 'self', over: number | null) => Promise<WriteResult<Doc>>;
}

export interface Row {
  id: string;
  version: number;
  doc: unknown;
  updatedAt: Date | string;
}

export function isSetAside<Doc>(found: Versioned<Doc> | SetAside): found is SetAside {
  return 'why' in found;
}

/** A row as the document it holds, in today's form, or why it is set aside. */
export function readRow<Name extends KindName>(name: Name, row: Row): Versioned<Documents[Name]> | SetAside {
  const opened = openDocument<Documents[Name]>(documentKinds[name], row.doc);
  if (opened.is === 'opened')
    return { version: row.version, updatedAt: new Date(row.updatedAt).toISOString(), doc: opened.doc };
  const named = isRecord(row.doc) ? (row.doc.name ?? row.doc.title) : null;
  return {
    kind: name,
    id: plainId(row.id),
    name: typeof named === 'string' ? named.slice(0, 80) : plainId(row.id),
    why: sayNotOpened(opened),
    newer: opened.is === 'newer',
  };
}

class Hindered extends Error {
  constructor(readonly result: WriteConflict<unknown>) {
    super('One of them cannot be.');
  }
}

export function documentStore<Name extends KindName>(
  db: Database,
  name: Name,
): DocumentStore<Documents[Name]> {
  type Doc = Documents[Name];
  const table: DocumentTable = documentTables[name];
  const written = (row: Row): WriteResult<Doc> => {
    const read = readRow(name, row);
    return isSetAside(read) ? { done: 'set aside', why: read.why } : { done: 'kept', kept: read };
  };
  const rowAt = async (key: string) => (await db.select().from(table).where(eq(table.id, key)))[0];
  /** One's own; where there is none that stands, the club's; else one that was deleted. */
  const anyRow = async (id: string) => {
    const keys = readableKeys(name, id);
    const rows = await db.select().from(table).where(inArray(table.id, keys));
    const inOrder = keys.flatMap((key) => rows.filter((row) => row.id === key));
    return (
      inOrder.find(({ deletedAt }) => deletedAt === null) ??
      inOrder.find(({ id: key }) => isMine(key)) ??
      inOrder[0]
    );
  };
  /** The key of the row that a change is of. What is the club's is changed by keepers alone. */
  const keyToChange = async (id: string): Promise<string> => {
    const key = (await anyRow(id))?.id ?? rowKey(id);
    if (!isMine(key) && !currentScope().keeper)
      throw new Refusal(
        'not allowed',
        'The club’s',
        'This is the club’s: a keeper changes it. A copy of it is yours to change.',
      );
    return key;
  };
  const clashOrMissing = async (id: string): Promise<WriteResult<Doc>> => {
    const row = await anyRow(id);
    if (!row || row.deletedAt !== null) return { done: 'missing' };
    const result = written(row);
    return result.done === 'kept' ? { done: 'clash', current: result.kept } : result;
  };
  const change = async (
    id: string,
    version: number,
    set: { doc?: Doc; deletedAt?: ReturnType<typeof sql> },
  ): Promise<WriteResult<Doc>> => {
    const key = await keyToChange(id);
    const [row] = await db
      .update(table)
      .set({ ...set, version: sql`${table.version} + 1`, updatedAt: sql`now()` })
      .where(and(eq(table.id, key), eq(table.version, version), isNull(table.deletedAt)))
      .returning();
    return row ? written(row) : clashOrMissing(id);
  };
  return {
    list: async () => {
      const rows = await db
        .select()
        .from(table)
        .where(and(isNull(table.deletedAt), inArray(table.owner, readableOwners(name))))
        .orderBy(asc(table.createdAt), asc(table.id));
      const own = new Set(rows.filter(({ owner }) => owner !== '').map(({ id }) => plainId(id)));
      return rows
        .filter(({ id, owner }) => owner !== '' || !own.has(id))
        .map((row) => readRow(name, row))
        .filter((one): one is Versioned<Doc> => !isSetAside(one));
    },
    get: async (id) => {
      const row = await anyRow(id);
      return row && row.deletedAt === null ? readRow(name, row) : null;
    },
    create: async (doc) => {
      const [row] = await db
        .insert(table)
        .values({ id: rowKey(doc.id), version: 1, doc })
        .onConflictDoNothing()
        .returning();
      if (row) return written(row);
      const taken = await rowAt(rowKey(doc.id));
      if (!taken) return { done: 'missing' };
      const result = written(taken);
      return result.done === 'kept' ? { done: 'clash', current: result.kept } : result;
    },
    batch: (work) =>
      inTransaction(db, async (tx) => {
        const inside = documentStore(tx, name);
        const versions: DocumentVersion[] = [];
        const did = (result: WriteResult<Doc>) => {
          if (result.done !== 'kept') throw new Hindered(result);
          versions.push({ id: result.kept.doc.id, version: result.kept.version });
        };
        for (const doc of work.create) did(await inside.create(doc));
        for (const { version, doc } of work.change) did(await inside.put(doc.id, version, doc));
        for (const { id, version } of work.remove) did(await inside.remove(id, version));
        for (const id of work.restore) did(await inside.restore(id));
        return { done: 'all' as const, versions };
      }).catch((thrown: unknown) => {
        // Thrown so that the transaction takes back what went before.
        if (thrown instanceof Hindered) return thrown.result as WriteConflict<Doc>;
        throw thrown;
      }),
    put: (id, version, doc) => change(id, version, { doc }),
    remove: (id, version) => change(id, version, { deletedAt: sql`now()` }),
    restore: async (id) => {
      const [row] = await db
        .update(table)
        .set({ deletedAt: null, version: sql`${table.version} + 1`, updatedAt: sql`now()` })
        .where(eq(table.id, await keyToChange(id)))
        .returning();
      return row ? written(row) : { done: 'missing' };
    },
    hand: (id, to, over) =>
      inTransaction(db, async (tx) => {
        const [fromKey, toKey] = to === 'club' ? [selfKey(id), clubKey(id)] : [clubKey(id), selfKey(id)];
        const rows = await tx
          .select()
          .from(table)
          .where(inArray(table.id, [fromKey, toKey]))
          .for('update');
        const from = rows.find((row) => row.id === fromKey && row.deletedAt === null);
        const there = rows.find((row) => row.id === toKey);
        if (!from) return { done: 'missing' };
        if (there && there.deletedAt === null && there.version !== over) {
          const standing = written(there);
          return standing.done === 'kept' ? { done: 'clash', current: standing.kept } : standing;
        }
        const moved = { version: sql`${table.version} + 1`, updatedAt: sql`now()` };
        const [row] = await tx
          .insert(table)
          .values({ id: toKey, version: 1, doc: from.doc })
          .onConflictDoUpdate({ target: table.id, set: { ...moved, doc: from.doc, deletedAt: null } })
          .returning();
        await tx
          .update(table)
          .set({ ...moved, deletedAt: sql`now()` })
          .where(eq(table.id, fromKey));
        return row ? written(row) : { done: 'missing' };
      }),
  };
}
