import { G } from '../units/constants';

/**
 * Breaker height at the launch (Komar & Gaughan 1973). Hb = 0.39 g^0.2 (T Hs²)^0.4; depth = Hb / 0.78.
 * @param hsM significant height in deep water, m, ≥ 0 @param periodS peak period, s, > 0
 */
export function surf({ hsM, periodS }: { hsM: number; periodS: number }): {
  breakerM: number;
  breakDepthM: number;
} {
  const breakerM = 0.39 * G ** 0.2 * (periodS * hsM ** 2) ** 0.4;
  return { breakerM, breakDepthM: breakerM / 0.78 };
}
