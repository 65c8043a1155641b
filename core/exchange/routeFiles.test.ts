import { describe, expect, it } from 'vitest';
import type { Waypoint } from '../documents/outing';
import { writeGpx } from './gpx';
import { writeKml } from './kml';
import { readRoute } from './readRoute';

const launch = { latDeg: 47.5, lonDeg: -18.5 };
const area = { latDeg: 47.53, lonDeg: -18.46 };
const ends = { launch, area, landing: launch };
const read = (text: string, answers = {}) => readRoute(text, ends, answers);
/** "47.51,-18.49 buoy" of each point out, and home. */
const say = (result: ReturnType<typeof read>) => {
  if (!result.taken) return result.why;
  const points = (list: readonly Waypoint[]) =>
    list.map(({ latDeg, lonDeg, name }) => `${latDeg},${lonDeg}${name === '' ? '' : ` ${name}`}`).join(' ');
  return `${points(result.value.out)} | ${points(result.value.home)}`;
};
const out = '47.51,-18.49 47.52,-18.47 | ';
const both = '47.51,-18.49 47.52,-18.47 | 47.515,-18.475';

const xml = (inside: string) => `<?xml version="1.0" encoding="UTF-8"?>\n${inside}`;
const gpx = (
  inside: string,
  about = 'version="1.1" creator="another" xmlns="http://www.topografix.com/GPX/1/1"',
) => xml(`<gpx ${about}>${inside}</gpx>`);
const trkpt = (lat: string, lon: string, inside = '') => `<trkpt lat="${lat}" lon="${lon}">${inside}</trkpt>`;
const a = trkpt('47.51', '-18.49');
const b = trkpt('47.52', '-18.47');
const c = trkpt('47.515', '-18.475');
const kml = (inside: string) =>
  xml(`<kml xmlns="http://www.opengis.net/kml/2.2" xmlns:gx="urn:tracks">${inside}</kml>`);
const geo = (value: unknown) => JSON.stringify(value);
const line = (coordinates: unknown, properties: unknown = {}) => ({
  type: 'Feature',
  properties,
  geometry: { type: 'LineString', coordinates },
});
const there = [
  [-18.49, 47.51],
  [-18.47, 47.52],
];
const back = [[-18.475, 47.515]];

