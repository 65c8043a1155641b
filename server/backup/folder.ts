import { type FileHandle, mkdir, open, readFile, readdir, rename, rm, stat } from 'node:fs/promises';
import { join } from 'node:path';
import type { Database } from '../storage/open';
import { PlainError, systemCode } from '../errors/plainError';
import { makeBackup, migrationsOf, readBackup } from './backup';
import { backupName, madeAt, toDrop } from './keeping';

export interface KeptBackup {
  name: string;
  at: string;
  bytes: number;
}

/** The backups in a folder, newest first; a folder that is not there holds none. */
export async function listBackups(folder: string): Promise<KeptBackup[]> {
  const names = await readdir(folder).catch(() => []);
  const found = await Promise.all(
    names.map(async (name) => {
      const at = madeAt(name);
      const info = at === null ? null : await stat(join(folder, name)).catch(() => null);
      return at === null || !info ? [] : [{ name, at: new Date(at).toISOString(), bytes: info.size }];
    }),
  );
  return found.flat().sort((a, b) => (a.at < b.at ? 1 : -1));
}

/**
 * Makes a backup in a folder: written beside, made durable, read back and held against its sums, and only
 * then given its name; older ones beyond those kept are taken away after.
 * @throws PlainError in words, where the folder cannot be written to or the disk is full
 */
export async function backUpTo(folder: string, db: Database, now: number): Promise<KeptBackup> {
  const bytes = await makeBackup(db, now);
  const name = backupName(now);
  const whole = join(folder, name);
  const part = `${whole}.${process.pid}.part`;
  try {
    await mkdir(folder, { recursive: true });
    await dropParts(folder, now);
    await durably(part, bytes);
    await readBackup(await readFile(part), await migrationsOf(db));
    await rename(part, whole);
    await durable(folder);
  } catch (error) {
    await rm(part, { force: true }).catch(() => undefined);
    const code = systemCode(error);
    if (code === null) throw error;
    throw new PlainError(
      'backup',
      code === 'ENOSPC'
        ? `There is no room for a backup in ${folder}.`
        : `No backup could be written to ${folder} (${code}).`,
    );
  }
  const names = (await listBackups(folder)).map((one) => one.name);
  for (const old of toDrop(names)) await rm(join(folder, old), { force: true });
  return { name, at: new Date(now).toISOString(), bytes: bytes.length };
}

const PART = /^(tally-\w+\.zip)\.\d+\.part$/;
/** Nobody writes at one for so long. */
const LEFT_MS = 3_600_000;

/** What a run that was killed left half written; one that another process is at is left. */
async function dropParts(folder: string, now: number): Promise<void> {
  for (const name of await readdir(folder)) {
    const made = madeAt(PART.exec(name)?.[1] ?? '');
    if (made !== null && now - made > LEFT_MS) await rm(join(folder, name), { force: true });
  }
}

async function durably(file: string, bytes: Uint8Array): Promise<void> {
  await withHandle(await open(file, 'w', 0o600), async (handle) => {
    await handle.writeFile(bytes);
    await handle.sync();
  });
}
async function durable(folder: string): Promise<void> {
  await withHandle(await open(folder, 'r'), (handle) => handle.sync());
}
async function withHandle(handle: FileHandle, work: (handle: FileHandle) => Promise<void>): Promise<void> {
  try {
    await work(handle);
  } finally {
    await handle.close();
  }
}
