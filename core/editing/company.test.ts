import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { assess } from '../judgement/assess';
import { personalNeeds, sharedNeeds } from '../needs/company';
import { catalogue } from '../needs/catalogue';
import { noAnswers } from '../walkround/answers';
import { withCompanion, withRide, withoutCompanion } from './company';
import { type Outing, outingSchema } from '../documents/outing';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];
const friend = { id: 'friend', name: 'Sample Friend', boat: '', says: [], brings: [] };

describe('a party by name', () => {
  it('grows with its names, and not for one who is named already', () => {
    const two = withCompanion(ready, friend);
    expect([two.brief.party, two.company.length]).toEqual([2, 1]);
    const renamed = withCompanion(two, { ...friend, boat: 'Teal' });
    expect([renamed.brief.party, renamed.company]).toEqual([2, [{ ...friend, boat: 'Teal' }]]);
    expect(outingSchema.safeParse(renamed).success).toBe(true);
  });
  it('keeps a larger number that was said before the names', () => {
    expect(withCompanion({ ...ready, brief: { ...ready.brief, party: 4 } }, friend).brief.party).toBe(4);
  });
  it('holds eleven beside oneself at most', () => {
    const many = Array.from({ length: 15 }, (_, i) => i).reduce(
      (next, i) => withCompanion(next, { ...friend, id: `friend-${i}` }),
      ready,
    );
    expect(many.company).toHaveLength(11);
    expect(outingSchema.safeParse(many).success).toBe(true);
  });
  it('comes back to one when its last goes, with what rode along', () => {
    const away = withRide(withCompanion(ready, friend), 'radio', 'friend');
    expect(away.loadout.find((entry) => entry.itemId === 'radio')?.carriedBy).toBe('friend');
    const alone = withoutCompanion(away, 'friend');
    expect(alone.brief.party).toBe(1);
    expect(alone.loadout).toEqual(ready.loadout);
  });
});

describe('what each must carry', () => {
  const venn = outings.find((one) => one.id === 'venn-overnight') ?? ready;
  const { needs } = assess(venn, references, noAnswers, now);
  it('is what keeps one alive, as far as this outing asks for it', () => {
    const ids = personalNeeds(needs).map((need) => need.id);
    expect(ids).toContain('buoyancy');
    expect(ids).not.toContain('cook');
    expect(
      personalNeeds(assess(ready, references, noAnswers, now).needs).map((need) => need.id),
    ).not.toContain('sleep');
  });
  it('is never among what is shared', () => {
    const shared = new Set(sharedNeeds(needs).map((need) => need.id));
    expect(personalNeeds(needs).filter((need) => shared.has(need.id))).toEqual([]);
    expect(shared.has('shelter')).toBe(true);
    for (const id of shared) expect(catalogue[id].shared).toBe(true);
  });
});
