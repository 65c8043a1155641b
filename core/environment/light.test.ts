import { describe, expect, it } from 'vitest';
import { HOUR_MS } from '../units/time';
import { darkness, highestSun, isDark, isNight, lightOfDay, noonOf } from './light';

const day = (date: string, lat: number, lon: number) => lightOfDay(noonOf(date, lon), lat, lon);
const hoursOfLight = (date: string, lat: number) => {
  const { sunrise, sunset } = day(date, lat, 0);
  return ((sunset ?? NaN) - (sunrise ?? NaN)) / HOUR_MS;
};

/**
 * Closed form: half day arc for the sun's upper rim with refraction, cos H = (sin −0.833° − sin φ sin δ) /
 * (cos φ cos δ).
 */
function arcHours(latDeg: number, declinationDeg: number): number {
  const rad = Math.PI / 180;
  const cos =
    (Math.sin(-0.833 * rad) - Math.sin(latDeg * rad) * Math.sin(declinationDeg * rad)) /
    (Math.cos(latDeg * rad) * Math.cos(declinationDeg * rad));
  return (2 * Math.acos(cos)) / rad / 15;
}

describe('the height of the sun', () => {
  it('at noon is what latitude and declination leave, and within a morning what that comes to', () => {
    const noon = Date.parse('2026-12-21T12:00:00Z');
    // Closed form: 90° − latitude + declination; half an hour of sampling and the equation of time take a
    // little off.
    expect(highestSun(noon - 3 * HOUR_MS, noon + 3 * HOUR_MS, 47.5, 0)).toBeCloseTo(90 - 47.5 - 23.44, 0);
    expect(highestSun(noon - 4 * HOUR_MS, noon - 3.9 * HOUR_MS, 47.5, 0)).toBeLessThan(5);
    expect(highestSun(noon - 12 * HOUR_MS, noon - 11 * HOUR_MS, 47.5, 0)).toBeLessThan(-40);
  });
  it('is night past civil twilight, not from sunset on', () => {
    const { sunset, dusk } = day('2026-03-20', 47.5, 0);
    if (sunset === null || dusk === null) throw new Error('no sunset');
    expect([sunset + 60_000, dusk - 120_000, dusk + 180_000].map((at) => isNight(at, 47.5, 0))).toEqual([
      false,
      false,
      true,
    ]);
    expect(isDark(sunset + 60_000, 47.5, 0)).toBe(true);
  });
});

describe('light', () => {
  it.each([
    [0, '2026-03-20', 0],
    [47.5, '2026-06-21', 23.44],
    [47.5, '2026-12-21', -23.44],
    [-35, '2026-12-21', -23.44],
  ])('at %d° on %s lasts as long as the spherical triangle says', (lat, date, declination) => {
    expect(hoursOfLight(date, lat)).toBeCloseTo(arcHours(lat, declination), 1);
  });
  it('has no sunrise in the polar night, nor sunset in the polar day', () => {
    expect(day('2026-12-21', 80, 0).sunrise).toBeNull();
    expect(day('2026-06-21', 80, 0).sunset).toBeNull();
    expect(isDark(noonOf('2026-12-21', 0), 80, 0)).toBe(true);
  });
});

describe('darkness', () => {
  const { sunrise, sunset } = day('2026-05-16', 47.5, -18.5);
  const rise = sunrise ?? NaN;
  const set = sunset ?? NaN;
  it('is counted to the minute before sunrise and after sunset', () => {
    expect(darkness(rise - 20 * 60_000, rise + HOUR_MS, 47.5, -18.5).minutes).toBeCloseTo(20, 0);
    const evening = darkness(set - HOUR_MS, set + 45 * 60_000, 47.5, -18.5);
    expect(evening.minutes).toBeCloseTo(45, 0);
    expect(evening.spans).toHaveLength(1);
  });
  it('is none by day, and two spans over a night and two ends', () => {
    expect(darkness(rise + 60_000, set - 60_000, 47.5, -18.5).minutes).toBe(0);
    expect(darkness(rise - HOUR_MS, set + HOUR_MS, 47.5, -18.5).spans).toHaveLength(2);
  });
  it('adds up over any parting of the time', () => {
    const from = rise - 2 * HOUR_MS;
    const to = set + 3 * HOUR_MS;
    const middle = rise + 5 * HOUR_MS;
    const whole = darkness(from, to, 47.5, -18.5).minutes;
    const parts = darkness(from, middle, 47.5, -18.5).minutes + darkness(middle, to, 47.5, -18.5).minutes;
    expect(parts).toBeCloseTo(whole, 6);
  });
});
