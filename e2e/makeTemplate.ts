import { rmSync } from 'node:fs';
import { emptyHouse } from '../server/testing/makeDump';
import { startServer } from '../server/testing/startServer';
import { templateFolder } from './house';

/** Builds what is to be driven, and furnishes one data folder that every house copies. */
async function makeTemplate(): Promise<void> {
  const { ensureBuilt } = await import('../scripts/prepare.mjs');
  await ensureBuilt();
  rmSync(templateFolder, { recursive: true, force: true });
  await emptyHouse(templateFolder);
  const server = await startServer({ TALLY_DATA: templateFolder });
  await server.kill('SIGINT');
}

// Playwright takes its global setup from a default export.
export default makeTemplate;
