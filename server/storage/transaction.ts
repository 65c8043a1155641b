import type { Database } from './open';
import { databaseCode } from './trouble';

/**
 * Serialisation failure and deadlock: the database took all of it back, and the same work may go through the
 * next time.
 */
const WORTH_ANOTHER_TRY: ReadonlySet<string> = new Set(['40001', '40P01']);
const MOST_TRIES = 4;

/**
 * All of the work or nothing of it. Where the database broke it off for the sake of another's, it is done
 * again.
 */
export async function inTransaction<T>(db: Database, work: (tx: Database) => Promise<T>): Promise<T> {
  for (let tried = 1; ; tried += 1) {
    try {
      return await db.transaction((tx) => work(tx));
    } catch (error) {
      if (tried >= MOST_TRIES || !WORTH_ANOTHER_TRY.has(databaseCode(error) ?? '')) throw error;
    }
  }
}
