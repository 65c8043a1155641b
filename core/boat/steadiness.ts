import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import type { Sea } from '../environment/sea';
import { rememberFor } from '../units/remember';
import { figure } from '../units/words';
import type { Stance } from '../vocabulary/boat';
import { type Standing, heelUnder, vanishingDeg } from './stability';

/**
 * How far the weight of the body wanders while one fishes, m: who is seasoned sits still, and on one's feet
 * one keeps over them. Rules of thumb.
 */
const LEANS_M: Record<Angler['experience'], { seated: number; standing: number }> = {
  new: { seated: 0.03, standing: 0.02 },
  some: { seated: 0.025, standing: 0.015 },
  experienced: { seated: 0.02, standing: 0.011 },
};
/**
 * Whoever sits or stands there holds the boat level against a load off the middle by so much of his own
 * weight to the other side, m. Rule of thumb.
 */
const EVENS_OUT_M = 0.02;
/**
 * Breaking waves stand at about a seventh of their length; lower ones are too short to tip the whole of a
 * hull, m.
 */
const BREAKER_DEG = (Math.PI / 7) * (180 / Math.PI);
const WHOLE_BREAKER_M = 0.5;
/** A wave tilts a hull as it is itself tilted where it is so many beams long. */
const BEAMS_LONG = 6;
const DEEP_WATER_M_PER_S2 = 1.56;

/** What a boat is asked to bear, and what it can, degrees of heel. */
export interface Steadiness {
  /** From a lean of the body; null: nothing rights it. */
  leanDeg: number | null;
  waveDeg: number;
  /** The heel from which it does not come back. */
  vanishingDeg: number;
  /** Lean and wave as a part of that; Infinity: nothing rights it. */
  share: number;
}

/** @param waveDeg slope of the waves it lies in */
export function steadinessOf(
  laden: Standing,
  { massKg, experience }: Pick<Angler, 'massKg' | 'experience'>,
  stance: Stance,
  waveDeg: number,
): Steadiness {
  const standing = { ...laden, offM: Math.max(0, laden.offM - (EVENS_OUT_M * massKg) / laden.massKg) };
  const leanM = LEANS_M[experience][stance === 'standing' ? 'standing' : 'seated'];
  const leanDeg = heelUnder(standing, (leanM * massKg) / standing.massKg);
  const limit = vanishingDeg(standing);
  const share = leanDeg === null || limit <= 0 ? Infinity : (leanDeg + waveDeg) / limit;
  return { leanDeg, waveDeg, vanishingDeg: limit, share };
}

/**
 * Slope of the wind's waves under a hull, degrees: π times height over length; waves that break stand as
 * steep as breakers. A swell is too long to be felt.
 */
export function slopeDeg(
  { steepness, windSeaS }: Pick<Sea, 'steepness' | 'windSeaS'>,
  beamM: number,
): number {
  const lengthM = DEEP_WATER_M_PER_S2 * windSeaS ** 2;
  const tilts = Math.min(1, lengthM / (BEAMS_LONG * beamM));
  return tilts * (steepness === null ? BREAKER_DEG : 180 * steepness);
}
export function breakerSlopeDeg(breakerM: number): number {
  return BREAKER_DEG * Math.min(1, breakerM / WHOLE_BREAKER_M);
}

/**
 * How much fuller in section and from above than it is drawn a hull of that picture may be: metacentric
 * heights of hulls that look alike differ by more.
 */
const FULLEST = { section: 3.5, plan: 2.6 };
/**
 * The boats that a drawing by a few figures may stand for: half-way to the steadiest of them, and that one.
 */
export interface DrawnRange {
  middle: Craft;
  steadiest: Craft;
}
/** null: it was inclined, or is known by its sections. */
export const drawnRange = rememberFor((craft: Craft): DrawnRange | null => {
  const { shape, inclined } = craft;
  if (inclined || !shape || shape.stations) return null;
  const fuller = (part: number): Craft => ({
    ...craft,
    shape: {
      ...shape,
      sectionExponent: shape.sectionExponent * FULLEST.section ** part,
      planExponent: shape.planExponent * FULLEST.plan ** part,
    },
  });
  return { middle: fuller(0.5), steadiest: fuller(1) };
});

/** The heel past which a boat does not come back, in words: "48°", "over 60°". */
export function sayVanishing(standing: Standing): string {
  const limit = vanishingDeg(standing);
  return limit <= 0 ? 'nothing' : `${limit >= MOST_DEG ? 'over ' : ''}${figure(limit, 0)}°`;
}
/** Levers are kept up to here. */
const MOST_DEG = 60;
