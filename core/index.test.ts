import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describe, expect, it } from 'vitest';
import * as calculators from './calculators';
import * as core from './index';

const root = join(import.meta.dirname, '..');
const page = readFileSync(join(root, 'docs/core.md'), 'utf8');

describe('the door of the core', () => {
  it.each([...Object.keys(core), ...Object.keys(calculators)])('%s stands on its page', (name) => {
    expect(page).toContain(`\`${name}\``);
  });
  it('names nothing on its page that is not there', () => {
    const rows = page.split('\n').filter((line) => line.startsWith('| `'));
    const named = rows.flatMap((line) =>
      [...(line.split('|')[1] ?? '').matchAll(/`(\w+)`/gu)].map(([, name]) => name),
    );
    expect(named.filter((name) => !(String(name) in core) && !(String(name) in calculators))).toEqual([]);
    expect(named.length).toBeGreaterThan(50);
  });
  it('has an example that runs, and by its ways out leaves no Stop', () => {
    const said = execFileSync(process.execPath, ['--import', 'tsx', 'docs/examples/judge.ts'], {
      cwd: root,
      encoding: 'utf8',
    });
    const [before = '', after = ''] = said.split('after the first way out of each:');
    expect(before).toMatch(/stop: Buoyancy, worn: not met\n {4}Add Life jacket, foam/u);
    expect(after).not.toBe('');
    expect(after).not.toContain('stop:');
  }, 30_000);
});
