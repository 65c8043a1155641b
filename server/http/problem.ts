import { randomUUID } from 'node:crypto';
import type { FastifyError, FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { z } from 'zod';
import { isDatabaseAway, isDatabaseDamaged } from '../storage/trouble';
import { InvalidInput, Refusal, type RefusalKind } from '../errors/refusal';

export const problemSchema = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  /** One entry per bad field. */
  errors: z.array(z.object({ field: z.string(), message: z.string() })),
  /** The document as it stands, on a version clash. */
  current: z.unknown().optional(),
  /** To find a failure of ours in the log. */
  id: z.string().optional(),
});
export type Problem = z.infer<typeof problemSchema>;

const STATUS: Readonly<Record<RefusalKind, number>> = {
  'bad input': 400,
  'not signed in': 401,
  'not allowed': 403,
  'not found': 404,
  conflict: 409,
  'too large': 413,
  'wrong kind of file': 415,
  'wrong name': 421,
  'not ready': 422,
  'too many tries': 429,
  busy: 503,
};

/** Every error leaves as RFC 9457 problem details. Ours say an id and no internals. */
export function handleErrors(app: FastifyInstance): void {
  app.setErrorHandler((error: FastifyError | Error, request, reply) =>
    send(reply, problemOf(error, request)),
  );
  app.setNotFoundHandler((_request, reply) =>
    send(reply, { ...base(404, 'Not found', 'Nothing is served at this address.') }),
  );
}

function problemOf(error: FastifyError | Error, request: FastifyRequest): Problem {
  if (error instanceof InvalidInput)
    return { ...base(400, 'Bad input', error.message), errors: error.fields };
  if (error instanceof Refusal) {
    const { kind, title, detail, errors, current } = error;
    return {
      ...base(STATUS[kind], title, detail),
      errors: [...errors],
      ...(current === undefined ? {} : { current }),
    };
  }
  const status = 'statusCode' in error && error.statusCode ? error.statusCode : 500;
  if (status >= 400 && status < 500)
    return {
      ...base(status, 'Bad request', error.message),
      errors: [{ field: 'body', message: error.message }],
    };
  const id = randomUUID();
  request.log.error({ err: error, id }, 'request failed');
  if (isDatabaseAway(error))
    return {
      ...base(
        503,
        'The database does not answer',
        'The database does not answer just now. Nothing was changed; try again in a moment.',
      ),
      id,
    };
  if (isDatabaseDamaged(error))
    return {
      ...base(
        503,
        'The data is damaged',
        'Part of the data on this disk is not as it was written and cannot be read. Nothing was changed. Whoever keeps the server puts back a backup: npm run restore.',
      ),
      id,
    };
  return {
    ...base(
      500,
      'Failure',
      'The server failed on this. Nothing was changed. Try again; if it stays, look for the id in the log.',
    ),
    id,
  };
}

function base(status: number, title: string, detail: string): Problem {
  return { type: 'about:blank', title, status, detail, errors: [] };
}

async function send(reply: FastifyReply, problem: Problem): Promise<void> {
  await reply.code(problem.status).type('application/problem+json').send(JSON.stringify(problem));
}
