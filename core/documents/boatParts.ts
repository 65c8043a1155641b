import { z } from 'zod';
import { stowSchema } from './stow';
import { dateText, idText, nameText, quantity, wholeNumber } from './field';
import { stationsSchema } from './hullShape';
import { dryness, hullPresets, reaches, seatHeights, sides, zoneKinds } from '../vocabulary/boat';

/**
 * What a hull looks like: its preset and what five numbers and a tape say of it; length and beam stand with
 * the boat.
 */
export const boatShapeSchema = z.strictObject({
  preset: z.enum(hullPresets),
  /** From keel to sheer amidships. */
  depthM: quantity(0.08, 1, 'm'),
  /** Rise of keel and of sheer at the ends. */
  rockerM: quantity(0, 0.5, 'm'),
  sheerM: quantity(0, 0.5, 'm'),
  planExponent: quantity(0.8, 15, ''),
  sectionExponent: quantity(0.8, 15, ''),
  /** Offsets that were read or measured: they say more than the preset. null: drawn by the figures above. */
  stations: stationsSchema.nullable(),
});
export type BoatShape = z.infer<typeof boatShapeSchema>;

/**
 * Where one sits: the hips, forward of the stern, and how high the seat is over the base line, low and high.
 */
export const seatSchema = z.strictObject({
  xM: quantity(0.2, 8, 'm'),
  lowM: quantity(-0.1, 1, 'm'),
  /** null: it has one height. */
  highM: quantity(0, 1.2, 'm').nullable(),
});
export type Seat = z.infer<typeof seatSchema>;

/** Two side floats, one each side, out or folded in. */
export const sideFloatsSchema = z.strictObject({
  lengthM: quantity(0.3, 5, 'm'),
  beamM: quantity(0.05, 0.6, 'm'),
  depthM: quantity(0.05, 0.6, 'm'),
  /** From the middle line of the boat to that of a float. */
  outM: quantity(0.2, 2, 'm'),
  foldedM: quantity(0.1, 2, 'm'),
  /** Their own base line over the boat's, and their stern forward of the boat's. */
  overM: quantity(-0.3, 0.6, 'm'),
  alongM: quantity(-1, 6, 'm'),
  /** Each of them, with its arm. */
  massKg: quantity(0.1, 40, 'kg'),
});
export type BoatFloats = z.infer<typeof sideFloatsSchema>;

/**
 * A place on the boat where things go. Metres; x forward of the stern, y to starboard, the floor over the
 * base line.
 */
export const zoneSchema = z.strictObject({
  id: idText,
  kind: z.enum(zoneKinds),
  name: nameText,
  xM: quantity(-0.5, 8.5, 'm'),
  yM: quantity(-1.5, 1.5, 'm'),
  floorM: quantity(-0.2, 2, 'm'),
  /** Inside. */
  lengthM: quantity(0.02, 4, 'm'),
  widthM: quantity(0.02, 1.5, 'm'),
  heightM: quantity(0.02, 2.5, 'm'),
  /** The opening's longer and shorter side; null: as wide as the place. */
  opening: z.strictObject({ longM: quantity(0.02, 4, 'm'), shortM: quantity(0.02, 1.5, 'm') }).nullable(),
  maxKg: quantity(0.1, 200, 'kg').nullable(),
  dryness: z.enum(dryness),
  side: z.enum(sides),
  /** It has a cord or strap; it is padded. */
  cord: z.boolean(),
  padded: z.boolean(),
  /** Leashes that a pad-eye takes, or lines that a rail does. */
  leashes: wholeNumber(0, 12),
  /** A rod tube's or holder's lean from upright. */
  angleDeg: quantity(0, 90, '°').nullable(),
  /** null: worked out from the seat and the arm. */
  reach: z.enum(reaches).nullable(),
  /** It is there while this fitting is; null: always. */
  fittingId: idText.nullable(),
});
export type Zone = z.infer<typeof zoneSchema>;

/** What is put on and taken off: a pod, a rail, a bait tank standing in the well. */
export const fittingSchema = z.strictObject({
  id: idText,
  name: nameText,
  massKg: quantity(0, 100, 'kg'),
  xM: quantity(-0.5, 8.5, 'm'),
  yM: quantity(-1.5, 1.5, 'm'),
  /** Of its middle, over the base line. */
  zM: quantity(-0.3, 2.5, 'm'),
  lengthM: quantity(0.02, 4, 'm'),
  widthM: quantity(0.02, 1.5, 'm'),
  heightM: quantity(0.02, 2.5, 'm'),
});
export type Fitting = z.infer<typeof fittingSchema>;

/** How the boat is put together for one way of fishing. */
export const setUpSchema = z.strictObject({
  id: idText,
  name: nameText,
  fittingIds: z.array(idText).max(20),
  seat: z.enum(seatHeights),
  floats: z.enum(['out', 'folded']),
  /** Where each thing goes in it; null: nobody has said. */
  stow: stowSchema.nullable(),
});
export type SetUp = z.infer<typeof setUpSchema>;

/** What an inclining test gave: how far its heels are from those of the hull as it is drawn now. */
export const inclinedSchema = z.strictObject({
  on: dateText,
  /** Middling difference between heels read and heels worked out. */
  offDeg: quantity(0, 45, '°'),
  readings: wholeNumber(1, 40),
});
