import { Box3, Mesh, type Object3D, Raycaster, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { gearForms } from '#core/catalog/gear/forms';
import { demo } from '#core/demo/demo';
import { lookUp } from '#core/documents/references';
import { layoutOf } from '#core/stow/layout';
import { planOf } from '#core/stow/plan';
import { inks } from '../../../../app/palettes';
import { gearSolid } from './gearSolid';
import { type RoundInput, freeScene, pressedOf, sceneOf, standingInCast } from './scene';

const { references, outings } = demo(Date.parse('2026-05-15T19:00:00Z'));
const [ready] = outings;
if (!ready) throw new Error('The demo has an outing.');
const { aboard, craft, angler } = lookUp(ready, references);
if (!craft || !angler) throw new Error('Somebody sits in its boat.');
const plan = planOf({ aboard, craft, angler, stow: ready.stow });
const input: RoundInput = {
  plan,
  heightM: angler.heightM,
  stance: 'seated low',
  lies: { draftM: 0.12, trimDeg: 0, heelDeg: 0 },
  heelsToPort: false,
  chosen: null,
  open: null,
  shows: { reach: true, casting: true },
  inks: inks.paper,
};
const drawn = (changes: Partial<RoundInput> = {}) => {
  const scene = sceneOf({ ...input, ...changes });
  scene.updateMatrixWorld(true);
  const pressable = new Map<string, Object3D>();
  scene.traverse((one) => {
    const pressed = pressedOf(one);
    if (pressed && one.userData.pressed) pressable.set(`${pressed.is} ${pressed.id}`, one);
  });
  return { scene, pressable };
};
const boxOf = (one: Object3D | undefined) => {
  if (!one) throw new Error('It is drawn.');
  return new Box3().setFromObject(one);
};

describe('a thing as a solid', () => {
  it.each(gearForms)('%s lies within its own size, about its middle', (form) => {
    const size = { longM: 0.6, wideM: 0.3, highM: 0.2 };
    const box = new Box3();
    for (const { geometry } of gearSolid(form, size)) {
      geometry.computeBoundingBox();
      const position = geometry.getAttribute('position');
      expect(position.count).toBeGreaterThan(0);
      expect([...position.array].every((value) => Number.isFinite(value))).toBe(true);
      box.union(geometry.boundingBox ?? new Box3());
    }
    expect(box.isEmpty()).toBe(false);
    // A flag flies abaft its staff, a reel hangs under its rod: nothing else goes past its own measures.
    expect(box.max.x - box.min.x).toBeLessThan(0.6 + 0.2);
    expect(box.max.y - box.min.y).toBeLessThan(0.2 + 0.1);
    expect(box.max.z - box.min.z).toBeLessThan(0.3 + 0.2);
    expect(Math.abs(box.min.x + box.max.x) / 2).toBeLessThan(0.2);
  });
});

describe('the boat in the round', () => {
  it('has everything where the drawing has it', () => {
    const { pressable } = drawn();
    const laid = layoutOf(plan);
    expect(laid.size).toBeGreaterThan(20);
    for (const [id, at] of laid) {
      const thing = pressable.get(`thing ${id}`);
      const placed = plan.byId.get(id);
      if (!thing || !placed?.zone) throw new Error(`${id} is drawn.`);
      // What leans has its foot, not its middle, in its place.
      if ((placed.zone.angleDeg ?? 0) === 0)
        expect(thing.position.x, placed.one.item.name).toBeCloseTo(at.xM, 6);
      expect(thing.position.z).toBeCloseTo(at.yM, 6);
      expect(thing.position.y).toBeGreaterThan(placed.zone.floorM);
    }
  });
  it('lies at its draft, bow up by its trim, down on the side that is heavier', () => {
    const keel = (changes: Partial<RoundInput>) =>
      boxOf(drawn({ ...changes, shows: { reach: false, casting: false } }).scene.children.at(-2)).min.y;
    expect(keel({})).toBeCloseTo(-0.12, 2);
    const bow = (lies: RoundInput['lies']) => {
      const eye =
        drawn({ lies }).pressable.get('lid fore-hatch') ??
        [...drawn({ lies }).pressable].find(([key]) => key.startsWith('lid'))?.[1];
      return boxOf(eye).max.y;
    };
    expect(bow({ draftM: 0.12, trimDeg: 5, heelDeg: 0 })).toBeGreaterThan(
      bow({ draftM: 0.12, trimDeg: 0, heelDeg: 0 }),
    );
    const across = (heelsToPort: boolean) => {
      const { pressable } = drawn({ lies: { draftM: 0.12, trimDeg: 0, heelDeg: 8 }, heelsToPort });
      const [most] = [...layoutOf(plan)].toSorted((a, b) => b[1].yM - a[1].yM);
      return pressable.get(`thing ${most?.[0] ?? ''}`)?.getWorldPosition(new Vector3()).y ?? 0;
    };
    expect(across(true)).toBeGreaterThan(across(false));
  });
  it('opens a hatch that is pressed, and a thing is found under the finger', () => {
    const { pressable, scene } = drawn();
    const [key] = [...pressable.keys()].filter((one) => one.startsWith('lid'));
    const id = (key ?? '').replace('lid ', '');
    expect(boxOf(drawn({ open: id }).pressable.get(`lid ${id}`)).max.y).toBeGreaterThan(
      boxOf(pressable.get(`lid ${id}`)).max.y + 0.1,
    );
    const middle = boxOf(pressable.get(`lid ${id}`)).getCenter(new Vector3());
    const ray = new Raycaster(middle.clone().setY(5), new Vector3(0, -1, 0));
    const hits = ray.intersectObjects(scene.children, true).filter(({ object }) => object instanceof Mesh);
    expect(hits.map(({ object }) => pressedOf(object)).find((one) => one !== null)).toEqual({
      is: 'lid',
      id,
    });
    freeScene(scene);
  });
  it('tells what stands higher than the shoulders behind whoever casts', () => {
    const tall = standingInCast(plan, 0.8).map(({ one }) => one.item.kind);
    expect(tall).toContain('flag');
    expect(standingInCast(plan, 9)).toEqual([]);
  });
});
