import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { assess } from '../judgement/assess';
import { EMPTY_CHART } from '../documents/chart';
import type { Outing } from '../documents/outing';
import { landAt } from './testChart';
import { noAnswers } from '../walkround/answers';
import { fromPlane } from '../environment/geo';
import { overLand, shoreCrossings } from './shore';

const origin = { latDeg: 47, lonDeg: -19 };
const at = (x: number, y: number) => fromPlane(origin, { x, y });
describe('a way and the shore', () => {
  const square = landAt(origin, [
    [400, -200],
    [600, -200],
    [600, 200],
    [400, 200],
  ]);
  it('crosses an island at both its sides, and one beside it not at all', () => {
    const [into = 0, out = 0, ...more] = shoreCrossings(at(0, 0), at(1000, 0), square);
    expect([into, out, more.length]).toEqual([expect.closeTo(0.4, 3), expect.closeTo(0.6, 3), 0]);
    expect(shoreCrossings(at(0, 300), at(1000, 300), square)).toEqual([]);
    expect(shoreCrossings(at(0, 0), at(1000, 0), EMPTY_CHART)).toEqual([]);
  });
  it('crosses the shore of an island as often coming as going, and evenly often from water to water', () => {
    const far = fc
      .integer({ min: -3000, max: -700 })
      .chain((x) => fc.tuple(fc.constant(x), fc.integer({ min: -900, max: 900 })));
    fc.assert(
      fc.property(
        far,
        fc.integer({ min: 700, max: 3000 }),
        fc.integer({ min: -900, max: 900 }),
        ([x, y], x2, y2) => {
          const there = shoreCrossings(at(x, y), at(x2, y2), square);
          expect(shoreCrossings(at(x2, y2), at(x, y), square)).toHaveLength(there.length);
          expect(there.length % 2).toBe(0);
        },
      ),
    );
  });
  it('may meet the shore at a landing, and nowhere else', () => {
    expect(overLand(at(0, 0), at(450, 0), [at(405, 0)], square)).toBe(false);
    expect(overLand(at(0, 0), at(450, 0), [at(405, 150)], square)).toBe(true);
    expect(overLand(at(0, 0), at(1000, 0), [at(0, 0), at(1000, 0)], square)).toBe(true);
  });
});

describe('an outing whose way leads over land', () => {
  const now = Date.parse('2026-05-15T19:00:00Z');
  const { references, outings } = demo(now);
  const codes = (outing: Outing, refs = references) =>
    assess(outing, refs, noAnswers, now).findings.map((one) => one.facts.code);
  it('is told, and no way of the demo is one', () => {
    for (const outing of outings) expect(codes(outing), outing.title).not.toContain('way-over-land');
    const [ready] = outings;
    const water = references.waters.find((one) => one.id === ready?.brief.waterId);
    const area = water?.areas.find((one) => one.id === ready?.brief.areaId);
    if (!ready || !water || !area) throw new Error('The demo has a place to fish.');
    const chart = landAt(area, [
      [-400, 210],
      [400, 210],
      [400, 290],
      [-400, 290],
    ]);
    const waters = references.waters.map((one) => (one.id === water.id ? { ...one, chart } : one));
    expect(codes(ready, { ...references, waters })).toContain('way-over-land');
  });
});
