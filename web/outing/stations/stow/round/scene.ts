import {
  BoxGeometry,
  BufferAttribute,
  BufferGeometry,
  CapsuleGeometry,
  Color,
  ConeGeometry,
  CylinderGeometry,
  DirectionalLight,
  DoubleSide,
  EdgesGeometry,
  Group,
  HemisphereLight,
  Line,
  LineBasicMaterial,
  LineSegments,
  Mesh,
  MeshBasicMaterial,
  MeshLambertMaterial,
  type Object3D,
  Path,
  Quaternion,
  Scene,
  Shape,
  ShapeGeometry,
  SphereGeometry,
  Vector3,
} from 'three';
import { floorOf, fittingsOf, seatOf } from '#core/boat/build';
import { figureOf, floatLines } from '#core/boat/drawing';
import { type Deck, type Opening, type ReachShell, deckOf, reachShells, skinOf } from '#core/boat/solid';
import { formOf } from '#core/catalog/gear/forms';
import { isRod, sizeOf } from '#core/catalog/gear/stowing';
import type { Craft } from '#core/documents/craft';
import { layoutOf } from '#core/stow/layout';
import { type Placed, type StowPlan, standsUp, topOver } from '#core/stow/plan';
import type { Stance } from '#core/vocabulary/boat';
import type { Inks } from '../../../../app/palettes';
import type { Wash } from '../../../../ui/gear/drawings';
import { gearSolid } from './gearSolid';

/** What is drawn, and how the boat lies on the water. */
export interface RoundInput {
  plan: StowPlan;
  heightM: number;
  stance: Stance;
  /** null: it is not known how it floats. */
  lies: { draftM: number; trimDeg: number; heelDeg: number | null } | null;
  /** The heel is to port; else to starboard. */
  heelsToPort: boolean;
  chosen: string | null;
  /** The hatch that is open; null: all are shut. */
  open: string | null;
  shows: { reach: boolean; casting: boolean };
  inks: Inks;
}

/** A thing or a lid that can be pressed. */
export type Pressed = { is: 'thing'; id: string } | { is: 'lid'; id: string };
export function pressedOf(object: Object3D | null): Pressed | null {
  for (let one = object; one; one = one.parent) {
    const pressed = one.userData.pressed as Pressed | undefined;
    if (pressed) return pressed;
  }
  return null;
}

const RAD = Math.PI / 180;
/** Edges where two faces meet at more than this are drawn in ink, degrees. */
const EDGE_DEG = 32;
/** How far the water is drawn about the boat, m. */
const WATER_M = 1.6;

/** Inks and washes as the renderer wants them. */
class Paints {
  constructor(readonly inks: Inks) {}
  mix(ink: string, share: number): Color {
    return new Color(this.inks.raised).lerp(new Color(ink), share);
  }
  wash(wash: Wash): Color {
    const { ink, tide, kelp, clay, ochre, slate } = this.inks;
    if (wash === 'ink') return new Color(ink);
    if (wash === 'paper' || wash === 'none') return this.mix(slate, 0.1);
    return this.mix({ tide, kelp, clay, ochre, sand: slate }[wash], 0.58);
  }
  solid(colour: Color): MeshLambertMaterial {
    return new MeshLambertMaterial({
      color: colour,
      side: DoubleSide,
      polygonOffset: true,
      polygonOffsetFactor: 1,
    });
  }
  line(colour: string, opacity = 1): LineBasicMaterial {
    return new LineBasicMaterial({ color: new Color(colour), transparent: opacity < 1, opacity });
  }
  /** A solid with its edges in ink. */
  inked(geometry: BufferGeometry, colour: Color, ink = this.inks.ink): Group {
    const group = new Group();
    group.add(new Mesh(geometry, this.solid(colour)));
    group.add(new LineSegments(new EdgesGeometry(geometry, EDGE_DEG), this.line(ink)));
    return group;
  }
}

/**
 * The boat in the round: x ahead, y up, z to starboard, about the middle of its water line. Metres.
 */
