import { spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { once } from 'node:events';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { often } from '../scripts/testRuns';
import type { Outing } from '#core/documents/outing';
import { ensureBuilt } from '../scripts/prepare.mjs';
import { emptyHouse } from './testing/makeDump';
import { type Running, startServer } from './testing/startServer';

const folder = mkdtempSync(join(tmpdir(), 'tally-main-'));
const data = join(folder, 'data');
let running: Running | null = null;
afterAll(async () => {
  await running?.kill('SIGKILL');
  rmSync(folder, { recursive: true, force: true });
});

beforeAll(() => ensureBuilt());

const path = '/api/outings/zander-dusk';
const read = async (url: string) =>
  (await (await fetch(url + path)).json()) as { version: number; doc: Outing };

describe('the server as a process', () => {
  it(
    'is killed right after an acknowledged save, again and again, and loses nothing',
    async () => {
      await emptyHouse(data);
      running = await startServer({ TALLY_DATA: data });
      for (let round = 1; round <= often(1); round += 1) {
        const { version, doc } = await read(running.url);
        const title = `Round ${round}`;
        const reply = await fetch(running.url + path, {
          method: 'PUT',
          headers: { 'content-type': 'application/json' },
          body: JSON.stringify({ version, doc: { ...doc, title } }),
        });
        expect(reply.status).toBe(200);
        await running.kill('SIGKILL');
        running = await startServer({ TALLY_DATA: data });
        expect((await read(running.url)).doc.title).toBe(title);
      }
    },
    often(120_000),
  );

  it('refuses a folder that another running copy uses, in one sentence with exit code 1', async () => {
    await expect(startServer({ TALLY_DATA: data })).rejects.toThrow(
      /^exit 1: The data folder .* is in use by another running copy \(process \d+\)\. Stop that one first\.\n$/,
    );
  });

  it('refuses a port in use and a folder it cannot write to, each in one sentence', async () => {
    const port = new URL(running?.url ?? 'http://127.0.0.1').port;
    await emptyHouse(join(folder, 'other'));
    await expect(
      startServer({ TALLY_DATA: join(folder, 'other'), PORT: port, TALLY_DEMO: '0' }),
    ).rejects.toThrow(/^exit 1: Port \d+ on 127\.0\.0\.1 is already in use\. .*\n$/);
    const file = join(folder, 'a-file');
    writeFileSync(file, '');
    await expect(startServer({ TALLY_DATA: join(file, 'data') })).rejects.toThrow(
      /^exit 1: The data folder .* cannot be written to \(ENOTDIR\)\.\n$/,
    );
  }, 60_000);

  it('leaves a folder alone that lost a file of its database, or never was one, and says what to do', async () => {
    const damaged = join(folder, 'damaged');
    cpSync(data, damaged, { recursive: true });
    rmSync(join(damaged, 'lock'), { force: true });
    rmSync(join(damaged, 'db/PG_VERSION'));
    const before = readdirSync(join(damaged, 'db'), { recursive: true }).length;
    await expect(startServer({ TALLY_DATA: damaged })).rejects.toThrow(
      /^exit 1: \S+ is not empty and not a whole database: PG_VERSION is missing\. Nothing in it was changed\. Put back .*\n$/,
    );
    expect(readdirSync(join(damaged, 'db'), { recursive: true })).toHaveLength(before);
    // What only the database itself misses is told by it, and what to do all the same.
    cpSync(join(data, 'db/PG_VERSION'), join(damaged, 'db/PG_VERSION'));
    rmSync(join(damaged, 'db/pg_xact'), { recursive: true });
    await expect(startServer({ TALLY_DATA: damaged })).rejects.toThrow(
      /^exit 1: The data in \S+ cannot be opened: [^.]+\. Put back a copy of the folder; or move it away, .*\n$/,
    );
    const other = join(folder, 'holiday');
    mkdirSync(join(other, 'db'), { recursive: true });
    writeFileSync(join(other, 'db/photo.txt'), 'a beach');
    await expect(startServer({ TALLY_DATA: other })).rejects.toThrow(
      /^exit 1: .* is not empty and not a whole database: .*\n$/,
    );
    expect(readdirSync(join(other, 'db'))).toEqual(['photo.txt']);
  });

  it('refuses a bad setting and a certificate that it cannot read, each in one sentence and before it opens anything', async () => {
    const nowhere = join(folder, 'never-made');
    await expect(startServer({ TALLY_DATA: nowhere, PORT: 'ninety' })).rejects.toThrow(
      /^exit 1: PORT must be a whole number.*\n$/,
    );
    await expect(
      startServer({ TALLY_DATA: nowhere, TALLY_TLS_CERT: 'no-such.pem', TALLY_TLS_KEY: 'no-such.key' }),
    ).rejects.toThrow(/^exit 1: no-such\.pem cannot be read \(ENOENT\)\.\n$/);
    expect(existsSync(nowhere)).toBe(false);
  });

  it('stops cleanly on Ctrl+C, whoever holds a connection open, and gives the folder back', async () => {
    const silent = connect(Number(new URL(running?.url ?? '').port), '127.0.0.1');
    await once(silent, 'connect');
    silent.on('error', () => undefined);
    expect(await running?.kill('SIGINT')).toBe(0);
    running = null;
    expect(readdirSync(data)).not.toContain('lock');
  });

  it('refuses too old a Node in one sentence', () => {
    const { status, stderr } = spawnSync(
      process.execPath,
      [
        '--import',
        'data:text/javascript,Object.defineProperty(process,"versions",{value:{...process.versions,node:"18.4.0"}})',
        'scripts/start.mjs',
      ],
      { encoding: 'utf8' },
    );
    expect(status).toBe(1);
    expect(stderr).toMatch(/^Unhurried Tally needs Node\.js 20\.19 or newer; this is 18\.4\.0\.\n$/);
  });
});
