import type { SQL } from 'drizzle-orm';
import type { Database } from './open';

/** Both drivers answer raw SQL with rows; only their types differ. */
export async function rowsOf<T>(db: Database, query: SQL): Promise<T[]> {
  return ((await db.execute(query)) as unknown as { rows: T[] }).rows;
}
