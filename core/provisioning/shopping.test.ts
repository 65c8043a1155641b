import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { type KindId, kinds } from '../catalog/gear/kinds';
import type { Outing } from '../documents/outing';
import { noAnswers } from '../walkround/answers';
import { homeMade } from '../needs/homeMade';
import { purchases } from './shopping';
import { type Missing, propose } from './propose';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [, dusk] = outings as [Outing, Outing];
const missing = (needId: Missing['needId'], own: Partial<Missing>, ...some: KindId[]): Missing => ({
  needId,
  level: 'must',
  unmet: 'mind',
  different: 1,
  would: some.map((kind) => ({ kind, asked: [], sort: null, pieces: 1 })),
  putRight: [],
  ...own,
});
const lure = missing('lures', {}, 'lure-box', 'fly-box');
const jacket = missing('buoyancy', { unmet: 'stop' }, 'foam-jacket', 'inflatable-jacket');
const licence = missing('licence', { level: 'law' }, 'licence');

describe('the order of purchase', () => {
  it('puts what life hangs on before law, law before tackle, the cheapest sound way of each', () => {
    expect(purchases([lure, licence, jacket], null).map((one) => one.kind)).toEqual([
      'foam-jacket',
      'licence',
      'fly-box',
    ]);
  });
  it('puts what keeps one well before what catches fish, and both after the law', () => {
    const heat = missing('heat', { level: 'should' }, 'electrolyte');
    expect(purchases([lure, heat, licence], null).map(({ needIds }) => needIds[0])).toEqual([
      'licence',
      'heat',
      'lures',
    ]);
    expect(purchases([lure, heat], kinds.electrolyte.usualEuro).map(({ within }) => within)).toEqual([
      true,
      false,
    ]);
  });
  it('passes over what is too dear, says so, and goes on to the next', () => {
    const price = kinds['foam-jacket'].usualEuro;
    const within = (budget: number) => purchases([lure, jacket], budget).map((one) => one.within);
    expect(within(price - 1)).toEqual([false, true]);
    expect(within(price)).toEqual([true, false]);
    expect(within(0)).toEqual([false, false]);
    expect(within(price + 1000)).toEqual([true, true]);
    expect(purchases([lure, jacket], null).map(({ vital }) => vital)).toEqual([true, false]);
  });
  it('buys once what settles two needs', () => {
    const board = missing('call-for-help', { unmet: 'stop' }, 'satellite-messenger');
    const signal = missing('distress-signal', {}, 'satellite-messenger');
    expect(purchases([signal, board], null)).toMatchObject([
      { needIds: ['call-for-help', 'distress-signal'] },
    ]);
  });
  it('buys as many as settle it, and two of different kinds where one alone will not do', () => {
    const lights = missing('be-seen-night', { different: 2 }, 'headlamp', 'mast-light', 'deck-lantern');
    expect(new Set(purchases([lights], null).map((one) => one.kind)).size).toBe(2);
    const thirst = missing('water', {}, 'water-bottle', 'frozen-bottle');
    expect(purchases([thirst], null)[0]?.kind, 'made for it, though ice is cheaper').toBe('water-bottle');
    const bottles = {
      ...missing('water', {}),
      would: [{ kind: 'water-bottle' as const, asked: [], sort: null, pieces: 3 }],
    };
    expect(purchases([bottles], null)[0]?.euro).toBe(3 * kinds['water-bottle'].usualEuro);
  });
  it('buys the spare paddle beside the first, and ice beside the water', () => {
    const both = [
      missing('propulsion', { unmet: 'stop' }, 'paddle'),
      missing('second-propulsion', { unmet: 'stop' }, 'paddle'),
    ];
    expect(purchases(both, null).map((one) => one.needIds)).toEqual([['propulsion'], ['second-propulsion']]);
    const cold = [missing('ice', {}, 'frozen-bottle'), missing('water', {}, 'frozen-bottle')];
    expect(purchases(cold, null)).toHaveLength(2);
  });
  it('makes nothing at home that keeps one alive', () => {
    for (const id of [
      'buoyancy',
      'call-for-help',
      'cut-hook',
      'immersion-clothing',
      'be-seen-night',
    ] as const)
      expect(homeMade[id]).toBeUndefined();
  });
});

describe('a proposal', () => {
  const proposal = propose(dusk, references, noAnswers, now);
  it('says of each owned thing that could serve why it stays ashore', () => {
    const why = new Map(proposal.omitted.map((one) => [one.itemId, one.why.code]));
    expect(why.get('old-headlamp')).toBe('failed-inspection');
    expect(why.get('beacon')).toBe('out-of-date');
    const aboard = new Set([
      ...dusk.loadout.map((one) => one.itemId),
      ...proposal.add.map((one) => one.itemId),
    ]);
    expect(proposal.omitted.filter((one) => aboard.has(one.itemId))).toEqual([]);
  });
  it('takes what the angler’s own school speaks for, where it would do as well', () => {
    const jackets = (jacket: 'foam' | 'automatic inflatable') => {
      const angler = references.angler && {
        ...references.angler,
        schools: { ...references.angler.schools, jacket },
      };
      return propose(dusk, { ...references, angler }, noAnswers, now).add.map((one) => one.itemId);
    };
    expect(jackets('foam')).toContain('foam-jacket');
    expect(jackets('automatic inflatable')).toContain('auto-jacket');
  });
  it('names what would meet a need here, not elsewhere, and what is owned and wants putting right', () => {
    const items = references.items.map((item) =>
      kinds[item.kind].means.some((id) => id === 'immersion-clothing' || id === 'land-fish')
        ? { ...item, condition: 'under repair' as const }
        : item,
    );
    const icy = (one: Outing): Outing => ({ ...one, conditions: { ...one.conditions, waterC: 5 } });
    const gaps = propose(icy(dusk), { ...references, items }, noAnswers, now).missing;
    const gap = (id: Missing['needId']) => gaps.find((one) => one.needId === id);
    expect(gap('immersion-clothing')?.would.map((one) => one.kind)).toContain('drysuit');
    expect(gap('immersion-clothing')?.would.map((one) => one.kind)).not.toContain('wetsuit');
    expect(gap('immersion-clothing')?.putRight).toEqual([{ name: 'Drysuit', why: { code: 'under-repair' } }]);
    expect(gap('land-fish')?.would.map((one) => one.kind)).toContain('net');
    expect(gap('land-fish')?.would.map((one) => one.kind)).not.toContain('gaff');
  });
  it('counts the tackle it comes to against the angler’s measure', () => {
    expect(proposal.tackle.budget).toEqual({ rods: 2, boxes: 2, massKg: 4 });
    expect(proposal.tackle.have.rods).toBe(1);
  });
});
