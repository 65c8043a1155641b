import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Box, type Container, type PlacedBox, volumeOf } from './box';
import { type Block, blocksOf, singles } from './blocks';
import { type Packing, type Piece, type Preference, build, fromTheCorner, preferences } from './build';
import { type Impossible, impossible } from './proof';

export interface PackResult {
  fits: boolean;
  placed: PlacedBox[];
  unplaced: string[];
  /** Share of the container that the placed boxes fill, 0 to 1. */
  fill: number;
  /** What proves that they cannot; "not found": nothing proves it, and no packing was found. null: they fit. */
  why: Impossible | 'not found' | null;
}
interface Options {
  seed?: number;
  /** Time allowed, ms. */
  milliseconds?: number;
  clock?: () => number;
}

/** Volumes nearer than this are the same, m³. */
const SAME_VOLUME = 1e-12;
const LONGEST_MS = 1000;
/** Steps without a better packing before a restart from another order. */
const PATIENCE = 25;
/** Least fill of joined blocks, in turn: without waste, with a little, with some. */
const BLOCK_FILLS = [0.995, 0.94, 0.86];
/** Restarts to pack as much as possible of boxes that are proven not to fit together. */
const STARTS_WHEN_IMPOSSIBLE = 24;

/**
 * Boxes into a container: none overlaps, none is outside, each rests on the floor or on three quarters of its
 * base, and what is taken out first lies uppermost. Boxes that go together without waste are joined to
 * blocks; maximal empty spaces are filled by one of several rules, in orders that a seeded local search
 * changes until all is in or the time is over. Same seed, same packing, where the time did not cut it short.
 */
export function pack(container: Container, boxes: readonly Box[], options: Options = {}): PackResult {
  const { seed = 1, milliseconds = LONGEST_MS, clock = () => performance.now() } = options;
  const until = clock() + milliseconds;
  const proof = impossible(container, boxes);
  const taken = withinMass(boxes, container.maxKg ?? Infinity);
  const orderOf = new Map(
    taken.flatMap(({ id, order }) => (order === undefined ? [] : [[id, order] as const])),
  );
  const random = xoroshiro128plus(seed);
  const below = (count: number) => uniformInt(random, 0, count - 1);
  const alone = piecesOf(singles(taken), orderOf);
  const joined: Piece[][] = [];
  const out = ({ unplaced }: Packing) => unplaced.reduce((sum, { filled }) => sum + filled, 0);
  const everyBox = alone.reduce((all, { boxes: one }) => all | one, 0);

  let best = build(container, alone.toSorted(STARTS[0]), fromTheCorner, orderOf);
  for (let start = 1; best.unplaced.length > 0 && clock() < until; start += 1) {
    if (proof !== null && start > STARTS_WHEN_IMPOSSIBLE) break;
    // A start in three works with single boxes, the others with blocks of more and more waste.
    const level = start % 3 === 0 ? null : Math.floor(start / 3) % BLOCK_FILLS.length;
    if (level !== null)
      joined[level] ??= piecesOf(
        blocksOf(container, taken, BLOCK_FILLS[level] ?? 1, orderOf),
        orderOf,
      ).filter(({ boxes: set }) => (set & (set - 1)) !== 0);
    const whole = level === null ? undefined : joined[level]?.find((piece) => piece.boxes === everyBox);
    const pieces = whole ? [whole] : partition(alone, level === null ? [] : (joined[level] ?? []), below);
    let sequence = start < STARTS.length ? pieces.toSorted(STARTS[start]) : shuffled(pieces, start, below);
    let rule = below(preferences.length);
    let current = build(container, sequence, ruleAt(rule), orderOf);
    if (out(current) < out(best)) best = current;
    for (let stale = 0; stale < PATIENCE && best.unplaced.length > 0 && clock() < until; stale += 1) {
      const [nextRule, next] = neighbour(sequence, rule, current, below);
      const made = build(container, next, ruleAt(nextRule), orderOf, out(current) + SAME_VOLUME);
      if (out(made) < out(current)) stale = 0;
      if (out(made) <= out(current)) [sequence, rule, current] = [next, nextRule, made];
      if (out(made) < out(best)) best = made;
    }
  }
  const ids = new Set(best.placed.map(({ id }) => id));
  const unplaced = boxes.filter(({ id }) => !ids.has(id)).map(({ id }) => id);
  const packed = best.placed.reduce((sum, { dxM, dyM, dzM }) => sum + dxM * dyM * dzM, 0);
  return {
    fits: unplaced.length === 0,
    placed: best.placed,
    unplaced,
    fill: packed / volumeOf(container),
    why: unplaced.length === 0 ? null : (proof ?? 'not found'),
  };
}

