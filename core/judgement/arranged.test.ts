import { expect, test } from 'vitest';
import { withMoves, arrangedOuting } from './arranged';
import { demo } from '../demo/demo';
import { withPut } from '../editing/stow';
import { spotOf } from '../documents/stow';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const wreck = outings.find(({ id }) => id === 'cod-wreck');
if (!wreck) throw new Error('The demo has the wreck.');
/** What is heavy and may lie anywhere, put behind the seat. */
const sternHeavy = withPut(
  wreck,
  ['food-box', 'dry-set', 'first-aid', 'jig-box'].map((itemId) => {
    const spot = { ...spotOf('zone', 'well'), held: 'strapped' as const };
    return { itemId, mode: 'fish' as const, spot, fish: spot };
  }),
);
const stopsAndMindsOf = (outing: typeof wreck) =>
  assess(outing, references, noAnswers, now, { withRepairs: false }).findings.filter(
    ({ level }) => level !== 'note',
  );

test('a stern that is too heavy is mended, and nothing new is said', () => {
  const found = arrangedOuting(sternHeavy, references, noAnswers, now, { seed: 1, fishKg: 0 });
  if (!found) throw new Error('It floats.');
  expect(found.moves.length).toBeGreaterThan(0);
  expect(found.gapPercent).toBeGreaterThanOrEqual(0);
  expect(found.gapPercent).toBeLessThan(100);
  expect(Math.abs(found.after.trimDeg)).toBeLessThan(Math.abs(found.before.trimDeg));
  const before = stopsAndMindsOf(sternHeavy).map(({ key }) => key);
  const moved = withMoves(sternHeavy, references, found.moves);
  for (const { key } of stopsAndMindsOf(moved)) expect(before).toContain(key);
});

test('the same seed finds the same moves; each begins where the thing lies', () => {
  const [one, two] = [7, 7].map((seed) =>
    arrangedOuting(sternHeavy, references, noAnswers, now, { seed, fishKg: 0 }),
  );
  expect(one?.moves).toEqual(two?.moves);
  for (const { fromZone, toZone } of one?.moves ?? []) expect(fromZone).not.toBe(toZone);
});

test('without a boat there is nothing to arrange', () => {
  const none = { ...wreck, brief: { ...wreck.brief, craftId: null } };
  expect(arrangedOuting(none, references, noAnswers, now, { seed: 1, fishKg: 0 })).toBeNull();
  expect(withMoves(none, references, [{ itemId: 'food-box', fromZone: 'well', toZone: 'bow-hatch' }])).toBe(
    none,
  );
});
