import { describe, expect, it } from 'vitest';
import { dayOf } from './day';
import { valueAt } from './tide';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import { lookUp } from '../documents/references';
import { speedOf } from './flow';
import { EMPTY_CHART } from '../documents/chart';
import { landAt } from '../passage/testChart';
import { distanceBetween } from './geo';
import { HOUR_MS, clockAt } from '../units/time';
import { driftPath, groundDrift } from '../holding/driftPath';
import { spotHours } from './spot';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const ling = outings.find((one) => one.id === 'ling-anchored') as Outing;
const { area, water } = lookUp(ling, references);
if (!area || !water) throw new Error('The demo outing has a place.');
const from = Date.parse(`${ling.brief.date}T06:10:00Z`);
const to = from + 5 * HOUR_MS;
const day = dayOf(ling.conditions, water, from, to);
const stay = { from, to, clock: (at: number) => clockAt(at, water.timeZone) };
const hours = spotHours(area, water, day, day.hours, stay);

describe('the place to fish by the half hour', () => {
  it('begins when one comes, stands on the half hours of the clock, and ends when one leaves', () => {
    expect(hours.slice(1, -1).map(({ at }) => at % (HOUR_MS / 2))).toEqual(hours.slice(2).map(() => 0));
    expect(hours[0]?.at).toBe(from);
    expect(hours[1]?.at).toBe(from + 20 * 60_000);
    expect(hours).toHaveLength(12);
  });
  it('sees a stay so short that no half hour of the clock falls into it', () => {
    const short = spotHours(area, water, day, ling.conditions.hours, { ...stay, to: from + 10 * 60_000 });
    expect(short.map(({ at }) => at)).toEqual([from, from + 10 * 60_000]);
    expect(spotHours(area, water, day, ling.conditions.hours, { ...stay, to: from })).toHaveLength(1);
  });
  it('is as deep as the chart says and the tide stands', () => {
    for (const { at, depthM, tideM } of hours) {
      expect(tideM).toBe(day.tideSeries && valueAt(day.tideSeries, at));
      expect(depthM).toBeCloseTo(area.depthM + tideM, 12);
    }
  });
  it('runs as hard as the race that it lies in', () => {
    const factor = water.hazards.find((one) => one.id === 'hole-set')?.streamFactor ?? 1;
    for (const { at, streamMps } of hours)
      expect(streamMps).toBeCloseTo(speedOf(day.streamAt(at)) * factor, 12);
    const calm = spotHours(area, { ...water, hazards: [] }, day, day.hours, stay);
    expect(calm[3]?.streamMps).toBeCloseTo((hours[3]?.streamMps ?? 0) / factor, 12);
  });
  it('has the wind of the moment and the waves of the nearest hour written', () => {
    expect(hours.every(({ windMps }) => Math.abs(windMps - 3.5) < 1e-9)).toBe(true);
    expect(hours.every(({ hsM }) => hsM >= 0.3)).toBe(true);
    expect(spotHours(area, water, day, [], stay).every(({ hsM }) => hsM === 0)).toBe(true);
  });
  it('is never shallower than a hand, whatever the tide', () => {
    const dry = spotHours(
      { ...area, depthM: 0 },
      { ...water, tide: null },
      { ...day, tideSeries: null },
      day.hours,
      stay,
    );
    expect(dry.every(({ depthM }) => depthM === 0.1)).toBe(true);
  });
  it('is nothing where the hours end before they begin', () => {
    expect(spotHours(area, water, day, day.hours, { ...stay, from: to, to: from })).toEqual([]);
  });
});

describe('a drift over the ground', () => {
  const [first] = hours;
  it('is the way of the wind and of the stream together', () => {
    if (!first) throw new Error('There are hours.');
    const still = { ...first, stream: { east: 0.2, north: 0 }, air: { east: 0, north: 4 }, windMps: 4 };
    expect(groundDrift(still, 0.3)).toEqual({ east: 0.2, north: 0.3 });
    expect(groundDrift({ ...still, windMps: 0 }, 0)).toEqual({ east: 0.2, north: 0 });
  });
  it('begins at the mark and goes as far as its speed takes it', () => {
    if (!first) throw new Error('There are hours.');
    const even = [0, 1, 2].map(() => ({
      ...first,
      stream: { east: 0, north: 0 },
      air: { east: 3, north: 0 },
      windMps: 3,
    }));
    const { points: path, ashoreAt } = driftPath(area, even, EMPTY_CHART, () => 0.25);
    expect(ashoreAt).toBeNull();
    expect(path).toHaveLength(3);
    expect(distanceBetween(area, path[0] ?? area)).toBeLessThan(0.01);
    expect(distanceBetween(area, path[2] ?? area)).toBeCloseTo(900, 0);
  });
  it('ends at the shore, at the hour it comes there', () => {
    if (!first) throw new Error('There are hours.');
    const start = Date.parse('2026-05-16T06:00:00Z');
    const even = [0, 1, 2].map((i) => ({
      ...first,
      at: start + i * 1_800_000,
      stream: { east: 0, north: 0 },
      air: { east: 3, north: 0 },
      windMps: 3,
    }));
    // A shore 675 m to the east: three quarters of an hour at a quarter of a metre a second.
    const shore = landAt(area, [
      [675, -500],
      [1675, -500],
      [1675, 500],
      [675, 500],
    ]);
    const { points, ashoreAt } = driftPath(area, even, shore, () => 0.25);
    expect(points).toHaveLength(3);
    expect(distanceBetween(area, points[2] ?? area)).toBeCloseTo(675, 0);
    expect(((ashoreAt ?? 0) - start) / 60_000).toBeCloseTo(45, 1);
  });
});
