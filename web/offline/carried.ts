import { type UseStore, createStore, del, entries, get, set } from 'idb-keyval';

/**
 * An outing as it lies on this device: each answer of the server that its screens read, by the path that was
 * asked.
 */
export interface Carried {
  outingId: string;
  title: string;
  /** The day it is for, yyyy-mm-dd. */
  date: string;
  /** When it was put here, by this device. */
  at: string;
  bytes: number;
  answers: Record<string, unknown>;
}

// Opened once, when something is first kept or looked for.
let opened: UseStore | null = null;
const store = () => (opened ??= createStore('tally-carried', 'outings'));
/** Beside the outings: the name of the one that was put here last. No outing has a name with a space. */
const LAST = 'put here last';
/** Pictures have a place of their own, by the rule of the service worker. */
export const PICTURES = 'tally-pictures';

export async function readCarried(outingId: string): Promise<Carried | null> {
  return (await get<Carried>(outingId, store())) ?? null;
}
export async function listCarried(): Promise<Carried[]> {
  const all = await entries<string, Carried>(store());
  return all.flatMap(([key, one]) => (key === LAST ? [] : [one])).sort((a, b) => (a.date < b.date ? -1 : 1));
}
export function dropCarried(outingId: string): Promise<void> {
  return del(outingId, store());
}

let turn: Promise<unknown> = Promise.resolve();
/**
 * One writes after another, in this window and in any other: two at once would each read back what the other
 * wrote.
 */
function inTurn<T>(work: () => Promise<T>): Promise<T> {
  // Not where the page came by plain HTTP from another machine.
  const { locks } = (globalThis as { navigator?: { locks?: LockManager | null } }).navigator ?? {};
  if (locks) return locks.request('tally-carried', work) as Promise<T>;
  const mine = turn.then(work, work);
  turn = mine.catch(() => undefined);
  return mine;
}

/**
 * Writes an outing to this device and reads it back: what does not come back as it went is not carried. Fails
 * with a reason in words.
 */
export function writeCarried(one: Omit<Carried, 'bytes' | 'at'>, at: string): Promise<Carried> {
  return inTurn(() => writeAndReadBack(one, at));
}
async function writeAndReadBack(one: Omit<Carried, 'bytes' | 'at'>, at: string): Promise<Carried> {
  const text = JSON.stringify(one.answers);
  const whole: Carried = { ...one, at, bytes: new Blob([text]).size };
  try {
    await set(one.outingId, whole, store());
    await set(LAST, one.outingId, store());
  } catch (error) {
    throw new Error(
      error instanceof DOMException && error.name === 'QuotaExceededError'
        ? 'This device is full: nothing was put on it.'
        : 'This browser keeps nothing on the device, as in a private window.',
      { cause: error },
    );
  }
  const back = await readCarried(one.outingId);
  if (!back || JSON.stringify(back.answers) !== text) {
    await dropCarried(one.outingId);
    throw new Error('What was put on the device did not come back whole. It is not carried.');
  }
  return whole;
}

const OF_AN_OUTING = /^\/api\/outings\/([^/?]+)/;
/**
 * What the server answered to a path when it was carried last; undefined: it was not. What is of an outing
 * lies with it, all else with each.
 */
export async function carriedAnswer(path: string): Promise<unknown> {
  try {
    const outingId = OF_AN_OUTING.exec(path)?.[1] ?? (await get<string>(LAST, store()));
    const found = outingId === undefined ? null : await readCarried(outingId);
    if (found && path in found.answers) return found.answers[path];
    // The one put here last was taken off, or it was put here before that was noted.
    const all = (await listCarried()).filter((one) => path in one.answers);
    return all.toSorted((a, b) => (a.at < b.at ? 1 : -1))[0]?.answers[path];
  } catch {
    return undefined;
  }
}
