import {
  isBattery,
  isContainer,
  isFixed,
  isRod,
  isUsuallyOut,
  sizeOf,
  statesOf,
  storageOf,
} from '../catalog/gear/stowing';
import { type KindId, kinds } from '../catalog/gear/kinds';
import { alongBoat, wornPlaces } from '../catalog/gear/places';
import { zonesOf } from '../boat/zones';
import type { Zone } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { Item } from '../documents/item';
import type { Spot } from '../documents/stow';
import { rememberFor } from '../units/remember';
import type { NeedId } from '../vocabulary/needs';
import type { BodyPart } from '../vocabulary/stow';
import { fitsIn, isClosed } from './fits';
import { reachIn } from './reach';
import type { Angler } from '../documents/angler';
import { type Reach, type ZoneKind, reaches } from '../vocabulary/boat';
import { placeOf } from '../vocabulary/where';

/** What else of the loadout a usual place hangs on: leashes aboard for rods, paddles, drives. */
export interface Leashes {
  rods: boolean;
  paddle: boolean;
  /** The side one climbs in by: what is long lies on the other. */
  clearSide: 'left' | 'right';
}

const ROD_PLACES: readonly ZoneKind[] = [
  'rod holder',
  'rod tube',
  'rail',
  'deck under cords',
  'tank well',
  'cockpit floor',
];
const LONG_PLACES: readonly ZoneKind[] = ['rail', 'deck under cords', 'tank well', 'cockpit floor'];
/** Kinds of place that a kind's usual part of the boat means, the likelier first. */
const meant: Partial<Record<string, readonly ZoneKind[]>> = {
  bow: ['deck under cords', 'pad-eye', 'hatch'],
  foredeck: ['deck under cords', 'hatch', 'cockpit floor'],
  centre: ['pod', 'under the seat', 'hatch', 'cockpit floor'],
  seat: ['side pocket', 'seat back', 'under the seat', 'cockpit floor', 'tank well', 'deck under cords'],
  tankwell: ['tank well', 'deck under cords', 'hatch'],
  stern: ['tank well', 'deck under cords', 'hatch'],
};
/** What has to keep dry and is no bag of its own goes under a lid. */
const DRY_PLACES: readonly ZoneKind[] = ['pod', 'hatch'];
const standing: ReadonlySet<KindId> = new Set<KindId>(['flag', 'light-flag', 'mast-light', 'camera-pole']);
const STANDING_PLACES: readonly ZoneKind[] = [
  'tank well',
  'pad-eye',
  'rod tube',
  'rod holder',
  'deck under cords',
];
/** Heavier than this, kg, a thing does not go into a pocket. */
const POCKET_KG = 0.6;
const HEAVY_BY_SEAT: readonly ZoneKind[] = [
  'tank well',
  'under the seat',
  'cockpit floor',
  'deck under cords',
];
/** Where anything may lie that has no better place. */
const ANYWHERE: readonly ZoneKind[] = [
  'tank well',
  'deck under cords',
  'hatch',
  'under the seat',
  'seat back',
  'side pocket',
  'cockpit floor',
  'pod',
];
/** Wanted at once or often: it lies on top. */
const onTop: ReadonlySet<string> = new Set([
  'take-water-out',
  'throw-line',
  'unhook',
  'land-fish',
  'distress-signal',
  'second-propulsion',
  'water',
]);

const bodyOf: Record<string, BodyPart> = { head: 'head', chest: 'left-chest', body: 'back', feet: 'legs' };

/** Clothing is worn; what else is on the body hangs on a clip or lies in a pocket. */
export function isClothing(kind: KindId): boolean {
  const { means, place } = kinds[kind];
  return (
    wornPlaces.includes(place) &&
    (place === 'head' || place === 'feet' || place === 'body' || means.includes('buoyancy')) &&
    kind !== 'watch'
  );
}

