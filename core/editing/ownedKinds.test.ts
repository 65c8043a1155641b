import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { firstKit, families } from '../catalog/gear/families';
import { type KindId, kindIds } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import { itemSchema } from '../documents/item';
import type { Versioned } from '../documents/kept';
import { countOwned, toOwn } from './ownedKinds';
import { newItem } from './newItem';

const kept = (...docs: Item[]): Versioned<Item>[] =>
  docs.map((doc) => ({ version: 1, doc }) as Versioned<Item>);
let n = 0;
const id = () => `new-${(n += 1)}`;
/** The locker after what was to be written has been. */
function after(list: readonly Versioned<Item>[], wanted: ReadonlyMap<KindId, number>): Item[] {
  const { create, change, remove } = toOwn(wanted, list, id);
  const gone = new Set(remove.map((one) => one.id));
  const changed = new Map(change.map(({ doc }) => [doc.id, doc]));
  return [
    ...list.filter(({ doc }) => !gone.has(doc.id)).map(({ doc }) => changed.get(doc.id) ?? doc),
    ...create,
  ];
}

describe('ticking what is owned', () => {
  it('puts a kind into the locker with its usual figures, one more when pressed again, none when taken off', () => {
    const one = after([], new Map([['net', 1]]));
    expect(one).toHaveLength(1);
    expect(one[0]).toMatchObject({ kind: 'net', quantity: 1, massKg: newItem('x', 'net').massKg });
    expect(itemSchema.safeParse(one[0]).success).toBe(true);
    const two = after(kept(...one), new Map([['net', 2]]));
    expect(two).toMatchObject([{ kind: 'net', quantity: 2 }]);
    expect(after(kept(...two), new Map([['net', 0]]))).toEqual([]);
  });
  it('leaves what has a name of its own as it is, and takes fewer from the last', () => {
    const long = newItem('long', 'net', { name: 'The long net', massKg: 2 });
    const usual = newItem('usual', 'net', { quantity: 2 });
    expect(after(kept(long, usual), new Map([['net', 4]]))).toMatchObject([
      { id: 'long', quantity: 1, massKg: 2 },
      { id: 'usual', quantity: 3 },
    ]);
    expect(after(kept(long, usual), new Map([['net', 1]]))).toMatchObject([{ id: 'long', quantity: 1 }]);
  });
  it('comes to as many as are wanted, whatever is owned before, and touches nothing else', () => {
    const kind = fc.constantFrom<KindId>('net', 'whistle', 'hook-packet');
    const thing = fc.record({ kind, quantity: fc.integer({ min: 1, max: 9 }), own: fc.boolean() });
    fc.assert(
      fc.property(
        fc.array(thing, { maxLength: 8 }),
        kind,
        fc.integer({ min: 0, max: 20 }),
        (things, wanted, many) => {
          const before = things.map((one, i) =>
            newItem(`i${i}`, one.kind, { quantity: one.quantity, ...(one.own ? { name: `Mine ${i}` } : {}) }),
          );
          const done = after(kept(...before), new Map([[wanted, many]]));
          expect(countOwned(done).get(wanted) ?? 0).toBe(many);
          const others = (list: readonly Item[]) => list.filter((one) => one.kind !== wanted);
          expect(others(done)).toEqual(others(before));
        },
      ),
    );
  });
});

describe('the families of gear', () => {
  it('hold every kind once, and a first kit of kinds that there are', () => {
    expect(families.flatMap((family) => family.kinds).toSorted()).toEqual([...kindIds].toSorted());
    expect(firstKit.every((kind) => kindIds.includes(kind))).toBe(true);
    expect(new Set(firstKit).size).toBe(firstKit.length);
  });
});
