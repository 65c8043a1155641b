import { eq } from 'drizzle-orm';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { passes, signInTries } from '../storage/schema';
import { type Club, PASSWORD, Visitor, openClub } from '../testing/club';
import { addressKey, attemptStore } from './attempts';
import { looksLikeOneOf } from './lookAlike';
import { isPassword } from './secrets';

let club: Club;
beforeAll(async () => {
  club = await openClub();
});
afterAll(() => club.close());
beforeEach(() => club.empty());

const stranger = (path: string, body: object) => new Visitor(club.app).post(path, body);
const signIn = (name: string, password: string) => stranger('/api/sign-in', { name, password });
/** Fills the line in which strangers wait for a password to be worked out, until the answer is awaited. */
const crowd = () => Promise.allSettled(Array.from({ length: 21 }, () => isPassword('x', null)));
const idOf = async (keeper: Visitor, name: string) =>
  (await keeper.get('/api/people'))
    .json<{ people: { id: string; name: string }[] }>()
    .people.find((one) => one.name === name)?.id ?? '';

describe('whoever is not signed in', () => {
  it('has nothing worked out for an address that lets nobody in, and ends nothing by a crowd of such', async () => {
    await club.keeper();
    const unhandled: unknown[] = [];
    const note = (reason: unknown) => unhandled.push(reason);
    process.on('unhandledRejection', note);
    const join = () => stranger('/api/join', { token: 'bogus', name: 'Eve', password: PASSWORD });
    const statuses = (await Promise.all(Array.from({ length: 60 }, join))).map(
      ({ statusCode }) => statusCode,
    );
    expect(new Set(statuses)).toEqual(new Set([404, 429]));
    expect(statuses.filter((one) => one === 404).length).toBeLessThanOrEqual(21);
    club.wait(15 * 60_000);
    expect((await signIn('Ada', PASSWORD)).statusCode).toBe(200);
    process.off('unhandledRejection', note);
    expect(unhandled).toEqual([]);
  }, 60_000);
  it('is counted before a guess is worked out: of many at once only the free ones are', async () => {
    await club.keeper();
    const all = await Promise.all(Array.from({ length: 15 }, () => signIn('Ada', 'a wrong guess')));
    const worked = all.filter(({ statusCode }) => statusCode === 401).length;
    expect(worked).toBeLessThanOrEqual(4);
    expect(all.filter(({ statusCode }) => statusCode === 429)).toHaveLength(15 - worked);
  }, 60_000);
  it('is not counted where the server was only busy, and a code is not used up by it', async () => {
    const ada = await club.keeper();
    const { codes } = (await ada.post('/api/recovery-codes', { password: PASSWORD })).json<{
      codes: string[];
    }>();
    const recover = () =>
      stranger('/api/recover', { name: 'Ada', code: codes[0], password: 'another long one' });
    const unhandled: unknown[] = [];
    const note = (reason: unknown) => unhandled.push(reason);
    process.on('unhandledRejection', note);
    const waiting = crowd();
    expect((await recover()).statusCode).toBe(503);
    expect((await signIn('Ada', PASSWORD)).statusCode).toBe(503);
    expect((await signIn('Nobody', PASSWORD)).statusCode).toBe(503);
    await waiting;
    // Refused once, a name that nobody has is no quicker to refuse than one that somebody has.
    expect((await signIn('Nobody', PASSWORD)).statusCode).toBe(401);
    process.off('unhandledRejection', note);
    expect(unhandled).toEqual([]);
    const tries = await club.db.select().from(signInTries);
    expect(
      tries.filter(({ id, failures }) => failures > 0 && !id.endsWith('nobody') && !id.startsWith('address')),
    ).toEqual([]);
    expect((await recover()).statusCode).toBe(200);
  }, 60_000);
  it('locks nobody out of a device that is signed in, neither by guesses nor by a crowd', async () => {
    const ada = await club.keeper();
    for (let i = 0; i < 5; i += 1) await signIn('Ada', 'a wrong guess');
    expect((await signIn('Ada', PASSWORD)).statusCode).toBe(429);
    const waiting = crowd();
    expect((await ada.post('/api/recovery-codes', { password: PASSWORD })).statusCode).toBe(201);
    await waiting;
    for (let i = 0; i < 6; i += 1) await ada.post('/api/recovery-codes', { password: 'not mine' });
    expect((await ada.post('/api/recovery-codes', { password: PASSWORD })).statusCode).toBe(429);
  }, 60_000);
  it('asks only so often from one address; whoever is signed in there goes on', async () => {
    const ada = await club.keeper();
    const ask = (cookie?: string) =>
      club.app.inject({
        url: '/api/me',
        remoteAddress: '10.9.9.9',
        ...(cookie ? { headers: { cookie } } : {}),
      });
    for (let i = 0; i < 300; i += 1) expect((await ask()).statusCode).toBe(200);
    const held = await ask();
    expect(held.statusCode).toBe(429);
    expect(held.json<{ detail: string }>().detail).toMatch(
      /^Too much is asked from your address\. Try again in \d+ s\.$/,
    );
    expect((await ask(ada.cookie)).statusCode).toBe(200);
  });
});

