import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { canonical } from './canonical';
import { withItem } from '../editing/edit';
import { mergeDocuments } from './merge';
import { documentKinds } from './registry';
import type { Outing } from './outing';

const NOW = '2026-05-15T19:00:00Z';
const [base] = demo(Date.parse(NOW)).outings as [Outing];
const rigNamed = (id: string): Outing['rigs'][number] => ({
  id,
  name: id,
  purpose: 'cast',
  rodId: null,
  reelId: null,
  mainId: null,
  mainKnot: 'none',
  leaderId: null,
  leaderM: 1,
  leaderKnot: 'palomar',
  connection: 'direct',
  clipId: null,
  lureId: null,
  lureG: null,
  dragFraction: 0.3,
});
const withBrief = (change: Partial<Outing['brief']>): Outing => ({
  ...base,
  brief: { ...base.brief, ...change },
});

describe('changes from two windows', () => {
  it('of when it was carried last keep the later, and ask nobody', () => {
    const at = (carriedAt: string | null): Outing => ({ ...base, word: { ...base.word, carriedAt } });
    const [early, late] = [at('2026-05-15T19:00:00Z'), at('2026-05-15T19:00:05Z')];
    for (const [mine, theirs] of [
      [early, late],
      [late, early],
    ] as const) {
      const { merged, conflicts } = mergeDocuments(documentKinds.outings, base, mine, theirs);
      expect(conflicts).toEqual([]);
      expect(merged.word.carriedAt).toBe('2026-05-15T19:00:05Z');
    }
    const taken = mergeDocuments(documentKinds.outings, early, at(null), late);
    expect([taken.conflicts, taken.merged.word.carriedAt]).toEqual([[], '2026-05-15T19:00:05Z']);
  });
  it('are both kept where they touch different things', () => {
    const mine = withItem(withBrief({ keep: 1 }), 'mirror', 1);
    const theirs = withItem(withBrief({ party: 2 }), 'radio', 0);
    const { merged, conflicts } = mergeDocuments(documentKinds.outings, base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(merged.brief).toMatchObject({ keep: 1, party: 2 });
    const aboard = merged.loadout.map((entry) => entry.itemId);
    expect(aboard).toContain('mirror');
    expect(aboard).not.toContain('radio');
  });
  it('are a conflict where both changed one thing differently, mine standing until it is settled', () => {
    const { merged, conflicts } = mergeDocuments(
      documentKinds.outings,
      base,
      withBrief({ keep: 1 }),
      withBrief({ keep: 0 }),
    );
    expect(conflicts).toEqual([{ path: ['brief', 'keep'], mine: 1, theirs: 0 }]);
    expect(merged.brief.keep).toBe(1);
  });
  it('are no conflict where both made the same change', () => {
    expect(
      mergeDocuments(documentKinds.outings, base, withBrief({ keep: 1 }), withBrief({ keep: 1 })).conflicts,
    ).toEqual([]);
  });
  it('never lose a change of one side alone, whatever it is', () => {
    const change = fc.record(
      {
        keep: fc.nat(50),
        party: fc.integer({ min: 1, max: 12 }),
        launchAt: fc.constantFrom('05:00', '06:30'),
      },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(change, (one) => {
        const changed = withBrief(one);
        expect(canonical(mergeDocuments(documentKinds.outings, base, changed, base).merged)).toBe(
          canonical(changed),
        );
        expect(canonical(mergeDocuments(documentKinds.outings, base, base, changed).merged)).toBe(
          canonical(changed),
        );
      }),
    );
  });

  it.each([
    ['rigs', (id: string): Outing => ({ ...base, rigs: [...base.rigs, rigNamed(id)] })],
    [
      'company',
      (id: string): Outing => ({
        ...base,
        company: [...base.company, { id, name: id, boat: '', says: [], brings: [] }],
      }),
    ],
    [
      'accepted',
      (id: string): Outing => ({
        ...base,
        accepted: [...base.accepted, { key: id, reason: 'enough', at: NOW, extent: 1 }],
      }),
    ],
  ] as const)('that each add to %s do not clash: both are in it', (list, adding) => {
    const { merged, conflicts } = mergeDocuments(documentKinds.outings, base, adding('7'), adding('3'));
    expect(conflicts).toEqual([]);
    const names = merged[list].map((one) => ('key' in one ? one.key : one.id));
    expect(names.slice(-2).sort()).toEqual(['3', '7']);
  });
  it('to one record of a list are merged field by field, and clash only in the field that both changed', () => {
    const two: Outing = { ...base, rigs: [rigNamed('a'), rigNamed('b')] };
    const change = (rig: Partial<Outing['rigs'][number]>) => ({
      ...two,
      rigs: two.rigs.map((one) => (one.id === 'b' ? { ...one, ...rig } : one)),
    });
    const both = mergeDocuments(
      documentKinds.outings,
      two,
      change({ leaderM: 3 }),
      change({ name: 'Theirs' }),
    );
    expect(both.conflicts).toEqual([]);
    expect(both.merged.rigs[1]).toMatchObject({ leaderM: 3, name: 'Theirs' });
    const clash = mergeDocuments(documentKinds.outings, two, change({ leaderM: 3 }), change({ leaderM: 4 }));
    expect(clash.conflicts).toEqual([{ path: ['rigs', 'b', 'leaderM'], mine: 3, theirs: 4 }]);
  });
  it('taking out what the other changed asks, and taking out what nobody touched does not', () => {
    const without = withItem(base, 'radio', 0);
    expect(
      mergeDocuments(documentKinds.outings, base, without, withItem(base, 'mirror', 1)).conflicts,
    ).toEqual([]);
    const { conflicts, merged } = mergeDocuments(
      documentKinds.outings,
      base,
      without,
      withItem(base, 'radio', 2),
    );
    expect(conflicts.map(({ path }) => path)).toEqual([['loadout', 'radio']]);
    expect(merged.loadout.some(({ itemId }) => itemId === 'radio')).toBe(false);
  });
  it('to places of a water are merged by their ids', () => {
    const [water] = demo(Date.parse(NOW)).references.waters;
    if (!water) throw new Error('no water');
    const [area] = water.areas;
    const adding = (id: string) => ({
      ...water,
      areas: [...water.areas, { ...area, id } as (typeof water.areas)[number]],
    });
    const { merged, conflicts } = mergeDocuments(
      documentKinds.waters,
      water,
      adding('mine'),
      adding('theirs'),
    );
    expect(conflicts).toEqual([]);
    expect(merged.areas.map(({ id }) => id)).toEqual(expect.arrayContaining(['mine', 'theirs']));
    expect(merged.areas).toHaveLength(water.areas.length + 2);
  });
});
