import { forms } from './forms';
import { z } from 'zod';
import { outingsCount } from './angler';
import {
  boatShapeSchema,
  fittingSchema,
  inclinedSchema,
  seatSchema,
  setUpSchema,
  sideFloatsSchema,
  zoneSchema,
} from './boatParts';
import { idText, lineText, nameText, noteText, quantity, wholeNumber } from './field';

/** What a boat may have that is usual for its picture, while nobody has said so. */
export const boatAssumptions = ['ratedLoadKg', 'hatches', 'drainPlugs'] as const;

/** A boat. Lengths in metres, masses in kilograms, speeds in metres per second through still water. */
export const craftSchema = z.strictObject({
  format: z.literal(forms.craft),
  id: idText,
  name: nameText,
  deck: z.enum(['sit-on-top', 'sit-inside']),
  hull: z.enum(['rigid', 'inflatable']),
  drive: z.enum(['paddle', 'pedal', 'motor']),
  lengthM: quantity(1.5, 8, 'm'),
  beamM: quantity(0.4, 1.5, 'm'),
  massKg: quantity(5, 150, 'kg'),
  /** What the maker rates it to carry: angler, gear and catch together. */
  ratedLoadKg: quantity(40, 600, 'kg'),
  /** What the maker rates the well behind the seat and the stern to carry; null: not told. */
  wellKg: quantity(1, 300, 'kg').nullable(),
  /** Filled in by the program, and not yet confirmed by anybody. */
  assumed: z.array(z.enum(boatAssumptions)).max(boatAssumptions.length),
  colour: lineText,
  /** Name and number written on the hull, so that a stray boat finds its owner. */
  marked: z.boolean(),
  drainPlugs: wholeNumber(0, 12),
  /** Where each of them is, from the bow: "bow, left scupper"; what is not named is counted. */
  plugNames: lineText,
  hatches: wholeNumber(0, 12),
  /** null: as such boats usually are, by length and beam. */
  shape: boatShapeSchema.nullable(),
  /** Height of the hull's own centre of gravity over the base line, by an inclining test; null: estimated. */
  ownVcgM: quantity(-0.2, 1.5, 'm').nullable(),
  inclined: inclinedSchema.nullable(),
  floats: sideFloatsSchema.nullable(),
  /** Holes through the hull that drain the deck: none, open, or plugged. */
  scuppers: z.enum(['none', 'open', 'plugged']),
  /** Walls across the hull, forward of the stern. */
  bulkheadsM: z.array(quantity(0, 8, 'm')).max(6),
  /** null: as usual for such a boat. */
  seat: seatSchema.nullable(),
  /** Its deck is made to stand on. */
  standing: z.boolean(),
  /** null: the usual places of such a boat, none written yet. */
  zones: z.array(zoneSchema).max(80).nullable(),
  fittings: z.array(fittingSchema).max(20),
  setUps: z.array(setUpSchema).max(12),
  /** The one it is in; null: bare, the seat low, floats out. */
  setUpId: idText.nullable(),
  /** A pace the angler holds for hours, measured; null: estimated from the hull. */
  cruiseMps: quantity(0.3, 4, 'm/s').nullable(),
  /** The same with the second propulsion. */
  spareMps: quantity(0.2, 3, 'm/s').nullable(),
  /**
   * What the body (or motor) gives for hours at that pace, and at the spare's, W. Rule of thumb 40 to 60 W
   * for a person.
   */
  powerW: quantity(5, 1500, 'W'),
  sparePowerW: quantity(5, 1500, 'W'),
  /**
   * Drag areas with the angler aboard (Cd·A), m²: wind from ahead, wind from the side, water from the side.
   * Measured; null: estimated.
   */
  windageM2: quantity(0.05, 5, 'm²').nullable(),
  lateralAirM2: quantity(0.05, 8, 'm²').nullable(),
  lateralWaterM2: quantity(0.05, 5, 'm²').nullable(),
  outingsLogged: outingsCount,
  condition: z.enum(['good', 'under repair']),
  note: noteText,
});
export type Craft = z.infer<typeof craftSchema>;

export type BoatAssumption = (typeof boatAssumptions)[number];

/** The boat once somebody has said, or withConfirmed, a figure that was assumed. */
export function withConfirmed(craft: Craft, assumption: BoatAssumption): Craft {
  return { ...craft, assumed: craft.assumed.filter((one) => one !== assumption) };
}

/** Whether its pace and drag areas are all measured: nothing of them is then estimated. */
export function isMeasured({ cruiseMps, spareMps, windageM2, lateralAirM2, lateralWaterM2 }: Craft): boolean {
  return [cruiseMps, spareMps, windageM2, lateralAirM2, lateralWaterM2].every((one) => one !== null);
}