/** What keeps a thing in a place of the boat, usually. */
export function usualHold(item: Item, zone: Pick<Zone, 'kind' | 'cord'>, leashes: Leashes): Spot['held'] {
  if (isFixed(item.kind) || isBattery(item.kind)) return 'strapped';
  if (isRod(item.kind)) return leashes.rods ? 'leashed' : zone.cord ? 'strapped' : 'loose';
  if (kinds[item.kind].means.includes('propulsion') && leashes.paddle) return 'leashed';
  if (zone.cord || zone.kind === 'rail') return 'strapped';
  return item.qualities.includes('tethered') ? 'leashed' : 'loose';
}

/** What comes in a packet, and stays in it. */
const inPacket: ReadonlySet<KindId> = new Set<KindId>(['hook-packet', 'jig-heads', 'feather-rig']);
/** All that is not the place itself, as it usually is. */
function manner({ kind, qualities }: Item): Pick<Spot, 'eyeId' | 'cover' | 'layer' | 'state' | 'at'> {
  const { means, aside } = kinds[kind];
  return {
    eyeId: null,
    at: null,
    cover: qualities.includes('sheathed')
      ? 'sheath'
      : inPacket.has(kind)
        ? 'bag'
        : kind === 'gaff'
          ? 'cap'
          : 'bare',
    layer: means.some((id) => onTop.has(id))
      ? 'top'
      : aside === 'comfort' || aside === 'spare part'
        ? 'bottom'
        : 'middle',
    state: statesOf(kind) === null ? null : isUsuallyOut(kind) ? 'out' : 'stowed',
  };
}

function zoneFor(
  item: Item,
  craft: Craft,
  nth: number,
  clearSide: 'left' | 'right',
  reached: (zone: Zone) => Reach,
  far: number | null,
): Zone | null {
  const { place } = kinds[item.kind];
  const zones = zonesOf(craft);
  const xM = (alongBoat[place] ?? 0.5) * craft.lengthM;
  const [longest] = sizeOf(item);
  const spoils = kinds[item.kind].wet === 'never' || isBattery(item.kind);
  const wantsDry = spoils && !item.qualities.includes('waterproof');
  const order = wantsDry
    ? [...DRY_PLACES, ...(meant[place] ?? [])]
    : standing.has(item.kind)
      ? STANDING_PLACES
      : isRod(item.kind)
        ? ROD_PLACES
        : longest > LONG_M
          ? LONG_PLACES
          : place === 'seat' && item.massKg > POCKET_KG
            ? HEAVY_BY_SEAT
            : (meant[place] ?? []);
  const tall = longest > LONG_M / 2;
  // What is long lies on the other side; nothing lies under the pedals.
  const inTheWay = ({ side }: Zone) => (tall && side === clearSide ? 1 : 0);
  for (const kind of [...order, ...ANYWHERE]) {
    if (kind === 'cockpit floor' && craft.drive === 'pedal') continue;
    const fit = zones
      .filter(
        (zone) =>
          zone.kind === kind &&
          fitsIn(item, zone) === null &&
          (far === null || reaches.indexOf(reached(zone)) + (isClosed(zone) ? 1 : 0) <= far) &&
          (wantsDry || standing.has(item.kind) || !order.includes(kind) || isNear(zone, xM, craft)),
      )
      .toSorted(
        (a, b) => inTheWay(a) - inTheWay(b) || Math.abs(a.xM - xM) - Math.abs(b.xM - xM) || a.yM - b.yM,
      );
    const [first] = fit;
    if (!first) continue;
    // Rods go one to a holder, left and right in turn; what else goes into one of a pair, by its name into
    // the one or the other.
    if (isRod(item.kind) && kind !== 'deck under cords') return fit[nth % fit.length] ?? null;
    const pair = tall
      ? [first]
      : fit.filter(({ xM: at, yM }) => Math.abs(at - first.xM) < 0.01 && Math.abs(yM) === Math.abs(first.yM));
    return pair[parity(item.id) % pair.length] ?? first;
  }
  return null;
}
const LONG_M = 1;
/** A means of it usually lies so near. */
function usualReach(id: NeedId): number[] {
  const where = placeOf[id]?.where;
  if (where === undefined || where === 'up' || where === 'aboard') return [];
  return [reaches.indexOf(where === 'turn' || id === 'propulsion' ? 'turn' : 'hand')];
}
/**
 * How far off a kind may lie for what it is a means of, as the place in the order of reaches; null: anywhere.
 */
