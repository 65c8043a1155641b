import type { Zone } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { Angler } from '../documents/angler';
import { rememberFor } from '../units/remember';
import type { Reach, Side, Stance, ZoneKind } from '../vocabulary/boat';
import { figuresOf, fittingsOf, floorOf, seatOf } from './build';

type Usual = Pick<
  Zone,
  'lengthM' | 'widthM' | 'heightM' | 'dryness' | 'cord' | 'leashes' | 'angleDeg' | 'maxKg'
>;
const sized = (
  lengthM: number,
  widthM: number,
  heightM: number,
  maxKg: number | null,
  own: Partial<Usual> = {},
): Usual => ({
  lengthM,
  widthM,
  heightM,
  maxKg,
  dryness: 'open',
  cord: false,
  leashes: 0,
  angleDeg: null,
  ...own,
});
/**
 * What a new place of a kind is like, before it is stretched: length, width, height, m; what it carries, kg.
 * Usual sizes.
 */
const usualZone: Record<ZoneKind, Usual> = {
  hatch: sized(0.6, 0.4, 0.22, 15, { dryness: 'splash' }),
  'tank well': sized(0.75, 0.5, 0.45, 40, { cord: true }),
  'cockpit floor': sized(1.1, 0.42, 0.3, null),
  'under the seat': sized(0.4, 0.34, 0.14, 8),
  'seat back': sized(0.1, 0.36, 0.3, 4, { dryness: 'spray', cord: true }),
  'side pocket': sized(0.35, 0.08, 0.16, 2, { cord: true }),
  'deck under cords': sized(0.5, 0.36, 0.2, 6, { cord: true }),
  'cup or console': sized(0.16, 0.16, 0.12, 2),
  'rod tube': sized(0.07, 0.07, 0.3, 2, { angleDeg: 25 }),
  'rod holder': sized(0.08, 0.08, 0.25, 2, { angleDeg: 30 }),
  rail: sized(0.4, 0.04, 0.04, 6, { leashes: 2 }),
  'pad-eye': sized(0.04, 0.04, 0.03, null, { leashes: 2 }),
  pod: sized(0.5, 0.28, 0.2, 10, { dryness: 'splash' }),
};

type Shares = readonly [
  id: string,
  kind: ZoneKind,
  name: string,
  alongShare: number,
  acrossShare: number,
  own?: Partial<Zone>,
];

/**
 * Where the usual places of an open deck are: shares of length from the stern and of half-beam to starboard.
 * Rules of thumb.
 */
