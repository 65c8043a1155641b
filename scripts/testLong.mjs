import { checkNode, ensureBuilt, ensureInstalled, root, run } from './prepare.mjs';

/*
 * The unit tests with forty times as many tries of chance, killed processes and hostile requests: about two
 * hours.
 * `TALLY_SEED=… npm run test:long` asks the same again.
 */
checkNode();
process.chdir(root);
ensureInstalled();
await ensureBuilt();
const seed = process.env.TALLY_SEED ?? String(Date.now() % 2 ** 31);
console.log(`Seed ${seed}`);
process.exitCode = run(
  'npx',
  ['vitest', 'run', '--testTimeout=3600000', '--hookTimeout=3600000', ...process.argv.slice(2)],
  {
    env: { ...process.env, TALLY_SEED: seed },
  },
);
