import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { HOUR_MS } from '#core/units/time';
import { anchorOf, pathOf, ticks, timeOf, xOf } from './timeAxis';

const axis = { from: 0, to: 10 * HOUR_MS, left: 50, right: 550 };

describe('a time axis', () => {
  it('turns a moment into a place and back', () => {
    expect(xOf(axis, 5 * HOUR_MS)).toBe(300);
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 * HOUR_MS }), (at) => {
        expect(timeOf(axis, xOf(axis, at))).toBeCloseTo(at, 3);
      }),
    );
  });
  it('marks whole hours, as many as have room', () => {
    expect(ticks(axis, 40)).toHaveLength(11);
    expect(ticks(axis, 60)).toHaveLength(6);
    expect(ticks({ ...axis, from: HOUR_MS / 2 }, 40)[0]).toBe(HOUR_MS);
    expect(ticks({ ...axis, to: 30 * 24 * HOUR_MS }, 60).length).toBeLessThan(40);
  });
  it('names an hour on its line, and before it where the name would reach beyond the axis', () => {
    expect(anchorOf(axis, axis.left, '12 am')).toBe('middle');
    expect(anchorOf(axis, axis.right, '12 am')).toBe('end');
    expect(anchorOf(axis, axis.right, '16')).toBe('middle');
  });
  it('draws a line that breaks where nothing is known', () => {
    expect(
      pathOf([
        [0, 1],
        [1, 2],
        [2, null],
        [3, 4],
      ]),
    ).toBe('M0.0 1.0L1.0 2.0M3.0 4.0');
    expect(pathOf([[0, null]])).toBe('');
  });
});
