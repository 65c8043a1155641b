import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import type { Outing } from '../documents/outing';
import { type Attempt, changeKey, tryChange } from './trial';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready] = outings as [Outing];
const at = { outing: ready, references };
const taken = (change: Attempt) => {
  const result = tryChange(at, change);
  if (!result.taken) throw new Error(result.why);
  return result.tried;
};

describe('a number tried on a sheet', () => {
  it('goes where it belongs and leaves what is kept alone', () => {
    expect(taken({ on: 'workings', field: 'jigAngleDeg', value: 45 }).outing.workings.jigAngleDeg).toBe(45);
    expect(taken({ on: 'device', itemId: 'sounder', value: 3 }).outing.workings.deviceHours).toEqual({
      sounder: 3,
    });
    const item = taken({ on: 'item', itemId: 'battery', field: 'healthPct', value: 60 }).references.items;
    expect(item.find((one) => one.id === 'battery')?.attributes.healthPct).toBe(60);
    const mass = taken({ on: 'item', itemId: 'battery', field: 'massKg', value: 2 }).references.items;
    expect(mass.find((one) => one.id === 'battery')?.massKg).toBe(2);
    const craft = taken({ on: 'craft', field: 'windageM2', value: 0.6 }).references.craft;
    expect(craft.find((one) => one.id === 'grey-wagtail')?.windageM2).toBe(0.6);
    const areas = taken({ on: 'area', field: 'depthM', value: 9 }).references.waters.flatMap(
      (water) => water.areas,
    );
    expect(areas.filter((one) => one.depthM === 9).map((one) => one.id)).toEqual(['long-grey']);
    expect(references.items.find((one) => one.id === 'battery')?.attributes.healthPct).toBe(100);
  });
  it.each<[Attempt, string]>([
    [{ on: 'workings', field: 'jigAngleDeg', value: 95 }, 'A number from 5 to 80 °.'],
    [{ on: 'device', itemId: 'sounder', value: Number.NaN }, 'A number from 0 to 500 h.'],
    [{ on: 'craft', field: 'cruiseMps', value: 0 }, 'A number from 0.3 to 4 m/s.'],
    [{ on: 'area', field: 'depthM', value: -1 }, 'A number from 0 to 500 m.'],
    [{ on: 'item', itemId: 'battery', field: 'peukert', value: 3 }, 'A number from 1 to 2.'],
    [{ on: 'item', itemId: 'battery', field: 'usablePct', value: 0 }, 'A number from 1 to 100 %.'],
    [{ on: 'workings', field: 'surgeHsM', value: 0 }, 'A number from 0.1 to 10 m.'],
    [{ on: 'item', itemId: 'nothing', field: 'massKg', value: 1 }, 'What it belongs to is no longer there.'],
  ])('that cannot be is refused in words: %j', (change, why) => {
    expect(tryChange(at, change)).toEqual({ taken: false, why });
  });
  it('replaces the one tried before it, and no other', () => {
    const key = (value: number) => changeKey({ on: 'item', itemId: 'a', field: 'volts', value });
    expect(key(1)).toBe(key(2));
    expect(key(1)).not.toBe(changeKey({ on: 'item', itemId: 'b', field: 'volts', value: 1 }));
    expect(key(1)).not.toBe(changeKey({ on: 'item', itemId: 'a', field: 'watts', value: 1 }));
  });
});
