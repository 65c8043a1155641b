import { readFile } from 'node:fs/promises';
import { basename, join } from 'node:path';
import { getTableName } from 'drizzle-orm';
import { sayBytes } from '#core/units/amount';
import { capital, count } from '#core/units/words';
import { documentKinds, kindNames } from '#core/documents/registry';
import { MOST_DEPTH, isTooMuch } from '../http/json';
import { PlainError, systemCode } from '../errors/plainError';
import { Refusal } from '../errors/refusal';
import type { Settings } from '../settings';
import { holderOf } from '../storage/dataLock';
import type { Database } from '../storage/open';
import { openFrom } from '../storage/openFrom';
import { hashOf } from '../walkround/snapshotHash';
import { type Backup, countHouse, migrationsOf, readBackup, restoreBackup } from './backup';
import { backUpTo, listBackups } from './folder';
import { sessions, signatures } from '../storage/schema';

type Where = Pick<Settings, 'data' | 'databaseUrl' | 'backups'>;
type Say = (line: string) => void;

/** A running server is given so long to make one. */
const WAITED_MS = 120_000;
const LOOK_MS = 200;

/** Makes a backup of the house that the settings name; one that a running server holds is asked of that. */
export async function backUp(where: Where, migrations: string, now: () => number, say: Say): Promise<void> {
  const { backups } = where;
  if (backups === null) throw new PlainError('backup', 'Say where the backup goes: TALLY_BACKUPS=folder.');
  const holder = where.databaseUrl === null ? holderOf(where.data) : null;
  const made =
    holder === null
      ? await withHouse(where, migrations, (db) => backUpTo(backups, db, now()))
      : await askServer(holder, where.data, backups);
  say(`${made.name}, ${sayBytes(made.bytes)}, in ${backups}. It was read back and is whole.`);
}

async function askServer(pid: number, data: string, folder: string) {
  const before = (await listBackups(folder))[0]?.name ?? '';
  process.kill(pid, 'SIGUSR2');
  for (let waited = 0; waited < WAITED_MS; waited += LOOK_MS) {
    await new Promise((done) => setTimeout(done, LOOK_MS));
    const [newest] = await listBackups(folder);
    if (newest && newest.name > before) return newest;
    if (holderOf(data) !== pid)
      throw new PlainError('backup', 'The running server stopped before it made one. Ask again.');
  }
  throw new PlainError(
    'backup',
    `The running server (process ${pid}) made no backup in ${folder}. It says why; or it keeps them in another folder.`,
  );
}

/**
 * Shows what a backup holds beside what is here; with `goOn`, puts it in the place of that, after a backup of
 * it.
 */
export async function restore(
  where: Where,
  migrations: string,
  { file, goOn }: { file: string; goOn: boolean },
  now: () => number,
  say: Say,
): Promise<void> {
  const bytes = await readFile(file).catch((error: unknown) => {
    throw new PlainError('backup', `${file} cannot be read (${systemCode(error) ?? 'no reason given'}).`);
  });
  await withHouse(where, migrations, async (db) => {
    const backup = await readBackup(bytes, await migrationsOf(db)).catch((error: unknown) => {
      throw error instanceof Refusal ? new PlainError('backup', error.detail) : error;
    });
    const here = await countHouse(db);
    say(`${basename(file)}, made ${backup.manifest.madeAt}:`);
    for (const kind of kindNames) {
      const { table, word } = documentKinds[kind];
      say(`  ${word}: ${backup.manifest.tables[table]?.rows ?? 0} in the backup, ${here[table] ?? 0} here`);
    }
    say(`  ${saySignatures(backup)}`);
    if (!goOn) {
      say('Nothing was changed. To put it in the place of what is here: the same with --yes at its end.');
      return;
    }
    const folder = where.backups ?? join(where.data, 'backups');
    const before = await backUpTo(folder, db, now());
    say(`What was here is in ${join(folder, before.name)}.`);
    await restoreBackup(db, backup, now());
    if ((backup.manifest.tables[getTableName(sessions)]?.rows ?? 0) > 0)
      say('Every device is signed out, and no invitation is good any more.');
    say(
      'Restored, all of it.' +
        (where.databaseUrl === null ? '' : ' Start the servers on this database anew.'),
    );
  });
}

/** Each signature is held against its hash again. */
function saySignatures({ files }: Backup): string {
  const lines = new TextDecoder().decode(files[`tables/${getTableName(signatures)}.jsonl`]).split('\n');
  const rows = lines.filter((line) => line !== '');
  const good = rows.filter((line) => {
    // One that nests too deep to be read is not as anybody signed it.
    if (isTooMuch(line, { values: Infinity, depth: MOST_DEPTH })) return false;
    const { hash, judged } = JSON.parse(line) as { hash: string; judged: unknown };
    return hashOf(judged) === hash;
  }).length;
  if (rows.length === 0) return 'No signature.';
  return good === rows.length
    ? `${capital(count(good))} ${good === 1 ? 'signature' : 'signatures'}, each as it was signed.`
    : `${rows.length} signatures; ${rows.length - good} not as signed.`;
}

async function withHouse<T>(
  where: Where,
  migrations: string,
  work: (db: Database) => Promise<T>,
): Promise<T> {
  const { db, close, unlock } = await openFrom(where, migrations);
  try {
    return await work(db);
  } finally {
    await close();
    unlock();
  }
}