export function sceneOf(input: RoundInput): Scene {
  const { plan, inks, lies } = input;
  const { craft } = plan;
  const paints = new Paints(inks);
  const scene = new Scene();
  scene.background = new Color(inks.paper);
  scene.add(new HemisphereLight(0xffffff, new Color(inks.faint), 2.2));
  const sun = new DirectionalLight(0xffffff, 1.5);
  sun.position.set(-2, 5, 3);
  scene.add(sun);

  const boat = new Group();
  boat.position.set(-craft.lengthM / 2, -(lies?.draftM ?? 0), 0);
  boat.add(hull(craft, paints), ...floats(craft, paints), ...fittings(craft, paints));
  const deck = deckOf(craft);
  boat.add(deckWith(deck, paints), ...deck.openings.flatMap((one) => opening(one, deck, input, paints)));
  boat.add(person(input, paints));
  for (const one of things(input, paints)) boat.add(one);
  if (input.shows.reach) {
    const { hand, turn } = reachShells(craft, { heightM: input.heightM }, input.stance);
    boat.add(shell(hand, paints, inks.tide), shell(turn, paints, inks.ochre));
  }
  if (input.shows.casting) boat.add(castingArc(input, paints));
  // It turns about the middle of its water line.
  const turned = new Group();
  turned.add(boat);
  turned.rotation.set(
    (lies?.heelDeg ?? 0) * RAD * (input.heelsToPort ? -1 : 1),
    0,
    (lies?.trimDeg ?? 0) * RAD,
  );
  scene.add(turned);
  if (lies) scene.add(water(craft, paints));
  return scene;
}

/** Geometries and materials are freed by hand: the browser's garbage collector does not see them. */
export function freeScene(scene: Scene) {
  scene.traverse((one) => {
    if (one instanceof Mesh || one instanceof Line) {
      (one.geometry as BufferGeometry).dispose();
      (one.material as LineBasicMaterial).dispose();
    }
  });
}

function surface(
  points: readonly { xM: number; yM: number; zM: number }[],
  triangles: readonly (readonly number[])[],
) {
  const geometry = new BufferGeometry();
  const flat = points.flatMap(({ xM, yM, zM }) => [xM, zM, yM]);
  geometry.setAttribute('position', new BufferAttribute(new Float32Array(flat), 3));
  geometry.setIndex(triangles.flat());
  geometry.computeVertexNormals();
  return geometry;
}

function hull(craft: Craft, paints: Paints): Mesh {
  const { points, triangles } = skinOf(craft);
  return new Mesh(surface(points, triangles), paints.solid(paints.mix(paints.inks.ochre, 0.6)));
}

function outline(points: readonly Vector3[], material: LineBasicMaterial): Line {
  return new Line(new BufferGeometry().setFromPoints([...points]), material);
}

function deckWith(deck: Deck, paints: Paints): Group {
  const group = new Group();
  const shape = new Shape();
  deck.edge.forEach(({ xM, yM }, i) => (i === 0 ? shape.moveTo(xM, yM) : shape.lineTo(xM, yM)));
  shape.closePath();
  for (const { fromXM, toXM, halfM, yM } of deck.openings) {
    const hole = new Path();
    hole.moveTo(fromXM, yM - halfM);
    hole.lineTo(fromXM, yM + halfM);
    hole.lineTo(toXM, yM + halfM);
    hole.lineTo(toXM, yM - halfM);
    hole.closePath();
    shape.holes.push(hole);
  }
  const geometry = new ShapeGeometry(shape);
  const at = geometry.getAttribute('position');
  for (let i = 0; i < at.count; i += 1) {
    const [x, y] = [at.getX(i), at.getY(i)];
    at.setXYZ(i, x, deck.heightAt(x), y);
  }
  geometry.computeVertexNormals();
  group.add(new Mesh(geometry, paints.solid(paints.mix(paints.inks.ochre, 0.26))));
  const edge = deck.edge.map(({ xM, yM, zM }) => new Vector3(xM, zM + 0.003, yM));
  const [first] = edge;
  group.add(outline(first ? [...edge, first] : edge, paints.line(paints.inks.ink)));
  return group;
}

