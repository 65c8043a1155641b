import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { kinds } from '../gear/kinds';
import type { Outing } from '../outing/outing';
import { noAnswers } from '../walkround/answers';
import { homeMade, purchases } from './shopping';
import { type Missing, propose } from './propose';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [, dusk] = outings as [Outing, Outing];
const lure: Missing = { needId: 'lures', level: 'must', grave: false, kinds: ['lure-box', 'fly-box'] };
const jacket: Missing = { needId: 'buoyancy', level: 'must', grave: true, kinds: ['foam-jacket', 'inflatable-jacket'] };
const licence: Missing = { needId: 'licence', level: 'law', grave: false, kinds: ['licence'] };

describe('the order of purchase', () => {
  it('puts what life hangs on before law, law before tackle, the cheapest sound way of each', () => {
    expect(purchases([lure, licence, jacket], null).map((one) => one.kind)).toEqual([
      'foam-jacket',
      'licence',
      'fly-box',
    ]);
  });
  it('never gives up the first for the later: what does not fit is said, not skipped', () => {
    const price = kinds['foam-jacket'].usualEuro;
    const list = purchases([lure, jacket], price - 1);
    expect(list.map((one) => one.within)).toEqual([false, false]);
    expect(purchases([lure, jacket], price).map((one) => one.within)).toEqual([true, false]);
    expect(purchases([lure, jacket], price + 1000).every((one) => one.within)).toBe(true);
  });
  it('buys once what settles two needs', () => {
    const board: Missing = { needId: 'call-for-help', level: 'must', grave: true, kinds: ['satellite-messenger'] };
    const signal: Missing = { ...board, needId: 'distress-signal', grave: false };
    expect(purchases([signal, board], null)).toMatchObject([{ needIds: ['call-for-help', 'distress-signal'] }]);
  });
  it('makes nothing at home that keeps one alive', () => {
    for (const id of ['buoyancy', 'call-for-help', 'cut-hook', 'immersion-clothing', 'be-seen-night'] as const)
      expect(homeMade[id]).toBeUndefined();
  });
});

describe('a proposal', () => {
  const proposal = propose(dusk, references, noAnswers, now);
  it('says of each owned thing that could serve why it stays ashore', () => {
    const why = new Map(proposal.omitted.map((one) => [one.itemId, one.why.code]));
    expect(why.get('old-headlamp')).toBe('failed-inspection');
    expect(why.get('beacon')).toBe('out-of-date');
    const aboard = new Set([...dusk.loadout.map((one) => one.itemId), ...proposal.add.map((one) => one.itemId)]);
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
  it('counts the tackle it comes to against the angler’s measure', () => {
    expect(proposal.tackle.budget).toEqual({ rods: 2, boxes: 2, massKg: 4 });
    expect(proposal.tackle.have.rods).toBe(1);
  });
});
