import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { craftSchema } from '../documents/craft';
import { demoCraft } from '../demo/people';
import { boatForms, boatFormIds, boatFrom, dragAreas } from './boatForms';

describe('a boat from its picture and five numbers', () => {
  it.each(boatFormIds)('%s is whole, and is judged as what it is', (id) => {
    const { lengthM, beamM, massKg, ratedLoadKg, cruiseMps } = boatForms[id];
    const boat = boatFrom('b', id, { lengthM, beamM, massKg, ratedLoadKg, cruiseMps });
    expect(craftSchema.parse(boat)).toEqual(boat);
    expect([boat.drive, boat.hull, boat.deck]).toEqual([boatForms[id].drive, boatForms[id].hull, boatForms[id].deck]);
    expect(boat.spareMps).toBeLessThan(boat.cruiseMps);
  });
  it('is whole whatever can be written for the numbers', () => {
    const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    const numbers = fc.record({
      lengthM: within(1.5, 8),
      beamM: within(0.4, 1.5),
      massKg: within(5, 150),
      ratedLoadKg: within(40, 600),
      cruiseMps: within(0.3, 4),
    });
    fc.assert(
      fc.property(
        fc.constantFrom(...boatFormIds),
        numbers,
        (id, own) => craftSchema.safeParse(boatFrom('b', id, own)).success,
      ),
    );
  });
  it('has drag areas that grow with length and beam and lie within a third of those of the demo’s boats', () => {
    const small = dragAreas({ lengthM: 3, beamM: 0.7 });
    const large = dragAreas({ lengthM: 4.5, beamM: 0.95 });
    for (const key of ['windageM2', 'lateralAirM2', 'lateralWaterM2'] as const) {
      expect(large[key]).toBeGreaterThan(small[key]);
      for (const boat of demoCraft) expect(Math.abs(dragAreas(boat)[key] / boat[key] - 1)).toBeLessThan(1 / 3);
    }
  });
});
