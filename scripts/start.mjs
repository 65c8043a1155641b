import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { checkNode, ensureBuilt, ensureInstalled, root, stopWith } from './prepare.mjs';

checkNode();
process.chdir(root);
ensureInstalled();
try {
  await ensureBuilt();
} catch (error) {
  stopWith(`The app could not be built: ${error instanceof Error ? error.message : String(error)}`);
}
// In this same process, so that Ctrl+C and a kill reach the server itself.
await import(pathToFileURL(join(root, 'dist/server/main.js')).href);
