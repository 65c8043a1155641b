import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { runs } from '../../../scripts/testRuns';
import { SALT_WATER } from '../../units/constants';
import { floatAt } from './float';
import type { Afloat, Held } from './float';
import type { Attitude } from './immersed';
import { afloatWith, gzCurve, hydrostatics, restOf } from './hydrostatics';
import { hullOf, partOf } from './hull';
import type { HullForm, Station } from '../../documents/hullShape';

const RAD = Math.PI / 180;
const load = (massKg: number, xM: number, yM: number, zM: number) => ({ massKg, xM, yM, zM });
const prism = (lengthM: number, outline: Station['outline']) => ({
  stations: [
    { xM: 0, outline },
    { xM: lengthM, outline },
  ],
});
const [L, B, D] = [4, 0.9, 0.4];
const box = hullOf(
  prism(L, [
    { yM: 0, zM: 0 },
    { yM: B / 2, zM: 0 },
    { yM: B / 2, zM: D },
  ]),
);
const relative = (found: number | null, wanted: number) => Math.abs((found ?? NaN) / wanted - 1);

describe('a box', () => {
  const KG = 0.3;
  // Deep enough that its deck edge goes under before its bilge comes out: the formula holds between.
  const m = 850;
  const T = m / (SALT_WATER * L * B);
  const BM = B ** 2 / (12 * T);
  const GM = T / 2 + BM - KG;
  it('floats at its draft, with its metacentric heights, to a millionth', () => {
    const found = hydrostatics(afloatWith(box, [load(m, L / 2, 0, KG)], SALT_WATER));
    expect(relative(found.draftM, T)).toBeLessThan(1e-6);
    expect(relative(found.gmTransverseM, GM)).toBeLessThan(1e-6);
    expect(relative(found.gmLongitudinalM, T / 2 + L ** 2 / (12 * T) - KG)).toBeLessThan(1e-6);
    expect(relative(found.freeboardMinM, D - T)).toBeLessThan(1e-6);
    expect([found.afloat, found.heelDeg, found.gz]).toEqual([true, 0, null]);
    expect(Math.abs(found.trimDeg ?? 1)).toBeLessThan(1e-9);
  });
  it('rights itself and lists as the wall-sided formula has it, until its deck edge goes under', () => {
    const boat = afloatWith(box, [load(m, L / 2, 0, KG)], SALT_WATER);
    const edge = Math.atan((2 * (D - T)) / B) / RAD;
    const { deckEdgeDeg } = hydrostatics(boat, { gz: true });
    expect(relative(deckEdgeDeg, edge)).toBeLessThan(1e-6);
    for (const { point } of gzCurve(boat).filter(({ point }) => point.heelDeg > 0 && point.heelDeg < edge)) {
      const phi = point.heelDeg * RAD;
      expect(
        relative(point.gzM, Math.sin(phi) * (GM + (BM / 2) * Math.tan(phi) ** 2)),
        `${point.heelDeg}°`,
      ).toBeLessThan(1e-6);
    }
    for (const y of [0.02, -0.035]) {
      const { heelDeg } = hydrostatics(afloatWith(box, [load(m, L / 2, y, KG)], SALT_WATER));
      const t = Math.tan((heelDeg ?? NaN) * RAD);
      expect(Math.abs(t * (GM + (BM / 2) * t * t) - y)).toBeLessThan(1e-8);
    }
  });
  it('trims by where its load lies, bow up when it lies aft', () => {
    const aft = hydrostatics(afloatWith(box, [load(m, L / 2 - 0.1, 0, KG)], SALT_WATER));
    // Wall-sided fore and aft too: tan θ (GM_L + ½ BM_L tan² θ) = lever.
    const t = Math.tan((aft.trimDeg ?? 0) * RAD);
    const BML = L ** 2 / (12 * T);
    expect(t).toBeGreaterThan(0);
    expect(Math.abs(t * (T / 2 + BML - KG + (BML / 2) * t * t) - 0.1)).toBeLessThan(1e-7);
    expect(aft.freeboardMinM ?? 1).toBeLessThan(D - T);
  });
  it('top-heavy lies at its angle of loll, and heavier still goes over', () => {
    const high = KG + GM + 0.02;
    const { heelDeg } = hydrostatics(afloatWith(box, [load(m, L / 2, 0, high)], SALT_WATER));
    expect(relative(Math.tan((heelDeg ?? NaN) * RAD) ** 2, (2 * 0.02) / BM)).toBeLessThan(1e-6);
    const over = hydrostatics(afloatWith(box, [load(m, L / 2, 0, 1.2)], SALT_WATER));
    expect([over.afloat, over.heelDeg]).toEqual([true, null]);
    expect(over.gmTransverseM ?? 1).toBeLessThan(0);
    expect(over.draftM).toBeCloseTo(T, 6);
  });
  it('too heavy does not float, and no number is made up', () => {
    const under = hydrostatics(
      afloatWith(box, [load(SALT_WATER * L * B * D + 1, L / 2, 0, 0.1)], SALT_WATER),
      {
        gz: true,
      },
    );
    expect(under).toMatchObject({
      afloat: false,
      draftM: null,
      heelDeg: null,
      gmTransverseM: null,
      gz: null,
    });
  });
});

