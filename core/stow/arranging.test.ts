import { expect, test } from 'vitest';
import { arrange } from '../arranging/arrange';
import { demo } from '../demo/demo';
import { lookUp } from '../documents/references';
import { densityOf } from '../environment/density';
import { kinds } from '../catalog/gear/kinds';
import { isRod } from '../catalog/gear/stowing';
import { dryness, reaches } from '../vocabulary/boat';
import { toArrange } from './arranging';
import { planOf } from './plan';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const arranged = outings.flatMap((outing) => {
  const { craft, angler, aboard, water } = lookUp(outing, references);
  if (!craft || !angler) return [];
  const plan = planOf({ aboard, craft, angler, stow: outing.stow });
  const what = toArrange(plan, angler, densityOf(water), 0);
  return what ? [{ what, plan, found: arrange(what.problem, { seed: 3, steps: 5000 }) }] : [];
});

test('every outing of the demo has things that may be moved', () => {
  expect(arranged.length).toBe(outings.length);
  for (const { what } of arranged) expect(what.movable.size).toBeGreaterThan(3);
});

test('rods, what is leashed and what is in use stay where they are', () => {
  for (const { what } of arranged)
    for (const { one, spot } of what.movable.values()) {
      expect(isRod(one.item.kind)).toBe(false);
      expect(spot.held).not.toBe('leashed');
      expect(spot.state).not.toBe('out');
    }
});

test('nothing that water harms goes where it is less dry, and nothing at hand goes farther off', () => {
  for (const { what, found } of arranged) {
    const zone = (id: string) => what.problem.zones.find((one) => one.id === id);
    for (const [itemId, zoneId] of found.places) {
      const placed = what.movable.get(itemId);
      const [from, to] = [zone(placed?.zone?.id ?? ''), zone(zoneId)];
      if (!placed || !from || !to) throw new Error(`${itemId} lies in places of the boat.`);
      if (kinds[placed.one.item.kind].wet !== 'any')
        expect(dryness.indexOf(to.dry)).toBeGreaterThanOrEqual(dryness.indexOf(from.dry));
      if (from.reach === 'hand' || from.reach === 'turn')
        expect(reaches.indexOf(to.reach)).toBeLessThanOrEqual(reaches.indexOf(from.reach));
    }
  }
});
