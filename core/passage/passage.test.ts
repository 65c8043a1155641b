import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { passage } from './passage';
import { type Hull, type Leg, speedThroughWater, travel } from './travel';
import { toward } from '../environment/flow';
import { turnBack } from './turnBack';

const at = '2026-05-16T06:00:00Z';
const craft: Hull = { cruiseMps: 1.5, powerW: 45, windageM2: 0.45, lateralAirM2: 1.1, lateralWaterM2: 0.5 };
const calm = [{ at, speedMps: 0, fromDeg: 0 }];
const slack = [{ at, speedMps: 0, towardDeg: 0 }];
const east = [{ bearingDeg: 90, distanceM: 3000 }];

describe('passage', () => {
  it('of 3 km into 6 m/s with a stream across takes 2451 s at 1.224 m/s, crab −13.8°', () => {
    const way = passage({
      departAt: at,
      craft,
      legs: east,
      wind: [{ at, speedMps: 6, fromDeg: 90 }],
      stream: [{ at, speedMps: 0.3, towardDeg: 180 }],
    });
    expect(way.totalS).toBeCloseTo(2451, 0);
    expect(way.legs[0]).toMatchObject({ feasible: true, why: null });
    expect(way.legs[0]?.meanGroundMps).toBeCloseTo(1.224, 3);
    expect(way.legs[0]?.maxCrabDeg).toBeCloseTo(-13.8, 1);
    expect(way.energyKj).toBeCloseTo((45 * (way.totalS ?? 0)) / 1000, 9);
  });
  it('in still air and water, without windage, goes at the cruising pace', () => {
    const bare = { ...craft, windageM2: 0 };
    const way = passage({ departAt: at, craft: bare, legs: east, wind: calm, stream: slack });
    expect(way.totalS).toBeCloseTo(2000, 6);
    // With windage even still air holds back, as one moves through it.
    expect(passage({ departAt: at, craft, legs: east, wind: calm, stream: slack }).totalS).toBeGreaterThan(
      2000,
    );
  });
  it('with a stream along adds it, and against takes it away', () => {
    const bare = { ...craft, windageM2: 0 };
    const go = (towardDeg: number) =>
      passage({
        departAt: at,
        craft: bare,
        legs: east,
        wind: calm,
        stream: [{ at, speedMps: 0.5, towardDeg }],
      }).totalS;
    expect(go(90)).toBeCloseTo(1500, 6);
    expect(go(270)).toBeCloseTo(3000, 6);
  });
  it('cannot hold a track across a stream as fast as the boat, nor make way against one', () => {
    const bare = { ...craft, windageM2: 0 };
    const stream = (speedMps: number, towardDeg: number) =>
      passage({
        departAt: at,
        craft: bare,
        legs: [...east, ...east],
        wind: calm,
        stream: [{ at, speedMps, towardDeg }],
      });
    expect(stream(1.5, 180).legs.map((leg) => leg.why)).toEqual(['cannot hold track', 'not reached']);
    expect(stream(1.49, 180).legs[0]?.why, 'held, but crabbing nearly across').toBeNull();
    expect(stream(1.46, 270).legs[0]?.why).toBe('no headway');
    expect(stream(1.4, 270).feasible).toBe(true);
    expect(stream(1.5, 180)).toMatchObject({ feasible: false, totalS: null, energyKj: null });
  });
  it('takes conditions straight between the hours in their parts, and holds the ends', () => {
    const bare = { ...craft, windageM2: 0 };
    const hours = [
      { at, speedMps: 0, towardDeg: 90 },
      { at: '2026-05-16T07:00:00Z', speedMps: 1, towardDeg: 90 },
    ];
    const way = passage({
      departAt: at,
      craft: bare,
      legs: [{ bearingDeg: 90, distanceM: 7200 }],
      wind: calm,
      stream: hours,
    });
    // In one hour 1.5 · 3600 and the stream's mean over the 60 steps' starts: ½ (1 − 1/60) · 3600 = 7170 m;
    // the rest at 2.5 m/s.
    expect(way.totalS).toBeCloseTo(3600 + (7200 - 5400 - 1770) / 2.5, 6);
  });
  it('through the water never depends on how a leg is cut where nothing changes', () => {
    const wind = [{ at, speedMps: 4, fromDeg: 130 }];
    const whole = passage({ departAt: at, craft, legs: east, wind, stream: slack }).totalS ?? 0;
    const cut =
      passage({
        departAt: at,
        craft,
        legs: [
          { bearingDeg: 90, distanceM: 1234 },
          { bearingDeg: 90, distanceM: 1766 },
        ],
        wind,
        stream: slack,
      }).totalS ?? 0;
    expect(cut).toBeCloseTo(whole, 6);
  });
});

