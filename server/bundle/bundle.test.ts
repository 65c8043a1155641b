import { randomUUID } from 'node:crypto';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { eq } from 'drizzle-orm';
import { bundleJsonSchema, bundlePartNames } from '#core/documents/bundle';
import { readWaypoints } from '#core/exchange/gpx';
import { readLockerCsv } from '#core/exchange/lockerCsv';
import { bytesOf, pack, textOf, unpack } from '../storage/archive';
import { alteredBundle as altered, base64 } from '../testing/alteredBundle';
import { documentTables, signatures } from '../storage/schema';
import { hashOf } from '../walkround/snapshotHash';
import { walkStore } from '../walkround/store';
import type { SignedSnapshot } from '#core/signing/snapshot';
import { type TestApp, openApp, snapshotOf } from '../testing/openApp';

const OUTING = 'pollack-long-grey';
const ALL = bundlePartNames.join(',');
interface Look {
  documents: { kind: string; id: string; name: string; is: string; why: string; here: number | null }[];
  signatures: { outingId: string; good: boolean }[];
  answers: number;
}

let home: TestApp;
let snapshot: SignedSnapshot;
let club: TestApp;
beforeAll(async () => {
  [home, club] = await Promise.all([openApp({ withDemo: true }), openApp({ withDemo: false })]);
  snapshot = await snapshotOf(home, OUTING);
  await walkStore(home.db).sign(OUTING, snapshot, '2026-05-15T18:00:00.000Z');
  const png = Buffer.from('89504e470d0a1a0a', 'hex').toString('base64');
  const { id } = (await post(home, '/api/pictures', { dataUrl: `data:image/png;base64,${png}` })).json<{
    id: string;
  }>();
  const kept = (await home.app.inject({ url: '/api/items/radio' })).json<{ version: number; doc: object }>();
  await home.app.inject({
    method: 'PUT',
    url: '/api/items/radio',
    payload: { version: kept.version, doc: { ...kept.doc, photo: id } },
  });
});
afterAll(() => Promise.all([home.close(), club.close()]));

const post = (house: TestApp, url: string, payload: object) =>
  house.app.inject({ method: 'POST', url, payload });
async function bundleOf(house: TestApp, parts = ALL): Promise<Buffer> {
  const reply = await house.app.inject({ url: `/api/bundle?parts=${parts}` });
  expect(reply.statusCode).toBe(200);
  expect(reply.headers['content-disposition']).toMatch(
    /^attachment; filename="unhurried-tally-2026-05-15\.zip"$/,
  );
  return reply.rawPayload;
}
async function look(house: TestApp, bytes: Uint8Array): Promise<Look> {
  const reply = await post(house, '/api/bundle/look', { file: base64(bytes) });
  expect(reply.statusCode).toBe(200);
  return reply.json<Look>();
}
const chosen = (documents: Look['documents'], states: readonly string[]) =>
  documents
    .filter(({ is }) => states.includes(is))
    .map(({ kind, id, here }) => ({ choice: `${kind}/${id}`, here }));
const bringIn = (
  house: TestApp,
  bytes: Uint8Array,
  take: { choice: string; here: number | null }[],
  key = randomUUID(),
) => post(house, '/api/bundle/bring-in', { file: base64(bytes), key, take });
const idsOf = async (house: TestApp, kind: keyof typeof documentTables) => {
  const rows = await house.db.select().from(documentTables[kind]);
  return rows
    .filter(({ deletedAt }) => deletedAt === null)
    .map(({ id }) => id)
    .sort();
};

