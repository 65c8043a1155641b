import { describe, expect, it } from 'vitest';
import { interning, rememberFor, rememberLast } from './remember';

describe('what is remembered', () => {
  it('is one answer for one record, and another for its equal', () => {
    let made = 0;
    const twice = rememberFor(({ n }: { n: number }) => {
      made += 1;
      return n * 2;
    });
    const one = { n: 2 };
    expect([twice(one), twice(one), twice({ n: 2 })]).toEqual([4, 4, 4]);
    expect(made).toBe(2);
  });
  it('of numbers and texts is the last so many, kept apart where they join to the same', () => {
    let made = 0;
    const joined = rememberLast(2, (a: string, b: string) => {
      made += 1;
      return `${a}|${b}`;
    });
    expect([joined('a', 'bc'), joined('ab', 'c')]).toEqual(['a|bc', 'ab|c']);
    joined('a', 'bc');
    expect(made).toBe(2);
    joined('x', 'y');
    joined('a', 'bc');
    expect(made).toBe(4);
  });
  it('that an answer is nothing is remembered too', () => {
    let made = 0;
    const none = rememberLast(5, (_: number) => {
      made += 1;
      return null;
    });
    expect([none(1), none(1)]).toEqual([null, null]);
    expect(made).toBe(1);
  });
  it('makes equal records one, until there are too many', () => {
    const same = interning<{ n: number }>(2);
    const one = same({ n: 1 });
    expect(same({ n: 1 })).toBe(one);
    same({ n: 2 });
    same({ n: 3 });
    expect(same({ n: 1 })).not.toBe(one);
  });
});
