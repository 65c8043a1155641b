import { forms } from '#core/documents/forms';
import { eq, sql } from 'drizzle-orm';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newItem } from '#core/editing/newItem';
import { documentTables, walkAnswers } from './storage/schema';
import { NOW, type TestApp, openApp } from './testing/openApp';

let test: TestApp;
beforeAll(async () => {
  test = await openApp({ withDemo: true });
});
afterAll(() => test.close());

const READY = 'pollack-long-grey';
const DAY = '2026-05-15';
type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
const call = async (method: Method, url: string, payload?: object, headers: Record<string, string> = {}) => {
  const body = payload ?? (method === 'POST' ? {} : undefined);
  const reply = await test.app.inject({ method, url, headers, ...(body ? { payload: body } : {}) });
  return { status: reply.statusCode, headers: reply.headers, body: reply.json() };
};
const spoil = (table: (typeof documentTables)[keyof typeof documentTables], id: string, doc: unknown) =>
  test.db.update(table).set({ doc }).where(eq(table.id, id));

describe('a row that cannot be read', () => {
  it('is set aside with its name and reason, and everything else works', async () => {
    const before = await call('GET', '/api/references');
    await spoil(documentTables.items, 'sponge', {
      format: forms.items,
      name: 'Bilge sponge',
      quantity: 'many',
    });
    await spoil(documentTables.outings, 'cod-wreck', { format: 'outing/99', title: 'From the future' });
    const { status, body } = await call('GET', '/api/references');
    expect(status).toBe(200);
    expect(body.items.changed).toHaveLength(before.body.items.changed.length - 1);
    expect(body.setAside).toEqual([
      expect.objectContaining({ kind: 'items', id: 'sponge', name: 'Bilge sponge', newer: false }),
    ]);
    expect(body.setAside[0].why).toMatch(/^It cannot be read\. .+/);
    const page = await call('GET', `/api/summaries?today=${DAY}`);
    expect(page.status).toBe(200);
    expect(page.body.setAside.map((one: { name: string }) => one.name)).toEqual([
      'From the future',
      'Bilge sponge',
    ]);
    expect(page.body.ahead.map((one: { id: string }) => one.id)).toContain(READY);
    expect((await call('GET', '/api/items/sponge')).status).toBe(409);
    expect((await call('GET', '/api/outings/cod-wreck')).body.detail).toMatch(
      /newer version of this program/,
    );
  });
  it('is written out as it is, and deleted when asked, but not what a newer program made', async () => {
    expect((await call('GET', '/api/set-aside/items/sponge')).body).toMatchObject({ quantity: 'many' });
    expect((await call('DELETE', '/api/set-aside/items/sponge')).status).toBe(200);
    expect((await call('GET', '/api/references')).body.setAside).toEqual([]);
    expect((await call('DELETE', '/api/set-aside/outings/cod-wreck')).status).toBe(409);
    expect((await call('GET', '/api/set-aside/items/radio')).status).toBe(404);
  });
});

describe('references', () => {
  it('are asked for as changes since: what is new, changed and gone, and nothing else', async () => {
    const { at } = (await call('GET', '/api/references')).body;
    expect((await call('GET', `/api/references?since=${at}`)).body).toMatchObject({
      at,
      whole: false,
      items: { changed: [], gone: [] },
    });
    const radio = (await call('GET', '/api/items/radio')).body;
    await call('POST', '/api/items', { doc: newItem('new-thing', 'whistle', { name: 'New' }) });
    await call('PUT', '/api/items/radio', {
      version: radio.version,
      doc: { ...radio.doc, note: 'Looked at.' },
    });
    await call('DELETE', '/api/items/mirror?version=1');
    const { body } = await call('GET', `/api/references?since=${at}`);
    expect(body.items.changed.map((one: { doc: { id: string } }) => one.doc.id).sort()).toEqual([
      'new-thing',
      'radio',
    ]);
    expect(body.items.gone).toEqual(['mirror']);
    expect(body.craft).toEqual({ changed: [], gone: [] });
    expect(body.at).toBeGreaterThan(at);
  });
  it('are sent whole again to one who asks from a future that never was', async () => {
    const { body } = await call('GET', '/api/references?since=999999');
    expect(body.whole).toBe(true);
    expect(body.items.changed.length).toBeGreaterThan(100);
  });
});

