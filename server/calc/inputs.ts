import { z } from 'zod';
import { dateText, instantText, quantity } from '#core/outing/field';

/** Over nought and at most `max`. */
function over0(max: number, unit: string) {
  const message = `A number over 0, at most ${max} ${unit}.`;
  return z.number(message).gt(0, message).max(max, message);
}
const bearing = quantity(0, 360, '°');
const density = quantity(900, 1100, 'kg/m³').optional();
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
          context.addIssue({ code: 'custom', path: [i, 'at'], message: 'Must be later than the row before.' });
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
    wind: inOrder(z.strictObject({ at: instantText, speedMps: quantity(0, 100, 'm/s'), fromDeg: bearing }), 'wind'),
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
} as const;
