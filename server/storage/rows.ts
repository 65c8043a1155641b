import type { SQL } from 'drizzle-orm';

/** What runs raw SQL: a database or a transaction of either driver. */
export interface RunsSql {
  execute: (query: SQL) => PromiseLike<unknown>;
}

/** Both drivers answer raw SQL with rows; only their types differ. */
export async function rowsOf<T>(db: RunsSql, query: SQL): Promise<T[]> {
  return ((await db.execute(query)) as unknown as { rows: T[] }).rows;
}