describe('pictures', () => {
  const bytes = Buffer.from('\x89PNG\r\n\x1a\na picture', 'latin1');
  const dataUrl = `data:image/png;base64,${bytes.toString('base64')}`;
  it('are kept by what they show, once, and served so that a browser never asks again', async () => {
    const first = await call('POST', '/api/pictures', { dataUrl });
    const again = await call('POST', '/api/pictures', { dataUrl });
    expect(first.status).toBe(201);
    expect(again.body.id).toBe(first.body.id);
    const reply = await test.app.inject({ url: `/api/pictures/${first.body.id}` });
    expect(reply.rawPayload).toEqual(bytes);
    expect(reply.headers).toMatchObject({
      'content-type': 'image/png',
      'cache-control': expect.stringContaining('immutable'),
    });
  });
  it('are refused when they are none, and not found when nobody kept them', async () => {
    for (const none of ['data:text/html;base64,AAAA', 'data:image/png;base64,AAAA'])
      expect((await call('POST', '/api/pictures', { dataUrl: none })).status).toBe(400);
    expect((await call('GET', `/api/pictures/${'0'.repeat(64)}`)).status).toBe(404);
  });
});

describe('who may ask', () => {
  const put = '/api/outings/pollack-long-grey/restore';
  it.each([
    ['another name for this machine', { host: 'evil.example' }, 421],
    ['another name with the port', { host: 'evil.example:4180' }, 421],
    ['a page of another place', { host: '127.0.0.1:4180', origin: 'https://evil.example' }, 403],
    [
      'a page of another port of this machine',
      { host: '127.0.0.1:4180', origin: 'http://127.0.0.1:3000' },
      403,
    ],
    ['a page without an address', { host: '127.0.0.1:4180', origin: 'null' }, 403],
    [
      'a request the browser calls cross-site',
      { host: '127.0.0.1:4180', 'sec-fetch-site': 'cross-site' },
      403,
    ],
    [
      'its own page',
      { host: '127.0.0.1:4180', origin: 'http://127.0.0.1:4180', 'sec-fetch-site': 'same-origin' },
      200,
    ],
    ['localhost with a dot', { host: 'localhost.:4180' }, 200],
    ['no browser at all', { host: '[::1]:4180' }, 200],
  ])('%s', async (_, headers, status) => {
    expect((await call('POST', put, {}, headers as never)).status).toBe(status);
    expect((await call('GET', '/api/references', undefined, headers as never)).status).toBe(status);
  });
  it('nobody without JSON: a form or a bodiless call from elsewhere could send nothing else', async () => {
    const bare = await test.app.inject({ method: 'POST', url: put });
    const form = await test.app.inject({
      method: 'POST',
      url: put,
      headers: { 'content-type': 'text/plain' },
      payload: '{}',
    });
    expect([bare.statusCode, form.statusCode]).toEqual([415, 415]);
  });
  it('a link from elsewhere opens a page all the same', async () => {
    const headers = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate' };
    expect((await call('GET', '/api/health', undefined, headers)).status).toBe(200);
  });
});

