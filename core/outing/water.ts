import { z } from 'zod';
import { dateText, idText, nameText, noteText, quantity, wholeNumber, zoneText, lineText } from './field';

export const bottoms = ['mud', 'sand', 'gravel', 'weed', 'rock'] as const;

const area = z.strictObject({
  id: idText,
  name: nameText,
  /** From its farthest part to the nearest landing. */
  distanceM: quantity(0, 40_000, 'm'),
  depthM: quantity(0, 500, 'm'),
  bottom: z.enum(bottoms),
});
const launch = z.strictObject({
  id: idText,
  name: nameText,
  surf: z.boolean(),
  carryM: quantity(0, 5000, 'm'),
  surface: z.enum(['firm', 'soft sand', 'shingle', 'mud', 'grass']),
});

/** A place to fish: where one launches, where one goes, and what is known of it. */
export const waterSchema = z.strictObject({
  format: z.literal('water/1'),
  id: idText,
  name: nameText,
  type: z.enum(['fresh', 'brackish', 'salt']),
  setting: z.enum(['still', 'river', 'estuary', 'coast', 'open', 'flats']),
  timeZone: zoneText,
  latDeg: quantity(-66, 66, '°'),
  lonDeg: quantity(-180, 180, '°'),
  launches: z.array(launch).min(1, 'A water needs at least one launch.').max(20),
  areas: z.array(area).min(1, 'A water needs at least one place to fish.').max(40),
  traffic: z.enum(['little', 'some', 'busy']),
  coverage: z.enum(['good', 'patchy', 'none', 'not known']),
  rapids: wholeNumber(0, 50),
  branches: z.boolean(),
  rulePackId: idText.nullable(),
  note: noteText,
  /** The day the note was true. */
  noteOn: dateText.nullable(),
  invented: z.boolean(),
  authorityNote: lineText,
});
export type Water = z.infer<typeof waterSchema>;
export type Area = Water['areas'][number];
export type Launch = Water['launches'][number];
