import { trials } from '../server/testing/faults/all';
import { type Outcome, chanceFrom } from '../server/testing/faults/trial';
import { endStarted } from '../server/testing/startServer';
import { ensureBuilt } from './prepare.mjs';

/**
 * `npm run faults`: each trial, how often it was done, and what was lost. TALLY_SEED and TALLY_ROUNDS ask for
 * others, or more.
 */
const seed = Number(process.env.TALLY_SEED ?? 20_261_126);
const rounds = Number(process.env.TALLY_ROUNDS ?? 10);
const only = process.argv[2];
await ensureBuilt();
console.log(`Seed ${seed}, ${rounds} rounds.`);
let bad = 0;
let late = 0;
for (const { name, run } of trials.filter((one) => only === undefined || one.name.includes(only))) {
  const began = performance.now();
  const {
    tried,
    lost,
    slow = [],
    leftOut,
  } = await run(chanceFrom(seed), rounds).catch((error: unknown): Outcome => {
    const why = error instanceof Error ? error.message : String(error);
    return { tried: 0, lost: [`${name} broke off: ${why}`], leftOut: null };
  });
  const left = await endStarted();
  if (left > 0) console.log(`    ${left} of its servers still ran, and were ended.`);
  const took = `${Math.round((performance.now() - began) / 1000)} s`;
  const what =
    leftOut === null
      ? lost.length === 0
        ? 'nothing lost'
        : `${lost.length} FAILED`
      : `left out: ${leftOut}`;
  console.log(`${name.padEnd(56)} ${String(tried).padStart(7)}   ${what.padEnd(20)} ${took}`);
  for (const one of lost.slice(0, 10)) console.log(`    failed: ${one}`);
  for (const one of slow.slice(0, 10)) console.log(`    slow: ${one}`);
  bad += lost.length;
  late += slow.length;
}
console.log(`${bad} failed, ${late} slow.`);
process.exitCode = bad > 0 ? 1 : 0;
