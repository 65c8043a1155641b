import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutInstance, thinnedInstance } from '../../scripts/guillotine';
import { often, runs } from '../../scripts/testRuns';
import type { Box, Container } from './box';
import { pack, type PackResult } from './pack';

const NEAR = 1e-6;
/** Every rule again, in other words than the packer's. */
function faults({ xM, yM, zM }: Container, boxes: readonly Box[], result: PackResult): string[] {
  const told: string[] = [];
  const { placed, unplaced } = result;
  const ids = [...placed.map(({ id }) => id), ...unplaced].toSorted();
  if (
    ids.join() !==
    boxes
      .map(({ id }) => id)
      .toSorted()
      .join()
  )
    told.push('each box once, in or out');
  if (result.fits !== (unplaced.length === 0)) told.push('fits is not said as it is');
  for (const a of placed) {
    const own = boxes.find(({ id }) => id === a.id);
    if (!own) continue;
    const sides = [a.dxM, a.dyM, a.dzM].toSorted((p, q) => p - q);
    const wanted = [own.xM, own.yM, own.zM].toSorted((p, q) => p - q);
    if (sides.some((side, i) => Math.abs(side - (wanted[i] ?? 0)) > NEAR))
      told.push(`${a.id} changed its size`);
    if (own.upright && Math.abs(a.dzM - own.zM) > NEAR) told.push(`${a.id} does not stand`);
    if (a.xM < -NEAR || a.yM < -NEAR || a.zM < -NEAR) told.push(`${a.id} outside`);
    if (a.xM + a.dxM > xM + NEAR || a.yM + a.dyM > yM + NEAR || a.zM + a.dzM > zM + NEAR)
      told.push(`${a.id} outside`);
    let rests = a.zM < NEAR ? a.dxM * a.dyM : 0;
    for (const b of placed) {
      if (a === b) continue;
      const along = (p: number, dp: number, q: number, dq: number) =>
        Math.min(p + dp, q + dq) - Math.max(p, q);
      const [x, y, z] = [
        along(a.xM, a.dxM, b.xM, b.dxM),
        along(a.yM, a.dyM, b.yM, b.dyM),
        along(a.zM, a.dzM, b.zM, b.dzM),
      ];
      if (Math.min(x, y, z) > NEAR) told.push(`${a.id} in ${b.id}`);
      const shares = x > NEAR && y > NEAR;
      if (shares && Math.abs(b.zM + b.dzM - a.zM) < NEAR) rests += x * y;
      const over = boxes.find(({ id }) => id === b.id)?.order ?? Infinity;
      if (shares && a.zM >= b.zM + b.dzM - NEAR && (own.order ?? Infinity) > over)
        told.push(`${a.id} lies over ${b.id}`);
    }
    if (rests < (0.75 - NEAR) * a.dxM * a.dyM) told.push(`${a.id} hangs in the air`);
  }
  return told;
}

const side = fc.integer({ min: 3, max: 40 }).map((cm) => cm / 100);
const box = fc.record({
  xM: side,
  yM: side,
  zM: side,
  massKg: fc.double({ min: 0, max: 5, noNaN: true }),
  upright: fc.boolean(),
  order: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
});
const boxesOf = (most: number) =>
  fc
    .array(box, { minLength: 1, maxLength: most })
    .map((list) => list.map((one, i): Box => ({ ...one, id: `b${i}` })));
const container = fc.record({ xM: side, yM: side, zM: side });

describe('boxes packed into a container', () => {
  it(
    'keep every rule, whatever they are',
    () => {
      fc.assert(
        fc.property(container, boxesOf(12), fc.integer({ min: 1, max: 99 }), (into, boxes, seed) => {
          const result = pack(into, boxes, { seed, milliseconds: 15 });
          expect(faults(into, boxes, result)).toEqual([]);
          if (result.fits) expect(result.why).toBeNull();
        }),
        runs(300),
      );
    },
    often(60_000),
  );
  it(
    'go in where they were cut out of it',
    () => {
      for (let seed = 1; seed <= 12; seed += 1)
        for (const [many, fill] of [
          [14, 0.8],
          [11, 0.9],
          [9, 1],
        ] as const) {
          const { container: into, boxes } = cutInstance(seed, many, fill);
          const result = pack(into, boxes, { milliseconds: 5000 });
          expect(result.unplaced, `${seed}: ${many} at ${fill}`).toEqual([]);
          expect(faults(into, boxes, result)).toEqual([]);
        }
    },
    often(60_000),
  );
  it(
    'go in where some of what was cut out is left out',
    () => {
      const found = Array.from({ length: 12 }, (_, seed) => {
        const { container: into, boxes } = thinnedInstance(seed + 1, 10, 0.75);
        const result = pack(into, boxes, { milliseconds: 5000 });
        expect(faults(into, boxes, result)).toEqual([]);
        return result.fits;
      });
      expect(found.filter(Boolean)).toHaveLength(12);
    },
    often(60_000),
  );
  it('are the same for one seed', () => {
    const { container: into, boxes } = thinnedInstance(5, 12, 0.8);
    const once = () => pack(into, boxes, { seed: 9, milliseconds: 60_000 });
    expect(once()).toEqual(once());
  });
  it('are said not to fit only with a proof: mass, volume, a side, or a search through all', () => {
    const crate = { xM: 0.4, yM: 0.3, zM: 0.3 };
    const one = (id: string, xM: number, yM: number, zM: number, more: Partial<Box> = {}): Box => ({
      id,
      xM,
      yM,
      zM,
      ...more,
    });
    const why = (boxes: Box[], into: Container = crate) => pack(into, boxes, { milliseconds: 40 }).why;
    expect(why([one('a', 0.5, 0.1, 0.1)])).toBe('dimension');
    expect(why([one('a', 0.1, 0.1, 0.35, { upright: true })])).toBe('dimension');
    expect(why([one('a', 0.1, 0.1, 0.35)])).toBeNull();
    expect(why(['a', 'b', 'c'].map((id) => one(id, 0.3, 0.3, 0.15)))).toBe('volume');
    // Together they fill two thirds of it, and no two of their sides go past each other.
    const narrow = { xM: 0.35, yM: 0.3, zM: 0.3 };
    expect(why([one('a', 0.25, 0.2, 0.2), one('b', 0.25, 0.2, 0.2)], narrow)).toBe('search');
    expect(
      why([one('a', 0.1, 0.1, 0.1, { massKg: 6 }), one('b', 0.1, 0.1, 0.1, { massKg: 5 })], {
        ...crate,
        maxKg: 10,
      }),
    ).toBe('mass');
    expect(
      pack({ ...crate, maxKg: 10 }, [
        one('a', 0.1, 0.1, 0.1, { massKg: 6 }),
        one('b', 0.1, 0.1, 0.1, { massKg: 5 }),
      ]),
    ).toMatchObject({ fits: false, unplaced: ['a'] });
  });
  it('that are taken out first lie uppermost', () => {
    const crate = { xM: 0.4, yM: 0.3, zM: 0.3 };
    const flat = (id: string, order?: number): Box => ({
      id,
      xM: 0.4,
      yM: 0.3,
      zM: 0.1,
      upright: true,
      order,
    });
    const { placed, fits } = pack(crate, [flat('pliers', 1), flat('spools'), flat('lures', 2)]);
    expect(fits).toBe(true);
    expect(placed.toSorted((a, b) => b.zM - a.zM).map(({ id }) => id)).toEqual(['pliers', 'lures', 'spools']);
  });
});
