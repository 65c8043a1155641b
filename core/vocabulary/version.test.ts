import { readFileSync } from 'node:fs';
import { expect, it } from 'vitest';
import { VERSION } from './version';

const read = (name: string) => readFileSync(new URL(`../../${name}`, import.meta.url), 'utf8');

it('is the same in the package, its lock and the newest entry of the changelog', () => {
  const of = (name: string) => (JSON.parse(read(name)) as { version: string }).version;
  expect(of('package.json')).toBe(VERSION);
  expect(of('package-lock.json')).toBe(VERSION);
  expect(/^## (\S+)/m.exec(read('CHANGELOG.md'))?.[1]).toBe(VERSION);
});
