import { readFileSync } from 'node:fs';
import { get } from 'node:https';
import { afterAll, expect, it } from 'vitest';
import { buildApp } from './app';
import { openApp } from './testing/openApp';

const house = await openApp({ withDemo: false });
// Made for these tests, by nobody, for a name that does not exist.
const read = (file: string) => readFileSync(`server/testing/samples/sample-tls.${file}`);
const cert = read('pem');
const app = await buildApp({
  db: house.db,
  now: house.now,
  webRoot: null,
  log: false,
  tls: { cert, key: read('key') },
});
afterAll(async () => {
  await app.close();
  await house.close();
});

it('with a certificate and its key it is served by HTTPS, which a telephone wants before it keeps the program', async () => {
  const address = await app.listen({ host: '127.0.0.1', port: 0 });
  expect(address).toMatch(/^https:/);
  const { status, body } = await new Promise<{ status: number; body: string }>((done, fail) => {
    get(`${address}/api/health`, { ca: cert }, (reply) => {
      let text = '';
      reply.on('data', (chunk: Buffer) => (text += chunk.toString()));
      reply.on('end', () => done({ status: reply.statusCode ?? 0, body: text }));
    }).on('error', fail);
  });
  expect(status).toBe(200);
  expect(JSON.parse(body)).toMatchObject({ ok: true });
});
