import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { demoCraft } from '../demo/boats';
import { zoneSchema } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import { craftSchema } from '../documents/craft';
import { SALT_WATER } from '../units/constants';
import { hullPresets, zoneKinds } from '../vocabulary/boat';
import { boatForms, boatFormIds, boatFrom } from './boatForms';
import { dragSheet, hullDrag, onWater } from './drag';
import { hydrostatics, afloatWith } from './hull/hydrostatics';
import { hullsOf } from './hulls';
import { calibrated, inclinedFit } from './inclining';
import { laden, standingIn, standingOf, vanishingDeg } from './stability';
import { compartmentsOf, swamped } from './swamped';
import { newZone, reachOf, usualZones, zonesOf } from './zones';

const angler = { massKg: 84, heightM: 1.79 };
const named = (id: string): Craft => {
  const boat = demoCraft.find((one) => one.id === id);
  if (!boat) throw new Error(`The demo has no ${id}.`);
  return boat;
};
const gear = { massKg: 22, xM: 1.4, yM: 0.02, zM: 0.25 };
const boats = [...demoCraft, ...boatFormIds.map((id) => boatFrom(id, id, boatForms[id]))];

describe('how a boat stands', () => {
  it.each(boats.map((one) => [one.id, one] as const))(
    '%s: read off the cross curves as it is worked out whole',
    (_, craft) => {
      const load = laden(craft, angler, 'seated low', gear);
      const read = standingOf(hullsOf(craft), load, SALT_WATER);
      if (!read || read === 'sinks') throw new Error('It floats.');
      const whole = hydrostatics(afloatWith(hullsOf(craft), [load], SALT_WATER), { gz: true });
      expect(
        Math.abs(
          read.draftM -
            (hydrostatics(afloatWith(hullsOf(craft), [{ ...load, yM: 0 }], SALT_WATER)).draftM ?? 0),
        ),
      ).toBeLessThan(0.001);
      expect(Math.abs(read.heelDeg ?? 90) - Math.abs(whole.heelDeg ?? 90)).toBeLessThan(0.3);
      // The whole curve is worked out with the weight on the centre line.
      const centred = standingOf(hullsOf(craft), { ...load, yM: 0 }, SALT_WATER);
      if (!centred || centred === 'sinks' || whole.vanishingDeg === null)
        throw new Error('It has a whole curve.');
      expect(Math.abs(vanishingDeg(centred) - Math.min(60, whole.vanishingDeg ?? 60))).toBeLessThan(2);
    },
  );
  it('is steadier low than high, high than standing; steadier with floats out than folded', () => {
    const stint = named('little-stint');
    const gm = (craft: Craft, stance: 'seated low' | 'seated high' | 'standing') => {
      const stood = standingIn(craft, angler, stance, gear, SALT_WATER);
      return stood && stood !== 'sinks' ? stood.gmM : NaN;
    };
    for (const craft of [named('grey-wagtail'), stint]) {
      expect(gm(craft, 'seated low')).toBeGreaterThan(gm(craft, 'seated high'));
      expect(gm(craft, 'seated high')).toBeGreaterThan(gm(craft, 'standing'));
    }
    expect(gm(stint, 'standing')).toBeGreaterThan(4 * gm({ ...stint, setUpId: 'folded' }, 'standing'));
  });
  it('sinks under more than it displaces, and says nothing of a load it cannot have', () => {
    expect(standingOf(hullsOf(named('dunlin')), { massKg: 5000, xM: 1.7, yM: 0, zM: 0.3 }, SALT_WATER)).toBe(
      'sinks',
    );
    expect(
      standingOf(hullsOf(named('dunlin')), { massKg: 0, xM: 1.7, yM: 0, zM: 0.3 }, SALT_WATER),
    ).toBeNull();
  });
});

