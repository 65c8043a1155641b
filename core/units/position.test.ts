import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type Position, parsePosition, sayPosition } from './position';

const at = (text: string, known: readonly Position[] = []) => {
  const result = parsePosition(text, known);
  const say = ({ latDeg, lonDeg }: Position) => [Number(latDeg.toFixed(4)), Number(lonDeg.toFixed(4))];
  if (result.is === 'position') return say(result.position);
  return result.is === 'open' ? result.choices.map(say) : result.why;
};

describe('a position', () => {
  it.each([
    '47.1234, -18.5432',
    '47.1234,-18.5432',
    '47.1234 -18.5432',
    '47,1234 -18,5432',
    '47,1234; -18,5432',
    '47.1234° N, 18.5432° W',
    'N 47.1234 W 18.5432',
    'N47.1234W18.5432',
    '47.1234N 18.5432W',
    'W 18.5432, N 47.1234',
    'lat 47.1234 lon -18.5432',
    'Latitude: 47.1234, Longitude: -18.5432',
    '(47.1234, −18.5432)',
    "47° 7.404' N 18° 32.592' W",
    '47 7.404 N 18 32.592 W',
    '47° 07.404′N, 018° 32.592′W',
    'N47 07.404 W018 32.592',
    '47 7.404 -18 32.592',
    '47° 7\' 24.24" N 18° 32\' 35.52" W',
    '47°07′24.24″N 18°32′35.52″W',
    "47°7'24.24''N, 18°32'35.52''W",
    '47 7 24.24 N 18 32 35.52 W',
    '47.1234\t-18.5432',
    '47-07.404N 018-32.592W',
    '47.1234/-18.5432',
    '47:07:24.24N 18:32:35.52W',
    '47d07m24.24s N 18d32m35.52s W',
    '470724.24N 0183235.52W',
    '4707.404N 01832.592W',
    '47 degrees 7.404 minutes north, 18 degrees 32.592 minutes west',
    'lat: 47.1234 lng: -18.5432',
    'https://maps.example.org/@47.1234,-18.5432,15z',
    '{"lat": 47.1234, "lng": -18.5432}',
  ])('is understood as it is written: %s', (text) => {
    expect(at(text)).toEqual([47.1234, -18.5432]);
  });
  it('a minus between two figures is not lost', () => {
    expect(at('47.1234-18.5432')).not.toEqual([47.1234, 18.5432]);
  });
  it('south and east are told by letters or by the sign', () => {
    expect(at('S 33.5 E 151.25')).toEqual([-33.5, 151.25]);
    expect(at('-33.5 151.25')).toEqual([-33.5, 151.25]);
    expect(at('79.9 N, 0')).toEqual([79.9, 0]);
  });
  it('without letters and signs is asked, by all that it may be', () => {
    expect(at('47.5 18.25')).toEqual([
      [47.5, 18.25],
      [47.5, -18.25],
      [-47.5, 18.25],
      [-47.5, -18.25],
    ]);
    expect(at('47 30 N 18 15')).toEqual([
      [47.5, 18.25],
      [47.5, -18.25],
    ]);
    expect(at('47.5 N 18.25 O')).toEqual([
      [47.5, -18.25],
      [47.5, 18.25],
    ]);
    expect(at('79.9, 0')).toEqual([
      [79.9, 0],
      [-79.9, 0],
    ]);
  });
  it('without them is where a known water lies near, and asked where none does', () => {
    const known = [{ latDeg: 47, lonDeg: -18 }];
    expect(at('47.5 18.25', known)).toEqual([47.5, -18.25]);
    expect(at('47 30 18 15', known)).toEqual([47.5, -18.25]);
    expect(at('57.5 18.25', known)).toHaveLength(4);
    expect(at('0.5 0.5', [{ latDeg: 0, lonDeg: 0 }])).toHaveLength(4);
  });
  it.each([
    ['', /Write a position/],
    ['by the old pier', /Two angles|no angle/],
    ['47.1234', /Two angles/],
    ['N 47.1 N 18.5', /Both angles are latitudes/],
    ['97.1, 18.5', /past the pole/],
    ['81, 18', /Past 80° north/],
    ['47.1, 181', /half way round/],
    ["47° 61' N 18° 3' W", /go to 60/],
    ["47.5° 7' N 18° 3' W", /fraction of a degree/],
    ['-47.1 N 18.5 W', /a minus and a letter/],
    ['47 7 24', /Two angles/],
  ])('that is none is refused in words: %s', (text, why) => {
    expect(at(text)).toMatch(why);
  });
  it('comes back from its own writing to within two metres, wherever it is', () => {
    const degrees = (most: number) => fc.double({ min: -most, max: most, noNaN: true });
    fc.assert(
      fc.property(degrees(80), degrees(180), (latDeg, lonDeg) => {
        const result = parsePosition(sayPosition({ latDeg, lonDeg }));
        if (result.is !== 'position') return false;
        const { position } = result;
        return Math.abs(position.latDeg - latDeg) < 1e-5 && Math.abs(position.lonDeg - lonDeg) < 1e-5;
      }),
    );
    expect(sayPosition({ latDeg: 47.1234, lonDeg: -18.5432 })).toBe('47° 07.404′ N 18° 32.592′ W');
    expect(sayPosition({ latDeg: 59.999999, lonDeg: 0 })).toBe('60° 00.000′ N 0° 00.000′ E');
  });
});
