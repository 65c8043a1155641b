import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { assess } from '../judgement/assess';
import { kindIds, kinds } from '../catalog/gear/kinds';
import { newItem } from '../editing/newItem';
import { withItem } from '../editing/edit';
import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { contextOf } from '../judgement/context';
import { noAnswers } from '../walkround/answers';
import { cheapestCover } from './cover';
import { propose } from './propose';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready, dusk] = outings as [Outing, Outing];
const take = (outing: Outing, refs = references) =>
  propose(outing, refs, noAnswers, now).add.reduce(
    (next, one) => withItem(next, one.itemId, one.quantity),
    outing,
  );
const open = (outing: Outing, refs = references) =>
  assess(outing, refs, noAnswers, now)
    .needs.filter((need) => !need.met && need.level !== 'could')
    .map((need) => need.id);

describe('the cheapest cover', () => {
  it('is what trying every set finds, clashes and amounts included', () => {
    const option = fc.record({
      cost: fc.integer({ min: 1, max: 20 }),
      covers: fc.uniqueArray(fc.record({ demand: fc.nat(2), amount: fc.integer({ min: 1, max: 3 }) }), {
        selector: (one) => one.demand,
        minLength: 1,
        maxLength: 3,
      }),
    });
    fc.assert(
      fc.property(
        fc.array(option, { minLength: 1, maxLength: 9 }),
        fc.array(fc.nat(4), { minLength: 3, maxLength: 3 }),
        (options, wanted) => {
          let best = Infinity;
          for (let set = 0; set < 1 << options.length; set += 1) {
            const chosen = options.filter((_, i) => set & (1 << i));
            const enough = wanted.every(
              (want, demand) =>
                chosen.reduce(
                  (sum, one) => sum + (one.covers.find((c) => c.demand === demand)?.amount ?? 0),
                  0,
                ) >= want,
            );
            if (enough)
              best = Math.min(
                best,
                chosen.reduce((sum, one) => sum + one.cost, 0),
              );
          }
          const found = cheapestCover({ options, wanted, clash: () => false, mostNodes: 1e6 });
          expect(found?.cost ?? Infinity).toBe(best);
          if (found) expect(found.proven && found.bound === found.cost).toBe(true);
        },
      ),
    );
  });
  it('counts only one of two that clash', () => {
    const options = [1, 2, 5].map((cost) => ({ cost, covers: [{ demand: 0, amount: 1 }] }));
    const clash = (_: number, a: number, b: number) => a + b === 1;
    expect(cheapestCover({ options, wanted: [2], clash, mostNodes: 100 })?.chosen).toEqual([0, 2]);
    expect(cheapestCover({ options: options.slice(0, 2), wanted: [2], clash, mostNodes: 100 })).toBeNull();
  });
  it('says its gap when it must stop early', () => {
    const options = Array.from({ length: 40 }, (_, i) => ({
      cost: 10 + ((i * 7) % 11),
      covers: [
        { demand: i % 5, amount: 1 },
        { demand: (i * 3 + 1) % 5, amount: 1 },
      ].filter((one, k, all) => k === 0 || one.demand !== all[0]?.demand),
    }));
    const found = cheapestCover({ options, wanted: [4, 4, 4, 4, 4], clash: () => false, mostNodes: 60 });
    expect(found?.proven).toBe(false);
    expect(found?.bound ?? 0).toBeLessThanOrEqual(found?.cost ?? 0);
  });
});

