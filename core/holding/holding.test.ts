import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AIR_DENSITY, G, SALT_WATER, STEEL } from '../units/constants';
import { type AnchorInput, anchor, scopeShare, surge } from './anchor';
import { drift } from './drift';
import { pole } from './pole';

const craft = { cruiseMps: 1.5, powerW: 45, windageM2: 0.45, lateralAirM2: 1.1, lateralWaterM2: 0.5 };
const example: AnchorInput = {
  depthM: 4,
  tideRiseM: 1,
  attachHeightM: 0.3,
  rodeM: 30,
  anchor: { massKg: 1.5, type: 'claw' },
  bottom: 'sand',
  streamMps: 0.4,
  windMps: 6,
  hsM: 0.2,
  craft,
  alignment: 'bow',
};

describe('an anchor', () => {
  it('of the worked example', () => {
    const sum = anchor(example);
    expect(sum.loadN).toBeCloseTo(16.1, 1);
    expect(sum.rodeNeededM).toBeCloseTo(26.5, 9);
    expect(sum.margin).toBeCloseTo(6.1, 1);
    expect(sum.swingRadiusM).toBeCloseTo(26, 1);
    expect(sum.rodeAngleDeg).toBeCloseTo((Math.asin(1 / 5) * 180) / Math.PI, 9);
    expect(sum.downPullN).toBeCloseTo(sum.loadN / Math.sqrt(24), 9);
  });
  it('lying across the stream takes the whole side of it', () => {
    const { loadN } = anchor({ ...example, alignment: 'beam', hsM: 0 });
    expect(loadN).toBeCloseTo(0.5 * SALT_WATER * 0.5 * 0.16 + 0.5 * AIR_DENSITY * 1.1 * 36, 9);
  });
  it('holds its weight in water times the table times the scope’s share', () => {
    const { holdingN } = anchor(example);
    expect(holdingN).toBeCloseTo(1.5 * (1 - SALT_WATER / STEEL) * G * 10 * 0.77, 9);
  });
  it('that the rode does not reach holds nothing', () => {
    expect(anchor({ ...example, rodeM: 5.2 })).toMatchObject({
      holdingN: 0,
      margin: 0,
      rodeAngleDeg: 90,
      downPullN: null,
      swingRadiusM: 0,
    });
  });
  it('without load has no margin to speak of', () => {
    expect(anchor({ ...example, streamMps: 0, windMps: 0, hsM: 0 })).toMatchObject({
      loadN: 0,
      margin: null,
    });
  });
  it('asks for more scope as waves, stream or wind pass their marks, each by itself', () => {
    const target = (hsM: number, streamMps: number, windMps: number) =>
      anchor({ ...example, hsM, streamMps, windMps }).scopeTarget;
    expect(target(0.149, 0.299, 3.99)).toBe(3);
    for (const one of [target(0.15, 0, 0), target(0, 0.3, 0), target(0, 0, 4)]) expect(one).toBe(5);
    for (const one of [target(0.4, 0, 0), target(0, 0.6, 0), target(0, 0, 8)]) expect(one).toBe(7);
  });
  it('has its share by scope linear between the points, and whole from ten', () => {
    expect([1, 1.5, 2, 4.5, 9, 10, 30].map(scopeShare)).toEqual([0, 0.175, 0.35, 0.72, 0.975, 1, 1]);
  });
  it('surges by one’s own figure where one has it', () => {
    expect(surge(0.6, 1.2)).toBe(1.5);
    const rough: AnchorInput = { ...example, hsM: 0.6 };
    expect(anchor({ ...rough, surgeHsM: 1.2 }).loadN).toBeCloseTo(anchor(rough).loadN * 0.75, 9);
  });
  it('surges from 1 to 2.5', () => {
    expect([0, 0.6, 0.9, 5].map((hsM) => surge(hsM))).toEqual([1, 2, 2.5, 2.5]);
  });
  it('never gains from more stream or less rode', () => {
    const speed = fc.double({ min: 0.05, max: 2, noNaN: true });
    fc.assert(
      fc.property(speed, speed, (a, b) => {
        const [less, more] = [Math.min(a, b), Math.max(a, b)];
        expect(anchor({ ...example, streamMps: more }).loadN).toBeGreaterThanOrEqual(
          anchor({ ...example, streamMps: less }).loadN,
        );
        expect(anchor({ ...example, rodeM: less * 20 }).holdingN).toBeLessThanOrEqual(
          anchor({ ...example, rodeM: more * 20 }).holdingN,
        );
      }),
    );
  });
});

describe('a drift', () => {
  const boat = { windMps: 6, lateralAirM2: 1.1, lateralWaterM2: 0.5 };
  it('of the worked example, with a drogue and for a speed wanted', () => {
    const sum = drift({ ...boat, drogue: { diameterM: 0.6 }, targetMps: 0.15 });
    expect(sum.withoutDrogueMps).toBeCloseTo(0.293, 3);
    expect(sum.driftMps).toBeCloseTo(0.228, 3);
    expect(sum.drogueForceN).toBeCloseTo(9.07, 2);
    expect(sum.diameterForTargetM).toBeCloseTo(1.26, 2);
  });
  it('balances air against water', () => {
    const { driftMps: v } = drift({ ...boat, drogue: { diameterM: 0.8, cd: 1 }, targetMps: null });
    const air = AIR_DENSITY * 1.1 * (6 - (v ?? 0)) ** 2;
    expect(SALT_WATER * (0.5 + Math.PI * 0.16) * (v ?? 0) ** 2).toBeCloseTo(air, 9);
  });
  it('with the mouth that it names comes to the speed that was wanted', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.29, noNaN: true }), (targetMps) => {
        const diameterM = drift({ ...boat, drogue: null, targetMps }).diameterForTargetM ?? 0;
        expect(drift({ ...boat, drogue: { diameterM }, targetMps: null }).driftMps).toBeCloseTo(targetMps, 9);
      }),
    );
  });
  it('asks for no drogue where the wind is slow enough by itself', () => {
    expect(drift({ ...boat, drogue: null, targetMps: 0.3 }).diameterForTargetM).toBe(0);
    expect(drift({ ...boat, windMps: 0, drogue: null, targetMps: 0.3 })).toMatchObject({
      withoutDrogueMps: 0,
      diameterForTargetM: 0,
    });
  });
});

describe('a pole', () => {
  const set = { poleM: 2.4, depthM: 1.2, tideRiseM: 0.3, bottom: 'sand', streamMps: 0.3 } as const;
  it('must pass depth, half a metre of bottom and a hand above', () => {
    expect(pole(set)).toMatchObject({ reaches: true, allowed: true });
    expect(pole(set).neededM).toBeCloseTo(2.3, 12);
    expect(pole({ ...set, poleM: 2.3 - 1e-9 }).allowed).toBe(false);
  });
  it('holds in mud and sand only, and under half a metre a second', () => {
    expect(pole({ ...set, bottom: 'gravel' }).allowed).toBe(false);
    expect(pole({ ...set, bottom: 'mud', streamMps: 0.499 }).allowed).toBe(true);
    expect(pole({ ...set, streamMps: 0.5 }).allowed).toBe(false);
  });
});
