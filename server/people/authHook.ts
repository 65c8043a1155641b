import cookie from '@fastify/cookie';
import rateLimit from '@fastify/rate-limit';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import { Refusal } from '../errors/refusal';
import { addressKey } from './attempts';
import { type Scope, currentScope, runInScope } from './scope';
import type { PeopleStore, Person } from './store';

const COOKIE = 'tally';
const KEPT_S = 90 * 86_400;
/** So many requests of an address are answered while nobody is signed in by them. */
const STRANGERS = { requests: 300, withinMs: 10_000 };
/**
 * What nobody has to be signed in for: the pages themselves, coming in, whether the server lives, and a plan
 * by its secret address.
 */
const OPEN = new Set([
  '/api/health',
  '/api/me',
  '/api/first',
  '/api/join',
  '/api/sign-in',
  '/api/recover',
  '/api/passkey-sign-in',
  '/api/passkey-sign-in/options',
  '/api/pair',
  '/watch/:token',
  '/*',
]);

declare module 'fastify' {
  interface FastifyRequest {
    /** Who is signed in, and by which device; null: nobody. */
    signedIn: { person: Person; sessionId: number } | null;
  }
}

/**
 * Stands before every route: whoever is not signed in gets no farther than coming in. What is done for a
 * request is done as whoever asks.
 */
export async function addAuthHook(app: FastifyInstance, people: PeopleStore): Promise<void> {
  await app.register(cookie);
  // Whoever is not signed in asks only so often: what they ask for is worked out on the thread that serves
  // everyone.
  await app.register(rateLimit, {
    max: STRANGERS.requests,
    timeWindow: STRANGERS.withinMs,
    keyGenerator: ({ ip }) => addressKey(ip),
    allowList: ({ signedIn, routeOptions }) => signedIn !== null || (routeOptions.url ?? '/*') === '/*',
    errorResponseBuilder: (_request, { ttl }) =>
      new Refusal(
        'too many tries',
        'Wait',
        `Too much is asked from your address. Try again in ${Math.ceil(ttl / 1000)} s.`,
      ),
  });
  app.decorateRequest('signedIn', null);
  app.addHook('onRequest', async (request) => {
    const token = request.cookies[COOKIE];
    request.signedIn = token === undefined || token.length > 100 ? null : await people.signedIn(token);
    // Files of the program are the same for everyone; every other address asks who comes.
    if (request.signedIn || isOpen(request)) return;
    throw new Refusal('not signed in', 'Sign in', 'Sign in to go on.');
  });
  // All of the request runs as whoever asks: entered with a callback, and once more after the body was read,
  // which comes by another way.
  const enter = (request: FastifyRequest, _reply: FastifyReply, done: () => void) =>
    runInScope(request.signedIn ? scopeOf(request.signedIn.person) : NOBODY, done);
  app.addHook('onRequest', enter);
  app.addHook('preValidation', enter);
  // Nothing is done for somebody as if it were the house's own doing.
  app.addHook('preHandler', (request, _reply, done) => {
    const whose = request.signedIn?.person.id ?? null;
    done(
      currentScope().personId === whose &&
        currentScope().owner === (request.signedIn?.person.owner ?? NOBODY.owner)
        ? undefined
        : new Error('Nobody knows for whom this is done.'),
    );
  });
}

const NOBODY: Scope = { owner: 'nobody', keeper: false, personId: null };
/** All that is somebody's own. */
export function scopeOf({ id, owner, keeper }: Person): Scope {
  return { owner, keeper, personId: id };
}

/** Whoever is signed in; the hook before every route has seen to it that somebody is. */
export function signedInAs({ signedIn }: FastifyRequest): Person {
  if (!signedIn) throw new Refusal('not signed in', 'Sign in', 'Sign in to go on.');
  return signedIn.person;
}

/** Whether a route is answered without being signed in. */
export const isOpenRoute = (path: string): boolean => OPEN.has(path) || !path.startsWith('/api');

function isOpen({ routeOptions, url, method }: FastifyRequest): boolean {
  const path = routeOptions.url;
  if (path === undefined) return !url.startsWith('/api');
  return OPEN.has(path) || (!path.startsWith('/api') && (method === 'GET' || method === 'HEAD'));
}

export function setSessionCookie(reply: FastifyReply, token: string, secure: boolean): void {
  void reply.setCookie(COOKIE, token, {
    path: '/',
    httpOnly: true,
    sameSite: 'strict',
    secure,
    maxAge: KEPT_S,
  });
}
export function clearSessionCookie(reply: FastifyReply): void {
  void reply.clearCookie(COOKIE, { path: '/' });
}

/** Only keepers go on; in a house without accounts everyone is one. */
export function keepersOnly(): void {
  if (!currentScope().keeper)
    throw new Refusal('not allowed', 'Keepers only', 'Only a keeper of this house may do that.');
}