describe('a prism', () => {
  it('of triangular section has the draft and the metacentre of one, to a millionth', () => {
    const half = 0.45;
    const hull = hullOf(
      prism(3, [
        { yM: 0, zM: 0 },
        { yM: half, zM: D },
      ]),
    );
    const m = 120;
    const T = Math.sqrt((m * D) / (1000 * 3 * half));
    const found = hydrostatics(afloatWith(hull, [load(m, 1.5, 0, 0.2)], 1000));
    const volume = m / 1000;
    const BM = (3 * ((2 * half * T) / D) ** 3) / 12 / volume;
    expect(relative(found.draftM, T)).toBeLessThan(1e-6);
    expect(relative(found.gmTransverseM, (2 * T) / 3 + BM - 0.2)).toBeLessThan(1e-6);
  });
  it('of half a circle rights itself as a roll: by its weight’s height under the middle alone', () => {
    const R = 0.4;
    const outline = Array.from({ length: 400 }, (_, i) => {
      const angle = (Math.PI / 2) * (i / 399);
      return { yM: R * Math.sin(angle), zM: R - R * Math.cos(angle) };
    });
    const boat = afloatWith(hullOf(prism(3, outline)), [load(300, 1.5, 0, 0.25)], SALT_WATER);
    for (const { point } of gzCurve(boat).slice(1, 10))
      expect(Math.abs(point.gzM - (R - 0.25) * Math.sin(point.heelDeg * RAD))).toBeLessThan(2e-4);
  });
});

