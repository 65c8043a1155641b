import { describe, expect, it } from 'vitest';
import { decimalsOf, figureOf, isEmpty, numberOf } from './cells';

describe('the figures of a table', () => {
  it.each([
    [['1.5', '2'], '.', null],
    [['1,5', '2'], ',', null],
    [['1,500', '2'], null, '1,500'],
    [['1,500', '2.5'], '.', null],
    [['1.500', '2,5'], ',', null],
    [['1,500.5'], '.', null],
    [['1.500,5'], ',', null],
    [['0,125'], ',', null],
    [['0,4', '0.02'], 'either', null],
    [['12 kn', '1,5 kn'], ',', null],
    [['2026-07-04', '06:00', '1.12.2026'], null, null],
    [['12', '7'], null, null],
  ] as const)('of %j have "%s" before their decimals', (cells, decimal, unclear) => {
    expect(decimalsOf(cells)).toEqual({ decimal, unclear });
  });
  it.each([
    ['12', '.', 12],
    ['-0.5', '.', -0.5],
    ['−3', '.', -3],
    ['.7', '.', 0.7],
    ['1,250', '.', 1250],
    ['1.250', ',', 1250],
    ["1'250.5", '.', 1250.5],
    ['1 250', '.', 1250],
    ['12,50', '.', null],
    ['1,2,3', ',', null],
    ['', '.', null],
    ['-', '.', null],
  ] as const)('"%s" is with "%s" the number %s', (text, decimal, value) => {
    expect(numberOf(text, decimal)).toBe(value);
  });
  it.each([
    ['12 kn', { value: 12, unit: 'kn', range: false }],
    ['5-10 kt', { value: 10, unit: 'kt', range: true }],
    ['<1', { value: 1, unit: '', range: false }],
    ['21°C', { value: 21, unit: '°c', range: false }],
    ['SW', null],
    ['12:30', null],
  ])('"%s" is a figure', (text, figure) => {
    expect(figureOf(text, '.')).toEqual(figure);
  });
  it.each([
    ['', true],
    ['n/a', true],
    ['--', true],
    ['0', false],
    ['calm', false],
  ])('"%s" says nothing: %s', (text, empty) => {
    expect(isEmpty(text)).toBe(empty);
  });
});
