import { describe, expect, it } from 'vitest';
import { NO_FIGURES } from '../editing/hours';
import type { Hour } from '../documents/outing';
import { toward } from './flow';
import { fetchFor, seaAt } from './sea';
import { waves } from './waves';

const fetchM = Array.from({ length: 16 }, (_, i) => (i === 4 ? 10_000 : 1000));
const hour = (change: Partial<Hour>): Hour => ({
  at: '2026-05-16T06:00:00Z',
  ...NO_FIGURES,
  windMps: 8,
  windFromDeg: 90,
  ...change,
});
const still = { east: 0, north: 0 };

describe('the sea of an hour', () => {
  it('takes the fetch of the wind’s own bearing, straight between the sixteen', () => {
    expect(fetchFor(fetchM, 90)).toBe(10_000);
    expect(fetchFor(fetchM, 78.75)).toBe(5500);
    expect(fetchFor(fetchM, 360)).toBe(1000);
    expect(seaAt(hour({}), { fetchM }, still).hsM).toBeCloseTo(
      waves({ windSpeedMps: 8, fetchM: 10_000, durationS: null, depthM: null }).hsM,
      9,
    );
  });
  it('adds swell by the squares, and takes a written height before its own', () => {
    expect(seaAt(hour({ waveM: 0.3, swellM: 0.4 }), { fetchM }, still).hsM).toBeCloseTo(0.5, 9);
  });
  it('stands up against the stream and lies down on it', () => {
    const against = seaAt(hour({}), { fetchM }, toward(0.5, 90));
    const along = seaAt(hour({}), { fetchM }, toward(0.5, 270));
    expect(against.factor ?? 0).toBeGreaterThan(1.2);
    expect(along.factor ?? 9).toBeLessThan(1);
    expect(seaAt(hour({}), { fetchM }, toward(0.5, 0)).factor).toBeCloseTo(1, 6);
    expect(seaAt(hour({}), { fetchM }, toward(3, 90)).factor, 'stopped').toBeNull();
  });
  it('is flat without wind or swell', () => {
    expect(seaAt(hour({ windMps: 0 }), { fetchM }, still)).toMatchObject({ hsM: 0, onStreamM: 0, factor: 1 });
  });
  it('gives a written height a period that no stream stops: nobody who saw waves saw none', () => {
    for (const waveM of [0.05, 0.2, 0.3, 0.7, 1.5, 4])
      for (const speed of [0, 0.3, 0.71, 1.2, 2.5])
        for (const windMps of [null, 2, 9]) {
          const sea = seaAt(hour({ waveM, windMps, windFromDeg: 270 }), { fetchM }, toward(speed, 270));
          expect(sea.factor, `${waveM} m on ${speed} m/s`).not.toBeNull();
          expect((sea.windSeaM * 2 * Math.PI) / (9.80665 * sea.windSeaS ** 2)).toBeLessThanOrEqual(
            1 / 25 + 1e-9,
          );
        }
  });
});
