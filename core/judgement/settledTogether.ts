import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import type { Repair } from '../editing/repair';
import type { Finding } from './finding';

type Adding = Extract<Repair, { do: 'add-items' }>;
/** What adding a few owned things settles together. */
export interface SettledTogether {
  findings: readonly Finding[];
  repair: Adding;
}

/**
 * Stops and Minds that stand open and are settled by adding owned things, with all of those in one step;
 * null: fewer than two.
 */
export function settledByAdding(findings: readonly Finding[]): SettledTogether | null {
  const settled: Finding[] = [];
  const items = new Map<string, Adding['items'][number]>();
  for (const finding of findings) {
    const [first] = finding.repairs;
    if (finding.accepted !== null || finding.level === 'note' || first?.do !== 'add-items') continue;
    settled.push(finding);
    // One thing may settle several: as many of it come as the one that wants most.
    for (const one of first.items)
      if ((items.get(one.itemId)?.quantity ?? 0) < one.quantity) items.set(one.itemId, one);
  }
  return settled.length < 2
    ? null
    : { findings: settled, repair: { do: 'add-items', items: [...items.values()] } };
}

/** Whether anything was put aboard beside what goes on every outing. */
export function isKitBegun({ loadout }: Pick<Outing, 'loadout'>, items: ReadonlyMap<string, Item>): boolean {
  return loadout.some(({ itemId }) => items.get(itemId)?.always === false);
}
