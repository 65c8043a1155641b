import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { often, runs } from '../../scripts/testRuns';
import { anchorTypes } from '#core/holding/anchor';
import { alignments, bottoms } from '#core/vocabulary/holding';
import { chemistries } from '#core/power/power';
import { efforts } from '#core/vocabulary/efforts';
import { calcInputs } from './inputs';
import { type TestApp, openApp } from '../testing/openApp';

let test: TestApp;
beforeAll(async () => {
  test = await openApp({ withDemo: false });
});
afterAll(() => test.close());

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const hull = fc.record({
  cruiseMps: num(0.2, 5),
  powerW: num(1, 500),
  windageM2: num(0, 3),
  lateralAirM2: num(0, 5),
  lateralWaterM2: num(0.01, 5),
});
/** Anything that each calculator says it takes, ends included. */
const inputs: Record<string, fc.Arbitrary<object>> = {
  anchor: fc.record({
    depthM: num(0.1, 500),
    tideRiseM: fc.constantFrom(0, 1, 4),
    attachHeightM: num(0, 5),
    rodeM: num(0, 2000),
    anchor: fc.record({ massKg: num(0, 200), type: fc.constantFrom(...anchorTypes) }),
    bottom: fc.constantFrom(...bottoms),
    streamMps: num(0, 20),
    windMps: num(0, 100),
    hsM: num(0, 40),
    craft: hull,
    alignment: fc.constantFrom(...alignments),
  }),
  drift: fc.record({
    windMps: num(0, 100),
    lateralAirM2: num(0, 100),
    lateralWaterM2: num(0.01, 100),
    drogue: fc.option(fc.record({ diameterM: num(0, 10) }), { nil: null }),
    targetMps: fc.option(num(0.01, 20), { nil: null }),
  }),
  hydrostatics: fc.record({
    hull: fc.oneof(
      fc.record({
        form: fc.record({
          lengthM: num(0.5, 12),
          beamM: num(0.1, 3),
          depthM: num(0.05, 2),
          rockerM: num(0, 0.05),
          sheerM: num(0, 1),
          planExponent: num(0.5, 20),
          sectionExponent: num(0.5, 20),
        }),
      }),
      fc.record({
        stations: fc
          .array(fc.array(fc.record({ yM: num(0, 3), zM: num(-2, 5) }), { minLength: 2, maxLength: 5 }), {
            minLength: 2,
            maxLength: 5,
          })
          .map((outlines) =>
            outlines.map(([, ...rest], i) => ({
              xM: i,
              outline: [{ yM: 0, zM: -0.1 }, ...rest, { yM: 0.4, zM: 0.5 }],
            })),
          ),
      }),
    ),
    waterDensity: fc.constantFrom(1000, 1025),
    loads: fc.array(fc.record({ massKg: num(0.1, 400), xM: num(0, 12), yM: num(-2, 2), zM: num(-2, 4) }), {
      minLength: 1,
      maxLength: 4,
    }),
    gz: fc.boolean(),
  }),
  pole: fc.record({
    poleM: num(0, 20),
    depthM: num(0, 500),
    tideRiseM: num(-20, 20),
    bottom: fc.constantFrom(...bottoms),
    streamMps: num(0, 20),
  }),
  rig: fc.record({
    parts: fc.array(
      fc.record({ name: fc.constant('part'), ratedKg: num(0, 1000), knotEfficiency: num(0.01, 1) }),
      {
        minLength: 1,
        maxLength: 6,
      },
    ),
  }),
  spool: fc.record({ refLengthM: num(0, 10_000), refDiameterMm: num(0.01, 10), diameterMm: num(0.01, 10) }),
  jig: fc.record({
    depthM: num(0, 1000),
    relativeSpeedMps: num(0, 5),
    lineDiameterMm: num(0, 10),
    densityKgM3: num(1200, 25_000),
    maxAngleDeg: num(1, 89),
  }),
  spread: fc.record({
    holderHalfSpanM: num(0, 5),
    rodLengthM: num(0, 10),
    outAngleDeg: num(0, 180),
    elevationDeg: num(-90, 90),
  }),
  spares: fc.record({ lossPerHour: num(0, 100), hours: num(0, 1000), confidence: num(0.01, 0.999999) }),
  power: fc.record({
    battery: fc.record({
      chemistry: fc.constantFrom(...chemistries),
      volts: num(0.1, 1000),
      ampHours: num(0.01, 10_000),
      health: num(0.01, 1),
    }),
    tempC: num(-60, 80),
    loads: fc.array(
      fc.record({ name: fc.constant('load'), watts: num(0, 100_000), duty: num(0, 1), hours: num(0, 1000) }),
      { maxLength: 5 },
    ),
  }),
  water: fc.record({
    persons: fc.integer({ min: 1, max: 1000 }),
    hours: num(0, 1000),
    feelsC: num(-60, 80),
    effort: fc.constantFrom(...efforts),
  }),
  food: fc.record({
    persons: fc.integer({ min: 1, max: 1000 }),
    hours: num(0, 1000),
    nights: fc.integer({ min: 0, max: 365 }),
    effort: fc.constantFrom(...efforts),
  }),
  ice: fc.record({
    fishKg: num(0, 1000),
    fishStartC: num(-5, 45),
    hours: num(0, 1000),
    ambientC: num(-60, 60),
    uaWK: num(0, 100),
    targetC: num(0, 20),
    iceStartC: num(-60, 0),
  }),
};

