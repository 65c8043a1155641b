import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { type Balance, assignmentBound } from './bound';
import {
  type ArrangeCost,
  type ArrangeProblem,
  type Forbidden,
  type Sums,
  costOf,
  forbiddenAlone,
  litresOf,
  reachCost,
  roomOf,
  totalOf,
} from './problem';

export interface Arrangement {
  /** Where each thing lies: place by thing. */
  places: ReadonlyMap<string, string>;
  /** What has no place, with why not, place by place. */
  unplaced: { id: string; why: { zone: string; forbidden: Forbidden }[] }[];
  cost: ArrangeCost;
  /** No plan of the same things costs less, cm; null: not asked. */
  bound: number | null;
}
interface Options {
  seed: number;
  /** Steps of the search. */
  steps: number;
  /** Whether a bound is worked out: it takes a tenth of a second for 120 things. */
  prove?: boolean;
  /** Each better plan as it is found. */
  onBetter?: (places: ReadonlyMap<string, string>, cost: number) => void;
}

/** A thing without a place costs more than any plan, cm. */
const UNPLACED = 1000;
/** Temperature at the start, as a share of what a move changes the cost by on average. */
const START_TEMPERATURE = 0.4;
/** Temperature at the end, as a share of that at the start. */
const END_TEMPERATURE = 0.004;
/** Moves that are sampled for that average. */
const SAMPLED_MOVES = 200;
const NOWHERE = -1;
const NEAR = 1e-9;

/**
 * Things into places by simulated annealing: one is put elsewhere, or two change places; every hard rule
 * (room, mass, opening, dryness, reach, apart, leash points, pins) is kept at every step. Same seed and
 * steps, same plan.
 */
export function arrange(
  problem: ArrangeProblem,
  { seed, steps, prove = false, onBetter }: Options,
): Arrangement {
  const state = new State(problem);
  state.fillFirst();
  const { items } = problem;
  const random = xoroshiro128plus(seed);
  const below = (count: number) => uniformInt(random, 0, count - 1);
  let now = state.cost();
  let best = { places: [...state.zoneOf], cost: now };
  const movable = items.flatMap((_, i) =>
    state.choices(i).length > 1 || state.zoneOf[i] === NOWHERE ? [i] : [],
  );
  onBetter?.(state.named(best.places), best.cost);
  const move = () => {
    const i = movable[below(movable.length)] ?? 0;
    const j = below(2) === 0 ? (movable[below(movable.length)] ?? i) : i;
    return i === j ? state.relocate(i, below) : state.swap(i, j);
  };
  const meanChange = movable.length === 0 ? 0 : meanChangeOf(state, move);
  const cooling = steps > 1 ? END_TEMPERATURE ** (1 / (steps - 1)) : 1;
  let temperature = Math.max(NEAR, meanChange * START_TEMPERATURE);
  for (let step = 0; step < steps && movable.length > 0; step += 1, temperature *= cooling) {
    const undo = move();
    if (undo === null) continue;
    const next = state.cost();
    const worse = next - now;
    if (worse > 0 && below(RANDOM_STEPS) / RANDOM_STEPS >= Math.exp(-worse / temperature)) {
      undo();
      continue;
    }
    now = next;
    if (now < best.cost - NEAR) {
      best = { places: [...state.zoneOf], cost: now };
      onBetter?.(state.named(best.places), best.cost);
    }
  }
  state.restore(best.places);
  return { ...state.result(), bound: prove ? state.bound() : null };
}
/** Steps into which a random number from 0 to 1 is divided. */
const RANDOM_STEPS = 1 << 24;

/** By how much a move changes the cost on average, cm; each sampled move is undone. */
function meanChangeOf(state: State, move: () => (() => void) | null): number {
  const from = state.cost();
  let sum = 0;
  let made = 0;
  for (let i = 0; i < SAMPLED_MOVES; i += 1) {
    const undo = move();
    if (undo === null) continue;
    const by = Math.abs(state.cost() - from);
    undo();
    // A thing that gains or loses its place changes the cost by far more than any other move.
    if (by >= UNPLACED / 2) continue;
    sum += by;
    made += 1;
  }
  return made === 0 ? 0 : sum / made;
}

/** Where everything lies while it is searched, with the sums that follow it. */
class State {
  readonly zoneOf: number[];
  private readonly allowed: readonly (readonly number[])[];
  private readonly apart: readonly ReadonlySet<number>[];
  private readonly litres: readonly number[];
  private readonly uses: number;
  private readonly usedL: number[];
  private readonly usedKg: number[];
  private readonly usedLeashes: number[];
  private readonly nowAt: readonly number[];
  private readonly sums: Sums = { kg: 0, x: 0, y: 0, z: 0, reach: 0, changes: 0 };
  private unplaced: number;

