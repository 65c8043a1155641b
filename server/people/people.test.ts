import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import { newItem } from '#core/editing/newItem';
import { type Club, type Method, PASSWORD, Visitor, openClub } from '../testing/club';
import { attemptStore, delayAfter } from './attempts';
import { nameKey } from './store';

const DAY = 86_400_000;

let club: Club;
let app: Club['app'];
let db: Club['db'];
beforeAll(async () => {
  club = await openClub();
  ({ app, db } = club);
});
afterAll(() => club.close());
beforeEach(() => club.empty());
const people = () => club.people;
const keeper = (name?: string) => club.keeper(name);
const member = (by: Visitor, name: string) => club.member(by, name);
const itemNames = async (who: Visitor) =>
  (await who.get('/api/references'))
    .json<{ items: { changed: { doc: { name: string } }[] } }>()
    .items.changed.map(({ doc }) => doc.name);

describe('coming in', () => {
  it('nobody reads or writes before; the first by an address that is good once, in cookies that no script reads', async () => {
    const nobody = new Visitor(app);
    expect((await nobody.get('/api/me')).json()).toEqual({ accounts: true, person: null });
    expect((await nobody.get('/api/references')).statusCode).toBe(401);
    const { token } = await people().makePass('first', null);
    const reply = await nobody.post('/api/first', { token, name: 'Ada', password: PASSWORD });
    expect(reply.headers['set-cookie']).toMatch(
      /^tally=[\w-]{43}; Max-Age=7776000; Path=\/; HttpOnly; SameSite=Strict$/,
    );
    expect(reply.json<{ codes: string[] }>().codes).toHaveLength(8);
    expect((await nobody.get('/api/me')).json()).toMatchObject({ person: { name: 'Ada', keeper: true } });
    expect(
      (await new Visitor(app).post('/api/first', { token, name: 'Eve', password: PASSWORD })).statusCode,
    ).toBe(404);
    // No second first keeper, whatever addresses were printed.
    const second = await people().makePass('first', null);
    expect(
      (await new Visitor(app).post('/api/first', { token: second.token, name: 'Eve', password: PASSWORD }))
        .statusCode,
    ).toBe(404);
  });
  it('the first keeper finds what was in the house; whoever is asked in finds their own, and what is the club’s', async () => {
    const ada = await keeper();
    expect((await itemNames(ada)).length).toBeGreaterThan(100);
    const ben = await member(ada, 'Ben');
    expect(await itemNames(ben)).toEqual([]);
    const seen = (await ben.get('/api/references')).json<{ waters: { changed: unknown[] } }>();
    expect(seen.waters.changed.length).toBeGreaterThan(2);
    expect((await ben.get('/api/summaries?today=2026-01-01')).json()).toMatchObject({
      of: { ahead: 0, gone: 0 },
    });
    expect(
      (await ada.get('/api/summaries?today=2026-01-01')).json<{ of: { ahead: number } }>().of.ahead,
    ).toBeGreaterThan(3);
  });
  it('an invitation lets one in, until it is withdrawn or a week is over', async () => {
    const ada = await keeper();
    const invite = async () =>
      (await ada.post('/api/invitations', { note: 'Ben' })).json<{ token: string }>().token;
    const join = (token: string, name: string) =>
      new Visitor(app).post('/api/join', { token, name, password: PASSWORD });
    const token = await invite();
    expect((await join(token, 'Ben')).statusCode).toBe(201);
    expect((await join(token, 'Cy')).statusCode).toBe(404);
    const withdrawn = await invite();
    const { invitations } = (await ada.get('/api/people')).json<{ invitations: { id: number }[] }>();
    expect(invitations).toHaveLength(1);
    await ada.ask('DELETE', `/api/invitations/${invitations[0]?.id ?? 0}`);
    expect((await join(withdrawn, 'Cy')).statusCode).toBe(404);
    const late = await invite();
    club.wait(7 * DAY + 1);
    expect((await join(late, 'Cy')).statusCode).toBe(404);
  });
  it('a name is taken however it is written, and then the invitation is still good', async () => {
    const ada = await keeper('Ada Finch');
    const { token } = (await ada.post('/api/invitations', { note: '' })).json<{ token: string }>();
    const taken = await new Visitor(app).post('/api/join', {
      token,
      name: ' ada  FINCH',
      password: PASSWORD,
    });
    expect(taken.statusCode).toBe(409);
    expect(
      (await new Visitor(app).post('/api/join', { token, name: 'Ben', password: PASSWORD })).statusCode,
    ).toBe(201);
    expect(nameKey(' Ａda  Finch ')).toBe('ada finch');
  });
  it('a short password and a name of signs are refused at their field', async () => {
    const { token } = await people().makePass('first', null);
    const reply = await new Visitor(app).post('/api/first', { token, name: '<b>', password: 'short' });
    expect(reply.statusCode).toBe(400);
    expect(
      reply
        .json<{ errors: { field: string }[] }>()
        .errors.map(({ field }) => field)
        .sort(),
    ).toEqual(['name', 'password']);
  });
});

