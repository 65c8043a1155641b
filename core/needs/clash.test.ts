import { describe, expect, it } from 'vitest';
import type { Aboard, Lies } from '../documents/references';
import { newItem } from '../editing/newItem';
import { clashOf, containerOf, shareBox, shareRoom } from './clash';

const lies = (part: Partial<Lies>): Lies => ({
  in: 'zone',
  id: 'well',
  place: 'in the well',
  boxes: [],
  compartment: null,
  reach: 'hand',
  moves: [],
  dry: 'open',
  held: true,
  worn: false,
  state: null,
  ...part,
});
const aboard = (id: string, more: Partial<Aboard['item']> = {}, where?: Lies): Aboard => ({
  item: newItem(id, 'whistle', more),
  entry: { itemId: id, quantity: 1, outsideContainer: false, carriedBy: null },
  ...(where ? { lies: where } : {}),
});
const box = (id: string) => ({ id, name: id });
const ids = new Set(['bag', 'a', 'b']);
const looking = {
  sortOf: ({ id }: Aboard['item']) => (id.startsWith('same') ? 'one sort' : id),
  aboardIds: ids,
};

describe('two means of one need', () => {
  it('count both where nothing is shared', () => {
    expect(clashOf(aboard('a'), aboard('b'), looking)).toBeNull();
  });
  it.each<[string, Aboard, Aboard, string]>([
    ['of one sort', aboard('same-1'), aboard('same-2'), 'same-kind'],
    [
      'that live in one container aboard',
      aboard('a', { containerId: 'bag' }),
      aboard('b', { containerId: 'bag' }),
      'same-container',
    ],
    [
      'behind one lid',
      aboard('a', {}, lies({ compartment: 'hatch' })),
      aboard('b', {}, lies({ compartment: 'hatch' })),
      'same-container',
    ],
    [
      'one in a box in the other’s box',
      aboard('a', {}, lies({ boxes: [box('tray'), box('crate')] })),
      aboard('b', {}, lies({ boxes: [box('crate')] })),
      'same-container',
    ],
    [
      'on one battery',
      aboard('a', { poweredById: 'cell' }),
      aboard('b', { poweredById: 'cell' }),
      'same-battery',
    ],
  ])('count once %s', (_, one, other, code) => {
    expect(clashOf(one, other, looking)?.code).toBe(code);
    expect(clashOf(other, one, looking)?.code).toBe(code);
  });
  it.each<[string, Aboard, Aboard]>([
    [
      'whose container stays ashore',
      aboard('a', { containerId: 'gone' }),
      aboard('b', { containerId: 'gone' }),
    ],
    ['in the same open place', aboard('a', {}, lies({})), aboard('b', {}, lies({}))],
    [
      'in two boxes of one crate, by the nearest box',
      aboard('a', {}, lies({ boxes: [box('x')] })),
      aboard('b', {}, lies({ boxes: [box('y')] })),
    ],
  ])('count both %s', (_, one, other) => {
    expect(clashOf(one, other, looking)).toBeNull();
  });
  it('share a box only by the nearest one; a room by any', () => {
    const inTray = aboard('a', {}, lies({ boxes: [box('tray'), box('crate')] }));
    const inCrate = aboard('b', {}, lies({ boxes: [box('crate')] }));
    expect([shareBox(inTray, inCrate, ids), shareRoom(inTray, inCrate, ids)]).toEqual([false, true]);
  });
  it('carried outside its container, a thing is in none', () => {
    const one = aboard('a', { containerId: 'bag' });
    expect(containerOf(one, ids)).toBe('bag');
    expect(containerOf({ ...one, entry: { ...one.entry, outsideContainer: true } }, ids)).toBeNull();
  });
});
