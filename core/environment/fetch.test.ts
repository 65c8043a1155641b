import { describe, expect, it } from 'vitest';
import type { Chart } from '../documents/chart';
import { fetchFromChart, OPEN_SEA_M } from './fetch';
import { type Point, fromPlane } from './geo';

const here = { latDeg: 47.5, lonDeg: -18.5 };
const along = (points: readonly Point[]) =>
  points.map((point): [number, number] => {
    const { latDeg, lonDeg } = fromPlane(here, point);
    return [lonDeg, latDeg];
  });
const land = (geometry: Chart['features'][number]['geometry']): Chart => ({
  type: 'FeatureCollection',
  features: [{ type: 'Feature', properties: { shows: 'land', depthM: null, name: '' }, geometry }],
});

describe('the fetch of a place', () => {
  it('in the middle of a round lake is its radius all round', () => {
    const ring = Array.from({ length: 361 }, (_, i) => {
      const angle = (i * Math.PI) / 180;
      return { x: 800 * Math.sin(angle), y: 800 * Math.cos(angle) };
    });
    const fetch = fetchFromChart(here, land({ type: 'LineString', coordinates: along(ring) }));
    expect(fetch).toHaveLength(16);
    for (const metres of fetch ?? []) expect(Math.abs(metres - 800)).toBeLessThan(4);
  });
  it('off a straight shore to the north is the distance over the cosine, and open sea to the south', () => {
    const shore = along([
      { x: -50_000, y: 1000 },
      { x: 50_000, y: 1000 },
    ]);
    const fetch = fetchFromChart(here, land({ type: 'LineString', coordinates: shore })) ?? [];
    const rays = [-9, -4.5, 0, 4.5, 9].map((off) => 1000 / Math.cos((off * Math.PI) / 180));
    expect(fetch[0]).toBeCloseTo(rays.reduce((a, b) => a + b) / 5, -1);
    expect(fetch[8]).toBe(OPEN_SEA_M);
    expect(fetch[2]).toBeGreaterThan(1390);
    expect(fetch[2]).toBeLessThan(1480);
  });
  it('counts the nearest of several shores, and the edge of land drawn as a field', () => {
    const island = along([
      { x: 1900, y: -600 },
      { x: 1900, y: 600 },
      { x: 2500, y: 600 },
      { x: 2500, y: -600 },
      { x: 1900, y: -600 },
    ]);
    const fetch = fetchFromChart(here, land({ type: 'Polygon', coordinates: [island] })) ?? [];
    expect(fetch[4]).toBeGreaterThan(1890);
    expect(fetch[4]).toBeLessThan(1930);
    expect(fetch[12]).toBe(OPEN_SEA_M);
  });
  it('is not known without a shore', () => {
    expect(fetchFromChart(here, { type: 'FeatureCollection', features: [] })).toBeNull();
  });
});
