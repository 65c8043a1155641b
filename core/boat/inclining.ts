import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import { figuresOf, floorOf, seatOf } from './build';
import { afloatWith, hydrostatics, restOf } from './hull/hydrostatics';
import type { Hull } from './hull/hull';
import { hullsOf } from './hulls';
import { anglerLoad, ownLoads } from './lading';

/** One reading: a known mass so far off the middle line, and the heel that a level on the deck shows. */
export interface Reading {
  massKg: number;
  armM: number;
  heelDeg: number;
}
export interface IncliningTest {
  waterDensity: number;
  /** Who sits in it, low and still, meanwhile; null: nobody. */
  angler: Pick<Angler, 'massKg' | 'heightM'> | null;
  readings: readonly Reading[];
  /**
   * Depth of the keel under water by the tape at bow and stern, with nothing off the middle line; null: not
   * taken.
   */
  draftBowM: number | null;
  draftSternM: number | null;
}
export interface InclinedFit {
  sectionExponent: number;
  ownVcgM: number;
  /** Root mean square between heels read and heels worked out, °. */
  offDeg: number;
  heels: readonly { readDeg: number; workedDeg: number | null }[];
  /** Draft amidships that the fitted hull has, and that the tape gave; null: not taken. */
  draftM: number | null;
  tapedM: number | null;
  /**
   * Whether it may be kept with the boat: heels within two degrees, and its own weight where a hull can have
   * it.
   */
  usable: boolean;
  /** What keeps it from being trusted further, a sentence each. */
  doubts: readonly string[];
}

/** Bounds of what a hull of this family can be. */
const SECTION = { least: 1.2, most: 15 };
/**
 * A heel smaller than this is read to no more than a fifth of itself off a phone; a greater one leaves the
 * straight part of the curve.
 */
const LEAST_HEEL_DEG = 2;
const MOST_HEEL_DEG = 12;
const WELL_DEG = 0.5;
/** Farther off than this the readings were of something else, and nothing is measured by them. */
const USABLE_DEG = 2;
const STEPS = 32;

/**
 * Section exponent and height of the hull's own weight that an inclining test fits: the exponent from the
 * draft that the tape gives, the height from the heels. Bisected each; both fall off one way.
 * @returns null: no hull of this length, beam and depth floats as it was read
 */
