import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { exposures } from '../exposures/exposures';
import { withItem } from '../editing/edit';
import type { Outing } from '../documents/outing';
import { type References, lookUp } from '../documents/references';
import { tackleAboard, tackleBudget, tackleKindIds } from './tackleBudget';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready] = outings as [Outing];
const budget = (outing: Outing, tackle: 'spare' | 'ample', refs: References = references) => {
  const angler = refs.angler && { ...refs.angler, schools: { ...refs.angler.schools, tackle } };
  const looked = lookUp(outing, { ...refs, angler });
  return tackleBudget(looked, exposures(outing, looked));
};
const calm: Outing = { ...ready, brief: { ...ready.brief, areaId: 'inner-sound', launchId: 'kelp-steps' } };

describe('the tackle budget', () => {
  it('is what the school carries, and less beyond the surf or far out', () => {
    expect(budget(calm, 'spare')).toEqual({ rods: 2, boxes: 2, massKg: 4 });
    expect(budget(calm, 'ample')).toEqual({ rods: 4, boxes: 4, massKg: 9 });
    const surf: Outing = {
      ...ready,
      conditions: {
        ...ready.conditions,
        hours: ready.conditions.hours.map((hour) => ({ ...hour, swellM: 0.8, swellPeriodS: 8 })),
      },
    };
    expect(budget(surf, 'spare')).toEqual({ rods: 2, boxes: 1, massKg: 3 });
    expect(budget(surf, 'ample')).toEqual({ rods: 3, boxes: 3, massKg: 6 });
  });
  it('is none without a profile', () => {
    expect(
      tackleBudget(lookUp(calm, { ...references, angler: null }), exposures(calm, lookUp(calm, references))),
    ).toBeNull();
  });
});

describe('tackle aboard', () => {
  const aboard = (outing: Outing) => tackleAboard(lookUp(outing, references));
  it('counts rods, boxes and their mass, and no permit, sounder or leash', () => {
    const before = aboard(ready);
    expect(aboard(withItem(ready, 'travel-rod', 1)).rods).toBe(before.rods + 1);
    expect(aboard(withItem(ready, 'big-box', 1)).boxes).toBe(before.boxes + 1);
    for (const id of ['permit', 'sounder', 'rod-leash', 'licence', 'holders'])
      expect(aboard(withItem(ready, id, 1)).massKg).toBeLessThanOrEqual(before.massKg + 1e-9);
  });
  it('is of kinds that one could do with less of', () => {
    for (const id of ['spinning-rod', 'lure-box', 'braid', 'snaps', 'sinkers'])
      expect(tackleKindIds.has(id)).toBe(true);
    for (const id of ['sounder', 'licence', 'polarised-glasses', 'net'])
      expect(tackleKindIds.has(id)).toBe(false);
  });
});
