import type { Angler } from '../documents/angler';
import type { Craft } from '../documents/craft';
import { rememberFor } from '../units/remember';
import type { SeatHeight, Stance } from '../vocabulary/boat';
import { seatOf, setUpOf } from './build';
import type { Attitude } from './hull/immersed';
import { type Held, floatAt, wholeVolume } from './hull/float';
import type { Hull } from './hull/hull';
import { afloatWith, freeboard, metacentres } from './hull/hydrostatics';
import { coarseHull } from './hulls';
import { type Lading, anglerLoad, ownLoads, together } from './lading';

const RAD = Math.PI / 180;
/** Heels at which a hull's levers are kept. Closest where they are judged. */
const HEELS = [0, 2.5, 5, 7.5, 10, 12.5, 15, 20, 25, 30, 40, 50, 60];
/** Spacing of the loads between which levers are read off. */
const MASS_STEP_KG = 10;
const ALONG_STEP_M = 0.05;

/**
 * A hull's levers under one load whose weight lies on the base line: cross curves, as naval architects keep
 * them.
 */
interface Curves {
  /** Lever of buoyancy over the middle of the base line at each heel; as far as it comes to rest there. */
  leversM: readonly number[];
  draftM: number;
  trimDeg: number;
  freeboardM: number;
  /** Height of the metacentre over the base line. */
  metacentreM: number;
}

/** How a boat lies and stands up under one load. Heel null: it comes to no rest before 60°. */
export interface Standing {
  massKg: number;
  draftM: number;
  trimDeg: number;
  freeboardM: number;
  gmM: number;
  heelDeg: number | null;
  /**
   * Righting lever at each of the heels that are kept, with the weight on the centre line; and how far off it
   * the weight is, m.
   */
  leversM: readonly number[];
  offM: number;
}

/**
 * Weight is taken this high over the base line while levers are worked out: what trim makes of it is a matter
 * of per mille.
 */
const ABOUT_M = 0.3;

/**
 * Cross curves of a hull, worked out where they are asked for and kept: under even loads, to be read off in
 * between.
 */
function crossCurves(hull: Hull, waterDensity: number): (massKg: number, xM: number) => Curves | null {
  const wholeKg = wholeVolume(hull.bodies, hull.midM) * waterDensity;
  const known = new Map<number, Curves | null>();
  const make = (mass: number, along: number): Curves | null => {
    const massKg = mass * MASS_STEP_KG;
    if (massKg <= 0 || massKg >= wholeKg) return null;
    const load = { massKg, xM: along * ALONG_STEP_M, yM: 0, zM: ABOUT_M };
    const boat = afloatWith(hull, [load], waterDensity);
    const leversM: number[] = [];
    let near: Attitude | null = null;
    let upright: Held | null = null;
    for (const deg of HEELS) {
      const held: Held | null = floatAt(boat, deg * RAD, near);
      if (!held) break;
      upright ??= held;
      near = held.attitude;
      leversM.push(held.gzM + ABOUT_M * Math.sin(deg * RAD));
    }
    if (!upright) return null;
    return {
      leversM,
      draftM: upright.attitude.rise,
      trimDeg: upright.attitude.trim / RAD,
      freeboardM: freeboard(boat, upright.attitude),
      metacentreM: metacentres(upright).gmTransverseM + ABOUT_M,
    };
  };
  const at = (mass: number, along: number) => {
    const key = mass * 10_000 + along;
    const found = known.get(key);
    if (found !== undefined) return found;
    const made = make(mass, along);
    known.set(key, made);
    return made;
  };
  return (massKg, xM) => {
    const [m, a] = [massKg / MASS_STEP_KG, xM / ALONG_STEP_M];
    const [m0, a0] = [Math.floor(m), Math.floor(a)];
    const low = blend(at(m0, a0), at(m0, a0 + 1), a - a0);
    const high = blend(at(m0 + 1, a0), at(m0 + 1, a0 + 1), a - a0);
    return blend(low, high, m - m0);
  };
}
function blend(one: Curves | null, other: Curves | null, share: number): Curves | null {
  if (!one || !other) return share < 0.5 ? one : other;
  const mix = (a: number, b: number) => a + (b - a) * share;
  return {
    leversM: Array.from({ length: Math.min(one.leversM.length, other.leversM.length) }, (_, i) =>
      mix(one.leversM[i] ?? 0, other.leversM[i] ?? 0),
    ),
    draftM: mix(one.draftM, other.draftM),
    trimDeg: mix(one.trimDeg, other.trimDeg),
    freeboardM: mix(one.freeboardM, other.freeboardM),
    metacentreM: mix(one.metacentreM, other.metacentreM),
  };
}

