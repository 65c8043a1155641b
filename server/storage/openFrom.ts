import { join } from 'node:path';
import { PlainError } from '../errors/plainError';
import type { Settings } from '../settings';
import { lockData } from './dataLock';
import { type OpenDatabase, openEmbedded, openServer, restoreAdvice } from './open';
import { causeOf } from './trouble';

/**
 * Opens the house that the settings name, for this process alone where it is a folder. Fails with a
 * PlainError.
 */
export async function openFrom(
  settings: Pick<Settings, 'databaseUrl' | 'data'>,
  migrations: string,
): Promise<OpenDatabase & { unlock: () => void }> {
  if (settings.databaseUrl !== null) {
    try {
      return { ...(await openServer(settings.databaseUrl, migrations)), unlock: () => undefined };
    } catch (error) {
      if (error instanceof PlainError) throw error;
      throw new PlainError('database', `The database at DATABASE_URL cannot be opened: ${causeOf(error)}.`);
    }
  }
  const unlock = lockData(settings.data);
  const folder = join(settings.data, 'db');
  try {
    return { ...(await openEmbedded({ folder }, migrations)), unlock };
  } catch (error) {
    unlock();
    if (error instanceof PlainError) throw error;
    const why = causeOf(error).replace(/\.$/, '');
    throw new PlainError('database', `The data in ${folder} cannot be opened: ${why}. ${restoreAdvice}`);
  }
}
