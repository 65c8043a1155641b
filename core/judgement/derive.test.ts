import { describe, expect, it } from 'vitest';
import { deriving } from './derive';

interface Whole {
  a: object;
  b: object;
  sum: { of: readonly object[] };
  above: { over: object };
}
function counted(keep?: number) {
  const made = { sum: 0, above: 0 };
  const derived = deriving<Whole, 'sum' | 'above'>({
    sum: {
      from: ['a'],
      ...(keep === undefined ? {} : { keep }),
      make: ({ a }) => {
        made.sum += 1;
        return { of: [a] };
      },
    },
    above: {
      from: ['sum', 'b'],
      make: ({ sum }) => {
        made.above += 1;
        return { over: sum };
      },
    },
  });
  return { derived, made };
}
const [a1, a2, b1, b2] = [{}, {}, {}, {}];

describe('a whole with derivations', () => {
  it('works each out when it is first read, and once', () => {
    const { derived, made } = counted();
    const whole = derived.whole({ a: a1, b: b1 }, null);
    expect(made).toEqual({ sum: 0, above: 0 });
    expect(whole.above).toBe(whole.above);
    expect(made).toEqual({ sum: 1, above: 1 });
  });
  it('takes over from the one it follows what reads nothing that changed', () => {
    const { derived, made } = counted();
    const first = derived.whole({ a: a1, b: b1 }, null);
    expect(first.above.over).toBe(first.sum);
    const second = derived.whole({ a: a1, b: b2 }, first);
    expect(second.sum).toBe(first.sum);
    expect(second.above).not.toBe(first.above);
    expect(made).toEqual({ sum: 1, above: 2 });
    const third = derived.whole({ a: a2, b: b1 }, first);
    expect(third.sum).not.toBe(first.sum);
    expect(made.sum).toBe(2);
  });
  it('remembers as many answers as it says, for inputs met before, by whomever', () => {
    const { derived, made } = counted(2);
    const sumOf = (a: object) => derived.whole({ a, b: b1 }, null).sum;
    expect(sumOf(a1)).toBe(sumOf(a1));
    sumOf(a2);
    expect(sumOf(a1)).toBe(sumOf(a1));
    expect(made.sum).toBe(2);
    // A third pushes out the one that was asked for longest ago.
    sumOf(b2);
    sumOf(a2);
    expect(made.sum).toBe(4);
  });
  it('knows what it is made from in the end', () => {
    const { derived } = counted();
    expect([...derived.givenFor(['above'])].sort()).toEqual(['a', 'b']);
    expect([...derived.givenFor(['sum'])]).toEqual(['a']);
    expect([...derived.givenFor(['b'])]).toEqual(['b']);
  });
});
