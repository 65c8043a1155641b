import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { sayRepair } from '../editing/repair';
import { type Flow, STILL, fromBearing } from '../environment/flow';
import { travel } from '../passage/travel';
import { HOUR_MS, MINUTE_MS } from '../units/time';
import { drawing } from './draws';
import { rehearsalOf } from './rehearsal';
import { HOURS_DRAWN, type RehearsalInput, type RehearsedDay, rehearse } from './rehearse';
import { sayCounts, sayHome, sayOption, shareInWords } from './sayRehearsal';
import { type Spread, WIND_KEEPS, windErrorMps } from './spread';

const launchAt = Date.parse('2026-06-01T06:00:00Z');
const hull = { cruiseMps: 1.25, powerW: 60, windageM2: 0.5, lateralAirM2: 0.8, lateralWaterM2: 0.6 };
const exact: Spread = {
  ...{ pace: 0, fadesPerHour: 0, lateMin: 0, stays: 0, staysMin: 0, stops: 0, stopsMin: 0 },
  ...{ windTimingMin: 0, streamTimingMin: 0, streamStrength: 0, battery: 0 },
};
const leg = (bearingDeg: number, distanceM: number) => ({ bearingDeg, distanceM, streamFactor: 1 });
const input = (change: Partial<RehearsalInput> = {}): RehearsalInput => ({
  launchAt,
  turnAt: launchAt + 4 * HOUR_MS,
  returns: true,
  out: [leg(90, 3000)],
  home: [leg(270, 3000)],
  hull,
  waterDensity: 1025,
  windAt: STILL,
  streamAt: STILL,
  ageH: 0,
  limitMps: 1000,
  batteries: [],
  spread: exact,
  ...change,
});
/** A boat that no wind acts on: its areas are nothing. */
const windless = { ...hull, windageM2: 0, lateralAirM2: 0 };
const homes = (days: readonly RehearsedDay[]) =>
  days.map(({ homeMin }) => homeMin ?? Infinity).toSorted((a, b) => a - b);
const share = (list: readonly number[], of: number) => list[Math.floor(list.length * of)] ?? NaN;

describe('days that are drawn', () => {
  it('are the same for the same seed, and others for another', () => {
    const own = rehearse(input(), 50, 3);
    expect(rehearse(input(), 50, 3)).toEqual(own);
    expect(rehearse(input(), 50, 4)).not.toEqual(own);
    // Fewer days are the first of more.
    expect(rehearse(input(), 20, 3)).toEqual(own.slice(0, 20));
  });
  it('have standard normal and even parts', () => {
    const draw = drawing(11, 2);
    const all = Array.from({ length: 20_000 }, () => {
      const { pace, windEast, late } = draw();
      return { pace, wind: windEast[1] ?? 0, late };
    });
    const mean = (of: (one: (typeof all)[number]) => number) =>
      all.reduce((sum, one) => sum + of(one), 0) / all.length;
    for (const key of ['pace', 'wind'] as const) {
      expect(Math.abs(mean((one) => one[key]))).toBeLessThan(0.03);
      expect(Math.abs(mean((one) => one[key] ** 2) - 1)).toBeLessThan(0.04);
    }
    expect(Math.abs(mean(({ late }) => late) - 0.5)).toBeLessThan(0.01);
    expect(Math.abs(mean(({ pace, wind }) => pace * wind))).toBeLessThan(0.03);
  });
});

describe('a rehearsal held to closed forms', () => {
  it('pace alone: the time home is the way through a pace that is normally spread', () => {
    const days = homes(rehearse(input({ hull: windless, spread: { ...exact, pace: 0.08 } }), 20_000, 5));
    const expected = (z: number) => 240 + 3000 / (1.25 * (1 + 0.08 * z)) / 60;
    for (const [of, z] of [
      [0.05, 1.645],
      [0.5, 0],
      [0.95, -1.645],
    ] as const)
      expect(Math.abs(share(days, of) - expected(z)), String(of)).toBeLessThan(0.2);
  });
  it('wind alone: in still air the wind of an hour passes a limit as often as a Rayleigh says', () => {
    // Only the first step is under way: a way so short that it is done in it.
    const short = { out: [leg(90, 10)], home: [leg(270, 10)], turnAt: launchAt, hull: windless };
    const limitMps = 2;
    const days = rehearse(input({ ...short, returns: false, limitMps }), 40_000, 6);
    const passed = days.filter((day) => day.passed !== null).length / days.length;
    const sigma = windErrorMps(0, 0);
    expect(Math.abs(passed - Math.exp(-(limitMps ** 2) / (2 * sigma ** 2)))).toBeLessThan(0.01);
  });
  it('a late start, evenly spread, moves the turn of who has not arrived by it', () => {
    const days = rehearse(input({ hull: windless, spread: { ...exact, lateMin: 30 } }), 10_000, 7);
    // All arrive before the turn: the launch moves nothing.
    expect(new Set(days.map(({ turnedMin }) => turnedMin)).size).toBe(1);
    const tight = input({
      hull: windless,
      spread: { ...exact, lateMin: 30 },
      turnAt: launchAt + 10 * MINUTE_MS,
    });
    const [first] = rehearse(tight, 1, 7);
    // Not there by the turn: back the way one came, as long as it was out.
    expect(first?.turnedMin).toBeGreaterThanOrEqual(10);
    expect(first?.homeMin).not.toBeNull();
  });
  it('batteries: empty as often as a normally spread charge is under what was drawn', () => {
    const batteries = [{ name: 'one', watts: 10, givesWh: 10 * (4 + 40 / 60) }];
    const days = rehearse(
      input({ hull: windless, batteries, spread: { ...exact, battery: 0.1 } }),
      10_000,
      8,
    );
    // What is drawn is what it gives: half of the days.
    expect(Math.abs(days.filter(({ empty }) => empty[0]).length / days.length - 0.5)).toBeLessThan(0.02);
  });
});

