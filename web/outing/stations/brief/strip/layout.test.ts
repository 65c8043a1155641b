import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layoutFor, placeNames, placeOnLevel, placeUnder } from './layout';

const edges = { left: 52, right: 340 };

describe('the names of the handles', () => {
  it('stand in one row where there is room', () => {
    const placed = placeNames(
      [
        { x: 60, text: 'Launch 05:10' },
        { x: 200, text: 'Turn 09:00' },
      ],
      edges,
    );
    expect(placed.map(({ row }) => row)).toEqual([0, 0]);
  });
  it('stand on the other side of their line where the next line would run through them', () => {
    const at = [
      { x: 60, text: 'Launch 05:10' },
      { x: 260, text: 'Turn by 06:10' },
      { x: 270, text: 'Home by 06:30' },
    ];
    expect(placeNames(at, { left: 52, right: 700 })).toEqual([
      { start: 66, row: 0 },
      { start: 260 - 6 - 13 * 7, row: 0 },
      { start: 276, row: 0 },
    ]);
  });
  it('move up where there is room on neither side, as on a narrow phone', () => {
    const near = ['Launch 05:10', 'Turn by 06:10', 'Home by 06:30'].map((text, i) => ({
      x: 250 + i * 20,
      text,
    }));
    expect(placeNames(near, edges).map(({ row }) => row)).toEqual([0, 1, 2]);
  });
  it('never leave the edges and never lie on each other', () => {
    const name = fc.record({
      x: fc.integer({ min: 52, max: 340 }),
      text: fc.constantFrom('Launch 05:10', 'Turn by 09:00', 'Home by 11:30'),
    });
    fc.assert(
      fc.property(fc.array(name, { maxLength: 5 }), (names) => {
        const placed = placeNames(names, edges).map((one, i) => ({
          ...one,
          end: one.start + (names[i]?.text.length ?? 0) * 7,
        }));
        for (const one of placed) expect(one.start >= edges.left && one.end <= edges.right + 1e-9).toBe(true);
        placed.forEach((one, i) =>
          placed.slice(i + 1).forEach((other) => {
            if (one.row === other.row) expect(one.end <= other.start || other.end <= one.start).toBe(true);
          }),
        );
      }),
    );
  });
});

describe('the bands', () => {
  it('stand under each other without touching, lower by a row for each row of names', () => {
    const one = layoutFor(1);
    expect([
      one.wind.bottom < one.sea.top,
      one.sea.bottom < one.tide.top,
      one.tide.bottom < one.axis,
    ]).toEqual([true, true, true]);
    expect(layoutFor(3).height - one.height).toBe(32);
  });
});

describe('words under the axis', () => {
  const words = fc.record({
    x: fc.integer({ min: 52, max: 340 }),
    text: fc.constantFrom('sunrise 07:33', 'high 11:10 · 3.4 m', 'low 05:02 · 0.6 m'),
  });
  it('stand below their moments in one row where there is room', () => {
    const [one, two] = placeUnder(
      [
        { x: 120, text: 'sunrise 07:33' },
        { x: 400, text: 'sunset 16:19' },
      ],
      { left: 52, right: 700 },
    );
    expect([one?.row, two?.row]).toEqual([0, 0]);
    expect(one && one.start + ('sunrise 07:33'.length * 6.6) / 2).toBeCloseTo(120);
  });
  it('never leave the edges and never lie on each other; the first of three finds room', () => {
    fc.assert(
      fc.property(fc.array(words, { maxLength: 12 }), (list) => {
        const sorted = [...list].sort((a, b) => a.x - b.x);
        const placed = placeUnder(sorted, edges);
        expect(placed.length).toBeGreaterThanOrEqual(Math.min(3, list.length));
        placed.forEach(({ start, text, row }, i) => {
          expect(start).toBeGreaterThanOrEqual(edges.left);
          expect(start + text.length * 6.6).toBeLessThanOrEqual(edges.right + 0.01);
          for (const other of placed.slice(i + 1))
            if (other.row === row) expect(other.start).toBeGreaterThanOrEqual(start + text.length * 6.6);
        });
      }),
    );
  });
  it('make the strip higher by a row each', () => {
    expect(layoutFor(1, 3).height - layoutFor(1).height).toBe(32);
  });
});

describe('the name of a level line', () => {
  const at = { left: 52, right: 700 };
  const text = 'your limit 9.0 m/s';
  const width = text.length * 6.6;
  const BASE = 60;
  const flat = (y: number) => [[0, y] as const, [800, y] as const];
  it('stands at the right end where nothing is near', () => {
    expect(placeOnLevel(text, BASE, at, [100, 300], [flat(120)])).toBeCloseTo(at.right - width);
  });
  it('stands at the left where that is wanted', () => {
    expect(placeOnLevel(text, BASE, at, [300], [], 'left')).toBe(at.left + 4);
  });
  it('gives way at the right to a line of a handle, and to a gust that comes near; at both ends it stands beside a handle', () => {
    const left = at.left + 4;
    expect(placeOnLevel(text, BASE, at, [680], [flat(120)])).toBe(left);
    const rising = [[52, 120] as const, [600, 120] as const, [700, 50] as const];
    expect(placeOnLevel(text, BASE, at, [], [rising])).toBe(left);
    expect(placeOnLevel(text, BASE, at, [80, 690], [flat(120)])).toBe(80 + 6);
  });
  it('stands where most room is when something runs near everywhere, and a line that is not known is nowhere', () => {
    const falling = [[52, BASE - 12] as const, [700, BASE - 4] as const];
    expect(placeOnLevel(text, BASE, at, [], [falling])).toBe(at.left + 4);
    const unknown = [[52, null] as const, [700, null] as const];
    expect(placeOnLevel(text, BASE, at, [], [unknown])).toBeCloseTo(at.right - width);
    expect(placeOnLevel(text, BASE, at, [], [[]])).toBeCloseTo(at.right - width);
  });
  it('never leaves the edges, and is run through by a handle only where every place is', () => {
    const heights = fc.array(fc.option(fc.integer({ min: 0, max: 120 })), { minLength: 2, maxLength: 9 });
    const uprights = fc.array(fc.integer({ min: 52, max: 340 }), { maxLength: 3 });
    fc.assert(
      fc.property(uprights, heights, (through, ys) => {
        const line = ys.map((y, i) => [52 + i * 36, y] as const);
        const start = placeOnLevel(text, BASE, edges, through, [line]);
        expect(start).toBeGreaterThanOrEqual(edges.left);
        expect(start + width).toBeLessThanOrEqual(edges.right + 0.01);
        const isFree = (from: number) => through.every((x) => x < from || x > from + width);
        const places = Array.from(
          { length: Math.floor(edges.right - width - edges.left - 16) },
          (_, i) => edges.left + 8 + i,
        );
        const wide = (from: number) => through.every((x) => x < from - 8 || x > from + width + 8);
        if (places.some(wide)) expect(isFree(start)).toBe(true);
      }),
    );
  });
});
