import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { stowInstance } from '../../scripts/stowInstance';
import { often, runs } from '../../scripts/testRuns';
import { type Arrangement, arrange } from './arrange';
import { type ArrangeProblem, USUAL_WEIGHTS, costOf, forbiddenAlone, reachCost, totalOf } from './problem';

/** Every hard rule again, from the plan alone. */
function broken({ zones, items }: ArrangeProblem, { places, unplaced }: Arrangement): string[] {
  const told: string[] = [];
  const out = new Set(unplaced.map(({ id }) => id));
  for (const item of items) if (places.has(item.id) === out.has(item.id)) told.push(`${item.id}: in or out`);
  for (const zone of zones) {
    const there = items.filter(({ id }) => places.get(id) === zone.id);
    const litres = there.reduce((sum, { sizeM: [a, b, c] }) => sum + a * b * c * 1000, 0);
    const kg = there.reduce((sum, { massKg }) => sum + massKg, 0);
    if (litres > zone.litres * 0.8 + 1e-6) told.push(`${zone.id}: too full`);
    if (zone.maxKg !== null && kg > zone.maxKg + 1e-6) told.push(`${zone.id}: too heavy`);
    if (there.filter(({ leash }) => leash).length > zone.leashes) told.push(`${zone.id}: leashes`);
    for (const item of there) {
      if (forbiddenAlone(item, zone) !== null) told.push(`${item.id} in ${zone.id}`);
      if (there.some(({ id }) => item.apart?.includes(id) && id !== item.id)) told.push(`${item.id}: apart`);
    }
  }
  return told;
}
/** The objective of a plan, summed from nothing. */
function costFromNothing(problem: ArrangeProblem, places: ReadonlyMap<string, string>): number {
  const sums = { kg: 0, x: 0, y: 0, z: 0, reach: 0, changes: 0 };
  for (const { id, massKg, use = 0, now } of problem.items) {
    const zone = problem.zones.find((one) => one.id === places.get(id));
    if (!zone) continue;
    sums.kg += massKg;
    sums.x += massKg * zone.xM;
    sums.y += massKg * zone.yM;
    sums.z += massKg * zone.zM;
    sums.reach += use * reachCost(zone);
    if (now !== undefined && now !== zone.id) sums.changes += 1;
  }
  const uses = problem.items.reduce((sum, { use = 0 }) => sum + use, 0);
  return totalOf(costOf(sums, problem, uses));
}
/** The least cost of all plans that place everything; null: there is none. */
function leastOfAll(problem: ArrangeProblem): number | null {
  const { items, zones } = problem;
  let least: number | null = null;
  const places = new Map<string, string>();
  const place = (i: number) => {
    const item = items[i];
    if (!item) {
      const cost = costFromNothing(problem, places);
      if (broken(problem, { places, unplaced: [], cost: {} as never, bound: null }).length === 0)
        least = Math.min(least ?? Infinity, cost);
      return;
    }
    for (const zone of zones) {
      if (forbiddenAlone(item, zone) !== null) continue;
      places.set(item.id, zone.id);
      place(i + 1);
      places.delete(item.id);
    }
  };
  place(0);
  return least;
}

describe('things arranged in a boat', () => {
  it(
    'keep every hard rule, the objective is what it is said to be, and the bound is never passed',
    () => {
      fc.assert(
        fc.property(
          fc.integer({ min: 1, max: 100_000 }),
          fc.integer({ min: 1, max: 60 }),
          fc.integer({ min: 1, max: 16 }),
          (seed, many, zones) => {
            const problem = stowInstance(seed, many, zones);
            const plan = arrange(problem, { seed, steps: 2000, prove: true });
            expect(broken(problem, plan)).toEqual([]);
            expect(totalOf(plan.cost)).toBeCloseTo(costFromNothing(problem, plan.places), 6);
            expect(plan.bound ?? 0).toBeLessThanOrEqual(totalOf(plan.cost) + 1e-6);
          },
        ),
        runs(150),
      );
    },
    often(120_000),
  );
  it(
    'come to the best of all plans where all can be looked at',
    () => {
      for (let seed = 1; seed <= 12; seed += 1) {
        const problem = stowInstance(seed, 5, 4);
        const least = leastOfAll(problem);
        const plan = arrange(problem, { seed: 1, steps: 20_000, prove: true });
        if (least === null) {
          expect(plan.unplaced.length, `${seed}`).toBeGreaterThan(0);
          continue;
        }
        expect(totalOf(plan.cost), `${seed}`).toBeCloseTo(least, 6);
        expect(plan.bound ?? 0).toBeLessThanOrEqual(least + 1e-6);
      }
    },
    often(60_000),
  );
  it('are the same for one seed, and each plan told on the way is better than the one before', () => {
    const problem = stowInstance(7, 60, 14);
    const told: number[] = [];
    const once = () => arrange(problem, { seed: 3, steps: 20_000, onBetter: (_, cost) => told.push(cost) });
    const first = once();
    expect(told.length).toBeGreaterThan(2);
    expect(told).toEqual(told.toSorted((a, b) => b - a));
    expect(once()).toEqual(first);
  });
  it('say of what has no place what forbids it, and leave what is pinned', () => {
    const zone = {
      id: 'well',
      xM: 0.6,
      yM: 0,
      zM: 0.2,
      litres: 60,
      maxKg: 20,
      insideM: null,
      openingM: null,
      dry: 'open',
      reach: 'turn',
      leashes: 1,
    } as const;
    const item = (id: string, more = {}) => ({ id, massKg: 1, sizeM: [0.2, 0.1, 0.1] as const, ...more });
    const plan = arrange(
      {
        zones: [zone, { ...zone, id: 'hatch', dry: 'sealed', openingM: [0.15, 0.09] }],
        items: [
          item('phone', { dry: 'sealed' }),
          item('ice', { massKg: 25 }),
          item('pump', { pinned: 'well' }),
          item('a', { leash: true }),
          item('b', { leash: true }),
        ],
        base: { massKg: 100, xM: 1.8, yM: 0, zM: 0.2 },
        levelAtM: 1.8,
        weights: USUAL_WEIGHTS,
      },
      { seed: 1, steps: 500 },
    );
    expect(plan.places.get('pump')).toBe('well');
    const why = (id: string) => plan.unplaced.find((one) => one.id === id)?.why;
    expect(why('phone')).toEqual([
      { zone: 'well', forbidden: 'not dry enough' },
      { zone: 'hatch', forbidden: 'opening too small' },
    ]);
    expect(why('ice')?.map(({ forbidden }) => forbidden)).toEqual(['too heavy', 'too heavy']);
    expect([plan.places.has('a'), plan.places.has('b')].filter(Boolean)).toHaveLength(1);
  });
});
