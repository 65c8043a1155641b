import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { alwaysAboard } from '../editing/edit';
import type { Outing } from '../documents/outing';
import { applyRepair } from '../editing/repair';
import { noAnswers } from '../walkround/answers';
import { assess } from './assess';
import { sayLift } from './finding';
import { isKitBegun, settledByAdding } from './settledTogether';

const now = Date.parse('2026-05-15T19:00:00Z');
const { references, outings } = demo(now);
const [ready] = outings as [Outing];
const judge = (outing: Outing) => assess(outing, references, noAnswers, now);
const items = new Map(references.items.map((item) => [item.id, item]));
const empty: Outing = { ...ready, loadout: alwaysAboard(references.items), rigs: [] };

describe('what adding owned things settles together', () => {
  it('is most of what an outing without a kit is told, and is settled in one step', () => {
    const before = judge(empty);
    const together = settledByAdding(before.findings);
    expect(together?.findings.length).toBeGreaterThan(10);
    const after = judge(applyRepair(empty, together?.repair ?? { do: 'looked-again' }, now));
    const open = new Set(after.findings.map(({ key }) => key));
    const left = together?.findings.filter(({ key }) => open.has(key)) ?? [];
    expect(left.map(({ key }) => key)).toEqual([]);
    const met = (one: typeof before) => one.needs.filter((need) => need.met).length;
    expect(met(after) - met(before)).toBeGreaterThanOrEqual(together?.findings.length ?? 0);
  });
  it('is nothing where fewer than two things are open', () => {
    expect(settledByAdding([])).toBeNull();
    expect(settledByAdding(judge(empty).findings.slice(0, 1))).toBeNull();
  });
  it('names a thing once, as often as the need that wants most of it', () => {
    const together = settledByAdding(judge(empty).findings);
    const ids = together?.repair.items.map(({ itemId }) => itemId) ?? [];
    expect(new Set(ids).size).toBe(ids.length);
  });
});

describe('a kit', () => {
  it('is begun by the first thing that does not go on every outing', () => {
    expect(isKitBegun(empty, items)).toBe(false);
    expect(isKitBegun(ready, items)).toBe(true);
  });
});

describe('a Stop', () => {
  it('says how it is lifted, or that it cannot be', () => {
    for (const { findings } of outings.map(judge))
      for (const finding of findings) {
        const words = sayLift(finding);
        if (finding.level !== 'stop') expect(words).toBeNull();
        else expect(words).toMatch(/\.$/);
      }
    const stop = { level: 'stop', basis: 'law', answerable: false, repairs: [] } as never;
    expect(sayLift(stop)).toMatch(/no reason lifts it/);
  });
});
