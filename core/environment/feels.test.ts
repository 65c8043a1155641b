import { describe, expect, it } from 'vitest';
import { heatIndex, windChill } from './feels';

describe('wind chill', () => {
  // Values of the published JAG/TI table, °C, air × wind in km/h.
  it.each([
    [0, 20, -5],
    [-10, 30, -20],
    [5, 40, -1],
    [-20, 10, -27],
  ])('of %d °C in %d km/h is %d °C', (airC, kmh, feels) =>
    expect(Math.round(windChill({ airC, windMps: kmh / 3.6 }).feelsC)).toBe(feels),
  );
  it('is the air itself above 10 °C and below 4.8 km/h', () => {
    expect(windChill({ airC: 10.1, windMps: 10 }).feelsC).toBe(10.1);
    expect(windChill({ airC: 0, windMps: 4.79 / 3.6 }).feelsC).toBe(0);
    expect(windChill({ airC: 0, windMps: 4.81 / 3.6 }).feelsC).not.toBe(0);
  });
});

describe('heat index', () => {
  // Values of the weather service's published chart, °F.
  it.each([
    [90, 70, 105],
    [100, 40, 109],
    [86, 90, 105],
    [110, 40, 136],
    [80, 40, 80],
  ])('of %d °F at %d % is %d °F', (f, humidityPct, feels) => {
    const { feelsC } = heatIndex({ airC: (f - 32) / 1.8, humidityPct });
    expect(Math.abs(feelsC * 1.8 + 32 - feels)).toBeLessThan(1.3);
  });
  it('is the air itself when it is cool', () =>
    expect(heatIndex({ airC: 15, humidityPct: 80 }).feelsC).toBe(15));
});
