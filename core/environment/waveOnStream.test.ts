import { describe, expect, it } from 'vitest';
import { waveOnStream } from './waveOnStream';

describe('waves on a stream', () => {
  it('of 0.5 m and 3.5 s against 0.8 m/s stand 1.517 times higher, at steepness 0.0587', () => {
    const met = waveOnStream({ hsM: 0.5, periodS: 3.5, streamMps: -0.8 });
    expect(met.factor).toBeCloseTo(1.517, 3);
    expect(met.hsM).toBeCloseTo(0.758, 3);
    expect(met.steepness).toBeCloseTo(0.0587, 4);
  });
  it('are unchanged in still water and lower on a following stream', () => {
    expect(waveOnStream({ hsM: 0.5, periodS: 3.5, streamMps: 0 }).factor).toBeCloseTo(1, 12);
    expect(waveOnStream({ hsM: 0.5, periodS: 3.5, streamMps: 0.8 }).factor).toBeLessThan(1);
  });
  it('keep their action: E (c_g + U) / intrinsic frequency is the same before and on the stream', () => {
    const g = 9.80665;
    for (const stream of [-0.9, -0.4, 0.5, 1.5]) {
      const period = 4;
      const { factor } = waveOnStream({ hsM: 1, periodS: period, streamMps: stream });
      const still = (g * period) / (2 * Math.PI);
      // Seen from the shore the frequency stays: k (c + U) = ω with c² = g/k.
      const c = (still * (1 + Math.sqrt(1 + (4 * stream) / still))) / 2;
      const action = (height: number, speed: number, u: number) =>
        (height ** 2 * (speed / 2 + u)) / (g / speed);
      expect(action(factor ?? NaN, c, stream)).toBeCloseTo(action(1, still, 0), 9);
    }
  });
  it('are blocked at a quarter of their speed against, and say no figure then', () => {
    const still = (9.80665 * 2) / (2 * Math.PI);
    expect(waveOnStream({ hsM: 0.3, periodS: 2, streamMps: -still / 4 })).toEqual({
      blocked: true,
      factor: null,
      hsM: null,
      steepness: null,
    });
    expect(waveOnStream({ hsM: 0.3, periodS: 2, streamMps: -still / 4 + 0.001 }).blocked).toBe(false);
  });
});
