import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { type PartyPlan, joinedOuting } from '#core/editing/party';
import { idText } from '#core/documents/field';
import type { References } from '#core/documents/references';
import { itemSchema } from '#core/documents/item';
import { briefSchema, companionSchema, conditionsSchema, outingSchema } from '#core/documents/outing';
import type { Party } from '#core/needs/party';
import { needIds } from '#core/vocabulary/needs';
import type { Library } from '../documents/library';
import { found, idParams, settled, versionedSchema } from '../documents/routes';
import { type Stores, stores as storesOf } from '../documents/stores';
import { Refusal, notFound } from '../errors/refusal';
import { plainId, rowKey } from '../people/scope';
import type { PeopleStore } from '../people/store';
import { signedInAs } from '../people/authHook';
import { doneSchema, numbered, problems } from '../people/wire';
import type { Database } from '../storage/open';
import { inTransaction } from '../storage/transaction';
import type { WalkStore } from '../walkround/store';
import { type MemberOuting, partiesOf } from './party';
import { type Share, partyStore } from './store';

const planSchema: z.ZodType<PartyPlan> = z.object({
  title: z.string(),
  brief: briefSchema.pick({
    ...{ date: true, nights: true, launchAt: true, turnAt: true, homeAt: true, alarmAt: true, waterId: true },
    ...{ launchId: true, areaId: true, landingId: true, route: true, trip: true, party: true },
  }),
  conditions: conditionsSchema,
});
const coming = z.enum(['not asked', 'asked', 'along', 'not coming']);
const partySchema: z.ZodType<Party> = z.object({
  leads: z.boolean(),
  lead: z.string(),
  plan: planSchema,
  where: z.object({
    ...{ water: z.string().nullable(), launch: z.string().nullable() },
    ...{ area: z.string().nullable(), landing: z.string().nullable() },
  }),
  members: z.array(
    companionSchema.pick({ boat: true, says: true, brings: true }).extend({
      lacks: z.array(z.enum(needIds)),
      companionId: z.string(),
      name: z.string(),
      personId: z.string().nullable(),
      coming,
      signed: z.object({ at: z.string(), stale: z.boolean() }).nullable(),
    }),
  ),
  gaps: z.array(z.object({ needId: z.enum(needIds), want: z.number(), have: z.number() })),
  rides: z.array(z.object({ item: itemSchema, quantity: z.int() })),
});
const alongSchema = z.object({
  id: z.int(),
  ...{ by: z.string(), title: z.string(), date: z.string(), launchAt: z.string(), homeAt: z.string() },
  water: z.string().nullable(),
  coming,
  /** One's own outing that came of it. */
  outingId: z.string().nullable(),
});

/**
 * An outing that several of the house go on: who is asked along, what each brings, and what all of them still
 * lack.
 */
