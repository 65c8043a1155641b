import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { Refusal } from '../errors/refusal';
import type { Database } from '../storage/open';
import { inTransaction } from '../storage/transaction';
import { setSessionCookie, clearSessionCookie } from './authHook';
import { passkeyRoutes } from './passkeyRoutes';
import { isPassword, passwordHash } from './secrets';
import { type PassKind, type PeopleStore, type Person, peopleStore } from './store';
import {
  publicPerson,
  codesSchema,
  doneSchema,
  givenText,
  meSchema,
  nameText,
  invitationOver,
  passwordText,
  problems,
  tokenText,
} from './wire';
import type { SignInThrottle } from './signInThrottle';

/** A house without accounts says so, and has nothing to sign in to. */
export function noAccountsRoute(parent: FastifyInstance): void {
  parent
    .withTypeProvider<ZodTypeProvider>()
    .get('/api/me', { schema: { tags: ['people'], response: { 200: meSchema } } }, () => ({
      accounts: false,
      person: null,
    }));
}

/** Somebody new comes in by a pass: the pass is used and the person is there, or neither. */
export function signUp(
  db: Database,
  now: () => number,
  kind: PassKind,
  newcomer: { token: string; name: string; passwordHash: string; address: string },
): Promise<{ person: Person; codes: string[] }> {
  return inTransaction(db, async (tx) => {
    const inside = peopleStore(tx, now);
    const first = kind === 'first';
    const pass = await inside.usePass(kind, newcomer.token);
    if (!pass || (first && !(await inside.isEmpty()))) throw invitationOver();
    const person = await inside.add(newcomer.name, newcomer.passwordHash, { first });
    if (!person)
      throw new Refusal('conflict', 'Taken', 'Somebody here has this name, or one that looks like it.', [
        { field: 'name', message: 'Somebody here has this name, or one that looks like it.' },
      ]);
    await inside.note(first ? 'first keeper' : 'joined', person.id, newcomer.address, person.name);
    return { person, codes: await inside.makeCodes(person.id) };
  });
}

/** Coming in for the first time, again, by another way, and going out. */
export function signUpRoutes(
  parent: FastifyInstance,
  {
    db,
    now,
    secure,
    people,
    throttle,
    names,
  }: {
    db: Database;
    now: () => number;
    secure: boolean;
    people: PeopleStore;
    throttle: SignInThrottle;
    names: readonly string[];
  },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['people'];
  const { tried, triedToken, me } = throttle;
  const deviceOf = ({ headers }: FastifyRequest) => String(headers['user-agent'] ?? 'unknown').slice(0, 200);
  const isSecure = (request: FastifyRequest) => secure || request.protocol === 'https';
  const enter = async (request: FastifyRequest, reply: FastifyReply, person: Person) =>
    setSessionCookie(reply, await people.begin(person.id, deviceOf(request)), isSecure(request));
  const comeIn = async (
    request: FastifyRequest,
    reply: FastifyReply,
    kind: PassKind,
    { token, name, password }: { token: string; name: string; password: string },
  ) => {
    // Nothing is worked out for an address that lets nobody in.
    const isGood = async () =>
      (await people.isPassGood(kind, token)) && (kind !== 'first' || (await people.isEmpty()));
    await triedToken(request, async () => ((await isGood()) ? token : null), invitationOver);
    const newcomer = { token, name, passwordHash: await passwordHash(password), address: request.ip };
    const { person, codes } = await signUp(db, now, kind, newcomer);
    await enter(request, reply, person);
    return reply.code(201).send({ person: publicPerson(person), codes });
  };

  passkeyRoutes(parent, { people, throttle, enter, names });
  app.get('/api/me', { schema: { tags, response: { 200: meSchema } } }, (request) => ({
    accounts: true,
    person: request.signedIn && publicPerson(request.signedIn.person),
  }));
  const newcomer = z.strictObject({ token: tokenText, name: nameText, password: passwordText });
  for (const [path, kind] of [
    ['/api/first', 'first'],
    ['/api/join', 'join'],
  ] as const)
    app.post(
      path,
      { schema: { tags, body: newcomer, response: { 201: codesSchema, ...problems } } },
      (request, reply) => comeIn(request, reply, kind, request.body),
    );
  app.post(
    '/api/sign-in',
    {
      schema: {
        tags,
        body: z.strictObject({ name: givenText, password: givenText }),
        response: { 200: meSchema, ...problems },
      },
    },
    async (request, reply) => {
      const { name, password } = request.body;
      const person = await tried(request, name, async () => {
        const found = await people.byName(name);
        return (await isPassword(password, found?.passwordHash ?? null)) ? found : null;
      });
      await enter(request, reply, person);
      await people.note('signed in', person.id, request.ip, deviceOf(request));
      return reply.send({ accounts: true, person: publicPerson(person) });
    },
  );
  app.post(
    '/api/recover',
    {
      schema: {
        tags,
        description:
          'A recovery code makes a new password, signs every device out, and takes every passkey away.',
        body: z.strictObject({ name: givenText, code: givenText, password: passwordText }),
        response: { 200: meSchema, ...problems },
      },
    },
    async (request, reply) => {
      const { name, code, password } = request.body;
      const person = await tried(request, name, async () => {
        const found = await people.byName(name);
        return found && (await people.isCodeGood(found.id, code)) ? found : null;
      });
      const hash = await passwordHash(password);
      // The code is used up only together with what it was for.
      const session = await inTransaction(db, async (tx) => {
        const inside = peopleStore(tx, now);
        if (!(await inside.useCode(person.id, code))) throw invitationOver();
        await inside.setPassword(person.id, hash);
        await inside.end(person.id, { except: null });
        await inside.removePasskeys(person.id);
        await inside.note('recovered', person.id, request.ip);
        return inside.begin(person.id, deviceOf(request));
      });
      setSessionCookie(reply, session, isSecure(request));
      return reply.send({ accounts: true, person: publicPerson(person) });
    },
  );
  app.post(
    '/api/pair',
    {
      schema: { tags, body: z.strictObject({ token: tokenText }), response: { 200: meSchema, ...problems } },
    },
    async (request, reply) => {
      const { token } = request.body;
      await triedToken(
        request,
        async () => ((await people.isPassGood('pair', token)) ? token : null),
        invitationOver,
      );
      const { person, session } = await inTransaction(db, async (tx) => {
        const inside = peopleStore(tx, now);
        const pass = await inside.usePass('pair', token);
        const found = pass?.madeBy == null ? null : await inside.byId(pass.madeBy);
        if (!found) throw invitationOver();
        await inside.note('device paired', found.id, request.ip, deviceOf(request));
        return { person: found, session: await inside.begin(found.id, deviceOf(request)) };
      });
      setSessionCookie(reply, session, isSecure(request));
      return reply.send({ accounts: true, person: publicPerson(person) });
    },
  );

  app.post(
    '/api/sign-out',
    { schema: { tags, response: { 200: doneSchema, ...problems } } },
    async (request, reply) => {
      const person = me(request);
      if (request.signedIn) await people.end(person.id, { id: request.signedIn.sessionId });
      await people.note('signed out', person.id, request.ip);
      clearSessionCookie(reply);
      return reply.send({ done: true });
    },
  );
}
