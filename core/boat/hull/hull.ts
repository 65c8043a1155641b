import type { HullShape } from '../../documents/hullShape';
import { type Body, bodyOf } from './body';
import { sliced, stationsOf } from './shape';

/** A hull ready to float: its bodies, its length and the middle of it. */
export interface Hull {
  bodies: readonly Body[];
  lengthM: number;
  midM: number;
}

/**
 * Outriggers: small forms of their own, one each side, so far from the middle line and over the base line;
 * folded they lie close in.
 */
export interface SideFloats {
  shape: HullShape;
  /** From the middle line to the middle of a float, m. */
  outM: number;
  /** Of its own base line over the hull's, and of its own stern forward of the hull's, m. */
  overM: number;
  alongM: number;
}

/**
 * A well in the deck with an open scupper: water stands in it as high as outside. A box from `fromM` to
 * `toM`, metres.
 */
export interface Well {
  fromM: number;
  toM: number;
  halfBreadthM: number;
  floorM: number;
  topM: number;
}

const FLOAT_STATIONS = 31;
const FLOAT_STRETCHES = 14;

/**
 * How finely a hull is cut. Usual: true to a third of a millimetre for what people build. Coarse: half the
 * sections in half the stretches, four times as quick, and true to a millimetre or two. Fine: where a full
 * section's ends leave the water the usual cut is a millimetre out in GM; six times as slow.
 */
export type Mesh = 'coarse' | 'usual' | 'fine';
const FINE_STATIONS = 241;
const FINE_STRETCHES = 48;

/** A hull from its sections or from a form, with what it carries beside it and what of it water stands in. */
export function hullOf(
  shape: HullShape,
  {
    floats = null,
    openWells = [],
    mesh = 'usual',
  }: { floats?: SideFloats | null; openWells?: readonly Well[]; mesh?: Mesh } = {},
): Hull {
  const stations = slicesOf(shape, mesh);
  const first = stations[0]?.xM ?? 0;
  const last = stations[stations.length - 1]?.xM ?? 0;
  const beside = floats === null ? [] : [1, -1].map((side) => floatBody(floats, side));
  return {
    bodies: [bodyOf(stations), ...beside, ...openWells.map(wellBody)],
    lengthM: last - first,
    midM: (first + last) / 2,
  };
}

/** The part of a hull between two places along it, as water let in finds it. */
export function partOf(shape: HullShape, fromM: number, toM: number): Body {
  const stations = slicesOf(shape).filter(({ xM }) => xM >= fromM && xM <= toM);
  // Pairs of slices are added up together: an odd one out is left off.
  return bodyOf(stations.length % 2 === 0 ? stations.slice(0, -1) : stations, { sheer: false });
}

function slicesOf(shape: HullShape, mesh: Mesh = 'usual') {
  if ('stations' in shape) return sliced(shape.stations, mesh === 'fine' ? FINE_STATIONS : undefined);
  if (mesh === 'usual') return stationsOf(shape.form);
  return mesh === 'fine'
    ? stationsOf(shape.form, FINE_STATIONS, FINE_STRETCHES)
    : stationsOf(shape.form, FLOAT_STATIONS, FLOAT_STRETCHES);
}
function floatBody({ shape, outM, overM, alongM }: SideFloats, side: number): Body {
  // A float is a tenth of the hull: half as many sections follow it as closely.
  const slices =
    'form' in shape ? stationsOf(shape.form, FLOAT_STATIONS, FLOAT_STRETCHES) : sliced(shape.stations);
  return bodyOf(slices, { atM: { x: alongM, y: side * outM, z: overM }, sheer: false });
}
function wellBody({ fromM, toM, halfBreadthM, floorM, topM }: Well): Body {
  const outline = [
    { yM: 0, zM: floorM },
    { yM: halfBreadthM, zM: floorM },
    { yM: halfBreadthM, zM: topM },
  ];
  const slices = [fromM, (fromM + toM) / 2, toM].map((xM) => ({ xM, outline }));
  return bodyOf(slices, { sign: -1, sheer: false });
}
