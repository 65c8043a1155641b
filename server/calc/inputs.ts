import { z } from 'zod';
import { anchorTypes } from '#core/holding/anchor';
import { alignments, bottoms } from '#core/vocabulary/holding';
import { MOST_BOXES } from '#core/packing/box';
import { chemistries } from '#core/power/power';
import { dryness, reaches } from '#core/vocabulary/boat';
import { efforts } from '#core/vocabulary/efforts';
import { dateText, instantText, quantity } from '#core/documents/field';
import { hullShapeSchema } from '#core/documents/hullShape';

/** Less than this of anything is nothing: quotients of such figures leave what a number can hold. */
const NEXT_TO_NOTHING = 1e-6;
/** What may be nothing is nothing below this. */
const TRACE = 1e-9;
/** Over nought, by enough to be something, and at most `max`. */
function over0(max: number, unit: string) {
  const message = `A number over 0, at least ${NEXT_TO_NOTHING.toFixed(6)} and at most ${max} ${unit}.`;
  return z.number(message).min(NEXT_TO_NOTHING, message).max(max, message);
}
/** The same figures, a trace of anything counted as none of it. */
export function withoutTraces<T>(value: T): T {
  if (typeof value === 'number') return (Math.abs(value) < TRACE ? 0 : value) as T;
  if (Array.isArray(value)) return value.map(withoutTraces) as T;
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, withoutTraces(one)])) as T;
}

const nameOfOne = z.string().min(1).max(80);
function eachCalledOnce(list: readonly { id: string }[], context: z.core.$RefinementCtx): void {
  list.forEach(({ id }, i) => {
    if (list.findIndex((other) => other.id === id) < i)
      context.addIssue({ code: 'custom', path: [i, 'id'], message: 'Another one is called so.' });
  });
}
const bearing = quantity(0, 360, '°');
const density = quantity(900, 1100, 'kg/m³').optional();
const effort = z.enum(efforts);
const latitude = quantity(-90, 90, '°');
const longitude = quantity(-180, 180, '°');

/** Moments that must follow each other. */
function inOrder<Row extends z.ZodType<{ at: string }>>(row: Row, what: string) {
  return z
    .array(row)
    .min(1, `At least one hour of ${what}.`)
    .max(1000, 'At most 1000 rows.')
    .superRefine((rows, context) =>
      rows.forEach(({ at }, i) => {
        const before = rows[i - 1];
        if (before && Date.parse(at) <= Date.parse(before.at))
          context.addIssue({
            code: 'custom',
            path: [i, 'at'],
            message: 'Must be later than the row before.',
          });
      }),
    );
}

export const hullInput = z.strictObject({
  cruiseMps: over0(20, 'm/s'),
  powerW: over0(20_000, 'W'),
  windageM2: quantity(0, 100, 'm²'),
  lateralAirM2: quantity(0, 100, 'm²'),
  lateralWaterM2: over0(100, 'm²'),
});