describe('signing in', () => {
  it('goes by name and password, on several devices, each of which can be signed out', async () => {
    const ada = await keeper();
    const phone = new Visitor(app, 'a phone');
    expect((await phone.post('/api/sign-in', { name: 'ADA', password: PASSWORD })).statusCode).toBe(200);
    const devices = (await ada.get('/api/devices')).json<{ id: number; device: string; this: boolean }[]>();
    expect(devices.map(({ device }) => device).sort()).toEqual(['a browser', 'a phone']);
    const other = devices.find((one) => !one.this);
    expect((await ada.ask('DELETE', `/api/devices/${other?.id ?? 0}`)).statusCode).toBe(200);
    expect((await phone.get('/api/references')).statusCode).toBe(401);
    expect((await ada.post('/api/sign-out')).statusCode).toBe(200);
    expect((await ada.get('/api/references')).statusCode).toBe(401);
  });
  it('is over after ninety days', async () => {
    const ada = await keeper();
    club.wait(90 * DAY + 1);
    expect((await ada.get('/api/me')).json()).toMatchObject({ person: null });
  });
  it('says the same of a wrong name as of a wrong password, and is held up longer each time', async () => {
    await keeper();
    const guess = (name: string) =>
      new Visitor(app).post('/api/sign-in', { name, password: 'not the password' });
    expect((await guess('Ada')).json<{ detail: string }>().detail).toBe(
      (await guess('Nobody')).json<{ detail: string }>().detail,
    );
    for (let i = 0; i < 3; i += 1) await guess('Ada');
    const held = await guess('Ada');
    expect(held.statusCode).toBe(429);
    expect(held.json<{ detail: string }>().detail).toMatch(/Try again in \d+ s/);
    // The right one too, until the time is over.
    expect(
      (await new Visitor(app).post('/api/sign-in', { name: 'Ada', password: PASSWORD })).statusCode,
    ).toBe(429);
    club.wait(60_000);
    expect(
      (await new Visitor(app).post('/api/sign-in', { name: 'Ada', password: PASSWORD })).statusCode,
    ).toBe(200);
    expect([3, 4, 5, 6].map((n) => delayAfter(n, 3))).toEqual([0, 1000, 2000, 4000]);
    expect(delayAfter(200, 3)).toBe(15 * 60_000);
  });
  it('an address that tries many names is held up too', async () => {
    await keeper();
    // As by names that were tried from there before.
    for (let i = 0; i < 21; i += 1) await attemptStore(db, club.now).claim('address:127.0.0.1', 20);
    const reply = await new Visitor(app).post('/api/sign-in', { name: 'Ada', password: PASSWORD });
    expect(reply.statusCode).toBe(429);
    club.wait(1001);
    expect(
      (await new Visitor(app).post('/api/sign-in', { name: 'Ada', password: PASSWORD })).statusCode,
    ).toBe(200);
  });
  it('a recovery code makes a new password once, and signs every device out', async () => {
    const visitor = new Visitor(app);
    const { token } = await people().makePass('first', null);
    const { codes } = (await visitor.post('/api/first', { token, name: 'Ada', password: PASSWORD })).json<{
      codes: string[];
    }>();
    const fresh = new Visitor(app);
    const code = (codes[0] ?? '').toUpperCase().replaceAll('-', ' ');
    const next = 'another long one';
    expect((await fresh.post('/api/recover', { name: 'Ada', code, password: next })).statusCode).toBe(200);
    expect((await visitor.get('/api/references')).statusCode).toBe(401);
    expect(
      (await new Visitor(app).post('/api/recover', { name: 'Ada', code, password: next })).statusCode,
    ).toBe(401);
    expect(
      (await new Visitor(app).post('/api/sign-in', { name: 'Ada', password: PASSWORD })).statusCode,
    ).toBe(401);
    expect((await new Visitor(app).post('/api/sign-in', { name: 'Ada', password: next })).statusCode).toBe(
      200,
    );
  });
  it('a password is changed by whoever knows it, and other devices are signed out', async () => {
    const ada = await keeper();
    const phone = new Visitor(app);
    await phone.post('/api/sign-in', { name: 'Ada', password: PASSWORD });
    const wrong = await ada.post('/api/password', { password: 'not it', next: 'another long one' });
    expect(wrong.json<{ errors: { field: string }[] }>().errors[0]?.field).toBe('password');
    expect(
      (await ada.post('/api/password', { password: PASSWORD, next: 'another long one' })).statusCode,
    ).toBe(200);
    expect((await ada.get('/api/devices')).statusCode).toBe(200);
    expect((await phone.get('/api/devices')).statusCode).toBe(401);
  });
  it('a phone is paired by a code within five minutes, once', async () => {
    const ada = await keeper();
    const pairing = async () => (await ada.post('/api/pairings')).json<{ token: string }>().token;
    const token = await pairing();
    const phone = new Visitor(app, 'a phone');
    expect((await phone.post('/api/pair', { token })).json()).toMatchObject({ person: { name: 'Ada' } });
    expect((await itemNames(phone)).length).toBeGreaterThan(100);
    expect((await new Visitor(app).post('/api/pair', { token })).statusCode).toBe(404);
    const late = await pairing();
    club.wait(5 * 60_000 + 1);
    expect((await new Visitor(app).post('/api/pair', { token: late })).statusCode).toBe(404);
  });
});

