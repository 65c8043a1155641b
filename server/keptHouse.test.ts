import { forms } from '#core/documents/forms';
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { sql } from 'drizzle-orm';
import { drizzle } from 'drizzle-orm/pglite';
import { migrate } from 'drizzle-orm/pglite/migrator';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { buildApp } from './app';
import sample from './testing/samples/house-of-form-1.json';
import { hashOf } from './walkround/snapshotHash';

const MIGRATIONS = 'server/storage/migrations';
/** The migrations that the sample's program knew. */
const KNOWN = 3;
const folder = mkdtempSync(join(tmpdir(), 'tally-kept-'));
const client = new PGlite();
const db = drizzle(client, { casing: 'snake_case' });
const signedAt = sample.signatures[0]?.signed_at ?? '';
let app: Awaited<ReturnType<typeof buildApp>>;

beforeAll(async () => {
  cpSync(MIGRATIONS, folder, { recursive: true });
  const journal = join(folder, 'meta/_journal.json');
  const all = JSON.parse(readFileSync(journal, 'utf8')) as { entries: object[] };
  writeFileSync(journal, JSON.stringify({ ...all, entries: all.entries.slice(0, KNOWN) }));
  await migrate(db, { migrationsFolder: folder });
  for (const table of [
    'anglers',
    'craft',
    'items',
    'waters',
    'rule_packs',
    'species',
    'outings',
    'walk_answers',
    'signatures',
    'house',
  ])
    await client.query(
      `insert into ${table} select * from json_populate_recordset(null::${table}, $1::json)`,
      [JSON.stringify(sample[table as keyof typeof sample])],
    );
  await migrate(db, { migrationsFolder: MIGRATIONS });
  app = await buildApp({
    db: db as never,
    now: () => Date.parse(signedAt) + 3_600_000,
    webRoot: null,
    log: false,
  });
});
afterAll(async () => {
  await app.close();
  await client.close();
  rmSync(folder, { recursive: true, force: true });
});

const get = async (url: string) => (await app.inject({ url })).json();

describe('a house kept by the program of the first forms', () => {
  it('opens with every document in it, none set aside', async () => {
    const references = await get('/api/references');
    expect(references.setAside).toEqual([]);
    for (const [name, rows] of [
      ['anglers', sample.anglers],
      ['craft', sample.craft],
      ['items', sample.items],
      ['waters', sample.waters],
      ['rulePacks', sample.rule_packs],
      ['species', sample.species],
    ] as const)
      expect(references[name].changed, name).toHaveLength(rows.length);
    const page = await get('/api/summaries?today=2000-01-01');
    expect(page.setAside).toEqual([]);
    expect(page.ahead.map((one: { id: string }) => one.id).sort()).toEqual([
      'cod-wreck',
      'pollack-long-grey',
    ]);
  });
  it('has its signature still good, over the text that was sealed', async () => {
    const page = await get('/api/summaries?today=2000-01-01');
    const signed = page.ahead.find((one: { id: string }) => one.id === 'pollack-long-grey');
    expect(signed.signed).toMatchObject({ stale: false });
    const { signature } = await get('/api/outings/pollack-long-grey/walk-round');
    expect(signature.hash).toBe(sample.signatures[0]?.hash);
    expect(hashOf(signature.judged)).toBe(signature.hash);
  });
  it('has its log, its answered Minds and its answers', async () => {
    const logged = await get('/api/outings/pollack-long-grey');
    expect(logged.doc.log).toMatchObject({ launchedAt: '05:12', note: 'A quiet morning.' });
    expect((await get('/api/outings/cod-wreck')).doc.accepted).toHaveLength(1);
    expect((await get('/api/outings/pollack-long-grey/walk-round')).answers).toHaveLength(
      sample.walk_answers.length,
    );
  });
  it('brings back what was deleted in it', async () => {
    const reply = await app.inject({ method: 'POST', url: '/api/outings/zander-dusk/restore', payload: {} });
    expect(reply.statusCode).toBe(200);
    expect(reply.json().doc.format).toBe(forms.outings);
  });
  it('has the picture that lay inside an item by its own address', async () => {
    const item = (await get('/api/items/my-own-thing')).doc;
    const was = sample.items.find(({ id }) => id === 'my-own-thing')?.doc.photo ?? '';
    const picture = await app.inject({ url: `/api/pictures/${item.photo}` });
    expect(picture.rawPayload.toString('base64')).toBe(was.split(',')[1]);
  });
  it('writes a document back in today’s form when it is next saved, and not before', async () => {
    const formOf = async () =>
      (
        await db.execute<{ form: string }>(
          sql`select doc->>'format' as form from outings where id = 'cod-wreck'`,
        )
      ).rows[0]?.form;
    expect(await formOf()).toBe('outing/1');
    const { version, doc } = await get('/api/outings/cod-wreck');
    await app.inject({ method: 'PUT', url: '/api/outings/cod-wreck', payload: { version, doc } });
    expect(await formOf()).toBe(forms.outings);
  });
  it('takes a document of the first form from a page that was open through the update', async () => {
    const { version } = await get('/api/outings/cod-wreck');
    const old = sample.outings.find(({ id }) => id === 'cod-wreck')?.doc;
    const reply = await app.inject({
      method: 'PUT',
      url: '/api/outings/cod-wreck',
      payload: { version, doc: old },
    });
    expect(reply.statusCode).toBe(200);
    expect(reply.json().doc.format).toBe(forms.outings);
  });
});