const open: readonly Shares[] = [
  ['bow-eye', 'pad-eye', 'Pad-eye at the bow', 0.95, 0],
  ['fore-hatch', 'hatch', 'Bow hatch', 0.84, 0, { lengthM: 0.5 }],
  ['fore-deck', 'deck under cords', 'Fore deck, under cords', 0.72, 0, { lengthM: 0.36 }],
  ['console', 'cup or console', 'Cup between the knees', 0.61, 0],
  ['floor', 'cockpit floor', 'Cockpit floor', 0.55, 0, { lengthM: 0.85 }],
  ['left-rail', 'rail', 'Left rail', 0.56, -0.85],
  ['right-rail', 'rail', 'Right rail', 0.56, 0.85],
  ['left-pocket', 'side pocket', 'Left side pocket', 0.47, -0.72],
  ['right-pocket', 'side pocket', 'Right side pocket', 0.47, 0.72],
  ['under-seat', 'under the seat', 'Under the seat', 0.43, 0],
  ['seat-back', 'seat back', 'Back of the seat', 0.37, 0],
  ['left-tube', 'rod tube', 'Left rod tube', 0.34, -0.66],
  ['right-tube', 'rod tube', 'Right rod tube', 0.34, 0.66],
  ['well', 'tank well', 'Tank well', 0.21, 0],
  ['left-eye', 'pad-eye', 'Pad-eye, left of the seat', 0.42, -0.8],
  ['right-eye', 'pad-eye', 'Pad-eye, right of the seat', 0.42, 0.8],
  ['stern-eye', 'pad-eye', 'Pad-eye at the stern', 0.04, 0],
];
const soft: readonly Shares[] = [
  ['bow-eye', 'pad-eye', 'Ring at the bow', 0.95, 0],
  ['fore-deck', 'deck under cords', 'Bow, under cords', 0.8, 0],
  ['floor', 'cockpit floor', 'Floor before the seat', 0.6, 0],
  ['left-pocket', 'side pocket', 'Left side pocket', 0.47, -0.5],
  ['right-pocket', 'side pocket', 'Right side pocket', 0.47, 0.5],
  ['seat-back', 'seat back', 'Back of the seat', 0.36, 0],
  ['well', 'tank well', 'Floor behind the seat', 0.22, 0],
  ['left-eye', 'pad-eye', 'Ring on the left tube', 0.45, -0.75],
  ['right-eye', 'pad-eye', 'Ring on the right tube', 0.45, 0.75],
  ['stern-eye', 'pad-eye', 'Ring at the stern', 0.04, 0],
];
const closed: readonly Shares[] = [
  ['bow-eye', 'pad-eye', 'Pad-eye at the bow', 0.95, 0],
  ['fore-hatch', 'hatch', 'Bow hatch', 0.8, 0, { dryness: 'sealed' }],
  ['fore-deck', 'deck under cords', 'Fore deck, under cords', 0.66, 0],
  ['floor', 'cockpit floor', 'Cockpit, before the seat', 0.55, 0, { dryness: 'spray' }],
  ['under-seat', 'under the seat', 'Beside and behind the seat', 0.4, 0, { dryness: 'spray' }],
  ['aft-deck', 'deck under cords', 'Aft deck, under cords', 0.3, 0],
  ['aft-hatch', 'hatch', 'Stern hatch', 0.2, 0, { dryness: 'sealed' }],
  ['stern-eye', 'pad-eye', 'Pad-eye at the stern', 0.04, 0],
];

const sideOf = (yM: number): Side => (yM < -0.1 ? 'left' : yM > 0.1 ? 'right' : 'middle');
const round = (value: number) => Math.round(value * 1000) / 1000;

/** Half the breadth of the deck at a place along the boat, m. */
export function halfBreadthAt(craft: Craft, xM: number): number {
  const { planExponent } = figuresOf(craft);
  const u = (2 * xM) / craft.lengthM - 1;
  return (craft.beamM / 2) * Math.max(0, 1 - Math.abs(u) ** planExponent);
}

/** Height of the floor of a place over the base line, m. */
function floorFor(kind: ZoneKind, craft: Craft): number {
  const { depthM } = figuresOf(craft);
  const floor = floorOf(craft);
  switch (kind) {
    case 'hatch':
      return round(Math.min(floor, 0.12 * depthM + 0.02));
    case 'deck under cords':
      return round(craft.hull === 'inflatable' ? depthM : depthM + 0.02);
    case 'rail':
    case 'pad-eye':
      return round(depthM);
    case 'rod tube':
    case 'rod holder':
      return round(Math.max(floor, depthM - 0.2));
    case 'seat back':
    case 'side pocket':
    case 'cup or console':
      return round(floor + 0.06);
    default:
      return floor;
  }
}

/** Kinds of place that lie on the rim itself. */
const beside: ReadonlySet<ZoneKind> = new Set<ZoneKind>([
  'rail',
  'pad-eye',
  'side pocket',
  'rod tube',
  'rod holder',
]);
const RIM_M = 0.08;

/** A place of a kind where one wants it, of the usual size, kept within the boat. */
export function newZone(
  craft: Craft,
  kind: ZoneKind,
  name: string,
  id: string,
  at: { xM: number; yM: number },
  own: Partial<Zone> = {},
): Zone {
  const usual = usualZone[kind];
  const lengthM = own.lengthM ?? Math.min(usual.lengthM, 0.28 * craft.lengthM);
  // As broad as the deck is where it is narrowest beside it, with a rim left.
  const narrow =
    2 * Math.min(...[-0.5, 0.5].map((end) => halfBreadthAt(craft, at.xM + end * lengthM))) - RIM_M;
  return {
    id,
    kind,
    name,
    xM: round(at.xM),
    yM: round(at.yM),
    floorM: floorFor(kind, craft),
    opening: kind === 'hatch' ? { longM: 0.3, shortM: 0.2 } : null,
    side: sideOf(at.yM),
    padded: false,
    reach: null,
    fittingId: null,
    ...usual,
    lengthM: round(Math.max(0.02, lengthM)),
    widthM: round(
      Math.max(0.02, Math.min(usual.widthM, beside.has(kind) ? usual.widthM : Math.max(0.1, narrow))),
    ),
    ...own,
  };
}

