import { describe, expect, it } from 'vitest';
import { distance, mass } from './amount';
import { capital, count, dayWords, duration, figure, howMany, listed, plural } from './words';

describe('figures for people', () => {
  it('carry no trailing noughts and a true minus', () => {
    expect(figure(3.0)).toBe('3');
    expect(figure(-0.25, 2)).toBe('−0.25');
  });
  it.each([
    [994, '990 m'],
    [996, '1 km'],
    [1000, '1 km'],
    [2949, '2.9 km'],
  ])('%d m are %s', (metres, words) => expect(distance(metres)).toBe(words));
  it.each([
    [59.4, '59 min'],
    [60, '1 h'],
    [125, '2 h 05 min'],
  ])('%d minutes are %s', (minutes, words) => expect(duration(minutes)).toBe(words));
  it.each([
    [0.05, '50 g'],
    [0.999, '1 kg'],
    [2.44, '2.4 kg'],
  ])('%d kg are %s', (kg, words) => expect(mass(kg)).toBe(words));
});

describe('words', () => {
  it('count to twelve, list, and take the plural', () => {
    expect([count(0), count(12), count(13)]).toEqual(['none', 'twelve', '13']);
    expect([listed([]), listed(['a']), listed(['a', 'b', 'c'])]).toEqual(['', 'a', 'a, b and c']);
    expect([plural(1, 'Stop'), plural(2, 'Stop'), plural(2, 'is', 'are')]).toEqual(['Stop', 'Stops', 'are']);
    expect([howMany(0, 'box', 'boxes'), howMany(1, 'rod'), howMany(3, 'box', 'boxes')]).toEqual([
      'no box',
      'one rod',
      'three boxes',
    ]);
    expect([capital('the wreck'), dayWords('2026-05-16')]).toEqual(['The wreck', '16 May 2026']);
  });
});
