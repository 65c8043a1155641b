import { PGlite } from '@electric-sql/pglite';
import type { ExtractTablesWithRelations } from 'drizzle-orm';
import { drizzle as drizzleServer } from 'drizzle-orm/node-postgres';
import { migrate as migrateServer } from 'drizzle-orm/node-postgres/migrator';
import type { PgDatabase, PgQueryResultHKT } from 'drizzle-orm/pg-core';
import { drizzle as drizzleLite } from 'drizzle-orm/pglite';
import { migrate as migrateLite } from 'drizzle-orm/pglite/migrator';
import { Pool } from 'pg';
import * as schema from './schema';

/** The database, embedded or served: the same schema, the same migrations. */
export type Database = PgDatabase<PgQueryResultHKT, typeof schema, ExtractTablesWithRelations<typeof schema>>;
export interface OpenDatabase {
  db: Database;
  close: () => Promise<void>;
}

/** PGlite in a folder, or in memory from a dump. Durable: a write is acknowledged after it is on disk. */
export async function openEmbedded(
  where: { folder: string } | { dump: Blob } | { memory: true },
  migrations: string,
): Promise<OpenDatabase> {
  const client =
    'folder' in where
      ? new PGlite(where.folder, { relaxedDurability: false })
      : new PGlite('dump' in where ? { loadDataDir: where.dump } : {});
  await client.waitReady;
  const db = drizzleLite(client, { schema, casing: 'snake_case' });
  await migrateLite(db, { migrationsFolder: migrations });
  return { db, close: () => client.close() };
}

/** A PostgreSQL server by its URL. */
export async function openServer(url: string, migrations: string): Promise<OpenDatabase> {
  const pool = new Pool({ connectionString: url, max: 8 });
  // A broken idle connection is made anew on the next query; without a listener it would end the process.
  pool.on('error', () => undefined);
  const db = drizzleServer(pool, { schema, casing: 'snake_case' });
  await migrateServer(db, { migrationsFolder: migrations });
  return { db, close: () => pool.end() };
}
