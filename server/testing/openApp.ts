import type { FastifyInstance } from 'fastify';
import { type SignedSnapshot, signedSnapshot } from '#core/signing/snapshot';
import { noAnswers } from '#core/walkround/answers';
import { buildApp } from '../app';
import { libraryOf } from '../documents/library';
import { isSetAside } from '../documents/store';
import { stores } from '../documents/stores';
import type { Database } from '../storage/open';
import { loadDemo } from '../sample/demo';
import { emptyDatabase } from './emptyDatabase';

/** The moment at which every server test takes place. */
export const NOW = Date.parse('2026-05-15T19:00:00Z');

export interface TestApp {
  app: FastifyInstance;
  db: Database;
  now: () => number;
  /** Moves the clock, in milliseconds. */
  wait: (ms: number) => void;
  close: () => Promise<void>;
}

/**
 * The app over a database opened from the dump, with the demo data or empty, and a clock that only the test
 * moves.
 */
export async function openApp({ withDemo }: { withDemo: boolean }): Promise<TestApp> {
  const { db, close } = await emptyDatabase();
  let now = NOW;
  if (withDemo) await loadDemo(db, now);
  const app = await buildApp({ db, now: () => now, webRoot: null, log: false });
  return {
    app,
    db,
    now: () => now,
    wait: (ms) => {
      now += ms;
    },
    close: async () => {
      await app.close();
      await close();
    },
  };
}

/** What a signature of an outing would stand on now, unanswered. */
export async function snapshotOf({ db }: Pick<TestApp, 'db'>, id: string): Promise<SignedSnapshot> {
  const kept = await stores(db).outings.get(id);
  if (!kept || isSetAside(kept)) throw new Error(`There is no outing ${id}.`);
  return signedSnapshot(kept.doc, (await libraryOf(db).read()).references, noAnswers);
}
