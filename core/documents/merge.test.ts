import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { canonical } from './canonical';
import { withItem } from '../editing/edit';
import { mergeDocuments } from './merge';
import type { Outing } from './outing';

const [base] = demo(Date.parse('2026-05-15T19:00:00Z')).outings as [Outing];
const withBrief = (change: Partial<Outing['brief']>): Outing => ({ ...base, brief: { ...base.brief, ...change } });

describe('changes from two windows', () => {
  it('are both kept where they touch different things', () => {
    const mine = withItem(withBrief({ keep: 1 }), 'mirror', 1);
    const theirs = withItem(withBrief({ party: 2 }), 'radio', 0);
    const { merged, conflicts } = mergeDocuments(base, mine, theirs);
    expect(conflicts).toEqual([]);
    expect(merged.brief).toMatchObject({ keep: 1, party: 2 });
    const aboard = merged.loadout.map((entry) => entry.itemId);
    expect(aboard).toContain('mirror');
    expect(aboard).not.toContain('radio');
  });
  it('are a conflict where both changed one thing differently, mine standing until it is settled', () => {
    const { merged, conflicts } = mergeDocuments(base, withBrief({ keep: 1 }), withBrief({ keep: 0 }));
    expect(conflicts).toEqual([{ path: ['brief', 'keep'], mine: 1, theirs: 0 }]);
    expect(merged.brief.keep).toBe(1);
  });
  it('are no conflict where both made the same change', () => {
    expect(mergeDocuments(base, withBrief({ keep: 1 }), withBrief({ keep: 1 })).conflicts).toEqual([]);
  });
  it('never lose a change of one side alone, whatever it is', () => {
    const change = fc.record(
      { keep: fc.nat(50), party: fc.integer({ min: 1, max: 12 }), launchAt: fc.constantFrom('05:00', '06:30') },
      { requiredKeys: [] },
    );
    fc.assert(
      fc.property(change, (one) => {
        const changed = withBrief(one);
        expect(canonical(mergeDocuments(base, changed, base).merged)).toBe(canonical(changed));
        expect(canonical(mergeDocuments(base, base, changed).merged)).toBe(canonical(changed));
      }),
    );
  });
});
