import type { FastifyInstance } from 'fastify';
import type { ZodTypeProvider } from 'fastify-type-provider-zod';
import { z } from 'zod';
import { anglerSchema } from '#core/documents/angler';
import { craftSchema } from '#core/documents/craft';
import { idText } from '#core/documents/field';
import { itemSchema } from '#core/documents/item';
import { rulePackSchema } from '#core/documents/rulePack';
import { waterSchema } from '#core/documents/water';
import { ownSpeciesSchema } from '#core/documents/ownSpecies';
import { documentRoutes, keptSchema, refusal, versionField } from './routes';
import { problemSchema } from '../http/problem';
import type { Stores } from './stores';

/** Five thousand items with all their fields. */
const BATCH_LIMIT = 12 * 1024 * 1024;

const MOST_IN_BATCH = 5000;
const many = <One extends z.ZodType>(one: One) =>
  z.array(one).max(MOST_IN_BATCH, `At most ${MOST_IN_BATCH}.`).default([]);
const versionedSchema = z.strictObject({ id: idText, version: versionField });
const batchSchema = z
  .strictObject({
    create: many(itemSchema),
    change: many(z.strictObject({ version: versionField, doc: itemSchema })),
    remove: many(versionedSchema),
    restore: many(idText),
  })
  .refine((work) => Object.values(work).some((list) => list.length > 0), 'Send at least one.');

const allSchema = z.object({
  anglers: z.array(keptSchema(anglerSchema)),
  craft: z.array(keptSchema(craftSchema)),
  items: z.array(keptSchema(itemSchema)),
  waters: z.array(keptSchema(waterSchema)),
  rulePacks: z.array(keptSchema(rulePackSchema)),
  species: z.array(keptSchema(ownSpeciesSchema)),
});

/** What outings point at: each kind as documents, and all of them in one answer for those who judge. */
export function referenceRoutes(parent: FastifyInstance, from: Stores): void {
  documentRoutes(parent, '/api/anglers', 'angler', anglerSchema, from.anglers);
  documentRoutes(parent, '/api/craft', 'boat', craftSchema, from.craft);
  // Before the items themselves: many of them at once, all or none.
  parent.withTypeProvider<ZodTypeProvider>().post(
    '/api/items/batch',
    {
      bodyLimit: BATCH_LIMIT,
      schema: {
        tags: ['item'],
        body: batchSchema,
        response: {
          200: z.object({ versions: z.array(versionedSchema) }),
          400: problemSchema,
          404: problemSchema,
          409: problemSchema,
        },
      },
    },
    async (request) => {
      const result = await from.items.batch(request.body);
      if (result.done !== 'all') throw refusal(result, 'item');
      return { versions: result.versions };
    },
  );
  documentRoutes(parent, '/api/items', 'item', itemSchema, from.items);
  documentRoutes(parent, '/api/waters', 'water', waterSchema, from.waters);
  // Before the packs themselves: `schema` is no pack's id here.
  parent.get(
    '/api/rule-packs/schema',
    { schema: { tags: ['rule pack'], response: { 200: z.record(z.string(), z.unknown()) } } },
    () => ({
      ...z.toJSONSchema(rulePackSchema, { io: 'input', unrepresentable: 'any' }),
    }),
  );
  documentRoutes(parent, '/api/rule-packs', 'rule pack', rulePackSchema, from.rulePacks);
  documentRoutes(parent, '/api/species', 'species', ownSpeciesSchema, from.species);
  const app = parent.withTypeProvider<ZodTypeProvider>();
  app.get('/api/references', { schema: { tags: ['references'], response: { 200: allSchema } } }, async () => ({
    anglers: await from.anglers.list(),
    craft: await from.craft.list(),
    items: await from.items.list(),
    waters: await from.waters.list(),
    rulePacks: await from.rulePacks.list(),
    species: await from.species.list(),
  }));
}