function farthest(kind: KindId): number | null {
  const all = kinds[kind].means.flatMap((id) => usualReach(id));
  return all.length > 0 ? Math.min(...all) : null;
}
const parity = (id: string) => [...id].reduce((sum, letter) => sum + letter.charCodeAt(0), 0);
function isNear(zone: Zone, xM: number, craft: Craft): boolean {
  return Math.abs(zone.xM - xM) < craft.lengthM * NEAR;
}
const NEAR = 0.34;

/**
 * Where a thing of its kind usually is on this boat, and what usually keeps it there.
 * @param nth of how many of its sort came before it
 */
export type UsualSpots = (item: Item, nth: number) => Spot;
/** Usual places on a boat for whoever sits in it, each worked out once. */
export function usualSpots(craft: Craft, angler: Angler, leashes: Leashes): UsualSpots {
  const spotsOf = rememberFor((_: Item) => [] as (Spot | undefined)[]);
  return (item, nth) => {
    const spots = spotsOf(item);
    return (spots[nth] ??= makeSpot(item, craft, angler, leashes, nth));
  };
}

function makeSpot(item: Item, craft: Craft, angler: Angler, leashes: Leashes, nth: number): Spot {
  const { place } = kinds[item.kind];
  const how = manner(item);
  if (place === 'vehicle') return { ...how, in: 'vehicle', id: null, held: 'loose' };
  if (wornPlaces.includes(place))
    return {
      ...how,
      in: 'body',
      id: place === 'chest' && parity(item.id) % 2 === 1 ? 'right-chest' : (bodyOf[place] ?? 'belt'),
      held: isClothing(item.kind) ? 'worn' : 'clipped',
    };
  const reached = (one: Zone) => reachIn(one, craft, angler);
  const zone =
    zoneFor(item, craft, nth, leashes.clearSide, reached, farthest(item.kind)) ??
    zoneFor(item, craft, nth, leashes.clearSide, reached, null);
  if (!zone) return { ...how, in: 'nowhere', id: null, held: 'loose' };
  return { ...how, in: 'zone', id: zone.id, held: usualHold(item, zone, leashes) };
}

/** How a thing lies in another: shut in, or tied, or loose among the rest. */
export function spotInThing(item: Item, container: Item): Spot {
  const { shut } = storageOf(container);
  return {
    ...manner(item),
    in: 'thing',
    id: container.id,
    held: shut
      ? 'loose'
      : item.qualities.includes('tethered')
        ? 'leashed'
        : isContainer(item.kind)
          ? 'strapped'
          : 'loose',
  };
}

/** What a thing keeps of how it lay, and what the new place makes of it. */
export function spotIn(
  item: Item,
  where:
    | { in: 'zone'; zone: Zone }
    | { in: 'thing'; container: Item }
    | { in: 'body'; part: BodyPart }
    | { in: 'vehicle' },
  before: Spot,
  leashes: Leashes,
): Spot {
  const how = {
    ...before,
    eyeId: null,
    at: null,
    layer: before.layer === 'bottom' ? ('middle' as const) : before.layer,
  };
  switch (where.in) {
    case 'zone':
      return { ...how, in: 'zone', id: where.zone.id, held: usualHold(item, where.zone, leashes) };
    case 'thing':
      return { ...how, in: 'thing', id: where.container.id, held: spotInThing(item, where.container).held };
    case 'body':
      return { ...how, in: 'body', id: where.part, held: isClothing(item.kind) ? 'worn' : 'clipped' };
    case 'vehicle':
      return { ...how, in: 'vehicle', id: null, held: 'loose' };
  }
}
