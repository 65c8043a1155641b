import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allZonesOf, halfBreadthAt, zonesOf } from '../boat/zones';
import { demoCraft } from '../demo/boats';
import { craftSchema } from '../documents/craft';
import type { Craft } from '../documents/craft';
import type { Zone } from '../documents/boatParts';
import {
  copyBoat,
  movedZone,
  stretchedZone,
  withFitting,
  withNewZone,
  withPreset,
  withSetUp,
  withZone,
  withoutFitting,
  withoutSetUp,
  withoutZone,
} from './boats';

const [wagtail] = demoCraft as [Craft];
const zone = (craft: Craft, id: string) => allZonesOf(craft).find((one) => one.id === id) as Zone;

describe('places on a boat', () => {
  it('of a boat that has written none are written out with the first change', () => {
    const bare = { ...wagtail, zones: null };
    const next = withZone(bare, 'well', { name: 'Crate well' });
    expect(next.zones).toHaveLength(allZonesOf(bare).length);
    expect(zone(next, 'well').name).toBe('Crate well');
    expect(withoutZone(bare, 'well').zones).toHaveLength(allZonesOf(bare).length - 1);
    expect(craftSchema.parse(next)).toEqual(next);
  });
  it('are moved and stretched by any drag, and stay sound and over the deck', () => {
    const by = fc.double({ min: -6, max: 6, noNaN: true });
    fc.assert(
      fc.property(fc.constantFrom(...allZonesOf(wagtail)), by, by, (one, x, y) => {
        const moved = withZone(wagtail, one.id, movedZone(wagtail, one, x, y));
        const stretched = withZone(wagtail, one.id, stretchedZone(wagtail, one, x, y));
        const { xM, yM } = zone(moved, one.id);
        expect(Math.abs(yM)).toBeLessThanOrEqual(Math.max(0.02, halfBreadthAt(wagtail, xM)) + 0.001);
        return craftSchema.safeParse(moved).success && craftSchema.safeParse(stretched).success;
      }),
    );
  });
  it('stretched keep the corner that is not held, and become left or right by where they are moved', () => {
    const well = zone(wagtail, 'well');
    const next = { ...well, ...stretchedZone(wagtail, well, 0.1, 0.04) };
    expect([next.xM - next.lengthM / 2, next.yM - next.widthM / 2]).toEqual([
      expect.closeTo(well.xM - well.lengthM / 2, 2),
      expect.closeTo(well.yM - well.widthM / 2, 2),
    ]);
    expect(movedZone(wagtail, zone(wagtail, 'console'), 0, 0.3).side).toBe('right');
  });
  it('are added amidships, each with a name that no other has', () => {
    const twice = withNewZone(withNewZone(wagtail, 'pod', 'a'), 'pod', 'b');
    expect(
      allZonesOf(twice)
        .slice(-2)
        .map(({ name }) => name),
    ).toEqual(['Pod 2', 'Pod 3']);
    expect(craftSchema.safeParse(twice).success).toBe(true);
  });
});

describe('a boat on its page', () => {
  it('is another hull after its shape changed: it has to be inclined again', () => {
    expect(withPreset(wagtail, 'pontoon')).toMatchObject({
      inclined: null,
      shape: { preset: 'pontoon', depthM: 0.32 },
    });
  });
  it('loses a fitting from every set-up, with the places that were on it', () => {
    const less = withoutFitting(wagtail, 'pod');
    expect(less.setUps.some(({ fittingIds }) => fittingIds.includes('pod'))).toBe(false);
    expect(allZonesOf(less).some(({ id }) => id === 'pod')).toBe(false);
    expect(zonesOf({ ...wagtail, setUpId: 'wide' }).length).toBeGreaterThan(
      zonesOf({ ...less, setUpId: 'wide' }).length,
    );
  });
  it('keeps set-ups by their names: a new one is the one it is in, the one taken out no longer', () => {
    const next = withSetUp(wagtail, {
      id: 'new',
      name: 'New',
      fittingIds: [],
      seat: 'high',
      floats: 'out',
      stow: null,
    });
    expect(next.setUpId).toBe('new');
    expect(
      withSetUp(next, {
        id: 'bare',
        name: 'Bare again',
        fittingIds: [],
        seat: 'low',
        floats: 'out',
        stow: null,
      }),
    ).toMatchObject({ setUpId: 'new' });
    expect(withoutSetUp(next, 'new').setUpId).toBeNull();
    const fitted = withFitting(wagtail, { ...(wagtail.fittings[0] as Craft['fittings'][number]), massKg: 3 });
    expect([fitted.fittings.length, fitted.fittings[0]?.massKg]).toEqual([wagtail.fittings.length, 3]);
  });
  it('is copied with all its places, unmarked and without outings', () => {
    expect(copyBoat(wagtail, 'other')).toEqual({
      ...wagtail,
      id: 'other',
      name: 'Grey Wagtail, copied',
      marked: false,
      outingsLogged: 0,
    });
  });
});
