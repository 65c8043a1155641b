import { type ChildProcess, spawn, spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Outing } from '#core/documents/outing';
import { newItem } from '#core/editing/newItem';
import { demo } from '#core/demo/demo';
import { migrationsOf, readBackup } from '../backup/backup';
import { listBackups } from '../backup/folder';
import { openEmbedded } from '../storage/open';
import { buildApp } from '../app';
import { loadDemo } from '../storage/demo';
import { postgresPrograms, startPostgres } from './startPostgres';
import { type Running, startServer } from './startServer';
import { readDump } from './makeDump';

/*
 * What can go wrong on a machine, done on purpose to the product as it is started: each trial says how often it did so, what was lost
 * that had been acknowledged, and what else was not as it ought to be.
 */
export interface Outcome {
  tried: number;
  /** What was lost or wrong, in words; empty: nothing. */
  lost: string[];
  /** Why it was not tried; null: it was. */
  leftOut: string | null;
}
export interface Trial {
  name: string;
  run: (chance: Chance, rounds: number) => Promise<Outcome>;
}
/** A number from 0 up to one less than the given, from a seed. */
export type Chance = (of: number) => number;
export function chanceFrom(seed: number): Chance {
  let state = seed;
  return (of) => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * of);
  };
}

const MIGRATIONS = 'server/storage/migrations';
const OUTING = 'zander-dusk';
const json = { 'content-type': 'application/json' };
const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
const good = (tried: number, lost: string[]): Outcome => ({ tried, lost, leftOut: null });

async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-fault-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
const start = (data: string, more: Record<string, string> = {}) =>
  startServer({ TALLY_DATA: data, ...more }, ['dist/server/main.js']);
const send = (url: string, method: string, body?: object) =>
  fetch(url, { method, headers: json, ...(body ? { body: JSON.stringify(body) } : {}) });
async function read<T>(url: string): Promise<T> {
  const reply = await fetch(url);
  if (!reply.ok) throw new Error(`${url}: ${reply.status}`);
  return (await reply.json()) as T;
}
type KeptOuting = { version: number; doc: Outing };
type Things = { items: { changed: { doc: { id: string } }[] } };
const thingsOf = async (url: string) =>
  (await read<Things>(`${url}/api/references`)).items.changed.map(({ doc }) => doc.id);
/** Kills after a while; what was on its way is answered with nothing. */
async function killedDuring(running: Running, afterMs: number, work: Promise<unknown>): Promise<void> {
  const over = work.catch(() => undefined);
  await pause(afterMs);
  await running.kill('SIGKILL');
  await over;
}

const writes: Trial = {
  name: 'killed while outings are saved',
  run: (chance, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      let acknowledged = 0;
      let running = await start(data);
      for (let round = 0; round < rounds; round += 1) {
        let said: KeptOuting = await read(`${running.url}/api/outings/${OUTING}`);
        const saving = (async () => {
          for (;;) {
            const reply = await send(`${running.url}/api/outings/${OUTING}`, 'PUT', {
              version: said.version,
              doc: { ...said.doc, title: `Round ${round}, ${acknowledged}` },
            });
            said = (await reply.json()) as KeptOuting;
            acknowledged += 1;
          }
        })();
        await killedDuring(running, 100 + chance(600), saving);
        running = await start(data);
        const kept: KeptOuting = await read(`${running.url}/api/outings/${OUTING}`);
        // One more may have been kept than was answered; never one less, nor another.
        if (kept.version < said.version || (kept.version === said.version && kept.doc.title !== said.doc.title))
          lost.push(`round ${round}: version ${said.version} was acknowledged, ${kept.version} is kept`);
      }
      await running.kill('SIGKILL');
      return good(acknowledged, lost);
    }),
};

