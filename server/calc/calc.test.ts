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
    expect((await calc('wave-on-stream', { hsM: 0.5, periodS: 3.5, streamMps: -0.8 })).body.factor).toBeCloseTo(
      1.517,
      3,
    );
    const way = (await calc('passage', passage)).body;
    expect(way.totalS).toBeCloseTo(2451, 0);
    expect(Object.keys(way)).toEqual(['feasible', 'legs', 'totalS', 'energyKj']);
    expect((await calc('passage', { ...passage, waterDensity: 1000 })).body.feasible).toBe(true);
  });
  it('answer light, tide, cold and heat', async () => {
    const light = (
      await calc('light', { date: '2026-05-16', latDeg: 47.5, lonDeg: -18.5, from: at, to: '2026-05-16T12:00:00Z' })
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
  it.each<[string, object, string[]]>([
    ['waves', { windSpeedMps: -1, fetchM: 6000, durationS: null, depthM: 0 }, ['windSpeedMps', 'depthM']],
    ['waves', { windSpeedMps: 8, fetchM: 6000, durationS: null }, ['depthM']],
    ['waves', { windSpeedMps: 8, fetchM: 6000, durationS: null, depthM: null, wind: 3 }, ['wind']],
    ['surf', { hsM: '0.8', periodS: 0 }, ['hsM', 'periodS']],
    ['wave-on-stream', { hsM: 0.5, periodS: 3.5, streamMps: null }, ['streamMps']],
    ['passage', { ...passage, craft: { ...passage.craft, cruiseMps: 0 }, legs: [] }, ['craft.cruiseMps', 'legs']],
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
    const ask = async (id: string, date: string) => await test.app.inject({ url: `/api/station/${id}?date=${date}` });
    const first = (await ask('ostrey-sound', '2026-05-16')).json();
    expect(first).toMatchObject({ simulated: true, station: 'Ostrey Sound, simulated station' });
    expect(first.hours).toHaveLength(96);
    expect((await ask('ostrey-sound', '2026-05-16')).json().hours).toEqual(first.hours);
    expect((await ask('nowhere', '2026-05-16')).statusCode).toBe(404);
    expect((await ask('ostrey-sound', 'soon')).statusCode).toBe(400);
  });
});