  constructor(private readonly problem: ArrangeProblem) {
    const { items, zones } = problem;
    const index = new Map(items.map(({ id }, i) => [id, i]));
    const zoneIndex = new Map(zones.map(({ id }, z) => [id, z]));
    this.zoneOf = items.map(() => NOWHERE);
    this.allowed = items.map((item) =>
      zones.flatMap((zone, z) => (forbiddenAlone(item, zone) === null ? [z] : [])),
    );
    const apart = items.map(() => new Set<number>());
    items.forEach((item, i) => {
      for (const id of item.apart ?? []) {
        const j = index.get(id);
        if (j === undefined || j === i) continue;
        apart[i]?.add(j);
        apart[j]?.add(i);
      }
    });
    this.apart = apart;
    this.litres = items.map(litresOf);
    this.uses = items.reduce((sum, { use = 0 }) => sum + use, 0);
    this.usedL = zones.map(() => 0);
    this.usedKg = zones.map(() => 0);
    this.usedLeashes = zones.map(() => 0);
    this.nowAt = items.map(({ now }) => (now === undefined ? NOWHERE : (zoneIndex.get(now) ?? NOWHERE)));
    this.unplaced = items.length;
  }
  choices(i: number): readonly number[] {
    return this.allowed[i] ?? [];
  }
  cost(): number {
    return totalOf(costOf(this.sums, this.problem, this.uses)) + UNPLACED * this.unplaced;
  }
  /** Why a thing cannot be added where others lie; null: it can. */
  private forbiddenNow(i: number, z: number): Forbidden | null {
    const [item, zone] = [this.problem.items[i], this.problem.zones[z]];
    if (!item || !zone) return 'no room left';
    if ((this.usedL[z] ?? 0) + (this.litres[i] ?? 0) > roomOf(zone) + NEAR) return 'no room left';
    if (zone.maxKg !== null && (this.usedKg[z] ?? 0) + item.massKg > zone.maxKg + NEAR) return 'too heavy';
    if (item.leash === true && (this.usedLeashes[z] ?? 0) + 1 > zone.leashes) return 'no leash point';
    for (const other of this.apart[i] ?? []) if (this.zoneOf[other] === z) return 'apart';
    return null;
  }
  private add(i: number, z: number, sign: 1 | -1): void {
    const [item, zone] = [this.problem.items[i], this.problem.zones[z]];
    if (!item || !zone) return;
    const kg = sign * item.massKg;
    this.usedL[z] = (this.usedL[z] ?? 0) + sign * (this.litres[i] ?? 0);
    this.usedKg[z] = (this.usedKg[z] ?? 0) + kg;
    if (item.leash === true) this.usedLeashes[z] = (this.usedLeashes[z] ?? 0) + sign;
    this.sums.kg += kg;
    this.sums.x += kg * zone.xM;
    this.sums.y += kg * zone.yM;
    this.sums.z += kg * zone.zM;
    this.sums.reach += sign * (item.use ?? 0) * reachCost(zone);
    const was = this.nowAt[i] ?? NOWHERE;
    if (was !== NOWHERE && was !== z) this.sums.changes += sign;
    this.unplaced -= sign;
    this.zoneOf[i] = sign === 1 ? z : NOWHERE;
  }
  private put(i: number, z: number): void {
    const was = this.zoneOf[i] ?? NOWHERE;
    if (was !== NOWHERE) this.add(i, was, -1);
    if (z !== NOWHERE) this.add(i, z, 1);
  }
  /** A thing to another of its places; null: that one does not take it. */
  relocate(i: number, below: (count: number) => number): (() => void) | null {
    const choices = this.choices(i);
    const z = choices[below(Math.max(1, choices.length))];
    const was = this.zoneOf[i] ?? NOWHERE;
    if (z === undefined || z === was || this.forbiddenNow(i, z) !== null) return null;
    this.put(i, z);
    return () => this.put(i, was);
  }
  /** Two things change places; null: one of the places does not take the other. */
  swap(i: number, j: number): (() => void) | null {
    const [a, b] = [this.zoneOf[i] ?? NOWHERE, this.zoneOf[j] ?? NOWHERE];
    if (
      a === b ||
      (b !== NOWHERE && !this.choices(i).includes(b)) ||
      (a !== NOWHERE && !this.choices(j).includes(a))
    )
      return null;
    const undo = () => {
      this.put(i, NOWHERE);
      this.put(j, NOWHERE);
      this.put(i, a);
      this.put(j, b);
    };
    this.put(i, NOWHERE);
    this.put(j, NOWHERE);
    if (b !== NOWHERE && this.forbiddenNow(i, b) === null) this.put(i, b);
    if (a !== NOWHERE && this.forbiddenNow(j, a) === null) this.put(j, a);
    if (this.zoneOf[i] === b && this.zoneOf[j] === a) return undo;
    undo();
    return null;
  }
  /** The first plan: what has fewest places first, then the largest, each where the whole is then best. */
  fillFirst(): void {
    const order = this.problem.items
      .map((_, i) => i)
      .toSorted(
        (a, b) =>
          this.choices(a).length - this.choices(b).length ||
          (this.litres[b] ?? 0) - (this.litres[a] ?? 0) ||
          a - b,
      );
    for (const i of order) {
      let chosen = NOWHERE;
      let least = Infinity;
      for (const z of this.choices(i)) {
        if (this.forbiddenNow(i, z) !== null) continue;
        this.put(i, z);
        const cost = this.cost();
        this.put(i, NOWHERE);
        if (cost < least) [least, chosen] = [cost, z];
      }
      if (chosen !== NOWHERE) this.put(i, chosen);
    }
  }
  restore(places: readonly number[]): void {
    places.forEach((_, i) => this.put(i, NOWHERE));
    places.forEach((z, i) => this.put(i, z));
  }
  named(places: readonly number[]): Map<string, string> {
    const { items, zones } = this.problem;
    return new Map(
      places.flatMap((z, i) => {
        const [item, zone] = [items[i], zones[z]];
        return item && zone ? [[item.id, zone.id] as const] : [];
      }),
    );
  }
  result(): Omit<Arrangement, 'bound'> {
    const { items, zones } = this.problem;
    return {
      places: this.named(this.zoneOf),
      unplaced: items.flatMap((item, i) =>
        this.zoneOf[i] === NOWHERE
          ? [
              {
                id: item.id,
                why: zones.map((zone, z) => ({
                  zone: zone.id,
                  forbidden: forbiddenAlone(item, zone) ?? this.forbiddenNow(i, z) ?? 'no room left',
                })),
              },
            ]
          : [],
      ),
      cost: costOf(this.sums, this.problem, this.uses),
    };
  }
  /** What a thing adds by itself in a place: its height, how it is reached, whether it is moved. */
  private ownCost(i: number, z: number): number {
    const [item, zone] = [this.problem.items[i], this.problem.zones[z]];
    if (!item || !zone) return Infinity;
    const { base, weights } = this.problem;
    const mass = base.massKg + this.sums.kg;
    const was = this.nowAt[i] ?? NOWHERE;
    return (
      (mass > 0 ? (weights.kg * 100 * item.massKg * zone.zM) / mass : 0) +
      (this.uses > 0 ? (weights.reach * (item.use ?? 0) * reachCost(zone)) / this.uses : 0) +
      (was !== NOWHERE && was !== z ? weights.change : 0)
    );
  }
  /** How far the centre of gravity lies off along an axis, cm. */
  private balance(axis: 'xM' | 'yM', wantedM: number, weight: number): Balance {
    const { base, items, zones } = this.problem;
    const perKg = 100 / (base.massKg + this.sums.kg || 1);
    return {
      adds: (i, z) => (items[i]?.massKg ?? 0) * perKg * ((zones[z]?.[axis] ?? 0) - wantedM),
      without: base.massKg * perKg * (base[axis] - wantedM),
      weight,
    };
  }
  /** No plan of what is placed costs less, as far as room and mass of the places and being level go. */
  bound(): number {
    const { items, zones, levelAtM, weights } = this.problem;
    const limits = zones.flatMap((zone, place) => [
      { place, most: roomOf(zone), takes: this.litres },
      { place, most: zone.maxKg ?? Infinity, takes: items.map(({ massKg }) => massKg) },
    ]);
    const bound = assignmentBound(
      {
        choices: items.map((_, i) =>
          this.zoneOf[i] === NOWHERE
            ? []
            : this.choices(i).map((place) => ({ place, cost: this.ownCost(i, place) })),
        ),
        limits: limits.filter(({ most }) => most > 0 && Number.isFinite(most)),
        balances: [this.balance('xM', levelAtM, weights.lcg), this.balance('yM', 0, weights.tcg)],
      },
      totalOf(costOf(this.sums, this.problem, this.uses)),
    );
    return Math.max(0, bound);
  }
}
