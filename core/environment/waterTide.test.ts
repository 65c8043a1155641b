import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { TideTurn } from '../documents/water';
import { HOUR_MS } from '../units/time';
import { bearingOf, speedOf } from './flow';
import { valueAt } from './tide';
import { heightBetween, tableCovers, tableSeries, turnsWithin } from './tideTable';
import {
  hoursFromSlack,
  mainBearing,
  noStreamTable,
  sayTideSource,
  streamIsSilent,
  streamOf,
  tideIsSilent,
  tideOf,
} from './waterTide';

const noon = Date.parse('2026-06-01T12:00:00Z');
const turn = (h: number, heightM: number, high: boolean): TideTurn => ({
  at: new Date(noon + h * HOUR_MS).toISOString(),
  heightM,
  high,
});
/** High water 5 m at noon, low water 1 m six hours before and behind, and on. */
const table = [-12, -6, 0, 6, 12, 18].map((h, i) => turn(h, i % 2 === 0 ? 5 : 1, i % 2 === 0));
const tide = { meanM: 3, constituents: [], turns: table };

describe('the height of the tide from high and low waters', () => {
  it('is half a cosine: exact at the turns, half-way at half time, by the twelfths between', () => {
    const [high, low] = [
      { at: 0, heightM: 5 },
      { at: 6 * HOUR_MS, heightM: 1 },
    ];
    const after = (h: number) => heightBetween(high, low, h * HOUR_MS);
    expect([after(0), after(3), after(6)]).toEqual([5, 3, 1]);
    // The rule of twelfths takes 1, 2, 3, 3, 2, 1 twelfths of the range hour by hour; the cosine agrees to a
    // twelfth.
    for (const [h, twelfths] of [1, 3, 6, 9, 11, 12].entries())
      expect(Math.abs(after(h + 1) - (5 - (4 * twelfths) / 12))).toBeLessThan(4 / 12);
  });
  it('never leaves the range of its two turns', () => {
    const height = fc.double({ min: -5, max: 20, noNaN: true });
    fc.assert(
      fc.property(height, height, fc.double({ min: -1, max: 2, noNaN: true }), (a, b, part) => {
        const value = heightBetween({ at: 0, heightM: a }, { at: HOUR_MS, heightM: b }, part * HOUR_MS);
        return value >= Math.min(a, b) - 1e-9 && value <= Math.max(a, b) + 1e-9;
      }),
    );
  });
  it('goes as far as the table does, and says where it is silent', () => {
    expect(tableCovers(table, noon - 2 * HOUR_MS, noon + 9 * HOUR_MS)).toBe(true);
    expect(tableCovers(table, noon, noon + 19 * HOUR_MS)).toBe(false);
    const gap = table.filter((_, i) => i !== 2 && i !== 3);
    expect(tableCovers(gap, noon - HOUR_MS, noon + HOUR_MS)).toBe(false);
    const series = tableSeries(table, noon - 40 * HOUR_MS, noon + 40 * HOUR_MS);
    expect(series?.from).toBe(noon - 12 * HOUR_MS);
    expect(series && valueAt(series, noon + 3 * HOUR_MS)).toBeCloseTo(3, 6);
    expect(tableSeries([], noon, noon + HOUR_MS)).toBeNull();
  });
  it('has the turns of its day as they were written, the first and the last too', () => {
    const within = turnsWithin(table, Date.parse(table[0]?.at ?? ''), Date.parse(table[2]?.at ?? ''));
    expect(within.map(({ value }) => value)).toEqual(table.slice(0, 3).map(({ heightM }) => heightM));
    expect(within[0]?.high).toBe((table[0]?.heightM ?? 0) > (table[1]?.heightM ?? 0));
    expect(within[1]?.high).toBe(!within[0]?.high);
  });
  it('comes from the table where it speaks for the day, else from constituents; with neither it is silent', () => {
    const constituents = [{ name: 'M2', amplitude: 0.1, phaseDeg: 0 }];
    const both = { tide: { ...tide, constituents } };
    const at = (water: Parameters<typeof tideOf>[0], h: number) => {
      const series = tideOf(water, noon + (h - 1) * HOUR_MS, noon + (h + 1) * HOUR_MS);
      return series && valueAt(series, noon + h * HOUR_MS);
    };
    expect(at(both, 0)).toBeCloseTo(5, 6);
    expect(at(both, 24 * 9)).toBeLessThan(3.2);
    expect(tideIsSilent(both, noon + 200 * HOUR_MS, noon + 210 * HOUR_MS)).toBe(false);
    expect(tideIsSilent({ tide }, noon + 200 * HOUR_MS, noon + 210 * HOUR_MS)).toBe(true);
    expect(tideIsSilent({ tide: { ...tide, turns: [] } }, noon, noon + HOUR_MS)).toBe(true);
    expect(tideIsSilent({ tide: null }, noon, noon + HOUR_MS)).toBe(false);
  });
  it('is what a stream by its hours hangs on: without a high water written it is silent, not still', () => {
    const stream = { towardDeg: 90, steadyMps: 0, constituents: [], ...noStreamTable };
    const hours = [{ hour: 0, towardDeg: 90, springMps: 1, neapMps: 0.5 }];
    const silent = (
      water: Omit<Parameters<typeof streamIsSilent>[0], 'setting'>,
      h = 0,
      setting: 'coast' | 'river' = 'coast',
    ) => streamIsSilent({ ...water, setting }, noon + h * HOUR_MS, noon + (h + 1) * HOUR_MS);
    expect(silent({ tide: null, stream: { ...stream, hours } })).toBe(true);
    expect(silent({ tide, stream: { ...stream, hours } })).toBe(false);
    expect(silent({ tide, stream: { ...stream, hours } }, 200)).toBe(true);
    expect([silent({ tide, stream }), silent({ tide, stream: null })]).toEqual([true, false]);
    expect(silent({ tide: null, stream: { ...stream, steadyMps: 0.4 } })).toBe(false);
    expect(silent({ tide: null, stream: null }, 0, 'river'), 'a river runs').toBe(true);
  });
});

