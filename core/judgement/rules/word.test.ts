import { describe, expect, it } from 'vitest';
import { demo } from '../../demo/demo';
import { emptyLog } from '../../documents/log';
import type { Outing } from '../../documents/outing';
import type { References } from '../../documents/references';
import { noWord } from '../../documents/word';
import { applyRepair } from '../../editing/repair';
import { DAY_MS } from '../../units/time';
import { noAnswers } from '../../walkround/answers';
import { sayFinding } from '../allRules';
import { assess } from '../assess';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing, ...Outing[]];
const found = (outing: Outing, refs: References = references, at = now) =>
  assess(outing, refs, noAnswers, at, { withRepairs: false }).findings.filter(
    ({ station }) => station === 'leave-word',
  );
const levels = (...args: Parameters<typeof found>) =>
  found(...args).map(({ key, level }) => `${level} ${key}`);
const covered = (coverage: 'good' | 'patchy' | 'none' | 'not known'): References => ({
  ...references,
  waters: references.waters.map((water) => ({ ...water, coverage })),
});
const unleft: Outing = { ...ready, word: noWord };

describe('what is told of the plan that somebody ashore has', () => {
  it('is nothing while they have it as it is', () => {
    expect(levels(ready)).toEqual([]);
  });
  it('is that they do not have it, until they do', () => {
    expect(levels(unleft)).toEqual(['mind word-not-left']);
    const [told] = found(unleft);
    expect(told && sayFinding(told.facts).title).toBe('Sample Contact does not have the plan yet');
  });
  it('is not that, where nobody is named: that is told as the need it is', () => {
    const alone = { ...unleft, brief: { ...ready.brief, contact: { name: '', phone: '', email: '' } } };
    expect(levels(alone)).toEqual([]);
    const { findings } = assess(alone, references, noAnswers, now, { withRepairs: false });
    expect(findings.map(({ key }) => key)).toContain('need-unmet:float-plan');
  });
  it.each<[string, Outing, number]>([
    ['of an outing that is written up', { ...unleft, log: emptyLog }, now],
    ['of one that is over', unleft, now + 3 * DAY_MS],
  ])('is nothing %s', (_, outing, at) => {
    expect(levels(outing, references, at)).toEqual([]);
  });
  it('names up to three changes, and says how many more', () => {
    const changed: Outing = {
      ...ready,
      brief: { ...ready.brief, homeAt: '12:15', alarmAt: '13:15', launchAt: '05:00', craftId: 'dunlin' },
    };
    const told = found(changed).find(({ key }) => key === 'word-changed');
    expect(told).toMatchObject({ level: 'mind', extent: 4 });
    const { text } = sayFinding(told?.facts as never);
    expect(text).toMatch(/^Afloat: \d\d:\d\d on 16 May 2026 then, now 05:00 on 16 May 2026\. /);
    expect(text).toContain('And the boat is not as left.');
    expect(text).toMatch(/Leave it again\.$/);
  });
  it('keeps when it is accepted, and asks again when more of it changes', () => {
    const once: Outing = { ...ready, brief: { ...ready.brief, alarmAt: '13:15' } };
    const accepted: Outing = {
      ...once,
      accepted: [
        { key: 'word-changed', extent: 1, reason: 'Told by telephone.', at: '2026-05-15T19:00:00Z' },
      ],
    };
    expect(found(accepted).find(({ key }) => key === 'word-changed')?.accepted).toBe('Told by telephone.');
    const more = { ...accepted, brief: { ...accepted.brief, craftId: 'dunlin' } };
    expect(found(more).find(({ key }) => key === 'word-changed')?.accepted).toBeNull();
  });
  it.each([
    ['none', 'mind word-not-carried'],
    ['patchy', 'note word-not-carried'],
    ['good', null],
    ['not known', null],
  ] as const)('where the coverage is %s, and nothing is carried: %s', (coverage, wanted) => {
    expect(levels(ready, covered(coverage))).toEqual(wanted === null ? [] : [wanted]);
    const carried = { ...ready, word: { ...ready.word, carriedAt: '2026-05-15T18:00:00Z' } };
    expect(levels(carried, covered(coverage))).toEqual([]);
  });
  it('is a Note where its page is off', () => {
    const left = ready.word.left && { ...ready.word.left, watched: false };
    expect(levels({ ...ready, word: { ...ready.word, left } })).toEqual(['note word-unwatched']);
  });
  it('keeps no repair of another finding back', () => {
    // Another launch, place, hour or boat is not what was left, and is offered all the same.
    const bringing = outings.flatMap((outing) => {
      if (outing.word.left === null || outing.log !== null) return [];
      const { findings } = assess(outing, references, noAnswers, now);
      return findings
        .flatMap(({ repairs }) => repairs)
        .filter((repair) => levels(applyRepair(outing, repair, now)).includes('mind word-changed'));
    });
    expect(bringing.length).toBeGreaterThan(0);
  });
});

describe('the tally of the station', () => {
  const tally = (outing: Outing, refs = references) =>
    assess(outing, refs, noAnswers, now, { withRepairs: false }).tallies['leave-word'];
  it('counts who waits, how to reach them, the hour, whom they call, and that they have it', () => {
    expect(tally(ready)).toEqual({ counted: 5, of: 5 });
    expect(tally(unleft)).toEqual({ counted: 4, of: 5 });
    const nobody = { ...unleft, brief: { ...ready.brief, contact: { name: '', phone: '', email: '' } } };
    expect(tally(nobody).counted).toBe(2);
    const early = { ...unleft, brief: { ...ready.brief, alarmAt: ready.brief.homeAt } };
    expect(tally(early).counted).toBe(3);
    const nowhere = {
      ...references,
      waters: references.waters.map((one) => ({ ...one, rescue: { name: '', phone: '', radio: '' } })),
    };
    expect(tally(ready, nowhere).counted).toBe(4);
  });
});
