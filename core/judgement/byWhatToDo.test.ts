import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { sayRepair } from '../editing/repair';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { byWhatToDo, namesToGet } from './byWhatToDo';

const NOW = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(NOW);
const dusk = outings.find(({ id }) => id === 'zander-dusk');
const findingsOf = (items: typeof references.items) => {
  if (!dusk) throw new Error('The demo has it.');
  const bare = { ...dusk, loadout: [], rigs: [] };
  return assess(bare, { ...references, items }, noAnswers, NOW).findings;
};

describe('findings by what one does about them', () => {
  it('has each once, Stops first and Notes last', () => {
    const findings = findingsOf(references.items);
    const { forbid, settle, get, later } = byWhatToDo(findings);
    const all = [...forbid, ...settle, ...get, ...later].map(({ key }) => key);
    expect(all.toSorted()).toEqual(findings.map(({ key }) => key).toSorted());
    expect(new Set(all).size).toBe(all.length);
    expect(forbid.length).toBeGreaterThan(0);
    expect(forbid.every(({ level }) => level === 'stop')).toBe(true);
    expect(later.every(({ level }) => level === 'note')).toBe(true);
  });
  it('offers no two ways out in the same words', () => {
    for (const { repairs } of findingsOf(references.items))
      expect(new Set(repairs.map(sayRepair)).size).toBe(repairs.length);
  });
  it('is to be got what nothing in the locker meets, by its name, and nothing that is owned', () => {
    const owned = byWhatToDo(findingsOf(references.items));
    const nothing = byWhatToDo(findingsOf([]));
    expect(nothing.get.length).toBeGreaterThan(owned.get.length);
    expect(namesToGet(nothing.get)).toHaveLength(nothing.get.length);
    expect(nothing.get.every(({ repairs, level }) => repairs.length === 0 && level === 'mind')).toBe(true);
    expect(owned.settle.some(({ facts }) => facts.code === 'need-unmet')).toBe(true);
  });
});
