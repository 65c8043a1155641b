import { isRod, sizeOf, storageOf } from '../catalog/gear/stowing';
import { type KindId, kindIds, kinds } from '../catalog/gear/kinds';
import { seatOf, setUpOf } from '../boat/build';
import { zonesOf } from '../boat/zones';
import type { Angler } from '../documents/angler';
import type { Zone } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { Item } from '../documents/item';
import type { Aboard, Lies, Move } from '../documents/references';
import { type Spot, type Stow, type Stowed, spotOf } from '../documents/stow';
import { rememberFor, sameRecords } from '../units/remember';
import { dryness, reaches } from '../vocabulary/boat';
import type { Mode } from '../vocabulary/stow';
import { atZone, onBody } from './at';
import { isClosed } from './fits';
import { reachIn } from './reach';
import { sameLies } from './lies';
import { type Leashes, type UsualSpots, spotInThing, usualSpots } from './usual';

/** One thing with where it is in a mode, and what follows from that. */
export interface Placed {
  one: Aboard;
  spot: Spot;
  /** What the plan of the outing has of it; undefined: nothing. */
  entry: Stowed | undefined;
  /** Who said so: the plan of the outing, the set-up of the boat, or only its kind. */
  by: 'plan' | 'set-up' | 'kind';
  lies: Lies;
  /** The place of the boat in the end; null: it is in none. */
  zone: Zone | null;
  /** The pad-eye or rail that its leash goes to; null: it has no leash, or there is none for it. */
  eye: Zone | null;
}
/** Where everything is in one mode. */
export interface StowPlan {
  mode: Mode;
  craft: Craft;
  things: readonly Placed[];
  byId: ReadonlyMap<string, Placed>;
}
export interface PlanInput {
  aboard: readonly Aboard[];
  craft: Craft;
  angler: Angler;
  stow: Stow;
}

/** Where in the list each thing is. */
const indexOf = rememberFor(
  (aboard: readonly Aboard[]): ReadonlyMap<string, number> =>
    new Map(aboard.map(({ item }, i) => [item.id, i])),
);
const byItem = rememberFor((things: readonly Stowed[]) => new Map(things.map((one) => [one.itemId, one])));

/** What holds leashes, with how many. */
export const eyesOf: (craft: Craft) => readonly Zone[] = rememberFor((craft: Craft) =>
  zonesOf(craft).filter(({ leashes }) => leashes > 0),
);
/** The spot somebody wrote for a thing in a mode; null: nobody did. */
function spotIn(list: readonly Stowed[], itemId: string, mode: Mode): Spot | null {
  const one = byItem(list).get(itemId);
  return one ? (one[mode] ?? one.fish) : null;
}

/** Whether any thing is elsewhere in a mode than while fishing. */
export function differsIn({ things, boat }: Stow, mode: Mode): boolean {
  return mode !== 'fish' && (boat[mode] !== null || things.some((one) => one[mode] !== null));
}

const rodLeashes: ReadonlySet<KindId> = new Set(
  kindIds.filter((id) => kinds[id].means.includes('rod-retention')),
);
export function leashesAboard(aboard: readonly Aboard[], { clearSide }: Pick<Angler, 'clearSide'>): Leashes {
  let [rods, paddle] = [false, false];
  for (const { item } of aboard) {
    rods ||= rodLeashes.has(item.kind);
    paddle ||= item.kind === 'paddle-leash';
  }
  return { rods, paddle, clearSide };
}

/**
 * Everything aboard in its place in one mode. What lies in a thing that is not aboard, or in a place that the
 * boat has not, is nowhere, and said to be. What lies as it lay in a plan before is the same record.
 */
