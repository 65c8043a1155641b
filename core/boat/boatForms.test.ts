import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { craftSchema } from '../documents/craft';
import { hullPresets } from '../vocabulary/boat';
import { boatForms, boatFormIds, boatFrom } from './boatForms';
import { onWater } from './drag';

describe('a boat from its picture and five numbers', () => {
  it.each(boatFormIds)('%s is whole, and is judged as what it is', (id) => {
    const boat = boatFrom('b', id, boatForms[id]);
    expect(craftSchema.parse(boat)).toEqual(boat);
    expect([boat.drive, boat.hull, boat.deck]).toEqual([
      boatForms[id].drive,
      boatForms[id].hull,
      boatForms[id].deck,
    ]);
    const { cruiseMps, spareMps } = onWater(boat, null);
    expect(spareMps).toBeLessThan(cruiseMps);
  });
  it('is whole whatever can be written for the numbers, and has a pace', () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const numbers = fc.record({
      lengthM: within(1.5, 8),
      beamM: within(0.4, 1.5),
      massKg: within(5, 150),
      ratedLoadKg: within(40, 600),
      depthM: within(0.08, 1),
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...boatFormIds),
        numbers,
        fc.constantFrom(...hullPresets),
        (id, own, preset) => {
          const boat = boatFrom('b', id, own, { preset });
          return (
            craftSchema.safeParse(boat).success && Object.values(onWater(boat, null)).every(Number.isFinite)
          );
        },
      ),
      { numRuns: 40 },
    );
  });
});
