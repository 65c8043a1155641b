import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { sql } from 'drizzle-orm';
import { buildApp } from '../server/app';
import { backupsOf } from '../server/backup/daily';
import { openEmbedded } from '../server/storage/open';

/*
 * The product's own server on a copy of the demo data, put back between journeys instead of being started
 * anew: a start costs three seconds of a core. The real entry, with its lock and its signals, is driven by
 * the journeys that ask for a house of their own.
 */
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const { db } = await openEmbedded(
  { folder: join(process.argv[2] ?? '', 'db') },
  join(root, 'server/storage/migrations'),
);

const rows = await db.execute<{ name: string }>(
  sql`select table_name as name from information_schema.tables where table_schema = 'public'`,
);
const names = (rows as unknown as { rows: { name: string }[] }).rows.map(({ name }) => `"${name}"`);
// What the database works out for a row itself cannot be put back.
const kept = await db.execute<{ name: string; list: string }>(
  sql`select table_name as name, string_agg('"' || column_name || '"', ', ') as list from information_schema.columns
    where table_schema = 'public' and is_generated = 'NEVER' group by table_name`,
);
const columns = new Map(
  (kept as unknown as { rows: { name: string; list: string }[] }).rows.map(({ name, list }) => [
    `"${name}"`,
    list,
  ]),
);
await db.execute(sql.raw('create schema first'));
for (const name of names) await db.execute(sql.raw(`create table first.${name} as table public.${name}`));

const counted = await db.execute<{ last: string }>(sql`select last_value as last from document_changes`);
const lastChange = Number((counted as unknown as { rows: { last: string }[] }).rows[0]?.last ?? 1);

const outings = '"outings"';
const insert = (name: string) => {
  const list = columns.get(name) ?? '';
  return `insert into ${name} (${list}) select ${list} from first.${name};`;
};
/** Does some work in one go, whatever its rows point at. */
async function atOnce(work: string[]): Promise<void> {
  await db.transaction(async (tx) => {
    await tx.execute(sql.raw('set local session_replication_role = replica'));
    await tx.execute(sql.raw(`do $$ begin ${work.join(' ')} end $$`));
  });
}

/** Everything as it was at the first start, or nothing at all. Rows are put in whole. */
async function putBack(empty: boolean): Promise<void> {
  const others = empty ? [] : names.filter((name) => name !== outings);
  // Emptied row by row: a table that is truncated gets files of its own anew, and there are many tables.
  // The count of changes goes back to nought: what the server holds of later ones is then known to be of no
  // account.
  await atOnce([
    ...names.map((name) => `delete from ${name};`),
    ...others.map(insert),
    "perform setval('document_changes', 1, false);",
  ]);
  // It is asked once while the count is nought, so that it forgets; and while there are no outings, so that
  // it judges none.
  for (const url of ['/api/references', '/api/summaries?today=2026-01-01']) await app.inject({ url });
  if (!empty) await atOnce([insert(outings), `perform setval('document_changes', ${lastChange});`]);
}

const now = () => Date.now();
const backups = backupsOf(db, join(process.argv[2] ?? '', 'backups'), now);
const app = await buildApp({ db, now, backups, webRoot: join(root, 'dist/web'), log: false });
process.on('message', ({ empty }: { empty: boolean }) => {
  void putBack(empty).then(() => process.send?.('put back'));
});
console.log(`ready at ${await app.listen({ host: '127.0.0.1', port: 0 })}`);
