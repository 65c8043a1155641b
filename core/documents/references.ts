import { interning, rememberFor } from '../units/remember';
import type { Angler } from './angler';
import { type Craft, isMeasured } from './craft';
import { kinds } from '../catalog/gear/kinds';
import type { Item } from './item';
import { baselinePack } from './baselinePack';
import type { OwnSpecies } from './ownSpecies';
import type { Species } from '../catalog/species/species';
import { speciesOf } from '../catalog/species/speciesOf';
import type { RulePack } from './rulePack';
import type { Area, Launch, Water } from './water';
import type { Brief, LoadoutEntry, Outing } from './outing';
import type { Dryness, Reach } from '../vocabulary/boat';
import type { Mode, ThingState } from '../vocabulary/stow';

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

/** What has to be done before one has a thing in the hand. */
export type Move = { do: 'open'; name: string } | { do: 'take out what lies over it' };
/** Where a thing lies while fishing, all told. */
export interface Lies {
  in: 'zone' | 'body' | 'vehicle' | 'companion' | 'nowhere';
  /** The place of the boat or the part of the body; null: none. */
  id: string | null;
  place: string;
  /** Containers around it, the nearest first. */
  boxes: readonly { id: string; name: string }[];
  /** The closed compartment of the boat that it is in; null: none. */
  compartment: string | null;
  reach: Reach;
  moves: readonly Move[];
  dry: Dryness;
  held: boolean;
  /** On the body as what it is worn as, and not clipped to it. */
  worn: boolean;
  state: ThingState | null;
}

/** One line of the loadout with the item it names. */
export interface Aboard {
  item: Item;
  entry: LoadoutEntry;
  /** Where it lies while fishing; left out: nobody asks. */
  lies?: Lies;
  /** Where it lies in another mode afloat, where that differs; left out: in none. */
  liesIn?: Partial<Record<Mode, Lies>>;
}
/** Whether it goes afloat in one's own boat. */
export function ridesAlong({ item, entry, lies }: Aboard): boolean {
  if (entry.carriedBy !== null) return false;
  return lies ? lies.in !== 'vehicle' : kinds[item.kind].place !== 'vehicle';
}

/** The weight that pace and drag are reckoned with, kg, and whose it is. */
export interface Loaded {
  anglerKg: number;
  heightM: number;
  /** In steps, so that what hangs on it stands while little changes. */
  gearKg: number;
}

/** What the brief points at, looked up once. A missing one is null. */
export interface Places {
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
  /** What rides in the boat; null: not asked, or its pace and drag are measured and do not hang on it. */
  loaded: Loaded | null;
  /** The whole locker by id, for what is not carried by itself: the line on a reel, a snap in a tray. */
  items: ReadonlyMap<string, Item>;
}
/** The same, with what is aboard. */
export interface OutingInView extends Places {
  aboard: readonly Aboard[];
}

function byId<T extends { id: string }>(list: readonly T[], id: string | null): T | null {
  return id === null ? null : (list.find((one) => one.id === id) ?? null);
}

const setUpsOf = rememberFor((_: Craft) => new Map<string, Craft>());
/**
 * A boat as it is put together for an outing; a set-up that it no longer has is as it stands. The same record
 * each time.
 */
export function putTogether(craft: Craft | null, setUpId: string | null): Craft | null {
  if (
    !craft ||
    setUpId === null ||
    craft.setUpId === setUpId ||
    !craft.setUps.some(({ id }) => id === setUpId)
  )
    return craft;
  const known = setUpsOf(craft);
  const made = known.get(setUpId) ?? { ...craft, setUpId };
  known.set(setUpId, made);
  return made;
}

/** The locker by id. */
const itemIndex = rememberFor(
  (items: readonly Item[]): ReadonlyMap<string, Item> => new Map(items.map((item) => [item.id, item])),
);

/** Items named by the loadout that the locker no longer holds are left out. */
export function lookUp(outing: Outing, references: References): OutingInView {
  const aboard = aboardOf(outing.loadout, references.items);
  return { ...placesOf(outing.brief, references, loadedBy(outing.brief, references, aboard)), aboard };
}

export function placesOf(
  brief: Pick<Brief, 'waterId' | 'launchId' | 'landingId' | 'areaId' | 'craftId' | 'setUpId' | 'targets'>,
  references: References,
  loaded: Loaded | null = null,
): Places {
  const water = byId(references.waters, brief.waterId);
  return {
    angler: references.angler,
    craft: putTogether(byId(references.craft, brief.craftId), brief.setUpId),
    water,
    launch: water ? byId(water.launches, brief.launchId) : null,
    landing: water ? byId(water.launches, brief.landingId ?? brief.launchId) : null,
    area: water ? byId(water.areas, brief.areaId) : null,
    rulePack: water ? byId([...references.rulePacks, baselinePack], water.rulePackId) : null,
    targets: brief.targets.flatMap((id) => speciesOf(id, references.species) ?? []),
    species: references.species,
    loaded,
    items: itemIndex(references.items),
  };
}

const GEAR_STEP_KG = 10;
const sameLoaded = interning<Loaded>(200);

/**
 * What rides in the boat that a brief chooses; null: there is none, or it has measured all that hangs on it.
 */
export function loadedBy(
  { craftId }: Pick<Brief, 'craftId'>,
  { angler, craft: boats }: Pick<References, 'angler' | 'craft'>,
  aboard: readonly Aboard[],
): Loaded | null {
  const craft = byId(boats, craftId);
  if (!craft || !angler || isMeasured(craft)) return null;
  let gearKg = 0;
  for (const one of aboard) if (ridesAlong(one)) gearKg += one.item.massKg * one.entry.quantity;
  const { massKg: anglerKg, heightM } = angler;
  return sameLoaded({ anglerKg, heightM, gearKg: Math.round(gearKg / GEAR_STEP_KG) * GEAR_STEP_KG });
}

const lineOf = rememberFor((_: LoadoutEntry) => ({ aboard: null as Aboard | null }));
/** What a loadout puts aboard: the same record for a line as long as the line and its thing are the same. */
export function aboardOf(loadout: Outing['loadout'], items: readonly Item[]): readonly Aboard[] {
  const index = itemIndex(items);
  const aboard: Aboard[] = [];
  for (const entry of loadout) {
    const item = index.get(entry.itemId);
    if (!item) continue;
    const line = lineOf(entry);
    if (line.aboard?.item !== item) line.aboard = { item, entry };
    aboard.push(line.aboard);
  }
  return aboard;
}

/** A thing as if it were aboard by itself: one of it, in no container, in one's own boat. */
export function byItself(item: Item): Aboard {
  return { item, entry: { itemId: item.id, quantity: 1, outsideContainer: false, carriedBy: null } };
}

const idsOf = rememberFor(
  (aboard: readonly Aboard[]): ReadonlySet<string> => new Set(aboard.map(({ item }) => item.id)),
);
/** The ids of what is aboard. */
export function idsAboard({ aboard }: { aboard: readonly Aboard[] }): ReadonlySet<string> {
  return idsOf(aboard);
}

/** Blanks of the sentence that the judgement cannot do without. */
export const blanks = ['targets', 'water', 'launch', 'area', 'craft', 'angler'] as const;
export type Blank = (typeof blanks)[number];

export function openBlanks(brief: Pick<Brief, 'trip'>, looked: Places): Blank[] {
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
