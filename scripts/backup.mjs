import { checkNode, ensureInstalled, root, run } from './prepare.mjs';

checkNode();
process.chdir(root);
ensureInstalled();
process.exitCode = run(process.execPath, [
  '--import',
  'tsx',
  'server/backup/cli.ts',
  ...process.argv.slice(2),
]);
