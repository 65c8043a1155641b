import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isTooMuch, isUnkeepable, needsSecondLook, unkeepableIn } from './json';

const NO_LIMIT = { values: Infinity, depth: Infinity };

function depthOf(value: unknown): number {
  if (value === null || typeof value !== 'object') return 0;
  return 1 + Math.max(0, ...Object.values(value).map(depthOf));
}

describe('how much JSON is taken apart', () => {
  it('counts no bracket and no comma within a string, however it is escaped', () => {
    const most = { values: 1, depth: 1 };
    expect(isTooMuch(JSON.stringify(['[[[{{{,,,"\\"\\\\']), most)).toBe(false);
    expect(isTooMuch('["\\\\",1]', { values: 2, depth: 1 })).toBe(false);
    expect(isTooMuch('["\\\\",1]', { values: 1, depth: 1 })).toBe(true);
    expect(isTooMuch('"never closed [[[', most)).toBe(false);
  });
  it('knows exactly how deep any value nests', () => {
    fc.assert(
      fc.property(fc.jsonValue({ maxDepth: 6 }), (value) => {
        const text = JSON.stringify(value);
        const depth = depthOf(value);
        expect(isTooMuch(text, { ...NO_LIMIT, depth })).toBe(false);
        if (depth > 0) expect(isTooMuch(text, { ...NO_LIMIT, depth: depth - 1 })).toBe(true);
      }),
      { seed: 33 },
    );
  });
});

describe('text that cannot be kept', () => {
  it('is NUL and half of a surrogate pair, in values and in names of fields', () => {
    expect(['a\0', '\ud83d', 'x\udca9'].map(isUnkeepable)).toEqual([true, true, true]);
    expect(['', 'ok', '💩', '\u0001\n'].map(isUnkeepable)).toEqual([false, false, false, false]);
    expect(unkeepableIn({ a: [{ b: 'c' }, { b: '\0' }] })).toEqual(['a.1.b']);
    expect(unkeepableIn({ a: { '\0': 1 }, b: '\ud800' })).toEqual(['a', 'b']);
  });
  it('is never missed by the quick look at the text', () => {
    fc.assert(
      fc.property(fc.jsonValue(), (value) => {
        if (unkeepableIn(value).length > 0) expect(needsSecondLook(JSON.stringify(value))).toBe(true);
      }),
      { seed: 33 },
    );
    expect(needsSecondLook(JSON.stringify('\ud800'))).toBe(true);
  });
});