const curvesBy = rememberFor((_: Hull) => new Map<number, ReturnType<typeof crossCurves>>());
function curvesOf(hull: Hull, waterDensity: number) {
  const by = curvesBy(hull);
  const found = by.get(waterDensity) ?? crossCurves(hull, waterDensity);
  by.set(waterDensity, found);
  return found;
}

/**
 * What is judged of a boat under a load: read off its cross curves, true to a few millimetres and tenths of a
 * degree.
 */
export function standingOf(
  hull: Hull,
  { massKg, xM, yM, zM }: Lading,
  waterDensity: number,
): Standing | 'sinks' | null {
  const curves = curvesOf(hull, waterDensity)(massKg, xM);
  if (!curves) return massKg < wholeVolume(hull.bodies, hull.midM) * waterDensity ? null : 'sinks';
  const { draftM, trimDeg, freeboardM, metacentreM } = curves;
  const leversM = curves.leversM.map((lever, i) => lever - zM * Math.sin((HEELS[i] ?? 0) * RAD));
  // The heeling weight presses over, whichever side it is on.
  const standing = {
    massKg,
    draftM,
    trimDeg,
    freeboardM,
    gmM: metacentreM - zM,
    leversM,
    offM: Math.abs(yM),
  };
  return { ...standing, heelDeg: heelUnder(standing, 0) };
}

/**
 * Heel at which it comes to rest with so much more of a heeling arm, m, on the side that is down; null: at
 * none before 60°.
 */
export function heelUnder(
  { leversM, offM }: Pick<Standing, 'leversM' | 'offM'>,
  armM: number,
): number | null {
  return restDeg(leversM.map((lever, i) => lever - (offM + armM) * Math.cos((HEELS[i] ?? 0) * RAD)));
}
/**
 * The heel from which it no longer comes back, by its weight as it lies; 60° where it still does there, 0
 * where nothing rights it.
 */
export function vanishingDeg({ leversM, offM }: Pick<Standing, 'leversM' | 'offM'>): number {
  const lever = (i: number) => (leversM[i] ?? 0) - offM * Math.cos((HEELS[i] ?? 0) * RAD);
  const last = leversM.findLastIndex((_, i) => lever(i) > 1e-9);
  if (last < 0) return 0;
  const [a, b] = [lever(last), lever(last + 1)];
  const [from, to] = [HEELS[last] ?? 0, HEELS[last + 1] ?? 0];
  return last + 1 >= leversM.length ? from : from + ((to - from) * a) / (a - b);
}

/** The first heel at which the lever turns from pressing over to righting. */
function restDeg(levers: readonly number[]): number | null {
  if ((levers[0] ?? 0) > -1e-9 && (levers[1] ?? 0) > 0) return 0;
  for (let i = 1; i < levers.length; i += 1) {
    const [a, b] = [levers[i - 1] ?? 0, levers[i] ?? 0];
    const [from, to] = [HEELS[i - 1] ?? 0, HEELS[i] ?? 0];
    if (a <= 1e-9 && b > 0) return from + ((to - from) * -a) / (b - a);
  }
  return null;
}
/**
 * Stances that a boat, as it is put together, is judged in: what it has no seat for or no deck for is left
 * out.
 */
