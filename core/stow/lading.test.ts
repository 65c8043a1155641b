import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { exposures } from '../exposures/exposures';
import { withItem } from '../editing/edit';
import type { LoadoutEntry, Outing } from '../documents/outing';
import { lookUp } from '../documents/references';
import { unstowed } from '../documents/stow';
import { carriedKg, fittedKg, gearKg } from '../boat/load';
import { seatOf } from '../boat/build';
import type { OutingInView } from '../documents/references';
import { behindSeat } from './lading';
import { planOf } from './plan';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready] = outings as [Outing];
const bare: Outing = { ...ready, brief: { ...ready.brief, keep: 0 }, loadout: [], stow: unstowed };
/** What rides behind the seat, with what is fitted there. */
const sternLoad = ({ aboard, craft, angler }: OutingInView, { keepKg }: { keepKg: number }) => {
  if (!craft || !angler) throw new Error('The demo has a boat and somebody in it.');
  const { massKg: kg, things } = behindSeat(planOf({ aboard, craft, angler, stow: unstowed }), keepKg);
  return { massKg: kg + fittedKg(craft, seatOf(craft).xM), items: things.map(({ one }) => one) };
};
const massKg = (id: string) => references.items.find((one) => one.id === id)?.massKg ?? NaN;
const aboard = (
  entries: readonly [id: string, many: number, change?: Partial<LoadoutEntry>][],
  keep = 0,
  items = references.items,
) => {
  const loaded = entries.reduce<Outing>((outing, [id, many]) => withItem(outing, id, many), bare);
  const outing: Outing = {
    ...loaded,
    brief: { ...loaded.brief, keep },
    loadout: loaded.loadout.map((entry) => ({
      ...entry,
      ...entries.find(([id]) => id === entry.itemId)?.[2],
    })),
  };
  const looked = lookUp(outing, { ...references, items });
  return { looked, e: exposures(outing, looked) };
};

describe('what rides behind the seat', () => {
  it('is counted by where each thing usually goes, as many as there are', () => {
    const { looked, e } = aboard([
      ['pump', 1],
      ['bottle', 2],
      ['anchor', 1],
      ['radio', 1],
    ]);
    const { massKg: sum, items } = sternLoad(looked, e);
    const behind = items.map(({ item }) => item.id);
    expect(behind).toContain('anchor');
    expect(behind, 'worn on the chest').not.toContain('radio');
    expect(sum).toBeCloseTo(
      looked.aboard
        .filter(({ item }) => behind.includes(item.id))
        .reduce((kg, { item, entry }) => kg + item.massKg * entry.quantity, 0),
      12,
    );
  });
  it('leaves out what rides in another boat', () => {
    const own = aboard([['anchor', 1]]);
    const theirs = aboard([['anchor', 1, { carriedBy: 'first' }]]);
    expect(sternLoad(own.looked, own.e).massKg).toBe(massKg('anchor'));
    expect(sternLoad(theirs.looked, theirs.e).massKg).toBe(0);
    expect(gearKg(own.looked) - gearKg(theirs.looked)).toBeCloseTo(massKg('anchor'), 12);
  });
  it('has what is fitted there in the set-up the outing goes in: a bait tank in the well, not the pod before the seat', () => {
    const { looked, e } = aboard([['anchor', 1]]);
    const fitted = { ...looked, craft: looked.craft && { ...looked.craft, setUpId: 'bait' } };
    expect(sternLoad(fitted, e).massKg - sternLoad(looked, e).massKg).toBeCloseTo(19, 9);
    expect((carriedKg(fitted, e) ?? 0) - (carriedKg(looked, e) ?? 0)).toBeCloseTo(19 + 1.8, 9);
  });
  it('has the fish where their store is', () => {
    const without = aboard([['anchor', 1]], 2);
    expect(without.e.keepKg).toBeGreaterThan(0);
    expect(sternLoad(without.looked, without.e).massKg).toBe(massKg('anchor'));
    const cold = aboard([['ice-bag', 1]], 2);
    expect(sternLoad(cold.looked, cold.e).massKg).toBeCloseTo(massKg('ice-bag') + cold.e.keepKg, 12);
  });
  it('goes with its container, if that is aboard', () => {
    const boxed = references.items.map((one) =>
      one.id === 'radio' ? { ...one, containerId: 'crate' } : one,
    );
    const behind = (...entries: Parameters<typeof aboard>[0]) => {
      const { looked, e } = aboard(entries, 0, boxed);
      return sternLoad(looked, e).items.map(({ item }) => item.id);
    };
    expect(behind(['radio', 1])).toEqual([]);
    expect(behind(['radio', 1], ['crate', 1])).toEqual(['radio', 'crate']);
    expect(behind(['radio', 1, { outsideContainer: true }], ['crate', 1])).toEqual(['crate']);
  });
});
