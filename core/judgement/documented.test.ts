import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { rules } from './allRules';

const page = readFileSync('docs/findings.md', 'utf8');
const rows = [...page.matchAll(/^\| `([a-z-]+)`(.*)\|$/gm)].map(([, code = '', rest = '']) => ({
  code,
  cells: rest.split('|').map((cell) => cell.trim()),
}));

describe('docs/findings.md', () => {
  it('lists every finding there is, and no other', () => {
    expect(rows.map(({ code }) => code).toSorted()).toEqual(rules.map(({ code }) => code).toSorted());
  });
  it('says of each where it is told, what its extent counts and what it reads', () => {
    for (const { code, station, measure, reads } of rules) {
      const cells = rows.find((row) => row.code === code)?.cells ?? [];
      expect(cells, code).toEqual(expect.arrayContaining([station, measure, reads.join(', ')]));
    }
  });
});
