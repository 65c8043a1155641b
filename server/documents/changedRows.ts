import { and, asc, gt, inArray, isNull, sql } from 'drizzle-orm';
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
  /** In UTC without a zone: their order as text is the order of the times. */
  createdAt: string;
}

/** So many rows are read at a time, and so many of them handed on before others are answered. */
const READ_AT_ONCE = 5000;
const HANDED_ON = 100;

/** The number of the newest change there is or ever was. */
export async function newestChange(db: Database): Promise<number> {
  const [row] = await rowsOf<{ last: string | number; called: boolean }>(
    db,
    sql`select last_value as last, is_called as called from document_changes`,
  );
  return row?.called ? Number(row.last) : 0;
}

type RowArray = [
  ...[kind: KindName, key: string, version: number, doc: unknown],
  ...[updatedAt: string, createdAt: string, deleted: boolean, changeNo: number],
];
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
      ) => sql`(select ${kind}::text as kind, id, version, doc, updated_at, created_at, deleted_at, change_no
        from ${sql.identifier(documentKinds[kind].table)}
        where change_no > ${from} and owner in (${sql.join(
          readableOwners(kind).map((owner) => sql`${owner}`),
          sql`, `,
        )}) order by change_no limit ${READ_AT_ONCE})`,
    );
    // As one text: taking a thousand rows apart column by column costs as much again as reading them.
    const [all] = await rowsOf<{ rows: string | null }>(
      db,
      sql`select json_agg(json_build_array(kind, id, version, doc, updated_at,
        created_at at time zone 'utc', deleted_at is not null, change_no)
        order by change_no)::text as rows from (${sql.join(parts, sql` union all `)} order by change_no limit ${READ_AT_ONCE}) as changed`,
    );
    const rows = JSON.parse(all?.rows ?? '[]') as RowArray[];
    const read = rows.map(
      ([kind, key, version, doc, updatedAt, createdAt, deleted, changeNo]): ChangedRow => ({
        ...{
          kind,
          id: plainId(key),
          owner: ownerIn(key),
          version,
          doc,
          updatedAt,
          createdAt,
          deleted,
          changeNo,
        },
      }),
    );
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
  /** Date, launch, home and nights of its brief as they are kept, of any form; null what is not there. */
  hours: readonly (string | null)[];
}
/** Outings of one's own that changed after a number, each by its hours alone. */
export async function changedOutings(db: Database, after: number): Promise<OutingRow[]> {
  const rows = await db
    .select({
      ...{ id: outings.id, deletedAt: outings.deletedAt, changeNo: outings.changeNo, hours: outings.hours },
    })
    .from(outings)
    .where(and(gt(outings.changeNo, after), inArray(outings.owner, readableOwners('outings'))))
    .orderBy(asc(outings.changeNo));
  return rows.map(({ id, deletedAt, changeNo, hours }) => ({
    ...{ id: plainId(id), deleted: deletedAt !== null, changeNo, hours: hours ?? [] },
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
