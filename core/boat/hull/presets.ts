import type { HullShape, Station } from '../../documents/hullShape';
import type { BoatShape } from '../../documents/boatParts';
import { stationsOf } from './shape';

const STATIONS = 31;
/**
 * Pontoons: how far in from the middle line the inner wall is, and how high the tunnel's roof, as shares of
 * half-beam and depth.
 */
const TUNNEL = { inner: 0.36, roof: 0.45, keel: 0.7, corner: 0.12 };
/**
 * Three tubes: points that draw a side tube, and how far the floor lies over the lowest of it, as a share of
 * half its height.
 */
const ARC = 14;
const FLOOR = 0.25;

/**
 * A hull's shape from its preset and figures; offsets that were read say more. Rounded, V, multi-chine and
 * flat hulls are one family by the section exponent; pontoons and tubes have sections of their own, along the
 * same plan, keel and sheer.
 */
export function shapeFrom(
  { preset, stations, ...figures }: BoatShape,
  { lengthM, beamM }: { lengthM: number; beamM: number },
): HullShape {
  if (stations !== null) return { stations };
  const form = { lengthM, beamM, ...figures };
  if (preset !== 'pontoon' && preset !== 'three tubes') return { form };
  const section = preset === 'pontoon' ? pontoon : tubes;
  return {
    // Keel and sheer of the form, the breadth of its plan; the ends are closed by a hand's breadth, not by a
    // point.
    stations: stationsOf(form, STATIONS, 2).map(({ xM, outline }) => {
      const keel = outline[0]?.zM ?? 0;
      const top = outline[outline.length - 1] ?? { yM: 0, zM: 0 };
      return { xM, outline: section(top.yM, keel, Math.max(0.01, top.zM - keel)) };
    }),
  };
}

/**
 * Two hulls side by side under one deck: half of it, from the tunnel's roof down the inner wall, along the
 * keel and up the side.
 */
function pontoon(half: number, keel: number, high: number): Station['outline'] {
  const at = (y: number, z: number) => ({ yM: half * y, zM: keel + high * z });
  const { inner, roof, keel: low, corner } = TUNNEL;
  return [
    at(0, roof),
    at(inner * 0.8, roof),
    at(inner, corner),
    at(low - 0.14, 0),
    at(low + 0.14, 0),
    at(0.96, corner),
    at(1, 0.4),
    at(1, 1),
  ];
}

/** Two side tubes and a flat floor between them, as an inflatable is: half of it, to the top of the tube. */
function tubes(half: number, keel: number, high: number): Station['outline'] {
  // At the ends, where it is narrow, the tubes meet; they stay as high.
  const radius = Math.min(high, half) / 2;
  const middle = half - radius;
  const from = Math.acos(1 - FLOOR);
  const arc = Array.from({ length: ARC + 1 }, (_, i) => {
    const angle = -from + ((Math.PI + from) * i) / ARC;
    return {
      yM: Math.max(0, middle + radius * Math.sin(angle)),
      zM: keel + (high / 2) * (1 - Math.cos(angle)),
    };
  });
  return [{ yM: 0, zM: arc[0]?.zM ?? keel }, ...arc];
}
