import { describe, expect, it } from 'vitest';
import { foodEnergy } from './food';
import { drinkingWater } from './water';

describe('drinking water', () => {
  it('for one person, 6 h at 28 °C, steady, is 4.95 L', () => {
    const { litresPerHour, litres } = drinkingWater({ persons: 1, hours: 6, feelsC: 28, effort: 'steady' });
    expect(litresPerHour).toBeCloseTo(0.66, 10);
    expect(litres).toBeCloseTo(4.95, 10);
  });
  it('is never under the cool rate nor over 1.2 L an hour', () => {
    expect(drinkingWater({ persons: 1, hours: 1, feelsC: -10, effort: 'rest' }).litresPerHour).toBe(0.15);
    expect(drinkingWater({ persons: 1, hours: 1, feelsC: 60, effort: 'hard' }).litresPerHour).toBe(1.2);
  });
});

describe('food', () => {
  it('grows with hours, effort and nights', () => {
    const least = foodEnergy({ hours: 4, nights: 0, effort: 'easy' });
    expect(foodEnergy({ hours: 4, nights: 0, effort: 'hard' })).toBeGreaterThan(least);
    expect(foodEnergy({ hours: 4, nights: 1, effort: 'easy' }) - least).toBe(10_000);
  });
});
