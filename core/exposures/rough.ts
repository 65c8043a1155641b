import type { Mode } from '../vocabulary/stow';
import type { Exposures } from './exposures';

/** Breakers from which a launch or a landing goes through surf, m. */
export const SURF_M = 0.3;

/**
 * Whether a mode goes through breaking water or rapids, where what floats is lost and what is not on the body
 * is tied away.
 */
export function isRough(mode: Mode, { breakerM, rapids }: Pick<Exposures, 'breakerM' | 'rapids'>): boolean {
  if (mode === 'run') return rapids > 0;
  return (mode === 'launch' || mode === 'land') && (breakerM ?? 0) > SURF_M;
}

/** Less water over a bar or the foot of a ramp than this does not carry a laden kayak, m. */
export const BAR_M = 0.3;
