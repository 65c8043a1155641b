import { describe, expect, it } from 'vitest';
import { campMeals, foodEnergy } from './food';
import { ice } from './ice';
import { drinkingWater } from './water';

describe('drinking water', () => {
  it('for one person, 6 h at 28 °C, steady, is 4.95 L', () => {
    const { litresPerHour, litres } = drinkingWater({ persons: 1, hours: 6, feelsC: 28, effort: 'steady' });
    expect(litresPerHour).toBeCloseTo(0.66, 10);
    expect(litres).toBeCloseTo(4.95, 10);
  });
  it('goes by one’s own figures for heat and for what is kept in hand', () => {
    const own = { persons: 2, hours: 3, feelsC: 30, effort: 'easy', perDegree: 0.05, inHand: 2 } as const;
    expect(drinkingWater(own).litresPerHour).toBeCloseTo(0.85, 12);
    expect(drinkingWater(own).litres).toBeCloseTo(10.2, 12);
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
  it('goes by one’s own figures', () => {
    const own = { kjPerHour: 1000, shareEaten: 0.75, kjPerCampDay: 8000 };
    expect(foodEnergy({ hours: 4, nights: 2, effort: 'rest', ...own })).toBe(3000 + 16_000);
  });
});

describe('ice', () => {
  const cod = { fishKg: 6, fishStartC: 18, hours: 6, ambientC: 26, uaWK: 0.9 };
  it('of the worked example is 2.30 kg against 812 kJ', () => {
    const sum = ice(cod);
    expect(sum.heatKj).toBeCloseTo(812.16, 2);
    expect(sum.iceKg).toBeCloseTo(2.3, 2);
  });
  it('takes up what fish and walls give: nothing is lost between them', () => {
    const { iceKg, perKgKj, fishKj, wallsKj, heatKj } = ice({ ...cod, targetC: 4, iceStartC: -12 });
    expect(iceKg * perKgKj).toBeCloseTo(fishKj + wallsKj, 9);
    expect(heatKj).toBe(fishKj + wallsKj);
    expect(perKgKj).toBeCloseTo(334 + 25.2 + 16.76, 9);
  });
  it('counts nothing for a fish and an air as cold as the target', () => {
    expect(ice({ ...cod, fishStartC: 2, ambientC: 2 }).iceKg).toBe(0);
  });
});

describe('camp meals', () => {
  it('are supper and breakfast for each night', () => expect([0, 1, 3].map(campMeals)).toEqual([0, 2, 6]));
});
