import type { FastifyInstance } from 'fastify';
import { Refusal } from '../errors/refusal';

const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Refuses to write once a newer version of the program has changed the database beneath this one: what an
 * older program writes there may not be what the newer one reads.
 * @returns the look that finds it out, to be taken again and again
 */
export function refuseWhenOutdated(
  app: FastifyInstance,
  isOutdated: () => Promise<boolean>,
): () => Promise<void> {
  let outdated = false;
  app.addHook('onRequest', (request, _reply, done) =>
    done(
      outdated && !READS.has(request.method)
        ? new Refusal(
            'busy',
            'An older program',
            'A newer version of this program has changed the data. Whoever keeps the server starts it anew in that version; nothing was changed.',
          )
        : undefined,
    ),
  );
  return async () => {
    if (!outdated && (await isOutdated())) {
      outdated = true;
      app.log.error('A newer version of this program has changed the data. Stop this one and start that.');
    }
  };
}
