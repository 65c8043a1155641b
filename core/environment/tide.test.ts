import { describe, expect, it } from 'vitest';
import { HOUR_MS } from '../units/time';
import { harmonicSeries, slackWaters, turnsOfTide, valueAt } from './tide';

const from = Date.parse('2026-05-16T00:00:00Z');
const to = from + 48 * HOUR_MS;
const M2_HOURS = 360 / 28.9841042;

describe('tide from constituents', () => {
  it('of M2 alone turns every half of 12.42 h and swings about its mean', () => {
    const series = harmonicSeries([{ name: 'M2', amplitude: 1.5, phaseDeg: 40 }], from, to, 2);
    const turns = turnsOfTide(series, from, to);
    turns.slice(1).forEach((turn, i) => {
      expect((turn.at - (turns[i]?.at ?? 0)) / HOUR_MS).toBeCloseTo(M2_HOURS / 2, 1);
      expect(turn.high).toBe(!turns[i]?.high);
    });
    const highs = turns.filter((turn) => turn.high).map((turn) => turn.value - 2);
    // The moon's nodes move the amplitude by a few per cent over the years.
    for (const high of highs) expect(Math.abs(high / 1.5 - 1)).toBeLessThan(0.05);
  });
  it('of two constituents is the sum of each alone', () => {
    const m2 = { name: 'M2', amplitude: 1, phaseDeg: 10 };
    const k1 = { name: 'K1', amplitude: 0.3, phaseDeg: 200 };
    const both = harmonicSeries([m2, k1], from, to);
    const [a, b] = [harmonicSeries([m2], from, to), harmonicSeries([k1], from, to)];
    both.values.forEach((value, i) => expect(value).toBeCloseTo((a.values[i] ?? 0) + (b.values[i] ?? 0), 9));
  });
  it('without constituents is its mean, held', () => {
    const series = harmonicSeries([], from, to, 0.7);
    expect([valueAt(series, from - HOUR_MS), valueAt(series, to + HOUR_MS)]).toEqual([0.7, 0.7]);
  });
  it('is straight between its steps', () => {
    const series = { from: 0, stepMs: 1000, values: [0, 10, 0] };
    expect([valueAt(series, 250), valueAt(series, 1500), valueAt(series, 9000)]).toEqual([2.5, 5, 0]);
  });
  it('turns its stream where the speed passes nought', () => {
    const series = { from: 0, stepMs: 1000, values: [-1, 1, 3, -1] };
    expect(slackWaters(series, 0, 3000)).toEqual([500, 2750]);
  });
});