describe('answers and their clocks', () => {
  const answer = (at: string, stepId = 'item:radio') => ({
    key: crypto.randomUUID(),
    stepId,
    verdict: 'good',
    at,
    note: '',
  });
  const send = (answers: object[], sentAt?: string) =>
    call('POST', `/api/outings/${READY}/answers`, { answers, ...(sentAt ? { sentAt } : {}) });
  const iso = (ms: number) => new Date(ms).toISOString();

  it('an instant before 1900 by UTC is refused and not stored, whatever its text says', async () => {
    const before = (await call('GET', `/api/outings/${READY}/walk-round`)).body.answers.length;
    const refused = await send([answer('1900-01-01T00:00:00+14:00')]);
    expect(refused.status).toBe(400);
    expect(refused.body.errors[0].field).toBe('answers.0.at');
    expect((await call('GET', `/api/outings/${READY}/walk-round`)).body.answers).toHaveLength(before);
  });
  it('one that was stored before such were refused is left out, and the rest is read', async () => {
    await test.db
      .insert(walkAnswers)
      .values({ ...answer('1899-12-31T10:00:00Z', 'item:old'), outingId: READY });
    const { status, body } = await call('GET', `/api/outings/${READY}/walk-round`);
    expect(status).toBe(200);
    expect(body.leftOut).toBe(1);
    expect((await call('GET', `/api/summaries?today=${DAY}`)).status).toBe(200);
  });
  it('a phone whose clock is ahead is believed as to how long ago, and nothing is dated later than it came in', async () => {
    const ahead = 3 * 86_400_000;
    const given = NOW + ahead - 60_000;
    const { status, body } = await send([answer(iso(given), 'item:ahead')], iso(NOW + ahead));
    expect(status).toBe(200);
    expect(body.clockAheadMs).toBe(-ahead);
    const kept = body.answers.find((one: { stepId: string }) => one.stepId === 'item:ahead');
    expect(Date.parse(kept.at)).toBe(NOW - 60_000);
    const [row] = await test.db.select().from(walkAnswers).where(eq(walkAnswers.stepId, 'item:ahead'));
    expect(new Date(row?.at ?? '').getTime(), 'the device’s own moment is kept too').toBe(given);
  });
  it('a phone whose clock is behind is not thought to have answered long ago', async () => {
    const behind = 40 * 3_600_000;
    const { body } = await send([answer(iso(NOW - behind), 'item:behind')], iso(NOW - behind));
    const kept = body.answers.find((one: { stepId: string }) => one.stepId === 'item:behind');
    expect(Date.parse(kept.at)).toBe(NOW);
  });
  it('without a word on its clock an answer dated ahead counts from when it came in', async () => {
    const { body } = await send([answer(iso(NOW + 9e8), 'item:unknown')]);
    const kept = body.answers.find((one: { stepId: string }) => one.stepId === 'item:unknown');
    expect(Date.parse(kept.at)).toBe(NOW);
  });
});

