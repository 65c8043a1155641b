import { z } from 'zod';
import { outingsCount } from './angler';
import { idText, lineText, nameText, noteText, quantity, wholeNumber } from './field';

/** A boat. Lengths in metres, masses in kilograms, speeds in metres per second through still water. */
export const craftSchema = z.strictObject({
  format: z.literal('craft/3'),
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
  colour: lineText,
  /** Name and number written on the hull, so that a stray boat finds its owner. */
  marked: z.boolean(),
  drainPlugs: wholeNumber(0, 12),
  /** Where each of them is, from the bow: "bow, left scupper"; what is not named is counted. */
  plugNames: lineText,
  hatches: wholeNumber(0, 12),
  /** A pace the angler holds for hours. */
  cruiseMps: quantity(0.3, 4, 'm/s'),
  /** The same with the second propulsion. */
  spareMps: quantity(0.2, 3, 'm/s'),
  /** What the body (or motor) gives for hours at that pace, and at the spare's, W. Rule of thumb 40 to 60 W for a person. */
  powerW: quantity(5, 1500, 'W'),
  sparePowerW: quantity(5, 1500, 'W'),
  /** Drag areas with the angler aboard (Cd·A), m²: wind from ahead, wind from the side, water from the side. */
  windageM2: quantity(0.05, 5, 'm²'),
  lateralAirM2: quantity(0.05, 8, 'm²'),
  lateralWaterM2: quantity(0.05, 5, 'm²'),
  outingsLogged: outingsCount,
  condition: z.enum(['good', 'under repair']),
  note: noteText,
});
export type Craft = z.infer<typeof craftSchema>;
