import type { FastifyInstance, FastifyReply, FastifyRequest } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { Refusal, notFound, problemSchema } from '../http/problem';
import { inTransaction } from '../storage/transaction';
import type { Database } from '../storage/open';
import { keepersOnly, letIn, letOut } from './door';
import { isPassword, passwordHash } from './secrets';
import { type PassKind, type Person, peopleStore } from './store';

const nameText = z
  .string('A name.')
  .trim()
  .min(1, 'Give a name.')
  .max(60, 'At most 60 letters.')
  .regex(/^[\p{L}\p{N}][\p{L}\p{N} .'’_-]*$/u, 'Letters, digits, spaces and . ’ _ - only.');
const passwordText = z.string('A password.').min(10, 'At least ten characters.').max(200, 'At most 200 characters.');
/** What is only compared may be anything: whether it fits the rules says nothing to whoever guesses. */
const givenText = z.string().max(300);
const tokenText = z.string().max(100);

const personSchema = z.object({ id: z.string(), name: z.string(), keeper: z.boolean() });
const meSchema = z.object({
  /** Whether people sign in here. */
  accounts: z.boolean(),
  person: personSchema.nullable(),
});
const codesSchema = z.object({ person: personSchema, codes: z.array(z.string()) });
const problems = {
  400: problemSchema,
  401: problemSchema,
  403: problemSchema,
  404: problemSchema,
  409: problemSchema,
  429: problemSchema,
  503: problemSchema,
};
const MOST_NOTED = 200;
/** In vain without a wait: somebody who mistypes; an address behind which many are. */
const FREE = { person: 3, address: 20 };

const asPerson = ({ id, name, keeper }: Person) => ({ id, name, keeper });
const refused = () => new Refusal(401, 'Not signed in', 'Name and password do not belong together.');
const over = () =>
  new Refusal(404, 'Not found', 'This address lets nobody in: it was used, withdrawn, or its time is over.');

/** A house without accounts says so, and has nothing to sign in to. */
export function noAccounts(parent: FastifyInstance): void {
  parent
    .withTypeProvider<ZodTypeProvider>()
    .get('/api/me', { schema: { tags: ['people'], response: { 200: meSchema } } }, () => ({
      accounts: false,
      person: null,
    }));
}

/** Coming in, going out, and who may. */
export function peopleRoutes(
  parent: FastifyInstance,
  { db, now, secure }: { db: Database; now: () => number; secure: boolean },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const people = peopleStore(db, now);
  const tags = ['people'];
  const deviceOf = ({ headers }: FastifyRequest) => String(headers['user-agent'] ?? 'unknown').slice(0, 200);
  const isSecure = (request: FastifyRequest) => secure || request.protocol === 'https';
  const enter = async (request: FastifyRequest, reply: FastifyReply, person: Person) =>
    letIn(reply, await people.begin(person.id, deviceOf(request)), isSecure(request));
  const me = (request: FastifyRequest): Person => {
    if (!request.signedIn) throw new Refusal(401, 'Sign in', 'Sign in to go on.');
    return request.signedIn.person;
  };

  /** Guesses are held up by the name that is tried and by the address that tries. */
  const tried = async <T>(
    request: FastifyRequest,
    name: string,
    work: () => Promise<T | null>,
    vain: () => Refusal = refused,
  ): Promise<T> => {
    const keys = { person: `person:${name.trim().toLowerCase().slice(0, 80)}`, address: `address:${request.ip}` };
    const until = await people.refusedUntil(Object.values(keys));
    if (until > now()) {
      const seconds = Math.ceil((until - now()) / 1000);
      throw new Refusal(429, 'Wait', `Too many tries in vain. Try again in ${seconds} s.`);
    }
    const done = await work();
    if (done === null) {
      await people.failed(keys.person, FREE.person);
      await people.failed(keys.address, FREE.address);
      await people.note('sign-in refused', null, request.ip, name.slice(0, 60));
      throw vain();
    }
    await people.succeeded(keys.person);
    return done;
  };

  /** Whoever is signed in says again that it is them. */
  const confirmed = (request: FastifyRequest, person: Person, password: string) =>
    tried(
      request,
      person.name,
      async () => ((await isPassword(password, person.passwordHash)) ? person : null),
      () =>
        new Refusal(400, 'Not your password', 'This is not your password.', [
          { field: 'password', message: 'This is not your password.' },
        ]),
    );
  /** Somebody new comes in by a pass: the pass is used and the person is there, or neither. */
  const comeIn = async (
    request: FastifyRequest,
    reply: FastifyReply,
    kind: PassKind,
    given: { token: string; name: string; password: string },
  ) => {
    const hashed = await passwordHash(given.password);
    const { person, codes } = await inTransaction(db, async (tx) => {
      const inside = peopleStore(tx, now);
      const first = kind === 'first';
      const pass = await inside.usePass(kind, given.token);
      if (!pass || (first && !(await inside.isEmpty()))) throw over();
      const added = await inside.add(given.name, hashed, { first });
      if (!added)
        throw new Refusal(409, 'Taken', 'Somebody here has this name.', [
          { field: 'name', message: 'Somebody here has this name.' },
        ]);
      await inside.note(first ? 'first keeper' : 'joined', added.id, request.ip, added.name);
      return { person: added, codes: await inside.makeCodes(added.id) };
    });
    await enter(request, reply, person);
    return reply.code(201).send({ person: asPerson(person), codes });
  };

  app.get('/api/me', { schema: { tags, response: { 200: meSchema } } }, (request) => ({
    accounts: true,
    person: request.signedIn && asPerson(request.signedIn.person),
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
      return reply.send({ accounts: true, person: asPerson(person) });
    },
  );
  app.post(
    '/api/recover',
    {
      schema: {
        tags,
        description: 'A recovery code makes a new password, and signs every device out.',
        body: z.strictObject({ name: givenText, code: givenText, password: passwordText }),
        response: { 200: meSchema, ...problems },
      },
    },
    async (request, reply) => {
      const { name, code, password } = request.body;
      const person = await tried(request, name, async () => {
        const found = await people.byName(name);
        return found && (await people.useCode(found.id, code)) ? found : null;
      });
      await people.setPassword(person.id, await passwordHash(password));
      await people.end(person.id, { except: null });
      await people.note('recovered', person.id, request.ip);
      await enter(request, reply, person);
      return reply.send({ accounts: true, person: asPerson(person) });
    },
  );
  app.post(
    '/api/pair',
    {
      schema: { tags, body: z.strictObject({ token: tokenText }), response: { 200: meSchema, ...problems } },
    },
    async (request, reply) => {
      const pass = await people.usePass('pair', request.body.token);
      const person = pass?.madeBy == null ? null : await people.byId(pass.madeBy);
      if (!person) throw over();
      await enter(request, reply, person);
      await people.note('device paired', person.id, request.ip, deviceOf(request));
      return reply.send({ accounts: true, person: asPerson(person) });
    },
  );

  const done = z.object({ done: z.literal(true) });
  app.post('/api/sign-out', { schema: { tags, response: { 200: done, ...problems } } }, async (request, reply) => {
    const person = me(request);
    if (request.signedIn) await people.end(person.id, { id: request.signedIn.sessionId });
    await people.note('signed out', person.id, request.ip);
    letOut(reply);
    return reply.send({ done: true });
  });
  app.post(
    '/api/pairings',
    { schema: { tags, response: { 201: z.object({ token: z.string(), expiresAt: z.string() }), ...problems } } },
    async (request, reply) => reply.code(201).send(await people.makePass('pair', me(request).id)),
  );
  app.get(
    '/api/devices',
    {
      schema: {
        tags,
        response: {
          200: z.array(
            z.object({ id: z.int(), device: z.string(), createdAt: z.string(), seenAt: z.string(), this: z.boolean() }),
          ),
          ...problems,
        },
      },
    },
    async (request) => {
      const rows = await people.devices(me(request).id);
      return rows.map(({ id, device, createdAt, seenAt }) => ({
        ...{ id, device },
        createdAt: new Date(createdAt).toISOString(),
        seenAt: new Date(seenAt).toISOString(),
        this: id === request.signedIn?.sessionId,
      }));
    },
  );
  const numbered = z.strictObject({
    id: z.coerce.number().pipe(
      z
        .int('A whole number.')
        .min(1)
        .max(2 ** 31 - 1),
    ),
  });
  app.delete(
    '/api/devices/:id',
    { schema: { tags, params: numbered, response: { 200: done, ...problems } } },
    async (request) => {
      const person = me(request);
      if ((await people.end(person.id, { id: request.params.id })) === 0) throw notFound('device');
      await people.note('device signed out', person.id, request.ip);
      return { done: true as const };
    },
  );
  app.post(
    '/api/password',
    {
      schema: {
        tags,
        description: 'A new password signs every other device out.',
        body: z.strictObject({ password: givenText, next: passwordText }),
        response: { 200: done, ...problems },
      },
    },
    async (request) => {
      const person = me(request);
      const { password, next } = request.body;
      await confirmed(request, person, password);
      await people.setPassword(person.id, await passwordHash(next));
      await people.end(person.id, { except: request.signedIn?.sessionId ?? null });
      await people.note('password changed', person.id, request.ip);
      return { done: true as const };
    },
  );
  app.post(
    '/api/recovery-codes',
    {
      schema: {
        tags,
        description: 'New codes, shown once; those before are good for nothing any more.',
        body: z.strictObject({ password: givenText }),
        response: { 201: codesSchema, ...problems },
      },
    },
    async (request, reply) => {
      const person = me(request);
      const { password } = request.body;
      await confirmed(request, person, password);
      return reply.code(201).send({ person: asPerson(person), codes: await people.makeCodes(person.id) });
    },
  );

  const inviteSchema = z.object({ id: z.int(), note: z.string(), madeAt: z.string(), expiresAt: z.string() });
  app.get(
    '/api/people',
    {
      schema: {
        tags,
        response: { 200: z.object({ people: z.array(personSchema), invitations: z.array(inviteSchema) }), ...problems },
      },
    },
    async () => {
      keepersOnly();
      return {
        people: (await people.list()).map(asPerson),
        invitations: (await people.invitations()).map((one) => ({
          ...one,
          madeAt: new Date(one.madeAt).toISOString(),
          expiresAt: new Date(one.expiresAt).toISOString(),
        })),
      };
    },
  );
  app.post(
    '/api/invitations',
    {
      schema: {
        tags,
        body: z.strictObject({ note: z.string().trim().max(60, 'At most 60 letters.') }),
        response: { 201: z.object({ token: z.string(), expiresAt: z.string() }), ...problems },
      },
    },
    async (request, reply) => {
      keepersOnly();
      const made = await people.makePass('join', me(request).id, request.body.note);
      await people.note('invited', me(request).id, request.ip, request.body.note);
      return reply.code(201).send(made);
    },
  );
  app.delete(
    '/api/invitations/:id',
    { schema: { tags, params: numbered, response: { 200: done, ...problems } } },
    async (request) => {
      keepersOnly();
      if (!(await people.withdraw(request.params.id))) throw notFound('invitation');
      await people.note('invitation withdrawn', me(request).id, request.ip);
      return { done: true as const };
    },
  );
  const named = z.strictObject({ id: z.uuid('Not the name of a person.') });
  app.delete(
    '/api/people/:id',
    { schema: { tags, params: named, response: { 200: done, ...problems } } },
    async (request) => {
      keepersOnly();
      const person = await people.byId(request.params.id);
      if (!person) throw notFound('person');
      if (person.id === me(request).id)
        throw new Refusal(409, 'Yourself', 'Nobody removes themselves: another keeper can.');
      await people.remove(person.id);
      await people.note('removed', me(request).id, request.ip, person.name);
      return { done: true as const };
    },
  );
  app.post(
    '/api/people/:id/keeper',
    { schema: { tags, params: named, body: z.strictObject({}), response: { 200: done, ...problems } } },
    async (request) => {
      keepersOnly();
      const person = await people.byId(request.params.id);
      if (!person) throw notFound('person');
      await people.setKeeper(person.id);
      await people.note('made a keeper', me(request).id, request.ip, person.name);
      return { done: true as const };
    },
  );
  app.get(
    '/api/audit',
    {
      schema: {
        tags,
        response: {
          200: z.array(
            z.object({ at: z.string(), who: z.string(), what: z.string(), detail: z.string(), address: z.string() }),
          ),
          ...problems,
        },
      },
    },
    async () => {
      keepersOnly();
      const names = new Map((await people.list()).map(({ id, name }) => [id, name]));
      return (await people.noted(MOST_NOTED)).map(({ at, personId, what, detail, address }) => ({
        at: new Date(at).toISOString(),
        who: personId === null ? '' : (names.get(personId) ?? 'somebody removed'),
        ...{ what, detail, address },
      }));
    },
  );
}