/** Walls and floor of a well, and the lid over a hatch. */
function opening(one: Opening, deck: Deck, { open }: RoundInput, paints: Paints): Object3D[] {
  const { fromXM, toXM, halfM, yM, floorM, zone } = one;
  const topM = Math.min(deck.heightAt(fromXM), deck.heightAt(toXM));
  const [long, wide, high] = [toXM - fromXM, 2 * halfM, Math.max(0.01, topM - floorM)];
  const middle = (fromXM + toXM) / 2;
  const walls = new Group();
  const wall = (geometry: BufferGeometry) =>
    walls.add(paints.inked(geometry, paints.mix(paints.inks.ochre, 0.44)));
  for (const side of [1, -1]) {
    wall(new BoxGeometry(long, high, 0.004).translate(middle, floorM + high / 2, yM + side * halfM));
    wall(new BoxGeometry(0.004, high, wide).translate(middle + (side * long) / 2, floorM + high / 2, yM));
  }
  wall(new BoxGeometry(long, 0.004, wide).translate(middle, floorM, yM));
  if (!one.lid) return [walls];
  const lid = new Group();
  const plate = new BoxGeometry(long + 0.03, 0.018, wide + 0.03).translate(-(long + 0.03) / 2, 0.009, 0);
  lid.add(paints.inked(plate, paints.mix(paints.inks.slate, 0.22)));
  // Hinged at its fore edge.
  lid.position.set(toXM + 0.015, deck.heightAt(middle), yM);
  lid.rotation.z = open === zone.id ? -110 * RAD : 0;
  lid.userData.pressed = { is: 'lid', id: zone.id } satisfies Pressed;
  return [walls, lid];
}

function floats(craft: Craft, paints: Paints): Object3D[] {
  const lines = floatLines(craft);
  if (!lines) return [];
  const { outM, deck, lowM, topM } = lines;
  const [from, to] = [deck[0]?.xM ?? 0, deck.at(-1)?.xM ?? 0];
  const half = Math.max(...deck.map(({ halfM }) => halfM));
  return [outM, -outM].flatMap((side) => [
    paints.inked(
      new SphereGeometry(1, 18, 10)
        .scale((to - from) / 2, (topM - lowM) / 2, half)
        .translate((from + to) / 2, (lowM + topM) / 2, side),
      paints.mix(paints.inks.ochre, 0.24),
    ),
    paints.inked(
      new BoxGeometry(0.04, 0.03, Math.abs(side)).translate((from + to) / 2, topM, side / 2),
      paints.mix(paints.inks.slate, 0.4),
    ),
  ]);
}

function fittings(craft: Craft, paints: Paints): Object3D[] {
  return fittingsOf(craft).map(({ lengthM, heightM, widthM, xM, yM, zM }) =>
    paints.inked(
      new BoxGeometry(lengthM, heightM, widthM).translate(xM, zM, yM),
      paints.mix(paints.inks.slate, 0.18),
    ),
  );
}

/** A limb between two places. */
function limb(from: Vector3, to: Vector3, radiusM: number, colour: Color, paints: Paints): Mesh {
  const way = to.clone().sub(from);
  const mesh = new Mesh(
    new CapsuleGeometry(radiusM, Math.max(0.001, way.length()), 6, 14),
    paints.solid(colour),
  );
  mesh.position.copy(from.clone().add(to).multiplyScalar(0.5));
  mesh.setRotationFromQuaternion(new Quaternion().setFromUnitVectors(new Vector3(0, 1, 0), way.normalize()));
  return mesh;
}