describe('what used to fail on the server', () => {
  it.each([2 ** 31, 2 ** 31 - 1, 1e300, Infinity])('a version of %s is refused in words', async (version) => {
    const { doc } = (await call('GET', `/api/outings/${READY}`)).body;
    expect((await call('PUT', `/api/outings/${READY}`, { version, doc })).status).toBe(400);
    expect((await call('DELETE', `/api/outings/${READY}?version=${version}`)).status).toBe(400);
  });
  it.each(['\u0000', '\ud800', 'a\udc00b'])(
    'text that no database keeps is refused at its field: %j',
    async (text) => {
      const { version, doc } = (await call('GET', `/api/outings/${READY}`)).body;
      const accepted = [{ key: text, reason: `because ${text}`, at: '2026-05-15T18:00:00Z', extent: 1 }];
      const { status, body } = await call('PUT', `/api/outings/${READY}`, {
        version,
        doc: { ...doc, accepted },
      });
      expect(status).toBe(400);
      expect(body.errors.map((one: { field: string }) => one.field)).toEqual([
        'doc.accepted.0.key',
        'doc.accepted.0.reason',
      ]);
    },
  );
  it.each(['2199-12-31', '2199-12-29', '1900-01-01'])(
    'the station answers at the ends of time: %s',
    async (date) => {
      const { status, body } = await call('GET', `/api/station/ostrey-sound?date=${date}`);
      expect(status).toBe(200);
      expect(body.hours.length).toBeGreaterThan(20);
    },
  );
  it.each(['summaries', 'batch', 'schema', 'copy', 'answers', 'restore', 'references'])(
    'a document may be called %s like any other',
    async (id) => {
      expect((await call('POST', '/api/items', { doc: newItem(id, 'whistle', { name: id }) })).status).toBe(
        201,
      );
      expect((await call('GET', `/api/items/${id}`)).body.doc.name).toBe(id);
      const { doc } = (await call('GET', `/api/outings/${READY}`)).body;
      expect((await call('POST', '/api/outings', { doc: { ...doc, id } })).status).toBe(201);
      expect((await call('GET', `/api/outings/${id}`)).body.doc.id).toBe(id);
      await call('DELETE', `/api/outings/${id}?version=1`);
    },
  );
  it('a list of millions is refused by its length, and thousands of faults by the first hundred', async () => {
    const long = { create: Array.from({ length: 6000 }, () => ({})) };
    expect((await call('POST', '/api/batches/items', long)).body.errors).toEqual([
      { field: 'create', message: 'At most 5000.' },
    ]);
    const faulty = await call('POST', '/api/batches/items', {
      create: Array.from({ length: 4000 }, () => ({})),
    });
    expect(faulty.body.errors).toHaveLength(100);
  });
  it('millions of values are refused before they are taken apart, and a long text is not taken for them', async () => {
    const values = (count: number) => `{"create":[${'{},'.repeat(count)}{}]}`;
    const send = (body: string) =>
      test.app.inject({
        method: 'POST',
        url: '/api/batches/items',
        headers: { 'content-type': 'application/json' },
        body,
      });
    const message = 'Too much at once: send it in parts.';
    const many = await send(values(300_000));
    expect(many.statusCode).toBe(413);
    expect(many.json()).toMatchObject({ title: 'Too much', errors: [{ field: 'body', message }] });
    const long = await send(JSON.stringify({ create: [{ name: 'long '.repeat(100_000) }] }));
    expect(long.statusCode).toBe(400);
    expect(JSON.stringify(long.json())).toContain('create.0.name');
  });
  it.each([
    ['wave-on-stream', { hsM: 1e-300, periodS: 1e-300, streamMps: -1e-300 }],
    [
      'drift',
      {
        windMps: 1e-300,
        lateralAirM2: 1e-300,
        lateralWaterM2: 1e-300,
        drogue: { diameterM: 1e-300 },
        targetMps: 1e-300,
      },
    ],
    ['spool', { refLengthM: 1e-300, refDiameterMm: 1e-300, diameterMm: 1e-300 }],
  ])('figures next to nothing in %s', async (name, input) => {
    const { status, body } = await call('POST', `/api/calc/${name}`, input);
    expect(status, JSON.stringify(body)).toBeLessThan(500);
  });
});

describe('the list of outings', () => {
  it('judges again only what changed, and says so at once', async () => {
    const signedOf = async () =>
      (await call('GET', `/api/summaries?today=${DAY}`)).body.ahead.find(
        (one: { id: string }) => one.id === READY,
      );
    const before = await signedOf();
    const boat = (await call('GET', '/api/craft/grey-wagtail')).body;
    await call('PUT', '/api/craft/grey-wagtail', {
      version: boat.version,
      doc: { ...boat.doc, condition: 'under repair' },
    });
    const after = await signedOf();
    expect(after.counts.stop).toBe(before.counts.stop + 1);
  });
  it('is read page by page, what is ahead first in order of days', async () => {
    const whole = (await call('GET', `/api/summaries?today=${DAY}`)).body;
    const { body } = await call('GET', `/api/summaries?today=${DAY}&ahead=2&gone=0`);
    expect(body.ahead).toEqual(whole.ahead.slice(0, 2));
    expect(body.gone).toEqual([]);
    expect(body.of.ahead).toBe(whole.ahead.length);
    expect(body.house.profile.units, 'what its words are read in').toMatchObject({
      wind: 'm/s',
      clock: '24 h',
    });
    const days = whole.ahead.map((one: { date: string }) => one.date);
    expect(days).toEqual(days.toSorted());
  });
  it('follows a database that was put back to an earlier state under it', async () => {
    await call('POST', '/api/items', { doc: newItem('after-the-copy', 'whistle') });
    await call('GET', '/api/references');
    await test.db.execute(sql`delete from items where id = 'after-the-copy'`);
    await test.db.execute(sql`select setval('document_changes', (select max(change_no) from outings) - 3)`);
    const { body } = await call('GET', '/api/references');
    expect(body.items.changed.some((one: { doc: { id: string } }) => one.doc.id === 'after-the-copy')).toBe(
      false,
    );
  });
});