export function stancesOf(craft: Craft): Stance[] {
  const high = seatOf(craft).highM !== null;
  return [
    'seated low',
    ...(high ? (['seated high'] as const) : []),
    ...(craft.standing ? (['standing'] as const) : []),
    'leaning',
    'reaching astern',
  ];
}

/** All that floats with the angler in a stance, and what is stowed. */
export function laden(
  craft: Craft,
  angler: Pick<Angler, 'massKg' | 'heightM'>,
  stance: Stance,
  gear: Lading | null,
  seat: SeatHeight = setUpOf(craft).seat,
): Lading {
  return together([...ownLoads(craft), anglerLoad(craft, angler, stance, seat), ...(gear ? [gear] : [])]);
}

/** How it stands in a stance with what is aboard; null: it comes to no rest. */
export function standingIn(
  craft: Craft,
  angler: Pick<Angler, 'massKg' | 'heightM'>,
  stance: Stance,
  gear: Lading | null,
  waterDensity: number,
): Standing | 'sinks' | null {
  return standingOf(coarseHull(craft), laden(craft, angler, stance, gear), waterDensity);
}

/**
 * Length, area and height of what is under water and over it, for drag. Level and on even keel at the trim it
 * takes.
 */
export interface WettedHull {
  draftM: number;
  waterlineM: number;
  wettedM2: number;
  /** Silhouettes from the side: under water, and of the hull over it. */
  underM2: number;
  overM2: number;
  /** Of the hull over water, from ahead. */
  aheadM2: number;
}

/** What of a boat is wet under a load; null: it does not float. */
export function wettedOf(craft: Craft, load: Lading, waterDensity: number): WettedHull | null {
  const hull = coarseHull(craft);
  const held = floatAt(afloatWith(hull, [load], waterDensity), 0, null);
  if (!held) return null;
  const [body] = hull.bodies;
  if (!body) return null;
  const slope = Math.tan(held.attitude.trim);
  const level = (i: number) => held.attitude.rise - ((body.x[i] ?? 0) - hull.midM) * slope;
  const sum = { waterlineM: 0, wettedM2: 0, underM2: 0, overM2: 0 };
  let ahead = 0;
  for (let i = 0; i < body.x.length; i += 1) {
    const [begin, end] = [body.from[i] ?? 0, body.from[i + 1] ?? 0];
    const waterline = level(i);
    let girth = 0;
    let [low, high] = [Infinity, -Infinity];
    for (let k = begin; k < end; k += 1) {
      const next = k + 1 < end ? k + 1 : begin;
      const [y1, z1, y2, z2] = [body.y[k] ?? 0, body.z[k] ?? 0, body.y[next] ?? 0, body.z[next] ?? 0];
      low = Math.min(low, z1);
      high = Math.max(high, z1);
      const whole = Math.hypot(y2 - y1, z2 - z1);
      const [d1, d2] = [waterline - z1, waterline - z2];
      if (d1 > 0 && d2 > 0) girth += whole;
      else if (d1 > 0 !== d2 > 0) girth += (whole * Math.max(d1, d2)) / Math.abs(d1 - d2);
    }
    const [before, after] = [body.x[i - 1] ?? body.x[i] ?? 0, body.x[i + 1] ?? body.x[i] ?? 0];
    const stretch = (after - before) / 2;
    const under = Math.max(0, waterline - low);
    const over = Math.max(0, high - Math.max(low, waterline));
    if (under > 0) sum.waterlineM += stretch;
    sum.wettedM2 += girth * stretch;
    sum.underM2 += under * stretch;
    sum.overM2 += over * stretch;
    ahead = Math.max(ahead, over * ((body.starboard[i] ?? 0) - (body.port[i] ?? 0)));
  }
  return { draftM: held.attitude.rise, ...sum, aheadM2: ahead };
}
