import type { Craft } from '../documents/craft';
import type { Zone } from '../documents/boatParts';
import type { Stance } from '../vocabulary/boat';
import type { Angler } from '../documents/angler';
import { linesOf } from './drawing';
import { TWIST_DEG, armsOf, zonesOf } from './zones';

/** A point on the boat, m: x forward of the stern, y to starboard, z over the base line. */
export interface Point {
  xM: number;
  yM: number;
  zM: number;
}
/** A surface made of triangles; each names three of its points, counter-clockwise as seen from outside. */
export interface Surface {
  points: readonly Point[];
  triangles: readonly (readonly [number, number, number])[];
}

/** The hull's outer skin from sheer to sheer, open at the deck, closed at both ends. Metres. */
export function skinOf(craft: Craft): Surface {
  const rows = linesOf(craft).stations.map(({ xM, outline }) => [
    ...outline.toReversed().map(({ yM, zM }) => ({ xM, yM: -yM, zM })),
    ...outline.slice(1).map(({ yM, zM }) => ({ xM, yM, zM })),
  ]);
  const points = rows.flat();
  const triangles: [number, number, number][] = [];
  const starts = rows.map((_, i) => rows.slice(0, i).reduce((sum, row) => sum + row.length, 0));
  for (let i = 0; i + 1 < rows.length; i += 1) {
    // Sections of a survey may have unequal numbers of points: each is walked by shares of its own.
    const [a, b] = [rows[i] ?? [], rows[i + 1] ?? []];
    const at = (row: readonly Point[], start: number, k: number) =>
      start + Math.round((k * (row.length - 1)) / (most - 1));
    const most = Math.max(a.length, b.length);
    for (let k = 0; k + 1 < most; k += 1) {
      const [p, q] = [at(a, starts[i] ?? 0, k), at(a, starts[i] ?? 0, k + 1)];
      const [r, s] = [at(b, starts[i + 1] ?? 0, k), at(b, starts[i + 1] ?? 0, k + 1)];
      if (p !== q) triangles.push([p, r, q]);
      if (r !== s) triangles.push([q, r, s]);
    }
  }
  for (const [row, start, bow] of [
    [rows[0], starts[0], false],
    [rows.at(-1), starts.at(-1), true],
  ] as const)
    for (let k = 1; k + 1 < (row?.length ?? 0); k += 1) {
      const first = start ?? 0;
      triangles.push(bow ? [first, first + k + 1, first + k] : [first, first + k, first + k + 1]);
    }
  return { points, triangles };
}

/**
 * Volume that a closed surface holds, m³: the tetrahedra from the origin to each triangle, added with their
 * signs. Ahead, starboard, up are left-handed axes: hence the minus.
 */
export function volumeOf({ points, triangles }: Surface): number {
  return triangles.reduce((sum, [i, j, k]) => {
    const [a, b, c] = [points[i], points[j], points[k]];
    if (!a || !b || !c) return sum;
    return (
      sum -
      (a.xM * (b.yM * c.zM - b.zM * c.yM) -
        a.yM * (b.xM * c.zM - b.zM * c.xM) +
        a.zM * (b.xM * c.yM - b.yM * c.xM)) /
        6
    );
  }, 0);
}

/** An opening in the deck, with how deep it goes: a well, a cockpit or a hatch. */
export interface Opening {
  zone: Zone;
  /** Its edge from above, m. */
  fromXM: number;
  toXM: number;
  halfM: number;
  yM: number;
  floorM: number;
  /** It has a lid that is shut under way. */
  lid: boolean;
}
/** The deck from above: its edge, and the openings in it, none over another. */
export interface Deck {
  edge: readonly Point[];
  openings: readonly Opening[];
  /** Height of the deck over the base line at a place along it, m. */
  heightAt: (xM: number) => number;
}

