import { eq } from 'drizzle-orm';
import type { Database } from '../storage/open';
import { house } from '../storage/schema';
import { PlainError } from '../errors/plainError';
import { type KeptBackup, backUpTo, listBackups } from './folder';

const DAY_MS = 86_400_000;
/** So long without a backup is minded. */
const MINDED_MS = 7 * DAY_MS;
const SINCE = 'backups-looked-after-since';

export interface BackupState {
  /** Whether the house is backed up each day. */
  on: boolean;
  last: KeptBackup | null;
  count: number;
  /** Why the last attempt came to nothing; empty: it did not. */
  trouble: string;
  /** None for a week. */
  minded: boolean;
}

/** The daily backup of a house into a folder; null: it has none. */
export interface Backups {
  state: () => Promise<BackupState>;
  /** Makes one now; one that is being made already is waited for. */
  make: () => Promise<KeptBackup>;
  /** Makes one where the last is a day old. */
  tick: () => Promise<void>;
}

export function backupsOf(db: Database, folder: string | null, now: () => number): Backups {
  let trouble = '';
  let making: Promise<KeptBackup> | null = null;
  const list = () => (folder === null ? Promise.resolve([]) : listBackups(folder));
  const since = async (): Promise<number> => {
    const at = new Date(now()).toISOString();
    await db.insert(house).values({ name: SINCE, value: at }).onConflictDoNothing();
    const [row] = await db.select().from(house).where(eq(house.name, SINCE));
    return Date.parse(row?.value ?? at);
  };
  const make = () => {
    if (folder === null) return Promise.reject(new PlainError('backup', 'No folder for backups is set.'));
    making ??= backUpTo(folder, db, now())
      .then(
        (made) => {
          trouble = '';
          return made;
        },
        (error: unknown) => {
          trouble = error instanceof PlainError ? error.message : 'The last backup could not be made.';
          throw error;
        },
      )
      .finally(() => {
        making = null;
      });
    return making;
  };
  return {
    make,
    state: async () => {
      const all = await list();
      const last = all[0] ?? null;
      const from = last ? Date.parse(last.at) : folder === null ? now() : await since();
      return { on: folder !== null, last, count: all.length, trouble, minded: now() - from > MINDED_MS };
    },
    tick: async () => {
      if (folder === null) return;
      await since();
      const [last] = await list();
      if (!last || now() - Date.parse(last.at) >= DAY_MS) await make();
    },
  };
}