export function planOf({ aboard, craft, angler, stow }: PlanInput, mode: Mode = 'fish'): StowPlan {
  const entries = byItem(stow.things);
  const ofSetUp = setUpOf(craft).stow?.things;
  const ground = groundOf(craft, angler, leashesAboard(aboard, angler));
  const index = indexOf(aboard);
  /** Of each thing where it is known to lie, whatever else is aboard. */
  const alone: (Placed | null)[] = [];
  const spots: Spot[] = [];
  const by: Placed['by'][] = [];
  const written: (Stowed | undefined)[] = [];
  const bottoms = new Set<string | null>();
  let rods = 0;
  for (const one of aboard) {
    const { item, entry } = one;
    const nth = isRod(item.kind) ? rods++ : 0;
    const own = entries.get(item.id);
    written.push(own);
    const lone = own || ofSetUp ? null : ground.loneOf(one);
    alone.push(lone);
    if (lone) {
      spots.push(lone.spot);
      by.push('kind');
      continue;
    }
    const planned = own ? (own[mode] ?? own.fish) : null;
    const setUp = planned || !ofSetUp ? null : spotIn(ofSetUp, item.id, mode);
    const boxAt =
      !entry.outsideContainer && item.containerId !== null ? index.get(item.containerId) : undefined;
    const box = boxAt === undefined ? undefined : aboard[boxAt]?.item;
    const spot = planned ?? setUp ?? (box ? boxedSpot(item, box) : ground.usual(item, nth));
    spots.push(spot);
    by.push(planned ? 'plan' : setUp ? 'set-up' : 'kind');
    if (spot.layer === 'bottom') bottoms.add(spot.id);
  }
  // Where something lies at the bottom, what lies there over it.
  const covering = new Set<string>();
  if (bottoms.size > 0)
    for (const spot of spots)
      if (spot.layer !== 'bottom' && bottoms.has(spot.id)) covering.add(placeKey(spot));
  const buried = (spot: Spot) => spot.layer === 'bottom' && covering.has(placeKey(spot));

  const located: (Located | undefined)[] = [];
  const resolve = (i: number, seen: number): Located => {
    const found = alone[i] ?? located[i] ?? (seen > aboard.length ? NOWHERE : locate(i, seen));
    located[i] = found;
    return found;
  };
  const locate = (i: number, seen: number): Located => {
    const [one, spot] = [aboard[i], spots[i]];
    if (!one || !spot) return NOWHERE;
    if (one.entry.carriedBy !== null) return elsewhere('companion', one.entry.carriedBy);
    if (spot.in !== 'thing') return plainly(spot, buried(spot), ground);
    const at = spot.id === null || spot.id === one.item.id ? undefined : index.get(spot.id);
    const box = at === undefined ? undefined : aboard[at]?.item;
    if (at === undefined || !box) return NOWHERE;
    return inBox(spot, one.item.id, box, resolve(at, seen + 1), buried(spot));
  };
  const things = aboard.map((one, i): Placed => {
    const lone = alone[i];
    if (lone) return lone;
    const { lies, zone } = resolve(i, 0);
    return { one, spot: spots[i] ?? LOST, entry: written[i], by: by[i] ?? 'kind', lies, zone, eye: null };
  });
  const eyes = leashed(things, craft);
  return new Plan(
    mode,
    craft,
    things.map(
      (placed, i) => alone[i] ?? ground.sameAsWas(placed.one, { ...placed, eye: eyes.get(placed) ?? null }),
    ),
  );
}
/** Where a thing lies, as others share it. */
const placeKey = ({ in: where, id }: Spot) => `${where} ${id ?? ''}`;

class Plan implements StowPlan {
  private known: ReadonlyMap<string, Placed> | null = null;
  constructor(
    readonly mode: Mode,
    readonly craft: Craft,
    readonly things: readonly Placed[],
  ) {}
  get byId() {
    this.known ??= new Map(this.things.map((placed) => [placed.one.item.id, placed]));
    return this.known;
  }
}

/** A boat with whoever sits in it: what is worked out for a thing there is worked out once. */
interface Ground {
  craft: Craft;
  angler: Angler;
  zones: ReadonlyMap<string, Zone>;
  usual: UsualSpots;
  /** Of a spot that is in no other thing, as it lies free and under others. */
  locatedOf: (spot: Spot) => { free: Located | null; under: Located | null };
  /**
   * A thing where its kind usually is, if that hangs on nothing else aboard and nothing was written of it;
   * null: it does.
   */
  loneOf: (one: Aboard) => Placed | null;
  /**
   * A thing as it lies, by the record it had when it last lay so: it is tried here and there, and comes back
   * to where it was.
   */
  sameAsWas: (one: Aboard, now: Placed) => Placed;
}
const grounds = rememberFor((_: Craft) => new Map<string, Ground>());
function groundOf(craft: Craft, angler: Angler, leashes: Leashes): Ground {
  const known = grounds(craft);
  const key = `${angler.heightM} ${leashes.clearSide} ${String(leashes.rods)} ${String(leashes.paddle)}`;
  const found = known.get(key);
  if (found) return found;
  const ground: Ground = {
    craft,
    angler,
    zones: new Map(zonesOf(craft).map((zone) => [zone.id, zone])),
    usual: usualSpots(craft, angler, leashes),
    locatedOf: rememberFor((_: Spot) => ({ free: null, under: null })),
    loneOf: rememberFor((one: Aboard) => placedAlone(one, ground)),
    sameAsWas: sameRecords(4, isSamePlaced),
  };
  known.set(key, ground);
  return ground;
}
function placedAlone(one: Aboard, ground: Ground): Placed | null {
  const { item, entry } = one;
  if (isRod(item.kind) || item.containerId !== null || entry.carriedBy !== null) return null;
  const spot = ground.usual(item, 0);
  if (spot.layer === 'bottom' || spot.held === 'leashed') return null;
  return { one, spot, entry: undefined, by: 'kind', ...plainly(spot, false, ground), eye: null };
}
const isSamePlaced = (a: Placed, b: Placed) =>
  a.spot === b.spot &&
  a.entry === b.entry &&
  a.by === b.by &&
  a.zone === b.zone &&
  a.eye === b.eye &&
  sameLies(a.lies, b.lies);