/** What is short by so much falls below nought; a boat may lie aft, to port, under water or top-heavy. */
const maybeNegative = new Set(
  'spareWh neededM lcgM tcgM vcgM draftM trimDeg heelDeg freeboardMinM gmTransverseM gmLongitudinalM'.split(
    ' ',
  ),
);

describe('calculators over all that they say they take', () => {
  it.each(Object.keys(inputs))(
    '%s: an answer of finite numbers, never a NaN, never negative where nothing can be',
    async (name) => {
      const input = inputs[name];
      if (!input) throw new Error(name);
      await fc.assert(
        fc.asyncProperty(input, async (payload) => {
          const reply = await test.app.inject({ method: 'POST', url: `/api/calc/${name}`, payload });
          expect(reply.statusCode, `${JSON.stringify(payload)} ${reply.body}`).toBe(200);
          for (const [key, value] of Object.entries(reply.json() as Record<string, unknown>)) {
            if (typeof value !== 'number') continue;
            expect(Number.isFinite(value), key).toBe(true);
            if (!maybeNegative.has(key)) expect(value, key).toBeGreaterThanOrEqual(-1e-9);
          }
        }),
        runs(60),
      );
    },
    often(240_000),
  );
});

/** A few more that take no part above: their answers are no plain figures. */
const examples: Record<string, object> = {
  arrange: {
    zones: [{ id: 'well', xM: 0.6, yM: 0, zM: 0.2, litres: 60, maxKg: 20, leashes: 2 }],
    items: [{ id: 'pump', massKg: 0.8, sizeM: [0.6, 0.1, 0.1], use: 0.5 }],
    ...{ base: { massKg: 120, xM: 1.8, yM: 0, zM: 0.25 }, levelAtM: 1.9, milliseconds: 5 },
  },
  pack: {
    container: { xM: 0.4, yM: 0.3, zM: 0.3 },
    boxes: [{ id: 'tray', xM: 0.3, yM: 0.2, zM: 0.05, massKg: 1, order: 1 }],
  },
  waves: { windSpeedMps: 8, fetchM: 6000, durationS: 3600, depthM: 10 },
  surf: { hsM: 0.8, periodS: 9 },
  light: {
    date: '2026-05-16',
    latDeg: 54.2,
    lonDeg: -3.1,
    from: '2026-05-16T06:00:00Z',
    to: '2026-05-16T22:00:00Z',
  },
  tide: {
    constituents: [{ name: 'M2', amplitude: 1.9, phaseDeg: 40 }],
    ...{ mean: 2.4, from: '2026-05-16T00:00:00Z', to: '2026-05-17T00:00:00Z' },
  },
  cold: { airC: 4, windMps: 7, waterC: 9 },
  heat: { airC: 31, humidityPct: 70 },
  'wave-on-stream': { hsM: 0.5, periodS: 3.5, streamMps: -0.8 },
  passage: {
    departAt: '2026-05-16T06:00:00Z',
    craft: { cruiseMps: 1.5, powerW: 45, windageM2: 0.45, lateralAirM2: 1.1, lateralWaterM2: 0.5 },
    legs: [{ bearingDeg: 90, distanceM: 3000 }],
    wind: [{ at: '2026-05-16T06:00:00Z', speedMps: 6, fromDeg: 90 }],
    stream: [{ at: '2026-05-16T06:00:00Z', speedMps: 0.3, towardDeg: 180 }],
  },
  ...Object.fromEntries(
    Object.entries(inputs).map(([name, input]) => [name, fc.sample(input, { numRuns: 1, seed: 4 })[0] ?? {}]),
  ),
};
const TINY = [1e-300, 5e-324, 1e-160, -1e-300, 0, 1e300];

/** The input with each of its numbers in turn, and with all of them, replaced. */
function replaced(value: unknown, by: number): unknown[] {
  const each = (one: unknown): unknown[] => {
    if (typeof one === 'number') return [by];
    if (one === null || typeof one !== 'object') return [];
    return Object.entries(one).flatMap(([key, part]) =>
      each(part).map((next) =>
        Array.isArray(one)
          ? one.map((other, i) => (i === Number(key) ? next : (other as unknown)))
          : { ...one, [key]: next },
      ),
    );
  };
  const all = (one: unknown): unknown => {
    if (typeof one === 'number') return by;
    if (Array.isArray(one)) return one.map(all);
    if (one === null || typeof one !== 'object') return one;
    return Object.fromEntries(Object.entries(one).map(([key, part]) => [key, all(part)]));
  };
  return [...each(value), all(value)];
}

describe('figures next to nothing and beyond everything', () => {
  it('are asked of every calculator', () => {
    expect(Object.keys(examples).toSorted()).toEqual(Object.keys(calcInputs).toSorted());
  });
  it.each(Object.keys(examples))(
    '%s: an answer or a refusal with its field, never a failure',
    async (name) => {
      for (const by of TINY)
        for (const payload of replaced(examples[name], by)) {
          const reply = await test.app.inject({
            method: 'POST',
            url: `/api/calc/${name}`,
            payload: payload as object,
          });
          expect(reply.statusCode, `${JSON.stringify(payload)} ${reply.body}`).toBeLessThan(500);
          if (reply.statusCode === 200) expect(reply.body).not.toMatch(/NaN|Infinity|null,"null/);
          else expect((reply.json() as { errors: object[] }).errors.length).toBeGreaterThan(0);
        }
    },
  );
});