describe('a stream by hours about high water', () => {
  const rows = [-3, 0, 3].map((hour) => ({
    hour,
    towardDeg: hour < 0 ? 90 : 270,
    springMps: Math.abs(hour) / 3,
    neapMps: Math.abs(hour) / 6,
  }));
  const stream = { ...noStreamTable, towardDeg: 90, steadyMps: 0, constituents: [], hours: rows };
  const flow = (water: Parameters<typeof streamOf>[0], h: number) =>
    streamOf(water, noon - HOUR_MS * 8, noon + HOUR_MS * 8)?.at(noon + h * HOUR_MS) ?? {
      east: NaN,
      north: NaN,
    };
  it('runs as the row of its hour says, straight in between, one way before and the other after', () => {
    expect(speedOf(flow({ tide, stream }, -3))).toBeCloseTo(1, 3);
    expect(bearingOf(flow({ tide, stream }, -3))).toBeCloseTo(90, 3);
    expect(bearingOf(flow({ tide, stream }, 2))).toBeCloseTo(270, 3);
    expect(speedOf(flow({ tide, stream }, 1.5))).toBeCloseTo(0.5, 2);
    expect(speedOf(flow({ tide, stream }, 0))).toBeCloseTo(0, 2);
  });
  it('is signed by its own bearing, so that slack water is found', () => {
    const series = streamOf({ tide, stream }, noon - 4 * HOUR_MS, noon + 4 * HOUR_MS)?.series;
    expect(series && valueAt(series, noon - 2 * HOUR_MS)).toBeGreaterThan(0.5);
    expect(series && valueAt(series, noon + 2 * HOUR_MS)).toBeLessThan(-0.5);
  });
  it('runs at neap rates when the range is that of neaps, at spring rates where ranges are not told', () => {
    const told = { ...stream, springRangeM: 8, neapRangeM: 4 };
    expect(speedOf(flow({ tide, stream: told }, -3))).toBeCloseTo(0.5, 3);
    const springs = { ...tide, turns: table.map((one) => (one.high ? { ...one, heightM: 9 } : one)) };
    expect(speedOf(flow({ tide: springs, stream: told }, -3))).toBeCloseTo(1, 3);
    const huge = { ...tide, turns: table.map((one) => (one.high ? { ...one, heightM: 20 } : one)) };
    expect(speedOf(flow({ tide: huge, stream: told }, -3))).toBeCloseTo(1.125, 3);
  });
  it('is still where no high water is known', () => {
    expect(speedOf(flow({ tide: { ...tide, turns: [] }, stream }, -3))).toBe(0);
  });
  it('is made from slack water and a greatest rate as a sine, hardest half-way between slacks', () => {
    const made = hoursFromSlack({ floodEndsH: 0, floodTowardDeg: 40, springMps: 1.2, neapMps: 0.6 });
    const of = (hour: number) => made.find((one) => one.hour === hour);
    expect(of(0)?.springMps).toBe(0);
    expect(of(-3)).toMatchObject({ towardDeg: 40, springMps: 1.2, neapMps: 0.6 });
    expect(of(3)).toMatchObject({ towardDeg: 220, springMps: 1.2 });
    expect(mainBearing(made)).toBe(40);
  });
});

describe('where heights and streams come from', () => {
  it('is told by what is written; what was typed is never called invented', () => {
    const typed = { tide, stream: null, invented: true };
    expect(sayTideSource(typed)).not.toMatch(/invented/);
    const harmonic = { meanM: 2, turns: [], constituents: [{ name: 'M2', amplitude: 1, phaseDeg: 0 }] };
    expect(sayTideSource({ tide: harmonic, stream: null, invented: true })).toMatch(/invented constituents/);
    expect(sayTideSource({ tide: harmonic, stream: null, invented: false })).toMatch(/its own constituents/);
    expect(sayTideSource({ tide: { ...harmonic, constituents: [] }, stream: null, invented: false })).toMatch(
      /no figure of it/,
    );
    const steady = { ...noStreamTable, towardDeg: 0, steadyMps: 1, constituents: [] };
    expect(sayTideSource({ tide: null, stream: steady, invented: true })).toBe(
      'The stream is steady, as it was written.',
    );
    const hours = hoursFromSlack({ floodEndsH: 0, floodTowardDeg: 40, springMps: 1, neapMps: 0.5 });
    expect(sayTideSource({ tide, stream: { ...steady, hours }, invented: true })).toMatch(
      /by the hours about high water/,
    );
    expect(sayTideSource({ tide: null, stream: null, invented: true })).toBe('');
  });
});
