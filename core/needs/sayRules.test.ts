import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { sayRule } from './sayRules';

const said = (rule: Parameters<typeof sayRule>[0]) => sayRule(rule, []);
const own = { id: 'a', citation: '', text: '' };

describe('rules in words', () => {
  it('say what, when and how much', () => {
    expect(said({ ...own, rule: 'need', needId: 'throw-line', want: 2, when: 'always' })).toBe(
      'Throw line, always, at least two of them.',
    );
    expect(said({ ...own, rule: 'need', needId: 'water', want: 3, when: 'always' })).toMatch(
      /always, at least 3 L\.$/,
    );
    expect(said({ ...own, rule: 'need', needId: 'measure', want: null, when: 'fishing' })).toBe(
      'Measure, when fishing.',
    );
    expect(said({ ...own, rule: 'need', needId: 'be-seen-night', want: null, when: 'in the dark' })).toBe(
      'Be seen at night, afloat in the dark.',
    );
    expect(said({ ...own, rule: 'rods', most: 1, withPermission: null, text: 'one rod a person' })).toBe(
      'At most one rod (one rod a person).',
    );
    expect(said({ ...own, rule: 'bag', speciesId: 'zander', most: 0 })).toBe('Zander: every one goes back.');
    expect(said({ ...own, rule: 'bag', speciesId: 'sea-bass', most: 2 })).toBe(
      'Sea bass: at most two a day.',
    );
    expect(said({ ...own, rule: 'closed', speciesId: 'barbel', from: '03-15', to: '06-15' })).toBe(
      'Barbel: closed from 15 March to 15 June.',
    );
  });
  it('have a sentence for every rule of the demo', () => {
    for (const pack of demo(Date.parse('2026-05-15T19:00:00Z')).references.rulePacks)
      for (const rule of pack.rules) expect(said(rule)).toMatch(/^[A-Z].*\.$/);
  });
});
