import { and, asc, eq, isNull, sql } from 'drizzle-orm';
import type { z } from 'zod';
import type { Database } from '../storage/open';
import type { DocumentTable } from '../storage/schema';

/** A document with its version, as kept and as sent. */
export interface Kept<Doc> {
  version: number;
  updatedAt: string;
  doc: Doc;
}
export type Hindrance<Doc> = { done: 'clash'; current: Kept<Doc> } | { done: 'missing' };
export type WriteResult<Doc> = { done: 'kept'; kept: Kept<Doc> } | Hindrance<Doc>;

export interface Versioned {
  id: string;
  version: number;
}
/** Many writes at once: documents that are new, changed from a version, taken out at one, and brought back. */
export interface Batch<Doc> {
  create: readonly Doc[];
  change: readonly { version: number; doc: Doc }[];
  remove: readonly Versioned[];
  restore: readonly string[];
}

/** Reads and writes of one kind of document. */
export interface DocumentStore<Doc> {
  list: () => Promise<Kept<Doc>[]>;
  get: (id: string) => Promise<Kept<Doc> | null>;
  /** A clash when the id is taken, by a deleted one too. */
  create: (doc: Doc) => Promise<WriteResult<Doc>>;
  /** All of it or, where one of it cannot be, none: then that one's result. Answers with the versions that came of it. */
  batch: (work: Batch<Doc>) => Promise<Hindrance<Doc> | { done: 'all'; versions: Versioned[] }>;
  /** Replaces the document if it still is at this version. */
  put: (id: string, version: number, doc: Doc) => Promise<WriteResult<Doc>>;
  /** Out of every list, but kept: `restore` brings it back. */
  remove: (id: string, version: number) => Promise<WriteResult<Doc>>;
  restore: (id: string) => Promise<WriteResult<Doc>>;
}

class Hindered extends Error {
  constructor(readonly result: Hindrance<unknown>) {
    super('One of them cannot be.');
  }
}

export function documentStore<Doc extends { id: string }>(
  db: Database,
  table: DocumentTable,
  schema: z.ZodType<Doc>,
): DocumentStore<Doc> {
  type Row = typeof table.$inferSelect;
  const kept = (row: Row): Kept<Doc> => ({
    version: row.version,
    updatedAt: row.updatedAt.toISOString(),
    doc: schema.parse(row.doc),
  });
  const anyRow = async (id: string) => (await db.select().from(table).where(eq(table.id, id)))[0];
  const clashOrMissing = async (id: string): Promise<WriteResult<Doc>> => {
    const row = await anyRow(id);
    return row && row.deletedAt === null ? { done: 'clash', current: kept(row) } : { done: 'missing' };
  };
  const change = async (
    id: string,
    version: number,
    set: { doc?: Doc; deletedAt?: ReturnType<typeof sql> },
  ): Promise<WriteResult<Doc>> => {
    const [row] = await db
      .update(table)
      .set({ ...set, version: sql`${table.version} + 1`, updatedAt: sql`now()` })
      .where(and(eq(table.id, id), eq(table.version, version), isNull(table.deletedAt)))
      .returning();
    return row ? { done: 'kept', kept: kept(row) } : clashOrMissing(id);
  };
  return {
    list: async () =>
      (await db.select().from(table).where(isNull(table.deletedAt)).orderBy(asc(table.createdAt), asc(table.id))).map(
        kept,
      ),
    get: async (id) => {
      const row = await anyRow(id);
      return row && row.deletedAt === null ? kept(row) : null;
    },
    create: async (doc) => {
      const [row] = await db.insert(table).values({ id: doc.id, version: 1, doc }).onConflictDoNothing().returning();
      if (row) return { done: 'kept', kept: kept(row) };
      const taken = await anyRow(doc.id);
      return taken ? { done: 'clash', current: kept(taken) } : { done: 'missing' };
    },
    batch: (work) =>
      db
        .transaction(async (tx) => {
          const inside = documentStore(tx, table, schema);
          const versions: Versioned[] = [];
          const did = (result: WriteResult<Doc>) => {
            if (result.done !== 'kept') throw new Hindered(result);
            versions.push({ id: result.kept.doc.id, version: result.kept.version });
          };
          for (const doc of work.create) did(await inside.create(doc));
          for (const { version, doc } of work.change) did(await inside.put(doc.id, version, doc));
          for (const { id, version } of work.remove) did(await inside.remove(id, version));
          for (const id of work.restore) did(await inside.restore(id));
          return { done: 'all' as const, versions };
        })
        .catch((thrown: unknown) => {
          // Thrown so that the transaction takes back what went before.
          if (thrown instanceof Hindered) return thrown.result as Hindrance<Doc>;
          throw thrown;
        }),
    put: (id, version, doc) => change(id, version, { doc }),
    remove: (id, version) => change(id, version, { deletedAt: sql`now()` }),
    restore: async (id) => {
      const [row] = await db
        .update(table)
        .set({ deletedAt: null, version: sql`${table.version} + 1`, updatedAt: sql`now()` })
        .where(eq(table.id, id))
        .returning();
      return row ? { done: 'kept', kept: kept(row) } : { done: 'missing' };
    },
  };
}
