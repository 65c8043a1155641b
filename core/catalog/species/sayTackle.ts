import { amount, amountOnly } from '../../units/amount';
import type { Technique } from '../../vocabulary/trips';
import type { Range, Species } from './species';
import { tackleFor } from './tackleFor';

const range = ([low, high]: Range, unit: 'm' | 'kg' | 'g' | 'cm', decimals?: number) =>
  `${amountOnly(low, unit, decimals)} to ${amount(high, unit, decimals)}`;
/** One sentence: rod, line, leader, lure, hooks, drag, reel. */
export function sayTackle(species: Species, technique: Technique): string {
  const asked = tackleFor(species, technique);
  return `A rod of ${range(asked.rodM, 'm')}, ${asked.power}; line ${range(asked.lineKg, 'kg')}; leader ${range(asked.leaderKg, 'kg')}, ${range(asked.leaderM, 'm')}, ${asked.leader}, and ${asked.spareLeaders} spare; ${technique === 'fly' ? 'flies' : `lures of ${range(asked.lureG, 'g', 0)}`}, as long as what it eats, ${range(asked.lureCm, 'cm', 0)}; hooks ${asked.hooks}; drag ${range(asked.dragKg, 'kg')}; ${amount(asked.lineM, 'm', 0)} on the reel.`;
}
