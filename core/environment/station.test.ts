import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { hourSchema } from '../documents/outing';
import type { Water } from '../documents/water';
import { HOUR_MS } from '../units/time';
import { simulateStation } from './station';

const waters = demo(Date.parse('2026-05-15T19:00:00Z')).references.waters;
const [ostrey] = waters as [Water];
const from = Date.parse('2026-07-01T01:00:00Z');

describe('the simulated station', () => {
  it('says the same for the same water, time and seed, whatever hour it is asked from', () => {
    const week = simulateStation(ostrey, from, 168);
    expect(simulateStation(ostrey, from, 168)).toEqual(week);
    expect(simulateStation(ostrey, from + 24 * HOUR_MS, 24).hours).toEqual(week.hours.slice(24, 48));
    expect(simulateStation(ostrey, from, 24, 'another').hours).not.toEqual(week.hours.slice(0, 24));
  });
  it('gives only figures that a document may hold, gusts over wind, at every water and season', () => {
    for (const water of waters)
      for (const day of ['2026-01-10', '2026-04-10', '2026-07-10', '2026-10-10'])
        for (const hour of simulateStation(water, Date.parse(`${day}T00:00:00Z`), 96).hours) {
          expect(hourSchema.safeParse(hour).error?.issues ?? []).toEqual([]);
          expect(hour.gustMps ?? 0).toBeGreaterThan(hour.windMps ?? 0);
        }
  });
  it('changes little from hour to hour, and more over days', () => {
    const { hours } = simulateStation(ostrey, from, 24 * 60);
    const wind = hours.map((hour) => hour.windMps ?? 0);
    const steps = wind.slice(1).map((mps, i) => Math.abs(mps - (wind[i] ?? 0)));
    expect(steps.reduce((sum, one) => sum + one, 0) / steps.length).toBeLessThan(0.8);
    expect(Math.max(...wind) - Math.min(...wind)).toBeGreaterThan(5);
  });
  it('has a breeze that grows with the day', () => {
    const { hours } = simulateStation(ostrey, from, 24 * 90);
    const mean = (clock: string) => {
      const list = hours.filter((hour) => hour.at.slice(11, 13) === clock).map((hour) => hour.windMps ?? 0);
      return list.reduce((sum, one) => sum + one, 0) / list.length;
    };
    expect(mean('15')).toBeGreaterThan(mean('04') + 1);
  });
  it('is warmer in its summer than in its winter, in air and water', () => {
    const at = (date: string) => simulateStation(ostrey, Date.parse(`${date}T12:00:00Z`), 24);
    expect(at('2026-08-01').waterC).toBeGreaterThan(at('2026-02-20').waterC + 3);
    expect(at('2026-07-15').hours[0]?.airC ?? 0).toBeGreaterThan((at('2026-01-15').hours[0]?.airC ?? 0) + 3);
  });
});
