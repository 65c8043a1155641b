import { existsSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { type ExtractTablesWithRelations, sql } from 'drizzle-orm';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzleLite } from 'drizzle-orm/pglite';
import { migrate as migrateLite } from 'drizzle-orm/pglite/migrator';
import type { Pool } from 'pg';
import { PlainError } from '../errors/plainError';
import { rowsOf } from './rows';
import * as schema from './schema';
import { refuseNewer } from './schemaVersion';

/** The database, embedded or served: the same schema, the same migrations. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema, ExtractTablesWithRelations<typeof schema>>;
export interface OpenDatabase {
  db: Database;
  close: () => Promise<void>;
}

/** Files without which a folder is no database of ours: made at its beginning, and never taken away. */
const PARTS = ['PG_VERSION', 'base', 'global', 'pg_wal', 'global/pg_control'];

/** What whoever keeps a house can do about a folder that does not open. */
export const restoreAdvice =
  'Put back a copy of the folder; or move it away, to begin anew or with a backup (npm run restore -- FILE).';

/**
 * A folder that is neither empty nor a whole database is left alone: the embedded database would begin anew
 * over what is there.
 * @throws PlainError naming what is missing and what to do
 */
export function checkFolder(folder: string): void {
  const present = existsSync(folder) ? readdirSync(folder) : [];
  if (present.length === 0) return;
  const missing = PARTS.filter((part) => !existsSync(join(folder, part)));
  if (missing.length === 0) return;
  throw new PlainError(
    'damaged',
    `${folder} is not empty and not a whole database: ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} missing. ` +
      `Nothing in it was changed. ${restoreAdvice}`,
  );
}

/** PGlite in a folder, or in memory from a dump. Durable: a write is acknowledged after it is on disk. */
export async function openEmbedded(
  where: { folder: string } | { dump: Blob } | { memory: true },
  migrations: string,
): Promise<OpenDatabase> {
  if ('folder' in where) checkFolder(where.folder);
  const client =
    'folder' in where
      ? new PGlite(where.folder, { relaxedDurability: false })
      : new PGlite('dump' in where ? { loadDataDir: where.dump } : {});
  await client.waitReady;
  const db = drizzleLite(client, { schema, casing: 'snake_case' });
  try {
    await refuseNewer(db, migrations);
  } catch (error) {
    await client.close();
    throw error;
  }
  await migrateLite(db, { migrationsFolder: migrations });
  return { db, close: () => client.close() };
}

/**
 * How long a connection, a statement and a lock are waited for: a silent or locked database is said so, and
 * not waited for.
 */
const CONNECT_MS = 5000;
const STATEMENT_MS = 8000;
const LOCK_MS = 5000;
/**
 * How long a migration may take. Of two that start at once on a database one migrates and furnishes it, and
 * the other waits as long.
 */
const MIGRATION_MS = 15 * 60_000;
const FIRST_START_LOCK = 7401;
/** How often whoever waits for another's first start looks again. */
const LOOK_MS = 100;

/** A PostgreSQL server by its URL. */
export async function openServer(url: string, migrations: string): Promise<OpenDatabase> {
  // Read only where a server is used: a house in a folder does without.
  const [{ Pool: PoolOfConnections }, { drizzle: drizzleServer }, { migrate: migrateServer }] =
    await Promise.all([
      import('pg'),
      import('drizzle-orm/node-postgres'),
      import('drizzle-orm/node-postgres/migrator'),
    ]);
  const pool = new PoolOfConnections({
    connectionString: url,
    max: 8,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: STATEMENT_MS,
    query_timeout: STATEMENT_MS + 2000,
    lock_timeout: LOCK_MS,
    idle_in_transaction_session_timeout: STATEMENT_MS * 2,
    keepAlive: true,
  });
  // A connection that breaks is made anew on the next query. Without these listeners it would end the
  // process: one is for those that rest in the pool, the other for those that are lent out, in the middle of
  // a transaction.
  pool.on('error', () => undefined);
  pool.on('connect', (client) => client.on('error', () => undefined));
  const db = drizzleServer(pool, { schema, casing: 'snake_case' });
  // A migration takes longer than any other statement may.
  const patient = new PoolOfConnections({
    connectionString: url,
    max: 2,
    connectionTimeoutMillis: CONNECT_MS,
    statement_timeout: MIGRATION_MS,
    lock_timeout: MIGRATION_MS,
  });
  patient.on('error', () => undefined);
  try {
    await alone(patient, async () => {
      const migrating = drizzleServer(patient, { schema, casing: 'snake_case' });
      await refuseNewer(migrating, migrations);
      await migrateServer(migrating, { migrationsFolder: migrations });
    });
  } catch (error) {
    await pool.end();
    throw error;
  } finally {
    await patient.end();
  }
  return { db, close: () => pool.end() };
}

/** Does the work while no other process that asks so does it. */
async function alone(pool: Pool, work: () => Promise<void>): Promise<void> {
  const client = await pool.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [FIRST_START_LOCK]);
    await work();
  } finally {
    // The connection goes with its lock.
    client.release(true);
  }
}

/**
 * For a transaction that only one process may be in at a time, such as the first furnishing. Waits as long as
 * that may take, by looking again: a statement that waited would meet the limit of statements.
 */
export async function takeFirstStartTurn(tx: Database): Promise<void> {
  for (let waited = 0; waited < MIGRATION_MS; waited += LOOK_MS) {
    const [row] = await rowsOf<{ mine: boolean }>(
      tx,
      sql`select pg_try_advisory_xact_lock(${FIRST_START_LOCK}) as mine`,
    );
    if (row?.mine) return;
    await new Promise((done) => setTimeout(done, LOOK_MS));
  }
  throw new PlainError(
    'database',
    'Another start is still preparing this database. Start again when it is done.',
  );
}