export function partyRoutes(
  parent: FastifyInstance,
  from: {
    db: Database;
    stores: Stores;
    library: Library;
    walks: WalkStore;
    people: PeopleStore;
    now: () => number;
  },
): void {
  const app = parent.withTypeProvider<ZodTypeProvider>();
  const tags = ['party'];
  const { people, stores, library, now } = from;
  const store = partyStore(from.db, now);
  const parties = partiesOf({ ...from, store });
  /** The outing that a share is of; whoever asks was asked along to it. */
  const around = async (share: Share) => {
    const party = await parties.partyAround(share.outingId, share.companionId);
    if (!party) throw notFound('outing');
    if (share.ownOutingId !== null) return party;
    // Who has not said yes is told what is brought for all, and not how anybody stands.
    return { ...party, members: party.members.map((one) => ({ ...one, lacks: [], signed: null })) };
  };
  const shareOf = async (personId: string, id: number): Promise<Share> => {
    const share = await store.one(personId, { id });
    if (!share) throw notFound('outing');
    return share;
  };
  const ownOuting = async (id: string) => found(await stores.outings.get(id), 'outing');

  app.get(
    '/api/companions',
    {
      schema: {
        tags,
        description: 'The others of the house, by name: whom one can ask along.',
        response: { 200: z.array(z.object({ id: z.string(), name: z.string() })), ...problems },
      },
    },
    async (request) =>
      (await people.list()).flatMap(({ id, name }) => (id === signedInAs(request).id ? [] : [{ id, name }])),
  );
  app.get(
    '/api/outings/:id/party',
    { schema: { tags, params: idParams, response: { 200: partySchema.nullable(), ...problems } } },
    async (request) => {
      const { doc } = await ownOuting(request.params.id);
      const key = rowKey(doc.id);
      const share = await store.one(signedInAs(request).id, { ownOutingKey: key });
      if (share) return around(share);
      return doc.company.length === 0 ? null : parties.partyAround(key, null);
    },
  );
  const companionParams = z.strictObject({ id: idText, companionId: idText });
  app.put(
    '/api/outings/:id/party/:companionId',
    {
      schema: {
        tags,
        description: 'Asks somebody of the house along, as one of the companions of an outing of one’s own.',
        params: companionParams,
        body: z.strictObject({ personId: z.uuid('Not the name of a person.') }),
        response: { 200: doneSchema, ...problems },
      },
    },
    async (request) => {
      const { id, companionId } = request.params;
      const { doc } = await ownOuting(id);
      const person = await people.byId(request.body.personId);
      if (!doc.company.some((one) => one.id === companionId)) throw notFound('companion');
      if (!person || person.id === signedInAs(request).id) throw notFound('person');
      await store.ask(rowKey(id), companionId, person.id);
      return { done: true as const };
    },
  );
  app.delete(
    '/api/outings/:id/party/:companionId',
    { schema: { tags, params: companionParams, response: { 200: doneSchema, ...problems } } },
    async (request) => {
      const { doc } = await ownOuting(request.params.id);
      if (!(await store.end(rowKey(doc.id), request.params.companionId))) throw notFound('companion');
      return { done: true as const };
    },
  );
  app.get(
    '/api/along',
    {
      schema: {
        tags,
        description: 'What others asked one along to.',
        response: { 200: z.array(alongSchema), ...problems },
      },
    },
    async (request) => {
      const list: z.infer<typeof alongSchema>[] = [];
      for (const share of await store.of(signedInAs(request).id)) {
        const lead = await parties.leadOf(share.outingId);
        if (!lead) continue;
        const own = share.ownOutingId === null ? null : await stores.outings.get(plainId(share.ownOutingId));
        const { title, brief } = lead.outing;
        list.push({
          ...{ id: share.id, by: lead.references.angler?.name || lead.person.name, title },
          ...{ date: brief.date, launchAt: brief.launchAt, homeAt: brief.homeAt },
          water: lead.references.waters.find(({ id }) => id === brief.waterId)?.name ?? null,
          coming: own ? 'along' : share.declinedAt !== null ? 'not coming' : 'asked',
          outingId: own && share.ownOutingId !== null ? plainId(share.ownOutingId) : null,
        });
      }
      return list;
    },
  );
  app.get(
    '/api/along/:id',
    { schema: { tags, params: numbered, response: { 200: partySchema, ...problems } } },
    async (request) => around(await shareOf(signedInAs(request).id, request.params.id)),
  );
  app.post(
    '/api/along/:id/join',
    {
      schema: {
        tags,
        description:
          'Comes along with a boat and things of one’s own: makes an outing by the party’s plan, and copies what it points at and one cannot read.',
        params: numbered,
        body: z.strictObject({ id: idText, craftId: idText.nullable() }),
        response: { 201: versionedSchema(outingSchema), ...problems },
      },
    },
    async (request, reply) => {
      const share = await shareOf(signedInAs(request).id, request.params.id);
      if (share.ownOutingId !== null && (await stores.outings.get(plainId(share.ownOutingId))))
        throw new Refusal(
          'conflict',
          'Along already',
          'You come along already: your outing is among your own.',
        );
      const party = await around(share);
      const lead = await parties.leadOf(share.outingId);
      if (!lead) throw notFound('outing');
      const { references } = await library.read();
      const copies = lackedOf(references, lead);
      const { id, craftId } = request.body;
      const company = party.members.map(({ companionId, name, boat, says, brings }) => ({
        ...{ id: companionId, name, boat, says, brings },
      }));
      const own = joinedOuting(id, party.plan, lead.outing.brief, { references, craftId }, company);
      const kept = await inTransaction(from.db, async (tx) => {
        const inside = storesOf(tx);
        for (const water of copies.waters) await inside.waters.create(water);
        for (const pack of copies.rulePacks) await inside.rulePacks.create(pack);
        for (const fish of copies.species) await inside.species.create(fish);
        const made = settled(await inside.outings.create(own), 'outing');
        await partyStore(tx, now).answer(share.id, { ownOutingKey: rowKey(id) });
        return made;
      });
      return reply.code(201).send(kept);
    },
  );
  app.post(
    '/api/along/:id/decline',
    { schema: { tags, params: numbered, response: { 200: doneSchema, ...problems } } },
    async (request) => {
      const share = await shareOf(signedInAs(request).id, request.params.id);
      await store.answer(share.id, 'not coming');
      return { done: true as const };
    },
  );
}

/**
 * What a plan points at and whoever comes along cannot read: they get copies of their own. What they have by
 * that name stays.
 */
function lackedOf(mine: References, { outing: { brief }, references }: MemberOuting) {
  const lacks = <One extends { id: string }>(
    theirs: readonly One[],
    own: readonly One[],
    ids: readonly string[],
  ) => theirs.filter(({ id }) => ids.includes(id) && !own.some((one) => one.id === id));
  const waters = lacks(references.waters, mine.waters, brief.waterId === null ? [] : [brief.waterId]);
  const packIds = waters.flatMap(({ rulePackId }) => (rulePackId === null ? [] : [rulePackId]));
  return {
    waters,
    rulePacks: lacks(references.rulePacks, mine.rulePacks, packIds),
    species: lacks(references.species, mine.species, brief.targets),
  };
}
