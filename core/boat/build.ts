import type { BoatShape, Fitting, Seat, SetUp } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import type { HullShape } from '../documents/hullShape';
import type { HullPreset } from '../vocabulary/boat';
import { rememberFor } from '../units/remember';
import { shapeFrom } from './hull/presets';
import { bottoms } from './hull/survey';

/** What is needed of a boat to know its shape. */
export type Build = Pick<Craft, 'lengthM' | 'beamM' | 'deck' | 'hull' | 'drive' | 'shape' | 'seat'>;

const round = (value: number, to = 100) => Math.round(value * to) / to;
const within = (value: number, least: number, most: number) => Math.min(most, Math.max(least, value));

/** Sit-insides are rounded, and fuller at the waterline than others that are. */
const CLOSED_SECTION = 9;

/**
 * The shape such a boat usually has, by its length and beam. Rules of thumb: hull form matters more than all
 * else, so it says that it is one.
 */
export function usualShape({ lengthM, beamM, deck, hull, drive }: Omit<Build, 'shape' | 'seat'>): BoatShape {
  const soft = hull === 'inflatable';
  const closed = deck === 'sit-inside';
  return {
    preset: soft ? 'three tubes' : closed ? 'rounded' : 'multi-chine',
    depthM: round(within(soft ? 0.32 * beamM : closed ? 0.48 * beamM : 0.4 * beamM, 0.1, 1)),
    rockerM: round(within(0.016 * lengthM, 0, 0.5)),
    sheerM: round(within((soft ? 0.02 : closed ? 0.035 : 0.025) * lengthM, 0, 0.5)),
    planExponent: soft ? 4.5 : closed ? 2.2 : drive === 'paddle' ? 2.8 : 3.2,
    sectionExponent: closed ? CLOSED_SECTION : bottoms['multi-chine'].sectionExponent,
    stations: null,
  };
}

/** How full each preset is in section and seen from above; the tape says the rest. Rules of thumb. */
const presets: Record<HullPreset, Pick<BoatShape, 'planExponent' | 'sectionExponent'>> = {
  rounded: { planExponent: 2.2, sectionExponent: bottoms.rounded.sectionExponent },
  'shallow V': { planExponent: 2.4, sectionExponent: bottoms['shallow V'].sectionExponent },
  'multi-chine': { planExponent: 3.2, sectionExponent: bottoms['multi-chine'].sectionExponent },
  flat: { planExponent: 3.4, sectionExponent: bottoms.flat.sectionExponent },
  pontoon: { planExponent: 4, sectionExponent: 5 },
  'three tubes': { planExponent: 4.5, sectionExponent: 5 },
};
/** What a preset makes of a shape. */
export function presetFigures(
  preset: HullPreset,
): Pick<BoatShape, 'preset' | 'planExponent' | 'sectionExponent' | 'stations'> {
  return { preset, ...presets[preset], stations: null };
}

/** The figures a boat's shape is drawn by: its own, or the usual ones. */
export const figuresOf = (craft: Build): BoatShape => craft.shape ?? usualShape(craft);

/** A boat's shape, ready to float. */
export const shapeOf: (craft: Build) => HullShape = rememberFor((craft: Build) =>
  shapeFrom(figuresOf(craft), craft),
);

/** Share of the depth at which the floor of an open deck lies; a closed one sits in its hull. */
const OPEN_FLOOR = 0.36;
const SOFT_FLOOR = 0.4;
const CLOSED_FLOOR_M = 0.02;

/**
 * Height of the floor under one's feet over the base line, m: an estimate from the kind of boat and its
 * depth.
 */
export function floorOf(craft: Build): number {
  const { depthM } = figuresOf(craft);
  if (craft.hull === 'inflatable') return round(SOFT_FLOOR * depthM, 1000);
  return craft.deck === 'sit-inside' ? CLOSED_FLOOR_M : round(OPEN_FLOOR * depthM, 1000);
}

/**
 * Where one sits: as written, or as usual. Rules of thumb: a little abaft the middle, a hand over the floor;
 * high, a chair's height.
 */
export function seatOf(craft: Build): Seat {
  if (craft.seat) return craft.seat;
  const floor = floorOf(craft);
  const chair = craft.deck === 'sit-on-top' && craft.hull === 'rigid';
  return {
    xM: round(0.44 * craft.lengthM),
    lowM: round(floor + (craft.deck === 'sit-inside' ? 0.03 : 0.04)),
    highM: chair ? round(floor + 0.3) : null,
  };
}

/** A boat put together in no way that was written. */
const BARE: SetUp = { id: 'bare', name: 'Bare', fittingIds: [], seat: 'low', floats: 'out', stow: null };

/** How the boat is put together now. */
export function setUpOf({ setUps, setUpId }: Pick<Craft, 'setUps' | 'setUpId'>): SetUp {
  return setUps.find(({ id }) => id === setUpId) ?? BARE;
}
/** How one sits in it, as it is put together now. */
export function seatedIn(craft: Build & Pick<Craft, 'setUps' | 'setUpId'>): 'seated low' | 'seated high' {
  return setUpOf(craft).seat === 'high' && seatOf(craft).highM !== null ? 'seated high' : 'seated low';
}
export function fittingsOf(craft: Pick<Craft, 'fittings' | 'setUps' | 'setUpId'>): readonly Fitting[] {
  const { fittingIds } = setUpOf(craft);
  return craft.fittings.filter(({ id }) => fittingIds.includes(id));
}

/** How far out the floats are, m; null: it has none. */
export function floatsOutM(craft: Pick<Craft, 'floats' | 'setUps' | 'setUpId'>): number | null {
  if (!craft.floats) return null;
  return setUpOf(craft).floats === 'out' ? craft.floats.outM : craft.floats.foldedM;
}