interface Located {
  lies: Lies;
  zone: Zone | null;
}
const boxed = rememberFor((_: Item) => ({ box: null as Item | null, spot: LOST }));
function boxedSpot(item: Item, box: Item): Spot {
  const known = boxed(item);
  if (known.box !== box) Object.assign(known, { box, spot: spotInThing(item, box) });
  return known.spot;
}

function elsewhere(where: 'companion' | 'vehicle', id: string | null): Located {
  const place = where === 'companion' ? 'in another boat' : 'in the vehicle';
  return {
    lies: { ...NOWHERE.lies, in: where, id, place, reach: 'ashore', dry: 'sealed', held: true },
    zone: null,
  };
}

/** A spot that is in no other thing. */
function plainly(spot: Spot, buried: boolean, ground: Ground): Located {
  const known = ground.locatedOf(spot);
  if (buried) return (known.under ??= placeOf(spot, buried, ground));
  return (known.free ??= placeOf(spot, buried, ground));
}
function placeOf(
  { in: where, id, held, state }: Spot,
  buried: boolean,
  { zones, craft, angler }: Ground,
): Located {
  if (where === 'vehicle') return elsewhere('vehicle', null);
  if (where === 'body')
    return {
      lies: {
        ...NOWHERE.lies,
        in: 'body',
        id,
        place: onBody(id),
        held: held !== 'loose',
        worn: held === 'worn',
        state,
      },
      zone: null,
    };
  const zone = where === 'zone' ? zones.get(id ?? '') : undefined;
  if (!zone) return NOWHERE;
  const closed = isClosed(zone);
  const moves: Move[] = [
    ...(closed ? [{ do: 'open' as const, name: zone.name }] : []),
    ...(buried ? [OVER] : []),
  ];
  return {
    lies: {
      in: 'zone',
      id: zone.id,
      place: atZone(zone),
      boxes: NO_BOXES,
      compartment: closed ? zone.id : null,
      reach: farther(reachIn(zone, craft, angler), moves.length),
      moves,
      dry: zone.dryness,
      held: closed || (held !== 'loose' && held !== 'worn'),
      worn: false,
      state,
    },
    zone,
  };
}
/**
 * Inside another thing: as dry as the drier of both, as far off as what has to be opened, held where it
 * cannot fall out of what is held.
 */
function inBox(spot: Spot, itemId: string, box: Item, outer: Located, buried: boolean): Located {
  if (outer.lies.in === 'nowhere' || outer.lies.boxes.some(({ id }) => id === itemId)) return NOWHERE;
  const { shut, dry } = storageOf(box);
  const moves = [
    ...outer.lies.moves,
    ...(shut ? [{ do: 'open' as const, name: box.name }] : []),
    ...(buried ? [OVER] : []),
  ];
  return {
    lies: {
      ...outer.lies,
      boxes: [{ id: box.id, name: box.name }, ...outer.lies.boxes],
      moves,
      reach: farther(outer.lies.reach, moves.length),
      dry: drier(dry, outer.lies.dry),
      held: outer.lies.held && (shut || spot.held !== 'loose'),
      worn: false,
      state: spot.state,
    },
    zone: outer.zone,
  };
}

const OVER = { do: 'take out what lies over it' } as const;
const NO_BOXES: Lies['boxes'] = [];
const NOWHERE: Located = {
  lies: {
    in: 'nowhere',
    id: null,
    place: '',
    boxes: NO_BOXES,
    compartment: null,
    reach: 'hand',
    moves: [],
    dry: 'open',
    held: true,
    worn: false,
    state: null,
  },
  zone: null,
};
const LOST: Spot = spotOf('nowhere', null);

/** One move is a reach with both hands; two, and one leaves the paddle. */
function farther(reach: Lies['reach'], moves: number): Lies['reach'] {
  const least = moves >= 2 ? 2 : moves;
  return reaches[Math.max(reaches.indexOf(reach), least)] ?? reach;
}
function drier(a: Lies['dry'], b: Lies['dry']): Lies['dry'] {
  return dryness.indexOf(a) > dryness.indexOf(b) ? a : b;
}

