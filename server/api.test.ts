import { forms } from '#core/documents/forms';
import { demoSpecies } from '#core/demo/species';
import { newItem } from '#core/editing/newItem';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import type { Outing } from '#core/documents/outing';
import { NOW, type TestApp, openApp } from './testing/openApp';

let test: TestApp;
beforeAll(async () => {
  test = await openApp({ withDemo: true });
});
afterAll(() => test.close());

const READY = 'pollack-long-grey';
const call = async (method: 'GET' | 'POST' | 'PUT' | 'DELETE', url: string, payload?: object) => {
  const body = payload ?? (method === 'POST' ? {} : undefined);
  const reply = await test.app.inject({ method, url, ...(body ? { payload: body } : {}) });
  return { status: reply.statusCode, type: reply.headers['content-type'], body: reply.json() };
};
const readOuting = async (id: string) =>
  (await call('GET', `/api/outings/${id}`)).body as { version: number; doc: Outing };

describe('documents', () => {
  it('brings the demo data in once: angler, boats, locker, waters, rules, outings', async () => {
    const { body } = await call('GET', '/api/references');
    const { references } = demo(NOW);
    expect(body.anglers.changed.map((one: { doc: object }) => one.doc)).toEqual([references.angler]);
    expect(body.craft.changed).toHaveLength(4);
    expect(body.items.changed).toHaveLength(references.items.length);
    expect(body.waters.changed).toHaveLength(references.waters.length);
  });

  it('keeps a change under the next version, and refuses the older version with the current document', async () => {
    const { version, doc } = await readOuting('zander-dusk');
    const first = await call('PUT', '/api/outings/zander-dusk', { version, doc: { ...doc, title: 'Dusk' } });
    expect(first.status).toBe(200);
    expect(first.body.version).toBe(version + 1);
    const second = await call('PUT', '/api/outings/zander-dusk', {
      version,
      doc: { ...doc, title: 'Other' },
    });
    expect(second.status).toBe(409);
    expect(second.type).toContain('application/problem+json');
    expect(second.body.current).toMatchObject({ version: version + 1, doc: { title: 'Dusk' } });
    expect((await readOuting('zander-dusk')).doc.title).toBe('Dusk');
  });

  it('names each bad field and changes nothing', async () => {
    const { version, doc } = await readOuting('zander-dusk');
    const bad = { ...doc, title: '', brief: { ...doc.brief, keep: -1, launchAt: '25:00' }, extra: 1 };
    const { status, body } = await call('PUT', '/api/outings/zander-dusk', { version, doc: bad });
    expect(status).toBe(400);
    expect(body.errors.map((error: { field: string }) => error.field).sort()).toEqual([
      'doc.brief.keep',
      'doc.brief.launchAt',
      'doc.extra',
      'doc.title',
    ]);
    expect((await readOuting('zander-dusk')).version).toBe(version);
  });

  it('deletes and brings back', async () => {
    const id = 'to-be-deleted';
    const { doc } = await readOuting('zander-dusk');
    await call('POST', '/api/outings', { doc: { ...doc, id } });
    expect((await call('DELETE', `/api/outings/${id}?version=1`)).status).toBe(200);
    expect((await call('GET', `/api/outings/${id}`)).status).toBe(404);
    expect((await call('POST', `/api/outings/${id}/restore`)).status).toBe(200);
    const { version } = await readOuting(id);
    expect((await call('DELETE', `/api/outings/${id}?version=${version}`)).status).toBe(200);
  });

  it('copies an outing to another day without what was written for its own day', async () => {
    const { status, body } = await call('POST', `/api/outings/${READY}/copy`, {
      id: 'a-copy',
      date: '2026-06-01',
    });
    expect(status).toBe(201);
    expect(body.doc.brief.date).toBe('2026-06-01');
    expect(body.doc.conditions).toMatchObject({ takenAt: null, hours: [] });
    expect(body.doc.loadout).toEqual((await readOuting(READY)).doc.loadout);
    await call('DELETE', '/api/outings/a-copy?version=1');
  });

  it('answers an unknown address with a problem', async () => {
    const { status, type } = await call('GET', '/api/nothing');
    expect(status).toBe(404);
    expect(type).toContain('application/problem+json');
  });

  it('describes every route in OpenAPI', async () => {
    const { body } = await call('GET', '/api/docs/json');
    expect(Object.keys(body.paths)).toEqual(
      expect.arrayContaining(
        ['/api/outings/', '/api/outings/{id}/signatures', '/api/references'].map((path) =>
          path.replace(/\/$/, ''),
        ),
      ),
    );
  });
});

