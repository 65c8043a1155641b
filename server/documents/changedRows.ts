import { and, inArray, isNull, sql } from 'drizzle-orm';
import { ownerIn, plainId, readableOwners, rowKey } from '../people/scope';
import { type KindName, documentKinds } from '#core/documents/registry';
import type { Database } from '../storage/open';
import { rowsOf } from '../storage/rows';
import { outings } from '../storage/schema';
import type { Row } from './store';

export interface ChangedRow extends Row {
  kind: KindName;
  changeNo: number;
  /** Whose it is; `id` is its name among theirs. */
  owner: string;
  deleted: boolean;
  createdAt: string;
}

/** So many rows are read at a time, and so many of them handed on before others are answered. */
const READ_AT_ONCE = 1000;
const HANDED_ON = 100;

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
      ) => sql`(select ${kind}::text as kind, id, version, doc, updated_at, created_at, deleted_at is not null as deleted, change_no
        from ${sql.identifier(documentKinds[kind].table)} where change_no > ${from} and owner in (${sql.join(
          readableOwners(kind).map((owner) => sql`${owner}`),
          sql`, `,
        )}) order by change_no limit ${READ_AT_ONCE})`,
    );
    const rows = await rowsOf<Record<string, unknown>>(
      db,
      sql`${sql.join(parts, sql` union all `)} order by change_no limit ${READ_AT_ONCE}`,
    );
    const read = rows.map((row) => ({
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
    for (let at = 0; at < read.length; at += HANDED_ON) {
      yield read.slice(at, at + HANDED_ON);
      await new Promise((done) => setImmediate(done));
    }
    from = read.at(-1)?.changeNo ?? from;
    if (rows.length < READ_AT_ONCE) return;
  }
}

/** What the place of an outing in the list goes by, read without the rest of it. */
export interface OutingRow {
  /** Its name among those of its owner. */
  id: string;
  changeNo: number;
  deleted: boolean;
  /** Its brief, with the day, nights and hours, as it is kept: of any form. */
  hours: unknown;
}
/** Outings of one's own that changed after a number, each by its hours alone. */
export async function changedOutings(db: Database, after: number): Promise<OutingRow[]> {
  const rows = await rowsOf<{ id: string; deleted: boolean; change_no: string | number; hours: unknown }>(
    db,
    sql`select id, deleted_at is not null as deleted, change_no, doc -> 'brief' as hours from ${outings}
      where change_no > ${after} and owner in (${sql.join(
        readableOwners('outings').map((owner) => sql`${owner}`),
        sql`, `,
      )}) order by change_no`,
  );
  return rows.map(({ id, deleted, change_no, hours }) => ({
    id: plainId(id),
    changeNo: Number(change_no),
    deleted,
    hours: typeof hours === 'string' ? (JSON.parse(hours) as unknown) : hours,
  }));
}
/** The rows of these outings of one's own that stand. */
export function outingRows(db: Database, list: readonly Pick<OutingRow, 'id'>[]) {
  return db
    .select()
    .from(outings)
    .where(
      and(
        isNull(outings.deletedAt),
        inArray(
          outings.id,
          list.map(({ id }) => rowKey(id)),
        ),
      ),
    );
}