type Below = (count: number) => number;
const ruleAt = (i: number): Preference => preferences[i] ?? fromTheCorner;

/** Blocks of the same boxes are one piece, with several ways to go in. */
function piecesOf(blocks: readonly Block[], orderOf: ReadonlyMap<string, number>): Piece[] {
  const bySet = new Map<number, Block[]>();
  for (const block of blocks) bySet.set(block.boxes, [...(bySet.get(block.boxes) ?? []), block]);
  return [...bySet].flatMap(([set, ways]) => {
    const [first] = ways;
    if (!first) return [];
    const order = Math.min(...first.parts.map(({ id }) => orderOf.get(id) ?? Infinity));
    const shortest = Math.min(...ways.map(({ size }) => Math.min(...size)));
    return [{ ways, boxes: set, filled: first.filled, order, shortest }];
  });
}

/** Some of the joined pieces by chance, the fuller ones rather, and every box that is in none of them. */
function partition(alone: readonly Piece[], joined: readonly Piece[], below: Below): Piece[] {
  const chosen: Piece[] = [];
  let set = 0;
  const tries = joined.length === 0 ? 0 : 1 + below(6);
  for (let i = 0; i < tries; i += 1) {
    const piece = joined[below(joined.length)];
    if (!piece || (piece.boxes & set) !== 0) continue;
    chosen.push(piece);
    set |= piece.boxes;
  }
  return [...chosen, ...alone.filter(({ boxes }) => (boxes & set) === 0)];
}

/** What is taken out last goes in first. */
const byOrder = (a: Piece, b: Piece) => (a.order === b.order ? 0 : b.order - a.order);
const longest = ({ ways }: Piece) => Math.max(...(ways[0]?.size ?? [0]));
/** Orders to begin from: by volume, by the longest side, by the largest face. */
const STARTS: readonly ((a: Piece, b: Piece) => number)[] = [
  (a, b) => byOrder(a, b) || b.filled - a.filled,
  (a, b) => byOrder(a, b) || longest(b) - longest(a),
  (a, b) => byOrder(a, b) || b.filled / b.shortest - a.filled / a.shortest,
];

/** The large ones mostly first, otherwise by chance. */
function shuffled(pieces: readonly Piece[], start: number, below: Below): Piece[] {
  const steps = 1000;
  const measure = start % 2 === 0 ? ({ filled }: Piece) => filled : longest;
  return pieces
    .map((piece) => ({ piece, rank: measure(piece) * (0.4 + below(steps) / steps) }))
    .toSorted((a, b) => byOrder(a.piece, b.piece) || b.rank - a.rank)
    .map(({ piece }) => piece);
}

/** One step from an order: one that did not go in comes earlier, two change places, or another rule. */
function neighbour(
  sequence: readonly Piece[],
  rule: number,
  { unplaced }: Packing,
  below: Below,
): [number, Piece[]] {
  const kind = below(10);
  if (kind < 2) return [below(preferences.length), [...sequence]];
  const next = [...sequence];
  const out = unplaced[below(Math.max(1, unplaced.length))];
  if (out && kind < 6) {
    const from = next.indexOf(out);
    next.splice(from, 1);
    next.splice(below(from + 1), 0, out);
    return [rule, next];
  }
  const [i, j] = [below(next.length), below(next.length)];
  const [a, b] = [next[i], next[j]];
  if (a && b) [next[i], next[j]] = [b, a];
  return [rule, next];
}

/** The lightest, as many as the container carries. */
function withinMass(boxes: readonly Box[], maxKg: number): readonly Box[] {
  let sum = 0;
  const kept = boxes
    .toSorted((a, b) => (a.massKg ?? 0) - (b.massKg ?? 0))
    .filter(({ massKg = 0 }) => (sum += massKg) <= maxKg);
  return kept.length === boxes.length ? boxes : kept;
}
