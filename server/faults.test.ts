import { beforeAll, expect, it } from 'vitest';
import { ensureBuilt } from '../scripts/prepare.mjs';
import { trials } from './testing/faults/all';
import { chanceFrom } from './testing/faults/trial';

/** The short form of `npm run faults`: what is quick of it, a little of each. */
const short: Readonly<Record<string, number>> = {
  'killed while many things come in at once': 1,
  'the clock goes back a day': 1,
};

beforeAll(() => ensureBuilt(), 120_000);

it.each(trials.filter(({ name }) => name in short))('nothing is lost: $name', async ({ name, run }) => {
  const { tried, lost, leftOut } = await run(chanceFrom(20_261_126), short[name] ?? 1);
  expect(lost).toEqual([]);
  expect(leftOut).toBeNull();
  expect(tried).toBeGreaterThan(0);
});
