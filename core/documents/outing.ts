import { forms } from './forms';
import { z } from 'zod';
import { acceptanceSchema } from './acceptance';
import {
  clockText,
  dateText,
  idText,
  instantText,
  lineText,
  nameText,
  placed,
  quantity,
  wholeNumber,
} from './field';
import { type KindId, kindIds } from '../catalog/gear/kinds';
import { needIds } from '../vocabulary/needs';
import { logSchema } from './log';
import { stowSchema } from './stow';
import { contactSchema, wordSchema } from './word';
import { rigSchema, workingsSchema } from './workings';
import { techniques, tripTypes } from '../vocabulary/trips';

/** One hour of the day as typed; null where nobody wrote a figure. */
export const hourSchema = z.strictObject({
  at: instantText,
  windMps: quantity(0, 60, 'm/s').nullable(),
  gustMps: quantity(0, 80, 'm/s').nullable(),
  windFromDeg: quantity(0, 360, '°').nullable(),
  airC: quantity(-40, 55, '°C').nullable(),
  waveM: quantity(0, 12, 'm').nullable(),
  swellM: quantity(0, 12, 'm').nullable(),
  swellPeriodS: quantity(1, 30, 's').nullable(),
  thunderPct: quantity(0, 100, '%').nullable(),
  rainMm: quantity(0, 200, 'mm').nullable(),
  visibilityM: quantity(0, 100_000, 'm').nullable(),
  humidityPct: quantity(0, 100, '%').nullable(),
});
export type Hour = z.infer<typeof hourSchema>;

/** A point of the route. */
const waypoint = z.strictObject({ ...placed, name: lineText });
export type Waypoint = z.infer<typeof waypoint>;

export const briefSchema = z.strictObject({
  targets: z.array(idText).max(6),
  /** Fish kept; 0: all released. */
  keep: wholeNumber(0, 50),
  waterId: idText.nullable(),
  launchId: idText.nullable(),
  areaId: idText.nullable(),
  /** Where one lands; null: where one launched. */
  landingId: idText.nullable(),
  /** Points passed on the way out and on the way home, launch, place to fish and landing left out. */
  route: z.strictObject({ out: z.array(waypoint).max(60), home: z.array(waypoint).max(60) }),
  date: dateText,
  launchAt: clockText,
  /** When to start for home; null: as late as still brings one in by `homeAt`. */
  turnAt: clockText.nullable(),
  homeAt: clockText,
  nights: wholeNumber(0, 21),
  /** People in the party, this angler included. */
  party: wholeNumber(1, 12),
  craftId: idText.nullable(),
  /** How the boat is put together for this outing: one of its set-ups; null: as it stands. */
  setUpId: idText.nullable(),
  trip: z.enum(tripTypes),
  techniques: z.array(z.enum(techniques)).max(techniques.length),
  standing: z.boolean(),
  /** Who calls for help, and when, if nothing is heard. Empty name: nobody yet. */
  contact: contactSchema,
  alarmAt: clockText,
});
export type Brief = z.infer<typeof briefSchema>;
/** A brief without whoever waits ashore and when they call: nothing of the day and the way hangs on those. */
export type Outward = Omit<Brief, 'contact' | 'alarmAt'>;

export const conditionsSchema = z.strictObject({
  /** Typed by hand, read off the simulated station, or imported from a file. */
  source: z.enum(['typed', 'station', 'imported']),
  /** The station's or the file's name. */
  from: lineText,
  /** When the forecast behind these figures was last looked at. */
  takenAt: instantText.nullable(),
  waterC: quantity(-2, 40, '°C').nullable(),
  hours: z.array(hourSchema).max(24 * 22),
});
export type Conditions = z.infer<typeof conditionsSchema>;

const loadoutEntry = z.strictObject({
  itemId: idText,
  quantity: wholeNumber(1, 500),
  /** Carried by itself for this outing, not in the container it lives in. */
  outsideContainer: z.boolean(),
  /** The companion whose boat it rides in; null: in one's own. */
  carriedBy: idText.nullable(),
});
/** One thing that somebody else brings for all of the party. */
const broughtThing = z.strictObject({
  id: idText,
  kind: z.enum(kindIds as [KindId, ...KindId[]]),
  name: lineText,
  quantity: wholeNumber(1, 50),
});
/**
 * Someone else of the party in a boat of their own, what they have said they carry for themselves, and what
 * they bring for all.
 */
export const companionSchema = z.strictObject({
  id: idText,
  name: nameText,
  boat: lineText,
  /** Personal needs they have said yes to. */
  says: z.array(z.enum(needIds)).max(needIds.length),
  brings: z.array(broughtThing).max(60),
});
export type Companion = z.infer<typeof companionSchema>;
/** One outing, whole: the document that is edited, judged and signed. */
export const outingSchema = z.strictObject({
  format: z.literal(forms.outings),
  id: idText,
  title: nameText,
  brief: briefSchema,
  conditions: conditionsSchema,
  loadout: z.array(loadoutEntry).max(400),
  /** The others of the party, by name. The party may be larger than what is written here. */
  company: z.array(companionSchema).max(11),
  /** Where each thing goes, in every mode. */
  stow: stowSchema,
  rigs: z.array(rigSchema).max(12),
  workings: workingsSchema,
  accepted: z.array(acceptanceSchema).max(200),
  /** What is told to the person ashore beside the rest, and what was left with them. */
  word: wordSchema,
  /** What it came to, written ashore; null: not yet. No part of what is judged. */
  log: logSchema.nullable(),
});
export type Outing = z.infer<typeof outingSchema>;
export type LoadoutEntry = Outing['loadout'][number];