describe('a box with something beside or in it', () => {
  const KG = 0.3;
  const m = 500;
  const boxShape = prism(L, [
    { yM: 0, zM: 0 },
    { yM: B / 2, zM: 0 },
    { yM: B / 2, zM: D },
  ]);
  const at = (hull: ReturnType<typeof hullOf>, y = 0) =>
    afloatWith(hull, [load(m, L / 2, y, KG)], SALT_WATER);
  it('is held up by side floats as by their waterplanes so far out, less when they are folded, and by one alone when the other leaves the water', () => {
    const [long, wide, over] = [1.5, 0.16, 0.08];
    const floatShape = prism(long, [
      { yM: 0, zM: 0 },
      { yM: wide / 2, zM: 0 },
      { yM: wide / 2, zM: 0.25 },
    ]);
    const withFloats = (outM: number) =>
      hullOf(boxShape, { floats: { shape: floatShape, outM, overM: over, alongM: (L - long) / 2 } });
    const own = 2 * long * wide;
    const volume = m / SALT_WATER;
    const T = (volume + own * over) / (L * B + own);
    const metacentre = (outM: number) => {
      const inertia = (L * B ** 3) / 12 + (2 * long * wide ** 3) / 12 + own * outM ** 2;
      const kb = ((L * B * T ** 2) / 2 + (own * (T - over) * (T + over)) / 2) / volume;
      return kb + inertia / volume - KG;
    };
    for (const outM of [1.1, 0.6]) {
      const found = hydrostatics(at(withFloats(outM)));
      expect(relative(found.draftM, T)).toBeLessThan(1e-6);
      expect(relative(found.gmTransverseM, metacentre(outM))).toBeLessThan(1e-6);
    }
    const bare = gzCurve(at(hullOf(boxShape)));
    const out = gzCurve(at(withFloats(1.1)));
    // At ten degrees the upper one hangs in the air: the other still presses up, so far out.
    expect(out[4]?.point.gzM ?? 0).toBeGreaterThan((bare[4]?.point.gzM ?? 9) + 0.02);
    expect(hydrostatics(at(withFloats(1.1), 0.1)).heelDeg ?? 90).toBeLessThan(
      hydrostatics(at(withFloats(0.6), 0.1)).heelDeg ?? 0,
    );
  });
  it('lies deeper and stiffer no more where water stands in an open well', () => {
    const well = { fromM: 1.5, toM: 2.5, halfBreadthM: 0.3, floorM: 0.1, topM: 0.5 };
    const found = hydrostatics(at(hullOf(boxShape, { openWells: [well] })));
    const volume = m / SALT_WATER;
    const plane = 1 * 0.6;
    const T = (volume - plane * well.floorM) / (L * B - plane);
    expect(relative(found.draftM, T)).toBeLessThan(1e-6);
    const inertia = (L * B ** 3) / 12 - (1 * 0.6 ** 3) / 12;
    const kb = ((L * B * T ** 2) / 2 - (plane * (T ** 2 - well.floorM ** 2)) / 2) / volume;
    expect(relative(found.gmTransverseM, kb + inertia / volume - KG)).toBeLessThan(1e-6);
    expect(found.draftM ?? 0).toBeGreaterThan(hydrostatics(at(hullOf(boxShape))).draftM ?? 1);
  });
  it('swamped lies deeper and loses the free surface of the water that runs in it', () => {
    const part = partOf(boxShape, 0, L);
    const water = 0.05;
    const found = hydrostatics({ ...at(hullOf(boxShape)), flooded: [{ part, volumeM3: water }] });
    const volume = m / SALT_WATER + water;
    const T = volume / (L * B);
    const depth = water / (L * B);
    const G = (m * KG + water * SALT_WATER * (depth / 2)) / (m + water * SALT_WATER);
    const BM = B ** 2 / (12 * T);
    expect(relative(found.draftM, T)).toBeLessThan(1e-6);
    expect(Math.abs((found.gmTransverseM ?? 9) - (T / 2 + BM - G - (L * B ** 3) / 12 / volume))).toBeLessThan(
      1e-4,
    );
  });
});

const form: HullForm = {
  lengthM: 3.9,
  beamM: 0.86,
  depthM: 0.34,
  rockerM: 0.05,
  sheerM: 0.06,
  planExponent: 2.4,
  sectionExponent: 7,
};
const anyForm = fc.record({
  lengthM: fc.double({ min: 2.6, max: 5.2, noNaN: true }),
  beamM: fc.double({ min: 0.55, max: 1.1, noNaN: true }),
  depthM: fc.double({ min: 0.25, max: 0.5, noNaN: true }),
  rockerM: fc.double({ min: 0, max: 0.12, noNaN: true }),
  sheerM: fc.double({ min: 0, max: 0.2, noNaN: true }),
  planExponent: fc.double({ min: 1.6, max: 4, noNaN: true }),
  sectionExponent: fc.double({ min: 1, max: 6, noNaN: true }),
});
const anyBoat = fc
  .record({
    form: anyForm,
    hullKg: fc.double({ min: 18, max: 55, noNaN: true }),
    anglerKg: fc.double({ min: 45, max: 120, noNaN: true }),
    anglerZM: fc.double({ min: 0.35, max: 0.95, noNaN: true }),
    gearKg: fc.double({ min: 0, max: 45, noNaN: true }),
    gearX: fc.double({ min: 0.1, max: 0.8, noNaN: true }),
    gearY: fc.double({ min: -0.3, max: 0.3, noNaN: true }),
  })
  .map(({ form: one, hullKg, anglerKg, anglerZM, gearKg, gearX, gearY }) =>
    afloatWith(
      hullOf({ form: one }),
      [
        load(hullKg, one.lengthM / 2, 0, 0.2),
        load(anglerKg, one.lengthM * 0.47, 0, anglerZM),
        load(gearKg, one.lengthM * gearX, gearY, 0.3),
      ],
      SALT_WATER,
    ),
  );