describe('a route of another program', () => {
  it.each<[string, string, string]>([
    ['a track', gpx(`<trk><name>Morning</name><trkseg>${a}${b}</trkseg></trk>`), out],
    ['a route', gpx('<rte><rtept lat="47.51" lon="-18.49"/><rtept lat="47.52" lon="-18.47"/></rte>'), out],
    [
      'names of its points',
      gpx(
        '<rte><rtept lat="47.51" lon="-18.49"><name>buoy</name></rtept><rtept lat="47.52" lon="-18.47"/></rte>',
      ),
      '47.51,-18.49 buoy 47.52,-18.47 | ',
    ],
    ['two tracks', gpx(`<trk><trkseg>${a}${b}</trkseg></trk><trk><trkseg>${c}</trkseg></trk>`), both],
    [
      'two routes',
      gpx(
        '<rte><rtept lat="47.51" lon="-18.49"/><rtept lat="47.52" lon="-18.47"/></rte><rte><rtept lat="47.515" lon="-18.475"/></rte>',
      ),
      both,
    ],
    [
      'a route and a track',
      gpx(
        `<rte><rtept lat="47.51" lon="-18.49"/><rtept lat="47.52" lon="-18.47"/></rte><trk><trkseg>${c}</trkseg></trk>`,
      ),
      both,
    ],
    ['a track in segments', gpx(`<trk><trkseg>${a}</trkseg><trkseg>${b}</trkseg></trk>`), out],
    ['an empty segment', gpx(`<trk><trkseg/><trkseg>${a}${b}</trkseg></trk>`), out],
    [
      'heights and times',
      gpx(
        `<trk><trkseg>${trkpt('47.51', '-18.49', '<ele>0.3</ele><time>2026-07-04T06:00:00Z</time>')}${b}</trkseg></trk>`,
      ),
      out,
    ],
    [
      'extensions',
      gpx(
        `<trk><extensions><x:y xmlns:x="urn:x">1</x:y></extensions><trkseg>${trkpt('47.51', '-18.49', '<extensions><hr>90</hr></extensions>')}${b}</trkseg></trk>`,
      ),
      out,
    ],
    [
      'the older form',
      gpx(
        `<trk><trkseg>${a}${b}</trkseg></trk>`,
        'version="1.0" creator="old" xmlns="http://www.topografix.com/GPX/1/0"',
      ),
      out,
    ],
    ['no declaration', `<gpx version="1.1"><trk><trkseg>${a}${b}</trkseg></trk></gpx>`, out],
    ['a mark at its beginning', `\uFEFF${gpx(`<trk><trkseg>${a}${b}</trkseg></trk>`)}`, out],
    [
      'prefixes',
      xml(
        `<g:gpx xmlns:g="http://www.topografix.com/GPX/1/1"><g:trk><g:trkseg><g:trkpt lat="47.51" lon="-18.49"/><g:trkpt lat="47.52" lon="-18.47"/></g:trkseg></g:trk></g:gpx>`,
      ),
      out,
    ],
    [
      'single quotes',
      gpx("<trk><trkseg><trkpt lat='47.51' lon='-18.49'/><trkpt lat='47.52' lon='-18.47'/></trkseg></trk>"),
      out,
    ],
    [
      'longitude first in its tags',
      gpx('<trk><trkseg><trkpt lon="-18.49" lat="47.51"/><trkpt lon="-18.47" lat="47.52"/></trkseg></trk>'),
      out,
    ],
    ['gaps around its figures', gpx(`<trk><trkseg>${trkpt(' 47.51 ', ' -18.49 ')}${b}</trkseg></trk>`), out],
    ['a plus sign', gpx(`<trk><trkseg>${trkpt('+47.51', '-18.49')}${b}</trkseg></trk>`), out],
    [
      'many decimals',
      gpx(`<trk><trkseg>${trkpt('47.5100000000', '-18.4900000000')}${b}</trkseg></trk>`),
      out,
    ],
    [
      'entities in names',
      gpx(
        '<rte><rtept lat="47.51" lon="-18.49"><name>Rock &amp; &#xC5;l</name></rtept><rtept lat="47.52" lon="-18.47"/></rte>',
      ),
      '47.51,-18.49 Rock & Ål 47.52,-18.47 | ',
    ],
    [
      'a name in CDATA',
      gpx(
        '<rte><rtept lat="47.51" lon="-18.49"><name><![CDATA[A < B]]></name></rtept><rtept lat="47.52" lon="-18.47"/></rte>',
      ),
      '47.51,-18.49 A < B 47.52,-18.47 | ',
    ],
    ['comments between', gpx(`<!-- made by hand --><trk><trkseg>${a}<!-- there -->${b}</trkseg></trk>`), out],
    [
      'waypoints beside it',
      gpx(`<wpt lat="47.6" lon="-18.6"><name>X</name></wpt><trk><trkseg>${a}${b}</trkseg></trk>`),
      out,
    ],
    [
      'its ends at launch and place',
      gpx(`<trk><trkseg>${trkpt('47.5', '-18.5')}${a}${b}${trkpt('47.53', '-18.46')}</trkseg></trk>`),
      out,
    ],
    [
      'KML, a line',
      kml(
        '<Placemark><name>out</name><LineString><coordinates>-18.49,47.51,0 -18.47,47.52,0</coordinates></LineString></Placemark>',
      ),
      out,
    ],
    [
      'KML, a document',
      kml(
        '<Document><name>d</name><Placemark><LineString><coordinates>\n  -18.49,47.51\n  -18.47,47.52\n</coordinates></LineString></Placemark></Document>',
      ),
      out,
    ],
    [
      'KML, folders in folders',
      kml(
        '<Document><Folder><Folder><Placemark><LineString><coordinates>-18.49,47.51 -18.47,47.52</coordinates></LineString></Placemark></Folder></Folder></Document>',
      ),
      out,
    ],
    [
      'KML, a line in parts',
      kml(
        '<Placemark><MultiGeometry><LineString><coordinates>-18.49,47.51</coordinates></LineString><LineString><coordinates>-18.47,47.52</coordinates></LineString></MultiGeometry></Placemark>',
      ),
      out,
    ],
    [
      'KML, a recorded track',
      kml(
        '<Placemark><gx:Track><when>2026-07-04T06:00:00Z</when><gx:coord>-18.49 47.51 0</gx:coord><gx:coord>-18.47 47.52 0</gx:coord></gx:Track></Placemark>',
      ),
      out,
    ],
    [
      'KML, tracks in parts',
      kml(
        '<Placemark><gx:MultiTrack><gx:Track><gx:coord>-18.49 47.51 0</gx:coord></gx:Track><gx:Track><gx:coord>-18.47 47.52 0</gx:coord></gx:Track></gx:MultiTrack></Placemark>',
      ),
      out,
    ],
    [
      'KML, two lines and points',
      kml(
        '<Document><Placemark><Point><coordinates>-18.6,47.6</coordinates></Point></Placemark><Placemark><LineString><coordinates>-18.49,47.51 -18.47,47.52</coordinates></LineString></Placemark><Placemark><LineString><coordinates>-18.475,47.515</coordinates></LineString></Placemark></Document>',
      ),
      both,
    ],
    ['GeoJSON, a bare line', geo({ type: 'LineString', coordinates: there }), out],
    ['GeoJSON, one feature', geo(line(there)), out],
    ['GeoJSON, a collection', geo({ type: 'FeatureCollection', features: [line(there), line(back)] }), both],
    [
      'GeoJSON, heights',
      geo(
        line([
          [-18.49, 47.51, 2],
          [-18.47, 47.52, 3],
        ]),
      ),
      out,
    ],
    [
      'GeoJSON, a line in parts',
      geo({
        type: 'Feature',
        properties: null,
        geometry: { type: 'MultiLineString', coordinates: [[there[0]], [there[1]]] },
      }),
      out,
    ],
    [
      'GeoJSON, points beside it',
      geo({
        type: 'FeatureCollection',
        features: [
          { type: 'Feature', properties: {}, geometry: { type: 'Point', coordinates: [1, 2] } },
          line(there),
        ],
      }),
      out,
    ],
    [
      'GeoJSON, without properties',
      geo({ type: 'Feature', geometry: { type: 'LineString', coordinates: there } }),
      out,
    ],
    [
      'GeoJSON, the older form that names degrees',
      geo({
        type: 'FeatureCollection',
        crs: { type: 'name', properties: { name: 'urn:ogc:def:crs:OGC:1.3:CRS84' } },
        features: [line(there)],
      }),
      out,
    ],
    [
      'GeoJSON, EPSG:4326',
      geo({
        type: 'FeatureCollection',
        crs: { type: 'name', properties: { name: 'EPSG:4326' } },
        features: [line(there)],
      }),
      out,
    ],
    [
      'its own GPX',
      writeGpx(
        'T',
        [
          launch,
          { latDeg: 47.51, lonDeg: -18.49, name: '' },
          { latDeg: 47.52, lonDeg: -18.47, name: '' },
          area,
        ].map((p) => ({ name: '', ...p })),
        [area, { latDeg: 47.515, lonDeg: -18.475 }, launch].map((p) => ({ name: '', ...p })),
        [{ ...area, name: 'reef' }],
      ),
      both,
    ],
    [
      'its own KML',
      writeKml(
        'T',
        [
          launch,
          { latDeg: 47.51, lonDeg: -18.49, name: '' },
          { latDeg: 47.52, lonDeg: -18.47, name: '' },
          area,
        ].map((p) => ({ name: '', ...p })),
        [area, { latDeg: 47.515, lonDeg: -18.475 }, launch].map((p) => ({ name: '', ...p })),
        [{ ...area, name: 'reef' }],
      ),
      both,
    ],
  ])('is read: %s', (_, text, expected) => {
    expect(say(read(text))).toBe(expected);
  });

  it.each<[string, string, RegExp]>([
    [
      'latitude and longitude swapped, beyond the poles',
      gpx(`<trk><trkseg>${trkpt('-118.49', '47.51')}${trkpt('-118.47', '47.52')}</trkseg></trk>`),
      /swapped/,
    ],
    [
      'latitude and longitude swapped, far from the launch',
      geo(line(there.map(([x, y]) => [y, x]))),
      /seem to be swapped/,
    ],
    ['an empty latitude alone', gpx(`<trk><trkseg>${trkpt('', '')}</trkseg></trk>`), /No point of the file/],
    [
      'metres of a map projection',
      geo(
        line([
          [-2058000, 6024000],
          [-2057000, 6025000],
        ]),
      ),
      /metres of a map projection/,
    ],
    [
      'another reference system',
      geo({
        type: 'FeatureCollection',
        crs: { type: 'name', properties: { name: 'urn:ogc:def:crs:EPSG::3857' } },
        features: [line(there)],
      }),
      /EPSG::3857/,
    ],
    [
      'KML without lines',
      kml('<Placemark><Point><coordinates>1,2</coordinates></Point></Placemark>'),
      /neither a route nor a track/,
    ],
  ])('is refused in words: %s', (_, text, why) => {
    expect(say(read(text))).toMatch(why);
  });

  it('of more than two lines asks which lead out and home', () => {
    const text = gpx(
      [a + b, c, a].map((points, i) => `<trk><name>T${i}</name><trkseg>${points}</trkseg></trk>`).join(''),
    );
    const asked = read(text);
    expect(asked.taken ? [] : asked.asks?.map(({ id }) => id)).toEqual(['out', 'home']);
    expect(asked.taken ? '' : asked.asks?.[0]?.choices[0]?.text).toMatch(/^T0, 2 points, /);
    expect(say(read(text, { out: '0', home: '1' }))).toBe(both);
    expect(say(read(text, { out: '1', home: 'none' }))).toBe('47.515,-18.475 | ');
  });
  it('that begins far from the launch is asked about', () => {
    const text = gpx('<rte><rtept lat="40" lon="-10"/><rtept lat="40.1" lon="-10"/></rte>');
    const asked = read(text);
    expect(asked.taken ? [] : asked.asks?.map(({ id }) => id)).toEqual(['far']);
    expect(say(read(text, { far: 'yes' }))).toBe('40,-10 40.1,-10 | ');
    expect(say(read(text, { far: 'no' }))).toBe('Nothing of it was taken.');
  });
  it('holds as many points as the program writes', () => {
    const many = Array.from({ length: 60 }, (_, i) => ({
      latDeg: Number((47.505 + 0.0004 * i).toFixed(6)),
      lonDeg: Number((-18.49 + 0.002 * (i % 2)).toFixed(6)),
      name: '',
    }));
    const whole = [{ ...launch, name: '' }, ...many, { ...area, name: '' }];
    for (const write of [writeGpx, writeKml]) {
      const result = read(write('T', whole, []));
      expect(result.taken && result.value.out).toEqual(many);
    }
  });
});
