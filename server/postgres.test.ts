import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import { startServer } from './testing/startServer';

/** Where Debian's postgresql keeps its programs; null: not installed. */
function postgresPrograms(): string | null {
  const base = '/usr/lib/postgresql';
  if (!existsSync(base)) return null;
  const found = readdirSync(base)
    .map((version) => join(base, version, 'bin'))
    .filter((bin) => existsSync(join(bin, 'initdb')));
  return found[0] ?? null;
}

// PostgreSQL refuses to run as root: its own user, or nobody, runs it then.
function otherUser(): { uid: number; gid: number } | Record<string, never> {
  if (process.getuid?.() !== 0) return {};
  const id = (flag: string, name: string) =>
    Number(spawnSync('id', [flag, name], { encoding: 'utf8' }).stdout.trim() || NaN);
  const uid = [id('-u', 'postgres'), id('-u', 'nobody')].find((one) => !Number.isNaN(one)) ?? 65534;
  return { uid, gid: uid === id('-u', 'postgres') ? id('-g', 'postgres') : 65534 };
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

const bin = postgresPrograms();
const name = bin ? 'serves the same app from a PostgreSQL server' : 'PostgreSQL is not on this machine: skipped';

describe('DATABASE_URL', () => {
  it.skipIf(bin === null)(
    name,
    async () => {
      const user = otherUser();
      const folder = mkdtempSync(join(tmpdir(), 'tally-pg-'));
      if ('uid' in user && user.uid !== undefined) chownSync(folder, user.uid, user.gid ?? user.uid);
      const options = { ...user, cwd: folder, encoding: 'utf8' } as const;
      const made = spawnSync(
        join(bin ?? '', 'initdb'),
        ['-D', join(folder, 'db'), '-U', 'tally', '-A', 'trust', '-N'],
        options,
      );
      expect(made.status, made.stderr).toBe(0);
      const port = await freePort();
      const postgres = spawn(
        join(bin ?? '', 'postgres'),
        [
          '-D',
          join(folder, 'db'),
          '-p',
          String(port),
          '-c',
          'listen_addresses=127.0.0.1',
          '-c',
          `unix_socket_directories=${folder}`,
        ],
        { ...user, cwd: folder, stdio: ['ignore', 'ignore', 'pipe'] },
      );
      const stopped = new Promise((done) => postgres.on('exit', done));
      try {
        await new Promise<void>((done) => {
          postgres.stderr.on('data', (chunk: Buffer) => {
            if (chunk.toString().includes('ready to accept connections')) done();
          });
        });
        const env = { DATABASE_URL: `postgres://tally@127.0.0.1:${port}/postgres` };
        const first = await startServer(env);
        const list = async (url: string) => {
          const page = (await (await fetch(`${url}/api/summaries?today=2000-01-01`)).json()) as {
            ahead: { id: string }[];
          };
          return page.ahead;
        };
        expect((await list(first.url)).length).toBeGreaterThan(1);
        await fetch(`${first.url}/api/outings/zander-dusk?version=1`, { method: 'DELETE' });
        expect(await first.kill('SIGINT')).toBe(0);
        const second = await startServer(env);
        const left = (await list(second.url)).map((one) => one.id);
        expect(left).toContain('pollack-long-grey');
        expect(left).not.toContain('zander-dusk');
        expect(await second.kill('SIGINT')).toBe(0);
      } finally {
        postgres.kill('SIGINT');
        await stopped;
        rmSync(folder, { recursive: true, force: true });
      }
    },
    120_000,
  );
});
