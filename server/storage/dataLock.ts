import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { PlainError, systemCode } from '../errors/plainError';

/** Who holds a data folder: enough to tell a living holder from one that was killed. */
interface Holder {
  pid: number;
  /** When that process began, as the kernel counts it; empty where the system does not say. */
  began: string;
}

const TAKEOVER_STALE_MS = 10_000;

/**
 * Takes a data folder for this process alone. The embedded database opens twice without an error and loses
 * one side's rows, so this stands before it. A lock left by a killed process is recognised and taken over.
 * @returns a function that gives the folder back
 */
export function lockData(folder: string): () => void {
  const lock = join(folder, 'lock');
  const mine = join(folder, `lock-${process.pid}`);
  try {
    mkdirSync(folder, { recursive: true });
    writeFileSync(mine, JSON.stringify(self()));
  } catch (error) {
    throw new PlainError(
      'unwritable',
      `The data folder ${folder} cannot be written to (${whyNot(folder, error)}).`,
    );
  }
  try {
    if (!claimed(mine, lock)) takeOver(folder, mine, lock);
  } finally {
    rmSync(mine, { force: true });
  }
  return () => {
    if (readHolder(lock)?.pid === process.pid) rmSync(lock, { force: true });
  };
}

/**
 * The system's reason. Making several folders at once says only that one is not there: making the last by
 * itself says why.
 */
function whyNot(folder: string, error: unknown): string {
  let code = systemCode(error);
  if (code === 'ENOENT')
    try {
      mkdirSync(folder);
    } catch (last) {
      code = systemCode(last);
    }
  return code ?? 'no reason given';
}

/** The process that holds a data folder and lives; null: none does. */
export function holderOf(folder: string): number | null {
  const holder = readHolder(join(folder, 'lock'));
  return holder && alive(holder) ? holder.pid : null;
}

function claimed(mine: string, lock: string): boolean {
  try {
    linkSync(mine, lock);
    return true;
  } catch (error) {
    if (systemCode(error) === 'EEXIST') return false;
    throw error;
  }
}

// Two starts that both find a dead holder must not both take its lock: a folder made by only one of them
// decides.
function takeOver(folder: string, mine: string, lock: string): void {
  const busy = join(folder, 'lock-takeover');
  const refuse = () =>
    new PlainError(
      'in-use',
      `The data folder ${folder} is in use by another running copy (process ${readHolder(lock)?.pid ?? 'unknown'}). Stop that one first.`,
    );
  if (alive(readHolder(lock))) throw refuse();
  try {
    mkdirSync(busy);
  } catch {
    if (Date.now() - (statSync(busy, { throwIfNoEntry: false })?.mtimeMs ?? 0) < TAKEOVER_STALE_MS)
      throw refuse();
  }
  try {
    if (alive(readHolder(lock))) throw refuse();
    renameSync(mine, lock);
  } finally {
    rmSync(busy, { recursive: true, force: true });
  }
}

function readHolder(lock: string): Holder | null {
  try {
    const value: unknown = JSON.parse(readFileSync(lock, 'utf8'));
    if (value === null || typeof value !== 'object' || !('pid' in value) || typeof value.pid !== 'number')
      return null;
    return { pid: value.pid, began: 'began' in value ? String(value.began) : '' };
  } catch {
    return null;
  }
}

function alive(holder: Holder | null): boolean {
  if (!holder || holder.pid === process.pid) return false;
  try {
    process.kill(holder.pid, 0);
  } catch (error) {
    // EPERM: it lives, under another user.
    if (systemCode(error) !== 'EPERM') return false;
  }
  // A process number is used again after a while; the moment it began is not.
  return holder.began === '' || holder.began === began(holder.pid);
}

function self(): Holder {
  return { pid: process.pid, began: began(process.pid) };
}

function began(pid: number): string {
  try {
    const stat = readFileSync(`/proc/${pid}/stat`, 'utf8');
    // Fields after the command's closing bracket; the 20th of them is the start time. A zombie (Z) no longer
    // runs.
    const fields = stat.slice(stat.lastIndexOf(')') + 2).split(' ');
    return fields[0] === 'Z' ? 'ended' : (fields[19] ?? '');
  } catch {
    return '';
  }
}
