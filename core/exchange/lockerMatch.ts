import { attributeIds } from '../catalog/gear/attributes';
import type { Item } from '../documents/item';
import type { Mapping } from './lockerCsv';
import type { LockerColumn } from './lockerColumns';

/** What a file says of a locker that holds some of it already, each by its kind and name. */
export interface Matched {
  /** Not in the locker yet. */
  fresh: Item[];
  /**
   * In the locker, and otherwise than the file says: as the file would have it, under the locker's own id.
   */
  changed: Item[];
  /** In the locker just so. */
  same: number;
}

/** The fields that a column fills; attributes have a column each. */
const fieldOf: Partial<Record<LockerColumn, keyof Item>> = {
  name: 'name',
  quantity: 'quantity',
  massKg: 'massKg',
  condition: 'condition',
  expiresOn: 'expiresOn',
  always: 'always',
  stays: 'stays',
  qualities: 'qualities',
  livesIn: 'containerId',
  runsOn: 'poweredById',
  lengthCm: 'sizeM',
  widthCm: 'sizeM',
  heightCm: 'sizeM',
  cost: 'cost',
  boughtOn: 'boughtOn',
  servicedOn: 'servicedOn',
  note: 'note',
};

/**
 * Parts what was read from a file into what is new, what differs from a thing of the same kind and name in
 * the locker, and what is the same. Columns that the file has not keep what the locker says. Several of one
 * name are taken in their order.
 */
export function matchOwned(read: readonly Item[], owned: readonly Item[], mapping: Mapping): Matched {
  const key = ({ kind, name }: Item) => `${kind} ${name.trim().toLowerCase()}`;
  const waiting = new Map<string, Item[]>();
  for (const item of owned) waiting.set(key(item), [...(waiting.get(key(item)) ?? []), item]);
  const pairs = read.map((item) => ({ item, own: waiting.get(key(item))?.shift() ?? null }));
  const ownId = new Map(pairs.flatMap(({ item, own }) => (own ? [[item.id, own.id]] : [])));
  const linked = (id: string | null) => (id === null ? null : (ownId.get(id) ?? id));
  const columns = new Set(mapping.filter((column) => column !== null));
  const fields = new Set([...columns].flatMap((column) => fieldOf[column] ?? []));
  const matched: Matched = { fresh: [], changed: [], same: 0 };
  for (const { item, own } of pairs) {
    const told = { ...item, containerId: linked(item.containerId), poweredById: linked(item.poweredById) };
    if (!own) {
      matched.fresh.push(told);
      continue;
    }
    const merged: Item = {
      ...own,
      ...Object.fromEntries([...fields].map((field) => [field, told[field]])),
      attributes: Object.fromEntries(
        attributeIds.flatMap((id) => {
          const value = (columns.has(id) ? told : own).attributes[id];
          return value === undefined ? [] : [[id, value]];
        }),
      ),
    };
    if (sameItem(own, merged)) matched.same += 1;
    else matched.changed.push(merged);
  }
  return matched;
}

function sameItem(a: Item, b: Item): boolean {
  return (
    Object.values(fieldOf).every((field) =>
      field === 'qualities'
        ? a.qualities.toSorted().join() === b.qualities.toSorted().join()
        : JSON.stringify(a[field]) === JSON.stringify(b[field]),
    ) && attributeIds.every((id) => a.attributes[id] === b.attributes[id])
  );
}
