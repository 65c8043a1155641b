import { describe, expect, it } from 'vitest';
import { immersion } from './immersion';

describe('immersion class', () => {
  it.each([
    [25, 'warm'],
    [24.9, 'cool'],
    [20, 'cool'],
    [19.9, 'shock possible'],
    [14.9, 'cold'],
    [10, 'cold'],
    [9.9, 'very cold'],
    [5, 'very cold'],
    [4.9, 'extreme'],
    [-2, 'extreme'],
  ])('at %d °C is %s', (waterC, name) => expect(immersion(waterC).class).toBe(name));
  it('never gives more time in colder water', () => {
    for (let t = -2; t < 40; t += 0.5) {
      expect(immersion(t).exhaustionMin[0]).toBeLessThanOrEqual(immersion(t + 0.5).exhaustionMin[0]);
      expect(immersion(t).exhaustionMin[1]).toBeLessThanOrEqual(immersion(t + 0.5).exhaustionMin[1]);
    }
  });
});
