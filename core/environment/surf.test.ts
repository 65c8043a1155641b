import { describe, expect, it } from 'vitest';
import { surf } from './surf';

describe('breakers', () => {
  it('follow Komar & Gaughan: 0.8 m at 9 s break at 1.24 m in 1.59 m of water', () => {
    const { breakerM, breakDepthM } = surf({ hsM: 0.8, periodS: 9 });
    expect(breakerM).toBeCloseTo(1.24, 2);
    expect(breakDepthM).toBeCloseTo(1.59, 2);
  });
  it('are none without waves and grow with height and period', () => {
    expect(surf({ hsM: 0, periodS: 9 }).breakerM).toBe(0);
    expect(surf({ hsM: 0.8, periodS: 12 }).breakerM).toBeGreaterThan(surf({ hsM: 0.8, periodS: 9 }).breakerM);
  });
});
