import type { Angler } from './angler';
import type { Craft } from './craft';
import type { Item } from './item';
import { baselinePack } from './baselinePack';
import type { OwnSpecies } from './ownSpecies';
import type { Species } from '../catalog/species/species';
import { speciesOf } from '../catalog/species/speciesOf';
import type { RulePack } from './rulePack';
import type { Area, Launch, Water } from './water';
import type { Brief, LoadoutEntry, Outing } from './outing';

/** All that an outing points at: what the judgement reads besides the outing itself. */
export interface References {
  angler: Angler | null;
  craft: readonly Craft[];
  items: readonly Item[];
  waters: readonly Water[];
  rulePacks: readonly RulePack[];
  /** Fish of the angler's own, beside the reference table. */
  species: readonly OwnSpecies[];
}

/** One line of the loadout with the item it names. */
export interface Aboard {
  item: Item;
  entry: LoadoutEntry;
}

/** The outing's own references, looked up once. A missing one is null. */
export interface Looked {
  angler: Angler | null;
  craft: Craft | null;
  water: Water | null;
  launch: Launch | null;
  /** Where one lands: the launch, unless another is chosen. */
  landing: Launch | null;
  area: Area | null;
  rulePack: RulePack | null;
  /** The fish sought, as far as they are known. */
  targets: readonly Species[];
  /** The angler's own fish, for looking others up. */
  species: readonly Species[];
  aboard: readonly Aboard[];
  /** The whole locker by id, for what is not carried by itself: the line on a reel, a snap in a tray. */
  items: ReadonlyMap<string, Item>;
}

function byId<T extends { id: string }>(list: readonly T[], id: string | null): T | null {
  return id === null ? null : (list.find((one) => one.id === id) ?? null);
}

const indexes = new WeakMap<readonly Item[], ReadonlyMap<string, Item>>();
/** The locker by id; made once for a list, since one judgement looks things up hundreds of times. */
function itemIndex(items: readonly Item[]): ReadonlyMap<string, Item> {
  const known = indexes.get(items) ?? new Map(items.map((item) => [item.id, item]));
  indexes.set(items, known);
  return known;
}

/**
 * Items named by the loadout that the locker no longer holds are left out.
 * @param like what was looked up for the same brief and references: then only what is aboard is looked up anew
 */
export function lookUp(outing: Outing, references: References, like?: Looked): Looked {
  const { brief } = outing;
  const aboard = aboardOf(outing, references);
  if (like) return { ...like, aboard };
  const water = byId(references.waters, brief.waterId);
  return {
    angler: references.angler,
    craft: byId(references.craft, brief.craftId),
    water,
    launch: water ? byId(water.launches, brief.launchId) : null,
    landing: water ? byId(water.launches, brief.landingId ?? brief.launchId) : null,
    area: water ? byId(water.areas, brief.areaId) : null,
    rulePack: water ? byId([...references.rulePacks, baselinePack], water.rulePackId) : null,
    targets: brief.targets.flatMap((id) => speciesOf(id, references.species) ?? []),
    species: references.species,
    items: itemIndex(references.items),
    aboard,
  };
}

/** A thing as if it were aboard by itself: one of it, in no container, in one's own boat. */
export function byItself(item: Item): Aboard {
  return { item, entry: { itemId: item.id, quantity: 1, outsideContainer: false, carriedBy: null } };
}

const idsOf = new WeakMap<readonly Aboard[], ReadonlySet<string>>();
/** The ids of what is aboard; made once for a loadout. */
export function idsAboard({ aboard }: Looked): ReadonlySet<string> {
  const known = idsOf.get(aboard) ?? new Set(aboard.map(({ item }) => item.id));
  idsOf.set(aboard, known);
  return known;
}

const aboards = new WeakMap<Outing['loadout'], { items: readonly Item[]; aboard: readonly Aboard[] }>();
/** The same loadout of the same locker is looked up once: other hours carry the same things. */
function aboardOf({ loadout }: Outing, references: References): readonly Aboard[] {
  const known = aboards.get(loadout);
  if (known?.items === references.items) return known.aboard;
  const aboard = lookUpAboard(loadout, references);
  aboards.set(loadout, { items: references.items, aboard });
  return aboard;
}

function lookUpAboard(loadout: Outing['loadout'], references: References): Aboard[] {
  const items = itemIndex(references.items);
  const aboard: Aboard[] = [];
  for (const entry of loadout) {
    const item = items.get(entry.itemId);
    if (item) aboard.push({ item, entry });
  }
  return aboard;
}

/** Blanks of the sentence that the judgement cannot do without. */
export const blanks = ['targets', 'water', 'launch', 'area', 'craft', 'angler'] as const;
export type Blank = (typeof blanks)[number];

export function openBlanks(brief: Brief, looked: Looked): Blank[] {
  const filled: Record<Blank, boolean> = {
    targets: looked.targets.length > 0 || brief.trip === 'shakedown',
    water: looked.water !== null,
    launch: looked.launch !== null,
    area: looked.area !== null,
    craft: looked.craft !== null,
    angler: looked.angler !== null,
  };
  return blanks.filter((blank) => !filled[blank]);
}
