import { type Body } from './body';
import { type Afloat, type Held, type Load, floatAt, wholeVolume } from './float';
import type { Attitude } from './immersed';

export interface GzPoint {
  heelDeg: number;
  gzM: number;
}
/**
 * How a boat floats, in the form of the calculator. null: there is none (not afloat, no upright rest, or not
 * asked).
 */
export interface Hydrostatics {
  afloat: boolean;
  massKg: number;
  lcgM: number;
  tcgM: number;
  vcgM: number;
  /** At mid-length on the middle line, above the base line. */
  draftM: number | null;
  /** Bow up. */
  trimDeg: number | null;
  /** Starboard down; null: it comes to no rest, it capsizes. */
  heelDeg: number | null;
  /** Least height of the sheer over the water; negative: it is under. */
  freeboardMinM: number | null;
  gmTransverseM: number | null;
  gmLongitudinalM: number | null;
  /**
   * Righting levers from upright to 90°, at constant displacement, free to trim, the weight on the middle
   * line.
   */
  gz: GzPoint[] | null;
  gzMax: GzPoint | null;
  vanishingDeg: number | null;
  deckEdgeDeg: number | null;
}

const RAD = Math.PI / 180;
/** Heel is looked for in steps of no more than this. */
const SCAN_DEG = 1;
const MOST_HEEL_DEG = 90;
export const GZ_STEP_DEG = 2.5;
/** A lever under this is none, m. */
const NO_LEVER_M = 1e-9;

/** A hull with what rides in it and on it, ready to float. */
export function afloatWith(
  hull: { bodies: readonly Body[]; lengthM: number; midM: number },
  loads: readonly Load[],
  waterDensity: number,
): Afloat {
  const massKg = loads.reduce((sum, load) => sum + load.massKg, 0);
  const centre = (of: (load: Load) => number) =>
    massKg > 0 ? loads.reduce((sum, load) => sum + load.massKg * of(load), 0) / massKg : 0;
  return {
    ...hull,
    waterDensity,
    massKg,
    g: { x: centre(({ xM }) => xM) - hull.midM, y: centre(({ yM }) => yM), z: centre(({ zM }) => zM) },
  };
}

/**
 * Where and how a boat comes to rest, and how hard it comes back from a heel. Too heavy to float, or
 * capsizing, are answers like others.
 */
export function hydrostatics(boat: Afloat, { gz = false }: { gz?: boolean } = {}): Hydrostatics {
  const { massKg, g, midM, bodies, waterDensity } = boat;
  const none = {
    draftM: null,
    trimDeg: null,
    heelDeg: null,
    freeboardMinM: null,
    gmTransverseM: null,
    gmLongitudinalM: null,
  };
  const still = { massKg, lcgM: g.x + midM, tcgM: g.y, vcgM: g.z };
  const noCurve = { gz: null, gzMax: null, vanishingDeg: null, deckEdgeDeg: null };
  if (wholeVolume(bodies, midM) * waterDensity <= massKg || massKg <= 0)
    return { afloat: false, ...still, ...none, ...noCurve };
  const rest = restOf(boat);
  const curve = gz ? curveOf(boat) : noCurve;
  const lies = rest ?? floatAt(boat, 0, null);
  if (!lies) return { afloat: true, ...still, ...none, ...curve };
  return {
    afloat: true,
    ...still,
    draftM: lies.attitude.rise / Math.cos(lies.attitude.heel),
    trimDeg: lies.attitude.trim / RAD,
    heelDeg: rest ? rest.attitude.heel / RAD : null,
    freeboardMinM: freeboard(boat, lies.attitude),
    ...metacentres(lies),
    ...(boat.flooded?.length ? { gmTransverseM: slopeAt(boat, lies) } : {}),
    ...curve,
  };
}

/**
 * The rest a boat comes to from upright: the first heel, on the side its weight lies, at which the lever
 * turns from pressing it over to righting it. Scanned, and not found by a bare root finder, which also finds
 * rests that do not hold. null: none before 90°.
 */
export function restOf(boat: Afloat): Held | null {
  const side = boat.g.y < 0 ? -1 : 1;
  const lever = (held: Held) => side * held.gzM;
  let last = floatAt(boat, 0, null);
  if (!last) return null;
  // Level already: steady when a little heel is righted.
  if (Math.abs(boat.g.y) < 1e-12 && metacentres(last).gmTransverseM > 0) return last;
  for (let deg = SCAN_DEG; deg <= MOST_HEEL_DEG; deg += SCAN_DEG) {
    const next: Held | null = floatAt(boat, side * deg * RAD, last.attitude);
    if (!next) return null;
    if (lever(next) > NO_LEVER_M && (deg > SCAN_DEG || lever(last) <= NO_LEVER_M)) {
      if (lever(last) <= NO_LEVER_M) return between(boat, last, next, lever);
    }
    last = next;
  }
  return null;
}

