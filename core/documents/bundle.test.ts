import { forms } from './forms';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import {
  type CarriedDocument,
  type KeptHere,
  choiceOf,
  compared,
  isTakeable,
  isTakenByItself,
} from './bundle';
import sample from './samples/form-1.json';

const { references } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [item, other] = references.items;
if (!item || !other || !references.angler) throw new Error('The demo data has no things.');
const { angler } = references;

const early = '2026-05-01T10:00:00.000Z';
const late = '2026-05-10T10:00:00.000Z';
const carried = (doc: unknown, version = 1, updatedAt = early): CarriedDocument => ({
  version,
  updatedAt,
  doc,
});
const here = (doc: { id: string }, more: Partial<KeptHere> = {}) =>
  [doc.id, { version: 1, updatedAt: early, deleted: false, doc, ...more }] as const;
const one = (theirs: CarriedDocument, ours: ReturnType<typeof here>[] = []) =>
  compared('items', [theirs], new Map(ours))[0];

describe('a bundle held against what is here', () => {
  it('has what is new, also where it was deleted here', () => {
    expect(one(carried(item))).toMatchObject({ is: 'new', here: null, name: item.name, doc: item });
    expect(one(carried(item), [here(item, { deleted: true, version: 4 })])).toMatchObject({
      is: 'new',
      here: null,
    });
  });
  it('has what is the same, whatever its version, its hours and the order of its fields', () => {
    const turned = Object.fromEntries(Object.entries(item).reverse());
    expect(one(carried(turned, 9, late), [here(item)])).toMatchObject({ is: 'same', here: 1 });
  });
  it('has what was changed there later, and what was changed here', () => {
    const theirs = { ...item, note: 'changed there' };
    expect(one(carried(theirs, 2, late), [here(item)])).toMatchObject({ is: 'changed', here: 1 });
    expect(one(carried(theirs, 1, early), [here(item, { version: 3, updatedAt: late })])).toMatchObject({
      is: 'clash',
      here: 3,
    });
    // Later there, and changed more often here: nobody can say which is meant.
    expect(one(carried(theirs, 2, late), [here(item, { version: 3 })])).toMatchObject({ is: 'clash' });
  });
  it('reads an older form as today’s', () => {
    expect(one(carried(sample['item/1']))).toMatchObject({ is: 'new', doc: { format: forms.items } });
  });
  it('says of what cannot be read why, and what a newer program made', () => {
    const bad = one(carried({ ...item, massKg: 'much' }));
    expect(bad).toMatchObject({ is: 'unreadable', doc: null, name: item.name });
    expect(bad?.why).toMatch(/It cannot be read. massKg: /);
    expect(one(carried({ ...item, format: 'item/99', shape: 'new' }))).toMatchObject({
      is: 'newer',
      doc: null,
    });
    for (const nothing of [null, 7, 'text', []])
      expect(one(carried(nothing))).toMatchObject({ is: 'unreadable' });
  });
  it('holds the one profile of a house against the one here, whatever each is called', () => {
    const theirs = { ...angler, id: 'somebody', name: 'Another Name' };
    const [found] = compared('anglers', [carried(theirs, 5, late)], new Map([here(angler)]));
    expect(found).toMatchObject({
      id: angler.id,
      is: 'changed',
      doc: { id: angler.id, name: 'Another Name' },
    });
    expect(compared('anglers', [carried(theirs)], new Map())[0]).toMatchObject({ id: 'somebody', is: 'new' });
  });
  it('brings in by itself only what nobody here can lose', () => {
    const by = (is: Parameters<typeof isTakeable>[0]['is']) => [isTakenByItself({ is }), isTakeable({ is })];
    expect(by('new')).toEqual([true, true]);
    expect(by('changed')).toEqual([true, true]);
    expect(by('clash')).toEqual([false, true]);
    for (const is of ['same', 'unreadable', 'newer'] as const) expect(by(is)).toEqual([false, false]);
    expect(choiceOf({ kind: 'items', id: 'a' })).toBe('items/a');
  });
});
