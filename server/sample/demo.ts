import { eq, sql } from 'drizzle-orm';
import { demo } from '#core/demo/demo';
import { kindNames } from '#core/documents/registry';
import { stores } from '../documents/stores';
import { wordStore } from '../word/store';
import { walkStore } from '../walkround/store';
import { type Database, takeFirstStartTurn } from '../storage/open';
import { documentTables, house } from '../storage/schema';
import { inTransaction } from '../storage/transaction';

/** Stands in a house into which the sample was loaded. */
export const DEMO_MARK = 'demo-loaded-at';

/**
 * Loads the demo data once, into a database that holds no row of any kind yet; all of it or nothing, and by
 * one process alone.
 */
export async function loadDemo(db: Database, now: number): Promise<boolean> {
  return inTransaction(db, async (tx) => {
    await takeFirstStartTurn(tx);
    const [loaded] = await tx.select().from(house).where(eq(house.name, DEMO_MARK));
    if (loaded || !(await isEmpty(tx))) return false;
    const into = stores(tx);
    const { references, procedures, outings, answers, left } = demo(now);
    if (references.angler) await into.anglers.create(references.angler);
    for (const one of references.craft) await into.craft.create(one);
    for (const one of references.items) await into.items.create(one);
    for (const one of references.rulePacks) await into.rulePacks.create(one);
    for (const one of references.species) await into.species.create(one);
    for (const one of references.waters) await into.waters.create(one);
    for (const one of procedures) await into.procedures.create(one);
    for (const one of outings) await into.outings.create(one);
    await walkStore(tx).record(answers.outingId, answers.answers, new Date(now).toISOString(), null);
    const words = wordStore(tx);
    for (const [i, { outingId, plan }] of left.entries()) {
      await words.leave(
        outingId,
        `00000000-0000-4000-9000-${String(i).padStart(12, '0')}`,
        plan,
        new Date(now).toISOString(),
      );
      await words.open(outingId, 'http://127.0.0.1:4180');
    }
    await tx.insert(house).values({ name: DEMO_MARK, value: new Date(now).toISOString() });
    return true;
  });
}

/** Whether no row of any kind is kept, readable or not. */
async function isEmpty(db: Database): Promise<boolean> {
  for (const kind of kindNames) {
    const [row] = await db
      .select({ is: sql`1` })
      .from(documentTables[kind])
      .limit(1);
    if (row) return false;
  }
  return true;
}
