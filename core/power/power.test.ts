import { describe, expect, it } from 'vitest';
import { chemistries, coldFactor, darkWh, power, type Chemistry } from './power';
import { newItem } from '../editing/newItem';
import { batteryOf, healthByAge } from './powerSheet';

const loads = [
  { name: 'sounder', watts: 9, hours: 7 },
  { name: 'bait pump', watts: 12, duty: 0.25, hours: 6 },
  { name: 'light', watts: 2, hours: 2 },
];
const battery = { chemistry: 'lifepo4', volts: 12.8, ampHours: 10 } as const;

describe('a battery on a day', () => {
  it('of the worked example is short by 3.3 Wh with the reserve kept', () => {
    const sum = power({ battery, tempC: 5, loads });
    expect(sum.neededWh).toBe(85);
    expect(sum.usableWh).toBeCloseTo(102.2, 1);
    expect(sum.spareWh).toBeCloseTo(-3.27, 2);
    expect(sum.enough).toBe(false);
    expect(power({ battery, tempC: 25, loads }).enough).toBe(true);
  });
  it('at its rated draw and in the warm gives its share of what is written on it', () => {
    for (const [chemistry, share] of [
      ['sla', 0.5],
      ['lifepo4', 0.9],
      ['liion', 0.85],
      ['nimh', 0.8],
      ['alkaline', 0.8],
    ] as const) {
      const rated = [{ name: 'load', watts: 5 * 12, hours: 2 }];
      const { usableWh } = power({
        battery: { chemistry, volts: 12, ampHours: 100 },
        tempC: 25,
        loads: rated,
      });
      expect(usableWh, chemistry).toBeCloseTo(1200 * share, 9);
    }
  });
  it('drawn harder than rated gives less by Peukert’s law, drawn softer no more', () => {
    const at = (watts: number) =>
      power({
        battery: { chemistry: 'sla', volts: 12, ampHours: 100 },
        tempC: 25,
        loads: [{ name: 'load', watts, hours: 1 }],
      }).usableWh;
    expect(at(240)).toBeCloseTo(600 * 0.25 ** 0.2, 9);
    expect(at(12)).toBe(600);
  });
  it('loses to cold as its table says, ends held', () => {
    const table: Record<Chemistry, [number, number, number]> = {
      sla: [0.5, 0.8, 1],
      lifepo4: [0.6, 0.88, 1],
      liion: [0.6, 0.85, 1],
      nimh: [0.5, 0.8, 1],
      alkaline: [0.25, 0.65, 1],
    };
    for (const one of chemistries) {
      const [far, zero, warm] = table[one];
      for (const [tempC, share] of [
        [-40, far],
        [-20, far],
        [-10, (far + zero) / 2],
        [0, zero],
        [12.5, (zero + warm) / 2],
        [25, warm],
        [45, warm],
      ] as const)
        expect(coldFactor(one, tempC), `${one} ${tempC}`).toBeCloseTo(share, 12);
    }
  });
  it('goes by its own figures, where it has them, in place of its chemistry’s', () => {
    const hard = [{ name: 'load', watts: 240, hours: 1 }];
    const plain = { chemistry: 'sla', volts: 12, ampHours: 100 } as const;
    expect(power({ battery: { ...plain, usable: 0.8 }, tempC: 25, loads: hard }).usableWh).toBeCloseTo(
      960 * 0.25 ** 0.2,
      9,
    );
    expect(power({ battery: { ...plain, peukert: 1 }, tempC: 25, loads: hard }).usableWh).toBe(600);
    expect(power({ battery: { ...plain, peukert: 1, atZero: 0.9 }, tempC: 0, loads: hard }).usableWh).toBe(
      540,
    );
    expect(coldFactor('sla', 12.5, 0.9)).toBeCloseTo(0.95, 12);
    // What is left further down is never more than at nought.
    expect(coldFactor('sla', -10, 0.3)).toBeCloseTo(0.3, 12);
  });
  it('without load never empties', () => {
    expect(power({ battery, tempC: 5, loads: [] })).toMatchObject({
      neededWh: 0,
      hoursToEmpty: null,
      enough: true,
    });
  });
});

describe('a battery has two ends', () => {
  const battery = { chemistry: 'sla', volts: 12, ampHours: 7 } as const;
  it('what spares it, and dark: a healthy lead battery gives nearly twice as much before it is dark', () => {
    const sum = power({ battery, tempC: 25, loads: [] });
    expect(sum.usableWh).toBeCloseTo(42, 6);
    expect(darkWh(battery, 0, 25)).toBeCloseTo(75.6, 6);
    expect(darkWh({ ...battery, health: 0.5 }, 0, 25)).toBeCloseTo(37.8, 6);
  });
  it('dark never comes before what may be drawn of it', () => {
    for (const chemistry of chemistries)
      for (const usable of [0.3, 0.8, 1]) {
        const own = { ...battery, chemistry, usable };
        expect(darkWh(own, 20, 0)).toBeGreaterThanOrEqual(
          power({ battery: own, tempC: 0, loads: [{ name: 'x', watts: 20, hours: 1 }] }).usableWh - 1e-9,
        );
      }
  });
});

describe('what a battery has left by its age', () => {
  const bought = (kind: 'lithium-ion-pack' | 'sla-battery', part: Partial<ReturnType<typeof newItem>> = {}) =>
    newItem('b', kind, { boughtOn: '2020-05-16', ...part });
  const at = Date.parse('2024-05-16T06:00:00Z');
  it('is less by the year, by its chemistry, and never under half', () => {
    const four = healthByAge(bought('lithium-ion-pack'), at);
    expect(four?.years).toBeCloseTo(4, 2);
    expect(four?.share).toBeCloseTo(0.95 * (1 - 0.05 * 4), 3);
    expect(healthByAge(bought('sla-battery', { boughtOn: '2000-01-01' }), at)?.share).toBe(0.5);
    expect(healthByAge(bought('lithium-ion-pack', { boughtOn: '2025-01-01' }), at)?.share).toBeCloseTo(
      0.95,
      6,
    );
  });
  it('is what was measured where somebody did, and unknown without a day it was bought', () => {
    const measured = bought('lithium-ion-pack');
    expect(
      healthByAge({ ...measured, attributes: { ...measured.attributes, healthPct: 88 } }, at),
    ).toBeNull();
    expect(healthByAge(bought('lithium-ion-pack', { boughtOn: null }), at)).toBeNull();
    expect(batteryOf(measured, 1, at)?.health).toBeCloseTo(0.76, 2);
    expect(batteryOf(measured, 1)?.health).toBeCloseTo(0.95, 6);
  });
});
