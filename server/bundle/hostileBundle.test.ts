import { createHash, randomUUID } from 'node:crypto';
import { deflateRawSync } from 'node:zlib';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import { HOUR_MS } from '#core/units/time';
import { imports, pictures, plansLeft, signatures } from '../storage/schema';
import { alteredBundle, base64 } from '../testing/alteredBundle';
import { NOW, type TestApp, openApp, snapshotOf } from '../testing/openApp';
import { runInScope } from '../people/scope';
import { hashOf } from '../walkround/snapshotHash';
import { walkStore } from '../walkround/store';
import { watchOver } from '../word/watch';
import { wordStore } from '../word/store';
import { undoImport } from './importBundle';

const OUTING = 'pollack-long-grey';
let house: TestApp;
/** A bundle of the house's outings, as it was before anything was imported. */
let bundle: Uint8Array;
beforeAll(async () => {
  house = await openApp({ withDemo: true });
  bundle = (await house.app.inject({ url: '/api/bundle?parts=outings' })).rawPayload;
});
afterAll(() => house.close());

const post = (url: string, payload: object) => house.app.inject({ method: 'POST', url, payload });
const get = async <T>(url: string) => (await house.app.inject({ url })).json<T>();
const bringIn = async (bytes: Uint8Array, key = randomUUID()) => {
  const reply = await post('/api/bundle/bring-in', { file: base64(bytes), key, take: [] });
  expect(reply.statusCode).toBe(200);
  return key;
};
const look = async (bytes: Uint8Array) =>
  (await post('/api/bundle/look', { file: base64(bytes) })).json<{
    unreadable: number;
    plans: number;
    detail: string;
  }>();
/** The bundle with these records in the place of its own. */
const withRecords = (path: string, list: readonly object[]) =>
  alteredBundle(bundle, path, () => JSON.stringify(list));
const planOf = (more: Partial<FloatPlan['times']>): FloatPlan => {
  const plan = demo(NOW).left.find(({ outingId }) => outingId === OUTING)?.plan;
  if (!plan) throw new Error('The demo leaves no plan of this outing.');
  return { ...plan, times: { ...plan.times, ...more } };
};
const planRow = (plan: unknown, leftAt: string) => ({ key: randomUUID(), outingId: OUTING, plan, leftAt });

describe('a bundle with rows that no route would take', () => {
  it('leaves out a plan whose times are text, says so, and the clock of all other plans goes on', async () => {
    const bad = planRow(planOf({ launchAt: 'never', callAt: 'never' }), '2026-05-15T18:59:00Z');
    const altered = await withRecords('records/plans.json', [bad]);
    expect(await look(altered)).toMatchObject({ unreadable: 1, plans: 0 });
    await bringIn(altered);
    expect((await house.app.inject({ url: '/api/out' })).statusCode).toBe(200);
    expect((await get<{ unreadable: number }>(`/api/outings/${OUTING}/word`)).unreadable).toBe(0);
  });
  it.each([['1'], ['{}'], ['null'], ['"text"'], ['[]']])('leaves out a signature over %s', async (judged) => {
    const value = JSON.parse(judged) as unknown;
    const row = {
      outingId: OUTING,
      signedAt: '2026-05-15T18:00:00Z',
      hash: hashOf(value),
      judged: value,
      key: null,
    };
    const altered = await withRecords('records/signatures.json', [row]);
    expect((await look(altered)).unreadable).toBe(1);
    await bringIn(altered);
    expect((await house.app.inject({ url: '/api/summaries?today=2026-05-15' })).statusCode).toBe(200);
    expect(await house.db.select().from(signatures)).toEqual([]);
  });
  it('refuses in words what is nested twenty thousand deep', async () => {
    const deep = `[{"outingId":"${OUTING}","judged":${'['.repeat(20_000)}${']'.repeat(20_000)}}]`;
    const { detail } = await look(await alteredBundle(bundle, 'records/signatures.json', () => deep));
    expect(detail).toBe('records/signatures.json holds more than can be opened at once.');
  });
  it('takes pictures only as the route for pictures does', async () => {
    const png = Buffer.from('89504e470d0a1a0a00', 'hex');
    const text = Buffer.from('<script>alert(1)</script>');
    const large = Buffer.concat([png, Buffer.alloc(60_000)]);
    let altered = bundle;
    for (const bytes of [png, text, large]) {
      const id = createHash('sha256').update(bytes).digest('hex');
      altered = await alteredBundle(altered, `pictures/${id}.png`, () => new Uint8Array(bytes));
    }
    expect((await look(altered)).unreadable).toBe(2);
    await bringIn(altered);
    expect((await house.db.select().from(pictures)).map(({ data }) => data)).toContain(
      png.toString('base64'),
    );
    expect((await house.db.select().from(pictures)).map(({ data }) => data)).not.toContain(
      text.toString('base64'),
    );
    const dataUrl = `data:image/png;base64,${text.toString('base64')}`;
    expect((await post('/api/pictures', { dataUrl })).statusCode).toBe(400);
  });
  it('refuses characters that no database keeps, wherever they are', async () => {
    const row = {
      key: randomUUID(),
      outingId: OUTING,
      stepId: 'item:radio',
      verdict: 'good',
      note: 'a\u0000b',
    };
    const { detail } = await look(await withRecords('records/answers.json', [row]));
    expect(detail).toBe('records/answers.json has a character that cannot be kept.');
  });
  it('refuses sixteen megabytes of zeros that say they are one thousand bytes', async () => {
    const { detail } = await look(zipOf('bundle.json', deflateRawSync(Buffer.alloc(2 ** 24)), 1000));
    expect(detail).toBe('The file is no whole zip archive.');
  });
  it('is not taken back by anybody but whoever imported it', async () => {
    const key = await bringIn(bundle);
    const somebody = { owner: 'somebody', keeper: false, personId: randomUUID() };
    const at = new Date(NOW).toISOString();
    await expect(runInScope(somebody, () => undoImport(house.db, key, at))).rejects.toMatchObject({
      kind: 'not found',
    });
    expect((await house.db.select().from(imports)).find((one) => one.key === key)?.undoneAt).toBeNull();
    expect((await undoImport(house.db, key, at)).left).toEqual([]);
  });
});

