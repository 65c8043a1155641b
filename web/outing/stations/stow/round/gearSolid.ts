import {
  BoxGeometry,
  type BufferGeometry,
  CapsuleGeometry,
  CatmullRomCurve3,
  CylinderGeometry,
  ExtrudeGeometry,
  Path,
  PlaneGeometry,
  Shape,
  SphereGeometry,
  TorusGeometry,
  TubeGeometry,
  type Vector2,
  Vector3,
} from 'three';
import type { GearForm } from '#core/catalog/gear/forms';
import { type Stroke, type Wash, drawings } from '../../../../ui/gear/drawings';

/** One solid part of a thing with its wash. The thing lies along x about its middle, y up, z across. */
export interface Part {
  geometry: BufferGeometry;
  wash: Wash;
}
interface Size {
  longM: number;
  wideM: number;
  highM: number;
}
/** Nothing is drawn thinner, m: it would not be seen. */
const LEAST_M = 0.012;

/** Round things, which lie along their length. */
const rounds: ReadonlySet<GearForm> = new Set<GearForm>([
  ...(['roll', 'roll-top bag', 'spray can', 'flare', 'throw bag', 'tube', 'pump', 'bailer'] as const),
]);

/** A thing as a solid: by its form, else its outline from above made as high as it is. Metres. */
export function gearSolid(form: GearForm, size: Size): Part[] {
  const { longM, wideM, highM } = size;
  if (form === 'rod') return rod(longM);
  if (form === 'paddle') return paddle(longM, wideM);
  if (form === 'flag') return mast(longM, new PlaneGeometry(0.3, 0.2).translate(longM / 2 - 0.1, 0, 0.16));
  if (form === 'light on a mast')
    return mast(longM, new SphereGeometry(0.035, 12, 8).translate(longM / 2, 0, 0));
  if (form === 'net') return net(longM, wideM);
  if (form === 'crate') return crate(size);
  if (rounds.has(form)) {
    const radius = Math.max(LEAST_M, Math.min(wideM, highM) / 2);
    const body = new CapsuleGeometry(radius, Math.max(0.001, longM - 2 * radius), 5, 14).rotateZ(Math.PI / 2);
    return [{ geometry: body, wash: washIn(form) }];
  }
  return drawings[form].above.flatMap((stroke, i) => extruded(stroke, size, i));
}

/** The first wash of its drawing that is no paper. */
function washIn(form: GearForm): Wash {
  return drawings[form].above.find(({ fill }) => fill !== 'none' && fill !== 'ink')?.fill ?? 'paper';
}

function extruded(stroke: Stroke, { longM, wideM, highM }: Size, nth: number): Part[] {
  const high = Math.max(LEAST_M, highM);
  // What is drawn later lies on top of what was drawn before.
  const depth = high + 0.004 * nth;
  const [long, wide] = [Math.max(longM, LEAST_M), Math.max(wideM, LEAST_M)];
  if (!('d' in stroke)) {
    const radius = Math.max(LEAST_M / 2, stroke.r * Math.min(long, wide));
    const round = new CylinderGeometry(radius, radius, depth, 16);
    return [
      {
        geometry: round.translate(stroke.at[0] * long, (depth - high) / 2, stroke.at[1] * wide),
        wash: stroke.fill,
      },
    ];
  }
  return pathsOf(stroke.d, long, wide).map(({ points, closed }): Part => {
    if (!closed || stroke.fill === 'none') {
      // The first stroke is the thing itself, as a shaft or a cord; later ones are lines on its top.
      const up = nth === 0 ? 0 : depth - high / 2;
      const way = points.map(({ x, y }) => new Vector3(x, up, y));
      const curve = new CatmullRomCurve3(way, closed, 'catmullrom', 0);
      return {
        geometry: new TubeGeometry(curve, 2 * way.length, nth === 0 ? LEAST_M / 2 : LINE_M, 5, closed),
        wash: 'ink',
      };
    }
    // An outline is extruded towards the viewer: laid down, its depth is the height.
    const body = new ExtrudeGeometry(new Shape(points), { depth, bevelEnabled: false });
    return { geometry: body.rotateX(Math.PI / 2).translate(0, depth - high / 2, 0), wash: stroke.fill };
  });
}
const LINE_M = 0.002;