/** The heel between two at which the lever is nought: false position, with the idle end's weight halved. */
function between(boat: Afloat, from: Held, to: Held, lever: (held: Held) => number): Held {
  let [a, b] = [from, to];
  let [fa, fb] = [lever(a), lever(b)];
  let found = to;
  for (let i = 0; i < 40; i += 1) {
    const share = Math.min(0.999, Math.max(0.001, fa / (fa - fb)));
    const heel = a.attitude.heel + (b.attitude.heel - a.attitude.heel) * share;
    const next = floatAt(boat, heel, found.attitude);
    if (!next) return found;
    found = next;
    const f = lever(next);
    if (Math.abs(f) < 1e-10 || Math.abs(b.attitude.heel - a.attitude.heel) < 1e-9) return found;
    if (f > 0) {
      [b, fb] = [next, f];
      fa /= 2;
    } else {
      [a, fa] = [next, f];
      fb /= 2;
    }
  }
  return found;
}

/**
 * Metacentric heights as it lies: the waterplane's second moment over the volume, less how far weight is over
 * buoyancy.
 */
export function metacentres({ attitude, under, g }: Held): {
  gmTransverseM: number;
  gmLongitudinalM: number;
} {
  const { heel, trim } = attitude;
  const [sinT, cosT] = [Math.sin(trim), Math.cos(trim)];
  const [sinH, cosH] = [Math.sin(heel), Math.cos(heel)];
  const up = [sinT, -sinH * cosT, cosH * cosT] as const;
  const over =
    (g.x - under.mx / under.volume) * up[0] +
    (g.y - under.my / under.volume) * up[1] +
    (g.z - under.mz / under.volume) * up[2];
  // Across, and along as it lies on the water: an element of the plane is longer by the trim.
  const area = under.w / cosT;
  const acrossS = under.ws / cosT;
  const alongX = under.wx / cosT ** 2;
  const across = under.wss / cosT - (area > 0 ? acrossS ** 2 / area : 0);
  const along = under.wxx / cosT ** 3 - (area > 0 ? alongX ** 2 / area : 0);
  return { gmTransverseM: across / under.volume - over, gmLongitudinalM: along / under.volume - over };
}

/**
 * How fast the lever grows with heel where water let in runs to the low side: what is left of the metacentric
 * height. A tenth of a degree each way.
 */
function slopeAt(boat: Afloat, { attitude }: Held): number | null {
  const step = 0.1 * RAD;
  const [less, more] = [-step, step].map((by) => floatAt(boat, attitude.heel + by, attitude));
  return less && more ? (more.gzM - less.gzM) / (2 * step) : null;
}

/** The least height of the sheer over a waterline, m. */
export function freeboard({ bodies, midM }: Afloat, { heel, trim, rise }: Attitude): number {
  const [sinT, cosT] = [Math.sin(trim), Math.cos(trim)];
  const [sinH, cosH] = [Math.sin(heel), Math.cos(heel)];
  let least = Infinity;
  for (const { sheer } of bodies)
    for (const { xM, yM, zM } of sheer)
      least = Math.min(least, (xM - midM) * sinT + (zM * cosH - yM * sinH - rise) * cosT);
  return least;
}

/**
 * Levers of a boat whose weight is on the middle line, from upright to a heel, each begun from the one
 * before.
 */
export function gzCurve(
  boat: Afloat,
  stepDeg = GZ_STEP_DEG,
  mostDeg = MOST_HEEL_DEG,
): { point: GzPoint; held: Held }[] {
  const centred = { ...boat, g: { ...boat.g, y: 0 } };
  const list: { point: GzPoint; held: Held }[] = [];
  let near: Attitude | null = null;
  for (let i = 0; i * stepDeg <= mostDeg + 1e-9; i += 1) {
    const held: Held | null = floatAt(centred, i * stepDeg * RAD, near);
    if (!held) break;
    // The next lies about as far on as this one did from the last.
    const before = list[list.length - 1]?.held.attitude ?? held.attitude;
    const { trim, rise, heel } = held.attitude;
    near = { heel, trim: 2 * trim - before.trim, rise: 2 * rise - before.rise };
    list.push({ point: { heelDeg: i * stepDeg, gzM: held.gzM }, held });
  }
  return list;
}

function curveOf(boat: Afloat): Pick<Hydrostatics, 'gz' | 'gzMax' | 'vanishingDeg' | 'deckEdgeDeg'> {
  const centred = { ...boat, g: { ...boat.g, y: 0 } };
  const curve = gzCurve(boat);
  const gz = curve.map(({ point }) => point);
  const gzMax = gz.reduce<GzPoint | null>(
    (best, point) => (best && best.gzM >= point.gzM ? best : point),
    null,
  );
  const zero = (of: (held: Held) => number, from: (typeof curve)[number], to: (typeof curve)[number]) =>
    between(centred, from.held, to.held, (held) => -of(held)).attitude.heel / RAD;
  const falls = (of: (held: Held) => number) => {
    for (let i = 1; i < curve.length; i += 1) {
      const from = curve[i - 1];
      const to = curve[i];
      if (from && to && of(from.held) > 0 && of(to.held) <= 0) return zero(of, from, to);
    }
    return null;
  };
  return {
    gz,
    gzMax,
    vanishingDeg: falls(({ gzM }) => gzM),
    deckEdgeDeg: falls(({ attitude }) => freeboard(boat, attitude)),
  };
}
