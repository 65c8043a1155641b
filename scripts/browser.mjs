import { existsSync } from 'node:fs';
import { run } from './prepare.mjs';

/**
 * Debian's chromium without its windows takes three quarters of the time of the whole one; either will do.
 */
const SHELL = { name: 'chromium-headless-shell', path: '/usr/bin/chromium-headless-shell' };
const WHOLE = { name: 'chromium', path: '/usr/bin/chromium' };

/** The browser that is driven: the first of those that are installed. */
export function browserPath() {
  return [SHELL, WHOLE].find(({ path }) => existsSync(path))?.path ?? WHOLE.path;
}

/** Brings Debian's chromium if it is missing. */
export function ensureChromium() {
  if (existsSync(SHELL.path)) return;
  console.log('Installing Debian’s chromium for the journeys.');
  const install = (name) => run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', name]);
  run('apt-get', ['update', '-qq']);
  if (install(SHELL.name) !== 0 && !existsSync(WHOLE.path)) install(WHOLE.name);
  if (!existsSync(browserPath()))
    console.error('chromium is missing and could not be installed; the journeys will fail.');
}
