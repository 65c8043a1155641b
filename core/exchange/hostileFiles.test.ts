import { describe, expect, it } from 'vitest';
import { readChart } from './chartFile';
import { readForecastCsv, readForecastJson } from './forecast';
import { readForecastWords } from './forecastWords';
import { readGeoJson } from './geojson';
import { readGpx, readWaypoints } from './gpx';
import type { Imported } from './imported';
import { readLockerCsv } from './lockerCsv';
import { readOffsets } from './offsets';
import { readStreamText } from './streamText';
import { readTideText } from './tideText';

const at = Date.parse('2026-05-16T05:00:00Z');
const place = { latDeg: 50, lonDeg: -4 };
const ends = { launch: place, area: place, landing: place };
const readers: [string, (text: string) => Imported<unknown>][] = [
  ['waypoints', readWaypoints],
  ['a route as GPX', (text) => readGpx(text, ends)],
  ['a route as GeoJSON', (text) => readGeoJson(text, ends)],
  ['a chart', readChart],
  ['offsets', readOffsets],
  ['a forecast as CSV', (text) => readForecastCsv(text, { timeZone: 'utc', near: '2026-07-04' })],
  ['a forecast as JSON', (text) => readForecastJson(text, { timeZone: 'utc', near: '2026-07-04' })],
  ['a forecast in words', (text) => readForecastWords(text, at, at + 6 * 3_600_000, 'utc')],
  ['tides', (text) => readTideText(text, '2026-05-16', 'utc')],
  ['streams', readStreamText],
  ['things', (text) => readLockerCsv(text, (i) => `t${i}`)],
];
const MANY = 200_000;
const columns = Array.from({ length: MANY }, (_, i) => `c${i}`).join(',');
const attributes = Array.from({ length: MANY }, (_, i) => `a${i}="1"`).join(' ');
const hostile: [string, string][] = [
  ['a tag named __proto__', '<gpx><__proto__><wpt lat="1" lon="2"/></__proto__></gpx>'],
  ['an attribute named __proto__', '<gpx><wpt lat="1" lon="2" __proto__="x"/></gpx>'],
  ['tags a hundred thousand deep', `<gpx>${'<a>'.repeat(100_000)}${'</a>'.repeat(100_000)}</gpx>`],
  ['200,000 attributes', `<gpx><wpt ${attributes} lat="1" lon="2"/></gpx>`],
  ['200,000 columns', `${columns}\n${columns}`],
  ['200,000 rows', 'time,wind (kn)\n' + '05:00,3\n'.repeat(MANY)],
  ['lists 200,000 deep', '['.repeat(MANY) + ']'.repeat(MANY)],
  ['a record within a record', '{"type":'.repeat(50_000) + '1' + '}'.repeat(50_000)],
  ['quotes that never close', '"a,'.repeat(MANY)],
  ['figures without an end', '1 '.repeat(MANY)],
  ['hours that are none', '12:'.repeat(600)],
  ['dates without an end', '2026-01-01 05:00 1.2 m '.repeat(80)],
];

describe.each(readers)('a reader of %s', (_, read) => {
  it.each(hostile)('answers %s in words and does not throw', (_name, text) => {
    const got = read(text);
    if (!got.taken) expect(got.why).toMatch(/^[A-Z0-9"‘“].{10,}/);
  });
});

describe('what is refused before it is read', () => {
  const why = (got: Imported<unknown>) => (got.taken ? null : got.why);
  it('is a line that no table has, more lines than are read, and a tag that no file has', () => {
    expect(why(readForecastCsv(`${columns}\n`, { timeZone: 'utc', near: '2026-07-04' }))).toBe(
      'Line 1 is longer than 20000 characters, and so no line of a table.',
    );
    expect(why(readLockerCsv('name,kind\n'.repeat(20_001), (i) => `t${i}`))).toMatch(/^This has 20002 lines/);
    expect(why(readGpx(`<gpx><wpt ${attributes}/></gpx>`, ends))).toMatch(/longer than any of a GPX/);
  });
  it('what a parser throws is told without its codes', () => {
    expect(why(readWaypoints('<gpx><__proto__/></gpx>'))).toMatch(
      /^This cannot be read: Invalid name: "__proto__"/,
    );
  });
});
