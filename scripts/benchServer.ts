import { gzipSync } from 'node:zlib';
import type { FastifyInstance } from 'fastify';
import { newItem } from '#core/editing/newItem';
import type { Outing } from '#core/documents/outing';
import { addDays } from '#core/units/time';
import { buildApp } from '../server/app';
import { isPassword, passwordHash } from '../server/people/secrets';
import { type Person, peopleStore } from '../server/people/store';
import { loadDemo } from '../server/sample/demo';
import type { OpenDatabase } from '../server/storage/open';
import { inTransaction } from '../server/storage/transaction';
import { documentTables } from '../server/storage/schema';

/** What a club's server takes; milliseconds at the 95th of a hundred. */
export interface ServerFigures {
  /** The list as it is asked for first after a start, and how the machine was then: 1 as usual, 2 twice as slow. */
  firstListMs: number;
  machine: number;
  /** References whole, and after one change, as they travel: kB. */
  wholeKb: number;
  changesKb: number;
  listMs: number;
  openMs: number;
  saveMs: number;
  /** One sign-in, by what the password costs. */
  signInMs: number;
  /**
   * Of clients that read and save at once: how often they asked, what failed, and their 95th of a hundred.
   */
  together: { asked: number; failed: number; p95Ms: number };
}

const ROWS_AT_ONCE = 500;
const PASSWORD = 'a long enough one';

/** One person with a great house among many with small ones, asked as browsers ask. */
export async function measureServer(
  { db, close }: OpenDatabase,
  size: { things: number; outings: number; people: number; clients: number; forMs: number; asked: number },
  now: number,
  machineNow: () => number,
): Promise<ServerFigures> {
  await loadDemo(db, now);
  const people = peopleStore(db, () => now);
  const hash = await passwordHash(PASSWORD);
  const everyone: Person[] = [];
  for (let i = 0; i < size.people; i += 1) {
    const added = await inTransaction(db, (tx) =>
      peopleStore(tx, () => now).add(`Person ${i}`, hash, { first: i === 0 }),
    );
    if (added) everyone.push(added);
  }
  const into = async (table: typeof documentTables.items, docs: { key: string; doc: object }[]) => {
    for (let i = 0; i < docs.length; i += ROWS_AT_ONCE)
      await db
        .insert(table)
        .values(docs.slice(i, i + ROWS_AT_ONCE).map(({ key, doc }) => ({ id: key, version: 1, doc })));
  };
  const outings = documentTables.outings as unknown as typeof documentTables.items;
  const [like] = (await db.select().from(outings).limit(1)).map(({ doc }) => doc as unknown as Outing);
  if (!like) throw new Error('The sample has an outing.');
  const thing = (id: string) => newItem(id, 'whistle');
  const outing = (id: string, i: number) => ({
    ...like,
    id,
    brief: { ...like.brief, date: addDays(like.brief.date, (i % 700) - 600) },
  });
  const of = (owner: string, id: string) => (owner === '' ? id : `${owner}~${id}`);
  const many = <T>(count: number, make: (i: number) => T) => Array.from({ length: count }, (_, i) => make(i));
  await into(
    documentTables.items,
    many(size.things, (i) => ({ key: `thing-${i}`, doc: thing(`thing-${i}`) })),
  );
  await into(
    outings,
    many(size.outings, (i) => ({ key: `outing-${i}`, doc: outing(`outing-${i}`, i) })),
  );
  for (const { owner } of everyone.slice(1)) {
    await into(
      documentTables.items,
      many(30, (i) => ({ key: of(owner, `thing-${i}`), doc: thing(`thing-${i}`) })),
    );
    await into(
      outings,
      many(3, (i) => ({ key: of(owner, `outing-${i}`), doc: outing(`outing-${i}`, i) })),
    );
  }
  const app = await buildApp({ db, now: () => now, webRoot: null, log: false, accounts: true });
  const cookies = await Promise.all(
    everyone.slice(0, size.clients).map(async ({ id }) => `tally=${await people.begin(id, 'bench')}`),
  );
  const [great = ''] = cookies;
  const today = new Date(now).toISOString().slice(0, 10);
  const list = `/api/summaries?today=${today}`;
  const times = async (work: () => Promise<number>) => {
    const all: number[] = [];
    for (let i = 0; i < size.asked; i += 1) all.push(await work());
    return p95(all);
  };
  // As a server that listens: what it is made of is put together.
  await app.ready();
  const before = machineNow();
  const firstListMs = await ask(app, great, 'GET', list);
  const machine = (before + machineNow()) / 2;
  const references = async (query: string) =>
    (await app.inject({ url: `/api/references?${query}`, headers: { cookie: great } })).body;
  const whole = await references('since=0');
  const { at, series } = JSON.parse(whole) as { at: number; series: string };
  await app.inject({
    ...{ method: 'POST', url: '/api/items', headers: { cookie: great } },
    payload: { doc: thing('one-more') },
  });
  const kb = (text: string) => gzipSync(text).length / 1000;
  const figures = {
    firstListMs,
    machine,
    wholeKb: kb(whole),
    changesKb: kb(await references(`since=${at}&series=${series}`)),
    listMs: await times(() => ask(app, great, 'GET', list)),
    openMs: await times(async () => {
      const from = performance.now();
      await Promise.all(
        ['', '/walk-round', '/word'].map((part) => ask(app, great, 'GET', `/api/outings/outing-600${part}`)),
      );
      return performance.now() - from;
    }),
    saveMs: await times(() => save(app, great, 'outing-600')),
    signInMs: await costOf(() => isPassword(PASSWORD, hash)),
  };
  let failed = 0;
  const waited: number[] = [];
  const until = performance.now() + size.forMs;
  await Promise.all(
    cookies.map(async (cookie, i) => {
      for (let turn = 0; performance.now() < until; turn += 1) {
        const work =
          turn % 3 === 2
            ? save(app, cookie, 'outing-1')
            : ask(app, cookie, 'GET', turn % 3 === 0 ? list : '/api/outings/outing-1');
        await work.then(
          (ms) => waited.push(ms),
          () => (failed += 1),
        );
        // Whoever reads is not asking all the time.
        await new Promise((done) => setTimeout(done, 400 + ((i * 37) % 400)));
      }
    }),
  );
  await app.close();
  await close();
  return { ...figures, together: { asked: waited.length + failed, failed, p95Ms: p95(waited) } };
}

async function ask(
  app: FastifyInstance,
  cookie: string,
  method: 'GET' | 'PUT',
  url: string,
  payload?: object,
): Promise<number> {
  const from = performance.now();
  const reply = await app.inject({ method, url, headers: { cookie }, ...(payload ? { payload } : {}) });
  if (reply.statusCode !== 200) throw new Error(`${url}: ${reply.statusCode} ${reply.body.slice(0, 200)}`);
  return performance.now() - from;
}
async function save(app: FastifyInstance, cookie: string, id: string): Promise<number> {
  const url = `/api/outings/${id}`;
  const kept = (await app.inject({ url, headers: { cookie } })).json<{ version: number; doc: Outing }>();
  const doc = { ...kept.doc, title: `Saved ${kept.version}` };
  return ask(app, cookie, 'PUT', url, { version: kept.version, doc });
}
async function costOf(work: () => Promise<unknown>): Promise<number> {
  const all: number[] = [];
  for (let i = 0; i < 7; i += 1) {
    const from = performance.now();
    await work();
    all.push(performance.now() - from);
  }
  return all.sort((a, b) => a - b)[3] ?? NaN;
}
function p95(all: readonly number[]): number {
  const sorted = [...all].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length * 0.95)] ?? NaN;
}
