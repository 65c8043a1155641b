import { type Body } from './body';
import { type Attitude, type Immersed, immersed } from './immersed';

/**
 * Something aboard: x forward of the stern, y to starboard, z up from the base line. The hull's own mass is
 * one of them.
 */
export interface Load {
  massKg: number;
  xM: number;
  yM: number;
  zM: number;
}

/** All that floats together, and what is aboard of it. */
export interface Afloat {
  bodies: readonly Body[];
  midM: number;
  lengthM: number;
  waterDensity: number;
  massKg: number;
  /** Centre of gravity, x from mid-length. */
  g: { x: number; y: number; z: number };
  /** Water let in, which lies where the boat's attitude lets it; left out: none. */
  flooded?: readonly Flooded[];
}
/** So much water in a part of the hull, free to run within it. */
export interface Flooded {
  /** The inside of the part, as a body. */
  part: Body;
  volumeM3: number;
}

/**
 * A boat at rest at one heel: level across is not asked, only that it floats and lies fore and aft as it
 * would.
 */
export interface Held {
  attitude: Attitude;
  under: Immersed;
  /** The weight with the water let in, as it lies. */
  massKg: number;
  g: { x: number; y: number; z: number };
  /** How far buoyancy lies to starboard of weight, m: what rights a boat that is heeled to starboard. */
  gzM: number;
}

const MOST_STEPS = 60;
const MOST_TRIM = (60 * Math.PI) / 180;
/** Close enough: of the displaced volume, and of the lever fore and aft in metres. */
const VOLUME_SHARE = 1e-10;
const LEVER_M = 1e-9;

/**
 * Floats a boat at a heel, free to sink and to trim: Newton's method on rise and trim, with the derivatives
 * from the same pass as the volume.
 * @param heel rad
 * @param near an attitude to begin from
 * @returns null: it comes to no rest there (it would go end over end, or under)
 */
export function floatAt(afloat: Afloat, heel: number, near: Attitude | null): Held | null {
  const trim = near ? near.trim : 0;
  const begin: Attitude = near ? { ...near, heel } : { heel, trim, rise: riseFor(afloat, heel, trim) };
  return (
    settle(afloat, begin) ?? (near ? settle(afloat, { heel, trim: 0, rise: riseFor(afloat, heel, 0) }) : null)
  );
}

function settle(afloat: Afloat, begin: Attitude): Held | null {
  const { bodies, midM, lengthM, waterDensity } = afloat;
  const { heel } = begin;
  let { trim, rise } = begin;
  for (let i = 0; i < MOST_STEPS; i += 1) {
    const attitude = { heel, trim, rise };
    const under = immersed(bodies, attitude, midM);
    const { massKg, g } = weightAt(afloat, attitude);
    const wanted = massKg / waterDensity;
    const [sinT, cosT] = [Math.sin(trim), Math.cos(trim)];
    const [sinH, cosH] = [Math.sin(heel), Math.cos(heel)];
    // Along the boat and level; its derivative by trim is the upward direction, turned about.
    const e = [cosT, sinH * sinT, -cosH * sinT] as const;
    const up = [sinT, -sinH * cosT, cosH * cosT] as const;
    const lever = [
      under.mx - under.volume * g.x,
      under.my - under.volume * g.y,
      under.mz - under.volume * g.z,
    ] as const;
    const excess = under.volume - wanted;
    const moment = dot(lever, e);
    if (Math.abs(excess) <= VOLUME_SHARE * wanted && Math.abs(moment) <= LEVER_M * wanted) {
      const across = lever[1] * cosH + lever[2] * sinH;
      return { attitude, under, massKg, g, gzM: across / under.volume };
    }
    const square = 1 / (cosT * cosT);
    const slope = sinT / cosT;
    const lift = rise * under.w - slope * under.wx;
    const liftX = rise * under.wx - slope * under.wxx;
    const byRise = [
      under.wx - under.w * g.x,
      under.ws * cosH - lift * sinH - under.w * g.y,
      under.ws * sinH + lift * cosH - under.w * g.z,
    ] as const;
    const byTrim = [
      -square * (under.wxx - under.wx * g.x),
      -square * (under.wsx * cosH - liftX * sinH - under.wx * g.y),
      -square * (under.wsx * sinH + liftX * cosH - under.wx * g.z),
    ] as const;
    const [vr, vt] = [under.w, -square * under.wx];
    const [mr, mt] = [dot(byRise, e), dot(byTrim, e) - dot(lever, up)];
    const det = vr * mt - vt * mr;
    if (!(under.w > 0) || Math.abs(det) < 1e-18) return null;
    // Bounded steps: a waterline far from where it belongs says little of the way there.
    const most = lengthM / 20;
    rise += bounded(-(excess * mt - moment * vt) / det, most);
    trim += bounded(-(moment * vr - excess * mr) / det, 0.12);
    if (!Number.isFinite(rise) || !Number.isFinite(trim) || Math.abs(trim) > MOST_TRIM) return null;
  }
  return null;
}

/** The weight with the water let in, which lies level in its parts. */
function weightAt(
  { massKg, g, flooded, waterDensity, midM }: Afloat,
  attitude: Attitude,
): Pick<Held, 'massKg' | 'g'> {
  if (flooded === undefined || flooded.length === 0) return { massKg, g };
  let mass = massKg;
  let [mx, my, mz] = [massKg * g.x, massKg * g.y, massKg * g.z];
  for (const { part, volumeM3 } of flooded) {
    const level = levelOf(part, volumeM3, attitude, midM);
    const water = level.volume * waterDensity;
    mass += water;
    mx += level.mx * waterDensity;
    my += level.my * waterDensity;
    mz += level.mz * waterDensity;
  }
  return { massKg: mass, g: { x: mx / mass, y: my / mass, z: mz / mass } };
}

/** Water of a given volume in a part, level: a part that holds less is full. */
function levelOf(part: Body, volumeM3: number, { heel, trim }: Attitude, midM: number): Immersed {
  const at = (rise: number) => immersed([part], { heel, trim, rise }, midM);
  let [low, high] = [-4, 4];
  const full = at(high);
  if (full.volume <= volumeM3) return full;
  let found = full;
  for (let i = 0; i < 60 && high - low > 1e-10; i += 1) {
    const mid = (low + high) / 2;
    found = at(mid);
    if (found.volume > volumeM3) high = mid;
    else low = mid;
  }
  return found;
}

/** The rise at which a boat displaces its weight, held at a heel and trim; bisected, for a first guess. */
function riseFor(afloat: Afloat, heel: number, trim: number): number {
  const { bodies, midM } = afloat;
  let [low, high] = [-3, 3];
  for (let i = 0; i < 40; i += 1) {
    const mid = (low + high) / 2;
    const attitude = { heel, trim, rise: mid };
    const { massKg } = weightAt(afloat, attitude);
    if (immersed(bodies, attitude, midM).volume * afloat.waterDensity > massKg) high = mid;
    else low = mid;
  }
  return (low + high) / 2;
}

/** All the volume there is, m³: a boat heavier than that goes under. */
export function wholeVolume(bodies: readonly Body[], midM: number): number {
  return immersed(bodies, { heel: 0, trim: 0, rise: 50 }, midM).volume;
}

type Vector = readonly [number, number, number];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
const bounded = (value: number, most: number) => Math.min(most, Math.max(-most, value));
