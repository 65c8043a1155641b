import { spawn, spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { fileURLToPath } from 'node:url';

export const root = fileURLToPath(new URL('..', import.meta.url));
const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);

/** Ends with one plain sentence. */
export function stopWith(sentence) {
  console.error(sentence);
  process.exit(1);
}

export function checkNode() {
  if (major < 20 || (major === 20 && minor < 19))
    stopWith(`Unhurried Tally needs Node.js 20.19 or newer; this is ${process.versions.node}.`);
}

/** Runs a command from the project's folder and gives its exit code. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) console.error(`${command} could not be run: ${result.error.message}`);
  return result.status ?? 1;
}

/** The same beside others: its words come when it is done, whole. */
export function runAside(command, args) {
  return new Promise((done) => {
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    let said = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
    child.on('error', (error) => (said += error.message));
    child.on('close', (code) => {
      if (said.trim() !== '') console.log(said.trimEnd());
      done(code ?? 1);
    });
  });
}

/** Installs what package-lock.json names, unless just that is installed already. */
export function ensureInstalled() {
  if (isInstalled()) return;
  console.log('Installing the packages.');
  if (run('npm', ['ci', '--no-fund', '--no-audit', '--loglevel=error']) !== 0)
    stopWith('The packages could not be installed; what npm said stands above.');
}

function isInstalled() {
  const read = (path) => JSON.parse(readFileSync(join(root, path), 'utf8')).packages;
  try {
    const wanted = read('package-lock.json');
    const here = read('node_modules/.package-lock.json');
    return Object.entries(wanted).every(
      ([path, entry]) => path === '' || entry.optional || entry.peer || here[path]?.version === entry.version,
    );
  } catch {
    return false;
  }
}

/**
 * Builds web and server, unless the sources are those that were built last. Of several that ask at once one
 * builds.
 */
export async function ensureBuilt() {
  const stamp = join(root, 'dist/stamp');
  const now = sourceHash();
  const isBuilt = () => existsSync(stamp) && readFileSync(stamp, 'utf8') === now;
  if (isBuilt()) return;
  const lock = join(root, 'node_modules/.cache/tally-building');
  mkdirSync(join(root, 'node_modules/.cache'), { recursive: true });
  while (!taken(lock)) await pause(200);
  try {
    if (!isBuilt()) await buildAll(stamp, now);
  } finally {
    rmSync(lock, { force: true });
  }
}

/** Puts this process's mark where it builds; false while another that lives has its own there. */
function taken(lock) {
  try {
    writeFileSync(lock, String(process.pid), { flag: 'wx' });
    return true;
  } catch (error) {
    if (error.code !== 'EEXIST') throw error;
  }
  try {
    const by = Number(readFileSync(lock, 'utf8'));
    // Workers of one process share its number, and one of them may be at it.
    if (by > 0) process.kill(by, 0);
  } catch (error) {
    if (error.code === 'ESRCH') rmSync(lock, { force: true });
  }
  return false;
}

async function buildAll(stamp, now) {
  console.log('Building.');
  const { build } = await import('vite');
  // A build is for production, whoever asks for it: within a test React would come in its slow form for
  // developers.
  const { NODE_ENV } = process.env;
  process.env.NODE_ENV = 'production';
  for (const configFile of ['vite.config.ts', 'vite.server.config.ts'])
    await build({ configFile: join(root, configFile), logLevel: 'error' });
  if (NODE_ENV === undefined) delete process.env.NODE_ENV;
  else process.env.NODE_ENV = NODE_ENV;
  mkdirSync(join(root, 'dist'), { recursive: true });
  writeFileSync(stamp, now);
}

/** What is no part of what is built. */
const isTesting = ({ name, parentPath }) => name.includes('.test.') || parentPath.includes('/testing');

function sourceHash() {
  const hash = createHash('sha256');
  const take = (path) =>
    hash
      .update(path)
      .update('\0')
      .update(readFileSync(join(root, path)))
      .update('\0');
  for (const room of ['core', 'server', 'web'])
    for (const path of readdirSync(join(root, room), { recursive: true, withFileTypes: true }).filter(
      (entry) => entry.isFile(),
    ))
      if (!isTesting(path)) take(join(path.parentPath ?? path.path, path.name).slice(root.length));
  for (const path of [
    'package-lock.json',
    'vite.config.ts',
    'vite.server.config.ts',
    'scripts/runtimePackages.mjs',
  ])
    take(path);
  return hash.digest('hex');
}