const batches: Trial = {
  name: 'killed while many things come in at once',
  run: (chance, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      let running = await start(data);
      for (let round = 0; round < rounds; round += 1) {
        const before = (await thingsOf(running.url)).length;
        const create = Array.from({ length: 400 }, (_, i) => newItem(`r${round}-${i}`, 'whistle'));
        let answered = false;
        const sending = send(`${running.url}/api/batches/items`, 'POST', { create }).then((reply) => {
          answered = reply.ok;
        });
        await killedDuring(running, 20 + chance(500), sending);
        running = await start(data);
        const came = (await thingsOf(running.url)).length - before;
        if (came !== 0 && came !== 400) lost.push(`round ${round}: ${came} of 400 came in`);
        if (answered && came !== 400) lost.push(`round ${round}: acknowledged, and ${came} are there`);
      }
      await running.kill('SIGKILL');
      return good(rounds, lost);
    }),
};

const firstStart: Trial = {
  name: 'killed while a new house is made and migrated',
  run: async (chance, rounds) => {
    const lost: string[] = [];
    for (let round = 0; round < rounds; round += 1)
      await inFolder(async (folder) => {
        const data = join(folder, 'data');
        const child: ChildProcess = spawn(process.execPath, ['dist/server/main.js'], {
          env: { ...process.env, PORT: '0', DATABASE_URL: '', TALLY_DATA: data },
          stdio: 'ignore',
        });
        await pause(200 + chance(3500));
        child.kill('SIGKILL');
        await new Promise((done) => child.once('exit', done));
        const again = await start(data).catch((error: unknown) => String(error));
        if (typeof again === 'string') {
          // A folder that was only half made may be refused, in a sentence; it holds nothing yet.
          if (!/is not empty and not a whole database/.test(again)) lost.push(`round ${round}: ${again.slice(0, 200)}`);
          return;
        }
        const { items, waters } = await read<Things & { waters: { changed: unknown[] } }>(
          `${again.url}/api/references`,
        );
        const whole = demo(0).references;
        if (items.changed.length !== whole.items.length || waters.changed.length !== whole.waters.length)
          lost.push(`round ${round}: ${items.changed.length} things of the sample`);
        await again.kill('SIGKILL');
      });
    return good(rounds, lost);
  },
};

const imports: Trial = {
  name: 'killed while a bundle comes in',
  run: (chance, rounds) =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const from = await start(join(folder, 'from'));
      const bundle = Buffer.from(await (await fetch(`${from.url}/api/bundle?parts=things,outings`)).arrayBuffer());
      await from.kill('SIGKILL');
      const file = bundle.toString('base64');
      for (let round = 0; round < rounds; round += 1) {
        const data = join(folder, `into-${round}`);
        let into = await start(data, { TALLY_DEMO: '0' });
        const { documents } = (await (await send(`${into.url}/api/bundle/look`, 'POST', { file })).json()) as {
          documents: { kind: string; id: string; here: number | null }[];
        };
        const take = documents.map(({ kind, id, here }) => ({ choice: `${kind}/${id}`, here }));
        const things = documents.filter(({ kind }) => kind === 'items').length;
        const sending = send(`${into.url}/api/bundle/bring-in`, 'POST', { file, key: crypto.randomUUID(), take });
        await killedDuring(into, 20 + chance(700), sending);
        into = await start(data, { TALLY_DEMO: '0' });
        const came = (await thingsOf(into.url)).length;
        if (came !== 0 && came !== things) lost.push(`round ${round}: ${came} of ${things}`);
        await into.kill('SIGKILL');
      }
      return good(rounds, lost);
    }),
};

const backups: Trial = {
  name: 'killed while a backup is written',
  run: (chance, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const folder = join(data, 'backups');
      const memory = await openEmbedded({ dump: readDump() }, MIGRATIONS);
      const ours = await migrationsOf(memory.db);
      await memory.close();
      for (let round = 0; round < rounds; round += 1) {
        const running = await start(data);
        await killedDuring(running, chance(700), send(`${running.url}/api/backups`, 'POST', {}));
        for (const { name } of await listBackups(folder))
          await readBackup(readFileSync(join(folder, name)), ours).catch(() =>
            lost.push(`round ${round}: ${name} is not whole`),
          );
      }
      return good(rounds, lost);
    }),
};

