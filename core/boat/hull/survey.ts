import type { HullForm } from '../../documents/hullShape';

/** What a bottom looks like across, and the section exponent that draws it so. Rules of thumb. */
export const bottoms = {
  'shallow V': { sectionExponent: 6, words: 'two flat sides that meet at the keel' },
  rounded: { sectionExponent: 7, words: 'round from side to side' },
  'multi-chine': { sectionExponent: 10, words: 'flat panels with soft corners' },
  flat: { sectionExponent: 14, words: 'flat across, sides nearly upright' },
} as const;
export type Bottom = keyof typeof bottoms;

/**
 * What a tape gives at home: metres, at a quarter from the stern, amidships, and at a quarter from the bow.
 */
export interface Survey {
  lengthM: number;
  beamM: readonly [aft: number, middle: number, forward: number];
  /** From the keel to the sheer there. */
  depthM: readonly [aft: number, middle: number, forward: number];
  bottom: Bottom;
  /** How far the keel rises at the ends over a level floor. */
  rockerM: number;
}

/**
 * A plan fuller than this is a box, slenderer than that a spindle: beams beyond are measured wrongly or no
 * boat's.
 */
const PLAN = { least: 1, most: 12 };

/**
 * The form that a survey fits: the plan so that it is as broad at the quarters as measured, fore and aft
 * alike; the sheer so that it is as deep there. An estimate: a form has its bow like its stern.
 * @returns null where no form fits (wider at the quarters than amidships)
 */
export function surveyed({ lengthM, beamM, depthM, bottom, rockerM }: Survey): HullForm | null {
  const [aft, middle, forward] = beamM;
  const quarter = (aft + forward) / 2 / middle;
  if (!(quarter > 0) || quarter >= 1) return null;
  // At the quarters u is a half: 1 − (½)^p of the half-beam.
  const planExponent = Math.min(PLAN.most, Math.max(PLAN.least, Math.log(1 - quarter) / Math.log(0.5)));
  const deeper = (depthM[0] + depthM[2]) / 2 - depthM[1];
  return {
    lengthM,
    beamM: middle,
    depthM: depthM[1],
    rockerM,
    // Depth grows with a quarter of what sheer rises over keel.
    sheerM: Math.max(0, rockerM + 4 * deeper),
    planExponent,
    sectionExponent: bottoms[bottom].sectionExponent,
  };
}
