import { connect } from 'node:net';
import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';
import Fastify, { type FastifyInstance } from 'fastify';
import { afterAll, beforeAll, expect, it } from 'vitest';
import { cutSlowBodies } from './slowBodies';

let app: FastifyInstance;
let port: number;
beforeAll(async () => {
  app = Fastify();
  cutSlowBodies(app, { pauseMs: 150, graceMs: 400, leastPace: 1000 });
  app.post('/', () => ({ done: true }));
  await app.listen({ port: 0, host: '127.0.0.1' });
  ({ port } = app.server.address() as AddressInfo);
});
afterAll(() => app.close());

/** What is answered to a request whose body comes in these pieces, so far apart. */
async function answer(
  pieces: readonly string[],
  everyMs: number,
  length = pieces.join('').length,
): Promise<string> {
  const socket = connect(port, '127.0.0.1');
  socket.on('error', () => undefined);
  const said = text(socket).catch(() => 'cut');
  socket.write(
    `POST / HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nConnection: close\r\nContent-Length: ${length}\r\n\r\n`,
  );
  for (const piece of pieces) {
    if (socket.destroyed) break;
    socket.write(piece);
    await new Promise((done) => setTimeout(done, everyMs));
  }
  return said;
}

it('a body that stops half-way is cut, and the one that only pauses is taken', async () => {
  expect(await answer(['{"a":'], 10, 100)).toMatch(
    /^HTTP\/1\.1 408[\s\S]*The rest of this request did not come/,
  );
  expect(await answer(['{"a"', ':', '1}'], 50)).toMatch(/^HTTP\/1\.1 200/);
});
it('a body that trickles in is cut, however regularly', async () => {
  expect(await answer(Array.from('{"a":"' + 'x'.repeat(30)), 60, 1000)).toMatch(/^HTTP\/1\.1 408/);
});