/** Whoever sits or stands in it: trunk, head, arms and legs, dressed as the plan has it. */
function person({ plan, heightM, stance }: RoundInput, paints: Paints): Group {
  const { craft } = plan;
  const { head, body, shoulderHalfM } = figureOf(craft, { heightM }, stance);
  const group = new Group();
  const [chin, shoulder, hip, knee, foot] = body;
  if (!chin || !shoulder || !hip || !knee || !foot) return group;
  const { inks } = paints;
  const worn = (form: string) =>
    plan.things.some(({ one, lies }) => lies.in === 'body' && lies.worn && formOf(one.item.kind) === form);
  const legs = paints.mix(inks.slate, 0.62);
  const trunk = worn('jacket') ? paints.mix(inks.clay, 0.6) : paints.mix(inks.kelp, 0.5);
  const at = ({ xM, zM }: { xM: number; zM: number }, side: number) => new Vector3(xM, zM, side);
  const torso = limb(
    at({ xM: hip.xM, zM: hip.zM + 0.1 }, 0),
    at({ xM: shoulder.xM, zM: shoulder.zM - 0.1 }, 0),
    0.125,
    trunk,
    paints,
  );
  torso.scale.z = shoulderHalfM / 0.14;
  group.add(torso);
  for (const side of [1, -1]) {
    group.add(
      limb(at(hip, side * 0.09), at(knee, side * 0.13), 0.07, legs, paints),
      limb(at(knee, side * 0.13), at(foot, side * 0.11), 0.052, legs, paints),
    );
    const arm = at({ xM: shoulder.xM, zM: shoulder.zM - 0.06 }, side * shoulderHalfM);
    const elbow = at({ xM: shoulder.xM + 0.06, zM: shoulder.zM - 0.3 }, side * (shoulderHalfM + 0.06));
    const hand = at({ xM: shoulder.xM + 0.32, zM: shoulder.zM - 0.3 }, side * (shoulderHalfM - 0.02));
    group.add(limb(arm, elbow, 0.045, legs, paints), limb(elbow, hand, 0.038, legs, paints));
  }
  const skin = paints.mix(inks.ochre, 0.3);
  group.add(
    new Mesh(new SphereGeometry(head.radiusM, 18, 12).translate(head.xM, head.zM, 0), paints.solid(skin)),
  );
  const cover = worn('helmet') ? 'clay' : worn('hat') ? 'paper' : null;
  if (cover) {
    const dome = new SphereGeometry(head.radiusM * 1.12, 18, 8, 0, 2 * Math.PI, 0, Math.PI / 2);
    group.add(paints.inked(dome.translate(head.xM, head.zM + 0.02, 0), paints.wash(cover)));
    if (cover === 'paper')
      group.add(
        paints.inked(
          new CylinderGeometry(head.radiusM * 1.7, head.radiusM * 1.8, 0.012, 22).translate(
            head.xM,
            head.zM + 0.02,
            0,
          ),
          paints.wash(cover),
        ),
      );
  }
  if (stance !== 'standing') {
    const seat = seatOf(craft);
    const base = Math.max(floorOf(craft), hip.zM - 0.05 * heightM - 0.03);
    const cushion = paints.mix(inks.kelp, 0.62);
    group.add(
      paints.inked(new BoxGeometry(0.4, 0.04, 0.42).translate(seat.xM + 0.04, base, 0), cushion),
      paints.inked(
        new BoxGeometry(0.04, 0.36, 0.4).rotateZ(12 * RAD).translate(seat.xM - 0.19, base + 0.19, 0),
        cushion,
      ),
    );
  }
  return group;
}

/** Everything that lies in a place of the boat by itself, where the drawing has it; leashes to their eyes. */
function things({ plan, chosen, inks }: RoundInput, paints: Paints): Object3D[] {
  const laid = layoutOf(plan);
  return plan.things.flatMap((placed) => {
    const { zone, one, spot, eye } = placed;
    const at = laid.get(one.item.id);
    if (!at || !zone || spot.in !== 'zone') return [];
    const [long, middle, short] = sizeOf(one.item);
    const isChosen = one.item.id === chosen;
    const ink = isChosen ? inks.clay : placed.lies.held ? inks.ink : inks.ochre;
    const thing = new Group();
    const stands = standsUp(placed);
    const across = !stands && at.widthM > at.lengthM;
    const size = stands
      ? { longM: long, wideM: middle, highM: Math.max(0.02, short) }
      : {
          longM: Math.max(at.lengthM, at.widthM),
          wideM: Math.min(at.lengthM, at.widthM),
          highM: Math.max(0.02, short),
        };
    for (const { geometry, wash } of gearSolid(formOf(one.item.kind), size))
      thing.add(paints.inked(geometry, isChosen ? paints.mix(inks.ochre, 0.5) : paints.wash(wash), ink));
    if (stands) {
      const lean = (zone.angleDeg ?? 0) * RAD;
      // Its foot is on the floor of its place; it leans astern.
      thing.rotation.z = 90 * RAD + lean;
      thing.position.set(at.xM - (long / 2) * Math.sin(lean), zone.floorM + topOver(placed) / 2, at.yM);
    } else {
      thing.rotation.y = across ? 90 * RAD : 0;
      thing.position.set(at.xM, zone.floorM + size.highM / 2 + 0.004, at.yM);
    }
    thing.userData.pressed = { is: 'thing', id: one.item.id } satisfies Pressed;
    if (!eye) return [thing];
    const [from, to] = [thing.position, new Vector3(eye.xM, eye.floorM, eye.yM)];
    const low = from.clone().add(to).multiplyScalar(0.5);
    low.y -= 0.06;
    return [thing, outline([from.clone(), low, to], paints.line(inks.clay))];
  });
}