const OPEN_KINDS: ReadonlySet<Zone['kind']> = new Set<Zone['kind']>([
  'cockpit floor',
  'tank well',
  'hatch',
  'pod',
]);
/** Left between openings, and between an opening and the edge, m. */
const RIM_M = 0.03;
/** A cockpit goes on under the seat: so far behind where its floor begins, where there is room, m. */
const SEAT_M = 0.5;

export function deckOf(craft: Craft): Deck {
  const { deck, sheer } = linesOf(craft);
  const broad = deck.filter(({ halfM }) => halfM > 0);
  const heightAt = (xM: number) =>
    between(
      sheer.map(({ xM: at, zM }) => [at, zM]),
      xM,
    );
  const halfAt = (xM: number) =>
    between(
      deck.map(({ xM: at, halfM }) => [at, halfM]),
      xM,
    );
  const edge = [
    ...broad.map(({ xM, halfM }) => ({ xM, yM: halfM, zM: heightAt(xM) })),
    ...broad.toReversed().map(({ xM, halfM }) => ({ xM, yM: -halfM, zM: heightAt(xM) })),
  ];
  const openings: Opening[] = [];
  for (const zone of zonesOf(craft)) {
    if (!OPEN_KINDS.has(zone.kind)) continue;
    const lid = zone.kind === 'hatch' || zone.kind === 'pod';
    const long = lid ? (zone.opening?.longM ?? zone.lengthM) : zone.lengthM;
    const wide = lid ? (zone.opening?.shortM ?? zone.widthM) : zone.widthM;
    const [fromXM, toXM] = [zone.xM - long / 2, zone.xM + long / 2];
    const room = Math.min(halfAt(fromXM), halfAt(toXM)) - Math.abs(zone.yM) - RIM_M;
    const halfM = Math.min(wide / 2, room);
    const apart = openings.every(
      (one) =>
        fromXM > one.toXM + RIM_M ||
        toXM < one.fromXM - RIM_M ||
        Math.abs(zone.yM - one.yM) > halfM + one.halfM + RIM_M,
    );
    const floorM = Math.min(zone.floorM, heightAt(zone.xM) - 0.01);
    if (halfM > 0.03 && apart) openings.push({ zone, fromXM, toXM, halfM, yM: zone.yM, floorM, lid });
  }
  for (const one of openings)
    if (one.zone.kind === 'cockpit floor') {
      const behind = openings.filter(({ toXM }) => toXM <= one.fromXM).map(({ toXM }) => toXM + RIM_M);
      one.fromXM = Math.min(one.fromXM, Math.max(one.fromXM - SEAT_M, ...behind));
    }
  return { edge, openings, heightAt };
}

/** The value at a place, straight between the two points beside it; past the ends that of the last point. */
function between(line: readonly (readonly [at: number, value: number])[], at: number): number {
  const i = line.findIndex(([x]) => x >= at);
  const [a, b] = [line[Math.max(0, i - 1)], line[i < 0 ? line.length - 1 : i]];
  if (!a || !b) return 0;
  const share = b[0] > a[0] ? Math.min(1, Math.max(0, (at - a[0]) / (b[0] - a[0]))) : 1;
  return a[1] + (b[1] - a[1]) * share;
}

/** A part of a ball that the hand sweeps, m and degrees from the bow, on both sides. */
export interface ReachShell {
  centre: Point;
  radiusM: number;
  /** As far round from the bow as it goes on each side. */
  roundDeg: number;
}
/** With a twist one reaches almost round. Rule of thumb. */
const TURN_ROUND_DEG = 165;

/** What the hand reaches from the seat as it is, and with a twist and a lean. Estimates by one's height. */
export function reachShells(
  craft: Craft,
  angler: Pick<Angler, 'heightM'>,
  stance: Stance,
): { hand: ReachShell; turn: ReachShell } {
  const { xM, shoulderM, armM, turnM } = armsOf(craft, angler, stance);
  const centre = { xM, yM: 0, zM: shoulderM };
  return {
    hand: { centre, radiusM: armM, roundDeg: TWIST_DEG },
    turn: { centre, radiusM: turnM, roundDeg: TURN_ROUND_DEG },
  };
}
