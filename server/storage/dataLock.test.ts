import { spawn } from 'node:child_process';
import { once } from 'node:events';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  readdirSync,
  rmSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { holderOf, lockData } from './dataLock';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'tally-lock-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const written = () =>
  JSON.parse(readFileSync(join(folder, 'lock'), 'utf8')) as { pid: number; began: string };
const held = (by: object | string) =>
  writeFileSync(join(folder, 'lock'), typeof by === 'string' ? by : JSON.stringify(by));
/** A process that does nothing until it is ended. */
function sleeper() {
  const child = spawn(process.execPath, ['-e', 'setInterval(() => undefined, 1000)'], { stdio: 'ignore' });
  return {
    pid: child.pid ?? 0,
    end: async () => {
      child.kill('SIGKILL');
      await once(child, 'exit');
    },
  };
}

describe('the lock of a data folder', () => {
  it('is this process’s until it gives the folder back, and leaves nothing else behind', () => {
    const back = lockData(join(folder, 'made', 'anew'));
    const inside = join(folder, 'made', 'anew');
    expect(readdirSync(inside)).toEqual(['lock']);
    back();
    expect(readdirSync(inside)).toEqual([]);
  });
  it('of a living process is not taken: it is said by its number, and the lock stays', async () => {
    const other = sleeper();
    held({ pid: other.pid, began: '' });
    expect(holderOf(folder)).toBe(other.pid);
    expect(() => lockData(folder)).toThrow(
      new RegExp(`in use by another running copy \\(process ${other.pid}\\)`),
    );
    expect(written().pid).toBe(other.pid);
    expect(readdirSync(folder)).toEqual(['lock']);
    await other.end();
    expect(holderOf(folder)).toBeNull();
    lockData(folder)();
  });
  it('of a process that was killed is taken over, also where its number is another’s now', async () => {
    const other = sleeper();
    held({ pid: other.pid, began: '1' });
    expect(holderOf(folder)).toBeNull();
    const back = lockData(folder);
    expect(written().pid).toBe(process.pid);
    back();
    expect(existsSync(join(folder, 'lock'))).toBe(false);
    await other.end();
  });
  it.each(['', 'no lock at all', '{"pid":"many"}', 'null'])(
    'that cannot be read is nobody’s: "%s"',
    (text) => {
      held(text);
      expect(holderOf(folder)).toBeNull();
      lockData(folder)();
    },
  );
  it('is waited for while another takes it over, and taken where that one was killed in the middle', () => {
    held({ pid: 2 ** 22 - 1, began: '' });
    const busy = join(folder, 'lock-takeover');
    mkdirSync(busy);
    expect(() => lockData(folder)).toThrow(/in use/);
    const longAgo = new Date(Date.now() - 60_000);
    utimesSync(busy, longAgo, longAgo);
    lockData(folder)();
    expect(readdirSync(folder)).toEqual([]);
  });
  it('of a folder that is none is refused in a sentence', () => {
    const file = join(folder, 'a-file');
    writeFileSync(file, '');
    expect(() => lockData(join(file, 'in-it'))).toThrow(
      /^The data folder .* cannot be written to \(ENOTDIR\)\.$/,
    );
  });
  it('that somebody else took since is not given back by whoever had it', () => {
    const back = lockData(folder);
    held({ pid: 1, began: '' });
    back();
    expect(written().pid).toBe(1);
  });
});
