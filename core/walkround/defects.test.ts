import { describe, expect, it } from 'vitest';
import type { Answer, Verdict } from '../documents/answer';
import { sayDefect, defectsIn, verdictOf } from './defects';
import type { Step } from './steps';

const bare = {
  phase: 'boat',
  place: null,
  along: null,
  how: '',
  bad: '',
  serves: [],
  critical: false,
} as const;
const bow: Step = { ...bare, id: 'hull:bow', title: 'Bow', items: [] };
const well: Step = {
  ...bare,
  id: 'list:well:1',
  title: 'Tank well: two things',
  items: [
    { stepId: 'item:net', name: 'Net', how: '', bad: '' },
    { stepId: 'item:pump', name: 'Pump', how: '', bad: '' },
  ],
};
const answers = (given: Record<string, [Verdict, string?]>) =>
  new Map(
    Object.entries(given).map(([stepId, [verdict, note = '']]): [string, Answer] => [
      stepId,
      { key: stepId, stepId, verdict, note, at: '2026-05-15T05:00:00.000Z' },
    ]),
  );

describe('what the walk-round found', () => {
  it('is as good in a list as the worst of the things in it, whatever was said of the rest', () => {
    expect(verdictOf(well, answers({}))).toBeUndefined();
    expect(verdictOf(well, answers({ 'list:well:1': ['good'] }))).toBe('good');
    expect(verdictOf(well, answers({ 'list:well:1': ['good'], 'item:net': ['not here'] }))).toBe('not here');
    const both = answers({ 'list:well:1': ['good'], 'item:net': ['not here'], 'item:pump': ['fault'] });
    expect(verdictOf(well, both)).toBe('fault');
    expect(verdictOf(bow, answers({ 'hull:bow': ['fault'] }))).toBe('fault');
  });
  it('lists each once, by its own name, with what was said of it and the step that asks', () => {
    const given = answers({
      'hull:bow': ['fault', 'a scar'],
      'list:well:1': ['good'],
      'item:net': ['not here'],
      'item:pump': ['good'],
    });
    expect(defectsIn([bow, well], given)).toEqual([
      { stepId: 'hull:bow', title: 'Bow', verdict: 'fault', note: 'a scar', index: 0 },
      { stepId: 'item:net', title: 'Net', verdict: 'not here', note: '', index: 1 },
    ]);
    expect(defectsIn([bow, well], given).map(sayDefect)).toEqual(['Bow: a fault, a scar', 'Net: not here']);
    expect(defectsIn([bow, well], answers({ 'hull:bow': ['good'] }))).toEqual([]);
  });
});