describe('a name', () => {
  it('has one key: however it is written, its guesses are counted together', async () => {
    await club.keeper();
    for (const name of ['Ada', ' ada', 'ＡＤＡ', 'ADA ']) await signIn(name, 'a wrong guess');
    expect((await signIn('aDa', PASSWORD)).statusCode).toBe(429);
  });
  it('of another script that looks like one that is there cannot join beside it', async () => {
    const ada = await club.keeper();
    const { token } = (await ada.post('/api/invitations', { note: '' })).json<{ token: string }>();
    for (const name of ['Аda', 'Adа', 'ΑDA'])
      expect((await stranger('/api/join', { token, name, password: PASSWORD })).statusCode, name).toBe(409);
    expect((await stranger('/api/join', { token, name: 'Даша', password: PASSWORD })).statusCode).toBe(201);
    expect(looksLikeOneOf('Ivan', ['lvan'])).toBe(true);
    expect(looksLikeOneOf('Zoë', ['Zoe'])).toBe(false);
  });
  it('or an address has one key: of IPv6 its first half', () => {
    expect(addressKey('203.0.113.7')).toBe('address:203.0.113.7');
    expect(addressKey('2001:db8:1:2:3:4:5:6')).toBe('address:2001:db8:1:2::/64');
    expect(addressKey('2001:db8::6')).toBe('address:2001:db8:0:0::/64');
    expect(addressKey('::1')).toBe('address:0:0:0:0::/64');
    expect(addressKey('2001:db8:1:2:ffff::')).toBe('address:2001:db8:1:2::/64');
  });
});

describe('what lets somebody in', () => {
  it('ends with whoever made it: an invitation of one who was removed', async () => {
    const ada = await club.keeper();
    const ben = await club.member(ada, 'Ben');
    await ada.post(`/api/people/${await idOf(ada, 'Ben')}/keeper`, {});
    const { token } = (await ben.post('/api/invitations', { note: '' })).json<{ token: string }>();
    await ada.ask('DELETE', `/api/people/${await idOf(ada, 'Ben')}`);
    expect((await stranger('/api/join', { token, name: 'Cy', password: PASSWORD })).statusCode).toBe(404);
  });
  it('ends with the password: a pairing from before a change or a recovery', async () => {
    const ada = await club.keeper();
    const pairing = async () => (await ada.post('/api/pairings')).json<{ token: string }>().token;
    const before = await pairing();
    await ada.post('/api/password', { password: PASSWORD, next: 'another long one' });
    expect((await stranger('/api/pair', { token: before })).statusCode).toBe(404);
    const again = await pairing();
    const { codes } = (await ada.post('/api/recovery-codes', { password: 'another long one' })).json<{
      codes: string[];
    }>();
    await stranger('/api/recover', { name: 'Ada', code: codes[0], password: PASSWORD });
    expect((await stranger('/api/pair', { token: again })).statusCode).toBe(404);
  });
  it('is limited in number and swept when it is over', async () => {
    await club.keeper();
    for (let i = 0; i < 500; i += 1) await club.people.makePass('passkey sign-in', null);
    expect((await stranger('/api/passkey-sign-in/options', {})).statusCode).toBe(429);
    await attemptStore(club.db, club.now).claim('address:203.0.113.7', 20);
    club.wait(5 * 60_000 + 1);
    expect((await stranger('/api/passkey-sign-in/options', {})).statusCode).toBe(200);
    await club.people.sweep();
    const left = await club.db.select().from(passes).where(eq(passes.kind, 'passkey sign-in'));
    expect(left).toHaveLength(1);
    await attemptStore(club.db, club.now).sweep();
    expect(await club.db.select().from(signInTries)).toHaveLength(1);
    club.wait(86_400_001);
    await attemptStore(club.db, club.now).sweep();
    expect(await club.db.select().from(signInTries)).toEqual([]);
  });
  it('by a passkey belongs to a name of the settings, whatever the request says', async () => {
    const ada = await club.keeper();
    const asked = (host: string) =>
      club.app.inject({
        method: 'POST',
        url: '/api/passkeys/options',
        headers: { host, cookie: ada.cookie },
        payload: { password: PASSWORD },
      });
    expect((await asked('localhost')).json()).toMatchObject({ rp: { id: 'localhost' } });
    const refused = await asked('127.0.0.1');
    expect(refused.statusCode).toBe(409);
    expect(refused.json<{ detail: string }>().detail).toContain('TALLY_NAMES');
  });
});

