import type { FastifyInstance } from 'fastify';
import type { Database } from '../storage/open';
import { clubRoutes } from './clubRoutes';
import { signUpRoutes } from './signUp';
import { ownRoutes } from './ownRoutes';
import { peopleStore } from './store';
import { attemptStore } from './attempts';
import { signInThrottle } from './signInThrottle';

/** Coming in, going out, and who may. @returns what takes away what is over, to be done now and then */
export function peopleRoutes(
  app: FastifyInstance,
  { db, now, secure, names }: { db: Database; now: () => number; secure: boolean; names: readonly string[] },
): { sweep: () => Promise<void> } {
  const people = peopleStore(db, now);
  const attempts = attemptStore(db, now);
  const throttle = signInThrottle(people, attempts, now);
  signUpRoutes(app, { db, now, secure, people, throttle, names });
  ownRoutes(app, { people, throttle });
  clubRoutes(app, { people, throttle });
  return {
    sweep: async () => {
      await attempts.sweep();
      await people.sweep();
    },
  };
}
