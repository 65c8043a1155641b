import { sql } from 'drizzle-orm';
import { ownerIn, plainId, readableOwners } from '../people/scope';
import { type KindName, documentKinds } from '#core/documents/registry';
import type { Database } from '../storage/open';
import { rowsOf } from '../storage/rows';
import type { Row } from './store';

export interface ChangedRow extends Row {
  kind: KindName;
  changeNo: number;
  /** Whose it is; `id` is its name among theirs. */
  owner: string;
  deleted: boolean;
  createdAt: string;
}

/** So many rows are read at a time, so that others are answered in between. */
const AT_A_TIME = 100;

/** The number of the newest change there is or ever was. */
export async function newestChange(db: Database): Promise<number> {
  const [row] = await rowsOf<{ last: string | number; called: boolean }>(
    db,
    sql`select last_value as last, is_called as called from document_changes`,
  );
  return row?.called ? Number(row.last) : 0;
}

/** Rows of the named kinds that changed after a number, in the order of their changes, some at a time. */
export async function* changedRows(
  db: Database,
  kinds: readonly KindName[],
  after: number,
): AsyncGenerator<ChangedRow[]> {
  for (let from = after; ;) {
    const parts = kinds.map(
      (
        kind,
      ) => sql`select ${kind}::text as kind, id, version, doc, updated_at, created_at, deleted_at is not null as deleted, change_no
        from ${sql.identifier(documentKinds[kind].table)} where change_no > ${from} and owner in (${sql.join(
          readableOwners(kind).map((owner) => sql`${owner}`),
          sql`, `,
        )})`,
    );
    const rows = await rowsOf<Record<string, unknown>>(
      db,
      sql`${sql.join(parts, sql` union all `)} order by change_no limit ${AT_A_TIME}`,
    );
    if (rows.length === 0) return;
    yield rows.map((row) => ({
      kind: row.kind as KindName,
      id: plainId(String(row.id)),
      owner: ownerIn(String(row.id)),
      version: Number(row.version),
      doc: typeof row.doc === 'string' ? (JSON.parse(row.doc) as unknown) : row.doc,
      updatedAt: row.updated_at as string,
      createdAt: new Date(row.created_at as string).toISOString(),
      deleted: row.deleted === true,
      changeNo: Number(row.change_no),
    }));
    from = Number(rows.at(-1)?.change_no ?? from);
    if (rows.length < AT_A_TIME) return;
    await new Promise((done) => setImmediate(done));
  }
}
