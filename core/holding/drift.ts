import { AIR_DENSITY, SALT_WATER } from '../units/constants';

/** Drag coefficient of a drogue's mouth. */
export const DROGUE_CD = 1.2;

export interface DriftInput {
  windMps: number;
  /** Drag areas of the boat lying across, m². */
  lateralAirM2: number;
  lateralWaterM2: number;
  drogue: { diameterM: number; cd?: number } | null;
  targetMps: number | null;
  waterDensity?: number;
}

/**
 * How fast the wind drifts a boat through the water, with and without a drogue: equal drag of air and water
 * gives v = W r/(1+r) with r = √(ρ_a A_air / ρ_w A_water); a drogue adds its own drag area. The stream comes
 * on top. What was not asked for is null.
 * @returns speeds in m/s, the drogue's pull in N, and the mouth that would give the target, m (0: slow enough
 * without)
 */
export function drift({
  windMps: w,
  lateralAirM2,
  lateralWaterM2,
  drogue,
  targetMps,
  waterDensity = SALT_WATER,
}: DriftInput): {
  withoutDrogueMps: number;
  driftMps: number | null;
  drogueForceN: number | null;
  diameterForTargetM: number | null;
} {
  const speed = (waterArea: number) => {
    const r = Math.sqrt((AIR_DENSITY * lateralAirM2) / (waterDensity * waterArea));
    return (w * r) / (1 + r);
  };
  const cd = drogue?.cd ?? DROGUE_CD;
  const drogueArea = drogue ? (cd * Math.PI * drogue.diameterM ** 2) / 4 : 0;
  const withoutDrogueMps = speed(lateralWaterM2);
  const driftMps = drogue ? speed(lateralWaterM2 + drogueArea) : null;
  return {
    withoutDrogueMps,
    driftMps,
    drogueForceN: driftMps === null ? null : 0.5 * waterDensity * drogueArea * driftMps ** 2,
    diameterForTargetM: targetMps === null ? null : diameterFor(targetMps),
  };

  function diameterFor(target: number): number {
    if (withoutDrogueMps <= target) return 0;
    const r = target / (w - target);
    const wanted = (AIR_DENSITY * lateralAirM2) / (waterDensity * r * r);
    return Math.sqrt((4 * (wanted - lateralWaterM2)) / (Math.PI * cd));
  }
}