export const calcInputs = {
  waves: z.strictObject({
    windSpeedMps: quantity(0, 100, 'm/s'),
    fetchM: quantity(0, 20_000_000, 'm'),
    durationS: over0(10_000_000, 's').nullable(),
    depthM: over0(12_000, 'm').nullable(),
  }),
  surf: z.strictObject({ hsM: quantity(0, 40, 'm'), periodS: over0(60, 's') }),
  'wave-on-stream': z.strictObject({
    hsM: quantity(0, 40, 'm'),
    periodS: over0(60, 's'),
    streamMps: quantity(-20, 20, 'm/s'),
  }),
  passage: z.strictObject({
    departAt: instantText,
    craft: hullInput,
    legs: z
      .array(z.strictObject({ bearingDeg: bearing, distanceM: over0(500_000, 'm') }))
      .min(1, 'At least one leg.')
      .max(500, 'At most 500 legs.'),
    wind: inOrder(
      z.strictObject({ at: instantText, speedMps: quantity(0, 100, 'm/s'), fromDeg: bearing }),
      'wind',
    ),
    stream: inOrder(
      z.strictObject({ at: instantText, speedMps: quantity(0, 20, 'm/s'), towardDeg: bearing }),
      'stream',
    ),
    waterDensity: density,
  }),
  light: z.strictObject({
    date: dateText,
    latDeg: latitude,
    lonDeg: longitude,
    from: instantText.nullable(),
    to: instantText.nullable(),
  }),
  tide: z.strictObject({
    constituents: z
      .array(
        z.strictObject({
          name: z.string().regex(/^[A-Z0-9]{1,10}$/, 'Write it as tide tables do: M2, S2, K1 ...'),
          amplitude: quantity(0, 30, ''),
          phaseDeg: quantity(-720, 720, '°'),
        }),
      )
      .max(60, 'At most 60 constituents.'),
    mean: quantity(-50, 50, ''),
    from: instantText,
    to: instantText,
  }),
  cold: z.strictObject({
    airC: quantity(-60, 60, '°C'),
    windMps: quantity(0, 100, 'm/s'),
    waterC: quantity(-2, 45, '°C'),
  }),
  heat: z.strictObject({ airC: quantity(-60, 60, '°C'), humidityPct: quantity(0, 100, '%') }),
  anchor: z.strictObject({
    depthM: over0(500, 'm'),
    tideRiseM: quantity(-20, 20, 'm'),
    attachHeightM: quantity(0, 5, 'm'),
    rodeM: quantity(0, 2000, 'm'),
    anchor: z.strictObject({ massKg: quantity(0, 200, 'kg'), type: z.enum(anchorTypes) }),
    bottom: z.enum(bottoms),
    streamMps: quantity(0, 20, 'm/s'),
    windMps: quantity(0, 100, 'm/s'),
    hsM: quantity(0, 40, 'm'),
    craft: hullInput,
    alignment: z.enum(alignments),
    waterDensity: density,
  }),
  drift: z.strictObject({
    windMps: quantity(0, 100, 'm/s'),
    lateralAirM2: quantity(0, 100, 'm²'),
    lateralWaterM2: over0(100, 'm²'),
    drogue: z.strictObject({ diameterM: quantity(0, 10, 'm'), cd: over0(5, '').optional() }).nullable(),
    targetMps: over0(20, 'm/s').nullable(),
    waterDensity: density,
  }),
  hydrostatics: z.strictObject({
    hull: hullShapeSchema,
    waterDensity: quantity(900, 1100, 'kg/m³'),
    loads: z
      .array(
        z.strictObject({
          massKg: quantity(0, 5000, 'kg'),
          xM: quantity(-5, 25, 'm'),
          yM: quantity(-5, 5, 'm'),
          zM: quantity(-5, 10, 'm'),
        }),
      )
      .min(1, 'At least one load: the hull’s own mass is one.')
      .max(500, 'At most 500 loads.')
      .refine(
        (loads) => loads.some(({ massKg }) => massKg >= NEXT_TO_NOTHING),
        'Something must have a mass.',
      ),
    gz: z.boolean('Write true or false.').optional(),
  }),
  pole: z.strictObject({
    poleM: quantity(0, 20, 'm'),
    depthM: quantity(0, 500, 'm'),
    tideRiseM: quantity(-20, 20, 'm'),
    bottom: z.enum(bottoms),
    streamMps: quantity(0, 20, 'm/s'),
  }),
  rig: z.strictObject({
    parts: z
      .array(
        z.strictObject({
          name: z.string('Write this as text.').min(1, 'Give it a name.').max(80, 'At most 80 characters.'),
          ratedKg: quantity(0, 1000, 'kg'),
          knotEfficiency: over0(1, '').optional(),
        }),
      )
      .min(1, 'At least one part.')
      .max(50, 'At most 50 parts.'),
    dragFraction: over0(1, '').optional(),
  }),
  spool: z.strictObject({
    refLengthM: quantity(0, 10_000, 'm'),
    refDiameterMm: over0(10, 'mm'),
    diameterMm: over0(10, 'mm'),
  }),
  jig: z.strictObject({
    depthM: quantity(0, 1000, 'm'),
    relativeSpeedMps: quantity(0, 5, 'm/s'),
    lineDiameterMm: quantity(0, 10, 'mm'),
    densityKgM3: quantity(1200, 25_000, 'kg/m³').optional(),
    maxAngleDeg: quantity(1, 89, '°').optional(),
    waterDensity: density,
  }),
  pack: z.strictObject({
    container: z.strictObject({
      ...{ xM: over0(20, 'm'), yM: over0(20, 'm'), zM: over0(20, 'm') },
      maxKg: quantity(0, 10_000, 'kg').optional(),
    }),
    boxes: z
      .array(
        z.strictObject({
          id: nameOfOne,
          ...{ xM: over0(20, 'm'), yM: over0(20, 'm'), zM: over0(20, 'm') },
          massKg: quantity(0, 1000, 'kg').optional(),
          upright: z.boolean().optional(),
          order: z.int().min(1).max(1000).optional(),
        }),
      )
      .min(1, 'At least one box.')
      .max(MOST_BOXES, `At most ${MOST_BOXES} boxes.`)
      .superRefine(eachCalledOnce),
  }),
  arrange: z.strictObject({
    zones: z
      .array(
        z.strictObject({
          id: nameOfOne,
          ...{ xM: quantity(-20, 20, 'm'), yM: quantity(-5, 5, 'm'), zM: quantity(-5, 5, 'm') },
          litres: quantity(0, 10_000, 'L'),
          maxKg: quantity(0, 10_000, 'kg').nullable().default(null),
          insideM: z
            .tuple([over0(20, 'm'), over0(20, 'm'), over0(20, 'm')])
            .nullable()
            .default(null),
          openingM: z
            .tuple([over0(20, 'm'), over0(20, 'm')])
            .nullable()
            .default(null),
          dry: z.enum(dryness).default('open'),
          reach: z.enum(reaches).default('turn'),
          leashes: z.int().min(0).max(50).default(0),
        }),
      )
      .min(1, 'At least one place.')
      .max(60, 'At most 60 places.')
      .superRefine(eachCalledOnce),
    items: z
      .array(
        z.strictObject({
          id: nameOfOne,
          massKg: quantity(0, 1000, 'kg'),
          sizeM: z.tuple([over0(20, 'm'), over0(20, 'm'), over0(20, 'm')]),
          soft: z.boolean().optional(),
          dry: z.enum(dryness).optional(),
          reach: z.enum(reaches).optional(),
          leash: z.boolean().optional(),
          use: quantity(0, 1, '').optional(),
          apart: z.array(nameOfOne).max(50).optional(),
          only: z.array(nameOfOne).max(60).optional(),
          ...{ pinned: nameOfOne.optional(), now: nameOfOne.optional() },
        }),
      )
      .min(1, 'At least one thing.')
      .max(300, 'At most 300 things.')
      .superRefine(eachCalledOnce),
    /** Hull, person and what else is aboard. */
    base: z
      .strictObject({
        massKg: quantity(0, 1000, 'kg'),
        ...{ xM: quantity(-20, 20, 'm'), yM: quantity(-5, 5, 'm'), zM: quantity(-5, 5, 'm') },
      })
      .default({ massKg: 0, xM: 0, yM: 0, zM: 0 }),
    /** Where the centre of gravity of all is wanted along the boat. */
    levelAtM: quantity(-20, 20, 'm').default(0),
    /** What a centimetre off level, to a side, of height and of reach counts, and what a thing moved does, cm. */
    weights: z
      .strictObject({
        ...{ lcg: quantity(0, 1000, ''), tcg: quantity(0, 1000, ''), kg: quantity(0, 1000, '') },
        ...{ reach: quantity(0, 1000, ''), change: quantity(0, 1000, '') },
      })
      .partial()
      .default({}),
    seed: z
      .int()
      .min(0)
      .max(2 ** 31 - 1)
      .default(1),
    /** By which the steps are counted, not the clock: same seed, same plan. */
    milliseconds: z.int().min(0).max(5000).default(200),
  }),
  spread: z.strictObject({
    holderHalfSpanM: quantity(0, 5, 'm'),
    rodLengthM: quantity(0, 10, 'm'),
    outAngleDeg: quantity(0, 180, '°'),
    elevationDeg: quantity(-90, 90, '°'),
  }),
  spares: z.strictObject({
    lossPerHour: quantity(0, 100, '/h'),
    hours: quantity(0, 1000, 'h'),
    confidence: quantity(0.01, 0.999999, '').optional(),
  }),
  power: z.strictObject({
    battery: z.strictObject({
      chemistry: z.enum(chemistries),
      volts: over0(1000, 'V'),
      ampHours: over0(10_000, 'Ah'),
      ratedHours: over0(200, 'h').optional(),
      health: over0(1, '').optional(),
    }),
    tempC: quantity(-60, 80, '°C'),
    loads: z
      .array(
        z.strictObject({
          name: z.string('Write this as text.').min(1, 'Give it a name.').max(80, 'At most 80 characters.'),
          watts: quantity(0, 100_000, 'W'),
          duty: quantity(0, 1, '').optional(),
          hours: quantity(0, 1000, 'h'),
        }),
      )
      .max(100, 'At most 100 loads.'),
    reserve: quantity(0, 0.95, '').optional(),
  }),
  water: z.strictObject({
    persons: z.int('A whole number.').min(1, 'At least one.').max(1000, 'At most 1000.'),
    hours: quantity(0, 1000, 'h'),
    feelsC: quantity(-60, 80, '°C'),
    effort,
  }),
  food: z.strictObject({
    persons: z.int('A whole number.').min(1, 'At least one.').max(1000, 'At most 1000.'),
    hours: quantity(0, 1000, 'h'),
    nights: z.int('A whole number.').min(0, 'Not below 0.').max(365, 'At most 365.'),
    effort,
  }),
  ice: z.strictObject({
    fishKg: quantity(0, 1000, 'kg'),
    fishStartC: quantity(-5, 45, '°C'),
    hours: quantity(0, 1000, 'h'),
    ambientC: quantity(-60, 60, '°C'),
    uaWK: quantity(0, 100, 'W/K'),
    targetC: quantity(0, 20, '°C').optional(),
    iceStartC: quantity(-60, 0, '°C').optional(),
  }),
} as const;
