import { forms } from '../documents/forms';
import type { Item } from '../documents/item';
import { type KindId, kinds } from '../catalog/gear/kinds';

/** An item of a kind with that kind's usual figures, to be corrected by whoever owns it. */
export function newItem(id: string, kind: KindId, own: Partial<Item> = {}): Item {
  const { name, massKg, attributes, qualities } = kinds[kind];
  return {
    format: forms.items,
    id,
    name,
    kind,
    quantity: 1,
    massKg,
    attributes: { ...attributes },
    qualities: [...qualities],
    condition: 'good',
    expiresOn: null,
    sizeM: null,
    cost: null,
    boughtOn: null,
    servicedOn: null,
    photo: null,
    containerId: null,
    poweredById: null,
    always: false,
    stays: '',
    note: '',
    ...own,
  };
}
