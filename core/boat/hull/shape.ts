import type { HullForm, Station } from '../../documents/hullShape';

const STATIONS = 61;
/** Points of half a section: as many by breadth as by height, so that bottom and side are both followed. */
const BY_EACH = 20;
/** Intervals that a hull of given stations is cut into at least. */
const LEAST_INTERVALS = 62;

/** Sixty-one sections of a form, equally spaced from stern to bow. */
export function stationsOf(form: HullForm): Station[] {
  const { lengthM, beamM, depthM, rockerM, sheerM, planExponent, sectionExponent: m } = form;
  const heights = new Set<number>();
  for (let i = 0; i <= BY_EACH; i += 1) {
    // t is the share of the half-breadth: once in equal steps of it, once in equal steps of the height.
    heights.add(i / BY_EACH);
    heights.add((i / BY_EACH) ** (1 / m));
  }
  const shares = [...heights].sort((a, b) => a - b);
  return Array.from({ length: STATIONS }, (_, i) => {
    const u = (2 * i) / (STATIONS - 1) - 1;
    const half = (beamM / 2) * Math.max(0, 1 - Math.abs(u) ** planExponent);
    const keel = rockerM * u * u;
    const high = depthM + sheerM * u * u - keel;
    return {
      xM: (lengthM * i) / (STATIONS - 1),
      outline: shares.map((t) => ({ yM: half * t, zM: keel + high * t ** m })),
    };
  });
}

/** Stations joined by straight lines, cut into an even number of slices between each two, so that no kink lies inside a pair of slices. */
export function sliced(stations: readonly Station[]): Station[] {
  const gaps = stations.length - 1;
  const each = 2 * Math.ceil(LEAST_INTERVALS / gaps / 2);
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

/** Two outlines with as many points: point by point where they have, else at the same shares of their lengths. */
function matched(one: Outline, other: Outline): [Outline, Outline] {
  if (one.length === other.length) return [one, other];
  const shares = [...new Set([...sharesOf(one), ...sharesOf(other)])].sort((a, b) => a - b);
  return [shares.map((share) => pointAt(one, share)), shares.map((share) => pointAt(other, share))];
}
function sharesOf(outline: Outline): number[] {
  const along = [0];
  for (let i = 1; i < outline.length; i += 1) along.push((along[i - 1] ?? 0) + stretch(outline, i));
  const whole = along[along.length - 1] ?? 0;
  return whole > 0 ? along.map((at) => at / whole) : outline.map((_, i) => i / Math.max(1, outline.length - 1));
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
