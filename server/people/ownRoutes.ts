import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { notFound } from '../errors/refusal';
import { passwordHash } from './secrets';
import type { PeopleStore } from './store';
import type { SignInThrottle } from './signInThrottle';
import { publicPerson, codesSchema, doneSchema, givenText, numbered, passwordText, problems } from './wire';

/** One's own devices, password and codes. */
export function ownRoutes(
  parent: FastifyInstance,
  { people, throttle }: { people: PeopleStore; throttle: SignInThrottle },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['people'];
  const { confirmed, me } = throttle;
  app.post(
    '/api/pairings',
    {
      schema: {
        tags,
        response: { 201: z.object({ token: z.string(), expiresAt: z.string() }), ...problems },
      },
    },
    async (request, reply) => reply.code(201).send(await people.makePass('pair', me(request).id)),
  );
  app.get(
    '/api/devices',
    {
      schema: {
        tags,
        response: {
          200: z.array(
            z.object({
              id: z.int(),
              device: z.string(),
              createdAt: z.string(),
              seenAt: z.string(),
              this: z.boolean(),
            }),
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
  app.delete(
    '/api/devices/:id',
    { schema: { tags, params: numbered, response: { 200: doneSchema, ...problems } } },
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
        response: { 200: doneSchema, ...problems },
      },
    },
    async (request) => {
      const person = me(request);
      const { password, next } = request.body;
      await confirmed(person, password);
      await people.setPassword(person.id, await passwordHash(next, 'signed in'));
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
      await confirmed(person, password);
      return reply.code(201).send({ person: publicPerson(person), codes: await people.makeCodes(person.id) });
    },
  );
}
