import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { movedTo } from '../editing/hours';
import type { Outing } from '../documents/outing';
import { addDays } from '../units/time';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { betterHours } from './betterHours';

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
      expect(found.filter((one) => one.level === 'stop')).toHaveLength(choice.stops);
      expect(found.filter((one) => one.level === 'mind')).toHaveLength(choice.minds);
    }
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
    expect(betterHours({ ...ready, brief: { ...ready.brief, waterId: null } }, references, noAnswers, now)).toEqual([]);
  });
});
