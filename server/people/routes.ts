import type { FastifyInstance } from 'fastify';
import type { Database } from '../storage/open';
import { clubRoutes } from './clubRoutes';
import { comingInRoutes } from './comingIn';
import { ownRoutes } from './ownRoutes';
import { peopleStore } from './store';
import { waryOf } from './wary';

/** Coming in, going out, and who may. */
export function peopleRoutes(
  app: FastifyInstance,
  { db, now, secure }: { db: Database; now: () => number; secure: boolean },
): void {
  const people = peopleStore(db, now);
  const wary = waryOf(people, now);
  comingInRoutes(app, { db, now, secure, people, wary });
  ownRoutes(app, { people, wary });
  clubRoutes(app, { people, wary });
}
