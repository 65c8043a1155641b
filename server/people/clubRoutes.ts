import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { onOneLine } from '#core/documents/field';
import { Refusal, notFound } from '../errors/refusal';
import { keepersOnly } from './authHook';
import type { PeopleStore } from './store';
import type { SignInThrottle } from './signInThrottle';
import { publicPerson, doneSchema, numbered, personSchema, problems } from './wire';

const MOST_NOTED = 200;

/** Who may come in, for keepers. */
export function clubRoutes(
  parent: FastifyInstance,
  { people, throttle }: { people: PeopleStore; throttle: SignInThrottle },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['people'];
  const { me } = throttle;
  const inviteSchema = z.object({ id: z.int(), note: z.string(), madeAt: z.string(), expiresAt: z.string() });
  app.get(
    '/api/people',
    {
      schema: {
        tags,
        response: {
          200: z.object({
            people: z.array(personSchema.extend({ owner: z.boolean() })),
            invitations: z.array(inviteSchema),
          }),
          ...problems,
        },
      },
    },
    async () => {
      keepersOnly();
      const ownerId = (await people.owner())?.id ?? null;
      return {
        people: (await people.list()).map((one) => ({ ...publicPerson(one), owner: one.id === ownerId })),
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
        body: z.strictObject({ note: z.string().trim().max(60, 'At most 60 letters.').overwrite(onOneLine) }),
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
    { schema: { tags, params: numbered, response: { 200: doneSchema, ...problems } } },
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
    { schema: { tags, params: named, response: { 200: doneSchema, ...problems } } },
    async (request) => {
      keepersOnly();
      const person = await people.byId(request.params.id);
      if (!person) throw notFound('person');
      if (person.id === me(request).id)
        throw new Refusal('conflict', 'Yourself', 'Nobody removes themselves: another keeper can.');
      if (person.id === (await people.owner())?.id)
        throw new Refusal(
          'conflict',
          'The owner',
          'The owner of this house hands it over first; then a keeper can.',
        );
      await people.remove(person.id);
      await people.note('removed', me(request).id, request.ip, person.name);
      return { done: true as const };
    },
  );
  app.post(
    '/api/people/:id/keeper',
    { schema: { tags, params: named, body: z.strictObject({}), response: { 200: doneSchema, ...problems } } },
    async (request) => {
      keepersOnly();
      const person = await people.byId(request.params.id);
      if (!person) throw notFound('person');
      await people.setKeeper(person.id);
      await people.note('made a keeper', me(request).id, request.ip, person.name);
      return { done: true as const };
    },
  );
  app.post(
    '/api/people/:id/owner',
    {
      schema: {
        tags,
        description: 'Hands the house over to somebody else, who is a keeper from then on. For its owner.',
        params: named,
        body: z.strictObject({}),
        response: { 200: doneSchema, ...problems },
      },
    },
    async (request) => {
      const owner = await people.owner();
      if (owner?.id !== me(request).id)
        throw new Refusal('not allowed', 'The owner only', 'Only the owner of this house hands it over.');
      const person = await people.byId(request.params.id);
      if (!person) throw notFound('person');
      await people.setOwner(person.id);
      await people.note('house handed over', me(request).id, request.ip, person.name);
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
            z.object({
              at: z.string(),
              who: z.string(),
              what: z.string(),
              detail: z.string(),
              address: z.string(),
            }),
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
