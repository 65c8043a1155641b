import type { Aboard } from '../documents/references';
import type { Shortfall } from './need';

/** The container that a thing aboard lies in; null: it lies by itself, or its container stays ashore. */
export function containerOf({ item, entry }: Aboard, aboardIds: ReadonlySet<string>): string | null {
  return !entry.outsideContainer && item.containerId !== null && aboardIds.has(item.containerId)
    ? item.containerId
    : null;
}

/**
 * Why one thing does not count beside another as an independent means of one need; null: both count. Independent are different
 * sorts, where the need asks for that, not in one container, and not on one battery.
 */
export function clashOf(
  one: Aboard,
  other: Aboard,
  { sortOf, aboardIds }: { sortOf: (item: Aboard['item']) => string | null; aboardIds: ReadonlySet<string> },
): Shortfall | null {
  const sort = sortOf(one.item);
  if (sort !== null && sort === sortOf(other.item)) return { code: 'same-kind' };
  const box = containerOf(one, aboardIds);
  if (box !== null && box === containerOf(other, aboardIds))
    return { code: 'same-container', withItem: other.item.name };
  if (one.item.poweredById !== null && one.item.poweredById === other.item.poweredById)
    return { code: 'same-battery', withItem: other.item.name };
  return null;
}
