import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { often, runs } from '../scripts/testRuns';
import { type TestApp, openApp } from './testing/openApp';

const BODIES_PER_ROUTE = 60;
const odd = fc.oneof(
  fc.string(),
  fc.string({ unit: 'binary' }),
  fc.double(),
  fc.bigInt().map(Number),
  fc.constantFrom(null, true, [], {}, '', -1, 1e308, '\u0000', '\ud800', '__proto__', '2026-13-45', '99:99'),
);

let test: TestApp;
let routes: { method: 'POST' | 'PUT'; url: string }[] = [];
/** Whole documents, to be spoilt in one place at a time. */
let sound: Record<string, { version: number; doc: Record<string, unknown> }> = {};

beforeAll(async () => {
  test = await openApp({ withDemo: true });
  const spec = (await test.app.inject({ url: '/api/docs/json' })).json() as {
    paths: Record<string, Record<string, unknown>>;
  };
  routes = Object.entries(spec.paths).flatMap(([path, methods]) =>
    (['post', 'put'] as const)
      .filter(
        (method) =>
          method in methods && (methods[method] as { requestBody?: unknown }).requestBody !== undefined,
      )
      .map((method) => ({
        method: method.toUpperCase() as 'POST' | 'PUT',
        url: path.replace('{id}', 'pollack-long-grey'),
      })),
  );
  const references = (await test.app.inject({ url: '/api/references' })).json();
  sound = {
    '/api/anglers': references.anglers.changed[0],
    '/api/craft': references.craft.changed[0],
    '/api/items': references.items.changed[0],
    '/api/waters': references.waters.changed[0],
    '/api/rule-packs': references.rulePacks.changed[0],
    '/api/outings': (await test.app.inject({ url: '/api/outings/pollack-long-grey' })).json(),
  };
});
afterAll(() => test.close());

/** A copy with one value, anywhere in it, replaced. */
function spoilt(value: unknown, path: readonly number[], by: unknown): unknown {
  const [first, ...rest] = path;
  if (first === undefined || value === null || typeof value !== 'object') return by;
  if (Array.isArray(value)) {
    if (value.length === 0) return [by];
    const at = first % value.length;
    return value.map((one, i) => (i === at ? spoilt(one, rest, by) : one));
  }
  const keys = Object.keys(value);
  if (keys.length === 0) return { odd: by };
  const at = keys[first % keys.length] ?? '';
  return { ...value, [at]: spoilt((value as Record<string, unknown>)[at], rest, by) };
}

function bodiesFor(url: string) {
  const base = Object.entries(sound).find(([prefix]) => url.startsWith(prefix))?.[1];
  const junk = fc.oneof(fc.jsonValue({ maxDepth: 4 }), fc.object({ maxDepth: 3, values: [odd] }));
  const near = fc
    .tuple(fc.array(fc.nat(50), { minLength: 1, maxLength: 5 }), odd)
    .map(([path, by]) => spoilt({ version: 1, doc: base?.doc ?? {} }, path, by));
  return fc.oneof(junk, near);
}

describe('malformed bodies', () => {
  it(
    'meet no 500 and always a message per field, on every route that takes a body',
    async () => {
      expect(routes.length).toBeGreaterThanOrEqual(15);
      for (const { method, url } of routes) {
        const target = url.replace(
          'pollack-long-grey',
          url.startsWith('/api/outings/') ? 'pollack-long-grey' : 'nothing-here',
        );
        await fc.assert(
          fc.asyncProperty(bodiesFor(url), async (body) => {
            const reply = await test.app.inject({
              method,
              url: target,
              headers: { 'content-type': 'application/json' },
              payload: JSON.stringify(body) ?? 'undefined',
            });
            expect(reply.statusCode, `${method} ${target} ${reply.body}`).toBeLessThan(500);
            if (reply.statusCode !== 400) return;
            const { errors } = reply.json() as { errors: { field: string; message: string }[] };
            expect(errors.length).toBeGreaterThan(0);
            for (const { field, message } of errors)
              expect(field.length > 0 && message.length > 3, reply.body).toBe(true);
          }),
          runs(BODIES_PER_ROUTE),
        );
      }
    },
    often(240_000),
  );

  it.each(['', '{', '[1,2', '{"doc":', 'null', '"text"'])(
    'answers the text %j with a sentence',
    async (payload) => {
      const reply = await test.app.inject({
        method: 'POST',
        url: '/api/outings',
        headers: { 'content-type': 'application/json' },
        payload,
      });
      expect(reply.statusCode).toBe(400);
      expect(reply.json().errors.length).toBeGreaterThan(0);
    },
  );
});
