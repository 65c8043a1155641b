import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { ensureChromium } from './browser.mjs';
import { checkNode, ensureBuilt, ensureInstalled, root, run, runAside } from './prepare.mjs';

checkNode();
process.chdir(root);
ensureInstalled();
ensureChromium();
if (!existsSync('/usr/lib/postgresql'))
  console.log('Debian’s postgresql is not installed: the tests against a PostgreSQL server are left out.');

let passed = 0;
let failed = 0;
const count = (good, bad) => {
  passed += good;
  failed += bad;
};
rmSync(join(root, 'test-results'), { recursive: true, force: true });
mkdirSync(join(root, 'test-results'), { recursive: true });
console.log('\nTypes, lint (import fence, format, unused code), build and unit tests, side by side');
const unit = 'test-results/unit.json';
const aside = Promise.all([
  runAside('npm', ['run', '--silent', 'types']),
  runAside('npm', ['run', '--silent', 'lint']),
]);
await ensureBuilt();
const unitCode = await runAside('npx', [
  'vitest',
  'run',
  '--reporter=default',
  '--reporter=json',
  `--outputFile.json=${unit}`,
]);
const [types, lint] = await aside;
for (const [name, code] of [
  ['Types', types],
  ['Lint', lint],
]) {
  console.log(`${name}: ${code === 0 ? 'passed' : 'failed'}`);
  count(code === 0 ? 1 : 0, code === 0 ? 0 : 1);
}
const units = report(unit);
tally(unitCode, units?.numPassedTests, units?.numFailedTests);

console.log('\nJourneys in the browser');
const journeyCode = run('npx', ['playwright', 'test']);
const journeys = report('test-results/journeys.json');
tally(journeyCode, journeys?.stats?.expected, journeys && journeys.stats.unexpected + journeys.stats.flaky);

if (failed > 0) process.exitCode = 1;
console.log(`\n${passed} passed, ${failed} failed`);

/** A run that failed without a counted failure (no report, a crash, nothing run) counts as one. */
function tally(code, good = 0, bad = 0) {
  count(good, bad === 0 && (code !== 0 || good === 0) ? 1 : bad);
}

function report(path) {
  try {
    return JSON.parse(readFileSync(join(root, path), 'utf8'));
  } catch {
    return null;
  }
}