describe('any hull and load', () => {
  it('comes to rest where a fine scan finds the first steady heel, on the side its weight lies', () => {
    fc.assert(
      fc.property(anyBoat, (boat) => {
        const found = restOf(boat);
        const scanned = firstSteady(boat);
        if (found === null) expect(scanned).toBeNull();
        else {
          expect(scanned, `${found.attitude.heel / RAD}`).not.toBeNull();
          expect(Math.abs(found.attitude.heel / RAD - (scanned ?? NaN))).toBeLessThan(0.3);
          expect(Math.abs(found.gzM)).toBeLessThan(1e-8);
        }
      }),
      runs(20),
    );
  });
  it('heeled takes up the work of its levers as its weight rises over its buoyancy, to half a percent', () => {
    fc.assert(
      fc.property(anyBoat, (boat) => {
        const step = 1;
        const curve = gzCurve(boat, step, 40);
        if (curve.length < 41) return;
        // Heel turns about the boat's own length, which lies off the level by its trim: the lever does its
        // work by that cosine.
        const levers = curve.map(({ point, held }) => point.gzM * Math.cos(held.attitude.trim));
        const area =
          levers.reduce((sum, lever, i) => sum + (i === 0 || i === 40 ? 1 : i % 2 === 1 ? 4 : 2) * lever, 0) *
          ((step * RAD) / 3);
        const [from, to] = [over(curve[0]), over(curve[40])];
        const most = Math.max(...levers.map(Math.abs)) * 40 * RAD;
        expect(Math.abs(area - (to - from))).toBeLessThanOrEqual(0.005 * Math.max(most, 1e-4));
      }),
      runs(10),
    );
  });
  it('mirrored lies mirrored, and deeper the more it carries', () => {
    fc.assert(
      fc.property(anyBoat, (boat) => {
        const mirrored = restOf({ ...boat, g: { ...boat.g, y: -boat.g.y } });
        const found = restOf(boat);
        if (found && mirrored && Math.abs(boat.g.y) > 1e-9)
          expect(mirrored.attitude.heel).toBeCloseTo(-found.attitude.heel, 6);
        const level = { ...boat, g: { ...boat.g, y: 0 } };
        const light = floatAt(level, 0, null);
        const heavy = floatAt({ ...level, massKg: boat.massKg * 1.1 }, 0, null);
        if (light && heavy) expect(heavy.attitude.rise).toBeGreaterThan(light.attitude.rise);
      }),
      runs(15),
    );
  });
  it('is given no figure that is none', () => {
    fc.assert(
      fc.property(anyBoat, (boat) => {
        const numbers = JSON.stringify(hydrostatics(boat, { gz: true }), (_, value: unknown) =>
          typeof value === 'number' && !Number.isFinite(value) ? 'none at all' : value,
        );
        expect(numbers).not.toContain('none at all');
      }),
      runs(10),
    );
  });
});

/** How far weight is over buoyancy, m. */
function over(at: ReturnType<typeof gzCurve>[number] | undefined): number {
  if (!at) return NaN;
  const { under, g, attitude } = at.held;
  const { heel, trim } = attitude;
  const up = [Math.sin(trim), -Math.sin(heel) * Math.cos(trim), Math.cos(heel) * Math.cos(trim)] as const;
  return (
    (g.x - under.mx / under.volume) * up[0] +
    (0 - under.my / under.volume) * up[1] +
    (g.z - under.mz / under.volume) * up[2]
  );
}

/** The first heel in quarter degrees at which the lever turns from pressing over to righting; null: none. */
function firstSteady(boat: Afloat): number | null {
  const side = boat.g.y < 0 ? -1 : 1;
  let last: number | null = null;
  let near: Attitude | null = null;
  for (let deg = 0; deg <= 90; deg += 0.25) {
    const held: Held | null = floatAt(boat, side * deg * RAD, near);
    if (!held) return null;
    near = held.attitude;
    const lever = side * held.gzM;
    if (last !== null && last <= 1e-9 && lever > 1e-9) return side * (deg - 0.125);
    last = lever;
  }
  return null;
}

