import { describe, expect, it } from 'vitest';
import type { Item } from '../documents/item';
import type { Plan } from '../passage/plan';
import { newItem } from '../editing/newItem';
import { usualWorkings } from '../editing/usualWorkings';
import { HOUR_MS } from '../units/time';
import { type PowerDay, chargeLeft, hoursOn, motorOutWh, powerSheet } from './powerSheet';

const launchAt = Date.parse('2026-06-06T06:00:00Z');
const hour = (h: number) => launchAt + h * HOUR_MS;
const leg = (way: 'out' | 'home', from: number, to: number) =>
  ({ way, startsAt: hour(from), arrivesAt: hour(to) }) as Plan['legs'][number];
/** Out in an hour, home in two from the fourth hour on. */
const plan = {
  launchAt,
  turnAt: hour(4),
  legs: [leg('out', 0, 1), leg('home', 4, 6)],
} as unknown as Plan;
const day: PowerDay = {
  ...{ airMinC: 25, launchAt, homeAt: hour(6), hoursAfloat: 6, campH: 0 },
  ...{ darkMinutes: 60, darkSpans: [{ from: '11:00', to: '12:00' }], daylightLeftMin: null, plan },
};
const item = (id: string, kind: Item['kind'], change: Partial<Item> = {}): Item => ({
  ...newItem(id, kind),
  id,
  boughtOn: null,
  ...change,
});
const motorBattery = item('motor-battery', 'motor-battery', {
  attributes: { volts: 12.8, ampHours: 50, healthPct: 100 },
});
function sheetOf(items: readonly Item[], drive: 'motor' | 'paddle', at: Partial<PowerDay> = {}) {
  const aboard = items.map((one) => ({
    item: one,
    entry: { itemId: one.id, quantity: 1, carriedBy: null, outsideContainer: false },
    lies: null,
  }));
  const looked = { aboard, craft: { drive, powerW: 150 } } as unknown as Parameters<typeof powerSheet>[0];
  return powerSheet(looked, { ...day, ...at }, usualWorkings);
}

describe('a motor on its battery', () => {
  const [supply] = sheetOf([motorBattery], 'motor').supplies;
  it('draws for as long as the way out and the way home take', () => {
    expect(supply?.sum.neededWh).toBeCloseTo(150 * 3, 9);
    expect(supply && motorOutWh(supply)).toBeCloseTo(150, 9);
  });
  it('draws under way, and not while one fishes', () => {
    const left = supply ? chargeLeft(supply, day) : [];
    const at = (h: number) => left.find((one) => one.hour === h)?.wh ?? NaN;
    expect(at(0) - at(1)).toBeCloseTo(150, 9);
    expect(at(1)).toBeCloseTo(at(4), 9);
    expect(at(4) - at(6)).toBeCloseTo(300, 9);
  });
  it('draws nothing of a boat that is paddled, nor where the way is not known', () => {
    expect(sheetOf([motorBattery], 'paddle').supplies[0]?.motor).toBeNull();
    expect(sheetOf([motorBattery], 'motor', { plan: null }).supplies[0]?.motor).toBeNull();
  });
});

describe('a light on the battery of something else', () => {
  const battery = item('lead', 'sla-battery', { attributes: { volts: 12, ampHours: 12, healthPct: 100 } });
  const light = item('light', 'mast-light', { poweredById: 'lead', attributes: { watts: 3 } });
  const sounder = (watts: number) =>
    item('sounder', 'sounder', { poweredById: 'lead', attributes: { watts, dutyPct: 100 } });
  const burns = (...others: Item[]) => {
    const [supply] = sheetOf([battery, light, ...others], 'paddle').supplies;
    return supply ? hoursOn(supply, 'light', usualWorkings.powerReserve) : null;
  };
  it('burns for what that leaves of the charge', () => {
    expect(burns()).toBeGreaterThan(20);
    expect(burns(sounder(10))).toBeLessThan(burns(sounder(5)) ?? 0);
    expect(burns(sounder(40))).toBe(0);
  });
  it('is told nothing of a battery that it does not run on', () => {
    const [supply] = sheetOf([battery, { ...light, poweredById: 'other' }], 'paddle').supplies;
    expect(supply && hoursOn(supply, 'sounder', 0.2)).toBeNull();
  });
});