describe('a proposed loadout', () => {
  it('meets every open law, must and should that the locker can meet, with things that count', () => {
    const missing = propose(dusk, references, noAnswers, now).missing.map((one) => one.needId);
    expect(open(take(dusk)).toSorted()).toEqual(missing.toSorted());
    expect(open(dusk).length).toBeGreaterThan(10);
  });
  it('from an empty boat fills it, rods with their leashes and a sounder with its charge', () => {
    const filled = take({ ...ready, loadout: [] });
    const left = open(filled).filter((id) =>
      propose({ ...ready, loadout: [] }, references, noAnswers, now).missing.every(
        (one) => one.needId !== id,
      ),
    );
    expect(left).toEqual([]);
    const kindsAboard = filled.loadout.map(
      (entry) => references.items.find((item) => item.id === entry.itemId)?.kind,
    );
    expect(kindsAboard).toContain('rod-leash');
  });
  it('takes what the technique uses: jigs to jig deep, a rod made for it before one in pieces, bottles for a day', () => {
    const kindsIn = (outing: Outing) => {
      const ids = new Set(take(outing).loadout.map(({ itemId }) => itemId));
      return new Set<string>(references.items.filter(({ id }) => ids.has(id)).map(({ kind }) => kind));
    };
    const jigging = kindsIn({
      ...ready,
      loadout: [],
      rigs: [],
      brief: { ...ready.brief, techniques: ['jigging'] },
    });
    expect(jigging.has('jig-box')).toBe(true);
    expect(jigging.has('travel-rod') || jigging.has('soft-bait-box')).toBe(false);
    const perch = outings.find(({ id }) => id === 'perch-spring') as Outing;
    expect(kindsIn({ ...perch, loadout: [] }).has('water-filter')).toBe(false);
  });
  it('takes a second way to call where the only one takes the pictures all day', () => {
    const cup = outings.find(({ id }) => id === 'mere-cup-day') as Outing;
    const bare = { ...cup, loadout: [], rigs: [] };
    const { findings } = assess(take(bare), references, noAnswers, now);
    expect(findings.filter(({ facts }) => facts.code === 'one-thing-many-jobs')).toEqual([]);
    const calls = references.items.filter(({ kind }) => kinds[kind].means.includes('call-for-help'));
    expect(
      take(bare).loadout.filter(({ itemId }) => calls.some(({ id }) => id === itemId)).length,
    ).toBeGreaterThan(1);
  });
  it('takes what is owned of a need though it does not meet all of it, so that what is left is really left', () => {
    const bottle = newItem('one-bottle', 'water-bottle', { quantity: 1 });
    const hat = newItem('own-hat', 'hat');
    const little = { ...references, items: [bottle, hat] };
    const proposal = propose({ ...ready, loadout: [], rigs: [] }, little, noAnswers, now);
    expect(proposal.add.map(({ itemId }) => itemId).toSorted()).toEqual(['one-bottle', 'own-hat']);
    const left = proposal.missing.find(({ needId }) => needId === 'water');
    const all = propose({ ...ready, loadout: [], rigs: [] }, { ...references, items: [] }, noAnswers, now);
    const before = all.missing.find(({ needId }) => needId === 'water');
    const pieces = (one: typeof left) => one?.would.find(({ kind }) => kind === 'water-bottle')?.pieces ?? 0;
    expect(pieces(left)).toBeLessThan(pieces(before));
    expect(pieces(left)).toBeGreaterThan(0);
  });
  it('takes what meets a need only in part where that is better than nothing: the thicker of two thin wetsuits', () => {
    const suit = (mm: number) =>
      newItem(`suit-${mm}`, 'wetsuit', { attributes: { ...kinds.wetsuit.attributes, neopreneMm: mm } });
    const cold: Outing = { ...ready, loadout: [], rigs: [], conditions: { ...ready.conditions, waterC: 11 } };
    const thin = { ...references, items: [suit(3), suit(4)] };
    const { add, missing } = propose(cold, thin, noAnswers, now);
    expect(add.map(({ itemId }) => itemId)).toEqual(['suit-4']);
    expect(
      missing.some(({ needId }) => needId === 'immersion-clothing'),
      'and says that it is not enough',
    ).toBe(true);
    const found = assess(cold, thin, noAnswers, now).findings.find(
      ({ key }) => key === 'need-unmet:immersion-clothing',
    );
    const ways = [...(found?.repairs ?? []), ...(found?.lowers ?? [])];
    expect(ways[0]).toMatchObject({ do: 'add-items', items: [{ itemId: 'suit-4' }] });
    expect(
      propose(cold, { ...thin, items: [suit(1)] }, noAnswers, now).add,
      'none that is as good as nothing',
    ).toEqual([]);
  });
  it('proposes nothing for what is ready, and never removes what was put aboard', () => {
    const { add, missing, gap } = propose(ready, references, noAnswers, now);
    const should = contextOf(ready, references, noAnswers, now).needs.filter(({ unmet }) => unmet === 'note');
    // What a Note asks for is all that could still come.
    expect(add.flatMap(({ needs }) => needs).filter((id) => !should.some((need) => need.id === id))).toEqual(
      [],
    );
    expect({ missing, gap }).toEqual({ missing: [], gap: 0 });
    const after = take(dusk);
    for (const { itemId } of dusk.loadout)
      expect(after.loadout.map((entry) => entry.itemId)).toContain(itemId);
    expect(propose(withItem(ready, 'crate', 1), references, noAnswers, now).leave).toEqual(['crate']);
  });
  it('leaves out what is out of date, broken, or of no use here, and names what to buy', () => {
    const added = propose(dusk, references, noAnswers, now).add.map((one) => one.itemId);
    for (const id of ['old-headlamp', 'beacon', 'half-paddle', 'gaff']) expect(added).not.toContain(id);
    const bare = {
      ...references,
      items: references.items.filter((item) => !kinds[item.kind].means.includes('be-seen-night')),
    };
    const missing = propose(dusk, bare, noAnswers, now).missing.find((one) => one.needId === 'be-seen-night');
    expect(missing?.would.map((one) => one.kind)).toContain('headlamp');
  });
  it('is the same twice, and quick over four hundred things', () => {
    const many: Item[] = Array.from({ length: 400 }, (_, i) => {
      const kind = kindIds[i % kindIds.length] ?? 'whistle';
      return newItem(`i${i}`, kind, { massKg: kinds[kind].massKg * (0.7 + ((i * 37) % 60) / 100) });
    });
    const refs = { ...references, items: many };
    const empty = { ...ready, loadout: [] };
    const first = propose(empty, refs, noAnswers, now);
    expect(propose(empty, refs, noAnswers, now)).toEqual(first);
    expect(first.gap).toBeLessThan(0.05);
    expect(first.add.length).toBeGreaterThan(15);
  });
});
