import { type ArrangeItem, type ArrangeProblem, type ArrangeZone, USUAL_WEIGHTS } from '../arranging/problem';
import { seatedIn } from '../boat/build';
import { together } from '../boat/lading';
import { laden, standingIn } from '../boat/stability';
import { zonesOf } from '../boat/zones';
import { kinds } from '../catalog/gear/kinds';
import { isRod, isSoft, sizeOf } from '../catalog/gear/stowing';
import type { Angler } from '../documents/angler';
import type { Zone } from '../documents/boatParts';
import { USABLE_SHARE } from '../units/constants';
import type { ZoneKind } from '../vocabulary/boat';
import { fitsIn, roomOf } from './fits';
import { exactLading, storeIn } from './lading';
import { type Placed, type StowPlan, centreOf, standsUp } from './plan';
import { reachIn } from './reach';

/** Places that things are carried in; in the others one sits, stands or hangs something up. */
const FOR_THINGS: ReadonlySet<ZoneKind> = new Set<ZoneKind>([
  ...([
    'hatch',
    'tank well',
    'deck under cords',
    'pod',
    'under the seat',
    'seat back',
    'side pocket',
  ] as const),
]);
/** What lies in a place has its centre so far over the floor of it, m. Rule of thumb. */
const CENTRE_OVER_M = 0.08;
/** What each moved thing costs, cm: a gain that nobody feels is not worth a move. Rule of thumb. */
const MOVED_CM = 0.4;
/** How far the load is shifted to measure how the trim follows, m. */
const PROBE_M = 0.1;
/** A trim this small counts as level. */
const LEVEL_DEG = 0.02;
const MOST_ROUNDS = 4;

/** The things of a plan that may lie elsewhere, and the places of the boat, as a problem for the search. */
export interface ToArrange {
  problem: ArrangeProblem;
  /** What may be moved, by its id. */
  movable: ReadonlyMap<string, Placed>;
}

/**
 * What may be moved: things that lie in a place of the boat by themselves, with what is in them. Rods, what
 * stands or is in use, what is leashed, and what is on the body stay. A thing goes nowhere where it would be
 * less dry than today, if water harms it, nor farther off than today, if it is at hand.
 * @returns null: the boat comes to no rest, so that no load is level
 */
export function toArrange(
  plan: StowPlan,
  angler: Pick<Angler, 'massKg' | 'heightM'>,
  waterDensity: number,
  fishKg: number,
): ToArrange | null {
  const { craft } = plan;
  const gear = exactLading(plan, angler.heightM, fishKg);
  const stance = seatedIn(craft);
  const trimAt = (xM: number) => {
    const held = standingIn(craft, angler, stance, { ...gear, xM }, waterDensity);
    return held && held !== 'sinks' ? held.trimDeg : null;
  };
  const all = laden(craft, angler, stance, gear);
  const levelAtM = levelLoadAt(gear, all.massKg, all.xM, trimAt);
  if (levelAtM === null) return null;
  const things = plan.things.filter(isMovable);
  const movable = new Map(things.map((placed) => [placed.one.item.id, placed]));
  const store = storeIn(plan);
  const kgOf = (placed: Placed) => {
    const carried = [placed, ...contentsOf(placed, plan)];
    return carried.reduce(
      (sum, { one: { item, entry } }) => sum + item.massKg * entry.quantity,
      store && carried.includes(store) ? fishKg : 0,
    );
  };
  const moved = things.map((placed) => ({
    massKg: -kgOf(placed),
    ...(centreOf(placed, plan, angler.heightM) ?? { xM: 0, yM: 0, zM: 0 }),
  }));
  const zones = zonesOf(craft).filter(
    (zone) => FOR_THINGS.has(zone.kind) || things.some((placed) => placed.zone?.id === zone.id),
  );
  return {
    movable,
    problem: {
      zones: zones.map((zone): ArrangeZone => ({
        ...{
          id: zone.id,
          xM: zone.xM,
          yM: zone.yM,
          zM: zone.floorM + Math.min(CENTRE_OVER_M, zone.heightM / 2),
        },
        // The search takes off what cannot be filled by itself.
        ...{
          litres: (roomOf(zone) ?? 0) / USABLE_SHARE,
          maxKg: zone.maxKg,
          insideM: null,
          openingM: null,
          leashes: 0,
        },
        ...{ dry: zone.dryness, reach: reachIn(zone, craft, angler) },
      })),
      items: things.map((placed) => itemOf(placed, kgOf(placed), zones, reachIn(placed.zone, craft, angler))),
      base: together([all, ...moved]),
      levelAtM,
      weights: { ...USUAL_WEIGHTS, change: MOVED_CM },
    },
  };
}

type InZone = Placed & { zone: Zone };
function isMovable(placed: Placed): placed is InZone {
  const { spot, zone, one, lies } = placed;
  return (
    zone !== null &&
    spot.in === 'zone' &&
    lies.in === 'zone' &&
    one.entry.carriedBy === null &&
    spot.held !== 'leashed' &&
    spot.state !== 'out' &&
    !isRod(one.item.kind) &&
    !standsUp(placed) &&
    roomOf(zone) !== null
  );
}
function contentsOf(container: Placed, plan: StowPlan): readonly Placed[] {
  const { id } = container.one.item;
  return plan.things.filter(({ lies }) => lies.boxes.some((box) => box.id === id));
}
function itemOf(
  placed: InZone,
  massKg: number,
  zones: readonly Zone[],
  reach: ReturnType<typeof reachIn>,
): ArrangeItem {
  const { item, entry } = placed.one;
  const [long, middle, short] = sizeOf(item);
  const atHand = reach === 'hand' || reach === 'turn';
  return {
    id: item.id,
    massKg,
    // Several of one kind lie side by side.
    sizeM: [long, middle, short * entry.quantity],
    soft: isSoft(item.kind),
    dry: kinds[item.kind].wet === 'any' ? undefined : placed.zone.dryness,
    reach: atHand ? reach : undefined,
    use: atHand ? 1 : undefined,
    only: zones
      .filter(
        (zone) => zone.id === placed.zone.id || (FOR_THINGS.has(zone.kind) && fitsIn(item, zone) === null),
      )
      .map(({ id }) => id),
    now: placed.zone.id,
  };
}
/** Where the centre of gravity of all has to be for the boat to lie level, m; null: it comes to no rest. */
function levelLoadAt(
  gear: { massKg: number; xM: number },
  allKg: number,
  allX: number,
  trimAt: (gearX: number) => number | null,
): number | null {
  if (gear.massKg <= 0) return null;
  let at = gear.xM;
  for (let i = 0; i < MOST_ROUNDS; i += 1) {
    const [here, there] = [trimAt(at), trimAt(at + PROBE_M)];
    if (here === null || there === null) return null;
    if (Math.abs(here) < LEVEL_DEG || here === there) break;
    at -= (here * PROBE_M) / (there - here);
  }
  return allX + ((at - gear.xM) * gear.massKg) / allKg;
}
