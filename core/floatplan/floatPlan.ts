import { z } from 'zod';
import { instantText, lineText, placed, text, zoneText } from '../documents/field';
import { contactSchema, rescueSchema } from '../documents/word';

const lineSchema = z.strictObject({ label: text(60), text: text(4200) });
const sectionSchema = z.strictObject({ heading: text(60), lines: z.array(lineSchema).max(60) });
/** What a point of the way is. */
const wayKinds = ['launch', 'point', 'place', 'landing'] as const;

/**
 * A plan as it is read ashore: whole in itself, in the words and units of whoever made it. Nothing of the
 * outing is in it that is not shown on it, and what is left with somebody is this and no more.
 */
export const floatPlanSchema = z.strictObject({
  format: z.literal('plan/1'),
  title: lineText,
  /** The angler's name and telephone. */
  who: lineText,
  phone: lineText,
  zone: zoneText,
  madeAt: instantText,
  contact: contactSchema,
  rescue: rescueSchema,
  times: z.strictObject({
    launchAt: instantText,
    turnAt: instantText.nullable(),
    homeAt: instantText,
    callAt: instantText,
  }),
  sections: z.array(sectionSchema).max(12),
  /** What to say to whoever is called, sentence by sentence. */
  script: z.array(text(600)).max(12),
  /** Where the vehicle is to be looked for first. */
  vehicle: text(500),
  way: z.array(z.strictObject({ ...placed, name: lineText, kind: z.enum(wayKinds) })).max(140),
  /** Land round about, each a line of longitude and latitude. */
  land: z.array(z.array(z.tuple([z.number(), z.number()])).max(400)).max(60),
});
export type FloatPlan = z.infer<typeof floatPlanSchema>;
export type WayPoint = FloatPlan['way'][number];
