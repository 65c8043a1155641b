import { describe, expect, it } from 'vitest';
import { readChart } from './chartFile';

const ring = [
  [-18.5, 47.5, 3],
  [-18.4, 47.5, 3],
  [-18.4, 47.6, 3],
  [-18.5, 47.5, 3],
];
const collection = (...features: unknown[]) => JSON.stringify({ type: 'FeatureCollection', features });
const feature = (geometry: unknown, properties: unknown = null) => ({
  type: 'Feature',
  properties,
  geometry,
});
const taken = (text: string) => {
  const read = readChart(text);
  if (!read.taken) throw new Error(read.why);
  return read;
};

describe('a chart from GeoJSON of any making', () => {
  it('takes an area that says nothing of itself for land, without its heights', () => {
    const { value } = taken(
      collection(feature({ type: 'Polygon', coordinates: [ring] }, { natural: 'land', id: 7 })),
    );
    expect(value.features).toHaveLength(1);
    expect(value.features[0]?.properties).toEqual({ shows: 'land', depthM: null, name: '' });
    expect(value.features[0]?.geometry.coordinates[0]?.[0]).toEqual([-18.5, 47.5]);
  });
  it('makes several of an area of several parts, and reads a bare line as a shore', () => {
    expect(
      taken(collection(feature({ type: 'MultiPolygon', coordinates: [[ring], [ring]] }))).value.features,
    ).toHaveLength(2);
    expect(
      taken(JSON.stringify({ type: 'LineString', coordinates: ring })).value.features[0]?.geometry.type,
    ).toBe('LineString');
  });
  it('keeps what the file says it shows, with its depth and name', () => {
    const text = collection(
      feature({ type: 'LineString', coordinates: ring }, { shows: 'depth line', depthM: 5, name: 'five' }),
    );
    expect(taken(text).value.features[0]?.properties).toEqual({
      shows: 'depth line',
      depthM: 5,
      name: 'five',
    });
  });
  it('leaves out points and what it does not know, and says so', () => {
    const { value, troubles } = taken(
      collection(
        feature({ type: 'Point', coordinates: [1, 2] }),
        feature({ type: 'Polygon', coordinates: [ring] }, { shows: 'treasure' }),
        feature({ type: 'Polygon', coordinates: [ring] }),
      ),
    );
    expect(value.features).toHaveLength(1);
    expect(troubles).toEqual([
      'Feature 1: neither a line nor an area. Left out.',
      'Feature 2: "treasure" is nothing a chart shows here. Left out.',
    ]);
  });
  it.each([
    ['no json', /no JSON/],
    ['{"type":"Topology"}', /no GeoJSON/],
    [collection(), /no line or area/],
    [collection(feature({ type: 'Polygon', coordinates: [[['a', 'b']]] })), /too few sound positions/],
    [
      collection(
        feature({
          type: 'LineString',
          coordinates: [
            [1, 99],
            [2, 99],
          ],
        }),
      ),
      /sound positions/,
    ],
    [
      collection(feature({ type: 'LineString', coordinates: Array.from({ length: 4001 }, () => [1, 2]) })),
      /4001 points/,
    ],
    ['x'.repeat(1_500_001), /1.5 MB/],
  ])('refuses in words: %#', (text, why) => {
    const read = readChart(text);
    expect(read.taken ? '' : read.why).toMatch(why);
  });
});