describe('rows that cannot be read, as an older program may have left them', () => {
  it('hold up neither the list of outings nor the plans of others, and what can be read stays in force', async () => {
    const good = await snapshotOf(house, OUTING);
    await walkStore(house.db).sign(OUTING, good, '2026-05-15T18:00:00.000Z');
    for (const judged of [1, null, {}, { outing: 3 }])
      await house.db
        .insert(signatures)
        .values({ outingId: OUTING, signedAt: '2026-05-15T18:30:00Z', hash: 'x', judged: judged ?? {} });
    for (const plan of [1, {}, planOf({ callAt: 'never' }), { ...planOf({}), format: 'plan/9' }])
      await house.db.insert(plansLeft).values(planRow(plan, '2026-05-15T18:30:00Z'));
    const { ahead } = await get<{ ahead: { id: string; signed: unknown }[] }>(
      '/api/summaries?today=2026-05-15',
    );
    expect(ahead.find(({ id }) => id === OUTING)?.signed).toMatchObject({ at: '2026-05-15T18:00:00.000Z' });
    expect((await house.app.inject({ url: '/api/out' })).statusCode).toBe(200);
    const word = await get<{ left: unknown; unreadable: number }>(`/api/outings/${OUTING}/word`);
    expect(word.left).not.toBeNull();
    expect(word.unreadable).toBe(4);
    await watchOver(house.db, house.now, null).tick();
  });
});

describe('what is in force', () => {
  const words = () => wordStore(house.db);
  it('is the plan left last: an older one that is imported does not replace it, nor one dated in the future a later one', async () => {
    const before = await words().plan(OUTING);
    await bringIn(
      await withRecords('records/plans.json', [
        planRow({ ...planOf({}), title: 'Of old' }, '2026-05-01T08:00:00Z'),
      ]),
    );
    expect(await words().plan(OUTING)).toEqual(before);
    await bringIn(
      await withRecords('records/plans.json', [
        planRow({ ...planOf({}), title: 'Of next year' }, '2027-05-01T08:00:00Z'),
      ]),
    );
    expect((await words().plan(OUTING))?.leftAt).toBe(new Date(NOW).toISOString());
    const now = new Date(NOW + HOUR_MS).toISOString();
    await words().leave(OUTING, randomUUID(), planOf({}), now);
    expect((await words().plan(OUTING))?.leftAt).toBe(now);
  });
  it('is the signature signed last', async () => {
    const judged = await snapshotOf(house, OUTING);
    const row = {
      outingId: OUTING,
      signedAt: '2026-05-01T08:00:00Z',
      hash: hashOf(judged),
      judged,
      key: randomUUID(),
    };
    await bringIn(await withRecords('records/signatures.json', [row]));
    expect(await house.db.select().from(signatures)).toContainEqual(
      expect.objectContaining({ key: row.key }),
    );
    expect((await walkStore(house.db).lastSignature(OUTING))?.signedAt).toBe('2026-05-15T18:00:00.000Z');
  });
});

/**
 * A zip of one file whose header states a size that its content does not have (APPNOTE 6.3, sections 4.3.7,
 * 4.3.12 and 4.3.16).
 */
function zipOf(name: string, packed: Buffer, stated: number): Uint8Array {
  const path = Buffer.from(name);
  const local = Buffer.alloc(30);
  local.writeUInt32LE(0x04034b50, 0);
  local.writeUInt16LE(8, 8);
  const central = Buffer.alloc(46);
  central.writeUInt32LE(0x02014b50, 0);
  central.writeUInt16LE(8, 10);
  for (const [header, at] of [
    [local, 18],
    [central, 20],
  ] as const) {
    header.writeUInt32LE(packed.length, at);
    header.writeUInt32LE(stated, at + 4);
    header.writeUInt16LE(path.length, at + 8);
  }
  const end = Buffer.alloc(22);
  end.writeUInt32LE(0x06054b50, 0);
  end.writeUInt16LE(1, 8);
  end.writeUInt16LE(1, 10);
  end.writeUInt32LE(central.length + path.length, 12);
  end.writeUInt32LE(local.length + path.length + packed.length, 16);
  return Buffer.concat([local, path, packed, central, path, end]);
}
