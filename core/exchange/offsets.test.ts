import { describe, expect, it } from 'vitest';
import { stationsOf } from '../boat/hull/shape';
import { readOffsets, writeOffsets } from './offsets';

const form = {
  lengthM: 3.9,
  beamM: 0.86,
  depthM: 0.34,
  rockerM: 0.05,
  sheerM: 0.06,
  planExponent: 2.4,
  sectionExponent: 4,
};
const stations = (text: string) => {
  const read = readOffsets(text);
  return read.taken ? read.value.stations : read.why;
};

describe('offsets of a hull', () => {
  it('come back from CSV as they were written, to the tenth of a millimetre', () => {
    const wrote = stationsOf(form, 11, 8);
    const back = stations(writeOffsets(wrote));
    if (typeof back === 'string') throw new Error(back);
    expect(back).toHaveLength(11);
    back.forEach(({ xM, outline }, i) => {
      expect(xM).toBeCloseTo(wrote[i]?.xM ?? NaN, 4);
      outline.forEach(({ yM, zM }, k) => {
        expect(Math.abs(yM - (wrote[i]?.outline[k]?.yM ?? NaN))).toBeLessThanOrEqual(5.1e-5);
        expect(Math.abs(zM - (wrote[i]?.outline[k]?.zM ?? NaN))).toBeLessThanOrEqual(5.1e-5);
      });
    });
  });
  it('are read in the units their header names, and a flat bottom is given its keel', () => {
    expect(
      stations('Height (in), Station (ft), Half-breadth (mm)\n0,0,200\n10,0,300\n0,10,200\n10,10,300'),
    ).toEqual(
      [0, 3.048].map((xM) => ({
        xM,
        outline: [
          { yM: 0, zM: 0 },
          { yM: 0.2, zM: 0 },
          { yM: 0.3, zM: 0.254 },
        ],
      })),
    );
  });
  it('are read in inches, of both sides or of the port side; bare millimetres are asked for their unit', () => {
    const section = (x: number, y: number, z: number) => [
      `${x},0,${z / 4}`,
      `${x},${y},${z}`,
      `${x},${-y},${z}`,
    ];
    const table = (head: string, lines: string[]) => readOffsets([head, ...lines].join('\n'));
    const both = table('station in,half-breadth in,height in', [
      ...section(0, 10, 12),
      ...section(150, 16, 12),
    ]);
    expect(both).toMatchObject({ taken: true, troubles: ['One side was read: both are taken as alike.'] });
    expect(both.taken && both.value.stations[1]).toMatchObject({
      xM: 3.81,
      outline: [{ yM: 0 }, { yM: 0.4064, zM: 0.3048 }],
    });
    const port = table('x;y;z', ['0;0;0,1', '0;-0,250;0,3', '3,720;0;0,1', '3,720;-0,395;0,3']);
    expect(port).toMatchObject({
      taken: true,
      troubles: ['The port side was read: both are taken as alike.'],
    });
    expect(port.taken && port.value.stations[1]).toMatchObject({ xM: 3.72, outline: [{}, { yM: 0.395 }] });
    const bare = table('x,y,z', [...section(0, 250, 300), ...section(3720, 400, 300)]);
    expect(bare.taken ? '' : bare.why).toMatch(/Write the unit in the heading: station \(mm\)/);
  });
  it('are read from JSON too', () => {
    const shape = { stations: stationsOf(form, 5, 4) };
    expect(stations(JSON.stringify(shape))).toEqual(shape.stations);
  });
  it.each([
    ['', /no column for station/],
    ['station, half-breadth\n0, 0', /no column for height/],
    ['station, half-breadth, height\n0,0,0\n0,0.3,0.3', /at least two sections/],
    ['station, half-breadth, height\n0,0,0\n0,9,0.3\n1,0,0\n1,0.3,0.3', /^Station 1: A number from 0 to 3 m/],
    [
      'station, half-breadth, height\n0,0,0\n1,0,0\n1,0.3,0.3',
      /^Station 1: A section has at least two points/,
    ],
    ['station, half-breadth, height\n0,0,0\n0,0,0.3\n1,0,0\n1,0,0.3', /hold nothing/],
    ['{"stations": 3}', /\.$/],
    ['{"stations": [', /begins like JSON/],
  ])('that are none are refused in a sentence: %j', (text, why) => {
    expect(stations(text)).toMatch(why);
  });
  it('with a line that is none are taken without it, and it is said', () => {
    const read = readOffsets(
      'station,half-breadth,height\n0,0,0\n0,0.3,0.3\nabout here,x,y\n1,0,0\n1,0.3,0.3',
    );
    expect(read.taken && read.value.stations.length).toBe(2);
    expect(read.taken && read.troubles).toEqual(['Line 4 is not three lengths: about here, x, y.']);
  });
});