describe('a form of the usual kind', () => {
  it('has stations enough: twice as many move draft and GM by less than a third of a millimetre', () => {
    const loads = [load(42, 1.95, 0, 0.2), load(84, 1.85, 0, 0.5), load(20, 1, 0.05, 0.35)];
    const found = hydrostatics(afloatWith(hullOf({ form }), loads, SALT_WATER));
    const fine = hydrostatics(afloatWith(hullOf({ stations: fineStations() }), loads, SALT_WATER));
    expect(Math.abs((found.draftM ?? 0) - (fine.draftM ?? 1))).toBeLessThan(2e-4);
    expect(Math.abs((found.gmTransverseM ?? 0) - (fine.gmTransverseM ?? 1))).toBeLessThan(3e-4);
    expect(Math.abs((found.heelDeg ?? 0) - (fine.heelDeg ?? 1))).toBeLessThan(0.01);
    expect(Math.abs((found.trimDeg ?? 0) - (fine.trimDeg ?? 1))).toBeLessThan(0.01);
  });
});

describe('a full form whose ends leave the water', () => {
  const full = {
    lengthM: 4.2,
    beamM: 1.05,
    depthM: 0.39,
    rockerM: 0.11,
    sheerM: 0.13,
    planExponent: 6,
    sectionExponent: 6.4,
  };
  const massKg = 115;
  /**
   * Volume, its moment about the base line and the waterplane's moment of inertia at a level draft, each
   * section in closed form.
   */
  const lying = (draftM: number) => {
    const sums = { volume: 0, moment: 0, inertia: 0 };
    const [steps, m] = [20_000, full.sectionExponent];
    for (let i = 0; i < steps; i += 1) {
      const u = (2 * (i + 0.5)) / steps - 1;
      const half = (full.beamM / 2) * (1 - Math.abs(u) ** full.planExponent);
      const keel = full.rockerM * u * u;
      const high = full.depthM + full.sheerM * u * u - keel;
      const t = Math.max(0, draftM - keel) / high;
      const dx = full.lengthM / steps;
      const area = ((2 * half * high * m) / (m + 1)) * t ** ((m + 1) / m);
      sums.volume += area * dx;
      sums.moment +=
        (area * keel + ((2 * half * high * high * m) / (2 * m + 1)) * t ** ((2 * m + 1) / m)) * dx;
      sums.inertia += (2 / 3) * (half * t ** (1 / m)) ** 3 * dx;
    }
    return sums;
  };
  it('cut finely has its draft to a twentieth of a millimetre and its metacentre to half of one', () => {
    let [low, high] = [0, full.depthM];
    for (let i = 0; i < 40; i += 1) {
      const draft = (low + high) / 2;
      if (lying(draft).volume * SALT_WATER < massKg) low = draft;
      else high = draft;
    }
    const { volume, moment, inertia } = lying(low);
    const hull = hullOf({ form: full }, { mesh: 'fine' });
    const found = hydrostatics(afloatWith(hull, [load(massKg, 2.1, 0, 0.28)], SALT_WATER));
    expect(Math.abs((found.draftM ?? NaN) - low)).toBeLessThan(5e-5);
    expect(Math.abs((found.gmTransverseM ?? NaN) - (inertia / volume + moment / volume - 0.28))).toBeLessThan(
      5e-4,
    );
  });
});

function fineStations(): Station[] {
  const m = form.sectionExponent;
  return Array.from({ length: 241 }, (_, i) => {
    const u = (2 * i) / 240 - 1;
    const half = (form.beamM / 2) * (1 - Math.abs(u) ** form.planExponent);
    const keel = form.rockerM * u * u;
    const high = form.depthM + form.sheerM * u * u - keel;
    return {
      xM: (form.lengthM * i) / 240,
      outline: Array.from({ length: 241 }, (__, k) => {
        const t = Math.sin((Math.PI / 2) * (k / 240));
        return { yM: half * t, zM: keel + high * t ** m };
      }),
    };
  });
}