describe('the owner of the house', () => {
  it('is removed by no other keeper, but hands it over', async () => {
    const ada = await club.keeper();
    const ben = await club.member(ada, 'Ben');
    const cy = await club.member(ada, 'Cy');
    const [adas, bens] = [await idOf(ada, 'Ada'), await idOf(ada, 'Ben')];
    await ada.post(`/api/people/${bens}/keeper`, {});
    expect((await ben.ask('DELETE', `/api/people/${adas}`)).statusCode).toBe(409);
    expect((await ben.post(`/api/people/${bens}/owner`, {})).statusCode).toBe(403);
    expect((await cy.post(`/api/people/${bens}/owner`, {})).statusCode).toBe(403);
    expect((await ada.post(`/api/people/${bens}/owner`, {})).statusCode).toBe(200);
    const list = (await ben.get('/api/people')).json<{ people: { name: string; owner: boolean }[] }>().people;
    expect(list.filter((one) => one.owner).map(({ name }) => name)).toEqual(['Ben']);
    expect((await ada.ask('DELETE', `/api/people/${bens}`)).statusCode).toBe(409);
    expect((await ben.ask('DELETE', `/api/people/${adas}`)).statusCode).toBe(200);
  });
});

describe('every answer', () => {
  it('to text that no database keeps is 400, at its field, on the routes of signing in too', async () => {
    const ada = await club.keeper();
    const bad = 'a\0b';
    for (const [who, path, body, field] of [
      [new Visitor(club.app), '/api/sign-in', { name: bad, password: 'x' }, 'name'],
      [new Visitor(club.app), '/api/recover', { name: 'Ada', code: '\ud800', password: PASSWORD }, 'code'],
      [new Visitor(club.app), '/api/pair', { token: bad }, 'token'],
      [ada, '/api/invitations', { note: bad }, 'note'],
      [ada, '/api/passkeys', { name: 'x', answer: { id: bad } }, 'answer.id'],
    ] as const) {
      const reply = await who.post(path, body);
      expect(reply.statusCode, path).toBe(400);
      expect(reply.json<{ errors: { field: string }[] }>().errors.map((one) => one.field)).toContain(field);
    }
    expect((await ada.ask('DELETE', '/api/passkeys/a%00b')).statusCode).toBe(400);
  });
  it('is kept by no cache between, and allows no host but its own', async () => {
    const ada = await club.keeper();
    for (const url of ['/api/me', '/api/references', '/api/summaries?today=2026-05-15', '/api/devices'])
      expect((await ada.get(url)).headers['cache-control'], url).toBe('no-store');
    const csp = String((await ada.get('/api/me')).headers['content-security-policy']);
    expect(csp).not.toMatch(/https?:(?!\/)|\*/);
  });
});
