import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { sayBar } from './gate';

const now = Date.parse('2026-05-15T19:00:00Z');
const HOUR = 3_600_000;
const { references, outings } = demo(now);
const [ready] = outings as [Outing];

describe('the gate is for the day', () => {
  const barAt = (at: number) =>
    assess(ready, references, noAnswers, at).gate.bars.find((bar) => bar.bar === 'early') ?? null;
  const early = barAt(now - 5 * 24 * HOUR);
  const opensAt = early?.bar === 'early' ? early.opensAt : 0;
  it('stays shut until what is looked at still stands at the launch, and says from when it opens', () => {
    expect(opensAt).toBeGreaterThan(now - 24 * HOUR);
    expect(barAt(opensAt - 1)).not.toBeNull();
    expect(barAt(opensAt)).toBeNull();
    expect(early && sayBar(early)).toMatch(
      /^It can be signed from \d\d:\d\d on .+, 18 h before the launch\./u,
    );
  });
  it('says nothing of it where nobody knows when the launch is', () => {
    const open: Outing = { ...ready, brief: { ...ready.brief, waterId: null } };
    const { bars } = assess(open, references, noAnswers, now - 5 * 24 * HOUR).gate;
    expect(bars.some(({ bar }) => bar === 'early')).toBe(false);
  });
});
