import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import type { Waypoint } from '../documents/outing';
import { distanceBetween, fromPlane } from '../environment/geo';
import { readForecastCsv, readForecastJson } from './forecast';
import { readGeoJson, writeGeoJson } from './geojson';
import { readGpx, readWaypoints, writeGpx } from './gpx';

const launch = { latDeg: 47.5, lonDeg: -18.5 };
const place = (x: number, y: number, name = ''): Waypoint => {
  const { latDeg, lonDeg } = fromPlane(launch, { x, y });
  return { latDeg: Number(latDeg.toFixed(6)), lonDeg: Number(lonDeg.toFixed(6)), name };
};
const area = place(1900, -2180, 'the reef');
const ends = { launch, area, landing: launch };
const out = [place(700, -900, 'buoy & <bell>'), place(1200, -1600, '')];
const home = [place(1000, -1200, 'Ålesund "inner"')];
const withEnds = {
  out: [{ ...launch, name: 'slip' }, ...out, area],
  home: [area, ...home, { ...launch, name: 'slip' }],
};
const track = (points: readonly Waypoint[]) =>
  `<?xml version="1.0"?><gpx version="1.1"><trk><trkseg>${points.map((p) => `<trkpt lat="${p.latDeg}" lon="${p.lonDeg}"><ele>0</ele></trkpt>`).join('')}</trkseg></trk></gpx>`;

describe('routes in GPX and GeoJSON', () => {
  it('come back as they were written, names and all', () => {
    for (const [write, read] of [
      [writeGpx, readGpx],
      [writeGeoJson, readGeoJson],
    ] as const) {
      const result = read(write('A "title" & more', withEnds.out, withEnds.home), ends);
      expect(result).toEqual({ taken: true, value: { out, home, asked: [] }, troubles: [] });
    }
  });
  it('of one track that comes back are parted at the farthest point and thinned', () => {
    const there = Array.from({ length: 3000 }, (_, i) =>
      place((1900 * i) / 3000 + 3 * Math.sin(i), (-2180 * i) / 3000),
    );
    const result = readGpx(track([...there, ...there.toReversed()]), ends);
    if (!result.taken) throw new Error(result.why);
    expect(result.value.out.length).toBeLessThanOrEqual(40);
    expect(result.value.home.length).toBeLessThanOrEqual(40);
    const strayed = result.value.out.map((point) =>
      Math.min(...there.map((other) => distanceBetween(point, other))),
    );
    expect(Math.max(...strayed)).toBeLessThan(1);
  });
  it('of 20,000 points are read', () => {
    const points = Array.from({ length: 20_000 }, (_, i) => place(i / 8, -i / 9 + 40 * Math.sin(i / 300)));
    expect(readGpx(track(points), ends).taken).toBe(true);
  });
  it('leave a bad point out and say which', () => {
    const result = readGpx(
      '<gpx><rte><rtept lat="47.49" lon="-18.49"/><rtept lat="abc" lon="1"/><rtept lat="47.48" lon="-18.48"/></rte></gpx>',
      ends,
    );
    expect(result).toMatchObject({
      taken: true,
      troubles: ['Point 2: no position between 89° south and 89° north. Left out.'],
    });
    if (result.taken) expect(result.value.out).toHaveLength(2);
  });
  it.each([
    ['an entity', '<!DOCTYPE g [<!ENTITY a "b">]><gpx/>', /document type or entities/],
    [
      'an external entity',
      '<?xml version="1.0"?><!DOCTYPE foo SYSTEM "file:///etc/hosts"><gpx/>',
      /document type or entities/,
    ],
    ['broken XML', '<gpx><rte></gpx>', /^Line 1 is no sound XML/],
    ['other XML', '<html></html>', /no GPX/],
    ['no points', '<gpx version="1.1"></gpx>', /neither a route nor a track/],
    ['only bad points', '<gpx><rte><rtept lat="x" lon="y"/></rte></gpx>', /No point/],
    ['too much', `<gpx>${' '.repeat(8 * 1024 * 1024)}</gpx>`, /larger than 8 MB/],
    ['no text', '', /no sound XML|no GPX/],
  ])('refuse %s with a sentence', (_, text, why) => {
    expect(readGpx(text, ends)).toEqual({ taken: false, why: expect.stringMatching(why) });
  });
  it.each([
    ['{', /no JSON/],
    ['{"type":"Point","coordinates":[1,2]}', /no line/],
    ['[1,2]', /no GeoJSON/],
    ['{"type":"LineString","coordinates":[["a"],[null]]}', /No point/],
  ])('refuse %s as GeoJSON', (text, why) =>
    expect(readGeoJson(text, ends)).toEqual({ taken: false, why: expect.stringMatching(why) }),
  );
});

