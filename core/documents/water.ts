import { forms } from './forms';
import { z } from 'zod';
import { bottoms } from '../vocabulary/holding';
import { acceptanceSchema } from './acceptance';
import { chartSchema } from './chart';
import {
  dateText,
  idText,
  instantText,
  lineText,
  nameText,
  noteText,
  placed,
  quantity,
  wholeNumber,
  zoneText,
} from './field';
import { rescueSchema } from './word';
import { MOST_LATITUDE } from '../units/position';

/** Bearings from which the fetch is given: north first, clockwise. */
export const FETCH_BEARINGS = 16;

const area = z.strictObject({
  id: idText,
  name: nameText,
  ...placed,
  /** From its farthest part to the nearest landing. */
  distanceM: quantity(0, 40_000, 'm'),
  /** From its farthest part to ground where one can get out; null: by the chart and the launches. */
  shoreM: quantity(0, 40_000, 'm').nullable(),
  depthM: quantity(0, 500, 'm'),
  bottom: z.enum(bottoms),
});
const launch = z.strictObject({
  id: idText,
  name: nameText,
  ...placed,
  /** A beach or ramp open to swell and the wind's own sea. */
  surf: z.boolean(),
  /**
   * Water over the bar or the foot of the ramp at chart datum, m (negative: it dries); null: no such place.
   */
  barM: quantity(-10, 50, 'm').nullable(),
  carryM: quantity(0, 5000, 'm'),
  surface: z.enum(['firm', 'soft sand', 'shingle', 'mud', 'grass']),
});

export const hazardKinds = ['race', 'rapids', 'weir', 'bar', 'branches', 'rocks'] as const;
const hazard = z.strictObject({
  id: idText,
  name: nameText,
  kind: z.enum(hazardKinds),
  ...placed,
  radiusM: quantity(0, 5000, 'm'),
  /** How many times the stream of the water runs there. */
  streamFactor: quantity(0, 10, ''),
});

const constituent = z.strictObject({
  name: z.string().regex(/^[A-Z0-9]{1,10}$/, 'Write it as tide tables do: M2, S2, K1 ...'),
  amplitude: quantity(0, 20, ''),
  phaseDeg: quantity(-360, 720, '°'),
});

/** A high or low water as a tide table gives it, over chart datum. */
const turn = z.strictObject({ at: instantText, heightM: quantity(-10, 25, 'm'), high: z.boolean() });
/** What a stream does so many hours after high water (before: negative), at springs and at neaps. */
const streamHour = z.strictObject({
  hour: quantity(-7, 7, 'h'),
  towardDeg: quantity(0, 360, '°'),
  springMps: quantity(0, 8, 'm/s'),
  neapMps: quantity(0, 8, 'm/s'),
});

/** Where one can get out of the water, whether or not a vehicle can come there. */
export const getOuts = ['by the chart', 'anywhere along the banks', 'in places', 'launches only'] as const;

/** What a water may have that is usual for its kind, while nobody has said so. */
export const waterAssumptions = ['depth', 'bottom', 'carry'] as const;

/** A place to fish: where one launches, where one goes, and what is known of it. */
export const waterSchema = z.strictObject({
  format: z.literal(forms.waters),
  id: idText,
  name: nameText,
  type: z.enum(['fresh', 'brackish', 'salt']),
  setting: z.enum(['still', 'river', 'estuary', 'coast', 'open', 'flats']),
  timeZone: zoneText,
  latDeg: quantity(-MOST_LATITUDE, MOST_LATITUDE, '°'),
  lonDeg: quantity(-180, 180, '°'),
  /**
   * Whether its positions are known. If not, all are drawn about a place nobody named: distances and
   * directions hold, degrees do not.
   */
  positioned: z.boolean(),
  /** Filled in by the program, and not yet confirmed by anybody. */
  assumed: z.array(z.enum(waterAssumptions)).max(waterAssumptions.length),
  /** Where one launches and lands. */
  launches: z.array(launch).min(1, 'A water needs at least one launch.').max(20),
  areas: z.array(area).min(1, 'A water needs at least one place to fish.').max(40),
  getOut: z.enum(getOuts),
  traffic: z.enum(['little', 'some', 'busy']),
  coverage: z.enum(['good', 'patchy', 'none', 'not known']),
  hazards: z.array(hazard).max(60),
  /** Open water upwind by the wind's bearing, m: sixteen, north first, clockwise. */
  fetchM: z.array(quantity(0, 1_000_000, 'm')).length(FETCH_BEARINGS, 'Sixteen bearings, north first.'),
  /**
   * Height of the tide over chart datum, by high and low waters where they are written, else by constituents;
   * null: no tide.
   */
  tide: z
    .strictObject({
      meanM: quantity(-5, 20, 'm'),
      constituents: z.array(constituent).max(40),
      turns: z.array(turn).max(1600),
    })
    .nullable(),
  /**
   * The stream: steady and tidal parts together run toward a bearing, negative the other way; by hours about
   * high water where they are written; null: none.
   */
  stream: z
    .strictObject({
      towardDeg: quantity(0, 360, '°'),
      steadyMps: quantity(-5, 5, 'm/s'),
      constituents: z.array(constituent).max(40),
      hours: z.array(streamHour).max(15),
      /** Range of the tide at springs and at neaps, m; null: the spring rates stand for every day. */
      springRangeM: quantity(0.1, 20, 'm').nullable(),
      neapRangeM: quantity(0.1, 20, 'm').nullable(),
    })
    .nullable(),
  chart: chartSchema,
  /** Findings that are answered for every outing there, with the reason: by their key. */
  answered: z.array(acceptanceSchema).max(60),
  rapids: wholeNumber(0, 50),
  branches: z.boolean(),
  /** Whom one calls who misses somebody there. */
  rescue: rescueSchema,
  rulePackId: idText.nullable(),
  note: noteText,
  /** The day the note was true. */
  noteOn: dateText.nullable(),
  invented: z.boolean(),
  authorityNote: lineText,
});
export type Water = z.infer<typeof waterSchema>;
export type WaterAssumption = (typeof waterAssumptions)[number];

/** The water once somebody has said, or withConfirmed, a figure that was assumed. */
export function withConfirmed(water: Water, assumption: WaterAssumption): Water {
  return { ...water, assumed: water.assumed.filter((one) => one !== assumption) };
}
export type Area = Water['areas'][number];
export type Launch = Water['launches'][number];
export type Hazard = Water['hazards'][number];
export type TideTurn = z.infer<typeof turn>;
export type StreamHour = z.infer<typeof streamHour>;
