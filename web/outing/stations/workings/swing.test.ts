import { describe, expect, it } from 'vitest';
import { distanceBetween } from '#core/environment/geo';
import { swingCircle } from './swing';

describe('the swing on the chart', () => {
  it('is as far from the anchor all round, and closes', () => {
    const centre = { latDeg: 47.1, lonDeg: -19.3 };
    const circle = swingCircle(centre, 105);
    for (const place of circle) expect(distanceBetween(centre, place)).toBeCloseTo(105, 0);
    expect(distanceBetween(circle[0] ?? centre, circle[circle.length - 1] ?? centre)).toBeLessThan(0.01);
  });
});
