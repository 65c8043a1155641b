import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Companion } from '../documents/outing';
import { lookUp } from '../documents/references';
import { assess } from '../judgement/assess';
import { noAnswers, standingAnswers } from '../walkround/answers';
import { eachOnce, reportDiffers, reportOf, withReports } from './party';

const now = Date.parse('2026-05-15T19:00:00Z');
const { outings, references } = demo(now);
const trip = outings.find(({ id }) => id === 'venn-overnight');
if (!trip) throw new Error('The sample has an outing of three.');
const bare = { ...trip, loadout: trip.loadout.filter(({ itemId }) => itemId !== 'stove') };
const stove = { id: 'their-stove', kind: 'stove' as const, name: 'Their stove', quantity: 1 };
const bringing = (brings: Companion['brings']) => ({
  ...bare,
  company: bare.company.map((one, i) => (i === 0 ? { ...one, brings } : one)),
});
const judged = (outing: typeof trip, answers = noAnswers) =>
  assess(outing, references, answers, now, { withRepairs: false });
const cook = (outing: typeof trip, answers = noAnswers) =>
  judged(outing, answers).needs.find(({ id }) => id === 'cook');

describe('what somebody brings for all', () => {
  it('meets a need that one in any boat meets, and none that each has for themselves', () => {
    expect(cook(bare)?.met).toBe(false);
    expect(cook(bringing([stove]))?.met).toBe(true);
    const line = { id: 'their-aid', kind: 'foam-jacket' as const, name: 'Their aid', quantity: 1 };
    const means = judged(bringing([line])).needs.find(({ id }) => id === 'buoyancy')?.means ?? [];
    expect(means.some((one) => one.by === 'item' && one.itemId === 'their-aid')).toBe(false);
  });
  it('is asked after on the walk-round, and what is not there takes its means away', () => {
    const outing = bringing([stove]);
    const steps = judged(outing).steps.flatMap((step) => [
      step,
      ...step.items.map((one) => ({ ...one, id: one.stepId })),
    ]);
    const step = steps.find(({ id }) => id === 'item:their-stove');
    expect(step?.how).toMatch(/^Ask Sample Friend\. /);
    const missing = standingAnswers(
      [
        {
          ...{
            key: 'a4c1d6a0-0000-4000-8000-000000000001',
            stepId: 'item:their-stove',
            verdict: 'not here' as const,
            note: '',
          },
          at: new Date(now).toISOString(),
        },
      ],
      now,
    );
    expect(cook(outing, missing)?.met).toBe(false);
  });
  it('is told by an outing of its own: what it carries, what it lacks, and what of it does for all', () => {
    const report = reportOf(lookUp(trip, references), judged(trip).needs);
    expect(report.boat).toBe('Dunlin');
    expect(report.brings.map(({ id }) => id)).toContain('stove');
    expect(report.brings.map(({ id }) => id)).not.toContain('radio');
    expect(report.says.filter((id) => report.lacks.includes(id))).toEqual([]);
    expect(report.says.length).toBeGreaterThan(3);
    const [first] = trip.company;
    if (!first) throw new Error('Somebody comes along.');
    expect(reportDiffers(first, report)).toBe(true);
    const [written] = withReports(trip, new Map([[first.id, report]])).company;
    expect(written && reportDiffers(written, report)).toBe(false);
  });
  it('is counted once, whoever tells it', () => {
    const reports = [{ brings: [stove] }, { brings: [stove, { ...stove, id: 'another' }] }];
    expect(eachOnce(reports, null).map(({ brings }) => brings.map(({ id }) => id))).toEqual([
      ['their-stove'],
      ['another'],
    ]);
    const own = {
      ...bare,
      loadout: [
        ...bare.loadout,
        { itemId: 'another', quantity: 1, outsideContainer: false, carriedBy: null },
      ],
    };
    expect(eachOnce(reports, own).map(({ brings }) => brings.length)).toEqual([1, 0]);
  });
});
