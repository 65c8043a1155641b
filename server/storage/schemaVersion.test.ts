import { sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildApp } from '../app';
import { emptyDatabase } from '../testing/emptyDatabase';
import { isNewerThan, refuseNewer } from './schemaVersion';
import type { OpenDatabase } from './open';

const MIGRATIONS = 'server/storage/migrations';
const BEYOND = Date.UTC(2199, 0, 1);
let opened: OpenDatabase;
beforeAll(async () => {
  opened = await emptyDatabase();
});
afterAll(async () => {
  await opened.db.execute(sql`delete from drizzle.__drizzle_migrations where created_at = ${BEYOND}`);
  await opened.close();
});

describe('data that a newer version of the program made', () => {
  it('is refused at the start in a sentence, and refused to be written by one that runs meanwhile', async () => {
    const { db } = opened;
    await refuseNewer(db, MIGRATIONS);
    const isOutdated = () => isNewerThan(db, MIGRATIONS);
    const parts = { db, now: () => Date.now(), webRoot: null, log: false, isOutdated, outdatedEveryMs: 20 };
    const app = await buildApp(parts);
    const write = () => app.inject({ method: 'POST', url: '/api/sign-nowhere', payload: {} });
    expect((await write()).statusCode).toBe(404);
    await db.execute(
      sql`insert into drizzle.__drizzle_migrations (hash, created_at) values ('of tomorrow', ${BEYOND})`,
    );
    await expect(refuseNewer(db, MIGRATIONS)).rejects.toMatchObject({ code: 'newer' });
    await expect.poll(async () => (await write()).statusCode).toBe(503);
    expect((await write()).json<{ detail: string }>().detail).toMatch(
      /^A newer version of this program has changed the data/,
    );
    expect((await app.inject({ url: '/api/references' })).statusCode).toBe(200);
    await app.close();
  });
});