describe('speed through the water', () => {
  it('is the root of power against drag for any wind, and more power is never slower', () => {
    const drag = 0.5 * 1.225 * 0.45;
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 30, noNaN: true }),
        fc.double({ min: 5, max: 400, noNaN: true }),
        fc.double({ min: 0.1, max: 5, noNaN: true }),
        (head, power, guess) => {
          const k = 45 / 1.5 ** 3;
          const s = speedThroughWater(k, drag, head, power, guess);
          expect((k * s * s + drag * (head + s) * Math.abs(head + s)) * s).toBeCloseTo(power, 6);
          expect(speedThroughWater(k, drag, head, power * 1.1, guess)).toBeGreaterThan(s);
        },
      ),
    );
  });
});

describe('turn-back', () => {
  const start = Date.parse(at);
  const leg = (stream: Leg['stream']): Leg[] => [
    { bearingDeg: 270, distanceM: 3000, wind: () => ({ east: 0, north: 0 }), stream },
  ];
  const bare = { ...craft, windageM2: 0 };
  const still = leg(() => ({ east: 0, north: 0 }));
  it('is the last five minutes from which one is in by the deadline', () => {
    const deadline = start + 4 * 3_600_000;
    const latest = turnBack(still, bare, deadline, start) ?? 0;
    expect(latest % 300_000).toBe(0);
    const home = (from: number) => from + (travel(from, bare, still).totalS ?? Infinity) * 1000;
    expect(home(latest)).toBeLessThanOrEqual(deadline);
    expect(home(latest + 300_000)).toBeGreaterThan(deadline);
  });
  it('is none when even the first start is too late', () => {
    expect(turnBack(still, bare, start + 1_900_000, start)).toBeNull();
  });
  it('agrees with trying every five minutes, through a stream that shuts the way for hours', () => {
    const race = leg((moment) => toward(1.8 * Math.sin(((moment - start) / 3_600_000 / 6.2) * Math.PI), 90));
    for (let hours = 1; hours <= 14; hours += 1) {
      const deadline = start + hours * 3_600_000;
      let slow: number | null = null;
      for (
        let from = Math.floor(deadline / 300_000) * 300_000;
        from >= start && slow === null;
        from -= 300_000
      ) {
        const { totalS } = travel(from, bare, race);
        if (totalS !== null && from + totalS * 1000 <= deadline) slow = from;
      }
      expect(turnBack(race, bare, deadline, start), `deadline after ${hours} h`).toBe(slow);
    }
  });
  it('agrees with trying every five minutes, whatever the wind and the stream do on the way', () => {
    const flow = fc
      .record({
        most: fc.double({ min: 0, max: 3, noNaN: true }),
        hours: fc.double({ min: 1.5, max: 9, noNaN: true }),
        phase: fc.double({ min: 0, max: 6.28, noNaN: true }),
        towardDeg: fc.integer({ min: 0, max: 359 }),
      })
      .map(
        ({ most, hours, phase, towardDeg }) =>
          (moment: number) =>
            toward(most * Math.sin((Math.PI * (moment - start)) / 3_600_000 / hours + phase), towardDeg),
      );
    const piece = fc.record({
      bearingDeg: fc.integer({ min: 0, max: 359 }),
      distanceM: fc.integer({ min: 50, max: 4000 }),
      stream: flow,
      wind: flow.map((at) => (moment: number) => {
        const { east, north } = at(moment);
        return { east: east * 4, north: north * 4 };
      }),
    });
    fc.assert(
      fc.property(
        fc.array(piece, { minLength: 1, maxLength: 4 }),
        fc.integer({ min: 60, max: 700 }),
        (legs, minutes) => {
          const deadline = start + minutes * 60_000;
          let slow: number | null = null;
          for (
            let from = Math.floor(deadline / 300_000) * 300_000;
            from >= start && slow === null;
            from -= 300_000
          ) {
            const { totalS } = travel(from, craft, legs);
            if (totalS !== null && from + totalS * 1000 <= deadline) slow = from;
          }
          expect(turnBack(legs, craft, deadline, start)).toBe(slow);
        },
      ),
      runs(400),
    );
  });
});
