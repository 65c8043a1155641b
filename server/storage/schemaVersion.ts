import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { sql } from 'drizzle-orm';
import { z } from 'zod';
import { PlainError } from '../errors/plainError';
import { type RunsSql, rowsOf } from './rows';

const journalSchema = z.object({ entries: z.array(z.object({ when: z.number() })).min(1) });

/** When the newest migration that this program knows was written, ms. @param folder of the migrations */
function newestKnown(folder: string): number {
  const { entries } = journalSchema.parse(
    JSON.parse(readFileSync(join(folder, 'meta/_journal.json'), 'utf8')),
  );
  return Math.max(...entries.map(({ when }) => when));
}

/** When the newest migration that a database has seen was written, ms; 0: it has seen none. */
async function newestSeen(db: RunsSql): Promise<number> {
  const [table] = await rowsOf<{ is: boolean }>(
    db,
    sql`select to_regclass('drizzle.__drizzle_migrations') is not null as is`,
  );
  if (!table?.is) return 0;
  const [row] = await rowsOf<{ at: string | number | null }>(
    db,
    sql`select max(created_at) as at from drizzle.__drizzle_migrations`,
  );
  return Number(row?.at ?? 0);
}

/** Whether a newer version of the program has migrated the database since. */
export async function isNewerThan(db: RunsSql, migrations: string): Promise<boolean> {
  return (await newestSeen(db)) > newestKnown(migrations);
}

/**
 * @throws PlainError where a newer version of the program made the database: an older one would read it
 * wrongly
 */
export async function refuseNewer(db: RunsSql, migrations: string): Promise<void> {
  if (await isNewerThan(db, migrations))
    throw new PlainError(
      'newer',
      'A newer version of this program made this data. Bring the program up to date, or use a copy of the data from before. Nothing was changed.',
    );
}
