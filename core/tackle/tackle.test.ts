import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { G, LEAD, SALT_WATER } from '../units/constants';
import { jig, jigForces, sinkSpeed } from './jig';
import { rig, strengthOf } from './rig';
import { spares } from './spares';
import { spool } from './spool';
import { spread } from './spread';

describe('a rig', () => {
  const parts = [
    { name: 'main line', ratedKg: 10, knotEfficiency: 0.9 },
    { name: 'clip', ratedKg: 9 },
    { name: 'leader', ratedKg: 8, knotEfficiency: 0.95 },
  ];
  it('breaks at its weakest part after its knot, and is dragged well below', () => {
    const { weakest, strengthKg, dragKg } = rig({ parts });
    expect([weakest, strengthKg]).toEqual(['leader', 7.6]);
    expect(dragKg).toBeCloseTo(2.28, 12);
  });
  it('names the first of two equally weak', () => {
    expect(rig({ parts: [...parts, { name: 'hook link', ratedKg: 7.6 }] }).weakest).toBe('leader');
  });
  it('is never stronger than any part of it', () => {
    const part = fc.record({
      name: fc.string(),
      ratedKg: fc.double({ min: 0, max: 100, noNaN: true }),
      knotEfficiency: fc.double({ min: 0.1, max: 1, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 9 }), (list) => {
        const { strengthKg } = rig({ parts: list });
        for (const one of list) expect(strengthKg).toBeLessThanOrEqual(strengthOf(one));
        expect(list.some((one) => strengthOf(one) === strengthKg)).toBe(true);
      }),
    );
  });
});

describe('a spool', () => {
  it('holds the same volume of whatever line: length times diameter squared', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.05, max: 2, noNaN: true }), (diameterMm) => {
        const { lengthM } = spool({ refLengthM: 240, refDiameterMm: 0.28, diameterMm });
        expect(lengthM * diameterMm ** 2).toBeCloseTo(240 * 0.28 ** 2, 9);
      }),
    );
  });
});

describe('a jig', () => {
  it('of the worked example weighs 92 g', () => {
    expect(jig({ depthM: 25, relativeSpeedMps: 0.4, lineDiameterMm: 0.18 }).massG).toBeCloseTo(92, 0);
  });
  it('balances its forces at the angle asked for', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 120, noNaN: true }),
        fc.double({ min: 0.05, max: 1.5, noNaN: true }),
        fc.double({ min: 0.08, max: 1, noNaN: true }),
        fc.double({ min: 5, max: 80, noNaN: true }),
        (depthM, v, d, angle) => {
          const m = jig({ depthM, relativeSpeedMps: v, lineDiameterMm: d, maxAngleDeg: angle }).massG / 1000;
          const radius = Math.cbrt((3 * m) / (4 * Math.PI * LEAD));
          const drag = 0.5 * SALT_WATER * v * v * (0.8 * Math.PI * radius ** 2 + (1.2 * d * depthM) / 1000);
          const weight = m * G * (1 - SALT_WATER / LEAD);
          expect((Math.atan(drag / weight) * 180) / Math.PI).toBeCloseTo(angle, 6);
        },
      ),
    );
  });
  it('without a line is the closed form m^(1/3) = p·Cd·k/(hold)', () => {
    const { massG } = jig({ depthM: 30, relativeSpeedMps: 0.5, lineDiameterMm: 0 });
    const k = Math.PI * (3 / (4 * Math.PI * LEAD)) ** (2 / 3);
    const hold = G * (1 - SALT_WATER / LEAD) * Math.tan(Math.PI / 6);
    expect(massG / 1000).toBeCloseTo(((0.5 * SALT_WATER * 0.25 * 0.8 * k) / hold) ** 3, 12);
  });
  it('wants nothing in still water', () => {
    expect(jig({ depthM: 30, relativeSpeedMps: 0, lineDiameterMm: 0.2 })).toEqual({
      massG: 0,
      sinkMps: null,
      sinkS: null,
    });
  });
  it('tells the forces that it balances, by the coefficients it is given', () => {
    const cd = fc.double({ min: 0.2, max: 2, noNaN: true });
    fc.assert(
      fc.property(cd, cd, fc.double({ min: 10, max: 60, noNaN: true }), (jigCd, lineCd, maxAngleDeg) => {
        const input = { depthM: 30, relativeSpeedMps: 0.4, lineDiameterMm: 0.2, jigCd, lineCd, maxAngleDeg };
        const { massG, sinkMps } = jig(input);
        const { ballN, lineN, weightN, ballM2 } = jigForces(input, massG / 1000);
        expect((Math.atan2(ballN + lineN, weightN) * 180) / Math.PI).toBeCloseTo(maxAngleDeg, 6);
        expect(0.5 * SALT_WATER * jigCd * ballM2 * (sinkMps ?? 0) ** 2).toBeCloseTo(weightN, 6);
      }),
    );
    const more = (change: object) =>
      jig({ depthM: 30, relativeSpeedMps: 0.4, lineDiameterMm: 0.2, ...change }).massG;
    expect(more({ lineCd: 1.3 })).toBeGreaterThan(more({}));
    expect(more({ jigCd: 0.9 })).toBeGreaterThan(more({}));
  });
  it('sinks at the speed at which drag carries its weight', () => {
    const v = sinkSpeed(0.1);
    const radius = Math.cbrt((3 * 0.1) / (4 * Math.PI * LEAD));
    expect(0.5 * SALT_WATER * 0.8 * Math.PI * radius ** 2 * v * v).toBeCloseTo(
      0.1 * G * (1 - SALT_WATER / LEAD),
      9,
    );
  });
});

describe('a spread', () => {
  it('straight out and level is two rods and the span; straight ahead, the span alone', () => {
    const at = (outAngleDeg: number, elevationDeg: number) =>
      spread({ holderHalfSpanM: 0.4, rodLengthM: 2.4, outAngleDeg, elevationDeg }).spreadM;
    expect(at(90, 0)).toBeCloseTo(5.6, 12);
    expect(at(0, 0)).toBeCloseTo(0.8, 12);
    expect(at(90, 90)).toBeCloseTo(0.8, 12);
    expect(at(80, 25)).toBeCloseTo(5.08, 2);
  });
});

describe('spares', () => {
  it('are 6 for half a loss an hour over six hours, which covers 0.966', () => {
    const { expected, carry, covered } = spares({ lossPerHour: 0.5, hours: 6 });
    expect([expected, carry]).toEqual([3, 6]);
    expect(covered).toBeCloseTo(0.9665, 4);
  });
  it('are the smallest number that covers, against the sum written out', () => {
    const poisson = (n: number, mean: number) => {
      let [term, sum] = [Math.exp(-mean), Math.exp(-mean)];
      for (let k = 1; k <= n; k += 1) sum += term *= mean / k;
      return sum;
    };
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 60, noNaN: true }),
        fc.double({ min: 0.5, max: 0.999, noNaN: true }),
        (mean, confidence) => {
          const { carry, covered } = spares({ lossPerHour: mean, hours: 1, confidence });
          expect(covered).toBeCloseTo(poisson(carry, mean), 9);
          if (carry > 0) expect(poisson(carry - 1, mean)).toBeLessThan(confidence);
        },
      ),
    );
  });
  it('come to an end for very many losses, and are none where nothing is lost', () => {
    const { carry } = spares({ lossPerHour: 100, hours: 100 });
    expect(carry).toBeGreaterThan(10_000);
    expect(carry).toBeLessThan(10_250);
    expect(spares({ lossPerHour: 0, hours: 6 })).toEqual({ expected: 0, carry: 0, covered: 1 });
  });
});
