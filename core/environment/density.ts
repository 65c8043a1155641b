import { FRESH_WATER, SALT_WATER } from '../units/constants';

/** Density of a water, kg/m³: brackish water counts as salt, and so does one that is not known. */
export function densityOf(water: { type: 'fresh' | 'brackish' | 'salt' } | null): number {
  return water?.type === 'fresh' ? FRESH_WATER : SALT_WATER;
}
