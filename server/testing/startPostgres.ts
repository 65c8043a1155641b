import { spawn, spawnSync } from 'node:child_process';
import { chownSync, existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** Where Debian's postgresql keeps its programs; null: not installed. */
export function postgresPrograms(): string | null {
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

export interface RunningPostgres {
  /** The address of a database of that name. */
  url: (database?: string) => string;
  restart: () => Promise<void>;
  stop: () => Promise<void>;
}

/** A PostgreSQL server of its own in a folder of its own, on a free port. */
export async function startPostgres(bin: string): Promise<RunningPostgres> {
  const user = otherUser();
  const folder = mkdtempSync(join(tmpdir(), 'tally-pg-'));
  if ('uid' in user && user.uid !== undefined) chownSync(folder, user.uid, user.gid ?? user.uid);
  const data = join(folder, 'db');
  const made = spawnSync(join(bin, 'initdb'), ['-D', data, '-U', 'tally', '-A', 'trust', '-N'], {
    ...user,
    cwd: folder,
    encoding: 'utf8',
  });
  if (made.status !== 0) throw new Error(made.stderr);
  const port = await freePort();
  const settings = ['listen_addresses=127.0.0.1', `unix_socket_directories=${folder}`, 'fsync=off'];
  const launch = async () => {
    const child = spawn(
      join(bin, 'postgres'),
      ['-D', data, '-p', String(port), ...settings.flatMap((one) => ['-c', one])],
      {
        ...user,
        cwd: folder,
        stdio: ['ignore', 'ignore', 'pipe'],
      },
    );
    const stopped = new Promise((done) => child.on('exit', done));
    await new Promise<void>((done) => {
      child.stderr.on('data', (chunk: Buffer) => {
        if (chunk.toString().includes('ready to accept connections')) done();
      });
    });
    return { child, stopped };
  };
  let running = await launch();
  const end = async () => {
    running.child.kill('SIGINT');
    await running.stopped;
  };
  return {
    url: (database = 'postgres') => `postgres://tally@127.0.0.1:${port}/${database}`,
    restart: async () => {
      await end();
      running = await launch();
    },
    stop: async () => {
      await end();
      rmSync(folder, { recursive: true, force: true });
    },
  };
}
