import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { contextOf } from '../judgement/context';
import { kinds } from '../catalog/gear/kinds';
import { newItem } from '../editing/newItem';
import { withItem } from '../editing/edit';
import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { noAnswers } from '../walkround/answers';
import { catalogue } from '../needs/catalogue';
import type { Shortfall } from '../needs/need';
import { propose } from './propose';
import { purchases } from './shopping';
import { bettered } from '../needs/purchaseOptions';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
/** Nothing owned, so that everything is to be bought; one empty boat for each outing of the demo. */
const empty = { ...references, items: [] };
const bare = outings.map((outing): [string, Outing] => [
  outing.title,
  { ...outing, loadout: [], rigs: [], company: [], accepted: [], log: null },
]);
const needOf = (outing: Outing, items: typeof references.items, id: string) =>
  contextOf(outing, { ...references, items }, noAnswers, now).needs.find((need) => need.id === id);

/** A thing as it is asked for in the shop, where the usual one falls short. */
function better(item: Item, asked: readonly Shortfall[]): Item {
  return asked.reduce((one, lack) => bettered(one, lack) ?? one, item);
}

describe('what one is told to buy', () => {
  it.each(bare)('counts once it is aboard: %s', (_, outing) => {
    const { missing } = propose(outing, empty, noAnswers, now);
    expect(missing.length).toBeGreaterThan(10);
    for (const { needId, would, different } of missing)
      for (const { kind, asked, pieces } of would) {
        const item = better(newItem('bought', kind, { quantity: pieces }), asked);
        // A spare is one beside the paddle that one sets out with.
        const first = newItem('first', 'paddle', { massKg: 0.1 });
        const alone = withItem(outing, item.id, pieces);
        const need =
          needId === 'second-propulsion'
            ? needOf(withItem(alone, 'first', 1), [item, first], needId)
            : needOf(alone, [item], needId);
        const what = `${kinds[kind].name} for ${catalogue[needId].title}`;
        // A thing may raise its own want (a rod its leash): then it is no longer wanting for lack of that
        // thing.
        if (different > 1) expect(need?.counted, what).toBeGreaterThan(0);
        else expect(need === undefined || need.met, what).toBe(true);
      }
  });
  it.each(bare)('and what is asked for beyond the usual is what the usual lacks: %s', (_, outing) => {
    for (const { needId, would } of propose(outing, empty, noAnswers, now).missing)
      for (const { kind, asked, pieces } of would) {
        // Of an anchor aboard its own sheet speaks.
        if (asked.length === 0 || needId === 'hold-boat') continue;
        const usual = newItem('usual', kind, { quantity: pieces });
        const need = needOf(withItem(outing, usual.id, pieces), [usual], needId);
        const means = need?.means.find((one) => one.by === 'item');
        expect(means?.shortfall, `${kinds[kind].name} for ${catalogue[needId].title}`).toEqual(
          asked.length > 1 ? { code: 'several', all: asked } : asked[0],
        );
      }
  });
  it.each(bare)(
    'is the whole of it: bought and put aboard, only what one does oneself is left: %s',
    (_, outing) => {
      let [items, laden]: [readonly Item[], Outing] = [[], outing];
      // What is bought may want something of its own (a rod its leash, a light its charge): as many rounds as
      // such chains are long.
      for (let round = 0; round < 4; round += 1) {
        const refs = { ...references, items };
        const bought = purchases(propose(laden, refs, noAnswers, now).missing, null).map(
          ({ kind, pieces, asked }, i) =>
            better(newItem(`bought-${round}-${i}`, kind, { quantity: pieces }), asked),
        );
        items = [...items, ...bought];
        laden = propose(laden, { ...references, items }, noAnswers, now).add.reduce(
          (next, { itemId, quantity }) => withItem(next, itemId, quantity),
          laden,
        );
      }
      const { missing } = propose(laden, { ...references, items }, noAnswers, now);
      expect(missing.filter(({ would }) => would.length > 0).map(({ needId }) => needId)).toEqual([]);
    },
  );
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
    // By night and by day are different means: the morning wants both.
    expect(would('pollack-long-grey', 'distress-signal')).toEqual(
      expect.arrayContaining(['mirror', 'electronic-flare']),
    );
    expect(would('ling-anchored', 'distress-signal')).not.toContain('electronic-flare');
  });
});
