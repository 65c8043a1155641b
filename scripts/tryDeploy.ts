import { execFileSync, spawn } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';

/*
 * `npm run try:deploy`: the steps of deploy/Dockerfile and of the systemd unit in empty folders of this
 * machine, as they stand in those files: what is copied, each RUN of the build, then CMD with ENV and
 * HEALTHCHECK, then ExecStart. No container tools are needed.
 */
const root = join(import.meta.dirname, '..');
const place = mkdtempSync(join(tmpdir(), 'tally-deploy-'));
const source = join(place, 'src');
const app = join(place, 'app');
const lines = readFileSync(join(root, 'deploy/Dockerfile'), 'utf8').split('\n');
const after = (word: string) =>
  lines.filter((line) => line.startsWith(`${word} `)).map((line) => line.slice(word.length + 1));

try {
  copySources();
  const [, second = lines.length] = lines.flatMap((line, i) => (line.startsWith('FROM ') ? [i] : []));
  for (const line of lines.slice(0, second).filter((each) => each.startsWith('RUN ')))
    step(line.slice(4).replaceAll('/app', app), source);
  rmSync(source, { recursive: true });

  const env = Object.fromEntries(
    after('ENV').flatMap((line) => line.split(' ').map((pair) => pair.split('='))),
  );
  const [health = ''] = after('HEALTHCHECK');
  const healthy = argumentsOf(health.slice(health.indexOf('CMD ') + 4));
  await tryStart('CMD', argumentsOf(after('CMD')[0] ?? ''), healthy, env);

  const unit = readFileSync(join(app, 'deploy/unhurried-tally.service'), 'utf8');
  const start = /^ExecStart=(.+)$/mu.exec(unit)?.[1]?.split(' ') ?? [];
  await tryStart('ExecStart', start, healthy, {});
  console.log('Everything in deploy/ that can be tried without a container was tried, and works.');
} finally {
  rmSync(place, { recursive: true, force: true });
}

/** What COPY takes: the files of the repository, as far as .dockerignore does not leave them out. */
function copySources(): void {
  const ignored = readFileSync(join(root, 'deploy/Dockerfile.dockerignore'), 'utf8')
    .split('\n')
    .filter(Boolean);
  const files = execFileSync('git', ['ls-files', '-co', '--exclude-standard'], {
    cwd: root,
    encoding: 'utf8',
  });
  for (const file of files.split('\n').filter(Boolean)) {
    if (ignored.includes(file.split('/')[0] ?? '')) continue;
    mkdirSync(dirname(join(source, file)), { recursive: true });
    cpSync(join(root, file), join(source, file));
  }
}

function step(command: string, cwd: string): void {
  console.log(`$ ${command}`);
  execFileSync('/bin/sh', ['-c', command], { cwd, stdio: 'inherit' });
}

function argumentsOf(json: string): string[] {
  return JSON.parse(json) as string[];
}

/**
 * Starts it on a free port with its own data folder, asks whether it is well, stops it, and looks at how it
 * ended.
 */
async function tryStart(
  name: string,
  command: readonly string[],
  healthy: readonly string[],
  env: Readonly<Record<string, string>>,
): Promise<void> {
  console.log(`${name}: ${command.join(' ')}`);
  const port = String(await freePort());
  const own = { ...process.env, ...env, HOST: '127.0.0.1', PORT: port, TALLY_DATA: join(place, name) };
  const child = spawn(command[0] ?? '', command.slice(1), { cwd: app, env: own, stdio: 'inherit' });
  const ended = new Promise<number | null>((done) => child.once('exit', done));
  const until = Date.now() + 90_000;
  while (!isHealthy(healthy, own)) {
    if (child.exitCode !== null || Date.now() > until) throw new Error(`${name} did not become healthy.`);
    await new Promise((done) => setTimeout(done, 1000));
  }
  child.kill('SIGTERM');
  const code = await ended;
  if (code !== 0) throw new Error(`${name} ended with ${code ?? 'a signal'}.`);
}

function isHealthy([command = '', ...rest]: readonly string[], env: NodeJS.ProcessEnv): boolean {
  try {
    execFileSync(command, rest, { cwd: app, env, stdio: 'ignore' });
    return true;
  } catch {
    return false;
  }
}

function freePort(): Promise<number> {
  return new Promise((done) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => done(typeof address === 'object' && address ? address.port : 0));
    });
  });
}