export function inclinedFit(craft: Craft, test: IncliningTest): InclinedFit | null {
  const { readings, draftBowM, draftSternM } = test;
  if (readings.length === 0) return null;
  const figures = figuresOf(craft);
  const formed =
    figures.stations === null && figures.preset !== 'pontoon' && figures.preset !== 'three tubes';
  const { rockerM } = figures;
  // At the ends the keel has risen by the rocker.
  const tapedM = draftBowM !== null && draftSternM !== null ? (draftBowM + draftSternM) / 2 + rockerM : null;
  const withExponent = (sectionExponent: number): Craft => ({
    ...craft,
    shape: { ...figures, sectionExponent },
  });
  const draftOf = (sectionExponent: number) =>
    hydrostatics(afloat(hullsOf(withExponent(sectionExponent), 'coarse'), craft, test)).draftM;
  const sectionExponent =
    formed && tapedM !== null
      ? bisect(SECTION.least, SECTION.most, (m) => (draftOf(m) ?? Infinity) - tapedM)
      : figures.sectionExponent;
  const shaped = withExponent(sectionExponent);
  const hull = hullsOf(shaped, 'coarse');
  const heelsAt = (ownVcgM: number) =>
    readings.map((reading) => {
      const rest = restOf(afloat(hull, { ...shaped, ownVcgM }, test, reading));
      return rest ? (Math.abs(rest.attitude.heel) * 180) / Math.PI : null;
    });
  // A boat that goes right over heels more than any that was read.
  const excess = (ownVcgM: number) =>
    heelsAt(ownVcgM).reduce<number>(
      (sum, worked, i) => sum + (worked ?? 90) - Math.abs(readings[i]?.heelDeg ?? 0),
      0,
    );
  const [low, high] = [-0.15, figures.depthM + 0.3];
  const ownVcgM = bisect(low, high, (z) => -excess(z));
  const heels = heelsAt(ownVcgM).map((workedDeg, i) => ({
    readDeg: Math.abs(readings[i]?.heelDeg ?? 0),
    workedDeg,
  }));
  if (heels.some(({ workedDeg }) => workedDeg === null)) return null;
  const offDeg = Math.sqrt(
    heels.reduce((sum, { readDeg, workedDeg }) => sum + (readDeg - (workedDeg ?? 0)) ** 2, 0) / heels.length,
  );
  const draftM = hydrostatics(afloat(hull, { ...shaped, ownVcgM }, test)).draftM;
  const nowhere = ownVcgM <= low + 0.01 || ownVcgM >= high - 0.01 || ownVcgM < 0;
  return {
    sectionExponent,
    ownVcgM,
    offDeg,
    heels,
    draftM,
    tapedM,
    usable: !nowhere && offDeg <= USABLE_DEG,
    doubts: [
      ...(readings.length < 3
        ? ['Fewer than three readings: a slip of one is not found out. Take four, two to each side.']
        : []),
      ...(heels.some(({ readDeg }) => readDeg < LEAST_HEEL_DEG)
        ? [`A heel under ${LEAST_HEEL_DEG}° is read poorly: more mass, or farther out.`]
        : []),
      ...(heels.some(({ readDeg }) => readDeg > MOST_HEEL_DEG)
        ? [`A heel over ${MOST_HEEL_DEG}° says more of the deck than of the hull: less mass.`]
        : []),
      ...(offDeg > WELL_DEG
        ? ['The readings do not lie on one curve: the boat moved, or an arm was measured wrongly.']
        : []),
      ...(nowhere
        ? [
            'The hull’s own weight comes out where no hull has it: check beam, depth, and the mass of the hull.',
          ]
        : []),
      ...(formed &&
      tapedM !== null &&
      (sectionExponent <= SECTION.least + 0.01 || sectionExponent >= SECTION.most - 0.01)
        ? [
            'No section of this family lies as deep as the tape says: check length, beam and mass, or read its offsets.',
          ]
        : []),
      ...(tapedM === null && formed
        ? ['Without the draft at both ends the section stays as it is drawn.']
        : []),
      ...(formed ? [] : ['Its section is no curve of one figure: only the height of its weight was fitted.']),
    ],
  };
}

function afloat(
  hull: Hull,
  craft: Craft,
  { angler, waterDensity }: IncliningTest,
  reading: Reading | null = null,
) {
  const { xM } = seatOf(craft);
  return afloatWith(
    hull,
    [
      ...ownLoads(craft),
      ...(angler ? [anglerLoad(craft, angler, 'seated low', 'low')] : []),
      ...(reading
        ? [{ massKg: reading.massKg, xM, yM: Math.abs(reading.armM), zM: floorOf(craft) + 0.1 }]
        : []),
    ],
    waterDensity,
  );
}

/** Where a falling function passes nought, or the nearer end. */
function bisect(from: number, to: number, falling: (value: number) => number): number {
  let [low, high] = [from, to];
  for (let i = 0; i < STEPS; i += 1) {
    const mid = (low + high) / 2;
    if (falling(mid) > 0) low = mid;
    else high = mid;
  }
  return (low + high) / 2;
}

/** The boat as the fit has it. */
export function calibrated(craft: Craft, fit: InclinedFit, on: string): Craft {
  const round = (value: number, to: number) => Math.round(value * to) / to;
  return {
    ...craft,
    shape: { ...figuresOf(craft), sectionExponent: round(fit.sectionExponent, 100) },
    ownVcgM: round(Math.min(1.5, Math.max(-0.2, fit.ownVcgM)), 1000),
    inclined: { on, offDeg: round(Math.min(45, fit.offDeg), 100), readings: fit.heels.length },
  };
}
