import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newItem } from '#core/editing/newItem';
import { type TestApp, openApp } from './testing/openApp';

let test: TestApp;
beforeAll(async () => {
  test = await openApp({ withDemo: true });
});
afterAll(() => test.close());

const call = async (method: 'GET' | 'POST' | 'PUT', url: string, payload?: object) => {
  const reply = await test.app.inject({ method, url, ...(payload ? { payload } : {}) });
  return { status: reply.statusCode, body: reply.json() };
};
const lists = async () => {
  const { body } = await call('GET', '/api/references');
  return {
    things: body.items.changed.length,
    boats: body.craft.changed.length,
    profiles: body.anglers.changed.length,
  };
};

describe('the sample data', () => {
  it('is cleared away in one step, but for what was changed since, and one’s own stays', async () => {
    const before = await lists();
    await call('POST', '/api/items', { doc: newItem('own-net', 'net') });
    const { doc, version } = (await call('GET', '/api/items/radio')).body;
    await call('PUT', '/api/items/radio', { version, doc: { ...doc, note: 'mine now' } });
    expect((await call('GET', '/api/sample')).body.documents).toBeGreaterThan(150);
    const { status, body } = await call('POST', '/api/sample/clear', {});
    expect(status).toBe(200);
    expect(body.taken.items).toHaveLength(before.things - 1);
    expect(await lists()).toEqual({ things: 2, boats: 0, profiles: 0 });
    expect((await call('GET', '/api/summaries?today=2026-05-15')).body.of).toEqual({ ahead: 0, gone: 0 });
    expect((await call('GET', '/api/sample')).body.documents).toBe(0);
    // Brought back whole, and can be cleared away again.
    expect((await call('POST', '/api/sample/restore', { taken: body.taken })).status).toBe(200);
    expect(await lists()).toEqual({ ...before, things: before.things + 1 });
    const again = await call('POST', '/api/sample/clear', {});
    const sorted = (taken: Record<string, string[]>) =>
      Object.entries(taken).map(([kind, ids]) => [kind, ids.toSorted()]);
    expect(sorted(again.body.taken)).toEqual(sorted(body.taken));
    expect((await call('POST', '/api/sample/clear', {})).body.taken).toEqual({});
  });
  it('brought back leaves the profile that one wrote meanwhile', async () => {
    const { taken } = (await call('POST', '/api/sample/restore', { taken: {} })).body;
    expect(taken).toBeUndefined();
    await call('POST', '/api/sample/restore', { taken: { anglers: ['me'] } });
    const { doc } = (await call('GET', '/api/anglers/me')).body;
    await call('POST', '/api/sample/clear', {});
    expect((await call('POST', '/api/anglers', { doc: { ...doc, id: 'own', name: 'Own' } })).status).toBe(
      201,
    );
    await call('POST', '/api/sample/restore', { taken: { anglers: ['me'] } });
    expect((await call('GET', '/api/anglers/me')).status).toBe(404);
  });
  it('is none in a house that never had it, whatever its documents are called', async () => {
    const bare = await openApp({ withDemo: false });
    await bare.app.inject({
      method: 'POST',
      url: '/api/items',
      payload: { doc: newItem('radio', 'vhf-radio') },
    });
    expect((await bare.app.inject({ url: '/api/sample' })).json()).toEqual({ documents: 0 });
    expect((await bare.app.inject({ method: 'POST', url: '/api/sample/clear', payload: {} })).json()).toEqual(
      {
        taken: {},
      },
    );
    expect((await bare.app.inject({ url: '/api/items/radio' })).statusCode).toBe(200);
    await bare.close();
  });
  it('refuses names that are none', async () => {
    expect((await call('POST', '/api/sample/restore', { taken: { outings: ['../x'] } })).status).toBe(400);
  });
});