describe('keepers', () => {
  it('alone ask in, remove, see what was done, and back up; and nobody removes themselves', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    for (const [method, url, payload] of [
      ['GET', '/api/people'],
      ['POST', '/api/invitations', { note: '' }],
      ['GET', '/api/audit'],
      ['POST', '/api/backups', {}],
    ] as const)
      expect((await ben.ask(method, url, payload)).statusCode, url).toBe(403);
    const { people: list } = (await ada.get('/api/people')).json<{
      people: { id: string; name: string }[];
    }>();
    const idOf = (name: string) => list.find((one) => one.name === name)?.id ?? '';
    expect((await ada.ask('DELETE', `/api/people/${idOf('Ada')}`)).statusCode).toBe(409);
    expect((await ben.ask('DELETE', `/api/people/${idOf('Ada')}`)).statusCode).toBe(403);
    await ada.post(`/api/people/${idOf('Ben')}/keeper`, {});
    expect((await ben.get('/api/people')).statusCode).toBe(200);
    expect((await ada.ask('DELETE', `/api/people/${idOf('Ben')}`)).statusCode).toBe(200);
    expect((await ben.get('/api/references')).statusCode).toBe(401);
    expect((await ben.post('/api/sign-in', { name: 'Ben', password: PASSWORD })).statusCode).toBe(401);
    const done = (await ada.get('/api/audit')).json<{ what: string }[]>().map(({ what }) => what);
    expect(done).toEqual([
      'sign-in refused',
      'removed',
      'made a keeper',
      'joined',
      'invited',
      'first keeper',
    ]);
    await expect(db.execute('delete from audit')).rejects.toThrow();
  });
  it('write what is the club’s; others read it, and write a copy of their own', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    const url = '/api/waters/ostrey-sound';
    const kept = (await ben.get(url)).json<{ version: number; doc: object }>();
    const put = (who: Visitor) =>
      who.ask('PUT', url, { version: kept.version, doc: { ...kept.doc, name: 'Renamed' } });
    const refused = await put(ben);
    expect(refused.statusCode).toBe(403);
    expect(refused.json<{ detail: string }>().detail).toMatch(/a keeper changes it/);
    expect((await ben.ask('DELETE', `${url}?version=1`)).statusCode).toBe(403);
    expect((await put(ada)).statusCode).toBe(200);
    expect((await ben.get(url)).json()).toMatchObject({ doc: { name: 'Renamed' } });

    const own = { ...kept.doc, id: 'bens-water', name: 'Ben’s own' };
    expect((await ben.post('/api/waters', { doc: own })).statusCode).toBe(201);
    expect((await ada.get('/api/waters/bens-water')).statusCode).toBe(404);
    expect((await ben.get('/api/references')).body).toContain('Ben’s own');
    expect((await ada.get('/api/references')).body).not.toContain('Ben’s own');
  });
  it('give a water of their own to the club, take one back to themselves, and never over what stands there unseen', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    const cy = await member(ada, 'Cy');
    const { people: list } = (await ada.get('/api/people')).json<{
      people: { id: string; name: string }[];
    }>();
    await ada.post(`/api/people/${list.find(({ name }) => name === 'Ben')?.id ?? ''}/keeper`);
    const like = (await ben.get('/api/waters/ostrey-sound')).json<{ doc: object }>().doc;
    const url = '/api/waters/the-pool';
    const named = (name: string) => ({ ...like, id: 'the-pool', name });
    const seenBy = async (who: Visitor) =>
      (await who.get(url)).json<{ doc?: { name: string } }>().doc?.name ?? null;

    expect((await cy.post('/api/waters', { doc: named('Cy’s') })).statusCode).toBe(201);
    expect((await cy.post(`${url}/give`, { over: null })).statusCode).toBe(403);
    await ben.post('/api/waters', { doc: named('Ben’s') });
    expect(await seenBy(ada)).toBeNull();
    // Another of that name does not lose its place unless it was seen at that version.
    await ada.post('/api/waters', { doc: named('Ada’s') });
    const clash = await ben.post(`${url}/give`, { over: null });
    expect(clash.statusCode).toBe(409);
    expect(await seenBy(ben)).toBe('Ben’s');
    const { version } = clash.json<{ current: { version: number } }>().current;
    expect((await ben.post(`${url}/give`, { over: version })).statusCode).toBe(200);
    expect([await seenBy(ada), await seenBy(ben), await seenBy(cy)]).toEqual(['Ben’s', 'Ben’s', 'Cy’s']);
    expect((await ben.post(`${url}/give`, { over: null })).statusCode).toBe(404);

    // The first keeper, whose all else is the club's, can keep one alone too.
    const since = (await ben.get('/api/references')).json<{ at: number }>().at;
    expect((await ada.post(`${url}/keep`, { over: null })).statusCode).toBe(200);
    expect([await seenBy(ada), await seenBy(ben)]).toEqual(['Ben’s', null]);
    expect((await ben.get(`/api/references?since=${since}`)).json()).toMatchObject({
      waters: { gone: ['the-pool'] },
    });
    const hers = (await ada.get(url)).json<{ version: number; doc: object }>();
    expect(
      (await ada.ask('PUT', url, { version: hers.version, doc: { ...hers.doc, name: 'Ada’s alone' } }))
        .statusCode,
    ).toBe(200);
    expect([await seenBy(ada), await seenBy(ben)]).toEqual(['Ada’s alone', null]);
    expect((await ada.get('/api/references')).body).toContain('Ada’s alone');
  });
});

