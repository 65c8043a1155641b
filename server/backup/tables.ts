import { getTableName, sql } from 'drizzle-orm';
import { type PgTable, getTableConfig } from 'drizzle-orm/pg-core';
import type { Database } from '../storage/open';
import {
  anglers,
  audit,
  checkIns,
  craft,
  house,
  imports,
  items,
  outbox,
  outings,
  passes,
  passkeys,
  people,
  pictures,
  plansLeft,
  procedures,
  recoveryCodes,
  rulePacks,
  sessions,
  shares,
  signInTries,
  signatures,
  species,
  walkAnswers,
  watchPages,
  waters,
} from '../storage/schema';
import { rowsOf } from '../storage/rows';

/** Every table of the house, those first that others point at. A test holds it against the schema. */
export const tables: readonly PgTable[] = [
  house,
  anglers,
  craft,
  items,
  waters,
  rulePacks,
  species,
  procedures,
  outings,
  pictures,
  walkAnswers,
  signatures,
  plansLeft,
  watchPages,
  checkIns,
  outbox,
  imports,
  people,
  sessions,
  passes,
  passkeys,
  recoveryCodes,
  shares,
  signInTries,
  audit,
];
/** The name of each of its columns in the database, by table. */
export const tableNames = tables.map((table) => getTableName(table));

/** Rows read or written at once. */
const AT_ONCE = 500;

/** All rows of a table, each as JSON, in the order of its key. */
export async function readTable(db: Database, table: PgTable): Promise<string[]> {
  const name = sql.identifier(getTableName(table));
  const key = keyOf(table);
  const all: string[] = [];
  for (;;) {
    const rows = await rowsOf<{ row: string }>(
      db,
      sql`select to_jsonb(t)::text as row from ${name} t order by ${key} limit ${AT_ONCE} offset ${all.length}`,
    );
    for (const { row } of rows) all.push(row);
    if (rows.length < AT_ONCE) return all;
  }
}

/** Puts rows into an empty table; what they do not have is as the database gives it. */
export async function writeTable(db: Database, table: PgTable, rows: readonly string[]): Promise<void> {
  const name = getTableName(table);
  const first = rows[0];
  if (first === undefined) return;
  // What the database works out for each row itself.
  const workedOut = new Set(['change_no', ...generatedIn(table)]);
  const columns = Object.keys(JSON.parse(first) as object).filter((column) => !workedOut.has(column));
  const list = sql.join(
    columns.map((column) => sql.identifier(column)),
    sql`, `,
  );
  for (let at = 0; at < rows.length; at += AT_ONCE) {
    const some = `[${rows.slice(at, at + AT_ONCE).join(',')}]`;
    await db.execute(
      sql`insert into ${sql.identifier(name)} (${list}) select ${list} from jsonb_populate_recordset(null::${sql.identifier(name)}, ${some}::jsonb)`,
    );
  }
  const numbered = getTableConfig(table).columns.find((column) => column.getSQLType() === 'bigserial');
  if (numbered)
    await db.execute(
      sql`select setval(pg_get_serial_sequence(${name}, 'id'), (select max(id) from ${sql.identifier(name)}))`,
    );
}

export async function countTable(db: Database, table: PgTable): Promise<number> {
  const [row] = await rowsOf<{ n: number }>(
    db,
    sql`select count(*)::int as n from ${sql.identifier(getTableName(table))}`,
  );
  return row?.n ?? 0;
}

function generatedIn(table: PgTable): string[] {
  return getTableConfig(table).columns.flatMap(({ name, generated }) => (generated ? [name] : []));
}
function keyOf(table: PgTable) {
  const key = getTableConfig(table).columns.find(({ primary }) => primary);
  if (!key) throw new Error(`${getTableName(table)} has no key.`);
  // The database's own name of it: one word in every table, or written with underscores.
  return sql.identifier(key.name.replace(/[A-Z]/g, (letter) => `_${letter.toLowerCase()}`));
}
