import { describe, expect, it } from 'vitest';
import { demo } from '#core/demo/demo';
import { dayOf } from '#core/environment/day';
import { instantOf } from '#core/units/time';
import { METRIC, speakIn } from '#core/units/speaking';
import { eventsOf, hourNames } from './events';

const evening = Date.parse('2026-05-15T19:00:00Z');
const { outings, references } = demo(evening);
function over(id: string, hours: number) {
  const outing = outings.find((one) => one.id === id);
  const water = references.waters.find((one) => one.id === outing?.brief.waterId);
  const from = outing && water ? instantOf(outing.brief.date, '07:00', water.timeZone) : null;
  if (!outing || !water || from === null) throw new Error(id);
  const axis = { from, to: from + hours * 3_600_000, left: 52, right: 840 };
  return { events: eventsOf(axis, water, dayOf(outing.conditions, water, axis.from, axis.to)), axis, water };
}
const named = (events: { text: string }[], word: string) =>
  events.filter(({ text }) => text.startsWith(word)).length;

describe('what is named under the day strip', () => {
  it('is each rising and setting of the sun, on an outing with a night', () => {
    const { events, axis } = over('venn-overnight', 34);
    expect([named(events, 'sunrise'), named(events, 'sunset')]).toEqual([1, 1]);
    expect(events.every(({ at }) => at > axis.from && at < axis.to)).toBe(true);
    expect(named(over('venn-overnight', 48).events, 'sunset')).toBe(2);
  });
  it('is each turn of the tide, in their order', () => {
    const { events } = over('pollack-long-grey', 26);
    expect(named(events, 'high')).toBe(2);
    expect(events.map(({ at }) => at)).toEqual(events.map(({ at }) => at).sort((a, b) => a - b));
  });
});

describe('the hours of the strip', () => {
  const hours = (from: string, count: number, every: number) =>
    Array.from({ length: count }, (_, i) => Date.parse(from) + i * every * 3_600_000);
  it('name no day within one', () => {
    expect(hourNames(hours('2026-05-16T05:00:00Z', 3, 2), 'utc')).toEqual(['05', '07', '09']);
  });
  it('name each day where it begins, by the clock of the water', () => {
    expect(hourNames(hours('2026-05-16T18:00:00Z', 4, 3), 'utc')).toEqual(['Sat 18', '21', 'Sun 00', '03']);
    expect(hourNames(hours('2026-05-16T18:00:00Z', 3, 3), 'Pacific/Auckland')).toEqual(['06', '09', '12']);
  });
  it('are those of the clock that is read', () => {
    speakIn({ ...METRIC, clock: '12 h' });
    expect(hourNames(hours('2026-05-16T18:00:00Z', 4, 3), 'utc')).toEqual([
      'Sat 6 pm',
      '9 pm',
      'Sun 12 am',
      '3 am',
    ]);
    speakIn(METRIC);
  });
});