describe('rule packs', () => {
  it('publish their format as JSON Schema, and a pack of that format is kept', async () => {
    const { status, body } = await call('GET', '/api/schemas/rule-pack');
    expect(status).toBe(200);
    expect(body.properties).toMatchObject({ name: { type: 'string' }, rules: { type: 'array' } });
    expect([body.$schema, body.$id]).toEqual([
      'https://json-schema.org/draft/2020-12/schema',
      `urn:unhurried-tally:${forms.rulePacks}`,
    ]);
    const pack = {
      format: forms.rulePacks,
      id: 'bank-rules',
      name: 'Bank rules',
      authority: 'The bank',
      standing: 'law',
      lastCheckedOn: '2026-05-01',
      rules: [{ id: 'a', rule: 'rods', most: 1, withPermission: null, text: 'one rod', citation: 'Rule 1' }],
    };
    expect((await call('POST', '/api/rule-packs', { doc: pack })).status).toBe(201);
    const bad = {
      ...pack,
      id: 'bad',
      rules: [
        { ...pack.rules[0], most: 0 },
        { id: 'b', rule: 'length' },
      ],
    };
    const refused = await call('POST', '/api/rule-packs', { doc: bad });
    expect(refused.status).toBe(400);
    expect(refused.body.errors.map((error: { field: string }) => error.field)).toEqual(
      expect.arrayContaining(['doc.rules.0.most']),
    );
    await call('DELETE', '/api/rule-packs/bank-rules?version=1');
  });
});

describe('signing', () => {
  it('signs an open gate, once judged here, and marks it stale after a change', async () => {
    const { version, doc } = await readOuting(READY);
    const signed = await call('POST', `/api/outings/${READY}/signatures`, { version });
    expect(signed.status).toBe(201);
    expect(signed.body.signature.hash).toMatch(/^[0-9a-f]{64}$/);
    const summary = async () =>
      (await call('GET', '/api/summaries?today=2026-05-15')).body.ahead.find(
        (one: { id: string }) => one.id === READY,
      );
    expect((await summary()).signed).toMatchObject({ stale: false });
    await call('PUT', `/api/outings/${READY}`, {
      version,
      doc: { ...doc, brief: { ...doc.brief, keep: 1 } },
    });
    expect((await summary()).signed).toMatchObject({ stale: true });
  });

  it('refuses a shut gate with its bars in words, and an outing changed meanwhile', async () => {
    const { version } = await readOuting('zander-dusk');
    const shut = await call('POST', '/api/outings/zander-dusk/signatures', { version });
    expect(shut.status).toBe(422);
    expect(shut.body.errors.map((error: { field: string }) => error.field)).toContain('stops');
    expect((await call('POST', '/api/outings/zander-dusk/signatures', { version: version - 1 })).status).toBe(
      409,
    );
  });

  it('refuses a forecast that is three hours old', async () => {
    const { version } = await readOuting(READY);
    test.wait(3 * 3_600_000);
    const { status, body } = await call('POST', `/api/outings/${READY}/signatures`, { version });
    expect(status).toBe(422);
    expect(body.errors).toEqual([expect.objectContaining({ field: 'forecast' })]);
  });

  it('records an answer sent twice once, keeps the order, and lets nobody change it', async () => {
    const answer = {
      key: '7d3f6c2e-58a1-4c55-9d6d-1f2f3a4b5c6d',
      stepId: 'item:radio',
      verdict: 'fault',
      at: new Date(NOW).toISOString(),
      note: '',
    };
    const before = (await call('GET', `/api/outings/${READY}/walk-round`)).body.answers.length;
    await call('POST', `/api/outings/${READY}/answers`, { answers: [answer] });
    const after = await call('POST', `/api/outings/${READY}/answers`, { answers: [answer] });
    expect(after.body.answers).toHaveLength(before + 1);
    expect(after.body.answers.at(-1)).toMatchObject({ stepId: 'item:radio', verdict: 'fault' });
  });

  it('tells an outing what was looked over the evening before another, until it is found wanting or days have passed', async () => {
    const say = (stepId: string, verdict: string, n: number) => ({
      key: `7d3f6c2e-58a1-4c55-9d6d-1f2f3a4b5d0${n}`,
      stepId,
      verdict,
      at: new Date(NOW).toISOString(),
      note: '',
    });
    const earlierFor = async (id: string) =>
      ((await call('GET', `/api/outings/${id}/walk-round`)).body.earlier as { itemId: string }[]).map(
        ({ itemId }) => itemId,
      );
    await call('POST', `/api/outings/${READY}/answers`, {
      answers: [
        say('evening:cart', 'good', 1),
        say('evening:drysuit', 'good', 2),
        say('item:drysuit', 'fault', 3),
      ],
    });
    expect(await earlierFor('zander-dusk')).toContain('cart');
    expect(await earlierFor('zander-dusk')).not.toContain('drysuit');
    expect(await earlierFor(READY), 'its own answers are its own').not.toContain('cart');
    test.wait(4 * 24 * 3_600_000);
    expect(await earlierFor('zander-dusk')).not.toContain('cart');
  });
});