describe('a rehearsal held to a slow one that was written apart', () => {
  it('comes home as the passage does, minute by minute, with the same wind', () => {
    const wind = (at: number) => fromBearing(4 + (at - launchAt) / HOUR_MS, 250);
    const stream = (at: number): Flow => ({ east: 0.3 * Math.sin((at - launchAt) / HOUR_MS), north: 0.1 });
    const one = input({ windAt: wind, streamAt: stream });
    const draw = drawing(9, HOURS_DRAWN);
    for (const day of rehearse(one, 60, 9)) {
      const { windEast, windNorth } = draw();
      const errors = [windEast, windNorth].map((parts) => {
        let error = 0;
        return Array.from(parts, (z, hour) => {
          error = hour === 0 ? z : WIND_KEEPS * error + Math.sqrt(1 - WIND_KEEPS ** 2) * z;
          return error * windErrorMps(0, hour);
        });
      });
      const between = (of: readonly number[], hour: number) => {
        const i = Math.min(HOURS_DRAWN - 1, Math.floor(hour));
        const j = Math.min(HOURS_DRAWN - 1, i + 1);
        return (of[i] ?? 0) + ((of[j] ?? 0) - (of[i] ?? 0)) * (hour - i);
      };
      const windAt = (at: number): Flow => {
        const { east, north } = wind(at);
        const hour = (at - launchAt) / HOUR_MS;
        return { east: east + between(errors[0] ?? [], hour), north: north + between(errors[1] ?? [], hour) };
      };
      const turn = launchAt + 4 * HOUR_MS;
      const home = travel(turn, hull, [{ bearingDeg: 270, distanceM: 3000, wind: windAt, stream }], 1025);
      if (home.totalS === null || day.homeMin === null) continue;
      expect(Math.abs(day.homeMin - (240 + home.totalS / 60))).toBeLessThan(0.03 * (home.totalS / 60) + 1);
    }
  });
});

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const named = (id: string) => {
  const found = outings.find((one) => one.id === id);
  if (!found) throw new Error(id);
  return found;
};
const rehearsed = (id: string, seed = 1, days = 2000) => {
  const result = rehearsalOf(named(id), references, now, { days, seed });
  if ('why' in result) throw new Error(result.why);
  return result;
};

describe('an outing rehearsed', () => {
  it('counts days, all of them, and says them in words before figures', () => {
    const one = rehearsed('zander-dusk');
    expect(one.bins.reduce((sum, { days }) => sum + days, 0)).toBeGreaterThan(1900);
    expect(sayHome(one)).toMatch(/^Home between \d\d:\d\d and \d\d:\d\d in nine days of ten/);
    for (const text of sayCounts(one)) expect(text).toMatch(/\(\d+ of 2000\)|none of the days|all days/);
    expect(sayCounts(one).join(' ')).not.toMatch(/NaN|undefined|%/);
  });
  it('puts what helps most first, in the same order under ten seeds', () => {
    const order = (seed: number) =>
      rehearsed('zander-dusk', seed, 1000)
        .options.slice(0, 2)
        .map(({ repair }) => sayRepair(repair));
    const first = order(1);
    for (let seed = 2; seed <= 10; seed += 1) expect(order(seed)).toEqual(first);
  });
  it('goes wrong less often launched sooner under a rising wind, and says so in counts of the same days', () => {
    const one = rehearsed('zander-dusk');
    const [best] = one.options;
    expect(best?.wrong).toBeLessThan(one.wrongOfThose);
    expect(best && sayOption(best, one)).toMatch(/goes wrong in \d+ of 2000 days in place of \d+/);
  });
  it('says why it cannot be rehearsed', () => {
    const calm = named('zander-dusk');
    const dry = { ...calm, conditions: { ...calm.conditions, hours: [] } };
    expect(rehearsalOf(dry, references, now, { days: 10, seed: 1 })).toEqual({
      why: expect.stringMatching(/wind/) as string,
    });
    expect(rehearsalOf(named('venn-overnight'), references, now, { days: 10, seed: 1 })).toHaveProperty(
      'why',
    );
  });
});

it('shares are words before figures', () => {
  expect([0, 1, 125, 340, 500, 720, 995, 1000].map((days) => shareInWords(days, 1000))).toEqual([
    'none of the days',
    'one day in 1000',
    'one day in eight',
    'one day in three',
    'five days in ten',
    'seven days in ten',
    'nearly all days',
    'all days',
  ]);
  expect(shareInWords(3, 10_000)).toBe('fewer than one day in a thousand');
});
