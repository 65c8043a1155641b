import { and, eq, inArray, isNull, isNotNull, sql } from 'drizzle-orm';
import { type Demo, demo } from '#core/demo/demo';
import { type KindName, kindNames } from '#core/documents/registry';
import { plainId, rowKey, currentScope } from '../people/scope';
import type { Database } from '../storage/open';
import { DEMO_MARK } from './demo';
import { documentTables, house } from '../storage/schema';
import { inTransaction } from '../storage/transaction';

let known: Record<KindName, string[]> | null = null;
/** Names of what the sample data holds, by kind: the same whenever it was made. */
function sampleIds(): Record<KindName, string[]> {
  known ??= namesIn(demo(0));
  return known;
}
function namesIn({ references, procedures, outings }: Demo): Record<KindName, string[]> {
  const ids = (list: readonly { id: string }[]) => list.map(({ id }) => id);
  return {
    outings: ids(outings),
    anglers: references.angler ? [references.angler.id] : [],
    craft: ids(references.craft),
    items: ids(references.items),
    waters: ids(references.waters),
    rulePacks: ids(references.rulePacks),
    species: ids(references.species),
    procedures: ids(procedures),
  };
}

export type Taken = Record<string, string[] | undefined>;

/** How much of the sample is here as it came; 0 in a house that never had it. */
export async function countSample(db: Database): Promise<number> {
  const [loaded] = await db.select().from(house).where(eq(house.name, DEMO_MARK));
  if (!loaded) return 0;
  const ids = sampleIds();
  let sum = 0;
  for (const kind of kindNames) {
    const table = documentTables[kind];
    const rows = await db
      .select({ is: sql`1` })
      .from(table)
      .where(and(inArray(table.id, ids[kind].map(rowKey)), eq(table.version, 1), isNull(table.deletedAt)));
    sum += rows.length;
  }
  return sum;
}

/**
 * Takes the sample out of every list, all or nothing: what was changed since it came stays. Answers with what
 * is gone, to bring it back by.
 */
export function clearSample(db: Database): Promise<Taken> {
  return inTransaction(db, async (tx) => {
    const taken: Taken = {};
    if ((await countSample(tx)) === 0) return taken;
    const ids = sampleIds();
    for (const kind of kindNames) {
      const table = documentTables[kind];
      const rows = await tx
        .update(table)
        .set({ deletedAt: sql`now()`, version: sql`${table.version} + 1`, updatedAt: sql`now()` })
        .where(and(inArray(table.id, ids[kind].map(rowKey)), eq(table.version, 1), isNull(table.deletedAt)))
        .returning({ id: table.id });
      if (rows.length > 0) taken[kind] = rows.map(({ id }) => plainId(id));
    }
    return taken;
  });
}

async function hasProfile(db: Database): Promise<boolean> {
  const { anglers } = documentTables;
  const rows = await db
    .select({ is: sql`1` })
    .from(anglers)
    .where(and(isNull(anglers.deletedAt), eq(anglers.owner, currentScope().owner)))
    .limit(1);
  return rows.length > 0;
}

/** Brings back what was cleared away. */
export function restoreSample(db: Database, taken: Taken): Promise<number> {
  return inTransaction(db, async (tx) => {
    let sum = 0;
    for (const kind of kindNames) {
      const ids = taken[kind] ?? [];
      const table = documentTables[kind];
      // There is one profile in a house: whoever wrote their own since keeps it.
      if (ids.length === 0 || (kind === 'anglers' && (await hasProfile(tx)))) continue;
      const rows = await tx
        .update(table)
        // As it came: so that it can be cleared away again.
        .set({ deletedAt: null, version: 1, updatedAt: sql`now()` })
        .where(and(inArray(table.id, ids.map(rowKey)), eq(table.version, 2), isNotNull(table.deletedAt)))
        .returning({ id: table.id });
      sum += rows.length;
    }
    return sum;
  });
}
