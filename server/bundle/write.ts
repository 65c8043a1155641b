import { type SQL, asc, and, inArray, isNull } from 'drizzle-orm';
import { type BundleList, type BundlePart, bundleJsonSchema, kindsOf } from '#core/documents/bundle';
import type { KindName } from '#core/documents/registry';
import type { Item } from '#core/documents/item';
import type { Outing } from '#core/documents/outing';
import { type References, lookUp } from '#core/documents/references';
import { writeLockerCsv } from '#core/exchange/lockerCsv';
import { wayOf } from '#core/floatplan/make';
import { wayGpx } from '#core/exchange/wayGpx';
import { isSetAside, readRow } from '../documents/store';
import { ownOwners, plainId, rowKey } from '../people/scope';
import { bytesOf, pack, sumOf } from '../storage/archive';
import type { Database } from '../storage/open';
import { checkIns, documentTables, pictures, plansLeft, signatures, walkAnswers } from '../storage/schema';

type Bytes = Record<string, Uint8Array>;
/** Documents read at once. */
const AT_A_TIME = 200;
const json = (value: unknown) => bytesOf(JSON.stringify(value));
const iso = (at: string | Date) => new Date(at).toISOString();

/**
 * Chosen parts of a house, or all of it, as a zip that another house reads; with a table and ways that other
 * programs read.
 */
export async function writeBundle(
  db: Database,
  references: References,
  parts: readonly BundlePart[],
  now: number,
): Promise<Uint8Array> {
  const files: Bytes = { 'schema.json': bytesOf(JSON.stringify(bundleJsonSchema(), null, 1)) };
  for (const kind of kindsOf(parts)) {
    const carried: string[] = [];
    const read: unknown[] = [];
    for await (const rows of ownRows(db, kind))
      for (const row of rows) {
        const { version, updatedAt, doc } = row;
        carried.push(JSON.stringify({ version, updatedAt: iso(updatedAt), doc }));
        const one = readRow(kind, row);
        if (!isSetAside(one)) read.push(one.doc);
      }
    files[`documents/${kind}.json`] = bytesOf(`[${carried.join(',')}]`);
    if (kind === 'items') {
      const items = read as Item[];
      files['csv/things.csv'] = bytesOf(writeLockerCsv(items));
      Object.assign(files, await picturesOf(db, items));
    }
    if (kind === 'outings') {
      const outings = read as Outing[];
      Object.assign(files, await recordsOf(db, outings), waysOf(outings, references));
    }
  }
  const list: BundleList = {
    format: 'bundle/1',
    madeAt: new Date(now).toISOString(),
    parts: [...parts],
    files: Object.fromEntries(Object.entries(files).map(([path, bytes]) => [path, { sha256: sumOf(bytes) }])),
  };
  return pack({ 'bundle.json': bytesOf(JSON.stringify(list, null, 1)), ...files });
}

/** One's own documents of a kind in their order, some at a time, so that others are answered in between. */
async function* ownRows(db: Database, kind: KindName) {
  const table = documentTables[kind];
  for (let from = 0; ; from += AT_A_TIME) {
    const rows = await db
      .select()
      .from(table)
      .where(and(isNull(table.deletedAt), inArray(table.owner, ownOwners())))
      .orderBy(asc(table.createdAt), asc(table.id))
      .limit(AT_A_TIME)
      .offset(from);
    yield rows;
    if (rows.length < AT_A_TIME) return;
    await new Promise((done) => setImmediate(done));
  }
}

async function picturesOf(db: Database, items: readonly Item[]): Promise<Bytes> {
  const names = [...new Set(items.flatMap(({ photo }) => photo ?? []))];
  const rows = await inSome(names, (some) => db.select().from(pictures).where(inArray(pictures.id, some)));
  return Object.fromEntries(
    rows.map(({ id, mediaType, data }) => [
      `pictures/${id}.${mediaType.slice('image/'.length)}`,
      new Uint8Array(Buffer.from(data, 'base64')),
    ]),
  );
}

async function recordsOf(db: Database, outings: readonly Outing[]): Promise<Bytes> {
  const ids = outings.map(({ id }) => rowKey(id));
  type Recorded = typeof walkAnswers | typeof signatures | typeof plansLeft | typeof checkIns;
  const of = (table: Recorded, some: string[]): SQL => inArray(table.outingId, some);
  const [answers, signed, plans, said] = [
    await inSome(ids, (some) =>
      db.select().from(walkAnswers).where(of(walkAnswers, some)).orderBy(walkAnswers.id),
    ),
    await inSome(ids, (some) =>
      db.select().from(signatures).where(of(signatures, some)).orderBy(signatures.id),
    ),
    await inSome(ids, (some) => db.select().from(plansLeft).where(of(plansLeft, some)).orderBy(plansLeft.id)),
    await inSome(ids, (some) => db.select().from(checkIns).where(of(checkIns, some)).orderBy(checkIns.id)),
  ];
  return {
    'records/answers.json': json(
      answers.map(({ key, outingId, stepId, verdict, at, note, recordedAt, clockAheadMs }) => ({
        ...{
          key,
          outingId: plainId(outingId),
          stepId,
          verdict,
          at: iso(at),
          note,
          recordedAt: iso(recordedAt),
          clockAheadMs,
        },
      })),
    ),
    'records/signatures.json': json(
      signed.map(({ outingId, signedAt, hash, judged, key }) => ({
        outingId: plainId(outingId),
        signedAt: iso(signedAt),
        hash,
        judged,
        key,
      })),
    ),
    'records/plans.json': json(
      plans.map(({ key, outingId, plan, leftAt }) => ({
        key,
        outingId: plainId(outingId),
        plan,
        leftAt: iso(leftAt),
      })),
    ),
    'records/check-ins.json': json(
      said.map(({ key, outingId, what, at, homeBy, recordedAt, clockAheadMs }) => ({
        ...{
          key,
          outingId: plainId(outingId),
          what,
          at: iso(at),
          homeBy: homeBy === null ? null : iso(homeBy),
        },
        ...{ recordedAt: iso(recordedAt), clockAheadMs },
      })),
    ),
  };
}

/** A file of each outing that has a way. */
function waysOf(outings: readonly Outing[], references: References): Bytes {
  const files: Bytes = {};
  for (const outing of outings) {
    const way = wayOf(outing, lookUp(outing, references));
    if (way.length < 2) continue;
    const name = `${outing.brief.date}-${outing.id}`.replace(/[^A-Za-z0-9-]/g, '-').slice(0, 120);
    files[`gpx/${name}.gpx`] = bytesOf(wayGpx({ title: outing.title, way }));
  }
  return files;
}

/** Asked a thousand at a time: a question has only so many places. */
async function inSome<T>(ids: readonly string[], ask: (some: string[]) => Promise<T[]>): Promise<T[]> {
  const all: T[] = [];
  for (let at = 0; at < ids.length; at += 1000) all.push(...(await ask(ids.slice(at, at + 1000))));
  return all;
}
