import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { type TestApp, openApp } from '../testing/openApp';

/**
 * Every sum again, written from its formula alone and in another way than core does it (bisection for
 * algebra, enumeration for series, vectors for trigonometry). None of core's own code or tables is used here,
 * so that a slip in one is not repeated in the other.
 */
let test: TestApp;
beforeAll(async () => {
  test = await openApp({ withDemo: false });
});
afterAll(() => test.close());

type Answer = Record<string, number | boolean | string | null>;
const calc = async (name: string, payload: object): Promise<Answer> => {
  const reply = await test.app.inject({ method: 'POST', url: `/api/calc/${name}`, payload });
  expect(reply.statusCode, `${name} ${JSON.stringify(payload)} ${reply.body}`).toBe(200);
  return reply.json<Answer>();
};

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const one = <T>(...options: T[]) => fc.constantFrom(...options);
const gravity = 9.80665;
const air = 1.225;
const degrees = (radians: number) => (radians * 180) / Math.PI;
const radians = (deg: number) => (deg * Math.PI) / 180;

/** Equal to one part in a hundred thousand, or both as good as nothing. */
function close(got: Answer[string] | undefined, want: number | null, what: string) {
  if (want === null) return expect(got, what).toBeNull();
  const said = `${what}: ${String(got)} for ${want}`;
  expect(typeof got, said).toBe('number');
  return expect(Math.abs((got as number) - want), said).toBeLessThanOrEqual(1e-5 * Math.abs(want) + 1e-6);
}
/** Where a rising function passes nought. */
function rootOf(rising: (x: number) => number, low: number, high: number): number {
  let [a, b] = [low, high];
  for (let i = 0; i < 200; i += 1) {
    const middle = (a + b) / 2;
    if (rising(middle) < 0) a = middle;
    else b = middle;
  }
  return (a + b) / 2;
}
/** A table read between its points, its ends held. */
function between(x: number, ...points: [number, number][]): number {
  const above = points.findIndex(([at]) => at >= x);
  if (above === 0) return points[0]?.[1] ?? NaN;
  if (above < 0) return points[points.length - 1]?.[1] ?? NaN;
  const [[x0, y0], [x1, y1]] = [points[above - 1] ?? [0, 0], points[above] ?? [0, 0]];
  return y0 + ((y1 - y0) * (x - x0)) / (x1 - x0);
}
const always = <T extends object>(inputs: fc.Arbitrary<T>, check: (input: T) => Promise<void>) =>
  fc.assert(fc.asyncProperty(inputs, check), runs(120));

