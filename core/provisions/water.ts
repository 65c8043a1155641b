export const efforts = ['rest', 'easy', 'steady', 'hard'] as const;
export type Effort = (typeof efforts)[number];

export const LITRES_PER_HOUR: Record<Effort, number> = { rest: 0.15, easy: 0.35, steady: 0.5, hard: 0.75 };
const PER_DEGREE_OVER_20 = 0.02;
const MOST_PER_HOUR = 1.2;
export const IN_HAND = 1.25;

/**
 * Drinking water to carry, a quarter in hand. Rule of thumb.
 * @param persons ≥ 1 @param hours ≥ 0 @param feelsC apparent temperature, °C
 */
export function drinkingWater(input: { persons: number; hours: number; feelsC: number; effort: Effort }) {
  const { persons, hours, feelsC, effort } = input;
  const rate = LITRES_PER_HOUR[effort] + PER_DEGREE_OVER_20 * Math.max(0, feelsC - 20);
  const litresPerHour = Math.min(MOST_PER_HOUR, rate);
  return { litresPerHour, litres: litresPerHour * hours * persons * IN_HAND };
}
