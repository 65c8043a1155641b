import type { Effort } from '../vocabulary/efforts';

export const LITRES_PER_HOUR: Record<Effort, number> = { rest: 0.15, easy: 0.35, steady: 0.5, hard: 0.75 };
export const PER_DEGREE_OVER_20 = 0.02;
const MOST_PER_HOUR = 1.2;
export const IN_HAND = 1.25;

/** What one hour takes, L: by effort, more in the heat, never more than a body takes up. */
export function litresAnHour(effort: Effort, feelsC: number, perDegree: number = PER_DEGREE_OVER_20): number {
  return Math.min(MOST_PER_HOUR, LITRES_PER_HOUR[effort] + perDegree * Math.max(0, feelsC - 20));
}

/**
 * Drinking water to carry, a quarter in hand. Rule of thumb.
 * @param persons ≥ 1
 * @param hours ≥ 0
 * @param feelsC apparent temperature, °C
 * @param perDegree litres more an hour for each °C over 20
 * @param inHand what the count is multiplied by
 */
export function drinkingWater(input: {
  persons: number;
  hours: number;
  feelsC: number;
  effort: Effort;
  perDegree?: number;
  inHand?: number;
}) {
  const { persons, hours, feelsC, effort, perDegree = PER_DEGREE_OVER_20, inHand = IN_HAND } = input;
  const litresPerHour = litresAnHour(effort, feelsC, perDegree);
  return { litresPerHour, litres: litresPerHour * hours * persons * inHand };
}
