import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { PGlite } from '@electric-sql/pglite';
import { setup as makeDump, readDump } from '../server/testing/makeDump';
import { startServer } from '../server/testing/startServer';
import { templateFolder } from './house';

/** Builds what is to be driven, and furnishes one data folder that every house copies. */
async function makeTemplate(): Promise<void> {
  const { ensureBuilt } = await import('../scripts/prepare.mjs');
  await ensureBuilt();
  await makeDump();
  rmSync(templateFolder, { recursive: true, force: true });
  mkdirSync(templateFolder, { recursive: true });
  const client = await PGlite.create({
    dataDir: join(templateFolder, 'db'),
    loadDataDir: readDump(),
  });
  await client.close();
  const server = await startServer({ TALLY_DATA: templateFolder }, ['dist/server/main.js']);
  await server.kill('SIGINT');
}

// Playwright takes its global setup from a default export.
export default makeTemplate;