const restores: Trial = {
  name: 'killed while a backup is put back',
  run: (chance, rounds) =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const [data, kept] = [join(folder, 'data'), join(folder, 'kept')];
      let running = await start(data, { TALLY_BACKUPS: kept });
      const { name } = (await (await send(`${running.url}/api/backups`, 'POST', {})).json()) as { name: string };
      const inBackup = (await thingsOf(running.url)).length;
      await send(`${running.url}/api/batches/items`, 'POST', { create: [newItem('added-since', 'whistle')] });
      await running.kill('SIGKILL');
      for (let round = 0; round < rounds; round += 1) {
        const child = spawn(
          process.execPath,
          ['--import', 'tsx', 'server/backup/cli.ts', 'restore', join(kept, name), '--yes'],
          { env: { ...process.env, DATABASE_URL: '', TALLY_DATA: data, TALLY_BACKUPS: kept }, stdio: 'ignore' },
        );
        await Promise.race([pause(1500 + chance(5000)), new Promise((done) => child.once('exit', done))]);
        child.kill('SIGKILL');
        running = await start(data, { TALLY_BACKUPS: kept });
        const there = (await thingsOf(running.url)).length;
        if (there !== inBackup && there !== inBackup + 1)
          lost.push(`round ${round}: ${there} things, neither ${inBackup} nor ${inBackup + 1}`);
        await running.kill('SIGKILL');
      }
      return good(rounds, lost);
    }),
};

const fullDisk: Trial = {
  name: 'the disk is full',
  run: (_, rounds) =>
    inFolder(async (folder) => {
      const mounted = join(folder, 'small');
      mkdirSync(mounted);
      if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=120m', 'tmpfs', mounted]).status !== 0)
        return { tried: 0, lost: [], leftOut: 'a small disk cannot be mounted here' };
      try {
        const lost: string[] = [];
        const data = join(mounted, 'data');
        let running = await start(data);
        let acknowledged = 0;
        for (let round = 0; round < rounds; round += 1) {
          const filler = join(mounted, 'filler');
          spawnSync('dd', ['if=/dev/zero', `of=${filler}`, 'bs=64k'], { stdio: 'ignore' });
          let refused = false;
          for (let i = 0; i < 40 && !refused; i += 1) {
            const create = Array.from({ length: 200 }, (_, n) => newItem(`f${round}-${i}-${n}`, 'whistle'));
            const reply = await send(`${running.url}/api/batches/items`, 'POST', { create }).catch(() => null);
            if (reply?.ok) acknowledged += create.length;
            else refused = true;
          }
          if (!refused) lost.push(`round ${round}: the disk was never full`);
          rmSync(filler);
          await running.kill('SIGKILL');
          running = await start(data);
          const there = (await thingsOf(running.url)).filter((id) => id.startsWith('f')).length;
          if (there < acknowledged) lost.push(`round ${round}: ${acknowledged} acknowledged, ${there} kept`);
          acknowledged = there;
        }
        await running.kill('SIGKILL');
        return good(rounds, lost);
      } finally {
        spawnSync('umount', ['-l', mounted]);
      }
    }),
};

const unwritable: Trial = {
  name: 'folders that cannot be written to',
  run: () =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const file = join(folder, 'a-file');
      writeFileSync(file, '');
      const said = await start(join(file, 'data')).then(
        () => 'it started',
        (error: unknown) => String(error),
      );
      if (!/cannot be written to \(ENOTDIR\)\.\n$/.test(said)) lost.push(said.slice(0, 200));
      const running = await start(join(folder, 'data'), { TALLY_BACKUPS: file });
      const reply = await send(`${running.url}/api/backups`, 'POST', {});
      const { detail } = (await reply.json()) as { detail: string };
      if (reply.status !== 409 || !/No backup could be written/.test(detail)) lost.push(`${reply.status}: ${detail}`);
      if (readdirSync(folder).some((name) => name.endsWith('.part'))) lost.push('half a backup lies there');
      await running.kill('SIGKILL');
      return good(2, lost);
    }),
};

