import { forms } from './forms';
import { z } from 'zod';
import { speechChoices } from '../units/speaking';
import { idText, nameText, quantity, wholeNumber } from './field';
import { aboutSchema, contactSchema } from './word';
import { workingsSchema } from './workings';

/** How a boat travels on the road. */
export const vehicleLoads = ['not told', 'roof', 'bed', 'trailer'] as const;

/** What is on a profile before anything of it is told. */
export const untoldRoad = {
  vehicle: { carries: 'not told', lengthM: null, ratedKg: null },
  times: { readyMin: null, driveMin: null, rigMin: null, carryMin: null },
} as const;

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
  /** What the boat travels on: the road asks for a flag, and bars bear so much. */
  vehicle: z.strictObject({
    carries: z.enum(vehicleLoads),
    /** Of the vehicle where it rides on the roof; of the bed with its gate, or of the trailer. */
    lengthM: quantity(0.5, 15, 'm').nullable(),
    /** What the bars or the rack are rated for. */
    ratedKg: quantity(10, 500, 'kg').nullable(),
  }),
  /** One's own times before a launch, minutes; null: not counted, and a usual one is reckoned with. */
  times: z.strictObject({
    /** From waking to leaving, on the road, making ready at the water, one way with a load and back. */
    readyMin: quantity(0, 300, 'min').nullable(),
    driveMin: quantity(0, 900, 'min').nullable(),
    rigMin: quantity(0, 300, 'min').nullable(),
    carryMin: quantity(0, 120, 'min').nullable(),
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
