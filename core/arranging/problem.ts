import { USABLE_SHARE } from '../units/constants';
import { type Dryness, type Reach, dryness, reaches } from '../vocabulary/boat';

/** A place that takes things. Positions in metres, from any origin that all places share; y to starboard. */
export interface ArrangeZone {
  id: string;
  /** Centre of gravity of what lies there. */
  xM: number;
  yM: number;
  zM: number;
  /** Room, L; what can be filled of it is less. */
  litres: number;
  /** null: as much as one likes. */
  maxKg: number | null;
  /** Its sides inside, m; null: any length lies there. */
  insideM: readonly [number, number, number] | null;
  /** The opening that things pass, m; null: open. */
  openingM: readonly [number, number] | null;
  dry: Dryness;
  reach: Reach;
  /** Leash points. */
  leashes: number;
}
/** A thing to be given a place. */
export interface ArrangeItem {
  id: string;
  massKg: number;
  /** Packed sides, m. */
  sizeM: readonly [number, number, number];
  /** It gives: its litres count, and no shape. */
  soft?: boolean | undefined;
  /** How dry it must lie; left out: any. */
  dry?: Dryness | undefined;
  /** How far off it may be; left out: any. */
  reach?: Reach | undefined;
  /** It is tied to a leash point of its own. */
  leash?: boolean | undefined;
  /** How much it is used under way, 0 to 1; left out: not at all. */
  use?: number | undefined;
  /** It may not lie with things of these ids. */
  apart?: readonly string[] | undefined;
  /** Only these places take it; left out: any may. */
  only?: readonly string[] | undefined;
  /** It stays in this place, whatever else. */
  pinned?: string | undefined;
  /** Where it lies in today's plan. */
  now?: string | undefined;
}
/** What is aboard beside the things: hull, person, fittings. */
export interface ArrangeBase {
  massKg: number;
  xM: number;
  yM: number;
  zM: number;
}
/** What a centimetre of each counts, and what a thing moved from today's plan counts, cm. */
export interface ArrangeWeights {
  lcg: number;
  tcg: number;
  kg: number;
  reach: number;
  change: number;
}
export const USUAL_WEIGHTS: ArrangeWeights = { lcg: 1, tcg: 3, kg: 1, reach: 20, change: 0.02 };
export interface ArrangeProblem {
  zones: readonly ArrangeZone[];
  items: readonly ArrangeItem[];
  base: ArrangeBase;
  /** Where the centre of gravity of all is wanted, m along the boat. */
  levelAtM: number;
  weights: ArrangeWeights;
}

/** What reaching costs: in the hand, by a twist, by leaving the seat, not afloat. */
const REACH_COST: Readonly<Record<Reach, number>> = { hand: 0, turn: 0.5, move: 1, ashore: 2 };
const NEAR = 1e-9;

/** Why a thing cannot lie in a place. */
export const forbiddenReasons = [
  'too long inside',
  'opening too small',
  'not dry enough',
  'out of reach',
  'too heavy',
  'no leash point',
  'no room left',
  'apart',
  'not taken there',
  'pinned elsewhere',
] as const;
export type Forbidden = (typeof forbiddenReasons)[number];

/** Why a thing cannot lie in a place even if nothing else lies there; null: it can. */
export function forbiddenAlone(item: ArrangeItem, zone: ArrangeZone): Forbidden | null {
  if (item.pinned !== undefined) return item.pinned === zone.id ? null : 'pinned elsewhere';
  if (item.only !== undefined && !item.only.includes(zone.id)) return 'not taken there';
  if (item.dry !== undefined && dryness.indexOf(zone.dry) < dryness.indexOf(item.dry))
    return 'not dry enough';
  if (item.reach !== undefined && reaches.indexOf(zone.reach) > reaches.indexOf(item.reach))
    return 'out of reach';
  if (zone.maxKg !== null && item.massKg > zone.maxKg + NEAR) return 'too heavy';
  if (item.leash === true && zone.leashes < 1) return 'no leash point';
  if (litresOf(item) > roomOf(zone) + NEAR) return 'no room left';
  if (item.soft === true) return null;
  const sides = longestFirst(item.sizeM);
  if (zone.insideM !== null) {
    const inside = longestFirst(zone.insideM);
    if (sides.some((side, i) => side > (inside[i] ?? 0) + NEAR)) return 'too long inside';
  }
  if (zone.openingM !== null) {
    const [wide, narrow] = longestFirst(zone.openingM);
    if ((sides[1] ?? 0) > (wide ?? 0) + NEAR || (sides[2] ?? 0) > (narrow ?? 0) + NEAR)
      return 'opening too small';
  }
  return null;
}
const longestFirst = (sides: readonly number[]) => sides.toSorted((a, b) => b - a);
export function litresOf({ sizeM: [a, b, c] }: Pick<ArrangeItem, 'sizeM'>): number {
  return a * b * c * 1000;
}
export function roomOf({ litres }: ArrangeZone): number {
  return litres * USABLE_SHARE;
}
export function reachCost({ reach }: ArrangeZone): number {
  return REACH_COST[reach];
}

/** The objective in its parts, each in weighted centimetres. */
export interface ArrangeCost {
  lcg: number;
  tcg: number;
  kg: number;
  reach: number;
  change: number;
}
export const totalOf = ({ lcg, tcg, kg, reach, change }: ArrangeCost): number =>
  lcg + tcg + kg + reach + change;

/** Sums from which the objective follows; a thing that is placed adds to each. */
export interface Sums {
  kg: number;
  x: number;
  y: number;
  z: number;
  reach: number;
  changes: number;
}
export function costOf(sums: Sums, { base, levelAtM, weights }: ArrangeProblem, uses: number): ArrangeCost {
  const mass = sums.kg + base.massKg;
  const x = mass > 0 ? (sums.x + base.massKg * base.xM) / mass : levelAtM;
  const y = mass > 0 ? (sums.y + base.massKg * base.yM) / mass : 0;
  return {
    lcg: weights.lcg * 100 * Math.abs(x - levelAtM),
    tcg: weights.tcg * 100 * Math.abs(y),
    kg: weights.kg * 100 * (mass > 0 ? sums.z / mass : 0),
    reach: weights.reach * (uses > 0 ? Math.max(0, sums.reach) / uses : 0),
    change: weights.change * sums.changes,
  };
}