const databaseAway: Trial = {
  name: 'the database server is restarted',
  run: async (_, rounds) => {
    const bin = postgresPrograms();
    if (bin === null) return { tried: 0, lost: [], leftOut: 'Debian’s postgresql is not installed' };
    const lost: string[] = [];
    const postgres = await startPostgres(bin);
    const running = await startServer({ DATABASE_URL: postgres.url() }, ['dist/server/main.js']);
    const { version, doc } = await read<KeptOuting>(`${running.url}/api/outings/${OUTING}`);
    let at = version;
    for (let round = 0; round < rounds; round += 1) {
      const title = `Before ${round}`;
      const saved = await send(`${running.url}/api/outings/${OUTING}`, 'PUT', { version: at, doc: { ...doc, title } });
      at = ((await saved.json()) as KeptOuting).version;
      await postgres.restart();
      let back: KeptOuting | null = null;
      const until = Date.now() + 15_000;
      while (!back && Date.now() < until) {
        const reply = await fetch(`${running.url}/api/outings/${OUTING}`);
        if (reply.ok) back = (await reply.json()) as KeptOuting;
        else if (reply.status !== 503) lost.push(`round ${round}: ${reply.status}`);
        if (!back) await pause(200);
      }
      if (back?.doc.title !== title) lost.push(`round ${round}: ${back?.doc.title ?? 'it did not come back'}`);
    }
    await running.kill('SIGKILL');
    await postgres.stop();
    return good(rounds, lost);
  },
};

const racing: Trial = {
  name: 'two processes on one database change the same thing',
  run: async (_, rounds) => {
    const bin = postgresPrograms();
    if (bin === null) return { tried: 0, lost: [], leftOut: 'Debian’s postgresql is not installed' };
    const lost: string[] = [];
    const postgres = await startPostgres(bin);
    const env = { DATABASE_URL: postgres.url() };
    const both = await Promise.all([0, 1].map(() => startServer(env, ['dist/server/main.js'])));
    const url = (nth: number) => `${both[nth % 2]?.url ?? ''}/api/outings/${OUTING}`;
    for (let round = 0; round < rounds * 10; round += 1) {
      const { version, doc } = await read<KeptOuting>(url(0));
      const replies = await Promise.all(
        Array.from({ length: 6 }, (_, i) => send(url(i), 'PUT', { version, doc: { ...doc, title: `${round}-${i}` } })),
      );
      const won = replies.flatMap((reply, i) => (reply.status === 200 ? [i] : []));
      const now = await read<KeptOuting>(url(1));
      if (won.length !== 1 || now.doc.title !== `${round}-${won[0] ?? ''}` || now.version !== version + 1)
        lost.push(`round ${round}: ${won.length} of six were told that theirs is kept`);
    }
    for (const one of both) await one.kill('SIGKILL');
    await postgres.stop();
    return good(rounds * 60, lost);
  },
};

const clockBack: Trial = {
  name: 'the clock goes back a day',
  run: async () => {
    const lost: string[] = [];
    const opened = await openEmbedded({ dump: readDump() }, MIGRATIONS);
    let now = Date.parse('2026-05-15T19:00:00Z');
    await loadDemo(opened.db, now);
    const app = await buildApp({ db: opened.db, now: () => now, webRoot: null, log: false });
    const id = 'pollack-long-grey';
    const answer = (verdict: string) => {
      const at = new Date(now).toISOString();
      const answers = [{ key: crypto.randomUUID(), stepId: 'evening:radio', verdict, at, note: '' }];
      return app.inject({ method: 'POST', url: `/api/outings/${id}/answers`, payload: { answers, sentAt: at } });
    };
    const before = (await answer('good')).json<{ answers: unknown[] }>().answers.length;
    now -= 86_400_000;
    const after = await answer('fault');
    if (after.statusCode !== 200 || after.json<{ answers: unknown[] }>().answers.length !== before + 1)
      lost.push(`answers: ${after.statusCode}`);
    for (const url of ['/api/summaries?today=2026-05-14', `/api/outings/${id}/word`, '/api/out', '/api/backups']) {
      const reply = await app.inject({ url });
      if (reply.statusCode !== 200) lost.push(`${url}: ${reply.statusCode}`);
    }
    await app.close();
    await opened.close();
    return good(6, lost);
  },
};