describe('a bundle', () => {
  it('holds all of a house, with a table and ways that other programs read, and the form it has', async () => {
    const files = await unpack(await bundleOf(home));
    expect(JSON.parse(textOf(files['schema.json'] ?? new Uint8Array()))).toEqual(
      JSON.parse(JSON.stringify(bundleJsonSchema())),
    );
    const csv = readLockerCsv(textOf(files['csv/things.csv'] ?? new Uint8Array()), (i) => `t${i}`);
    expect(csv.taken && csv.value.length).toBe((await idsOf(home, 'items')).length);
    const ways = Object.keys(files).filter((path) => path.startsWith('gpx/'));
    expect(ways.length).toBeGreaterThan(3);
    expect(readWaypoints(textOf(files[ways[0] ?? ''] ?? new Uint8Array())).taken).toBeDefined();
    expect(Object.keys(files).filter((path) => path.startsWith('pictures/'))).toHaveLength(1);
    // What is kept of whoever waits ashore goes only with the outings.
    const things = await unpack(await bundleOf(home, 'things'));
    expect(Object.keys(things).some((path) => /^(records|documents\/(outings|anglers))/.test(path))).toBe(
      false,
    );
  });

  it('is looked at without a change, brought in whole in another house, and is then the same there', async () => {
    const bytes = await bundleOf(home);
    const before = await look(club, bytes);
    expect(new Set(before.documents.map(({ is }) => is))).toEqual(new Set(['new']));
    expect(before.signatures).toContainEqual(expect.objectContaining({ outingId: OUTING, good: true }));
    expect(await idsOf(club, 'items')).toEqual([]);

    const reply = await bringIn(club, bytes, chosen(before.documents, ['new']));
    expect(reply.json()).toEqual({ written: before.documents.length });
    const after = await look(club, bytes);
    expect(new Set(after.documents.map(({ is }) => is))).toEqual(new Set(['same']));
    expect(await idsOf(club, 'outings')).toEqual(await idsOf(home, 'outings'));
    const [walkHere, walkThere] = await Promise.all([home, club].map(({ db }) => walkStore(db).read(OUTING)));
    expect(walkThere).toEqual(walkHere);
    expect((await walkStore(club.db).lastSignature(OUTING))?.hash).toBe(hashOf(snapshot));
    const radio = (await club.app.inject({ url: '/api/items/radio' })).json<{ doc: { photo: string } }>();
    expect((await club.app.inject({ url: `/api/pictures/${radio.doc.photo}` })).statusCode).toBe(200);
    const word = async ({ app }: TestApp) =>
      (await app.inject({ url: `/api/outings/${OUTING}/word` })).json<{ left: unknown }>().left;
    expect(await word(club)).toEqual(await word(home));

    // Once more changes nothing: what only grows is known by its key.
    await bringIn(club, bytes, []);
    expect((await club.db.select().from(signatures)).length).toBe(1);
    expect(await walkStore(club.db).read(OUTING)).toEqual(walkHere);
  });

  it('tells what changed there, what clashes and what cannot be read, takes what was chosen, and gives it back', async () => {
    const bytes = await bundleOf(home, 'things,profile');
    const change = async (house: TestApp, id: string, note: string) => {
      const { version, doc } = (await house.app.inject({ url: `/api/items/${id}` })).json<{
        version: number;
        doc: object;
      }>();
      await house.app.inject({
        method: 'PUT',
        url: `/api/items/${id}`,
        payload: { version, doc: { ...doc, note } },
      });
    };
    await change(club, 'compass', 'changed in the club');
    const theirs = await altered(bytes, 'documents/items.json', (text) => {
      const list = JSON.parse(text) as {
        version: number;
        updatedAt: string;
        doc: { id: string; note: string; massKg: unknown };
      }[];
      for (const one of list) {
        if (one.doc.id === 'compass') one.doc.note = 'changed at home';
        if (one.doc.id === 'radio')
          Object.assign(one, {
            version: 9,
            updatedAt: '2027-01-01T00:00:00.000Z',
            doc: { ...one.doc, note: 'later' },
          });
        if (one.doc.id === 'headlamp') one.doc.massKg = 'light';
      }
      return JSON.stringify(list);
    });
    const found = await look(club, theirs);
    const by = (id: string) => found.documents.find((one) => one.id === id);
    expect(by('compass')).toMatchObject({ is: 'clash' });
    expect(by('radio')).toMatchObject({ is: 'changed' });
    expect(by('headlamp')).toMatchObject({
      is: 'unreadable',
      why: expect.stringContaining('massKg') as string,
    });

    const key = randomUUID();
    const take = chosen(found.documents, ['changed', 'clash', 'unreadable', 'same']);
    expect((await bringIn(club, theirs, take, key)).json()).toEqual({ written: 2 });
    expect((await bringIn(club, theirs, take, key)).json()).toEqual({ written: 2 });
    const noteOf = async (id: string) =>
      (await club.app.inject({ url: `/api/items/${id}` })).json<{ doc: { note: string } }>().doc.note;
    expect(await noteOf('compass')).toBe('changed at home');
    await change(club, 'radio', 'changed since');
    const back = (await post(club, '/api/bundle/take-back', { key })).json<{
      back: number;
      left: string[];
    }>();
    expect(back).toEqual({ back: 1, left: ['item radio'] });
    expect(await noteOf('compass')).toBe('changed in the club');
    expect(await noteOf('radio')).toBe('changed since');
    expect((await post(club, '/api/bundle/take-back', { key })).json()).toEqual({ back: 0, left: [] });
    expect((await post(club, '/api/bundle/take-back', { key: randomUUID() })).statusCode).toBe(404);
  });

  it('takes nothing at all when one of what was chosen was changed since it was looked at', async () => {
    const bytes = await bundleOf(home, 'species');
    const [id = ''] = await idsOf(club, 'species');
    const { version, doc } = (await club.app.inject({ url: `/api/species/${id}` })).json<{
      version: number;
      doc: object;
    }>();
    await club.app.inject({ method: 'DELETE', url: `/api/species/${id}?version=${version}` });
    const found = await look(club, bytes);
    await post(club, `/api/species/${id}/restore`, {});
    const again = (await club.app.inject({ url: `/api/species/${id}` })).json<{ version: number }>();
    await club.app.inject({
      method: 'PUT',
      url: `/api/species/${id}`,
      payload: { version: again.version, doc: { ...doc, name: 'Called otherwise' } },
    });
    const reply = await bringIn(club, bytes, chosen(found.documents, ['new']));
    expect(reply.statusCode).toBe(409);
    expect(reply.json<{ detail: string }>().detail).toMatch(/was changed here since you looked/);
    const kept = (await club.app.inject({ url: `/api/species/${id}` })).json<{ doc: { name: string } }>();
    expect(kept.doc.name).toBe('Called otherwise');
  });

  it('of what was new takes it out again when it is taken back', async () => {
    const house = await openApp({ withDemo: false });
    const { doc } = (await home.app.inject({ url: '/api/anglers/me' })).json<{ doc: object }>();
    expect((await post(house, '/api/anglers', { doc: { ...doc, id: 'mine' } })).statusCode).toBe(201);
    const bytes = await bundleOf(home, 'boats,profile');
    const found = await look(house, bytes);
    // A house has one profile: theirs is held against it.
    expect(found.documents.filter(({ kind }) => kind === 'anglers')).toEqual([
      expect.objectContaining({ id: 'mine' }),
    ]);
    const key = randomUUID();
    await bringIn(house, bytes, chosen(found.documents, ['new']), key);
    expect((await idsOf(house, 'craft')).length).toBeGreaterThan(2);
    expect(await idsOf(house, 'anglers')).toEqual(['mine']);
    await post(house, '/api/bundle/take-back', { key });
    expect(await idsOf(house, 'craft')).toEqual([]);
    await house.close();
  });

  it('does not take a signature that is not over its content, and says so', async () => {
    const house = await openApp({ withDemo: false });
    const forged = await altered(await bundleOf(home, 'outings'), 'records/signatures.json', (text) => {
      const list = JSON.parse(text) as { judged: SignedSnapshot }[];
      for (const { judged } of list) judged.outing.title = 'Signed otherwise';
      return JSON.stringify(list);
    });
    const found = await look(house, forged);
    expect(found.signatures).toEqual([expect.objectContaining({ outingId: OUTING, good: false })]);
    await bringIn(house, forged, chosen(found.documents, ['new']));
    expect(await house.db.select().from(signatures).where(eq(signatures.outingId, OUTING))).toEqual([]);
    expect((await idsOf(house, 'outings')).length).toBeGreaterThan(3);
    await house.close();
  });

  it('is refused in words when it is none, damaged, of a newer program, or asked for without parts', async () => {
    const bytes = await bundleOf(home, 'species');
    const files = await unpack(bytes);
    const refused = async (bad: Uint8Array, why: RegExp) => {
      const reply = await post(club, '/api/bundle/look', { file: base64(bad) });
      expect(reply.statusCode).toBe(400);
      expect(reply.json<{ detail: string; errors: unknown[] }>().detail).toMatch(why);
      expect(reply.json<{ errors: { field: string }[] }>().errors[0]?.field).toBe('file');
    };
    await refused(bytesOf('a letter'), /no whole zip/);
    await refused(
      await altered(bytes, 'documents/species.json', () => '['.repeat(10_000_001)),
      /species\.json holds more than can be opened at once/,
    );
    await refused(bytes.subarray(0, 400), /no whole zip/);
    await refused(await pack({ 'a.txt': bytesOf('a') }), /no bundle/);
    await refused(
      await pack({ ...files, 'documents/species.json': bytesOf('[]') }),
      /damaged: documents\/species\.json/,
    );
    await refused(await pack({ ...files, 'bundle.json': bytesOf('{"format":"bundle/2"}') }), /newer version/);
    await refused(await pack({ ...files, 'bundle.json': bytesOf('{') }), /list of contents/);
    await refused(
      await altered(bytes, 'documents/species.json', () => '[{"version":0}]'),
      /documents\/species\.json cannot be read/,
    );
    for (const parts of ['', 'everything', 'things,,boats'])
      expect((await home.app.inject({ url: `/api/bundle?parts=${parts}` })).statusCode).toBe(400);
    expect((await post(club, '/api/bundle/look', { file: '%%%' })).statusCode).toBe(400);
  });
});
