import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { kindIds } from '../catalog/gear/kinds';
import { newItem } from '../editing/newItem';
import { readLockerCsv, writeLockerCsv } from './lockerCsv';

const { items } = demo(Date.parse('2026-05-15T19:00:00Z')).references;
const id = (i: number) => `item-${i}`;

describe('the locker as CSV', () => {
  const moved = (old: string | null) =>
    old === null ? null : id(items.findIndex((item) => item.id === old));
  it('comes back as it was, where things live and what they run on too', () => {
    const result = readLockerCsv(writeLockerCsv(items), id);
    expect(result).toEqual({
      taken: true,
      troubles: [],
      value: items.map((item, i) => ({
        ...item,
        id: id(i),
        containerId: moved(item.containerId),
        poweredById: moved(item.poweredById),
      })),
    });
  });
  it('never lets a cell run as a formula, whatever a thing is called', () => {
    const name = fc
      .string({ minLength: 1, maxLength: 40 })
      .filter((text) => text.trim() !== '' && text === text.trim() && /^[ -~]+$/.test(text));
    fc.assert(
      fc.property(
        fc.oneof(
          name,
          name.map((text) => `=${text}`),
          name.map((text) => `@${text}`),
        ),
        fc.constantFrom(...kindIds),
        (text, kind) => {
          const csv = writeLockerCsv([newItem('a', kind, { name: text.slice(0, 80) })]);
          const cell = csv.split('\r\n')[1] ?? '';
          expect(cell.replace(/^"/, '')).not.toMatch(/^[=+\-@\t\r]/);
          const back = readLockerCsv(csv, id);
          expect(back.taken && back.value[0]?.name).toBe(text.slice(0, 80));
        },
      ),
    );
  });
  it('takes the good lines of three hundred and tells the three bad ones by line', () => {
    const lines = Array.from({ length: 300 }, (_, i) => {
      if (i === 10) return `Thing ${i},submarine,1,1`;
      if (i === 20) return `Thing ${i},whistle,1,heavy`;
      if (i === 30) return `Thing ${i},whistle,0,0.02`;
      return `Thing ${i},${i % 2 ? 'whistle' : 'Hand pump'},${(i % 4) + 1},"0,4"`;
    });
    const result = readLockerCsv(['Name,Kind,Quantity,MassKg', ...lines].join('\n'), id);
    if (!result.taken) throw new Error(result.why);
    expect(result.value).toHaveLength(297);
    expect(result.value[0]).toMatchObject({ name: 'Thing 0', kind: 'pump', massKg: 0.4, quantity: 1 });
    expect(result.troubles).toEqual([
      'Line 12: "submarine" is no kind of gear. Left out.',
      'Line 22: mass of one, kg: A number from 0 to 120 kg. Left out.',
      '1 line says that there is none of it. Left out.',
    ]);
  });
  it.each(['', 'name\nx', 'name,colour\nx,red', 'name,kind\nx,nothing'])(
    'refuses %j with a sentence',
    (text) => {
      expect(readLockerCsv(text, id)).toEqual({ taken: false, why: expect.stringMatching(/\.$/) });
    },
  );
  it('leaves columns alone that it does not know, and says so', () => {
    const result = readLockerCsv('name,kind,colour\nPea whistle,whistle,red', id);
    expect(result).toMatchObject({ taken: true, troubles: ['The column "colour" was left alone.'] });
  });
  it('reads a file whose lines end in more than one way, and names the column of a figure that is none', () => {
    const csv =
      'name,kind,quantity,lengthM\r\nLine,throw-line,1,15\nRope,bow-line,1,long\rWhistle,whistle,0,\r\n';
    const read = readLockerCsv(csv, (i) => `id-${i}`);
    expect(read.taken && read.value.map((one) => one.name)).toEqual(['Line']);
    const told = read.taken ? read.troubles : [];
    expect(told).toContain('Line 3: length, m: A number from 0 to 100000 m. Left out.');
    expect(told).toContain('1 line says that there is none of it. Left out.');
  });
});
