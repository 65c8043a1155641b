import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { findingCodes } from './phrase';

describe('docs/findings.md', () => {
  it('lists every finding there is, and no other', () => {
    const listed = [...readFileSync('docs/findings.md', 'utf8').matchAll(/^\| `([a-z-]+)`/gm)].map((match) => match[1]);
    expect(listed.toSorted()).toEqual(findingCodes.toSorted());
  });
});
