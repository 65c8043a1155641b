import { Socket } from 'node:net';
import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';

export interface BodyLimits {
  /** How long nothing of a body may come, ms. */
  pauseMs: number;
  /** How long a body may take in any case, ms; then it has to have come at the pace below. */
  graceMs: number;
  /** Bytes a second. */
  leastPace: number;
}
/** A telephone with a bad signal still sends ten kilobytes a second. */
const LIMITS: BodyLimits = { pauseMs: 10_000, graceMs: 30_000, leastPace: 10_000 };
/** How long the headers of a request may take, ms. */
const HEADERS_MS = 20_000;

/**
 * Cuts a request whose body stops half-way or trickles in: it would hold its connection for ever, and nobody
 * need be signed in to send one.
 */
export function cutSlowBodies(app: FastifyInstance, limits: BodyLimits = LIMITS): void {
  app.server.headersTimeout = HEADERS_MS;
  app.addHook('onRequest', (request, reply, done) => {
    if (hasBody(request)) watch(request, reply, limits);
    done();
  });
}

function hasBody({ headers }: FastifyRequest): boolean {
  return 'transfer-encoding' in headers || (headers['content-length'] ?? '0') !== '0';
}

function watch(
  { raw }: FastifyRequest,
  reply: FastifyReply,
  { pauseMs, graceMs, leastPace }: BodyLimits,
): void {
  const { socket } = raw;
  // What is injected in tests comes over no connection.
  if (!(socket instanceof Socket)) return;
  const began = Date.now();
  const before = socket.bytesRead;
  let seen = before;
  let seenAt = began;
  const timer = setInterval(
    () => {
      const now = Date.now();
      if (socket.bytesRead !== seen) [seen, seenAt] = [socket.bytesRead, now];
      const tooSlow = now - began > graceMs && (seen - before) / ((now - began) / 1000) < leastPace;
      if (now - seenAt > pauseMs || tooSlow) cut();
    },
    Math.min(1000, pauseMs / 4),
  );
  timer.unref();
  const stop = () => clearInterval(timer);
  raw.once('end', stop).once('close', stop);
  const cut = () => {
    stop();
    if (raw.complete) return;
    if (reply.raw.headersSent) {
      // Answered already, without waiting for the body.
      socket.destroy();
      return;
    }
    reply.hijack();
    const detail = 'The rest of this request did not come.';
    const problem = { type: 'about:blank', title: 'Too slow', status: 408, detail, errors: [] };
    reply.raw.writeHead(408, { 'content-type': 'application/problem+json', connection: 'close' });
    reply.raw.end(JSON.stringify(problem), () => socket.destroy());
  };
}
