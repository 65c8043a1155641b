import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type TestApp, openApp } from '../testing/openApp';

let test: TestApp;
beforeAll(async () => {
  test = await openApp({ withDemo: true });
});
afterAll(() => test.close());
const calc = async (name: string, payload: object) => {
  const reply = await test.app.inject({ method: 'POST', url: `/api/calc/${name}`, payload });
  return { status: reply.statusCode, body: reply.json() };
};
const at = '2026-05-16T06:00:00+01:00';
const anchorExample = {
  depthM: 4,
  tideRiseM: 1,
  attachHeightM: 0.3,
  rodeM: 30,
  anchor: { massKg: 1.5, type: 'claw' },
  bottom: 'sand',
  streamMps: 0.4,
  windMps: 6,
  hsM: 0.2,
  craft: { cruiseMps: 1.5, powerW: 45, windageM2: 0.45, lateralAirM2: 1.1, lateralWaterM2: 0.5 },
  alignment: 'bow',
};
const powerExample = {
  battery: { chemistry: 'lifepo4', volts: 12.8, ampHours: 10 },
  tempC: 5,
  loads: [
    { name: 'sounder', watts: 9, hours: 7 },
    { name: 'bait pump', watts: 12, duty: 0.25, hours: 6 },
    { name: 'light', watts: 2, hours: 2 },
  ],
};
const passage = {
  departAt: at,
  craft: { cruiseMps: 1.5, powerW: 45, windageM2: 0.45, lateralAirM2: 1.1, lateralWaterM2: 0.5 },
  legs: [{ bearingDeg: 90, distanceM: 3000 }],
  wind: [{ at, speedMps: 6, fromDeg: 90 }],
  stream: [{ at, speedMps: 0.3, towardDeg: 180 }],
};

