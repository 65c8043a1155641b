import { sql } from 'drizzle-orm';
import { type OpenDatabase, openEmbedded } from '../storage/open';
import { readDump } from './makeDump';

/** Databases that were given back: opening one takes a second of a core, emptying it a moment. */
const free: OpenDatabase[] = [];

/** An empty, migrated database in memory; closed, it is emptied for whoever asks next. */
export async function emptyDatabase(): Promise<OpenDatabase> {
  const opened = free.pop() ?? (await openEmbedded({ dump: readDump() }, 'server/storage/migrations'));
  const { db } = opened;
  return {
    db,
    close: async () => {
      const { rows } = (await db.execute(sql`
        select 'truncate ' || string_agg(format('%I', table_name), ', ') || ' restart identity cascade' as one
          from information_schema.tables where table_schema = 'public' and table_type = 'BASE TABLE'
        union all
        select format('alter sequence %I restart', sequence_name) from information_schema.sequences where sequence_schema = 'public'`)) as unknown as {
        rows: { one: string }[];
      };
      for (const { one } of rows) await db.execute(sql.raw(one));
      free.push(opened);
    },
  };
}