/**
 * Each leash on its pad-eye: the one that is written, else the nearest with room. A leash to a container
 * needs none.
 */
function leashed(things: readonly Placed[], craft: Craft): ReadonlyMap<Placed, Zone> {
  const eyes = eyesOf(craft);
  const on = new Map<string, number>();
  const taken = new Map<Placed, Zone>();
  const take = (placed: Placed, eye: Zone) => {
    on.set(eye.id, (on.get(eye.id) ?? 0) + 1);
    taken.set(placed, eye);
  };
  const tied = things.filter(
    ({ spot, zone }) => spot.held === 'leashed' && zone !== null && spot.in === 'zone',
  );
  for (const placed of tied) {
    const eye = eyes.find(({ id }) => id === placed.spot.eyeId);
    if (eye) take(placed, eye);
  }
  for (const placed of tied) {
    if (placed.spot.eyeId !== null) continue;
    const { xM, yM } = spotAt(placed, craft);
    let nearest: Zone | null = null;
    let far = Infinity;
    for (const eye of eyes) {
      const away = Math.hypot(eye.xM - xM, eye.yM - yM);
      if (away < far && (on.get(eye.id) ?? 0) < eye.leashes) [nearest, far] = [eye, away];
    }
    if (nearest) take(placed, nearest);
  }
  return taken;
}
/** How many leashes are on each pad-eye. */
export function leashesOn(things: readonly Placed[]): ReadonlyMap<string, number> {
  const on = new Map<string, number>();
  for (const { eye } of things) if (eye) on.set(eye.id, (on.get(eye.id) ?? 0) + 1);
  return on;
}

/**
 * Things lie about so high over the floor of their place at most, m, where nothing says more; worn ones ride
 * so high over the seat, of one's height.
 */
const LIES_OVER_M = 0.08;
const WORN_OVER: Readonly<Record<string, number>> = {
  head: 0.42,
  'left-chest': 0.24,
  'right-chest': 0.24,
  back: 0.16,
  belt: 0.1,
  legs: 0.02,
  wrist: 0.1,
};

/** Where along and across the boat a thing's middle is, m. */
export function spotAt(
  { spot, zone }: Pick<Placed, 'spot' | 'zone'>,
  craft: Craft,
): { xM: number; yM: number } {
  if (spot.in === 'zone' && spot.at) return spot.at;
  return zone ? { xM: zone.xM, yM: zone.yM } : { xM: seatOf(craft).xM + 0.1, yM: 0 };
}
/** Whether a thing stands up in its place, as a rod in a holder or a flag. */
export function standsUp({ spot, zone, one }: Pick<Placed, 'spot' | 'zone' | 'one'>): boolean {
  return spot.state === 'out' && zone !== null && sizeOf(one.item)[0] >= TALL_M;
}
const TALL_M = 0.6;
/** How high a thing that stands reaches over the floor of its place, m. */
export function topOver({ one, zone }: Pick<Placed, 'one' | 'zone'>): number {
  const lean = ((zone?.angleDeg ?? 0) * Math.PI) / 180;
  return sizeOf(one.item)[0] * Math.cos(lean);
}

/** Where the weight of a thing is, m; null: not in one's own boat. */
export function centreOf(
  placed: Placed,
  plan: StowPlan,
  heightM: number,
): { xM: number; yM: number; zM: number } | null {
  const { lies, zone, one } = placed;
  const { craft } = plan;
  if (lies.in === 'companion' || lies.in === 'vehicle') return null;
  const seat = seatOf(craft);
  if (lies.in === 'nowhere') return { xM: seat.xM, yM: 0, zM: seat.lowM };
  if (lies.in === 'body')
    return { xM: seat.xM + 0.1, yM: 0, zM: seat.lowM + (WORN_OVER[lies.id ?? ''] ?? 0.1) * heightM };
  if (!zone) return null;
  const root = lies.boxes.length > 0 ? plan.byId.get(lies.boxes[lies.boxes.length - 1]?.id ?? '') : placed;
  const { xM, yM: aside } = spotAt(root ?? placed, craft);
  // Of a pair of places nobody said which: it counts as the middle until somebody does.
  const yM = (root ?? placed).by === 'kind' ? 0 : aside;
  const over = standsUp(placed)
    ? topOver(placed) / 2
    : Math.min(Math.max(LIES_OVER_M, sizeOf(one.item)[2] / 2), zone.heightM);
  return { xM, yM, zM: zone.floorM + over };
}
