import { existsSync, readFileSync, readdirSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { kinds, kindsFor } from '../catalog/gear/kinds';
import { catalogue } from '../needs/catalogue';
import { type NeedId, needIds } from '../vocabulary/needs';
import { rules } from './allRules';
import { inWords } from '../units/amount';
import { askedInWords, placeOf, whereWords } from '../vocabulary/where';

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
    for (const { code, station, measure, reads, far } of rules) {
      const cells = rows.find((row) => row.code === code)?.cells ?? [];
      expect(cells, code).toEqual(expect.arrayContaining([station, far ?? '–', measure, reads.join(', ')]));
    }
  });
});

describe('docs/means.md', () => {
  const means = readFileSync('docs/means.md', 'utf8');
  it('lists every need with the distance it goes by, what fits, and every kind that can be a means of it', () => {
    const listed = [...means.matchAll(/^\| `([a-z-]+)`(.*)\|$/gm)].map(([, id = '', rest = '']) => [
      id,
      ...rest.split('|').map((cell) => cell.trim()),
    ]);
    expect(listed.map(([id]) => id)).toEqual(needIds);
    for (const [id, , title, far, fits, named] of listed) {
      const need = catalogue[id as NeedId];
      expect([title, far, fits], id).toEqual([
        need.title,
        need.far ?? '–',
        inWords(need.fits ?? 'any sound one'),
      ]);
      const names = kindsFor(id as NeedId).map((kind) => kinds[kind].name);
      if (names.length > 0) expect(named?.split('; '), id).toEqual(names);
    }
  });
  it('lists where the means of a need have to be, and in which modes', () => {
    const rows = [...means.matchAll(/^\| ([^`|]+?) +\| ([^|]+?) +\| ([^|]+?) +\|$/gm)].map((row) =>
      row.slice(1, 4),
    );
    for (const id of needIds) {
      const asked = placeOf[id];
      const row = rows.find(([title]) => title === catalogue[id].title);
      expect(row?.slice(1), id).toEqual(asked && [whereWords[asked.where], askedInWords[asked.in]]);
    }
  });
  it('says what fits of every need that can find a thing wanting', () => {
    const silent = needIds.filter((id) => {
      const { disqualify, parts, sort, fits } = catalogue[id];
      return (disqualify ?? parts ?? sort) !== undefined && fits === undefined;
    });
    expect(silent).toEqual([]);
  });
});

describe('docs/sources.md', () => {
  it('says where every calculator that is served is from', () => {
    const sources = readFileSync('docs/sources.md', 'utf8');
    const routes = readFileSync('server/calc/routes.ts', 'utf8');
    const files = [
      ...routes.matchAll(
        /from '#(core\/(?:environment|passage|holding|power|provisions|tackle|boat)\/[\w/]+)'/g,
      ),
    ].map(([, path = '']) => `${path}.ts`);
    expect(files.length).toBeGreaterThan(15);
    expect(files.filter((path) => !sources.includes(path))).toEqual([]);
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
    for (const picture of readdirSync('docs/screenshots'))
      expect(words).toContain(`docs/screenshots/${picture}`);
  });
});
