import { type ChildProcess, spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { demo } from '#core/demo/demo';
import { newItem } from '#core/editing/newItem';
import { migrationsOf, readBackup } from '../../backup/backup';
import { listBackups } from '../../backup/folder';
import { openEmbedded } from '../../storage/open';
import { readDump } from '../makeDump';
import {
  type KeptOuting,
  MIGRATIONS,
  OUTING,
  type Things,
  type Trial,
  good,
  inFolder,
  killedDuring,
  pause,
  read,
  send,
  start,
  thingsOf,
} from './trial';

export const writes: Trial = {
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
        if (
          kept.version < said.version ||
          (kept.version === said.version && kept.doc.title !== said.doc.title)
        )
          lost.push(`round ${round}: version ${said.version} was acknowledged, ${kept.version} is kept`);
      }
      await running.kill('SIGKILL');
      return good(acknowledged, lost);
    }),
};

export const batches: Trial = {
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

export const firstStart: Trial = {
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
          if (!/is not empty and not a whole database/.test(again))
            lost.push(`round ${round}: ${again.slice(0, 200)}`);
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

export const imports: Trial = {
  name: 'killed while a bundle comes in',
  run: (chance, rounds) =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const from = await start(join(folder, 'from'));
      const bundle = Buffer.from(
        await (await fetch(`${from.url}/api/bundle?parts=things,outings`)).arrayBuffer(),
      );
      await from.kill('SIGKILL');
      const file = bundle.toString('base64');
      for (let round = 0; round < rounds; round += 1) {
        const data = join(folder, `into-${round}`);
        let into = await start(data, { TALLY_DEMO: '0' });
        const { documents } = (await (
          await send(`${into.url}/api/bundle/look`, 'POST', { file })
        ).json()) as {
          documents: { kind: string; id: string; here: number | null }[];
        };
        const take = documents.map(({ kind, id, here }) => ({ choice: `${kind}/${id}`, here }));
        const things = documents.filter(({ kind }) => kind === 'items').length;
        const sending = send(`${into.url}/api/bundle/bring-in`, 'POST', {
          file,
          key: crypto.randomUUID(),
          take,
        });
        await killedDuring(into, 20 + chance(700), sending);
        into = await start(data, { TALLY_DEMO: '0' });
        const came = (await thingsOf(into.url)).length;
        if (came !== 0 && came !== things) lost.push(`round ${round}: ${came} of ${things}`);
        await into.kill('SIGKILL');
      }
      return good(rounds, lost);
    }),
};

export const backups: Trial = {
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

export const restores: Trial = {
  name: 'killed while a backup is put back',
  run: (chance, rounds) =>
    inFolder(async (folder) => {
      const lost: string[] = [];
      const [data, kept] = [join(folder, 'data'), join(folder, 'kept')];
      let running = await start(data, { TALLY_BACKUPS: kept });
      const { name } = (await (await send(`${running.url}/api/backups`, 'POST', {})).json()) as {
        name: string;
      };
      const inBackup = (await thingsOf(running.url)).length;
      await send(`${running.url}/api/batches/items`, 'POST', { create: [newItem('added-since', 'whistle')] });
      await running.kill('SIGKILL');
      for (let round = 0; round < rounds; round += 1) {
        const child = spawn(
          process.execPath,
          ['--import', 'tsx', 'server/backup/cli.ts', 'restore', join(kept, name), '--yes'],
          {
            env: { ...process.env, DATABASE_URL: '', TALLY_DATA: data, TALLY_BACKUPS: kept },
            stdio: 'ignore',
          },
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