describe('an inclining test', () => {
  const truth: Craft = { ...named('dunlin'), ownVcgM: 0.11 };
  const tried = (craft: Craft, loads: readonly [number, number][], sitting: typeof angler | null) => {
    const boat = (yM: number, massKg: number) =>
      hydrostatics(
        afloatWith(
          hullsOf(craft, 'coarse'),
          [
            ...[laden(craft, sitting ?? { massKg: 0, heightM: 1.8 }, 'seated low', null)],
            { massKg, xM: craft.seat?.xM ?? 0, yM, zM: 0.36 * (craft.shape?.depthM ?? 0) + 0.1 },
          ],
          SALT_WATER,
        ),
      );
    const still = boat(0, 0);
    const draft = (still.draftM ?? 0) - (craft.shape?.rockerM ?? 0);
    return {
      waterDensity: SALT_WATER,
      angler: sitting,
      readings: loads.map(([massKg, armM]) => ({ massKg, armM, heelDeg: boat(armM, massKg).heelDeg ?? NaN })),
      draftBowM: draft,
      draftSternM: draft,
    };
  };
  it.each([
    [9, 0.3],
    [5, 0.4],
    [13, 0.25],
  ])('finds the hull it was made with again: section %f', (sectionExponent, armM) => {
    const made = { ...truth, shape: truth.shape && { ...truth.shape, sectionExponent } };
    const fit = inclinedFit(
      truth,
      tried(
        made,
        [
          [6, armM],
          [10, armM],
          [8, -armM],
        ],
        null,
      ),
    );
    expect(fit?.sectionExponent).toBeCloseTo(sectionExponent, 1);
    expect(fit?.ownVcgM).toBeCloseTo(0.11, 2);
    expect(fit?.offDeg).toBeLessThan(0.05);
    if (!fit) throw new Error('It fits.');
    const after = calibrated(truth, fit, '2026-11-20');
    expect(craftSchema.parse(after).inclined).toMatchObject({ on: '2026-11-20', readings: 3 });
  });
  it('says how far to trust it', () => {
    const test = tried(truth, [[1, 0.1]], angler);
    expect(inclinedFit(truth, test)?.doubts.join(' ')).toMatch(/Fewer than three.*under 2°/);
    const slip = {
      ...test,
      readings: [
        ...tried(
          truth,
          [
            [8, 0.3],
            [8, 0.3],
          ],
          null,
        ).readings,
        { massKg: 8, armM: 0.3, heelDeg: 20 },
      ],
    };
    expect(inclinedFit(truth, { ...slip, angler: null })?.doubts.join(' ')).toMatch(
      /do not lie on one curve/,
    );
    expect(inclinedFit(truth, { ...test, readings: [] })).toBeNull();
    const wild = {
      ...test,
      angler: null,
      readings: [3, 14].map((heelDeg) => ({ massKg: 8, armM: 0.3, heelDeg })),
    };
    expect([inclinedFit(truth, test)?.usable, inclinedFit(truth, wild)?.usable ?? false]).toEqual([
      true,
      false,
    ]);
  });
});

describe('a hull that lets water in', () => {
  const kayak = { ...boatFrom('c', 'closed', boatForms.closed), bulkheadsM: [1.3, 2.7] };
  it('has compartments between its walls that hold all of it together', () => {
    const [whole] = compartmentsOf({ ...kayak, bulkheadsM: [] });
    const parts = compartmentsOf(kayak);
    expect(parts).toHaveLength(3);
    expect(parts.reduce((sum, { volumeM3 }) => sum + volumeM3, 0) / (whole?.volumeM3 ?? 1)).toBeGreaterThan(
      0.9,
    );
  });
  it('lies deeper and stands less steadily with every bucket, until it is past paddling', () => {
    const at = (litres: number) => swamped(kayak, angler, null, [0, litres, 0], SALT_WATER);
    const free = [0, 20, 60].map((litres) => at(litres).state.freeboardMinM ?? -1);
    expect(free[0]).toBeGreaterThan(free[1] ?? 1);
    expect(free[1]).toBeGreaterThan(free[2] ?? 1);
    expect(at(60).state.gmTransverseM).toBeLessThan(at(0).state.gmTransverseM ?? 0);
    expect(swamped(kayak, { massKg: 200, heightM: 1.8 }, null, [900, 900, 900], SALT_WATER).can).toMatch(
      /goes under/,
    );
  });
  it('loses steadiness to open scuppers once the floor is under water', () => {
    const low = {
      ...named('dunlin'),
      zones: usualZones(named('dunlin')).map((zone) => ({ ...zone, floorM: 0.03 })),
    };
    const area = (scuppers: Craft['scuppers']) => {
      const stood = standingIn({ ...low, scuppers }, angler, 'seated low', gear, SALT_WATER);
      return stood && stood !== 'sinks' ? stood : null;
    };
    expect(area('open')?.draftM).toBeGreaterThan(area('plugged')?.draftM ?? 1);
    expect(area('open')?.gmM).toBeLessThan(area('plugged')?.gmM ?? 0);
  });
});

