import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { lookUp } from '../documents/references';
import { withHabits } from '../documents/workings';
import { exposures } from '../exposures/exposures';
import { HOUR_MS } from '../units/time';
import { wantedWater } from './supplies';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [outing] = outings;
if (!outing) throw new Error('There is a demo outing.');
const e = exposures(outing, lookUp(outing, references));
const at = (hours: number) => now + hours * HOUR_MS;
const plan = (under: { out: number; there: number; home: number }) =>
  e.plan && {
    ...e.plan,
    launchAt: at(0),
    spotAt: at(under.out),
    turnAt: at(under.out + under.there),
    homeAt: at(under.out + under.there + under.home),
  };
const day = {
  ...e,
  hoursAfloat: 6,
  feelsMaxC: 28,
  airMaxC: 28,
  workings: { ...e.workings, effort: 'hard' as const },
};

describe('the water wanted', () => {
  it('is counted hard under way and easy while fishing, with a quarter in hand', () => {
    const wanted = wantedWater({ ...day, plan: plan({ out: 1, there: 4, home: 1 }) });
    expect([wanted.underWayH, wanted.fishingH]).toEqual([2, 4]);
    // 0.75 and 0.35 L an hour, and 8 °C over 20 at 0.02 each.
    expect(wanted.litres).toBeCloseTo((2 * 0.91 + 4 * 0.51) * 1.25, 9);
  });
  it('is all under way where nobody knows the way, as the worked example has it', () => {
    const steady = { ...day, workings: { ...day.workings, effort: 'steady' as const }, plan: null };
    expect(wantedWater(steady).litres).toBeCloseTo(4.95, 9);
  });
  it('by one’s own count is the same at any hour, and never more hours than water is carried', () => {
    const own = { ...day, hoursAfloat: 40, workings: { ...day.workings, litresPerHour: 0.4 } };
    expect(wantedWater({ ...own, plan: plan({ out: 2, there: 36, home: 2 }) }).litres).toBeCloseTo(
      14 * 0.4 * 1.25,
      9,
    );
  });
  it('follows what was counted once for a body, unless the outing counts for itself', () => {
    const habits = { litresPerHour: 0.6, kjPerHour: null };
    expect(withHabits(e.workings, habits).litresPerHour).toBe(0.6);
    expect(withHabits({ ...e.workings, litresPerHour: 0.3 }, habits).litresPerHour).toBe(0.3);
    expect(withHabits(e.workings, undefined)).toBe(e.workings);
    const angler = references.angler && { ...references.angler, habits };
    const known = { ...references, angler };
    expect(exposures(outing, lookUp(outing, known)).workings.litresPerHour).toBe(0.6);
  });
});
