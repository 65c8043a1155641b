import { expect, test } from 'vitest';
import { demo } from '../demo/demo';
import { applyRepair } from '../editing/repair';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { singlePoints } from './singlePoints';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings;
if (!ready) throw new Error('The demo has an outing that is ready.');
const points = singlePoints(ready, references, noAnswers, now);
const thing = (itemId: string) => points.find(({ goes }) => goes.what === 'thing' && goes.itemId === itemId);

test('what alone floats the body is a single point, and the worst stand first', () => {
  const jacket = ready.loadout
    .map(({ itemId }) => references.items.find(({ id }) => id === itemId))
    .find((item) => item?.kind === 'foam-jacket' || item?.kind === 'inflatable-jacket');
  expect(jacket).toBeDefined();
  expect(thing(jacket?.id ?? '')?.fails[0]?.level).toBe('stop');
  const stops = points.map(({ fails }) => fails.some(({ level }) => level === 'stop'));
  expect(stops).toEqual(stops.toSorted((a, b) => Number(b) - Number(a)));
});

test('what is said of each is said once it is gone, and not before', () => {
  const before = new Set(
    assess(ready, references, noAnswers, now, { withRepairs: false }).findings.map(({ facts }) =>
      JSON.stringify(facts),
    ),
  );
  for (const { fails } of points)
    for (const { facts, level } of fails) {
      expect(level).not.toBe('note');
      expect(before.has(JSON.stringify(facts))).toBe(false);
    }
});

test('a second means that is named settles it once the thing is gone', () => {
  const named = points.find(({ goes, second }) => goes.what === 'thing' && second !== null);
  if (!named || named.goes.what !== 'thing' || !named.second) throw new Error('One has a second means.');
  const { itemId } = named.goes;
  const gone = { ...references, items: references.items.filter(({ id }) => id !== itemId) };
  const said = (outing: typeof ready) =>
    assess(outing, gone, noAnswers, now, { withRepairs: false }).findings.filter(
      ({ level }) => level === named.fails[0]?.level,
    ).length;
  expect(said(applyRepair(ready, named.second, now))).toBeLessThan(said(ready));
});

test('what nothing hangs on is not listed', () => {
  const ids = points.flatMap(({ goes }) => (goes.what === 'thing' ? [goes.itemId] : []));
  expect(ids.length).toBeLessThan(ready.loadout.length);
});