describe('whose is what', () => {
  it('two people have things of the same name, each their own, and see each change of theirs alone', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    const since = (await ada.get('/api/references')).json<{ at: number }>().at;
    const item = { ...newItem('radio', 'whistle'), name: 'Ben’s whistle' };
    expect((await ben.post('/api/items', { doc: item })).statusCode).toBe(201);
    expect((await ben.get('/api/items/radio')).json()).toMatchObject({ doc: { name: 'Ben’s whistle' } });
    expect((await ada.get('/api/items/radio')).json()).toMatchObject({
      doc: { name: 'Handheld radio, floats' },
    });
    expect((await ada.get(`/api/references?since=${since}`)).json()).toMatchObject({
      items: { changed: [], gone: [] },
    });
    expect(await itemNames(ben)).toEqual(['Ben’s whistle']);
    await ben.ask('DELETE', '/api/items/radio?version=1');
    expect((await ada.get('/api/items/radio')).statusCode).toBe(200);
  });

  it('on every route of the API, what is another’s is not found, nobody gets in, and neither does who was removed', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    const gone = await member(ada, 'Cy');
    const { people: list } = (await ada.get('/api/people')).json<{
      people: { id: string; name: string }[];
    }>();
    await ada.ask('DELETE', `/api/people/${list.find(({ name }) => name === 'Cy')?.id ?? ''}`);
    const before = await stateOf(ada);
    const { paths } = (await ada.get('/api/docs/json')).json<{
      paths: Record<string, Record<string, unknown>>;
    }>();
    const known: Record<string, string> = {
      outings: 'pollack-long-grey',
      items: 'radio',
      craft: 'grey-wagtail',
      anglers: 'me',
    };
    const mayBeOpen =
      /^\/(api\/(health|me|first|join|sign-in|recover|pair|passkey-sign-in|passkey-sign-in\/options)|watch\/\{token\})$/;
    let asked = 0;
    for (const [path, methods] of Object.entries(paths)) {
      const kind = /^\/api\/([a-z-]+)/.exec(path)?.[1] ?? '';
      const url = path
        .replace('{kind}', 'outings')
        .replace('{id}', known[kind] ?? (path.includes('{kind}') ? 'pollack-long-grey' : '1'))
        .replace('{token}', 'x')
        .replace('{companionId}', 'x');
      for (const method of Object.keys(methods)) {
        asked += 1;
        const upper = method.toUpperCase() as Method;
        const query = upper === 'DELETE' ? '?version=1' : '';
        const body = upper === 'POST' || upper === 'PUT' ? {} : undefined;
        if (!mayBeOpen.test(path))
          for (const outside of [new Visitor(app), gone])
            expect((await outside.ask(upper, url + query, body)).statusCode, `${method} ${path}`).toBe(401);
        const reply = await ben.ask(upper, url + query, body);
        expect(reply.statusCode, `${method} ${path}`).toBeLessThan(500);
        // Another's document, of whatever kind, is not there; with a body that fits too.
        if (path.includes('{id}') && known[kind] !== undefined) {
          expect(reply.statusCode, `${method} ${path}: ${reply.body.slice(0, 200)}`).toBeGreaterThanOrEqual(
            400,
          );
          expect(reply.body, `${method} ${path}`).not.toMatch(
            /Grey Wagtail|Handheld radio, floats|Sample Angler|Long Grey/,
          );
        }
      }
    }
    expect(asked).toBeGreaterThan(50);
    expect(await stateOf(ada)).toEqual(before);
  }, 120_000);

  it('with a body that fits, another’s outing is neither read, answered, signed, left nor copied', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    const { outings, left, references } = demo(club.now());
    const outing = outings.find(({ id }) => id === 'pollack-long-grey');
    const base = 'http://127.0.0.1:4180';
    const key = () => crypto.randomUUID();
    const before = await stateOf(ada);
    const at = new Date(club.now()).toISOString();
    const tries = [
      ['GET', '/api/outings/pollack-long-grey'],
      ['PUT', '/api/outings/pollack-long-grey', { version: 1, doc: outing }],
      ['DELETE', '/api/outings/pollack-long-grey?version=1'],
      ['POST', '/api/outings/pollack-long-grey/restore', {}],
      ['POST', '/api/outings/pollack-long-grey/copy', { id: 'copied', date: '2026-06-01' }],
      ['GET', '/api/outings/pollack-long-grey/walk-round'],
      [
        'POST',
        '/api/outings/pollack-long-grey/answers',
        { answers: [{ key: key(), stepId: 'gate:you', verdict: 'good', at, note: '' }] },
      ],
      ['POST', '/api/outings/pollack-long-grey/signatures', { version: 1 }],
      ['GET', '/api/outings/pollack-long-grey/word'],
      ['POST', '/api/outings/pollack-long-grey/word', { key: key(), plan: left[0]?.plan, base }],
      ['POST', '/api/outings/pollack-long-grey/watch-page', { on: false, base }],
      [
        'POST',
        '/api/outings/pollack-long-grey/check-ins',
        { checkIns: [{ key: key(), what: 'home', at, homeBy: null }] },
      ],
      ['GET', '/api/anglers/me'],
      ['PUT', '/api/anglers/me', { version: 1, doc: references.angler }],
      ['GET', '/api/set-aside/items/radio'],
      ['DELETE', '/api/set-aside/items/radio'],
    ] as const;
    for (const [method, url, payload] of tries)
      expect((await ben.ask(method, url, payload)).statusCode, `${method} ${url}`).toBe(404);
    expect(await stateOf(ada)).toEqual(before);
    // Out there is nobody but one's own.
    await ada.post('/api/outings/pollack-long-grey/check-ins', {
      checkIns: [{ key: key(), what: 'afloat', at, homeBy: null }],
      sentAt: at,
    });
    expect((await ada.get('/api/out')).json<{ out: unknown[] }>().out).toHaveLength(1);
    expect((await ben.get('/api/out')).json()).toEqual({ out: [] });
    // The page ashore is for whoever has its address.
    const { page } = (await ada.get('/api/outings/pollack-long-grey/word')).json<{ page: string }>();
    for (const who of [new Visitor(app), ben, ada]) expect((await who.get(page)).statusCode).toBe(200);
  });

  it('an outing of one’s own is judged, walked and left as in a house of one’s own', async () => {
    const ada = await keeper();
    const ben = await member(ada, 'Ben');
    const { outings, references, left } = demo(club.now());
    const outing = outings[0];
    for (const [path, docs] of [
      ['anglers', [references.angler]],
      ['craft', references.craft],
    ] as const)
      for (const doc of docs) expect((await ben.post(`/api/${path}`, { doc })).statusCode).toBe(201);
    await ben.post('/api/batches/items', { create: references.items });
    expect((await ben.post('/api/outings', { doc: outing })).statusCode).toBe(201);
    const at = new Date(club.now()).toISOString();
    const answers = [{ key: crypto.randomUUID(), stepId: 'evening:radio', verdict: 'good', at, note: '' }];
    expect((await ben.post(`/api/outings/${outing?.id ?? ''}/answers`, { answers })).json()).toMatchObject({
      answers: [{ stepId: 'evening:radio' }],
      earlier: [],
    });
    expect((await ada.get(`/api/outings/${outing?.id ?? ''}/walk-round`)).body).not.toContain(
      answers[0]?.key,
    );
    await ben.post(`/api/outings/${outing?.id ?? ''}/word`, {
      key: crypto.randomUUID(),
      plan: left[0]?.plan,
      base: 'http://x',
    });
    expect((await ben.get('/api/summaries?today=2026-01-01')).json()).toMatchObject({ of: { ahead: 1 } });
    const bundle = await ben.get('/api/bundle?parts=outings,things');
    const look = (await ada.post('/api/bundle/look', { file: bundle.rawPayload.toString('base64') })).json<{
      documents: { is: string }[];
    }>();
    expect(look.documents.every(({ is }) => is === 'same')).toBe(true);
    const done = (await ada.get('/api/audit')).json<{ what: string; who: string }[]>();
    expect(done[0]).toMatchObject({ what: 'exported', who: 'Ben' });
    expect((await ben.get('/api/sample')).json()).toMatchObject({ documents: expect.any(Number) as number });
  });
});

/** What somebody else must not have changed. */
async function stateOf(who: Visitor) {
  const id = 'pollack-long-grey';
  const read = async (url: string) => (await who.get(url)).json<object>();
  return [
    await read('/api/references'),
    await read(`/api/outings/${id}`),
    await read(`/api/outings/${id}/walk-round`),
    await read(`/api/outings/${id}/word`),
  ];
}
