import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../scripts/testRuns';
import { demo } from '../demo/demo';
import { newItem } from '../editing/newItem';
import type { Item } from '../documents/item';
import { lockerCsvHeader, readLockerCsv, writeLockerCsv } from './lockerCsv';
import { matchOwned } from './lockerMatch';

const { items } = demo(Date.parse('2026-05-15T19:00:00Z')).references;

function matchCsv(csv: string, owned: readonly Item[]) {
  const head = lockerCsvHeader(csv);
  const read = readLockerCsv(csv, (i) => `read-${i}`, { owned });
  if (!head.taken || !read.taken) throw new Error('The file was refused.');
  return matchOwned(read.value, owned, head.value.guess);
}

describe('a file read into a locker that holds some of it', () => {
  it('finds the whole demo locker, written out, the same', () => {
    expect(matchCsv(writeLockerCsv(items), items)).toEqual({ fresh: [], changed: [], same: items.length });
  });
  it('finds just what was changed in a spreadsheet, under its own id, with all the file cannot say', () => {
    const photographed = items.map((item, i) =>
      i === 3 ? { ...item, photo: 'data:image/webp;base64,AA' } : item,
    );
    const [, , , whistle] = photographed;
    if (!whistle) throw new Error('No fourth thing.');
    const edited = photographed.map((item) => (item.id === whistle.id ? { ...item, massKg: 0.031 } : item));
    const { fresh, changed, same } = matchCsv(writeLockerCsv(edited), photographed);
    expect([fresh.length, same]).toEqual([0, items.length - 1]);
    expect(changed).toEqual([{ ...whistle, massKg: 0.031 }]);
  });
  it('keeps what the file has no column for', () => {
    const own = newItem('own', 'anchor', {
      name: 'Claw',
      massKg: 2.4,
      note: 'by the door',
      attributes: { rodeM: 30 },
    });
    const { changed } = matchCsv('name,kind,quantity\nclaw,Anchor,2\n', [own]);
    expect(changed).toEqual([{ ...own, name: 'claw', quantity: 2 }]);
  });
  it('points what is new at the container that is owned already', () => {
    const crate = newItem('crate', 'crate', { name: 'Crate' });
    const csv = 'name,kind,livesIn\nCrate,crate,\nWhistle,whistle,Crate\n';
    const { fresh, same } = matchCsv(csv, [crate]);
    expect([same, fresh.map((one) => one.containerId)]).toEqual([1, ['crate']]);
  });
  it('takes several of one name in their order, and the one too many as new', () => {
    const two = ['a', 'b'].map((id) => newItem(id, 'whistle', { name: 'Whistle' }));
    const csv = 'name,kind,quantity\nWhistle,whistle,1\nWhistle,whistle,4\nWhistle,whistle,1\n';
    const { fresh, changed, same } = matchCsv(csv, two);
    expect([fresh.length, changed.map((one) => one.id), same]).toEqual([1, ['b'], 1]);
  });
  it('loses and doubles nothing: each line is new, changed or the same', () => {
    fc.assert(
      fc.property(
        fc.array(fc.nat(items.length - 1), { minLength: 1, maxLength: 40 }),
        fc.nat(items.length),
        (at, cut) => {
          const lines = at.flatMap((i) => items[i] ?? []);
          const { fresh, changed, same } = matchCsv(writeLockerCsv(lines), items.slice(cut));
          expect(fresh.length + changed.length + same).toBe(lines.length);
          expect(new Set(changed.map((one) => one.id)).size).toBe(changed.length);
        },
      ),
      runs(40),
    );
  });
});
