import type { FastifyInstance, FastifyRequest } from 'fastify';
import { Refusal } from '../errors/refusal';

/** Which names the server answers to. */
export interface Serving {
  /**
   * Names beside the loopback ones, without a port, in lower case; '*': any, on a network that was opened on
   * purpose.
   */
  names: readonly string[];
}

const LOOPBACK: readonly string[] = ['127.0.0.1', 'localhost', '[::1]'];
const READS: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

/**
 * Lets in only requests that name this server and come from its own pages. A page of elsewhere could
 * otherwise read and write here: by a name that it made point at this machine, or by a form sent across.
 */
export function guard(app: FastifyInstance, serving: Serving): void {
  app.addHook('onRequest', (request, _reply, done) => {
    const host = hostOf(request);
    if (!isServed(host, serving))
      return done(
        new Refusal(
          'wrong name',
          'Not this server',
          `This server does not answer to the name ${host === '' ? 'given' : host}.`,
        ),
      );
    if (!isOwn(request))
      return done(
        new Refusal(
          'not allowed',
          'Not from here',
          'This came from a page of another place. Only the own pages may ask.',
        ),
      );
    if (!READS.has(request.method) && !isJson(request))
      return done(
        new Refusal(
          'wrong kind of file',
          'Only JSON',
          'Send JSON, and say so: content-type application/json.',
        ),
      );
    done();
  });
}

function hostOf({ headers }: FastifyRequest): string {
  const given = headers.host ?? headers[':authority'];
  return nameIn(typeof given === 'string' ? given : '');
}
/** The name without its port, in lower case and without a last dot. */
function nameIn(authority: string): string {
  return authority.toLowerCase().replace(/:\d*$/, '').replace(/\.$/, '');
}

function isServed(host: string, { names }: Serving): boolean {
  return LOOPBACK.includes(host) || names.includes('*') || names.includes(host);
}

/** A browser says where a page stands; what is no browser says nothing. */
function isOwn({ headers, method }: FastifyRequest): boolean {
  const site = headers['sec-fetch-site'];
  const followed = headers['sec-fetch-mode'] === 'navigate' && READS.has(method);
  if (typeof site === 'string' && site !== 'same-origin' && site !== 'none' && !followed) return false;
  const { origin, host } = headers;
  if (origin === undefined) return true;
  try {
    return new URL(origin).host === (host ?? '').toLowerCase();
  } catch {
    // "null", from a page without an address of its own.
    return false;
  }
}

/**
 * What has no body needs no type; what has one is JSON. A form sent across can be neither JSON nor a DELETE.
 */
function isJson({ headers, method }: FastifyRequest): boolean {
  const type = headers['content-type'];
  if (type !== undefined) return /^application\/json\s*(;|$)/i.test(type);
  return (
    method !== 'POST' && headers['content-length'] === undefined && headers['transfer-encoding'] === undefined
  );
}
