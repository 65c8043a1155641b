import type { HullForm, Station } from '../../documents/hullShape';

const STATIONS = 61;
/** Stretches that half a section is drawn in. */
const STRETCHES = 32;
/**
 * Steps in which a section's bend is felt out, and a share of even spacing, so that straight parts have
 * points too.
 */
const FINE = 300;
const EVEN = 0.15;
/** Intervals that a hull of given stations is cut into at least. */
const LEAST_INTERVALS = 62;

/** Sections of a form, equally spaced from stern to bow; an odd number of them. */
export function stationsOf(form: HullForm, count = STATIONS, stretches = STRETCHES): Station[] {
  const { lengthM, beamM, depthM, rockerM, sheerM, planExponent, sectionExponent: m } = form;
  const shares = sharesOfBreadth(m, stretches);
  return Array.from({ length: count }, (_, i) => {
    const u = (2 * i) / (count - 1) - 1;
    const half = (beamM / 2) * Math.max(0, 1 - Math.abs(u) ** planExponent);
    const keel = rockerM * u * u;
    const high = depthM + sheerM * u * u - keel;
    return {
      xM: (lengthM * i) / (count - 1),
      outline: shares.map((t) => ({ yM: half * t, zM: keel + high * t ** m })),
    };
  });
}

/**
 * Shares of the half-breadth at which a section's points stand: closest where it bends most. The area that
 * straight stretches cut off a curve is least when they are spaced by the cube root of its bend.
 */
function sharesOfBreadth(m: number, stretches: number): number[] {
  const fine = [
    ...new Set(Array.from({ length: FINE + 1 }, (_, i) => [i / FINE, (i / FINE) ** (1 / m)]).flat()),
  ].sort((a, b) => a - b);
  const weigh = [0];
  for (let i = 1; i < fine.length; i += 1) {
    const [before, from, to] = [fine[Math.max(0, i - 2)] ?? 0, fine[i - 1] ?? 0, fine[i] ?? 1];
    const length = Math.hypot(to - from, to ** m - from ** m);
    const way = (a: number, b: number) => Math.atan2(b ** m - a ** m, b - a);
    const turn = before < from ? Math.abs(way(from, to) - way(before, from)) : 0;
    weigh.push((weigh[i - 1] ?? 0) + Math.cbrt(turn * length * length) + EVEN * length);
  }
  const whole = weigh[weigh.length - 1] ?? 1;
  let at = 0;
  return Array.from({ length: stretches + 1 }, (_, k) => {
    if (k === stretches) return 1;
    const wanted = (whole * k) / stretches;
    while ((weigh[at + 1] ?? Infinity) < wanted) at += 1;
    const [low, high] = [weigh[at] ?? 0, weigh[at + 1] ?? whole];
    const part = high > low ? (wanted - low) / (high - low) : 0;
    return (fine[at] ?? 0) + ((fine[at + 1] ?? 1) - (fine[at] ?? 0)) * part;
  });
}

/**
 * Stations joined by straight lines, cut into an even number of slices between each two, so that no kink lies
 * inside a pair of slices.
 */
export function sliced(stations: readonly Station[], least = LEAST_INTERVALS): Station[] {
  const gaps = stations.length - 1;
  const each = 2 * Math.ceil(least / gaps / 2);
  const slices: Station[] = [];
  for (let g = 0; g < gaps; g += 1) {
    const from = stations[g];
    const to = stations[g + 1];
    if (!from || !to) continue;
    const [a, b] = matched(from.outline, to.outline);
    for (let i = 0; i < each; i += 1) slices.push(between(from.xM, a, to.xM, b, i / each));
  }
  const last = stations[gaps];
  if (last) slices.push({ xM: last.xM, outline: [...last.outline] });
  return slices;
}

type Outline = Station['outline'];
function between(fromM: number, from: Outline, toM: number, to: Outline, share: number): Station {
  const mix = (one: number, other: number) => one + (other - one) * share;
  return {
    xM: mix(fromM, toM),
    outline: from.map((point, i) => ({
      yM: mix(point.yM, to[i]?.yM ?? 0),
      zM: mix(point.zM, to[i]?.zM ?? 0),
    })),
  };
}

/**
 * Two outlines with as many points: point by point where they have, else at the same shares of their lengths.
 */
function matched(one: Outline, other: Outline): [Outline, Outline] {
  if (one.length === other.length) return [one, other];
  const shares = [...new Set([...sharesOf(one), ...sharesOf(other)])].sort((a, b) => a - b);
  return [shares.map((share) => pointAt(one, share)), shares.map((share) => pointAt(other, share))];
}
function sharesOf(outline: Outline): number[] {
  const along = [0];
  for (let i = 1; i < outline.length; i += 1) along.push((along[i - 1] ?? 0) + stretch(outline, i));
  const whole = along[along.length - 1] ?? 0;
  return whole > 0
    ? along.map((at) => at / whole)
    : outline.map((_, i) => i / Math.max(1, outline.length - 1));
}
function stretch(outline: Outline, i: number): number {
  const a = outline[i - 1];
  const b = outline[i];
  return a && b ? Math.hypot(b.yM - a.yM, b.zM - a.zM) : 0;
}
function pointAt(outline: Outline, share: number): { yM: number; zM: number } {
  const shares = sharesOf(outline);
  const next = Math.max(
    1,
    shares.findIndex((at) => at >= share - 1e-12),
  );
  const [from = 0, to = 1] = [shares[next - 1], shares[next]];
  const [a, b] = [outline[next - 1], outline[next]];
  if (!a || !b) return outline[0] ?? { yM: 0, zM: 0 };
  const part = to > from ? Math.min(1, Math.max(0, (share - from) / (to - from))) : 0;
  return { yM: a.yM + (b.yM - a.yM) * part, zM: a.zM + (b.zM - a.zM) * part };
}
