import { describe, expect, it } from 'vitest';
import { readTideText, sayTurns, writeTideText } from './tideText';

const read = (text: string, first = '2026-11-27', zone = 'utc') => {
  const result = readTideText(text, first, zone);
  return result.taken
    ? {
        turns: result.value.turns.map(
          ({ at, heightM, high }) => `${at.slice(5, 16)} ${high ? 'H' : 'L'} ${heightM}`,
        ),
        troubles: result.troubles,
      }
    : { turns: [], troubles: [result.why] };
};
const day = ['11-27T05:12 H 4.3', '11-27T11:30 L 0.9', '11-27T17:40 H 4.5', '11-27T23:58 L 0.7'];

describe('a tide table as people have it', () => {
  it.each([
    ['words and units', '27 Nov  HW 05:12 4.3 m  LW 11:30 0.9 m  HW 17:40 4.5 m  LW 23:58 0.7 m'],
    ['bare times', '2026-11-27 0512 4.3 1130 0.9 1740 4.5 2358 0.7'],
    [
      'a heading and lines',
      'Fri 27 November\nHigh 05:12 4.3m\nLow 11:30 0.9m\nHigh 17:40 4.5m\nLow 23:58 0.7m',
    ],
    [
      'a word behind the height',
      '27/11/2026\n05:12 4.3 m High\n11:30 0.9 m Low\n17:40 4.5 m High\n23:58 0.7 m Low',
    ],
    [
      'a CSV',
      'date,time,height (m),type\n2026-11-27,05:12,4.3,HW\n2026-11-27,11:30,0.9,LW\n2026-11-27,17:40,4.5,HW\n2026-11-27,23:58,0.7,LW',
    ],
    [
      'a CSV with instants',
      'time;height\n2026-11-27T05:12;4,3\n2026-11-27T11:30;0,9\n2026-11-27T17:40;4,5\n2026-11-27T23:58;0,7',
    ],
    [
      'hours before and after noon',
      'Nov 27, 2026: High 5:12 AM 4.3 m, Low 11:30 AM 0.9 m, High 5:40 PM 4.5 m, Low 11:58 PM 0.7 m',
    ],
    ['no date at all', 'HW 05:12 4.3\nLW 11:30 0.9\nHW 17:40 4.5\nLW 23:58 0.7'],
    ['a word between', '27.11.26 05:12 high 4.3 11:30 low 0.9 17:40 high 4.5 23:58 low 0.7'],
    ['days by their number alone', 'November 2026\n27 F 0512 4.3\n1130 0.9\n1740 4.5\n2358 .7'],
    ['the weekday first', 'FR 27 0512 4.3 1130 0.9 1740 4.5 2358 0.7'],
    [
      'the month first',
      '11/27/2026 5:12 AM 4.3 H\n11/27/2026 11:30 AM 0.9 L\n11/27/2026 5:40 PM 4.5 H\n11/27/2026 11:58 PM 0.7 L',
    ],
    ['the height first', '27 Nov\n4.3 m at 05:12\n0.9 m at 11:30\n4.5 m at 17:40\n0.7 m at 23:58'],
    [
      'instants that have their own offset',
      'time,height\n2026-11-27T06:12:00+01:00,4.3\n2026-11-27T12:30:00+01:00,0.9\n2026-11-27T17:40:00Z,4.5\n2026-11-27 23:58Z,0.7',
    ],
    ['tabs from a spreadsheet', '27 Nov 2026\t05:12\t4.3\t11:30\t0.9\t17:40\t4.5\t23:58\t0.7'],
  ])('is read with %s', (_, text) => {
    expect(read(text)).toEqual({ turns: day, troubles: [] });
  });
  it('of several days has each turn on its own day, over the turn of the year too', () => {
    const { turns } = read(
      '30 Dec 06:00 4 12:10 1\n31 Dec 06:50 4.1 13:00 0.9\n1 Jan 07:40 4.2 13:50 0.8',
      '2026-12-30',
    );
    expect(turns.map((one) => one.slice(0, 5))).toEqual([
      '12-30',
      '12-30',
      '12-31',
      '12-31',
      '01-01',
      '01-01',
    ]);
    const result = readTideText('31 Dec 06:50 4.1 13:00 0.9\n1 Jan 07:40 4.2 13:50 0.8', '2026-12-30', 'utc');
    expect(result.taken && result.value.turns.at(-1)?.at).toBe('2027-01-01T13:50:00.000Z');
    expect(result.taken && result.value.days).toBe(2);
  });
  it('in feet is in metres afterwards; on the water’s own clock it is kept as an instant', () => {
    expect(read('05:12,4,11:30,1').turns).toEqual(['11-27T05:12 H 4', '11-27T11:30 L 1']);
    expect(read('27 Nov 05:12 10 ft 11:30 2 ft').turns).toEqual([
      '11-27T05:12 H 3.048',
      '11-27T11:30 L 0.61',
    ]);
    expect(read('27 Nov 05:12 4.3 11:30 0.9', '2026-11-27', 'UTC-1').turns[0]).toBe('11-27T06:12 H 4.3');
  });
  it('by another clock than the water’s is turned to it where that is known, and told where it is not', () => {
    const summer = '27 Jul 2026 04:12 GMT 4.3 m 10:31 GMT 0.9 m';
    expect(read(summer, '2026-07-27', 'Europe/Paris').turns).toEqual([
      '07-27T04:12 H 4.3',
      '07-27T10:31 L 0.9',
    ]);
    expect(read('Times in UTC\n27 Jul 04:12 4.3 10:31 0.9', '2026-07-27', 'Europe/Paris').turns[0]).toBe(
      '07-27T04:12 H 4.3',
    );
    expect(
      read('Times are BST (GMT+1)\n27 Jul 04:12 4.3 10:31 0.9', '2026-07-27', 'Europe/Paris').turns[0],
    ).toBe('07-27T03:12 H 4.3');
    expect(read('27 Jul 04:12 CEST 4.3 10:31 CEST 0.9', '2026-07-27', 'Europe/Paris').turns[0]).toBe(
      '07-27T02:12 H 4.3',
    );
    expect(read('27 Jul 04:12 EST 4.3 10:31 EST 0.9', '2026-07-27', 'Europe/Paris').turns[0]).toBe(
      '07-27T09:12 H 4.3',
    );
    expect(read('27 Jul 04:12 XYT 4.3 10:31 XYT 0.9', '2026-07-27', 'Europe/Paris').troubles[0]).toBe(
      'Line 1: "XYT" is taken for the water’s own clock.',
    );
  });
  it('of days by their number goes over to the next month', () => {
    expect(
      read('30 M 0512 4.3 1130 0.9\n1 Tu 0600 4.2 1220 1', '2026-11-20').turns.map((turn) =>
        turn.slice(0, 5),
      ),
    ).toEqual(['11-30', '11-30', '12-01', '12-01']);
    expect(read('30 Th 0512 4.3 1130 0.9', '2026-02-20').troubles[0]).toMatch(
      /"30 Th 0512 4.3 1130 0.9" has no day/,
    );
  });
  it('that cannot be is told by its line, and the rest is taken', () => {
    expect(read('27 Nov HW 05:12 4.3 LW 11:30 0.9\n28 Nov HW 29:12 4.3').troubles).toEqual([
      'Line 2: 29:12 is no time.',
    ]);
    expect(read('27 Nov HW 05:12 4.3 HW 11:30 4.2').troubles).toEqual([
      'Line 1: two high waters one after the other.',
    ]);
    expect(read('27 Nov HW 05:12 4.3\n28 Nov HW 06:00 4.2 LW 12:00 1').troubles[0]).toMatch(
      /a turn is missing before it, 25 h/,
    );
    expect(read('27 Nov HW 05:12 4.3 LW 06:30 0.9').troubles[0]).toMatch(/two turns within 1.3 h/);
    expect(read('31 Feb HW 05:12 4.3 LW 11:30 0.9').troubles[0]).toMatch(
      /"31 Feb HW 05:12 4.3 LW 11:30 0" has no day/,
    );
  });
  it('that is none is refused in words', () => {
    expect(read('').troubles[0]).toMatch(/Nothing is written/);
    expect(read('high tide is in the morning').troubles[0]).toMatch(/No two times/);
    expect(read('27 Nov 05:12 4.3').troubles[0]).toMatch(/No two times/);
  });
  it('comes back from its own writing', () => {
    const first = readTideText(
      '27 Nov  HW 05:12 4.3 m  LW 11:30 -0.9 m\n28 Nov HW 06:02 4.4 m LW 12:20 0.8',
      '2026-11-27',
      'UTC+1',
    );
    if (!first.taken) throw new Error(first.why);
    const again = readTideText(writeTideText(first.value.turns, 'UTC+1'), '2020-01-01', 'UTC+1');
    expect(again.taken && again.value.turns).toEqual(first.value.turns);
    expect(sayTurns(first.value.turns, 'UTC+1')).toBe(
      '2 high and 2 low waters, 27 November 2026 to 28 November 2026; the first high water at 05:12, 4.3 m',
    );
  });
});