describe('waypoints in GPX', () => {
  const file = (inside: string) =>
    `<?xml version="1.0"?><gpx version="1.0" creator="another">${inside}</gpx>`;
  it('are read by name and position as another program wrote them, a nameless one by its number', () => {
    const result = readWaypoints(
      file(
        '<wpt lat="47.501" lon="-18.502"><ele>0</ele><name> Slip </name><sym>Anchor</sym></wpt><wpt lat="47.51" lon="-18.52"/>',
      ),
    );
    expect(result).toMatchObject({
      taken: true,
      troubles: [],
      value: [
        { latDeg: 47.501, lonDeg: -18.502, name: 'Slip' },
        { latDeg: 47.51, lonDeg: -18.52, name: 'Point 2' },
      ],
    });
  });
  it('are the points of a route where there are none; one without a position is told', () => {
    const route = readWaypoints(
      file('<rte><rtept lat="47" lon="-18"><name>A</name></rtept><rtept lat="x" lon="1"/></rte>'),
    );
    expect(route).toMatchObject({
      taken: true,
      value: [{ name: 'A' }],
      troubles: [expect.stringMatching(/^Waypoint 2/)],
    });
  });
  it.each([
    ['a track alone', file('<trk><trkseg><trkpt lat="1" lon="1"/></trkseg></trk>'), /A track alone/],
    ['no XML', 'hello', /no sound XML|no GPX/],
    ['entities', '<!DOCTYPE x><gpx/>', /entities/],
    ['no position at all', file('<wpt lat="95" lon="0"/>'), /No waypoint/],
  ])('are refused in words: %s', (_, text, why) => {
    const result = readWaypoints(text);
    expect(result.taken ? '' : result.why).toMatch(why);
  });
});

describe('forecasts', () => {
  it('are read from the sample that ships, units turned into SI', () => {
    const sample = readFileSync('web/public/samples/forecast.csv', 'utf8');
    const result = readForecastCsv(sample, { timeZone: 'UTC-1', near: '2026-05-16' });
    if (!result.taken) throw new Error(result.why);
    expect(result.troubles).toEqual([]);
    expect([result.value.unread, result.value.unused]).toEqual([[], []]);
    expect(result.value.hours).toHaveLength(9);
    expect(result.value.hours[0]).toMatchObject({
      at: '2026-05-16T04:00:00-01:00',
      windMps: 3.09,
      gustMps: 4.63,
      windFromDeg: 340,
      airC: 9,
      visibilityM: 18_000,
    });
    expect(result.value.waterC).toBeCloseTo(12.6, 1);
  });
  it('tell bad, disordered and missing hours by line, and take the rest', () => {
    const csv = [
      'time,wind (m/s),air (°F)',
      '2026-05-16 04:00,3,50',
      '2026-05-16 05:00,fast,50',
      'tomorrow,3,50',
      '2026-05-16 04:30,3,50',
      '2026-05-16 03:00,3,50',
      '2026-05-16 08:00,999,50',
      '2026-05-16 09:00,4,59',
    ].join('\n');
    const result = readForecastCsv(csv, { timeZone: 'UTC-1', near: '2026-05-16' });
    if (!result.taken) throw new Error(result.why);
    expect(result.value.hours.map((hour) => hour.windMps)).toEqual([3, 3, 4]);
    expect(result.value.hours[0]?.airC).toBe(10);
    expect(result.troubles).toEqual([
      'Line 3: wind "fast" is no number. Left out.',
      'Line 4: "tomorrow 3 50" has no day and hour that can be read. Left out.',
      'Line 6: 2026-05-16 03:00 does not come after the row before. Left out.',
      expect.stringMatching(/^Line 7: wind: .* Left out\.$/),
      'Line 8: 4 h are missing before it.',
    ]);
  });
  it.each(['', '{', '{"units":{}}', 'null', 'time,wind (m/s)', '\u0000\u0001', `a,b\n${'1,2\n'.repeat(10)}`])(
    'refuse %j with a sentence',
    (text) => {
      const options = { timeZone: 'UTC-1', near: '2026-05-16' };
      const result = /^\s*[{[n]/.test(text)
        ? readForecastJson(text, options)
        : readForecastCsv(text, options);
      expect(result).toEqual({ taken: false, why: expect.stringMatching(/\.$/) });
    },
  );
});
