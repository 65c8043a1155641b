import fc from 'fast-check';
import { expect, test } from 'vitest';
import { placeNames } from './names';

const room = { widthPx: 844, middleY: 100, rows: 3 };
const someNames = fc.array(
  fc.record({
    x: fc.integer({ min: 20, max: 820 }),
    y: fc.integer({ min: 0, max: 200 }),
    widthPx: fc.integer({ min: 20, max: 130 }),
  }),
  { maxLength: 40 },
);
const numbered = (list: readonly { x: number; y: number; widthPx: number }[]) =>
  list.map((one, i) => ({ id: String(i), ...one }));

test('no name covers another, and none stands outside', () => {
  fc.assert(
    fc.property(someNames, (list) => {
      const asked = numbered(list);
      const places = placeNames(asked, room);
      const wide = (id: string) => asked[Number(id)]?.widthPx ?? 0;
      for (const one of places) {
        expect(one.leftPx).toBeGreaterThanOrEqual(0);
        expect(one.leftPx + wide(one.id)).toBeLessThanOrEqual(room.widthPx);
        for (const other of places) {
          if (other.id === one.id || other.side !== one.side) continue;
          const [from, to] = [other.leftPx, other.leftPx + wide(other.id)];
          if (other.row === one.row) expect(one.leftPx + wide(one.id) <= from || one.leftPx >= to).toBe(true);
        }
      }
    }),
  );
});

test('as many things as a full boat shows are all named', () => {
  // Things along both sides, with names as long as usual ones.
  const asked = numbered(
    Array.from({ length: 36 }, (_, i) => ({
      x: 40 + ((i * 53) % 780),
      y: i % 2 === 0 ? 60 : 140,
      widthPx: 60 + ((i * 17) % 40),
    })),
  );
  expect(placeNames(asked, { ...room, rows: 4 })).toHaveLength(36);
});

test('where there is room, no line passes behind a name', () => {
  const asked = numbered([100, 150, 200, 250].map((x) => ({ x, y: 50, widthPx: 120 })));
  const places = placeNames(asked, room);
  expect(places).toHaveLength(4);
  for (const one of places)
    for (const inner of places.filter(({ row }) => row < one.row)) {
      const thing = asked[Number(one.id)]?.x ?? 0;
      const [from, to] = [inner.leftPx, inner.leftPx + 120];
      expect(Math.max(one.lineXPx, thing) < from || Math.min(one.lineXPx, thing) > to).toBe(true);
    }
});

test('a name that finds no room is left out', () => {
  const crowd = numbered(Array.from({ length: 12 }, () => ({ x: 60, y: 20, widthPx: 100 })));
  const placed = placeNames(crowd, { widthPx: 120, middleY: 100, rows: 2 });
  expect(placed.length).toBeGreaterThan(0);
  expect(placed.length).toBeLessThan(12);
});
