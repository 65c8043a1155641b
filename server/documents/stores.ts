import { anglerSchema } from '#core/documents/angler';
import { craftSchema } from '#core/documents/craft';
import { itemSchema } from '#core/documents/item';
import { outingSchema } from '#core/documents/outing';
import type { References } from '#core/documents/references';
import { rulePackSchema } from '#core/documents/rulePack';
import { ownSpeciesSchema } from '#core/documents/ownSpecies';
import { waterSchema } from '#core/documents/water';
import type { Database } from '../storage/open';
import * as tables from '../storage/schema';
import { documentStore } from './store';

/** A store for each kind of document. */
export function stores(db: Database) {
  return {
    anglers: documentStore(db, tables.anglers, anglerSchema),
    craft: documentStore(db, tables.craft, craftSchema),
    items: documentStore(db, tables.items, itemSchema),
    waters: documentStore(db, tables.waters, waterSchema),
    rulePacks: documentStore(db, tables.rulePacks, rulePackSchema),
    species: documentStore(db, tables.species, ownSpeciesSchema),
    outings: documentStore(db, tables.outings, outingSchema),
  };
}
export type Stores = ReturnType<typeof stores>;

/** All that outings point at. */
export async function readReferences(from: Stores): Promise<References> {
  const [anglers, craft, items, waters, rulePacks, species] = await Promise.all([
    from.anglers.list(),
    from.craft.list(),
    from.items.list(),
    from.waters.list(),
    from.rulePacks.list(),
    from.species.list(),
  ]);
  return {
    angler: anglers[0]?.doc ?? null,
    craft: craft.map(({ doc }) => doc),
    items: items.map(({ doc }) => doc),
    waters: waters.map(({ doc }) => doc),
    rulePacks: rulePacks.map(({ doc }) => doc),
    species: species.map(({ doc }) => doc),
  };
}
