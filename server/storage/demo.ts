import { eq } from 'drizzle-orm';
import { demo } from '#core/demo/demo';
import type { Database } from './open';
import { house } from './schema';
import { stores } from '../documents/stores';
import { walkStore } from '../walkround/store';

const MARK = 'demo-loaded-at';

/** Loads the demo data once, into a database that holds no document yet; all of it or nothing. */
export async function loadDemo(db: Database, now: number): Promise<boolean> {
  return db.transaction(async (tx) => {
    const into = stores(tx);
    const [loaded] = await tx.select().from(house).where(eq(house.name, MARK));
    const kept = await Promise.all([into.outings.list(), into.items.list(), into.craft.list(), into.anglers.list()]);
    if (loaded || kept.some((list) => list.length > 0)) return false;
    const { references, outings, answers } = demo(now);
    if (references.angler) await into.anglers.create(references.angler);
    for (const one of references.craft) await into.craft.create(one);
    for (const one of references.items) await into.items.create(one);
    for (const one of references.rulePacks) await into.rulePacks.create(one);
    for (const one of references.species) await into.species.create(one);
    for (const one of references.waters) await into.waters.create(one);
    for (const one of outings) await into.outings.create(one);
    await walkStore(tx).record(answers.outingId, answers.answers);
    await tx.insert(house).values({ name: MARK, value: new Date(now).toISOString() });
    return true;
  });
}
