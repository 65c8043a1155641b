import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import { seatedIn, setUpOf, shapeOf } from './build';
import { type Flooded, wholeVolume } from './hull/float';
import { partOf } from './hull/hull';
import { type Hydrostatics, afloatWith, hydrostatics } from './hull/hydrostatics';
import { hullsOf } from './hulls';
import { type Lading, anglerLoad, ownLoads } from './lading';

/** A part of the hull between two walls. */
export interface Compartment {
  fromM: number;
  toM: number;
  /** All that it would hold, m³. */
  volumeM3: number;
}

/** The parts a hull is divided in by its bulkheads, from the stern; one, where it has none. */
export function compartmentsOf(craft: Craft): Compartment[] {
  const inside = craft.bulkheadsM
    .filter((at) => at > 0.05 && at < craft.lengthM - 0.05)
    .toSorted((a, b) => a - b);
  const walls = [-1, ...inside, craft.lengthM + 1];
  return walls.slice(1).map((toM, i) => {
    const fromM = walls[i] ?? 0;
    return {
      fromM: Math.max(0, fromM),
      toM: Math.min(craft.lengthM, toM),
      volumeM3: wholeVolume([partOf(shapeOf(craft), fromM, toM)], craft.lengthM / 2),
    };
  });
}

export interface Swamped {
  state: Hydrostatics;
  /** What one can do in it, in words of practice. */
  can:
    | 'paddle on'
    | 'paddle ashore, low and slow'
    | 'sit awash at best'
    | 'hold on to it'
    | 'nothing: it goes under';
}

/**
 * Little side left, m; and metacentric height under which a boat full of water is past paddling, m. Rules of
 * thumb.
 */
const LOW_M = 0.06;
const LEAST_GM_M = 0.05;

/**
 * A boat with so much water in its compartments, the angler seated as before. Litres by compartment, from the
 * stern.
 */
export function swamped(
  craft: Craft,
  angler: Pick<Angler, 'massKg' | 'heightM'>,
  gear: Lading | null,
  litres: readonly number[],
  waterDensity: number,
): Swamped {
  const flooded = compartmentsOf(craft).flatMap(({ fromM, toM, volumeM3 }, i): Flooded[] => {
    const wanted = Math.min(volumeM3, (litres[i] ?? 0) / 1000);
    const [from, to] = [fromM <= 0 ? -1 : fromM, toM >= craft.lengthM ? craft.lengthM + 1 : toM];
    return wanted > 0 ? [{ part: partOf(shapeOf(craft), from, to), volumeM3: wanted }] : [];
  });
  const loads = [
    ...ownLoads(craft),
    anglerLoad(craft, angler, seatedIn(craft), setUpOf(craft).seat),
    ...(gear ? [gear] : []),
  ];
  const boat = { ...afloatWith(hullsOf(craft, 'coarse'), loads, waterDensity), flooded };
  const water = flooded.reduce((sum, { volumeM3 }) => sum + volumeM3, 0);
  const sinks = boat.massKg + water * waterDensity >= wholeVolume(boat.bodies, boat.midM) * waterDensity;
  if (sinks)
    return {
      state: { ...hydrostatics({ ...boat, flooded: [], massKg: 1e9 }), massKg: boat.massKg },
      can: 'nothing: it goes under',
    };
  const state = hydrostatics(boat);
  return { state, can: doneIn(state) };
}
function doneIn({ heelDeg, freeboardMinM, gmTransverseM }: Hydrostatics): Swamped['can'] {
  if (heelDeg === null || gmTransverseM === null || gmTransverseM <= 0 || freeboardMinM === null)
    return 'hold on to it';
  if (freeboardMinM <= 0) return 'sit awash at best';
  return freeboardMinM < LOW_M || gmTransverseM < LEAST_GM_M ? 'paddle ashore, low and slow' : 'paddle on';
}
