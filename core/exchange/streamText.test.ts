import { afterEach, describe, expect, it } from 'vitest';
import { METRIC, speakIn } from '../units/speaking';
import { readStreamText, writeStreamText } from './streamText';

afterEach(() => speakIn(METRIC));
const read = (text: string) => {
  const result = readStreamText(text);
  return result.taken ? { hours: result.value, troubles: result.troubles } : result.why;
};
const hours = (text: string) => {
  const result = read(text);
  return typeof result === 'string' ? result : result.hours;
};

describe('figures parted by commas', () => {
  it('are not run together as decimals, and a heading names the unit', () => {
    const result = readStreamText('hour,towards,springs (kn),neaps (kn)\n-6,045,2,1\n+6,225,1,0.5');
    expect(result.taken && result.value).toEqual([
      { hour: -6, towardDeg: 45, springMps: 1.029, neapMps: 0.514 },
      { hour: 6, towardDeg: 225, springMps: 0.514, neapMps: 0.257 },
    ]);
  });
});

describe('a stream by the hours about high water', () => {
  it('is read a line an hour, in order, with half the rate at neaps where none is written', () => {
    expect(hours('+1 225 0.9\n-1 045 1.2 0.6')).toEqual([
      { hour: -1, towardDeg: 45, springMps: 1.2, neapMps: 0.6 },
      { hour: 1, towardDeg: 225, springMps: 0.9, neapMps: 0.45 },
    ]);
  });
  it.each([
    ['HW-2 NE 2 kn 1 kn\nHW slack', -2, 45, 1.029],
    ['2 h before HW, 045°, 2, 1\nHW+1; 225; 0.5 kn; 0.2', -2, 45, 1.029],
    ['−2  045 t  2 knots 1 knots\nat HW 045 0 0', -2, 45, 1.029],
    ['Hour toward springs neaps\n-2: north-east 2 kn\n3 hours after high water SW 1', -2, 45, 1.029],
  ])('is understood as people write it: %j', (text, hour, towardDeg, springMps) => {
    const rows = hours(text);
    expect(rows).toHaveLength(2);
    expect(rows[0]).toMatchObject({ hour, towardDeg, springMps });
  });
  it('has bare rates in the reader’s unit, unless one is named', () => {
    speakIn({ ...METRIC, speed: 'kn' });
    expect(hours('-1 045 2\n1 225 1')).toMatchObject([{ springMps: 1.029 }, { springMps: 0.514 }]);
    expect(hours('-1 045 2 m/s\n1 225 1')).toMatchObject([{ springMps: 2 }, { springMps: 1 }]);
  });
  it('says of each line why it is not taken, and keeps the rest', () => {
    const result = read(
      '-2 045 1\n-1 400 1\n0 045\n0 slack\n0 090 1\n9 045 1\nnoon 3\n1 225 1 0.5 0.2\n2 225 20',
    );
    if (typeof result === 'string') throw new Error(result);
    expect(result.hours.map(({ hour }) => hour)).toEqual([-2, 0]);
    expect(result.troubles.map((line) => line.slice(0, 7))).toEqual([
      'Line 2:',
      'Line 3:',
      'Line 5:',
      'Line 6:',
      'Line 7:',
      'Line 8:',
      'Line 9:',
    ]);
    expect(read('nothing here')).toMatch(/^Write at least two hours/);
  });
  it('comes back as it was written', () => {
    const rows = hours('-2 045 1.2 0.6\n0 slack\n+3 225 0.9 0.4');
    if (typeof rows === 'string') throw new Error(rows);
    expect(hours(writeStreamText(rows))).toEqual(rows);
  });
});
