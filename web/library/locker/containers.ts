import { kinds } from '#core/catalog/gear/kinds';
import type { Item } from '#core/documents/item';

/** What other things can live in: storage, cold stores and crates, and whatever already holds something. */
export function containersAmong(
  items: readonly Item[],
  without: readonly string[],
  current: string | null,
): Item[] {
  const holding = new Set(items.flatMap((item) => item.containerId ?? []));
  return items.filter(
    (item) =>
      !without.includes(item.id) &&
      (kinds[item.kind].aside === 'storage' ||
        kinds[item.kind].means.includes('cold-store') ||
        holding.has(item.id) ||
        item.id === current),
  );
}
