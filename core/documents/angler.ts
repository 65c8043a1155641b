import { forms } from './forms';
import { z } from 'zod';
import { speechChoices } from '../units/speaking';
import { idText, nameText, quantity, wholeNumber } from './field';
import { aboutSchema, contactSchema } from './word';
import { workingsSchema } from './workings';

/** Who goes: body, skill, limits and schools of practice. One profile in this house. */
export const anglerSchema = z.strictObject({
  format: z.literal(forms.anglers),
  id: idText,
  name: nameText,
  massKg: quantity(25, 250, 'kg'),
  heightM: quantity(1, 2.4, 'm'),
  hand: z.enum(['right', 'left']),
  swims: z.enum(['well', 'a little', 'not']),
  /** Experience decides whether a judgement Stop may be overridden with a reason. */
  experience: z.enum(['new', 'some', 'experienced']),
  reentryPractised: z.boolean(),
  clearSide: z.enum(['right', 'left']),
  /** The angler's own limits. Above them the product speaks up. */
  limits: z.strictObject({
    windMps: quantity(1, 25, 'm/s'),
    gustMps: quantity(1, 35, 'm/s'),
    breakerM: quantity(0, 4, 'm'),
    /** Waves out on the water; null: none set, the product’s own ceiling stands. */
    waveM: quantity(0, 4, 'm').nullable(),
  }),
  schools: z.strictObject({
    tackle: z.enum(['spare', 'ample']),
    jacket: z.enum(['foam', 'manual inflatable', 'automatic inflatable']),
    connection: z.enum(['direct knot', 'clip']),
    landing: z.enum(['net', 'grip', 'gaff']),
    phone: z.enum(['on a tether', 'on a float']),
    sounder: z.enum(['needed', 'a luxury']),
    fishStore: z.enum(['bag', 'hard box', 'wet sack']),
    visibility: z.enum(['flag', 'light mast']),
    skill: z.enum(['paddle first', 'fish at once']),
    riverAnchor: z.enum(['never in current', 'trolley, float and release', 'pole only']),
  }),
  contact: contactSchema,
  /** What the person ashore is told beside the name. */
  about: aboutSchema,
  /**
   * What this body drinks and spends an hour, once counted; null: by effort and heat. An outing may count
   * otherwise.
   */
  habits: z.strictObject({
    litresPerHour: workingsSchema.shape.litresPerHour,
    kjPerHour: workingsSchema.shape.kjPerHour,
  }),
  /** What the angler reads and types in. Nothing is kept or judged in it. */
  units: z.strictObject({
    wind: z.enum(speechChoices.wind),
    speed: z.enum(speechChoices.speed),
    distance: z.enum(speechChoices.distance),
    length: z.enum(speechChoices.length),
    mass: z.enum(speechChoices.mass),
    temperature: z.enum(speechChoices.temperature),
    volume: z.enum(speechChoices.volume),
    clock: z.enum(speechChoices.clock),
  }),
});
export type Angler = z.infer<typeof anglerSchema>;

export const outingsCount = wholeNumber(0, 100_000);
