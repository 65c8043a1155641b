import { describe, expect, it } from 'vitest';
import type { Hour } from '../documents/outing';
import { type ReadForecast, readForecastCsv, readForecastJson } from './forecast';

/** A day in a place two hours ahead of UTC in summer, of an outing on 4 July 2026. */
const options = { timeZone: 'Europe/Paris', near: '2026-07-04' };
const read = (text: string, answers: Record<string, string> = {}): ReadForecast =>
  (/^\s*[[{]/.test(text) ? readForecastJson : readForecastCsv)(text, { ...options, answers });

const say = ({
  at,
  windMps,
  gustMps,
  windFromDeg,
  airC,
  waveM,
  swellM,
  swellPeriodS,
  rainMm,
  visibilityM,
}: Hour) =>
  [
    new Date(at).toISOString().slice(5, 16),
    `w${windMps?.toFixed(1) ?? ''}`,
    ...(gustMps === null ? [] : [`g${gustMps.toFixed(1)}`]),
    ...(windFromDeg === null ? [] : [`${windFromDeg}°`]),
    ...(airC === null ? [] : [`${airC.toFixed(0)}C`]),
    ...(waveM === null ? [] : [`h${waveM}`]),
    ...(swellM === null ? [] : [`s${swellM}/${swellPeriodS ?? ''}`]),
    ...(rainMm === null ? [] : [`r${rainMm}`]),
    ...(visibilityM === null ? [] : [`v${visibilityM}`]),
  ].join(' ');
const hours = (result: ReadForecast) => (result.taken ? result.value.hours.map(say) : [result.why]);

/** 06:00 and 07:00 on the clock of the place: 5 and 6 m/s. */
const two = ['07-04T04:00 w5.0', '07-04T05:00 w6.0'];
/** 10 and 20 knots, gusts 15 and 25, from 225° and 270°. */
const knots = ['07-04T04:00 w5.1 g7.7 225°', '07-04T05:00 w10.3 g12.9 270°'];

describe('a forecast as other programs write it', () => {
  it.each<[string, string, string[]]>([
    ['plain heads and brackets', 'time,wind (m/s)\n2026-07-04 06:00,5\n2026-07-04 07:00,6', two],
    ['heads in the plural', 'Times;Winds (m/s)\n2026-07-04 06:00;5\n2026-07-04 07:00;6', two],
    ['square brackets and capitals', 'TIME\tWIND SPEED [M/S]\n2026-07-04 06:00\t5\n2026-07-04 07:00\t6', two],
    ['the unit behind a space', 'Date,Time,Wind speed m/s\n2026-07-04,06:00,5\n2026-07-04,07:00,6', two],
    ['the unit behind an underscore', 'time,wind_speed_ms\n2026-07-04T06:00,5\n2026-07-04T07:00,6', two],
    [
      'a height above ground in the name',
      'time,wind_speed_10m (m/s)\n2026-07-04T06:00,5\n2026-07-04T07:00,6',
      two,
    ],
    ['capitals within the name', 'dateTime,windSpeed (m/s)\n2026-07-04T06:00,5\n2026-07-04T07:00,6', two],
    ['units in a line of their own', 'time,wind speed\n,m/s\n2026-07-04 06:00,5\n2026-07-04 07:00,6', two],
    [
      'units in brackets in a line of their own',
      'time,wind\n(local),(m/s)\n2026-07-04 06:00,5\n2026-07-04 07:00,6',
      two,
    ],
    ['units in the cells', 'time,wind\n2026-07-04 06:00,5 m/s\n2026-07-04 07:00,6 m/s', two],
    [
      'a title and an empty line over it',
      'Forecast for the bay\n\ntime,wind (m/s)\n2026-07-04 06:00,5\n2026-07-04 07:00,6',
      two,
    ],
    [
      'remarks behind a sign',
      '# model run 00\n# place: the bay\ntime,wind (m/s)\n2026-07-04 06:00,5\n2026-07-04 07:00,6',
      two,
    ],
    [
      'gaps instead of a delimiter',
      'date        hour   wind m/s\n2026-07-04  06:00  5\n2026-07-04  07:00  6',
      two,
    ],
    ['bars', 'time | wind (m/s)\n---|---\n2026-07-04 06:00 | 5\n2026-07-04 07:00 | 6', two],
    [
      'a mark at its beginning and Windows’ line ends',
      '\uFEFFtime;wind (m/s)\r\n2026-07-04 06:00;5\r\n2026-07-04 07:00;6\r\n',
      two,
    ],
    ['hours in UTC', 'time (UTC),wind (m/s)\n2026-07-04 04:00,5\n2026-07-04 05:00,6', two],
    ['hours with a Z', 'time,wind (m/s)\n2026-07-04T04:00:00Z,5\n2026-07-04T05:00:00Z,6', two],
    ['hours with an offset', 'time,wind (m/s)\n2026-07-04T03:00-01:00,5\n2026-07-04T04:00-0100,6', two],
    ['hours with letters of a clock', 'time,wind (m/s)\n2026-07-04 05:00 BST,5\n2026-07-04 06:00 BST,6', two],
    [
      'a zone said over the table',
      'All times GMT\ntime,wind (m/s)\n2026-07-04 04:00,5\n2026-07-04 05:00,6',
      two,
    ],
    ['GMT with hours', 'time (GMT+1),wind (m/s)\n2026-07-04 05:00,5\n2026-07-04 06:00,6', two],
    ['seconds since 1970', 'dt,wind (m/s)\n1783137600,5\n1783141200,6', two],
    [
      'the day first, told by a day over twelve',
      'date,hour,wind (m/s)\n04/07/2026,06:00,5\n04/07/2026,07:00,6\n13/07/2026,07:00,6',
      [...two, '07-13T05:00 w6.0'],
    ],
    [
      'the month first, told by a day over twelve',
      'date,time,wind (m/s)\n07/04/2026,6 AM,5\n07/04/2026,7 AM,6\n07/13/2026,7 AM,6',
      [...two, '07-13T05:00 w6.0'],
    ],
    [
      'the month first, told by days that follow one another',
      'date,time,wind (m/s)\n07/04/2026,6:00 AM,5\n07/05/2026,6:00 AM,6',
      ['07-04T04:00 w5.0', '07-05T04:00 w6.0'],
    ],
    ['points in the day', 'Datum;Uhrzeit;Wind (m/s)\n04.07.2026;06:00;5\n04.07.2026;07:00;6', two],
    ['a day without a year', 'Tag;Zeit;Wind m/s\nSa 04.07.;06:00;5\nSa 04.07.;07:00;6', two],
    ['the name of the month', 'date,time,wind (m/s)\nSat 4 Jul,0600,5\nSat 4 Jul,0700,6', two],
    [
      'the month before the day',
      'date,time,wind (m/s)\n"Sat, July 4, 2026",6 a.m.,5\n"Sat, July 4, 2026",7 a.m.,6',
      two,
    ],
    ['eight figures for the day', 'date;heure;vent (m/s)\n20260704;06h00;5\n20260704;07h00;6', two],
    ['the day once for all its hours', 'date,hour,wind (m/s)\n2026-07-04,06:00,5\n,07:00,6', two],
    ['hours alone, of the outing’s day', 'hour,wind (m/s)\n6,5\n7,6', two],
    [
      'hours over midnight',
      'date,hour,wind (m/s)\n2026-07-03,23:00,5\n,00:00,6',
      ['07-03T21:00 w5.0', '07-03T22:00 w6.0'],
    ],
    [
      'midnight as 24:00',
      'date,hour,wind (m/s)\n2026-07-03,23:00,5\n2026-07-03,24:00,6',
      ['07-03T21:00 w5.0', '07-03T22:00 w6.0'],
    ],
    ['a span of hours', 'date,time,wind (m/s)\n2026-07-04,06:00-07:00,5\n2026-07-04,07:00-08:00,6', two],
    [
      'knots and points',
      'Time,Wind (kts),Gusts (kts),Direction\n2026-07-04 06:00,10,15,SW\n2026-07-04 07:00,20,25,W',
      knots,
    ],
    [
      'the unit as kt, direction in words',
      'time,wind speed (kt),wind gust (kt),wind direction\n2026-07-04 06:00,10,15,south-west\n2026-07-04 07:00,20,25,West',
      knots,
    ],
    [
      'points and speed in one cell',
      'time,wind,gust\n2026-07-04 06:00,SW 10 kn,15 kn\n2026-07-04 07:00,W 20 kn,25 kn',
      knots,
    ],
    [
      'German',
      'Datum;Uhrzeit;Windgeschwindigkeit (kn);Böen (kn);Windrichtung (°)\n04.07.2026;06:00;10;15;225\n04.07.2026;07:00;20;25;270',
      knots,
    ],
    [
      'French, west as O',
      'Date;Heure;Vent (nœuds);Rafales (nœuds);Direction\n04.07.2026;06h;10;15;SO\n04.07.2026;07h;20;25;O\n04.07.2026;08h;20;25;E',
      [...knots, '07-04T06:00 w10.3 g12.9 90°'],
    ],
    [
      'Spanish',
      'Fecha;Hora;Viento (nudos);Rachas (nudos);Dirección\n2026-07-04;06:00;10;15;225\n2026-07-04;07:00;20;25;270',
      knots,
    ],
    [
      'Italian',
      'Data;Ora;Vento (nodi);Raffiche (nodi);Direzione (°)\n4 luglio 2026;06:00;10;15;225\n4 luglio 2026;07:00;20;25;270',
      knots,
    ],
    [
      'Dutch, south as Z',
      'Datum;Tijd;Wind (knopen);Windstoten (knopen);Richting\n4 juli 2026;06:00;10;15;ZW\n4 juli 2026;07:00;20;25;W',
      knots,
    ],
    [
      'Danish, west as V',
      'Dato;Tid;Vind (kn);Vindstød (kn);Retning\n04.07.2026;06:00;10;15;SV\n04.07.2026;07:00;20;25;V',
      knots,
    ],
    [
      'decimals with a comma',
      'time;wind (km/h);temp °C\n2026-07-04 06:00;18,0;21,5\n2026-07-04 07:00;21,6;22,4',
      ['07-04T04:00 w5.0 22C', '07-04T05:00 w6.0 22C'],
    ],
    [
      'thousands with a comma',
      'time,wind (m/s),visibility (m)\n2026-07-04 06:00,5.0,"10,000"\n2026-07-04 07:00,6.5,"2,500"',
      ['07-04T04:00 w5.0 v10000', '07-04T05:00 w6.5 v2500'],
    ],
    [
      'thousands with a point',
      'time;wind (m/s);Sicht (m)\n2026-07-04 06:00;5,0;10.000\n2026-07-04 07:00;6,5;2.500',
      ['07-04T04:00 w5.0 v10000', '07-04T05:00 w6.5 v2500'],
    ],
    [
      'mph and Fahrenheit',
      'Date/Time,Wind (mph),Temp (°F)\n7/4/2026 6:00 AM,10,68\n7/14/2026 7:00 AM,20,77',
      ['07-04T04:00 w4.5 20C', '07-14T05:00 w8.9 25C'],
    ],
    [
      'Beaufort',
      'time,wind (Bft)\n2026-07-04 06:00,4\n2026-07-04 07:00,5',
      ['07-04T04:00 w6.7', '07-04T05:00 w9.3'],
    ],
    [
      'ranges, of which the higher is taken',
      'time,wind (m/s)\n2026-07-04 06:00,3-5\n2026-07-04 07:00,4 to 6',
      two,
    ],
    [
      'empty as dashes and n/a',
      'time,wind (m/s),gust (m/s),rain (mm)\n2026-07-04 06:00,5,-,n/a\n2026-07-04 07:00,6,--,',
      two,
    ],
    [
      'waves and swell',
      'time,wind (m/s),wave height (ft),wave direction,swell height (m),swell period (s)\n2026-07-04 06:00,5,2,200,0.4,9\n2026-07-04 07:00,6,1,200,0.5,8',
      ['07-04T04:00 w5.0 h0.61 s0.4/9', '07-04T05:00 w6.0 h0.3 s0.5/8'],
    ],
    [
      'rain beside its chance',
      'time,wind (m/s),precipitation (mm),precipitation probability (%)\n2026-07-04 06:00,5,0.2,40\n2026-07-04 07:00,6,0,10',
      ['07-04T04:00 w5.0 r0.2', '07-04T05:00 w6.0 r0'],
    ],
    [
      'air beside dew point and what it feels like',
      'time,wind (m/s),temperature_2m (°C),dew_point_2m (°C),apparent_temperature (°C)\n2026-07-04 06:00,5,20,9,17\n2026-07-04 07:00,6,21,9,18',
      ['07-04T04:00 w5.0 20C', '07-04T05:00 w6.0 21C'],
    ],
    [
      'records in JSON',
      '[{"time":"2026-07-04T06:00","wind_ms":5},{"time":"2026-07-04T07:00","wind_ms":6}]',
      two,
    ],
    [
      'lists in JSON with units beside them',
      '{"zone":"GMT","hourly_units":{"time":"iso","wind_speed":"km/h"},"hourly":{"time":["2026-07-04T04:00","2026-07-04T05:00"],"wind_speed":[18,21.6]}}',
      two,
    ],
    [
      'hours and units in JSON',
      '{"units":{"wind":"kn","gust":"kn","from":"°"},"hours":[{"time":"2026-07-04T04:00:00Z","wind":10,"gust":15,"from":225},{"time":"2026-07-04T05:00:00Z","wind":20,"gust":25,"from":270}]}',
      knots,
    ],
  ])('is read with %s', (_, text, expected) => {
    expect(hours(read(text))).toEqual(expected);
  });

  it.each<[string, string, string, string, string]>([
    [
      'which comes first, day or month',
      'date,time,wind (m/s)\n03/04/2026,06:00,5\n03/04/2026,07:00,6',
      'day order',
      'month first',
      '03-04T05:00 w5.0',
    ],
    [
      'which unit the wind is in',
      'time,wind\n2026-07-04 06:00,10\n2026-07-04 07:00,6',
      'unit windMps',
      'kn',
      '07-04T04:00 w5.1',
    ],
    [
      'which of two winds',
      'time,wind 10 m (m/s),wind 80 m (m/s)\n2026-07-04 06:00,5,9',
      'column windMps',
      '2',
      '07-04T04:00 w9.0',
    ],
    [
      'which of two temperatures',
      'time,wind (m/s),temp min (°C),temp max (°C)\n2026-07-04 06:00,5,9,19',
      'column airC',
      '3',
      '07-04T04:00 w5.0 19C',
    ],
    [
      'whether a comma parts thousands',
      'time;wind (m/s);visibility (m)\n2026-07-04 06:00;5;1,500',
      'decimal',
      '.',
      '07-04T04:00 w5.0 v1500',
    ],
    [
      'which way O is',
      'time,wind (m/s),dir\n2026-07-04 06:00,5,NO\n2026-07-04 07:00,5,NO',
      'letter O',
      'W',
      '07-04T04:00 w5.0 315°',
    ],
  ])('asks %s, and goes by the answer', (_, text, id, answer, expected) => {
    const asked = read(text);
    expect(asked.taken).toBe(false);
    const questions = asked.taken ? [] : (asked.asks ?? []);
    expect(questions.map((one) => one.id)).toEqual([id]);
    expect(questions[0]?.choices.map((choice) => choice.id)).toContain(answer);
    expect(hours(read(text, { [id]: answer }))[0]).toBe(expected);
  });

  it('names what it did not understand apart from what nothing goes by', () => {
    const result = read('time,wind (kn),mood,pressure (hPa)\n2026-07-04 06:00,10,good,1013');
    expect(result.taken && [result.value.unread, result.value.unused]).toEqual([
      ['mood'],
      ['pressure (hPa)'],
    ]);
    expect(result.taken && result.value.understood).toEqual([
      'wind in kn',
      'hours on the clock of the water (Europe/Paris)',
    ]);
  });
  it.each([
    ['no wind', 'time,air (°C)\n2026-07-04 06:00,20', /No column says the wind/],
    ['no heads', '2026-07-04 06:00,20\n2026-07-04 07:00,21', /no line of heads/],
    ['nothing under the heads', 'time,wind (kn)', /no header with rows/],
    ['something else', 'a,b\n1,2', /no line of heads/],
    ['JSON without hours', '{"a":1}', /list of hours/],
  ])('is refused with %s', (_, text, why) => {
    expect(hours(read(text))[0]).toMatch(why);
  });
  it('leaves out an hour without a wind, and a day that is none, and says so', () => {
    const result = read(
      'time,wind (kn)\n2026-07-04 06:00,10\n2026-07-04 07:00,n/a\n2026-02-30 08:00,10\n2026-07-04 25:00,10',
    );
    expect(result.taken && result.troubles).toEqual([
      'Line 3: no wind in it. Left out.',
      'Line 4: "2026-02-30 08:00 10" has no day and hour that can be read. Left out.',
      'Line 5: "2026-07-04 25:00 10" has no day and hour that can be read. Left out.',
    ]);
  });
});
