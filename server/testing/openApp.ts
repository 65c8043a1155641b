import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app';
import type { Database } from '../storage/open';
import { loadDemo } from '../storage/demo';
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

/** The app over a database opened from the dump, with the demo data or empty, and a clock that only the test moves. */
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