describe('pace and drag', () => {
  it('are what was measured where it was, and estimates within what is usual where it was not', () => {
    expect(onWater(named('grey-wagtail'), null)).toMatchObject({ cruiseMps: 1.5, lateralWaterM2: 0.5 });
    for (const craft of boats) {
      const { cruiseMps, windageM2, lateralAirM2, lateralWaterM2 } = onWater(
        { ...craft, cruiseMps: null, windageM2: null, lateralAirM2: null, lateralWaterM2: null, powerW: 45 },
        null,
      );
      expect(cruiseMps).toBeGreaterThan(1.1);
      expect(cruiseMps).toBeLessThan(1.9);
      expect([windageM2 > 0.3, windageM2 < 0.7, lateralAirM2 > 0.8, lateralAirM2 < 2.2]).toEqual([
        true,
        true,
        true,
        true,
      ]);
      expect(lateralWaterM2).toBeGreaterThan(0.2);
    }
  });
  it('slow down under load, show more side with a high seat, and more of what stands on deck', () => {
    const craft = { ...named('little-stint') };
    const sheet = (one: Craft, massKg: number) =>
      dragSheet(one, angler, { ...gear, massKg }, SALT_WATER)?.estimated;
    expect(sheet(craft, 90)?.cruiseMps).toBeLessThan(sheet(craft, 10)?.cruiseMps ?? 0);
    const sail = sheet({ ...craft, setUpId: 'sail' }, 10)?.lateralAirM2 ?? 0;
    expect(sail).toBeGreaterThan((sheet(craft, 10)?.lateralAirM2 ?? 0) + 0.15);
  });
  it('friction follows the ITTC 1957 line: a flat plate of 4 m² and 4 m at 1.5 m/s', () => {
    const reynolds = (1.5 * 4) / 1.15e-6;
    const coefficient = 0.075 / (Math.log10(reynolds) - 2) ** 2;
    const { frictionN } = hullDrag({ wettedM2: 4, waterlineM: 4 }, 100, 1.5, 1000);
    expect(frictionN / (0.5 * 1000 * 4 * coefficient * 2.25)).toBeCloseTo(1.2, 9);
  });
});

describe('places aboard', () => {
  it.each(boats.map((one) => [one.id, one] as const))(
    '%s: the usual ones are sound and lie within it',
    (_, craft) => {
      const zones = usualZones(craft);
      expect(new Set(zones.map(({ id }) => id)).size).toBe(zones.length);
      for (const zone of zones) {
        expect(zoneSchema.safeParse(zone).success, zone.id).toBe(true);
        expect(Math.abs(zone.yM) + zone.widthM / 2, zone.id).toBeLessThan(craft.beamM / 2 + 0.05);
        expect(zone.xM - zone.lengthM / 2, zone.id).toBeGreaterThan(-0.1);
        expect(zone.xM + zone.lengthM / 2, zone.id).toBeLessThan(craft.lengthM + 0.1);
      }
    },
  );
  it('come and go with the fitting that has them', () => {
    const craft = named('grey-wagtail');
    const has = (setUpId: string) => zonesOf({ ...craft, setUpId }).some(({ id }) => id === 'pod');
    expect([has('bare'), has('wide')]).toEqual([false, true]);
  });
  it('are at hand before one, a turn away behind, ashore at the far end; standing, the floor is no longer at hand', () => {
    const craft = named('grey-wagtail');
    const reach = (id: string, stance: Parameters<typeof reachOf>[3] = 'seated low') => {
      const zone = zonesOf(craft).find((one) => one.id === id);
      return zone && reachOf(zone, craft, angler, stance);
    };
    expect([
      reach('console'),
      reach('left-pocket'),
      reach('well'),
      reach('fore-hatch'),
      reach('bow-eye'),
    ]).toEqual(['hand', 'hand', 'turn', 'ashore', 'ashore']);
    expect(reach('console', 'standing')).toBe('move');
    const zone = newZone(craft, 'tank well', 'Well', 'well', { xM: 0.8, yM: 0 }, { reach: 'hand' });
    expect(reachOf(zone, craft, angler)).toBe('hand');
  });
  it('are kept in the boat wherever a new one is put', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...boats),
        fc.constantFrom(...zoneKinds),
        fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        (craft, kind, share) => {
          const zone = newZone(craft, kind, 'New', 'new', { xM: share * craft.lengthM, yM: 0 });
          return zoneSchema.safeParse(zone).success;
        },
      ),
    );
  });
});

describe('every preset', () => {
  it.each(hullPresets)('%s floats upright and level, and deeper under more', (preset) => {
    const craft = boatFrom(
      'b',
      preset === 'three tubes' ? 'inflatable' : 'open-pedalled',
      { lengthM: 3.7, beamM: 0.86, depthM: 0.32, massKg: 40, ratedLoadKg: 200 },
      { preset },
    );
    const at = (massKg: number) =>
      hydrostatics(afloatWith(hullsOf(craft), [{ massKg, xM: 1.85, yM: 0, zM: 0.25 }], SALT_WATER));
    const [light, heavy] = [at(90), at(190)];
    expect(light.heelDeg).toBeCloseTo(0, 6);
    expect(Math.abs(light.trimDeg ?? 9)).toBeLessThan(0.01);
    expect(heavy.draftM).toBeGreaterThan(light.draftM ?? 1);
    expect(light.freeboardMinM).toBeGreaterThan(0.1);
  });
});
