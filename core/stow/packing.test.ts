import { describe, expect, it } from 'vitest';
import { demo } from '../demo/demo';
import { lookUp } from '../documents/references';
import { pack } from '../packing/pack';
import { packSteps, toPack, toPackPlace } from './packing';
import { planOf } from './plan';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready] = outings;
function packed(id: string, contents: readonly string[]) {
  if (!ready) throw new Error('lost');
  const outing = {
    ...ready,
    loadout: [id, ...contents].map((itemId) => ({
      itemId,
      quantity: 1,
      outsideContainer: false,
      carriedBy: null,
    })),
  };
  const { aboard, craft, angler } = lookUp(outing, references);
  if (!craft || !angler) throw new Error('lost');
  const plan = planOf({ aboard, craft, angler, stow: ready.stow });
  const container = plan.byId.get(id)?.one.item;
  if (!container) throw new Error(`${id} is not aboard`);
  return toPack(
    container,
    contents.flatMap((one) => plan.byId.get(one) ?? []),
  );
}

describe('what is meant for a crate', () => {
  it('goes in as boxes of its own size, rods aside, and comes out in an order of steps from below', () => {
    const { container, boxes, standing, itemOf } = packed('crate', [
      'tray',
      'pliers',
      'spin-rod',
      'lure-box',
      'jig-box',
      'soft-box',
    ]);
    expect(standing.map(({ id }) => id)).toEqual(['spin-rod']);
    expect(boxes).toHaveLength(5);
    expect(boxes.every(({ id }) => itemOf.has(id))).toBe(true);
    const result = pack(container, boxes);
    expect(result.fits).toBe(true);
    const steps = packSteps(container, result.placed);
    expect(steps.map(({ box }) => box.zM)).toEqual(steps.map(({ box }) => box.zM).toSorted((a, b) => a - b));
    expect(steps.every(({ where }) => where.length > 0)).toBe(true);
  });
  it('is said as it lies: flat on its largest side, upright on its least, else on edge', () => {
    const at = { id: 'a', xM: 0, yM: 0, zM: 0 };
    const lies = (dxM: number, dyM: number, dzM: number) =>
      packSteps({ xM: 1, yM: 1, zM: 1 }, [{ ...at, dxM, dyM, dzM }])[0]?.lies;
    expect(lies(0.3, 0.2, 0.1)).toBe('flat');
    expect(lies(0.1, 0.2, 0.3)).toBe('upright');
    expect(lies(0.1, 0.3, 0.2)).toBe('on edge');
    expect(lies(0.2, 0.2, 0.2)).toBe('flat');
    const where = (xM: number, yM: number) =>
      packSteps({ xM: 0.9, yM: 0.6, zM: 1 }, [{ ...at, xM, yM, dxM: 0.1, dyM: 0.1, dzM: 0.1 }])[0]?.where;
    expect([where(0, 0), where(0.8, 0.5), where(0.4, 0.25), where(0.4, 0)]).toEqual([
      'back left',
      'front right',
      'middle',
      'back',
    ]);
  });
  it('goes into a hatch by its own room and the mass that it carries', () => {
    if (!ready) throw new Error('lost');
    const { aboard, craft, angler } = lookUp(ready, references);
    if (!craft || !angler) throw new Error('lost');
    const { things } = planOf({ aboard, craft, angler, stow: ready.stow });
    const inHatch = things.filter(({ zone, spot }) => spot.in === 'zone' && zone?.kind === 'hatch');
    const zone = inHatch[0]?.zone;
    if (!zone) throw new Error('Something lies in the hatch.');
    const { container, boxes } = toPackPlace(zone, inHatch);
    expect(container).toMatchObject({ xM: zone.lengthM, yM: zone.widthM, zM: zone.heightM });
    expect(boxes.length).toBeGreaterThanOrEqual(inHatch.length);
    expect(pack(container, boxes).fits).toBe(true);
    const weak = toPackPlace({ ...zone, maxKg: 0.2 }, inHatch);
    expect(pack(weak.container, weak.boxes)).toMatchObject({ fits: false, why: 'mass' });
  });
});