/** The usual places of such a boat, to its own size. */
export function usualZones(craft: Craft): Zone[] {
  const list = craft.hull === 'inflatable' ? soft : craft.deck === 'sit-inside' ? closed : open;
  return list.map(([id, kind, name, along, across, own]) => {
    const xM = along * craft.lengthM;
    return newZone(craft, kind, name, id, { xM, yM: across * halfBreadthAt(craft, xM) }, own);
  });
}

/** All the places a boat has, with those of every fitting. */
export const allZonesOf: (craft: Craft) => readonly Zone[] = rememberFor(
  (craft: Craft) => craft.zones ?? usualZones(craft),
);
/** The places a boat has as it is put together now. */
export const zonesOf: (craft: Craft) => readonly Zone[] = rememberFor((craft: Craft) => {
  const fitted = new Set(fittingsOf(craft).map(({ id }) => id));
  return allZonesOf(craft).filter(({ fittingId }) => fittingId === null || fitted.has(fittingId));
});

/**
 * Of one's height: the shoulder over the seat, the arm from the shoulder to the grip. Drillis and Contini's
 * segment lengths, rounded.
 */
const SHOULDER = 0.31;
const ARM = 0.37;
/**
 * What a twist and a lean add, m, and leaving the seat; behind this bearing from the bow one has to twist.
 */
const LEAN_M = 0.35;
export const BEND_M = 0.15;
const MOVE_M = 0.95;
export const TWIST_DEG = 110;
/** How far standing puts the hand over the floor, of one's height. */
const STANDING_SHOULDER = 0.82;

/** Where the shoulders are and how far the arm goes, with a twist and without, m. */
export function armsOf(
  craft: Craft,
  { heightM }: Pick<Angler, 'heightM'>,
  stance: Stance,
): { xM: number; shoulderM: number; armM: number; turnM: number } {
  const seat = seatOf(craft);
  const stands = stance === 'standing';
  const base = stance === 'seated high' ? (seat.highM ?? seat.lowM) : seat.lowM;
  const armM = ARM * heightM;
  return {
    xM: seat.xM + (stands ? 0.3 : 0.05),
    shoulderM: stands ? floorOf(craft) + STANDING_SHOULDER * heightM : base + SHOULDER * heightM,
    armM,
    turnM: armM + LEAN_M,
  };
}

/**
 * How a place is reached from the seat: as written, else by the arm from the shoulder to the nearest part of
 * it. An estimate.
 */
export function reachOf(
  zone: Zone,
  craft: Craft,
  angler: Pick<Angler, 'heightM'>,
  stance: Stance = 'seated low',
): Reach {
  if (zone.reach !== null) return zone.reach;
  const { xM, shoulderM, armM, turnM } = armsOf(craft, angler, stance);
  const nearest = (at: number, middle: number, long: number) =>
    Math.max(0, Math.abs(at - middle) - long / 2) * Math.sign(middle - at);
  const ahead = nearest(xM, zone.xM, zone.lengthM);
  // Bending forward from the hips is no twist.
  const dx = ahead > 0 ? Math.max(0, ahead - BEND_M) : ahead;
  const dy = nearest(0, zone.yM, zone.widthM);
  // Into a well one reaches from its top.
  const dz = zone.floorM + (zone.opening ? zone.heightM : Math.min(zone.heightM, 0.1)) - shoulderM;
  const far = Math.hypot(dx, dy, dz);
  const bearing = (Math.atan2(Math.abs(dy), dx) * 180) / Math.PI;
  const behind = Math.hypot(dx, dy) > 0.15 && bearing > TWIST_DEG;
  if (far <= armM && !behind) return 'hand';
  if (far <= turnM) return stance === 'standing' ? 'move' : 'turn';
  return far <= armM + MOVE_M && zone.kind !== 'hatch' ? 'move' : 'ashore';
}
