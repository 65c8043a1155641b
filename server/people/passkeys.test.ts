import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { Authenticator } from '../testing/authenticator';
import { type Club, PASSWORD, Visitor, openClub } from '../testing/club';

const MINUTE = 60_000;
let club: Club;
beforeAll(async () => {
  club = await openClub();
});
afterAll(() => club.close());
beforeEach(() => club.empty());

// What is injected names this host.
const ORIGIN = 'http://localhost';
const optionsFor = async (who: Visitor, password = PASSWORD) =>
  (await who.post('/api/passkeys/options', { password })).json<{ challenge: string }>();
const wayIn = async (who: Visitor) =>
  (await who.post('/api/passkey-sign-in/options')).json<{ challenge: string }>();
async function withPasskey(name = 'The laptop') {
  const ada = await club.keeper();
  const device = new Authenticator(ORIGIN);
  const reply = await ada.post('/api/passkeys', { name, answer: device.register(await optionsFor(ada)) });
  expect(reply.statusCode, reply.body).toBe(201);
  return { ada, device };
}

describe('a passkey', () => {
  it('is made by whoever knows the password, and signs in without it', async () => {
    const { ada, device } = await withPasskey();
    expect((await ada.get('/api/passkeys')).json()).toMatchObject([{ name: 'The laptop', usedAt: null }]);
    const visitor = new Visitor(club.app);
    const reply = await visitor.post('/api/passkey-sign-in', { answer: device.signIn(await wayIn(visitor)) });
    expect(reply.json()).toMatchObject({ accounts: true, person: { name: 'Ada', keeper: true } });
    expect((await visitor.get('/api/references')).statusCode).toBe(200);
    expect((await ada.get('/api/passkeys')).json<{ usedAt: string | null }[]>()[0]?.usedAt).not.toBeNull();
    expect((await ada.get('/api/audit')).body).toContain('by a passkey');
  });
  it('is not made without the password, by nobody, or with the challenge of another', async () => {
    const { ada, device } = await withPasskey();
    expect((await ada.post('/api/passkeys/options', { password: 'guessed wrongly' })).statusCode).toBe(400);
    expect(
      (await new Visitor(club.app).post('/api/passkeys/options', { password: PASSWORD })).statusCode,
    ).toBe(401);
    const ben = await club.member(ada, 'Ben');
    const hers = await optionsFor(ada);
    const answer = new Authenticator(ORIGIN).register(hers);
    expect((await ben.post('/api/passkeys', { name: 'His', answer })).statusCode).toBe(400);
    // The same key is nobody else's too, and no challenge is good twice.
    const again = device.register(await optionsFor(ben));
    expect((await ben.post('/api/passkeys', { name: 'Hers', answer: again })).statusCode).toBe(400);
    expect((await ben.get('/api/passkeys')).json()).toEqual([]);
  });
  it.each<[string, (device: Authenticator, challenge: string) => object]>([
    ['a challenge that was never given', (device) => device.signIn({ challenge: 'A'.repeat(43) })],
    [
      'another site',
      (device, challenge) => Object.assign(device, { origin: 'http://elsewhere' }).signIn({ challenge }),
    ],
    [
      'another name',
      (device, challenge) => Object.assign(device, { rpId: 'elsewhere' }).signIn({ challenge }),
    ],
    ['a count that went back: a copy', (device, challenge) => device.signIn({ challenge }, 0)],
    [
      'another’s signature',
      (device, challenge) => ({
        ...device.signIn({ challenge }),
        response: new Authenticator(ORIGIN).signIn({ challenge }).response,
      }),
    ],
    [
      'nonsense',
      (device) => ({ ...device.signIn({ challenge: '' }), response: { clientDataJSON: 'bm9uc2Vuc2U' } }),
    ],
  ])('lets nobody in with %s', async (_, answerTo) => {
    const { device } = await withPasskey();
    const visitor = new Visitor(club.app);
    const first = await visitor.post('/api/passkey-sign-in', { answer: device.signIn(await wayIn(visitor)) });
    expect(first.statusCode).toBe(200);
    const other = new Visitor(club.app);
    const { challenge } = await wayIn(other);
    const reply = await other.post('/api/passkey-sign-in', { answer: answerTo(device, challenge) });
    expect(reply.statusCode, reply.body).toBe(401);
    expect((await other.get('/api/references')).statusCode).toBe(401);
  });
  it('answers a challenge once, and within five minutes', async () => {
    const { device } = await withPasskey();
    const options = await wayIn(new Visitor(club.app));
    const tried = async () =>
      (await new Visitor(club.app).post('/api/passkey-sign-in', { answer: device.signIn(options) }))
        .statusCode;
    expect(await tried()).toBe(200);
    expect(await tried()).toBe(401);
    const late = await wayIn(new Visitor(club.app));
    club.wait(6 * MINUTE);
    const reply = await new Visitor(club.app).post('/api/passkey-sign-in', { answer: device.signIn(late) });
    expect(reply.statusCode).toBe(401);
  });
  it('is over when it is taken away, when its owner is removed, and when the password was recovered', async () => {
    const { ada, device } = await withPasskey();
    const signs = async (which: Authenticator) => {
      const visitor = new Visitor(club.app);
      const answer = which.signIn(await wayIn(visitor));
      return (await visitor.post('/api/passkey-sign-in', { answer })).statusCode;
    };
    const ben = await club.member(ada, 'Ben');
    const his = new Authenticator(ORIGIN);
    await ben.post('/api/passkeys', { name: 'His', answer: his.register(await optionsFor(ben)) });
    const { id } = (await ada.get('/api/passkeys')).json<{ id: string }[]>()[0] ?? { id: '' };
    expect((await ben.ask('DELETE', `/api/passkeys/${id}`)).statusCode).toBe(404);
    expect(await signs(his)).toBe(200);
    const people = (await ada.get('/api/people')).json<{ people: { id: string; name: string }[] }>().people;
    await ada.ask('DELETE', `/api/people/${people.find(({ name }) => name === 'Ben')?.id ?? ''}`);
    expect(await signs(his)).toBe(401);
    expect((await ada.ask('DELETE', `/api/passkeys/${id}`)).statusCode).toBe(200);
    expect(await signs(device)).toBe(401);

    const second = new Authenticator(ORIGIN);
    await ada.post('/api/passkeys', { name: 'Another', answer: second.register(await optionsFor(ada)) });
    const { codes } = (await ada.post('/api/recovery-codes', { password: PASSWORD })).json<{
      codes: string[];
    }>();
    const body = { name: 'Ada', code: codes[0], password: 'a new one, long enough' };
    expect((await new Visitor(club.app).post('/api/recover', body)).statusCode).toBe(200);
    expect(await signs(second)).toBe(401);
  });
});