describe('each sum, reckoned a second time', () => {
  it('anchor: load, scope, holding, angle, down-pull and swing', async () => {
    const hold: Record<string, Record<string, number>> = {
      grapnel: { mud: 2, sand: 3, gravel: 3, weed: 2, rock: 6 },
      claw: { mud: 6, sand: 10, gravel: 5, weed: 3, rock: 4 },
      fluke: { mud: 10, sand: 16, gravel: 4, weed: 2, rock: 2 },
      mushroom: { mud: 3, sand: 1.5, gravel: 1, weed: 1, rock: 0.8 },
      deadweight: { mud: 0.8, sand: 0.6, gravel: 0.6, weed: 0.4, rock: 0.5 },
    };
    const inputs = fc.record({
      depthM: num(0.5, 60),
      tideRiseM: num(0, 8),
      attachHeightM: num(0, 1),
      rodeM: num(5, 300),
      anchor: fc.record({ massKg: num(0.3, 20), type: one(...Object.keys(hold)) }),
      bottom: one('mud', 'sand', 'gravel', 'weed', 'rock'),
      streamMps: num(0, 2.5),
      windMps: num(0, 15),
      hsM: num(0, 2),
      craft: fc.record({
        cruiseMps: num(0.8, 2.5),
        powerW: num(20, 150),
        windageM2: num(0.2, 1),
        lateralAirM2: num(0.5, 2),
        lateralWaterM2: num(0.2, 1),
      }),
      alignment: one('bow', 'stern', 'beam'),
      waterDensity: one(1000, 1025),
    });
    await always(inputs, async (input) => {
      const { craft, streamMps: v, windMps: w, hsM, waterDensity } = input;
      const vertical = input.depthM + input.tideRiseM + input.attachHeightM;
      const steady =
        input.alignment === 'beam'
          ? 0.5 * waterDensity * craft.lateralWaterM2 * v ** 2 + 0.5 * air * craft.lateralAirM2 * w ** 2
          : (craft.powerW / craft.cruiseMps ** 3) * v ** 2 + 0.5 * air * craft.windageM2 * w ** 2;
      const load = steady * Math.max(1, Math.min(2.5, 1 + hsM / 0.6));
      const target = hsM < 0.15 && v < 0.3 && w < 4 ? 3 : hsM < 0.4 && v < 0.6 && w < 8 ? 5 : 7;
      const scope = Math.min(input.rodeM / vertical, target);
      const got = await calc('anchor', input);
      close(got.loadN, load, 'load');
      close(got.scopeTarget, target, 'target');
      close(got.scope, scope, 'scope');
      close(got.rodeNeededM, target * vertical, 'rode needed');
      const reaches = scope >= 1;
      const efficiency = between(
        scope,
        [1, 0],
        [2, 0.35],
        [3, 0.53],
        [4, 0.67],
        [5, 0.77],
        [6, 0.85],
        [7, 0.91],
      );
      const factor = hold[input.anchor.type]?.[input.bottom] ?? NaN;
      const holding = reaches
        ? input.anchor.massKg * (1 - waterDensity / 7850) * gravity * factor * efficiency
        : 0;
      close(got.holdingN, holding, 'holding');
      close(got.margin, !reaches ? 0 : load < 1e-6 ? null : holding / load, 'margin');
      // The rode, the depth under it and the swing over the ground are a right triangle.
      const swing = reaches ? Math.sqrt(Math.max(0, (scope * vertical) ** 2 - vertical ** 2)) : 0;
      close(got.swingRadiusM, swing, 'swing');
      if (scope > 1.001) {
        close(got.rodeAngleDeg, degrees(Math.atan2(vertical, swing)), 'angle');
        close(got.downPullN, (load * vertical) / swing, 'down-pull');
      }
      if (!reaches) expect(got.downPullN).toBeNull();
    });
  });

  it('drift: with a drogue, without, and the size that gives the speed wanted', async () => {
    const inputs = fc.record({
      windMps: num(0.1, 20),
      lateralAirM2: num(0.3, 3),
      lateralWaterM2: num(0.1, 2),
      drogue: fc.record({ diameterM: num(0.1, 2), cd: num(0.5, 2) }),
      targetMps: num(0.02, 1),
      waterDensity: one(1000, 1025),
    });
    await always(inputs, async (input) => {
      const { windMps, lateralAirM2, waterDensity, drogue } = input;
      const plate = (d: number) => (drogue.cd * Math.PI * d ** 2) / 4;
      // Air pushes as hard as water holds: the speed at which the two are equal.
      const speed = (waterM2: number) =>
        rootOf((u) => waterDensity * waterM2 * u ** 2 - air * lateralAirM2 * (windMps - u) ** 2, 0, windMps);
      const got = await calc('drift', input);
      close(got.withoutDrogueMps, speed(input.lateralWaterM2), 'without');
      const slow = speed(input.lateralWaterM2 + plate(drogue.diameterM));
      close(got.driftMps, slow, 'with');
      close(got.drogueForceN, 0.5 * waterDensity * plate(drogue.diameterM) * slow ** 2, 'force');
      const faster = speed(input.lateralWaterM2) > input.targetMps;
      const wanted = faster
        ? rootOf((d) => input.targetMps - speed(input.lateralWaterM2 + plate(d)), 0, 60)
        : 0;
      if (wanted < 59) close(got.diameterForTargetM, wanted, 'size');
    });
  });

  it('rig and spool: the first of the weakest parts, and the same room filled by a line of another thickness', async () => {
    const part = fc.record({ name: fc.uuid(), ratedKg: num(0.5, 60), knotEfficiency: num(0.4, 1) });
    const rigs = fc.record({
      parts: fc.array(part, { minLength: 1, maxLength: 6 }),
      dragFraction: num(0.1, 0.9),
    });
    await always(rigs, async (input) => {
      let weakest = input.parts[0];
      for (const next of input.parts)
        if (weakest && next.ratedKg * next.knotEfficiency < weakest.ratedKg * weakest.knotEfficiency)
          weakest = next;
      const strength = (weakest?.ratedKg ?? 0) * (weakest?.knotEfficiency ?? 0);
      const got = await calc('rig', input);
      expect(got.weakest).toBe(weakest?.name);
      close(got.strengthKg, strength, 'strength');
      close(got.dragKg, strength * input.dragFraction, 'drag');
    });
    const spools = fc.record({
      refLengthM: num(20, 600),
      refDiameterMm: num(0.08, 1),
      diameterMm: num(0.08, 1),
    });
    await always(spools, async (input) => {
      const volume = (lengthM: number, mm: number) => lengthM * mm * mm;
      const filled = rootOf(
        (m) => volume(m, input.diameterMm) - volume(input.refLengthM, input.refDiameterMm),
        0,
        600 * 200,
      );
      close((await calc('spool', input)).lengthM, filled, 'spool');
    });
  });

  it('jig: the least mass that keeps its line within the angle, and how it sinks', async () => {
    const inputs = fc.record({
      depthM: num(2, 120),
      relativeSpeedMps: num(0.02, 1.2),
      lineDiameterMm: num(0.08, 0.6),
      densityKgM3: one(11340, 17000, 7850),
      maxAngleDeg: num(10, 60),
      waterDensity: one(1000, 1025),
    });
    await always(inputs, async (input) => {
      const { densityKgM3, waterDensity: rho, relativeSpeedMps: v } = input;
      const facing = (kg: number) => Math.PI * ((3 * kg) / (4 * Math.PI * densityKgM3)) ** (2 / 3);
      const weight = (kg: number) => kg * gravity * (1 - rho / densityKgM3);
      const lineN = 0.5 * rho * 1.2 * (input.lineDiameterMm / 1000) * input.depthM * v * v;
      const leans = (kg: number) =>
        degrees(Math.atan2(0.5 * rho * 0.8 * facing(kg) * v * v + lineN, weight(kg)));
      const kg = rootOf((mass) => input.maxAngleDeg - leans(mass), 1e-9, 1000);
      const sinks = Math.sqrt((2 * weight(kg)) / (rho * 0.8 * facing(kg)));
      const got = await calc('jig', input);
      close(got.massG, kg * 1000, 'mass');
      close(got.sinkMps, sinks, 'sinks');
      close(got.sinkS, input.depthM / sinks, 'time');
    });
  });

  it('spread: the tips of two rods, as points in space', async () => {
    const inputs = fc.record({
      holderHalfSpanM: num(0.1, 1),
      rodLengthM: num(1, 4),
      outAngleDeg: num(0, 90),
      elevationDeg: num(0, 80),
    });
    await always(inputs, async (input) => {
      const { rodLengthM: l, holderHalfSpanM: half } = input;
      const [out, up] = [radians(input.outAngleDeg), radians(input.elevationDeg)];
      const tip = (side: 1 | -1) => [
        side * (half + l * Math.cos(up) * Math.sin(out)),
        l * Math.cos(up) * Math.cos(out),
        l * Math.sin(up),
      ];
      const [port, starboard] = [tip(-1), tip(1)];
      const apart = Math.hypot(...port.map((at, i) => at - (starboard[i] ?? 0)));
      close((await calc('spread', input)).spreadM, apart, 'spread');
    });
  });

  it('spares: the fewest that last, each chance added up one by one', async () => {
    const inputs = fc.record({ lossPerHour: num(0.01, 3), hours: num(0.5, 14), confidence: num(0.5, 0.995) });
    await always(inputs, async (input) => {
      const expected = input.lossPerHour * input.hours;
      let chance = Math.exp(-expected);
      let covered = chance;
      let carry = 0;
      while (covered < input.confidence) {
        carry += 1;
        chance *= expected / carry;
        covered += chance;
      }
      const got = await calc('spares', input);
      close(got.expected, expected, 'expected');
      expect(got.carry).toBe(carry);
      close(got.covered, covered, 'covered');
    });
  });

  it('power: what a battery gives by its chemistry, its draw, the cold and its age', async () => {
    const cells: Record<string, { p: number; share: number; cold: [number, number][] }> = {
      sla: {
        p: 1.2,
        share: 0.5,
        cold: [
          [-20, 0.5],
          [0, 0.8],
          [25, 1],
        ],
      },
      lifepo4: {
        p: 1.03,
        share: 0.9,
        cold: [
          [-20, 0.6],
          [0, 0.88],
          [25, 1],
        ],
      },
      liion: {
        p: 1.05,
        share: 0.85,
        cold: [
          [-20, 0.6],
          [0, 0.85],
          [25, 1],
        ],
      },
      nimh: {
        p: 1.1,
        share: 0.8,
        cold: [
          [-20, 0.5],
          [0, 0.8],
          [25, 1],
        ],
      },
      alkaline: {
        p: 1.2,
        share: 0.8,
        cold: [
          [-20, 0.25],
          [0, 0.65],
          [25, 1],
        ],
      },
    };
    const load = fc.record({
      name: one('load'),
      watts: num(0.5, 80),
      duty: num(0.05, 1),
      hours: num(0.2, 14),
    });
    const inputs = fc.record({
      battery: fc.record({
        chemistry: one(...Object.keys(cells)),
        volts: num(1.2, 26),
        ampHours: num(1, 120),
        ratedHours: num(5, 40),
        health: num(0.3, 1),
      }),
      tempC: num(-30, 40),
      loads: fc.array(load, { minLength: 1, maxLength: 5 }),
      reserve: num(0, 0.6),
    });
    await always(inputs, async (input) => {
      const { volts, ampHours, ratedHours, health, chemistry } = input.battery;
      const cell = cells[chemistry];
      if (!cell) throw new Error(chemistry);
      const needed = input.loads.reduce((sum, { watts, duty, hours }) => sum + watts * duty * hours, 0);
      const average = needed / Math.max(...input.loads.map(({ hours }) => hours));
      const amps = average / volts;
      const drawn = Math.min(ampHours, ampHours * (ampHours / (amps * ratedHours)) ** (cell.p - 1));
      const usable = volts * drawn * cell.share * between(input.tempC, ...cell.cold) * health;
      const spare = usable * (1 - input.reserve) - needed;
      const got = await calc('power', input);
      close(got.neededWh, needed, 'needed');
      close(got.usableWh, usable, 'usable');
      close(got.hoursToEmpty, usable / average, 'hours');
      close(got.spareWh, spare, 'spare');
      expect(got.enough).toBe(spare >= 0);
    });
  });

  it('water and ice: by person and hour; by what warms the store', async () => {
    const effort: Record<string, number> = { rest: 0.15, easy: 0.35, steady: 0.5, hard: 0.75 };
    const waters = fc.record({
      persons: fc.integer({ min: 1, max: 8 }),
      hours: num(0.5, 40),
      feelsC: num(-5, 48),
      effort: one(...Object.keys(effort)),
    });
    await always(waters, async (input) => {
      const hour = Math.min(1.2, (effort[input.effort] ?? 0) + 0.02 * Math.max(0, input.feelsC - 20));
      const got = await calc('water', input);
      close(got.litresPerHour, hour, 'an hour');
      close(got.litres, hour * input.persons * input.hours * 1.25, 'litres');
    });
    const ices = fc.record({
      fishKg: num(0, 40),
      fishStartC: num(5, 30),
      hours: num(0.5, 30),
      ambientC: num(5, 45),
      uaWK: num(0.1, 5),
      targetC: num(0, 5),
      iceStartC: num(-20, 0),
    });
    await always(ices, async (input) => {
      const { targetC } = input;
      const fishKj = 3.6 * input.fishKg * (input.fishStartC - targetC);
      const wallsKj = (input.uaWK * (input.ambientC - targetC) * input.hours * 3600) / 1000;
      const perKg = 2.1 * Math.abs(input.iceStartC) + 334 + 4.19 * targetC;
      const got = await calc('ice', input);
      close(got.heatKj, fishKj + wallsKj, 'heat');
      close(got.iceKg, (fishKj + wallsKj) / perKg, 'ice');
    });
  });

  it('surf, and waves on a stream: the breaker, and a height that keeps the wave’s action', async () => {
    await always(fc.record({ hsM: num(0.05, 5), periodS: num(2, 18) }), async (input) => {
      const breaker = 0.39 * gravity ** 0.2 * (input.periodS * input.hsM ** 2) ** 0.4;
      const got = await calc('surf', input);
      close(got.breakerM, breaker, 'breaker');
      close(got.breakDepthM, breaker / 0.78, 'depth');
    });
    const streams = fc.record({ hsM: num(0.05, 2), periodS: num(1.5, 9), streamMps: num(-4, 4) });
    await always(streams, async (input) => {
      const u = input.streamMps;
      const still = (gravity * input.periodS) / (2 * Math.PI);
      const got = await calc('wave-on-stream', input);
      expect(got.blocked).toBe(u <= -still / 4);
      // Within a thousandth of being stopped the factor runs away: any way of reckoning it differs there.
      if (u <= (-still / 4) * 0.999) return;
      // c² = c0 (c + U): the wave's period is the same for who stands still.
      const c = rootOf((speed) => speed ** 2 - still * (speed + u), Math.max(-u, 0) + 1e-12, still * 4 + 8);
      const factor = still / Math.sqrt(c * (c + 2 * u));
      close(got.factor, factor, 'factor');
      close(got.hsM, input.hsM * factor, 'height');
      close(got.steepness, (input.hsM * factor * gravity) / (2 * Math.PI * c ** 2), 'steepness');
    });
  });

  it('waves by fetch in deep water: the growth curves, and their ends', async () => {
    const inputs = fc.record({
      windSpeedMps: num(1, 30),
      fetchM: num(50, 400_000),
      durationS: one(null),
      depthM: one(null),
    });
    await always(inputs, async (input) => {
      const u = input.windSpeedMps;
      const friction = u * Math.sqrt(0.001 * (1.1 + 0.035 * u));
      const fetch = (gravity * input.fetchM) / friction ** 2;
      const height = (friction ** 2 / gravity) * Math.min(4.13e-2 * Math.sqrt(fetch), 211.5);
      const period = (friction / gravity) * Math.min(0.651 * Math.cbrt(fetch), 239.8);
      const length = (gravity * period ** 2) / (2 * Math.PI);
      const got = await calc('waves', input);
      close(got.hsM, height, 'height');
      close(got.tpS, period, 'period');
      close(got.lengthM, length, 'length');
      close(got.steepness, height / length, 'steepness');
    });
  });

  it('passage: step by step along each leg, through wind and stream that turn', async () => {
    const start = Date.parse('2026-05-16T05:00:00Z');
    const rows = (most: number) =>
      fc
        .array(fc.record({ speedMps: num(0, most), deg: num(0, 359) }), { minLength: 1, maxLength: 4 })
        .map((list) => list.map((row, i) => ({ ...row, at: new Date(start + i * 1_800_000).toISOString() })));
    const inputs = fc.record({
      craft: fc.record({
        cruiseMps: num(1, 2.2),
        powerW: num(30, 120),
        windageM2: num(0.2, 0.8),
        lateralAirM2: num(0.5, 1.5),
        lateralWaterM2: num(0.3, 0.8),
      }),
      legs: fc.array(fc.record({ bearingDeg: num(0, 359), distanceM: num(50, 4000) }), {
        minLength: 1,
        maxLength: 3,
      }),
      wind: rows(11),
      stream: rows(1.2),
    });
    await always(inputs, async ({ craft, legs, wind, stream }) => {
      // Where it blows to and runs to, as a vector [east, north], held at both ends.
      const vector = (list: typeof wind, turned: number, t: number) => {
        const parts = list.map(({ speedMps, deg, at }) => ({
          at: Date.parse(at),
          east: speedMps * Math.sin(radians(deg + turned)),
          north: speedMps * Math.cos(radians(deg + turned)),
        }));
        const along = (pick: 'east' | 'north') =>
          between(t, ...parts.map((part): [number, number] => [part.at, part[pick]]));
        return [along('east'), along('north')] as const;
      };
      const hull = craft.powerW / craft.cruiseMps ** 3;
      const slip = Math.sqrt((air * craft.lateralAirM2) / (1025 * craft.lateralWaterM2));
      let t = start;
      let stopped: string | null = null;
      const durations: number[] = [];
      for (const leg of legs) {
        const [east, north] = [Math.sin(radians(leg.bearingDeg)), Math.cos(radians(leg.bearingDeg))];
        const alongTrack = ([x, y]: readonly [number, number]) => x * east + y * north;
        const toTheRight = ([x, y]: readonly [number, number]) => x * north - y * east;
        let left = leg.distanceM;
        const began = t;
        while (left > 0 && stopped === null) {
          const [blows, runs_] = [vector(wind, 180, t), vector(stream, 0, t)];
          const head = -alongTrack(blows);
          const speed = rootOf(
            (u) =>
              (hull * u ** 2 + 0.5 * air * craft.windageM2 * (head + u) * Math.abs(head + u)) * u -
              craft.powerW,
            1e-9,
            30,
          );
          const across = toTheRight(blows) * slip + toTheRight(runs_);
          const ground = Math.sqrt(Math.max(0, speed ** 2 - across ** 2)) + alongTrack(runs_);
          if (Math.abs(across) >= speed) stopped = 'cannot hold track';
          else if (ground <= 0.05) stopped = 'no headway';
          else {
            const seconds = Math.min(60, left / ground);
            left -= seconds * ground;
            if (left < 1e-9) left = 0;
            t += seconds * 1000;
          }
        }
        if (stopped !== null) break;
        durations.push((t - began) / 1000);
      }
      const reply = await test.app.inject({
        method: 'POST',
        url: '/api/calc/passage',
        payload: {
          departAt: new Date(start).toISOString(),
          craft,
          legs,
          wind: wind.map(({ at, speedMps, deg }) => ({ at, speedMps, fromDeg: deg })),
          stream: stream.map(({ at, speedMps, deg }) => ({ at, speedMps, towardDeg: deg })),
        },
      });
      const got = reply.json<{
        feasible: boolean;
        totalS: number | null;
        energyKj: number | null;
        legs: Answer[];
      }>();
      expect(got.feasible).toBe(stopped === null);
      durations.forEach((seconds, i) => {
        close(got.legs[i]?.durationS, seconds, `leg ${i}`);
        close(got.legs[i]?.meanGroundMps, (legs[i]?.distanceM ?? 0) / seconds, `ground ${i}`);
      });
      if (stopped !== null) expect(got.legs[durations.length]?.why).toBe(stopped);
      const total = durations.reduce((sum, seconds) => sum + seconds, 0);
      if (stopped === null) close(got.energyKj, (craft.powerW * total) / 1000, 'energy');
    });
  });
});
