import { describe, expect, it } from 'vitest';
import { readTideText } from './tideText';

const read = (text: string, answers = {}, first = '2026-11-20', zone = 'utc') =>
  readTideText(text, first, zone, answers);
const turns = (result: ReturnType<typeof read>) =>
  result.taken
    ? result.value.turns.map(({ at, heightM, high }) => `${at.slice(5, 16)} ${high ? 'H' : 'L'} ${heightM}`)
    : [result.why];
/** The 27th and 28th of November. */
const two = [
  '11-27T05:12 H 4.3',
  '11-27T11:30 L 0.9',
  '11-27T17:40 H 4.5',
  '11-27T23:58 L 0.7',
  '11-28T06:02 H 4.4',
  '11-28T12:20 L 0.8',
];

describe('a tide table of another program', () => {
  it.each<[string, string]>([
    [
      'letters before',
      '27 Nov 2026\nH 05:12 4.3\nL 11:30 0.9\nH 17:40 4.5\nL 23:58 0.7\n28 Nov 2026\nH 06:02 4.4\nL 12:20 0.8',
    ],
    [
      'letters behind',
      '27 Nov 2026 05:12 4.3 H 11:30 0.9 L 17:40 4.5 H 23:58 0.7 L\n28 Nov 2026 06:02 4.4 H 12:20 0.8 L',
    ],
    [
      'letters between',
      '27 Nov 05:12 H 4.3 11:30 L 0.9 17:40 H 4.5 23:58 L 0.7\n28 Nov 06:02 H 4.4 12:20 L 0.8',
    ],
    [
      'HW and LW with full stops',
      '27 Nov H.W. 05:12 4.3 L.W. 11:30 0.9 H.W. 17:40 4.5 L.W. 23:58 0.7\n28 Nov H.W. 06:02 4.4 L.W. 12:20 0.8',
    ],
    [
      'words and metres in brackets',
      '27/11/2026\nHigh Water 05:12 (4.3 m)\nLow Water 11:30 (0.9 m)\nHigh Water 17:40 (4.5 m)\nLow Water 23:58 (0.7 m)\n28/11/2026\nHigh Water 06:02 (4.4 m)\nLow Water 12:20 (0.8 m)',
    ],
    [
      'the year in a heading alone',
      'Tides 2026\n27 Nov 0512 4.3 1130 0.9 1740 4.5 2358 0.7\n28 Nov 0602 4.4 1220 0.8',
    ],
    [
      'the year before the month',
      '2026 November\n27 0512 4.3\n1130 0.9\n1740 4.5\n2358 0.7\n28 0602 4.4\n1220 0.8',
    ],
    [
      'the month in capitals over its days',
      'NOVEMBER 2026\n27 FR 0512 4.3\n1130 0.9\n1740 4.5\n2358 0.7\n28 SA 0602 4.4\n1220 0.8',
    ],
    [
      'slashes, year first',
      '2026/11/27 05:12 4.3\n2026/11/27 11:30 0.9\n2026/11/27 17:40 4.5\n2026/11/27 23:58 0.7\n2026/11/28 06:02 4.4\n2026/11/28 12:20 0.8',
    ],
    [
      'slashes, day first',
      '27/11/2026 05:12 4.3 11:30 0.9 17:40 4.5 23:58 0.7\n28/11/2026 06:02 4.4 12:20 0.8',
    ],
    [
      'slashes, month first',
      '11/27/2026 05:12 4.3 11:30 0.9 17:40 4.5 23:58 0.7\n11/28/2026 06:02 4.4 12:20 0.8',
    ],
    ['days without a year', '27/11 05:12 4.3 11:30 0.9 17:40 4.5 23:58 0.7\n28/11 06:02 4.4 12:20 0.8'],
    [
      'points',
      '27.11.2026 05:12 4,3 m 11:30 0,9 m 17:40 4,5 m 23:58 0,7 m\n28.11.2026 06:02 4,4 m 12:20 0,8 m',
    ],
    ['points without a year', '27.11. 05:12 4.3 11:30 0.9 17:40 4.5 23:58 0.7\n28.11. 06:02 4.4 12:20 0.8'],
    [
      'eight figures',
      '20261127 05:12 4.3\n20261127 11:30 0.9\n20261127 17:40 4.5\n20261127 23:58 0.7\n20261128 06:02 4.4\n20261128 12:20 0.8',
    ],
    [
      'weekday, month, day',
      'Fri Nov 27: 5:12 AM 4.3 m, 11:30 AM 0.9 m, 5:40 PM 4.5 m, 11:58 PM 0.7 m\nSat Nov 28: 6:02 AM 4.4 m, 12:20 PM 0.8 m',
    ],
    [
      'AM and PM beside the hour',
      '11/27/2026\t05:12AM\t4.3\tH\n11/27/2026\t11:30AM\t0.9\tL\n11/27/2026\t05:40PM\t4.5\tH\n11/27/2026\t11:58PM\t0.7\tL\n11/28/2026\t06:02AM\t4.4\tH\n11/28/2026\t12:20PM\t0.8\tL',
    ],
    [
      'centimetres',
      'date;time;height (cm)\n2026-11-27;05:12;430\n2026-11-27;11:30;90\n2026-11-27;17:40;450\n2026-11-27;23:58;70\n2026-11-28;06:02;440\n2026-11-28;12:20;80',
    ],
    [
      'centimetres at each',
      '27 Nov 05:12 430cm 11:30 90cm 17:40 450cm 23:58 70cm\n28 Nov 06:02 440cm 12:20 80cm',
    ],
    [
      'height before time in its columns',
      'date,height,time\n2026-11-27,4.3,05:12\n2026-11-27,0.9,11:30\n2026-11-27,4.5,17:40\n2026-11-27,0.7,23:58\n2026-11-28,4.4,06:02\n2026-11-28,0.8,12:20',
    ],
    [
      'heights at times',
      '27 November: 4.3m at 05:12, 0.9m at 11:30, 4.5m at 17:40, 0.7m at 23:58\n28 November: 4.4m at 06:02, 0.8m at 12:20',
    ],
    [
      'French',
      'vendredi 27 novembre 2026\nPM 05h12 4,30m\nBM 11h30 0,90m\nPM 17h40 4,50m\nBM 23h58 0,70m\nsamedi 28 novembre 2026\nPM 06h02 4,40m\nBM 12h20 0,80m',
    ],
    [
      'French in full, coefficients apart',
      'ven. 27 nov.\nPleine mer 05:12 4.3\nBasse mer 11:30 0.9\nPleine mer 17:40 4.5\nBasse mer 23:58 0.7\nsam. 28 nov.\nPleine mer 06:02 4.4\nBasse mer 12:20 0.8',
    ],
    [
      'German',
      'Fr, 27.11.2026\nHochwasser 05:12 Uhr 4,3 m\nNiedrigwasser 11:30 Uhr 0,9 m\nHochwasser 17:40 Uhr 4,5 m\nNiedrigwasser 23:58 Uhr 0,7 m\nSa, 28.11.2026\nHochwasser 06:02 Uhr 4,4 m\nNiedrigwasser 12:20 Uhr 0,8 m',
    ],
    [
      'German in letters',
      'NW und HW im November 2026\n27. Fr HW 05:12 4,3 NW 11:30 0,9 HW 17:40 4,5 NW 23:58 0,7\n28. Sa HW 06:02 4,4 NW 12:20 0,8',
    ],
    [
      'Spanish',
      '27 de noviembre de 2026\nPleamar 05:12 4,3 m\nBajamar 11:30 0,9 m\nPleamar 17:40 4,5 m\nBajamar 23:58 0,7 m\n28 de noviembre de 2026\nPleamar 06:02 4,4 m\nBajamar 12:20 0,8 m',
    ],
    [
      'Portuguese',
      '27/nov/2026 Preia-mar 05:12 4.3\nBaixa-mar 11:30 0.9\nPreia-mar 17:40 4.5\nBaixa-mar 23:58 0.7\n28/nov/2026 Preia-mar 06:02 4.4\nBaixa-mar 12:20 0.8',
    ],
    [
      'Italian',
      'venerdì 27 novembre\nalta marea 05:12 4.3\nbassa marea 11:30 0.9\nalta marea 17:40 4.5\nbassa marea 23:58 0.7\nsabato 28 novembre\nalta marea 06:02 4.4\nbassa marea 12:20 0.8',
    ],
    [
      'Dutch',
      'vrijdag 27 november 2026\nHoogwater 05:12 4.3\nLaagwater 11:30 0.9\nHoogwater 17:40 4.5\nLaagwater 23:58 0.7\nzaterdag 28 november 2026\nHoogwater 06:02 4.4\nLaagwater 12:20 0.8',
    ],
    [
      'Danish',
      'fredag 27. november\nHøjvande 05.12 4.3\nLavvande 11.30 0.9\nHøjvande 17.40 4.5\nLavvande 23.58 0.7\nlørdag 28. november\nHøjvande 06.02 4.4\nLavvande 12.20 0.8',
    ],
    [
      'Norwegian',
      '27.11.2026\nFlo 05:12 4.3\nFjære 11:30 0.9\nFlo 17:40 4.5\nFjære 23:58 0.7\n28.11.2026\nFlo 06:02 4.4\nFjære 12:20 0.8',
    ],
    [
      'a CSV with types behind',
      'Date,Time,Height,Type\n2026-11-27,05:12,4.3,High\n2026-11-27,11:30,0.9,Low\n2026-11-27,17:40,4.5,High\n2026-11-27,23:58,0.7,Low\n2026-11-28,06:02,4.4,High\n2026-11-28,12:20,0.8,Low',
    ],
    [
      'a CSV with types before',
      'type;date;time;height\nHW;27/11/2026;05:12;4,3\nLW;27/11/2026;11:30;0,9\nHW;27/11/2026;17:40;4,5\nLW;27/11/2026;23:58;0,7\nHW;28/11/2026;06:02;4,4\nLW;28/11/2026;12:20;0,8',
    ],
    [
      'instants with a Z',
      'time,level\n2026-11-27T05:12:00Z,4.3\n2026-11-27T11:30:00Z,0.9\n2026-11-27T17:40:00Z,4.5\n2026-11-27T23:58:00Z,0.7\n2026-11-28T06:02:00Z,4.4\n2026-11-28T12:20:00Z,0.8',
    ],
    [
      'seconds at the hours',
      '2026-11-27 05:12:00 4.3\n2026-11-27 11:30:00 0.9\n2026-11-27 17:40:00 4.5\n2026-11-27 23:58:00 0.7\n2026-11-28 06:02:00 4.4\n2026-11-28 12:20:00 0.8',
    ],
    [
      'bars',
      '| 27 Nov | 05:12 | 4.3 | 11:30 | 0.9 | 17:40 | 4.5 | 23:58 | 0.7 |\n| 28 Nov | 06:02 | 4.4 | 12:20 | 0.8 |',
    ],
    [
      'highs in one line and lows in the next',
      '27 Nov\nHW 05:12 4.3 17:40 4.5\nLW 11:30 0.9 23:58 0.7\n28 Nov\nHW 06:02 4.4\nLW 12:20 0.8',
    ],
    [
      'times in another clock of its heading',
      'Times are GMT+1\n27 Nov 06:12 4.3 12:30 0.9 18:40 4.5\n28 Nov 00:58 0.7 07:02 4.4 13:20 0.8',
    ],
    [
      'times in CET at each',
      '27 Nov 06:12 CET 4.3 12:30 CET 0.9 18:40 CET 4.5\n28 Nov 00:58 CET 0.7 07:02 CET 4.4 13:20 CET 0.8',
    ],
    [
      'days that go on without a date',
      '27 Nov\nHW 05:12 4.3\nLW 11:30 0.9\nHW 17:40 4.5\nLW 23:58 0.7\nHW 06:02 4.4\nLW 12:20 0.8',
    ],
  ])('is read with %s', (_, text) => {
    expect(turns(read(text))).toEqual(two);
  });

  it.each<[string, string, string, string, string]>([
    [
      'day or month',
      '03/04/2026 05:12 4.3 11:30 0.9\n03/04/2026 17:40 4.5',
      'day order',
      'month first',
      '03-04T05:12 H 4.3',
    ],
    [
      'the unit of heights that are no metres',
      '27 Nov 05:12 430 11:30 90 17:40 450 23:58 70',
      'unit',
      'cm',
      '11-27T05:12 H 4.3',
    ],
    [
      'whether one of each a day',
      '27 Nov 05:12 1.3\n27 Nov 17:30 0.4\n28 Nov 06:02 1.4\n28 Nov 18:20 0.3',
      'spacing',
      'one a day',
      '11-27T05:12 H 1.3',
    ],
    [
      'days that lie months apart',
      '27 Nov 2026 05:12 4.3 11:30 0.9\n3 Mar 2027 06:02 4.4 12:20 0.8',
      'days',
      'so',
      '11-27T05:12 H 4.3',
    ],
  ])('asks %s, and goes by the answer', (_, text, id, answer, expected) => {
    const asked = read(text);
    expect(asked.taken).toBe(false);
    expect(asked.taken ? [] : asked.asks?.map((one) => one.id)).toEqual([id]);
    expect(turns(read(text, { [id]: answer }))[0]).toBe(expected);
  });
  it('refuses heights by the hour, and high waters alone', () => {
    const hourly = Array.from(
      { length: 12 },
      (_, i) => `2026-11-27 ${String(i).padStart(2, '0')}:00 ${(2 + Math.sin(i)).toFixed(2)}`,
    );
    expect(turns(read(hourly.join('\n')))[0]).toMatch(/heights by the hour/);
    const highs = '27 Nov HW 05:12 4.3 HW 17:40 4.5\n28 Nov HW 06:02 4.4 HW 18:20 4.5';
    expect(turns(read(highs, { spacing: 'one kind' }))[0]).toMatch(/paste the low waters too/);
  });
  it('tells what it left out by its line', () => {
    const result = read('27 Nov 05:12 4.3 95 11:30 0.9\n27 Nov 17:40 4.5 23:58\n12 34');
    expect(result.taken && result.troubles).toEqual([
      'Line 1: "95" left out.',
      'Line 2: 23:58 has no height.',
      'Line 3: no time with a height in "12 34".',
    ]);
  });
});
