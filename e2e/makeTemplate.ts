import { mkdirSync, rmSync } from 'node:fs';
import { dirname } from 'node:path';
import { startServer } from '../server/testing/startServer';
import { templateFolder } from './house';

/** Builds what is to be driven, and furnishes one data folder that every journey copies: making one takes ten seconds. */
async function makeTemplate(): Promise<void> {
  const { ensureBuilt } = await import('../scripts/prepare.mjs');
  await ensureBuilt();
  rmSync(templateFolder, { recursive: true, force: true });
  mkdirSync(dirname(templateFolder), { recursive: true });
  const server = await startServer({ TALLY_DATA: templateFolder }, ['dist/server/main.js']);
  await server.kill('SIGINT');
}

// Playwright takes its global setup from a default export.
export default makeTemplate;
