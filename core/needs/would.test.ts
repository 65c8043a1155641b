import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { assess } from '../findings/assess';
import { kinds } from '../gear/kinds';
import { newItem } from '../gear/newItem';
import { withItem } from '../outing/edit';
import type { Outing } from '../outing/outing';
import { noAnswers } from '../walkround/answers';
import { catalogue } from './catalogue';
import { propose } from './propose';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
/** Nothing owned, so that everything is to be bought; one empty boat for each outing of the demo. */
const empty = { ...references, items: [] };
const bare = outings.map((outing): [string, Outing] => [
  outing.title,
  { ...outing, loadout: [], rigs: [], company: [], accepted: [], log: null },
]);
const needOf = (outing: Outing, items: typeof references.items, id: string) =>
  assess(outing, { ...references, items }, noAnswers, now, { withRepairs: false }).needs.find((need) => need.id === id);

describe('what one is told to buy', () => {
  it.each(bare)('counts once it is aboard: %s', (_, outing) => {
    const { missing } = propose(outing, empty, noAnswers, now);
    expect(missing.length).toBeGreaterThan(10);
    for (const { needId, would, different } of missing)
      for (const { kind, asked, pieces } of would) {
        if (asked !== null) continue;
        const item = newItem('bought', kind, { quantity: pieces });
        // A spare is one beside the paddle that one sets out with.
        const first = newItem('first', 'paddle', { massKg: 0.1 });
        const alone = withItem(outing, item.id, pieces);
        const need =
          needId === 'second-propulsion'
            ? needOf(withItem(alone, 'first', 1), [item, first], needId)
            : needOf(alone, [item], needId);
        const what = `${kinds[kind].name} for ${catalogue[needId].title}`;
        // A thing may raise its own want (a rod its leash): then it is no longer wanting for lack of that thing.
        if (different > 1) expect(need?.counted, what).toBeGreaterThan(0);
        else expect(need === undefined || need.met, what).toBe(true);
      }
  });
  it.each(bare)('and what is asked for beyond the usual is what the usual lacks: %s', (_, outing) => {
    for (const { needId, would } of propose(outing, empty, noAnswers, now).missing)
      for (const { kind, asked, pieces } of would) {
        if (asked === null) continue;
        const usual = newItem('usual', kind, { quantity: pieces });
        const need = needOf(withItem(outing, usual.id, pieces), [usual], needId);
        const means = need?.means.find((one) => one.by === 'item');
        expect(means?.shortfall, `${kinds[kind].name} for ${catalogue[needId].title}`).toEqual(asked);
      }
  });
  it('is never a thing that is of no use there', () => {
    const would = (id: string, needId: string) => {
      const [, outing] = bare.find(([title]) => title === outings.find((one) => one.id === id)?.title) ?? [];
      if (!outing) throw new Error(id);
      const { missing } = propose(outing, empty, noAnswers, now);
      return missing.find((one) => one.needId === needId)?.would.map(({ kind }) => kind) ?? [];
    };
    expect(would('zander-dusk', 'land-fish')).not.toContain('gaff');
    expect(would('zander-dusk', 'land-fish')).not.toContain('tail-rope');
    expect(would('bonefish-flat', 'rods')).toEqual(['fly-rod']);
    expect(would('pollack-long-grey', 'distress-signal')).not.toContain('mirror');
  });
});
