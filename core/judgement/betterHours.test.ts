import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { movedTo } from '../editing/hours';
import type { Outing } from '../documents/outing';
import { addDays } from '../units/time';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { betterHours, weightOf } from './betterHours';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready, , late] = outings as [Outing, Outing, Outing];
const choices = betterHours(late, references, noAnswers, now);

describe('better hours', () => {
  it('are every half-hour from first light to dusk on three days, within the day', () => {
    expect(new Set(choices.map((choice) => choice.date))).toEqual(
      new Set([0, 1, 2].map((days) => addDays(late.brief.date, days))),
    );
    expect(choices.length).toBeGreaterThan(50);
    for (const choice of choices)
      expect([choice.launchAt.slice(3), choice.launchAt < choice.homeAt]).toEqual([
        expect.stringMatching(/^(00|30)$/),
        true,
      ]);
  });
  it('judge each launch just as the outing moved there is judged', () => {
    for (const choice of choices.filter((_, i) => i % 9 === 0)) {
      const moved = { ...late, brief: movedTo(late.brief, choice.date, choice.launchAt) };
      const found = assess(moved, references, noAnswers, now).findings;
      const open = (level: string) =>
        found.filter((one) => one.level === level && one.accepted === null).length;
      expect(open('stop')).toBe(choice.stops + choice.same.stops);
      expect(open('mind')).toBe(choice.minds + choice.same.minds);
    }
  });
  it('count neither what stands at every hour nor what was accepted', () => {
    const alone = choices.map(({ stops, minds }) => stops * 100 + minds);
    expect(Math.min(...alone)).toBe(0);
    const pick = choices.find(({ first }) => first?.level === 'mind');
    if (!pick) throw new Error('An hour of these has a Mind.');
    const moved = { ...late, brief: movedTo(late.brief, pick.date, pick.launchAt) };
    const mind = assess(moved, references, noAnswers, now).findings.find(
      (one) => one.level === 'mind' && one.facts.code === pick.first?.facts.code,
    );
    const accepted = {
      ...late,
      accepted: [{ key: mind?.key ?? '', extent: 1e6, reason: 'seen', at: '2026-05-15T19:00:00Z' }],
    };
    const again = betterHours(accepted, references, noAnswers, now);
    const sum = (list: typeof choices) => list.reduce((all, { minds, same }) => all + minds + same.minds, 0);
    expect(sum(again)).toBeLessThan(sum(choices));
  });
  it('of which nothing is known are never preferred, and a launch in the dark is said', () => {
    const { hours } = late.conditions;
    const firstDay = { ...late.conditions, hours: hours.filter(({ at }) => at.startsWith(late.brief.date)) };
    const partly = betterHours({ ...late, conditions: firstDay }, references, noAnswers, now);
    const known = partly.filter(({ unknownHours }) => unknownHours === 0);
    const unknown = partly.filter(({ unknownHours }) => unknownHours > 0);
    expect(known.length).toBeGreaterThan(0);
    expect(unknown.length).toBeGreaterThan(0);
    expect(Math.max(...known.map(weightOf))).toBeLessThan(Math.min(...unknown.map(weightOf)));
    expect(choices.some(({ inDark }) => inDark)).toBe(true);
    expect(choices.some(({ inDark }) => !inDark)).toBe(true);
    for (const { windMps, gustMps, seaM } of known)
      for (const figure of [windMps, gustMps, seaM]) expect(figure).not.toBeNull();
  });
  it('show the morning kinder than the hours of the race', () => {
    const stops = (launchAt: string) =>
      choices.find((choice) => choice.date === late.brief.date && choice.launchAt === launchAt)?.stops;
    expect(stops('04:00')).toBe(0);
    expect(stops('07:00')).toBe(1);
  });
  it('leave out what has gone by, and are none while the water is not said', () => {
    const noon = Date.parse(`${ready.brief.date}T13:00:00Z`);
    expect(
      betterHours(ready, references, noAnswers, noon).every(
        (choice) => choice.date > ready.brief.date || choice.launchAt >= '12:00',
      ),
    ).toBe(true);
    expect(
      betterHours({ ...ready, brief: { ...ready.brief, waterId: null } }, references, noAnswers, now),
    ).toEqual([]);
  });
});
