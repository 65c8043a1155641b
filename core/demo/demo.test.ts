import { describe, expect, it } from 'vitest';
import { assess } from '../judgement/assess';
import { anchorHours } from '../holding/anchorSheet';
import { lookUp } from '../documents/references';
import { noAnswers } from '../walkround/answers';
import { demo } from './demo';

/** A day in each second month, and the clocks of a winter evening and a summer morning. */
const days = [
  '2026-01-09T21:00',
  '2026-03-20T12:00',
  '2026-05-15T19:00',
  '2026-07-30T06:00',
  '2026-10-02T15:00',
  '2026-12-24T08:00',
];

describe('the demo, whenever it is loaded,', () => {
  it.each(days)('has an anchor that must not be set at half past nine and may at noon, on %s', (day) => {
    const now = Date.parse(`${day}:00Z`);
    const { references, outings } = demo(now);
    const ling = outings.find(({ id }) => id === 'ling-anchored');
    const anchor = references.items.find(({ id }) => id === 'long-anchor');
    const looked = ling && lookUp(ling, references);
    if (!ling || !anchor || !looked?.craft)
      throw new Error('The outing, its anchor and its boat are in the demo.');
    const { spot } = assess(ling, references, noAnswers, now).exposures;
    const may = new Map(
      anchorHours(anchor, spot, looked.craft, looked, ling.workings).map(({ hour, leave }) => [
        hour.clock,
        leave.may,
      ]),
    );
    expect([may.get('09:30'), may.get('12:00')]).toEqual(['no', 'yes']);
  });
  it.each(days)('has one outing ready to sign and one with Stops, on %s', (day) => {
    const now = Date.parse(`${day}:00Z`);
    const { references, outings } = demo(now);
    const stops = (id: string) => {
      const outing = outings.find((one) => one.id === id);
      return outing
        ? assess(outing, references, noAnswers, now).findings.filter(({ level }) => level === 'stop').length
        : -1;
    };
    expect(stops('pollack-long-grey')).toBe(0);
    expect(stops('zander-dusk')).toBeGreaterThan(2);
  });
});
