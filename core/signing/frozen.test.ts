import { forms } from '../documents/forms';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import { assess } from '../judgement/assess';
import { lastAnswers, standingAnswers } from '../walkround/answers';
import { HOUR_MS } from '../units/time';
import { judgeFrozen, readFrozen } from './frozen';
import { signedSnapshot } from './snapshot';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings, answers } = demo(now);
const [ready] = outings as [Outing];
const frozen = () =>
  JSON.parse(JSON.stringify(signedSnapshot(ready, references, lastAnswers(answers.answers)))) as object;
const opened = (judged: unknown) => {
  const read = readFrozen(judged);
  if ('why' in read) throw new Error(read.why);
  return read.snapshot;
};

describe('what was frozen on a device', () => {
  it('is judged by itself as it was judged with the whole house around it', () => {
    const there = judgeFrozen(opened(frozen()), now, []);
    const here = assess(ready, references, standingAnswers(answers.answers, now), now, {
      withRepairs: false,
    });
    expect(there.gate).toEqual(here.gate);
    expect(there.gate.open).toBe(true);
    expect(there.findings.map(({ key, level }) => [key, level])).toEqual(
      here.findings.map(({ key, level }) => [key, level]),
    );
    expect(there.steps.map(({ id }) => id)).toEqual(here.steps.map(({ id }) => id));
  });
  it('is judged at the hour it was signed: four hours later the forecast is old', () => {
    const { gate } = judgeFrozen(opened(frozen()), now + 4 * HOUR_MS, []);
    expect(gate.bars.map(({ bar }) => bar)).toContain('forecast');
  });
  it('of an older form is brought up to today’s', () => {
    const old = frozen() as { outing: Record<string, unknown>; angler: Record<string, unknown> };
    const { word: _word, ...outing } = old.outing;
    const { about: _about, ...angler } = old.angler;
    const { snapshot } = {
      snapshot: opened({
        ...old,
        outing: { ...outing, format: 'outing/4' },
        angler: { ...angler, format: 'angler/3' },
      }),
    };
    expect(snapshot.outing.format).toBe(forms.outings);
    expect(snapshot.outing.word.left).toBeNull();
    expect(snapshot.angler?.about.phone).toBe('');
  });
  it.each([
    [null],
    [7],
    ['text'],
    [[]],
    [{}],
    [{ ...frozen(), outing: null }],
    [{ ...frozen(), items: 'many' }],
    [{ ...frozen(), answers: [{ stepId: 'DROP TABLE', verdict: 'good', at: 'now' }] }],
    [{ ...frozen(), more: 1 }],
  ])('is refused in words where it is none: %#', (judged) => {
    const read = readFrozen(judged);
    expect('why' in read && read.why.length).toBeGreaterThan(5);
  });
});