describe('a file of items', () => {
  const item = (id: string) => newItem(id, 'whistle', { name: `Whistle ${id}` });
  const version = async (id: string) => (await call('GET', `/api/items/${id}`)).body.version as number;
  it('is kept whole, or not at all where one id is taken', async () => {
    const kept = await call('POST', '/api/batches/items', { create: [item('batch-a'), item('batch-b')] });
    expect(kept).toMatchObject({
      status: 200,
      body: {
        versions: [
          { id: 'batch-a', version: 1 },
          { id: 'batch-b', version: 1 },
        ],
      },
    });
    const clash = await call('POST', '/api/batches/items', { create: [item('batch-c'), item('batch-a')] });
    expect(clash.status).toBe(409);
    expect((await call('GET', '/api/items/batch-c')).status).toBe(404);
    expect((await call('GET', '/api/items/batch-b')).status).toBe(200);
  });
  it('changes, takes out and brings back in one go, and nothing of it from an old version', async () => {
    const change = { version: 1, doc: { ...item('batch-a'), quantity: 3 } };
    const stale = await call('POST', '/api/batches/items', {
      change: [change],
      remove: [{ id: 'batch-b', version: 7 }],
    });
    expect(stale.status).toBe(409);
    expect(await version('batch-a')).toBe(1);
    const done = await call('POST', '/api/batches/items', {
      change: [change],
      remove: [{ id: 'batch-b', version: 1 }],
    });
    expect(done.body.versions).toEqual([
      { id: 'batch-a', version: 2 },
      { id: 'batch-b', version: 2 },
    ]);
    expect((await call('GET', '/api/items/batch-b')).status).toBe(404);
    expect(
      (await call('POST', '/api/batches/items', { restore: ['batch-b'] })).body.versions[0].version,
    ).toBe(3);
    expect((await call('POST', '/api/batches/items', { restore: ['never-was'] })).status).toBe(404);
  });
  it('with one bad line is refused with that line’s field, and with none at all', async () => {
    const bad = await call('POST', '/api/batches/items', {
      create: [item('batch-d'), { ...item('batch-e'), quantity: 0 }],
    });
    expect(bad.status).toBe(400);
    expect(bad.body.errors[0]).toMatchObject({ field: 'create.1.quantity' });
    expect((await call('POST', '/api/batches/items', {})).status).toBe(400);
  });
});

describe('a fish of one’s own', () => {
  it('is kept with its figures in order, and refused with the larger one smaller', async () => {
    const [dace] = demoSpecies;
    const mine = { ...dace, id: 'mine' };
    expect((await call('POST', '/api/species', { doc: mine })).status).toBe(201);
    const odd = { ...mine, id: 'odd', largest: { lengthM: 0.1, massKg: 1 } };
    const refused = await call('POST', '/api/species', { doc: odd });
    expect(refused.status).toBe(400);
    expect(JSON.stringify(refused.body.errors)).toContain('The largest is not shorter than the usual.');
  });
});