/** What is reached: rings at two heights over the arc that the arm goes round, and a thin wash between. */
function shell({ centre, radiusM, roundDeg }: ReachShell, paints: Paints, ink: string): Group {
  const group = new Group();
  for (const down of [0, -0.5]) {
    const ring = Math.sqrt(Math.max(0, 1 - down * down)) * radiusM;
    const points = Array.from({ length: 49 }, (_, i) => {
      const bearing = (-roundDeg + (i * 2 * roundDeg) / 48) * RAD;
      return new Vector3(
        centre.xM + ring * Math.cos(bearing),
        centre.zM + down * radiusM,
        ring * Math.sin(bearing),
      );
    });
    group.add(outline(points, paints.line(ink, 0.9)));
  }
  const ball = new Mesh(
    new SphereGeometry(
      radiusM,
      40,
      16,
      (180 - roundDeg) * RAD,
      2 * roundDeg * RAD,
      0.5 * Math.PI,
      0.3 * Math.PI,
    ),
    new MeshBasicMaterial({
      color: new Color(ink),
      transparent: true,
      opacity: 0.07,
      depthWrite: false,
      side: DoubleSide,
    }),
  );
  ball.position.set(centre.xM, centre.zM, 0);
  group.add(ball);
  return group;
}

/** Standing higher than the shoulders by this, m, is in the way of a rod swung overhead. */
const SWUNG_M = 0.1;
/** A rod that is in nobody's kit yet is so long, m. */
const ROD_M = 2.1;
/**
 * Where the longest rod's tip goes in an overhead cast, from behind to ahead; what stands in it is marked.
 */
function castingArc({ plan, heightM, stance, inks }: RoundInput, paints: Paints): Group {
  const { hand } = reachShells(plan.craft, { heightM }, stance);
  const { xM, zM } = hand.centre;
  const rods = plan.things.filter(({ one }) => isRod(one.item.kind)).map(({ one }) => sizeOf(one.item)[0]);
  const radius = hand.radiusM + (rods.length > 0 ? Math.max(...rods) : ROD_M);
  const group = new Group();
  const points = Array.from({ length: 41 }, (_, i) => {
    const turn = (20 + (i * 150) / 40) * RAD;
    return new Vector3(xM + radius * Math.cos(turn), zM + radius * Math.sin(turn), 0.25);
  });
  group.add(
    outline([new Vector3(xM, zM, 0.25), ...points, new Vector3(xM, zM, 0.25)], paints.line(inks.kelp, 0.8)),
  );
  for (const placed of standingInCast(plan, zM)) {
    const { zone } = placed;
    if (!zone) continue;
    const lean = (zone.angleDeg ?? 0) * RAD;
    const [tall, top] = [sizeOf(placed.one.item)[0], topOver(placed)];
    const cone = new ConeGeometry(0.05, 0.12, 12).rotateX(Math.PI);
    group.add(
      paints.inked(
        cone.translate(zone.xM - tall * Math.sin(lean), zone.floorM + top + 0.1, zone.yM),
        new Color(inks.clay),
      ),
    );
  }
  return group;
}
/** What stands abaft the seat higher than the shoulders of whoever casts. */
export function standingInCast(plan: StowPlan, shoulderM: number): Placed[] {
  const seat = seatOf(plan.craft);
  return plan.things.filter(
    (placed) =>
      placed.zone !== null &&
      standsUp(placed) &&
      placed.zone.xM < seat.xM &&
      placed.zone.floorM + topOver(placed) > shoulderM + SWUNG_M,
  );
}

function water(craft: Craft, paints: Paints): Group {
  const { inks } = paints;
  const group = new Group();
  const [long, wide] = [craft.lengthM + 2 * WATER_M, craft.beamM + 2 * WATER_M];
  const plane = new Mesh(
    new BoxGeometry(long, 0.001, wide),
    new MeshBasicMaterial({
      color: new Color(inks.tide),
      transparent: true,
      opacity: 0.2,
      depthWrite: false,
    }),
  );
  group.add(plane);
  for (let k = 0; k < 8; k += 1) {
    const z = -wide / 2 + (wide * (k + 0.5)) / 8;
    const points = Array.from({ length: 40 }, (_, i) => {
      const x = -long / 2 + (long * i) / 39;
      return new Vector3(x, 0.002, z + 0.05 * Math.sin(3 * x + k * 1.7));
    });
    group.add(outline(points, paints.line(inks.tide, 0.35)));
  }
  return group;
}
