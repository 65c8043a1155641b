import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { demoAngler } from '../demo/people';
import { newItem } from '../editing/newItem';
import { kindIds } from '../catalog/gear/kinds';
import type { Angler } from '../documents/angler';
import type { Item } from '../documents/item';
import type { Water } from '../documents/water';
import { anglerSchema } from '../documents/angler';
import { favours, standingOf } from '../needs/schools';

const of = (schools: Partial<Angler['schools']>): Angler => ({
  ...demoAngler,
  schools: { ...demoAngler.schools, ...schools },
});
const one = (kind: Parameters<typeof newItem>[1], own = {}) => newItem('one', kind, own);

describe('schools', () => {
  it('favour the jacket that the angler chose, and never two at once', () => {
    const auto = one('inflatable-jacket', { qualities: ['approved', 'inflatable', 'automatic'] });
    const manual = one('inflatable-jacket');
    const foam = one('foam-jacket');
    for (const [jacket, wanted] of [
      ['foam', foam],
      ['manual inflatable', manual],
      ['automatic inflatable', auto],
    ] as const)
      expect([foam, manual, auto].filter((item) => favours(of({ jacket }), item))).toEqual([wanted]);
  });
  it('favour by landing, store, phone and sight', () => {
    expect(favours(of({ landing: 'net' }), one('net'))).toBe(true);
    expect(favours(of({ landing: 'grip' }), one('net'))).toBe(false);
    expect(favours(of({ fishStore: 'hard box' }), one('hard-ice-box'))).toBe(true);
    expect(favours(of({ fishStore: 'bag' }), one('hard-ice-box'))).toBe(false);
    expect(favours(of({ visibility: 'light mast' }), one('light-flag'))).toBe(true);
    expect(favours(of({ phone: 'on a float' }), one('phone', { qualities: ['floats', 'waterproof'] }))).toBe(
      true,
    );
    expect(favours(of({ phone: 'on a float' }), one('phone'))).toBe(false);
  });
  it('come first, and so does a radio at sea where others hear it; a makeshift comes last', () => {
    const water = (change: object) => ({ ...(demo(0).references.waters[0] as Water), ...change });
    const radio = one('vhf-radio');
    const stands = (item: Item, change: object, nights = 0) =>
      standingOf({ angler: demoAngler, water: water(change) }, { nights }, item);
    const first = (change: object) => stands(radio, change);
    expect([first({ type: 'salt', coverage: 'good' }), first({ type: 'salt', coverage: 'patchy' })]).toEqual([
      1, 1,
    ]);
    expect(first({ type: 'salt', coverage: 'none' })).toBe(0);
    expect(first({ type: 'fresh', coverage: 'good' })).toBe(0);
    expect(standingOf({ angler: of({ landing: 'net' }), water: null }, { nights: 0 }, one('net'))).toBe(1);
    expect([stands(one('water-filter'), {}), stands(one('water-filter'), {}, 1)]).toEqual([-1, 0]);
    expect(stands(one('travel-rod'), {}, 1), 'a spare').toBe(-1);
  });
  it('say nothing without a profile', () => {
    for (const kind of kindIds) expect(favours(null, one(kind))).toBe(false);
  });
  it('have both sides of every question in the profile', () => {
    for (const answers of Object.values(anglerSchema.shape.schools.shape))
      expect(answers.options.length).toBeGreaterThanOrEqual(2);
  });
});