describe('calculators over the wire', () => {
  it('answer their worked examples', async () => {
    expect(
      (await calc('waves', { windSpeedMps: 8, fetchM: 6000, durationS: null, depthM: null })).body.hsM,
    ).toBeCloseTo(0.304, 3);
    expect((await calc('surf', { hsM: 0.8, periodS: 9 })).body.breakerM).toBeCloseTo(1.24, 2);
    expect(
      (await calc('wave-on-stream', { hsM: 0.5, periodS: 3.5, streamMps: -0.8 })).body.factor,
    ).toBeCloseTo(1.517, 3);
    const way = (await calc('passage', passage)).body;
    expect(way.totalS).toBeCloseTo(2451, 0);
    expect(Object.keys(way)).toEqual(['feasible', 'legs', 'totalS', 'energyKj']);
    expect((await calc('passage', { ...passage, waterDensity: 1000 })).body.feasible).toBe(true);
  });
  it('answer light, tide, cold and heat', async () => {
    const light = (
      await calc('light', {
        date: '2026-05-16',
        latDeg: 47.5,
        lonDeg: -18.5,
        from: at,
        to: '2026-05-16T12:00:00Z',
      })
    ).body;
    expect(light.sunrise < light.sunset).toBe(true);
    const tide = (
      await calc('tide', {
        constituents: [{ name: 'M2', amplitude: 1, phaseDeg: 0 }],
        mean: 2,
        from: at,
        to: '2026-05-17T06:00:00Z',
      })
    ).body;
    expect(tide.turns.length).toBeGreaterThanOrEqual(3);
    expect((await calc('cold', { airC: 0, windMps: 20 / 3.6, waterC: 11 })).body).toMatchObject({
      immersionClass: 'cold',
      clothing: 'drysuit',
    });
    expect((await calc('heat', { airC: 32.2, humidityPct: 70 })).body.feelsC).toBeGreaterThan(39);
  });
  it.each<[string, object, Record<string, number | boolean | string | null>]>([
    [
      'hydrostatics',
      {
        hull: {
          stations: [0, 4].map((xM) => ({
            xM,
            outline: [
              { yM: 0, zM: 0 },
              { yM: 0.5, zM: 0 },
              { yM: 0.5, zM: 0.5 },
            ],
          })),
        },
        waterDensity: 1000,
        loads: [{ massKg: 800, xM: 2, yM: 0, zM: 0.2 }],
      },
      { afloat: true, draftM: 0.2, gmTransverseM: 0.1 + 1 / 2.4 - 0.2, freeboardMinM: 0.3 },
    ],
    ['anchor', anchorExample, { loadN: 16.1, rodeNeededM: 26.5, margin: 6.1, swingRadiusM: 26 }],
    [
      'drift',
      { windMps: 6, lateralAirM2: 1.1, lateralWaterM2: 0.5, drogue: { diameterM: 0.6 }, targetMps: 0.15 },
      { withoutDrogueMps: 0.293, driftMps: 0.228, drogueForceN: 9.07, diameterForTargetM: 1.26 },
    ],
    [
      'drift',
      { windMps: 6, lateralAirM2: 1.1, lateralWaterM2: 0.5, drogue: null, targetMps: null },
      { driftMps: null, drogueForceN: null, diameterForTargetM: null },
    ],
    [
      'pole',
      { poleM: 3, depthM: 1.5, tideRiseM: 0.5, bottom: 'mud', streamMps: 0.2 },
      { neededM: 2.8, allowed: true },
    ],
    [
      'rig',
      {
        parts: [
          { name: 'main', ratedKg: 9, knotEfficiency: 0.9 },
          { name: 'leader', ratedKg: 8 },
        ],
      },
      { weakest: 'leader', strengthKg: 8, dragKg: 2.4 },
    ],
    ['spool', { refLengthM: 200, refDiameterMm: 0.3, diameterMm: 0.2 }, { lengthM: 450 }],
    ['jig', { depthM: 25, relativeSpeedMps: 0.4, lineDiameterMm: 0.18 }, { massG: 92 }],
    [
      'spread',
      { holderHalfSpanM: 0.4, rodLengthM: 2.4, outAngleDeg: 80, elevationDeg: 25 },
      { spreadM: 5.08 },
    ],
    ['spares', { lossPerHour: 0.5, hours: 6 }, { expected: 3, carry: 6, covered: 0.966 }],
    ['power', powerExample, { neededWh: 85, usableWh: 102.2, spareWh: -3.27, enough: false }],
    ['water', { persons: 1, hours: 6, feelsC: 28, effort: 'steady' }, { litres: 4.95 }],
    ['food', { persons: 2, hours: 4, nights: 1, effort: 'easy' }, { campMeals: 4 }],
    ['ice', { fishKg: 6, fishStartC: 18, hours: 6, ambientC: 26, uaWK: 0.9 }, { heatKj: 812, iceKg: 2.3 }],
  ])('answers the worked example of %s', async (name, input, wanted) => {
    const { status, body } = await calc(name, input);
    expect(status, JSON.stringify(body)).toBe(200);
    for (const [key, value] of Object.entries(wanted))
      if (typeof value === 'number')
        expect(Math.abs(body[key] / value - 1), `${key} ${body[key]}`).toBeLessThan(0.006);
      else expect(body[key]).toBe(value);
  });
  it.each<[string, object, string[]]>([
    [
      'anchor',
      { ...anchorExample, depthM: 0, bottom: 'clay', alignment: 'side' },
      ['depthM', 'bottom', 'alignment'],
    ],
    ['anchor', { ...anchorExample, anchor: { massKg: 1.5 } }, ['anchor.type']],
    ['rig', { parts: [] }, ['parts']],
    [
      'power',
      { ...powerExample, reserve: 2, battery: { ...powerExample.battery, chemistry: 'coal' } },
      ['reserve', 'battery.chemistry'],
    ],
    ['spares', { lossPerHour: 1, hours: 3, confidence: 1 }, ['confidence']],
    [
      'ice',
      { fishKg: 1, fishStartC: 10, hours: 1, ambientC: 10, uaWK: 1, targetC: -1, lid: true },
      ['targetC', 'lid'],
    ],
    ['jig', { depthM: 10, relativeSpeedMps: 0.2, lineDiameterMm: 0.2, densityKgM3: 900 }, ['densityKgM3']],
    ['waves', { windSpeedMps: -1, fetchM: 6000, durationS: null, depthM: 0 }, ['windSpeedMps', 'depthM']],
    ['waves', { windSpeedMps: 8, fetchM: 6000, durationS: null }, ['depthM']],
    ['waves', { windSpeedMps: 8, fetchM: 6000, durationS: null, depthM: null, wind: 3 }, ['wind']],
    ['surf', { hsM: '0.8', periodS: 0 }, ['hsM', 'periodS']],
    ['wave-on-stream', { hsM: 0.5, periodS: 3.5, streamMps: null }, ['streamMps']],
    [
      'passage',
      { ...passage, craft: { ...passage.craft, cruiseMps: 0 }, legs: [] },
      ['craft.cruiseMps', 'legs'],
    ],
    [
      'passage',
      { ...passage, wind: [], stream: [{ at: 'noon', speedMps: 1, towardDeg: 400 }] },
      ['wind', 'stream.0.at', 'stream.0.towardDeg'],
    ],
    ['passage', { ...passage, wind: [passage.wind[0], passage.wind[0]] }, ['wind.1.at']],
    [
      'tide',
      { constituents: [{ name: 'm2', amplitude: 1, phaseDeg: 0 }], mean: 2, from: at, to: at },
      ['constituents.0.name'],
    ],
    ['tide', { constituents: [], mean: 2, from: at, to: at }, ['to']],
    ['cold', { airC: 500, windMps: 3, waterC: 11 }, ['airC']],
  ])('refuse bad input to %s field by field', async (name, input, fields) => {
    const { status, body } = await calc(name, input);
    expect(status).toBe(400);
    expect(body.errors.map((error: { field: string }) => error.field).sort()).toEqual(fields.toSorted());
    for (const { message } of body.errors as { message: string }[]) expect(message.length).toBeGreaterThan(5);
  });
  it('ask the station: simulated, said so, the same twice', async () => {
    const ask = async (id: string, date: string) =>
      await test.app.inject({ url: `/api/station/${id}?date=${date}` });
    const first = (await ask('ostrey-sound', '2026-05-16')).json();
    expect(first).toMatchObject({ simulated: true, station: 'Ostrey Sound, simulated station' });
    expect(first.hours).toHaveLength(96);
    expect((await ask('ostrey-sound', '2026-05-16')).json().hours).toEqual(first.hours);
    expect((await ask('nowhere', '2026-05-16')).statusCode).toBe(404);
    expect((await ask('ostrey-sound', 'soon')).statusCode).toBe(400);
  });
});
