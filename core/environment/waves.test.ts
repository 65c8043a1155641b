import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { waves } from './waves';

const G = 9.80665;
const deep = { durationS: null, depthM: null };
const near = (value: number, wanted: number, share = 1e-3) =>
  expect(Math.abs(value / wanted - 1)).toBeLessThan(share);

describe('wind sea by fetch', () => {
  it('at 8 m/s over 6 km is 0.304 m and 1.72 s', () => {
    const sea = waves({ windSpeedMps: 8, fetchM: 6000, ...deep });
    expect(sea.hsM).toBeCloseTo(0.304, 3);
    expect(sea.tpS).toBeCloseTo(1.72, 2);
    expect(sea.limitedBy).toBe('fetch');
    near(sea.lengthM, (G * sea.tpS ** 2) / (2 * Math.PI));
    near(sea.steepness, sea.hsM / sea.lengthM);
  });
  it('is calm without wind or fetch, every figure nought', () => {
    for (const input of [
      { windSpeedMps: 0, fetchM: 5000 },
      { windSpeedMps: 9, fetchM: 0 },
    ])
      expect(waves({ ...input, ...deep })).toEqual({
        hsM: 0,
        tpS: 0,
        lengthM: 0,
        steepness: 0,
        limitedBy: 'calm',
      });
  });
  it('is limited by duration below the time that the fetch asks for', () => {
    const wind = { windSpeedMps: 10, fetchM: 20_000, depthM: null };
    const time = (77.23 * 20_000 ** 0.67) / (10 ** 0.34 * G ** 0.33);
    const short = waves({ ...wind, durationS: time * 0.5 });
    expect(short.limitedBy).toBe('duration');
    expect(waves({ ...wind, durationS: time * 1.001 }).limitedBy).toBe('fetch');
    expect(waves({ ...wind, durationS: time * 0.999 }).limitedBy).toBe('duration');
    expect(short.hsM).toBeLessThan(waves({ ...wind, durationS: null }).hsM);
  });
  it('is fully developed over an ocean: Hs = 211.5 u*²/g', () => {
    const sea = waves({ windSpeedMps: 12, fetchM: 5_000_000, ...deep });
    const friction = 12 * Math.sqrt(0.001 * (1.1 + 0.035 * 12));
    expect(sea.limitedBy).toBe('developed');
    near(sea.hsM, (211.5 * friction ** 2) / G);
    near(sea.tpS, (239.8 * friction) / G);
  });
  it('in shallow water has no longer period than 9.78 √(d/g), and no more height than 0.6 d', () => {
    const sea = waves({ windSpeedMps: 15, fetchM: 100_000, durationS: null, depthM: 2 });
    expect(sea.limitedBy).toBe('depth');
    near(sea.tpS, 9.78 * Math.sqrt(2 / G));
    expect(sea.hsM).toBeLessThanOrEqual(1.2);
    expect(waves({ windSpeedMps: 5, fetchM: 2000, durationS: null, depthM: 50 }).limitedBy).toBe('fetch');
    expect(
      waves({ windSpeedMps: 30, fetchM: 100_000, durationS: null, depthM: 0.5 }).hsM,
    ).toBeLessThanOrEqual(0.3);
  });
  it('never falls with more wind or fetch, and never is NaN', () => {
    const wind = fc.double({ min: 0.1, max: 60, noNaN: true });
    const fetch = fc.double({ min: 1, max: 2e6, noNaN: true });
    fc.assert(
      fc.property(wind, fetch, fc.double({ min: 1, max: 3, noNaN: true }), (u, x, more) => {
        const sea = waves({ windSpeedMps: u, fetchM: x, ...deep });
        expect(Object.values(sea).some((value) => Number.isNaN(value))).toBe(false);
        expect(waves({ windSpeedMps: u * more, fetchM: x, ...deep }).hsM).toBeGreaterThanOrEqual(
          sea.hsM - 1e-12,
        );
        expect(waves({ windSpeedMps: u, fetchM: x * more, ...deep }).tpS).toBeGreaterThanOrEqual(
          sea.tpS - 1e-12,
        );
      }),
    );
  });
});
