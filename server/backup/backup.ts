import { and, eq, getTableName, isNotNull, isNull, sql } from 'drizzle-orm';
import { z } from 'zod';
import { instantText } from '#core/documents/field';
import { Refusal } from '../errors/refusal';
import type { Database } from '../storage/open';
import { rowsOf } from '../storage/rows';
import { CHANGE_SERIES } from '../documents/library';
import { house, passes, recoveryCodes, sessions } from '../storage/schema';
import { inTransaction } from '../storage/transaction';
import { type Files, bytesOf, pack, sumOf, textOf, unpack } from '../storage/archive';
import { countTable, readTable, tableNames, tables, writeTable } from './tables';

const MANIFEST = 'house.json';
const manifestSchema = z.object({
  format: z.literal('house/1'),
  madeAt: instantText,
  /** How many migrations its database had seen. */
  migrations: z.int().min(1),
  tables: z.record(z.string(), z.object({ rows: z.int().min(0), sha256: z.string() })),
});
export type Manifest = z.infer<typeof manifestSchema>;

/** A whole house as it was at one moment: every row of every table. */
export interface Backup {
  manifest: Manifest;
  files: Files;
}

const fileOf = (table: string) => `tables/${table}.jsonl`;

/** A backup of everything, as of one moment, while others read and write. Answers with the bytes of a zip. */
export async function makeBackup(db: Database, now: number): Promise<Uint8Array> {
  const { rows, migrations } = await db.transaction(
    async (tx) => {
      const all: [name: string, rows: string[]][] = [];
      for (const table of tables) all.push([getTableName(table), await readTable(tx, table)]);
      return { rows: all, migrations: await migrationsOf(tx) };
    },
    { isolationLevel: 'repeatable read', accessMode: 'read only' },
  );
  const files: Record<string, Uint8Array> = {};
  const counted: Manifest['tables'] = {};
  for (const [name, lines] of rows) {
    const bytes = bytesOf(lines.join('\n'));
    files[fileOf(name)] = bytes;
    counted[name] = { rows: lines.length, sha256: sumOf(bytes) };
  }
  const manifest: Manifest = {
    format: 'house/1',
    madeAt: new Date(now).toISOString(),
    migrations,
    tables: counted,
  };
  return pack({ [MANIFEST]: bytesOf(JSON.stringify(manifest, null, 1)), ...files });
}

/**
 * Opens a backup and holds every part of it against its sums.
 * @throws Refusal (400) in words, where it is none, is damaged, or a newer version of the program made it
 */
export async function readBackup(bytes: Uint8Array, ourMigrations: number): Promise<Backup> {
  const files = await unpack(bytes);
  const refuse = (detail: string) =>
    new Refusal('bad input', 'No backup', detail, [{ field: 'file', message: detail }]);
  const raw = files[MANIFEST];
  if (!raw) throw refuse('This zip is no backup of a house: its list of contents is missing.');
  const read = manifestSchema.safeParse(parsed(textOf(raw)));
  if (!read.success) throw refuse('The list of contents of this backup cannot be read.');
  const manifest = read.data;
  if (manifest.migrations > ourMigrations)
    throw refuse('A newer version of this program made this backup. Bring the program up to date first.');
  for (const [name, { rows, sha256 }] of Object.entries(manifest.tables)) {
    if (!tableNames.includes(name))
      throw refuse(`The backup holds ${name}, which this program does not know.`);
    const part = files[fileOf(name)];
    if (!part || sumOf(part) !== sha256 || linesOf(part).length !== rows)
      throw refuse(`The backup is damaged: ${name} is not as it was written.`);
  }
  return { manifest, files };
}

/**
 * Puts a backup in the place of all that is here: all of it, or nothing is changed. What let somebody in then
 * lets nobody in now: every device is signed out, invitations and pairings are over, and a recovery code that
 * was used since stays used.
 */
export function restoreBackup(db: Database, { manifest, files }: Backup, now: number): Promise<void> {
  return inTransaction(db, async (tx) => {
    const spent = await tx
      .select({ codeHash: recoveryCodes.codeHash, usedAt: recoveryCodes.usedAt })
      .from(recoveryCodes)
      .where(isNotNull(recoveryCodes.usedAt));
    await tx.execute(sql.raw(`truncate ${tableNames.map((name) => `"${name}"`).join(', ')}`));
    for (const table of tables) {
      const name = getTableName(table);
      const part = files[fileOf(name)];
      await writeTable(tx, table, part ? linesOf(part) : []);
      const wanted = manifest.tables[name]?.rows ?? 0;
      if ((await countTable(tx, table)) !== wanted) throw new Error(`Not all of ${name} came back.`);
    }
    // What browsers kept of the house as it was cannot be brought up to date by changes.
    await tx.delete(house).where(eq(house.name, CHANGE_SERIES));
    const at = new Date(now).toISOString();
    await tx.update(sessions).set({ revokedAt: at }).where(isNull(sessions.revokedAt));
    await tx.update(passes).set({ usedAt: at }).where(isNull(passes.usedAt));
    for (const { codeHash, usedAt } of spent)
      await tx
        .update(recoveryCodes)
        .set({ usedAt })
        .where(and(eq(recoveryCodes.codeHash, codeHash), isNull(recoveryCodes.usedAt)));
  });
}

/** How many rows of each table are here. */
export async function countHouse(db: Database): Promise<Record<string, number>> {
  const counts: Record<string, number> = {};
  for (const table of tables) counts[getTableName(table)] = await countTable(db, table);
  return counts;
}

export async function migrationsOf(db: Database): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from drizzle.__drizzle_migrations`,
  );
  return row?.n ?? 0;
}

function linesOf(bytes: Uint8Array): string[] {
  const text = textOf(bytes);
  return text === '' ? [] : text.split('\n');
}
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch {
    return null;
  }
}