/** The lines of a path of M, L, Q and Z, in shares of length and width, as points in metres. */
function pathsOf(d: string, longM: number, wideM: number): { points: Vector2[]; closed: boolean }[] {
  return d.split(/(?=M)/).map((part) => {
    const path = new Path();
    for (const [, command, rest = ''] of part.matchAll(/([MLQ])([^MLQZ]*)/g)) {
      const numbers = rest
        .trim()
        .split(/[\s,]+/)
        .map(Number);
      const [a = 0, b = 0, c = 0, e = 0] = numbers.map((value, i) => value * (i % 2 === 0 ? longM : wideM));
      if (command === 'M') path.moveTo(a, b);
      else if (command === 'L') path.lineTo(a, b);
      else path.quadraticCurveTo(a, b, c, e);
    }
    return { points: path.getPoints(6), closed: part.includes('Z') };
  });
}

/** A bar along x from one place to another, thinner at its end. */
function bar(fromM: number, toM: number, radiusM: number, endRadiusM = radiusM): BufferGeometry {
  return new CylinderGeometry(endRadiusM, radiusM, toM - fromM, 8)
    .rotateZ(-Math.PI / 2)
    .translate((fromM + toM) / 2, 0, 0);
}

const GRIP_SHARE = 0.22;
function rod(longM: number): Part[] {
  const [butt, tip] = [-longM / 2, longM / 2];
  const grip = butt + GRIP_SHARE * longM;
  const rings = [0.4, 0.56, 0.7, 0.82, 0.92, 0.99].map((share) => butt + share * longM);
  return [
    { geometry: bar(butt, grip, 0.017), wash: 'sand' },
    { geometry: bar(grip, tip, 0.007, 0.002), wash: 'ink' },
    {
      geometry: new CylinderGeometry(0.04, 0.04, 0.05, 18)
        .rotateX(Math.PI / 2)
        .translate(grip - 0.06, -0.06, 0),
      wash: 'paper',
    },
    ...rings.map((at): Part => ({
      geometry: new SphereGeometry(0.009, 6, 5).translate(at, -0.01, 0),
      wash: 'ink',
    })),
  ];
}

const BLADE_M = 0.46;
function paddle(longM: number, wideM: number): Part[] {
  const blade = Math.min(BLADE_M, longM * 0.24);
  return [
    { geometry: bar(-longM / 2 + blade * 0.6, longM / 2 - blade * 0.6, 0.015), wash: 'kelp' },
    ...[1, -1].map((end): Part => ({
      geometry: new SphereGeometry(1, 14, 8)
        .scale(blade / 2, 0.008, Math.max(0.06, wideM / 2))
        .translate(end * (longM / 2 - blade / 2), 0, 0),
      wash: 'tide',
    })),
  ];
}

function mast(longM: number, top: BufferGeometry): Part[] {
  return [
    { geometry: bar(-longM / 2, longM / 2, 0.008), wash: 'ink' },
    { geometry: top, wash: 'clay' },
  ];
}

function net(longM: number, wideM: number): Part[] {
  const hoop = Math.max(0.08, wideM / 2);
  const middle = longM / 2 - hoop;
  return [
    { geometry: bar(-longM / 2, middle - hoop, 0.014), wash: 'sand' },
    {
      geometry: new TorusGeometry(hoop, 0.01, 6, 26).rotateX(Math.PI / 2).translate(middle, 0, 0),
      wash: 'ink',
    },
    {
      geometry: new SphereGeometry(hoop * 0.92, 14, 6, 0, Math.PI * 2, Math.PI / 2, Math.PI / 2)
        .scale(1, 0.5, 1)
        .translate(middle, 0, 0),
      wash: 'paper',
    },
  ];
}

/** Four walls and a floor: what stands in it looks out. */
function crate({ longM, wideM, highM }: Size): Part[] {
  const wall = 0.012;
  const walls = [
    new BoxGeometry(longM, highM, wall).translate(0, 0, wideM / 2 - wall / 2),
    new BoxGeometry(longM, highM, wall).translate(0, 0, -wideM / 2 + wall / 2),
    new BoxGeometry(wall, highM, wideM - 2 * wall).translate(longM / 2 - wall / 2, 0, 0),
    new BoxGeometry(wall, highM, wideM - 2 * wall).translate(-longM / 2 + wall / 2, 0, 0),
    new BoxGeometry(longM - 2 * wall, wall, wideM - 2 * wall).translate(0, -highM / 2 + wall / 2, 0),
  ];
  return walls.map((geometry) => ({ geometry, wash: 'sand' as const }));
}
