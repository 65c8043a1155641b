import { forms } from './forms';
import type { z } from 'zod';
import { type Angler, anglerSchema } from './angler';
import { type Craft, craftSchema } from './craft';
import { type Item, itemSchema } from './item';
import { type Outing, outingSchema } from './outing';
import { type OwnSpecies, ownSpeciesSchema } from './ownSpecies';
import { type Procedure, procedureSchema } from './procedure';
import { type RulePack, rulePackSchema } from './rulePack';
import type { Upgrade } from './upgrade';
import {
  anglerUpgrades,
  craftUpgrades,
  itemUpgrades,
  outingUpgrades,
  speciesUpgrades,
  waterUpgrades,
} from './upgrades';
import { type Water, waterSchema } from './water';

/** Documents by the name of their kind, as sets of them are called. */
export interface Documents {
  anglers: Angler;
  craft: Craft;
  items: Item;
  waters: Water;
  rulePacks: RulePack;
  species: OwnSpecies;
  procedures: Procedure;
  outings: Outing;
}
export type KindName = keyof Documents;
/** What outings point at, or are read beside: every kind but the outing itself. */
export type ReferenceName = Exclude<KindName, 'outings'>;

/**
 * All that the house knows of a kind of document. Stores, drafts, files and signatures read and write through
 * it: a kind is added by one record here.
 */
export interface DocumentKind<Doc> {
  /** What people call one of it. */
  word: string;
  /** Its table in the database, and its part of an address. */
  table: string;
  path: string;
  /** The form that is written today: name and number. */
  format: string;
  schema: z.ZodType<Doc>;
  /** Steps from older forms, oldest first. Only ever added to. */
  upgrades: readonly Upgrade[];
  /** The field that names each record of a list, by the path of the list: two may change different ones. */
  listKeys: Readonly<Record<string, string>>;
  /** Moments at which something was last done, by path: of two the later stands, and nobody is asked. */
  latest?: readonly string[];
  /** Fields that a signature deliberately leaves out, each with the reason. */
  unsigned: Readonly<Record<string, string>>;
}

const FORM = 'the form is the program’s, not the angler’s';

export const documentKinds: { readonly [K in KindName]: DocumentKind<Documents[K]> } = {
  anglers: {
    word: 'profile',
    table: 'anglers',
    path: 'anglers',
    format: forms.anglers,
    schema: anglerSchema,
    upgrades: anglerUpgrades,
    listKeys: {},
    unsigned: {
      format: FORM,
      id: 'it names the record',
      units: 'what one reads in, not what is judged',
      about: 'it is told ashore, and not judged',
    },
  },
  craft: {
    word: 'boat',
    table: 'craft',
    path: 'craft',
    format: forms.craft,
    schema: craftSchema,
    upgrades: craftUpgrades,
    listKeys: { zones: 'id', fittings: 'id', setUps: 'id', 'setUps.stow.things': 'itemId' },
    unsigned: { format: FORM, id: 'it names the record' },
  },
  items: {
    word: 'item',
    table: 'items',
    path: 'items',
    format: forms.items,
    schema: itemSchema,
    upgrades: itemUpgrades,
    listKeys: {},
    unsigned: { format: FORM, id: 'it names the record', photo: 'a picture is looked at, not judged' },
  },
  waters: {
    word: 'water',
    table: 'waters',
    path: 'waters',
    format: forms.waters,
    schema: waterSchema,
    upgrades: waterUpgrades,
    listKeys: {
      launches: 'id',
      areas: 'id',
      hazards: 'id',
      answered: 'key',
      'tide.constituents': 'name',
      'tide.turns': 'at',
      'stream.constituents': 'name',
      'stream.hours': 'hour',
    },
    unsigned: { format: FORM, id: 'it names the record', rescue: 'it is told ashore, and not judged' },
  },
  rulePacks: {
    word: 'rule pack',
    table: 'rule_packs',
    path: 'rule-packs',
    format: forms.rulePacks,
    schema: rulePackSchema,
    upgrades: [],
    listKeys: { rules: 'id' },
    unsigned: { format: FORM, id: 'it names the record' },
  },
  species: {
    word: 'species',
    table: 'species',
    path: 'species',
    format: forms.species,
    schema: ownSpeciesSchema,
    upgrades: speciesUpgrades,
    listKeys: {},
    unsigned: { format: FORM, id: 'it names the record' },
  },
  procedures: {
    word: 'procedure',
    table: 'procedures',
    path: 'procedures',
    format: forms.procedures,
    schema: procedureSchema,
    upgrades: [],
    listKeys: {},
    unsigned: { format: FORM, id: 'it names the record' },
  },
  outings: {
    word: 'outing',
    table: 'outings',
    path: 'outings',
    format: forms.outings,
    schema: outingSchema,
    upgrades: outingUpgrades,
    listKeys: {
      'conditions.hours': 'at',
      loadout: 'itemId',
      company: 'id',
      'company.brings': 'id',
      rigs: 'id',
      accepted: 'key',
      'stow.things': 'itemId',
      'log.items': 'itemId',
      'log.catches': 'key',
      'log.wishes': 'key',
    },
    latest: ['word.carriedAt', 'word.left.at'],
    unsigned: {
      format: FORM,
      id: 'it names the record',
      log: 'what it came to is written afterwards',
      word: 'what is left ashore says by itself what of it changed',
    },
  },
};

export const kindNames = Object.keys(documentKinds) as KindName[];
export const referenceNames = kindNames.filter((name): name is ReferenceName => name !== 'outings');
