import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Outing } from '#core/documents/outing';
import { emptyHouse } from '../makeDump';
import { type Running, startServer } from '../startServer';

/*
 * What can go wrong on a machine, done on purpose to the product as it is started: each trial says how often
 * it did so, what was lost that had been acknowledged, and what else was not as it ought to be.
 */
export interface Outcome {
  tried: number;
  /** What was lost or wrong, in words; empty: nothing. */
  lost: string[];
  /** What was right and took too long, in words. */
  slow?: string[];
  /** Why it was not tried; null: it was. */
  leftOut: string | null;
}
export interface Trial {
  name: string;
  run: (chance: Chance, rounds: number) => Promise<Outcome>;
}
/** A number from 0 up to one less than the given, from a seed. */
export type Chance = (of: number) => number;
export function chanceFrom(seed: number): Chance {
  let state = seed;
  return (of) => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648;
    return Math.floor((state / 2_147_483_648) * of);
  };
}

export const MIGRATIONS = 'server/storage/migrations';
export const OUTING = 'zander-dusk';
export const json = { 'content-type': 'application/json' };
export const pause = (ms: number) => new Promise((done) => setTimeout(done, ms));
export const good = (tried: number, lost: string[], slow: string[] = []): Outcome => ({
  ...{ tried, lost, slow, leftOut: null },
});

export async function inFolder<T>(work: (folder: string) => Promise<T>): Promise<T> {
  const folder = mkdtempSync(join(tmpdir(), 'tally-fault-'));
  try {
    return await work(folder);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
/** The server on a folder, which is begun from the dump where there is nothing in it. */
export async function start(data: string, more: Record<string, string> = {}): Promise<Running> {
  if (!existsSync(join(data, 'db'))) await emptyHouse(data);
  return startServer({ TALLY_DATA: data, ...more });
}
export const send = (url: string, method: string, body?: object) =>
  fetch(url, { method, headers: json, ...(body ? { body: JSON.stringify(body) } : {}) });
export async function read<T>(url: string): Promise<T> {
  const reply = await fetch(url);
  if (!reply.ok) throw new Error(`${url}: ${reply.status}`);
  return (await reply.json()) as T;
}
export type KeptOuting = { version: number; doc: Outing };
export type Things = { items: { changed: { doc: { id: string } }[] } };
export const thingsOf = async (url: string) =>
  (await read<Things>(`${url}/api/references`)).items.changed.map(({ doc }) => doc.id);
/** Kills after a while; what was on its way is answered with nothing. */
export async function killedDuring(running: Running, afterMs: number, work: Promise<unknown>): Promise<void> {
  const over = work.catch(() => undefined);
  await pause(afterMs);
  await running.kill('SIGKILL');
  await over;
}
