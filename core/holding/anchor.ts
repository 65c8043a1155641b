import type { Hull } from '../passage/travel';
import type { Alignment, Bottom } from '../vocabulary/holding';
import { AIR_DENSITY, G, SALT_WATER, STEEL } from '../units/constants';

export const anchorTypes = ['grapnel', 'claw', 'fluke', 'mushroom', 'deadweight'] as const;
export type AnchorType = (typeof anchorTypes)[number];

/** Holding for its weight in water, by type and bottom. Rule of thumb. */
export const HOLDING: Record<AnchorType, Record<Bottom, number>> = {
  grapnel: { mud: 2, sand: 3, gravel: 3, weed: 2, rock: 6 },
  claw: { mud: 6, sand: 10, gravel: 5, weed: 3, rock: 4 },
  fluke: { mud: 10, sand: 16, gravel: 4, weed: 2, rock: 2 },
  mushroom: { mud: 3, sand: 1.5, gravel: 1, weed: 1, rock: 0.8 },
  deadweight: { mud: 0.8, sand: 0.6, gravel: 0.6, weed: 0.4, rock: 0.5 },
};
/** Share of the holding that a scope leaves. Rule of thumb. */
const SCOPE_SHARE: readonly (readonly [number, number])[] = [
  [1, 0],
  [2, 0.35],
  [3, 0.53],
  [4, 0.67],
  [5, 0.77],
  [6, 0.85],
  [7, 0.91],
  [8, 0.95],
  [10, 1],
];

/** The wave that doubles the pull, m, and the most that waves make of it. Rules of thumb. */
export const SURGE_HS = 0.6;
const MOST_SURGE = 2.5;

export interface AnchorInput {
  depthM: number;
  tideRiseM: number;
  /** From the water to where the rode is made fast. */
  attachHeightM: number;
  rodeM: number;
  anchor: { massKg: number; type: AnchorType };
  bottom: Bottom;
  streamMps: number;
  windMps: number;
  hsM: number;
  craft: Hull;
  alignment: Alignment;
  waterDensity?: number;
  /** Holding for its weight in water, in place of the table's. */
  holdingFactor?: number;
  /** The wave at which the pull has doubled, m; default 0.6. */
  surgeHsM?: number;
}
/** A pull smaller than this is none, N: a margin over it would say nothing. */
const LEAST_LOAD_N = 1e-6;

export interface AnchorSum {
  loadN: number;
  scopeTarget: number;
  scope: number;
  rodeNeededM: number;
  holdingN: number;
  /** Holding over load; null without load. */
  margin: number | null;
  rodeAngleDeg: number;
  /** The pull downward at the boat; null where the rode does not reach. */
  downPullN: number | null;
  swingRadiusM: number;
}

/**
 * What an anchored boat asks and what its anchor gives: drag of stream and wind, raised for the waves' surge,
 * against the anchor's weight in water times a factor of type and bottom and a share by scope (both rules of
 * thumb). The rode is taken as a straight line.
 */
export function anchor(input: AnchorInput): AnchorSum {
  const { streamMps: v, windMps: w, hsM, rodeM, waterDensity = SALT_WATER } = input;
  const loadN = (streamForce(input) + windForce(input)) * surge(hsM, input.surgeHsM);
  const vertical = input.depthM + input.tideRiseM + input.attachHeightM;
  const scopeTarget = targetScope(hsM, v, w);
  const rodeNeededM = scopeTarget * vertical;
  const scope = Math.min(rodeM / vertical, scopeTarget);
  const base = { loadN, scopeTarget, scope, rodeNeededM };
  if (scope < 1)
    return { ...base, holdingN: 0, margin: 0, rodeAngleDeg: 90, downPullN: null, swingRadiusM: 0 };
  const factor = input.holdingFactor ?? HOLDING[input.anchor.type][input.bottom];
  const weight = input.anchor.massKg * (1 - waterDensity / STEEL) * G;
  const holdingN = weight * factor * scopeShare(scope);
  const angle = Math.asin(1 / scope);
  return {
    ...base,
    holdingN,
    margin: loadN >= LEAST_LOAD_N ? holdingN / loadN : null,
    rodeAngleDeg: (angle * 180) / Math.PI,
    // At a scope of one the rode hangs straight up and down: no pull along it would ever be level.
    downPullN: scope > 1 ? loadN * Math.tan(angle) : loadN > 0 ? null : 0,
    swingRadiusM: Math.sqrt((scope * vertical) ** 2 - vertical ** 2),
  };
}

function streamForce({ craft, alignment, streamMps: v, waterDensity = SALT_WATER }: AnchorInput): number {
  if (alignment === 'beam') return 0.5 * waterDensity * craft.lateralWaterM2 * v * v;
  return (craft.powerW / craft.cruiseMps ** 3) * v * v;
}
function windForce({ craft, alignment, windMps: w }: AnchorInput): number {
  return 0.5 * AIR_DENSITY * (alignment === 'beam' ? craft.lateralAirM2 : craft.windageM2) * w * w;
}
/** How much the waves add to the pull, 1 to 2.5: doubled at a wave of so many metres. Rule of thumb. */
export function surge(hsM: number, doubledAtM = SURGE_HS): number {
  return Math.min(MOST_SURGE, Math.max(1, 1 + hsM / doubledAtM));
}
function targetScope(hsM: number, streamMps: number, windMps: number): number {
  if (hsM < 0.15 && streamMps < 0.3 && windMps < 4) return 3;
  if (hsM < 0.4 && streamMps < 0.6 && windMps < 8) return 5;
  return 7;
}
/** Share of the full holding at a scope, linear between the rule's points. */
export function scopeShare(scope: number): number {
  for (let i = 1; i < SCOPE_SHARE.length; i += 1) {
    const [fromScope, fromShare] = SCOPE_SHARE[i - 1] ?? [1, 0];
    const [toScope, toShare] = SCOPE_SHARE[i] ?? [10, 1];
    if (scope <= toScope)
      return (
        fromShare + ((Math.max(scope, fromScope) - fromScope) / (toScope - fromScope)) * (toShare - fromShare)
      );
  }
  return 1;
}
