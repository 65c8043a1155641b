import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import type { Station } from '../documents/hullShape';
import { rememberFor } from '../units/remember';
import type { Stance } from '../vocabulary/boat';
import { figuresOf, floatsOutM, floorOf, seatOf, setUpOf, shapeOf } from './build';
import { stationsOf } from './hull/shape';
import { BEND_M, armsOf } from './zones';

/** A boat's lines as they are drawn. Metres; x forward of the stern, y to starboard, z over the base line. */
export interface Lines {
  /** Half the breadth at its widest over each place along it: the deck from above. */
  deck: readonly { xM: number; halfM: number }[];
  /** Keel and sheer from the side. */
  keel: readonly { xM: number; zM: number }[];
  sheer: readonly { xM: number; zM: number }[];
  /** The section where it is widest, right half, from keel to sheer. */
  section: readonly { yM: number; zM: number }[];
  stations: readonly Station[];
}

const DRAWN = 41;

/** The lines of a boat's hull. */
export const linesOf: (craft: Craft) => Lines = rememberFor((craft: Craft) => {
  const shape = shapeOf(craft);
  const stations = 'form' in shape ? stationsOf(shape.form, DRAWN, 12) : shape.stations;
  const widest = stations.reduce((best, one) => (broad(one) > broad(best) ? one : best));
  return {
    deck: stations.map((one) => ({ xM: one.xM, halfM: broad(one) })),
    keel: stations.map(({ xM, outline }) => ({ xM, zM: Math.min(...outline.map(({ zM }) => zM)) })),
    sheer: stations.map(({ xM, outline }) => ({ xM, zM: outline[outline.length - 1]?.zM ?? 0 })),
    section: widest.outline,
    stations,
  };
});
const broad = ({ outline }: Station) => Math.max(...outline.map(({ yM }) => yM));

/**
 * Half the breadth of the waterplane along the boat, upright, at a draft amidships and a trim (bow up), where
 * it is in the water.
 */
export function waterlineOf(craft: Craft, draftM: number, trimDeg: number): { xM: number; halfM: number }[] {
  const slope = Math.tan((trimDeg * Math.PI) / 180);
  return linesOf(craft).stations.flatMap(({ xM, outline }) => {
    const level = draftM - (xM - craft.lengthM / 2) * slope;
    let half: number | null = null;
    outline.forEach(({ yM, zM }, i) => {
      const next = outline[i + 1];
      if (!next || zM > level === next.zM > level) return;
      const at = yM + ((next.yM - yM) * (level - zM)) / (next.zM - zM);
      half = Math.max(half ?? 0, at);
    });
    return half === null ? [] : [{ xM, halfM: half }];
  });
}

/** A side float from above: where it is, and its half-breadth along it. */
export function floatLines(
  craft: Craft,
): { outM: number; deck: { xM: number; halfM: number }[]; lowM: number; topM: number } | null {
  const { floats } = craft;
  const outM = floatsOutM(craft);
  if (!floats || outM === null) return null;
  const { lengthM, beamM, alongM, overM, depthM } = floats;
  const deck = Array.from({ length: 15 }, (_, i) => {
    const u = (2 * i) / 14 - 1;
    return { xM: alongM + (lengthM * i) / 14, halfM: (beamM / 2) * (1 - u * u) };
  });
  return { outM, deck, lowM: overM, topM: overM + depthM };
}

/** The one who sits or stands in it, as a measure: joints from head to foot, from the side. */
export interface Figure {
  head: { xM: number; zM: number; radiusM: number };
  /** Chin, shoulders, hip, knee, foot. */
  body: readonly { xM: number; zM: number }[];
  shoulderHalfM: number;
}
/** Segment lengths of a body as shares of its height (Drillis and Contini). */
export function figureOf(craft: Craft, { heightM }: Pick<Angler, 'heightM'>, stance: Stance): Figure {
  const seat = seatOf(craft);
  const shoulderHalfM = 0.13 * heightM;
  const radiusM = 0.065 * heightM;
  if (stance === 'standing') {
    const [x, z] = [seat.xM + 0.3, floorOf(craft)];
    return {
      head: { xM: x, zM: z + 0.93 * heightM, radiusM },
      body: [0.865, 0.82, 0.53, 0.28, 0].map((share) => ({ xM: x, zM: z + share * heightM })),
      shoulderHalfM,
    };
  }
  const high = stance === 'seated high' || (stance !== 'seated low' && setUpOf(craft).seat === 'high');
  const hip = { xM: seat.xM, zM: (high ? (seat.highM ?? seat.lowM) : seat.lowM) + 0.05 * heightM };
  const foot = { xM: hip.xM + 0.44 * heightM, zM: floorOf(craft) + 0.04 };
  return {
    head: { xM: hip.xM + 0.01, zM: hip.zM + 0.41 * heightM, radiusM },
    body: [
      { xM: hip.xM + 0.01, zM: hip.zM + 0.345 * heightM },
      { xM: hip.xM, zM: hip.zM + 0.3 * heightM },
      hip,
      { xM: hip.xM + 0.22 * heightM, zM: Math.max(hip.zM, foot.zM) + 0.06 * heightM },
      foot,
    ],
    shoulderHalfM,
  };
}

/** How far hand and twist go over the deck, from above, about the shoulders, m. */
export function reachArcs(
  craft: Craft,
  angler: Pick<Angler, 'heightM'>,
  stance: Stance,
): { xM: number; handM: number; turnM: number } {
  const { xM, shoulderM, armM, turnM } = armsOf(craft, angler, stance);
  const fall = shoulderM - figuresOf(craft).depthM;
  const flat = (reach: number) => Math.sqrt(Math.max(0, reach * reach - fall * fall));
  return { xM, handM: flat(armM) + BEND_M, turnM: flat(turnM) };
}