const hostile: Trial = {
  name: 'hostile requests over every route',
  run: (chance, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const running = await start(data);
      const { paths } = await read<{ paths: Record<string, Record<string, unknown>> }>(`${running.url}/api/docs/json`);
      const routes = Object.entries(paths).flatMap(([path, methods]) =>
        Object.keys(methods).map((method) => ({ path, method: method.toUpperCase() })),
      );
      const odd = [
        '',
        '0',
        '-1',
        '1e400',
        '%00',
        '%F0%28%8C%BC',
        '..%2F..%2Fetc',
        '~',
        'x~y',
        'a'.repeat(300),
        "'--",
        'null',
        '{{7*7}}',
        '2147483648',
      ];
      const bodies = [
        undefined,
        '{}',
        '[]',
        'null',
        '{',
        '{"doc":{}}',
        '{"version":1e309}',
        '{"answers":[{}]}',
        `{"file":"${'A'.repeat(2000)}"}`,
        '{"take":[{}]}',
        '{"__proto__":{"x":1}}',
        JSON.stringify({ doc: { id: '\u0000' } }),
        `{"a":${'['.repeat(2000)}${']'.repeat(2000)}}`,
      ];
      const pick = <T>(list: readonly T[]) => list[chance(list.length)] as T;
      const count = Math.ceil(rounds * 2000);
      const one = async () => {
        const { path, method } = pick(routes);
        // What clears the house, or takes minutes, is not asked for here.
        const url = `${running.url}${path.replace(/\{\w+\}/g, () => pick(odd) || 'x')}${chance(3) === 0 ? `?${pick(odd)}=${pick(odd)}` : ''}`;
        const body = method === 'GET' ? undefined : pick(bodies);
        const began = performance.now();
        const reply = await fetch(url, {
          method,
          headers: body === undefined ? {} : json,
          ...(body === undefined ? {} : { body }),
        }).catch((error: unknown) => String(error));
        const tookMs = performance.now() - began;
        if (typeof reply === 'string') return lost.push(`${method} ${path}: ${reply.slice(0, 80)}`);
        await reply.arrayBuffer();
        if (reply.status >= 500) lost.push(`${method} ${path}: ${reply.status}`);
        if (tookMs > 5000) lost.push(`${method} ${path}: ${Math.round(tookMs)} ms`);
      };
      for (let at = 0; at < count; at += 20) await Promise.all(Array.from({ length: 20 }, one));
      await read(`${running.url}/api/health`);
      await running.kill('SIGKILL');
      return good(count, lost);
    }),
};

const slow: Trial = {
  name: 'clients that send a byte at a time',
  run: (_, rounds) =>
    inFolder(async (data) => {
      const lost: string[] = [];
      const running = await start(data);
      const { port } = new URL(running.url);
      const many = 100 * Math.min(rounds, 5);
      const sockets = Array.from({ length: many }, () => connect(Number(port), '127.0.0.1'));
      for (const socket of sockets) socket.on('error', () => undefined);
      const head = `POST /api/outings HTTP/1.1\r\nhost: 127.0.0.1:${port}\r\ncontent-type: application/json\r\ncontent-length: 100000\r\n\r\n{`;
      for (let i = 0; i < head.length; i += 8) {
        for (const socket of sockets) socket.write(head.slice(i, i + 8));
        await pause(20);
      }
      for (let i = 0; i < 20; i += 1) {
        const began = performance.now();
        await read(`${running.url}/api/outings/${OUTING}`);
        const tookMs = performance.now() - began;
        if (tookMs > 2000) lost.push(`another was answered after ${Math.round(tookMs)} ms`);
      }
      for (const socket of sockets) socket.destroy();
      await running.kill('SIGKILL');
      return good(many, lost);
    }),
};

export const trials: readonly Trial[] = [
  writes,
  batches,
  firstStart,
  imports,
  backups,
  restores,
  fullDisk,
  unwritable,
  databaseAway,
  racing,
  clockBack,
  hostile,
  slow,
];
