import { type KindId, kinds } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import type { Versioned } from '../documents/kept';
import { newItem } from './newItem';

/** Most of one kind that a press may come to. */
export const MOST_OF_A_KIND = 500;

/** How many of each kind are owned. */
export function countOwned(items: readonly Item[]): ReadonlyMap<KindId, number> {
  const counts = new Map<KindId, number>();
  for (const { kind, quantity } of items) counts.set(kind, (counts.get(kind) ?? 0) + quantity);
  return counts;
}

/** Writes to the locker that make it so. */
export interface OwnedChange {
  create: Item[];
  change: { version: number; doc: Item }[];
  remove: { id: string; version: number }[];
}

/**
 * What has to be written so that so many of each kind are owned: more go to the thing of that kind that has
 * its kind's own name, fewer are taken from the last of them; what has a name of its own keeps its figures. A
 * kind of which none is owned comes with its usual figures.
 */
export function toOwn(
  wanted: ReadonlyMap<KindId, number>,
  kept: readonly Versioned<Item>[],
  newId: () => string,
): OwnedChange {
  const change: OwnedChange = { create: [], change: [], remove: [] };
  for (const [kind, count] of wanted) {
    const own = kept.filter(({ doc }) => doc.kind === kind);
    const have = own.reduce((sum, { doc }) => sum + doc.quantity, 0);
    const want = Math.max(0, Math.min(MOST_OF_A_KIND, Math.round(count)));
    if (want > have) {
      const plain = own.find(({ doc }) => doc.name === kinds[kind].name) ?? own[0];
      if (plain)
        change.change.push({
          version: plain.version,
          doc: { ...plain.doc, quantity: plain.doc.quantity + want - have },
        });
      else change.create.push(newItem(newId(), kind, { quantity: want }));
    }
    let over = have - want;
    for (const one of own.toReversed()) {
      if (over <= 0) break;
      const taken = Math.min(over, one.doc.quantity);
      over -= taken;
      if (taken === one.doc.quantity) change.remove.push({ id: one.doc.id, version: one.version });
      else
        change.change.push({ version: one.version, doc: { ...one.doc, quantity: one.doc.quantity - taken } });
    }
  }
  return change;
}
