import { existsSync, readFileSync, readdirSync } from 'node:fs';
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

describe('the pages of docs and the README', () => {
  it('name only files that are there, and every picture is linked', () => {
    const pages = [
      'README.md',
      ...readdirSync('docs')
        .filter((name) => name.endsWith('.md'))
        .map((name) => `docs/${name}`),
    ];
    const words = pages.map((name) => readFileSync(name, 'utf8')).join('\n');
    const named = [...words.matchAll(/`((?:core|server|web|scripts|e2e)\/[\w/.-]+\.\w+)`/g)].map(
      ([, path = '']) => path,
    );
    expect(named.length).toBeGreaterThan(40);
    expect(named.filter((path) => !existsSync(path))).toEqual([]);
    for (const picture of readdirSync('docs/screenshots')) expect(words).toContain(`docs/screenshots/${picture}`);
  });
});
