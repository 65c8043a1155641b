import { once } from 'node:events';
import { createServer } from 'node:net';
import { Pool } from 'pg';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newItem } from '#core/editing/newItem';
import { ensureBuilt } from '../scripts/prepare.mjs';
import { buildApp } from './app';
import { openServer } from './storage/open';
import { loadDemo } from './sample/demo';
import { isDatabaseAway } from './storage/trouble';
import { type RunningPostgres, postgresPrograms, startPostgres } from './testing/startPostgres';
import { startServer } from './testing/startServer';

const bin = postgresPrograms();
const MIGRATIONS = 'server/storage/migrations';
const json = { 'content-type': 'application/json' };
const front = (url: string) => fetch(`${url}/api/summaries?today=2000-01-01`);
const idsOf = async (url: string) => {
  const page = (await (await front(url)).json()) as { ahead: { id: string }[] };
  return page.ahead.map((one) => one.id);
};

describe.skipIf(bin === null)('a PostgreSQL server', () => {
  let postgres: RunningPostgres;
  let admin: Pool;
  beforeAll(async () => {
    await ensureBuilt();
    postgres = await startPostgres(bin ?? '');
    admin = new Pool({ connectionString: postgres.url(), max: 2 });
    admin.on('error', () => undefined);
  }, 120_000);
  afterAll(async () => {
    await admin.end();
    await postgres.stop();
  });
  const newDatabase = async (name: string) => {
    await admin.query(`create database ${name}`);
    return postgres.url(name);
  };

  it('keeps the same house as the folder does, through a restart', async () => {
    const env = { DATABASE_URL: await newDatabase('same') };
    const first = await startServer(env);
    expect((await idsOf(first.url)).length).toBeGreaterThan(1);
    await fetch(`${first.url}/api/outings/zander-dusk?version=1`, { method: 'DELETE' });
    expect(await first.kill('SIGINT')).toBe(0);
    const second = await startServer(env);
    const left = await idsOf(second.url);
    expect(left).toContain('pollack-long-grey');
    expect(left).not.toContain('zander-dusk');
    expect(await second.kill('SIGINT')).toBe(0);
  }, 120_000);

  it('is migrated and furnished once by two that start on it at the same moment', async () => {
    const url = await newDatabase('twins');
    const both = await Promise.all([openServer(url, MIGRATIONS), openServer(url, MIGRATIONS)]);
    const furnished = await Promise.all(
      both.map(({ db }) => loadDemo(db, Date.parse('2026-05-15T19:00:00Z'))),
    );
    expect(furnished.toSorted()).toEqual([false, true]);
    await Promise.all(both.map(({ close }) => close()));
  }, 120_000);

  it('signs people in for every process on it, holds guesses up in all of them, and goes on when one is killed', async () => {
    const env = { DATABASE_URL: await newDatabase('people'), TALLY_ACCOUNTS: '1', TALLY_DEMO: '0' };
    const one = await startServer(env);
    await expect.poll(() => one.said(), { timeout: 10_000 }).toMatch(/first-keeper#\S+/);
    const token = /first-keeper#(\S+)/.exec(one.said())?.[1] ?? '';
    const other = await startServer(env);
    const post = (url: string, path: string, body: object, cookie = '') =>
      fetch(url + path, { method: 'POST', headers: { ...json, cookie }, body: JSON.stringify(body) });
    const first = await post(one.url, '/api/first', { token, name: 'Ada', password: 'a long enough one' });
    expect(first.status).toBe(201);
    const cookie = first.headers.getSetCookie()[0]?.split(';')[0] ?? '';
    expect((await fetch(`${other.url}/api/references`, { headers: { cookie } })).status).toBe(200);
    expect(
      (await post(other.url, '/api/first', { token, name: 'Eve', password: 'a long enough one' })).status,
    ).toBe(404);
    // Guesses at either count for both.
    const guess = (url: string) => post(url, '/api/sign-in', { name: 'Ada', password: 'guess' });
    for (let i = 0; i < 5; i += 1) await guess(i % 2 === 0 ? one.url : other.url);
    expect((await guess(one.url)).status).toBe(429);
    expect((await guess(other.url)).status).toBe(429);
    expect(await one.kill('SIGKILL')).toBeNull();
    expect((await fetch(`${other.url}/api/summaries?today=2000-01-01`, { headers: { cookie } })).status).toBe(
      200,
    );
    await post(other.url, '/api/sign-out', {}, cookie);
    expect((await fetch(`${other.url}/api/references`, { headers: { cookie } })).status).toBe(401);
    expect(await other.kill('SIGINT')).toBe(0);
  }, 120_000);

  // These wait more than they work: side by side.
  it.concurrent('is waited for while another start migrates it, longer than any statement may take', async () => {
    const url = await newDatabase('slow');
    const holder = new Pool({ connectionString: url, max: 1 });
    const client = await holder.connect();
    await client.query('select pg_advisory_lock(7401)');
    let done = false;
    const opening = openServer(url, MIGRATIONS).finally(() => {
      done = true;
    });
    await new Promise((wait) => setTimeout(wait, 11_000));
    expect(done).toBe(false);
    client.release(true);
    await holder.end();
    await (await opening).close();
  }, 120_000);

  it.concurrent('may break a connection off in the middle of a transaction: the server goes on', async () => {
    const url = await newDatabase('broken');
    const running = await startServer({ DATABASE_URL: url });
    const batch = (i: number) =>
      fetch(`${running.url}/api/batches/items`, {
        method: 'POST',
        headers: json,
        body: JSON.stringify({
          create: Array.from({ length: 200 }, (_, n) => newItem(`b${i}-${n}`, 'whistle')),
        }),
      }).then((reply) => reply.status);
    const work = Array.from({ length: 12 }, (_, i) => batch(i));
    for (let i = 0; i < 10; i += 1) {
      await admin.query("select pg_terminate_backend(pid) from pg_stat_activity where datname = 'broken'");
      await new Promise((done) => setTimeout(done, 60));
    }
    for (const status of await Promise.all(work)) expect([200, 503]).toContain(status);
    // A connection cut while it rested may be lent out once more before its end is heard of, each of the
    // eight: that is said, and the next is a new one.
    for (let tries = 0, status = 503; status !== 200; tries += 1) {
      expect([tries <= 8, status]).toEqual([true, 503]);
      ({ status } = await front(running.url));
    }
    expect((await idsOf(running.url)).length).toBeGreaterThan(1);
    expect(await running.kill('SIGINT')).toBe(0);
  }, 120_000);

  it.concurrent('takes batches in opposite order from many at once, each whole, with no failure', async () => {
    const { db, close } = await openServer(await newDatabase('opposite'), MIGRATIONS);
    const app = await buildApp({ db, now: () => Date.now(), webRoot: null, log: false });
    const ids = Array.from({ length: 40 }, (_, i) => `thing-${i}`);
    await app.inject({
      method: 'POST',
      url: '/api/batches/items',
      payload: { create: ids.map((id) => newItem(id, 'whistle')) },
    });
    const round = async (order: readonly string[], note: string) => {
      const { items } = (await app.inject({ url: '/api/references' })).json();
      const version = new Map(
        items.changed.map((one: { version: number; doc: { id: string } }) => [one.doc.id, one.version]),
      );
      const change = order.map((id) => ({
        version: version.get(id),
        doc: { ...newItem(id, 'whistle'), note },
      }));
      return (await app.inject({ method: 'POST', url: '/api/batches/items', payload: { change } }))
        .statusCode;
    };
    const statuses = await Promise.all(
      Array.from({ length: 10 }, (_, i) => round(i % 2 === 0 ? ids : ids.toReversed(), `by ${i}`)),
    );
    for (const status of statuses) expect([200, 409]).toContain(status);
    expect(statuses).toContain(200);
    const { items } = (await app.inject({ url: '/api/references' })).json();
    const notes = new Set(items.changed.map((one: { doc: { note: string } }) => one.doc.note));
    expect(notes.size, 'no batch is half in').toBe(1);
    await app.close();
    await close();
  }, 120_000);

  it.concurrent('that is locked is answered with 503 in a sentence, and answers again when it is let go', async () => {
    const { db, close } = await openServer(await newDatabase('locked'), MIGRATIONS);
    const app = await buildApp({ db, now: () => Date.now(), webRoot: null, log: false });
    const holder = new Pool({ connectionString: postgres.url('locked'), max: 1 });
    const client = await holder.connect();
    await client.query('begin; lock table items in access exclusive mode');
    const post = () =>
      app.inject({ method: 'POST', url: '/api/items', payload: { doc: newItem('one', 'whistle') } });
    const shut = await post();
    expect(shut.statusCode).toBe(503);
    expect(shut.json().detail).toMatch(/^The database does not answer just now\. Nothing was changed/);
    await client.query('rollback');
    client.release();
    await holder.end();
    expect((await post()).statusCode).toBe(201);
    await app.close();
    await close();
  }, 120_000);
});

describe('a database that is not there', () => {
  it.concurrent('is said so at the start, with the cause', async () => {
    await expect(startServer({ DATABASE_URL: 'postgres://tally@127.0.0.1:1/none' })).rejects.toThrow(
      /^exit 1: The database at DATABASE_URL cannot be opened: .*ECONNREFUSED.*\.\n$/,
    );
  });
  it.concurrent('but answers the door and says nothing is not waited for', async () => {
    const silent = createServer(() => undefined).listen(0, '127.0.0.1');
    await once(silent, 'listening');
    const address = silent.address();
    const port = typeof address === 'object' && address ? address.port : 0;
    const opened = openServer(`postgres://tally@127.0.0.1:${port}/none`, MIGRATIONS).catch(
      (error: unknown) => error,
    );
    const error = await opened;
    expect(isDatabaseAway(error)).toBe(true);
    silent.close();
  }, 60_000);
});
