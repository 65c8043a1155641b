/** Things to be assigned to places: what each costs where, and what the places allow. */
export interface Assignment {
  /** Of each thing, the places that it may take, with what it costs there. */
  choices: readonly (readonly { place: number; cost: number }[])[];
  limits: readonly Limit[];
  balances: readonly Balance[];
}
/** The room of a place, or the mass that it carries. */
export interface Limit {
  place: number;
  /** More than nought. */
  most: number;
  /** How much of it each thing takes. */
  takes: readonly number[];
}
/** A sum whose distance from nought is paid for, whichever way it goes: trim and heel. */
export interface Balance {
  /** What a thing in a place adds to the sum. */
  adds: (thing: number, place: number) => number;
  /** What the sum is without any of them. */
  without: number;
  /** What one of its units costs. */
  weight: number;
}

const ROUNDS = 250;
/** Rounds without a better bound before the steps are halved. */
const PATIENCE = 12;
const NEXT_TO_NOTHING = 1e-12;
const LEAST_GAP = 1e-6;

/**
 * A lower bound on the cost of every assignment within the limits, by Lagrangian relaxation: each limit has a
 * price of nought or more, each balance a slope no steeper than its weight, and each thing takes the place
 * that is cheapest for it with both. Subgradient ascent raises them where more is asked than there is.
 * Source: Fisher, The Lagrangian relaxation method for solving integer programming problems (1981).
 * @param best cost of an assignment that is known, by which the steps are sized
 */
export function assignmentBound({ choices, limits, balances }: Assignment, best: number): number {
  const limitsAt = new Map<number, number[]>();
  limits.forEach(({ place }, k) => limitsAt.set(place, [...(limitsAt.get(place) ?? []), k]));
  const options = choices.map((list, thing) =>
    list.map(({ place, cost }) => ({
      cost,
      takes: (limitsAt.get(place) ?? []).map((k) => ({ k, much: limits[k]?.takes[thing] ?? 0 })),
      adds: balances.map(({ adds }) => adds(thing, place)),
    })),
  );
  const prices = limits.map(() => 0);
  const slopes = balances.map(() => 0);
  let bound = -Infinity;
  let share = 1;
  let stale = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const asked = limits.map(() => 0);
    const sums = balances.map(({ without }) => without);
    let value =
      sums.reduce((all, sum, k) => all + sum * (slopes[k] ?? 0), 0) -
      limits.reduce((all, { most }, k) => all + most * (prices[k] ?? 0), 0);
    for (const list of options) {
      let least = Infinity;
      let chosen: (typeof list)[number] | null = null;
      for (const option of list) {
        let sum = option.cost;
        for (const { k, much } of option.takes) sum += much * (prices[k] ?? 0);
        option.adds.forEach((much, k) => (sum += much * (slopes[k] ?? 0)));
        if (sum < least) [least, chosen] = [sum, option];
      }
      if (chosen === null) continue;
      value += least;
      for (const { k, much } of chosen.takes) asked[k] = (asked[k] ?? 0) + much;
      chosen.adds.forEach((much, k) => (sums[k] = (sums[k] ?? 0) + much));
    }
    if (value > bound) {
      bound = value;
      stale = 0;
    } else if ((stale += 1) >= PATIENCE) {
      share /= 2;
      stale = 0;
    }
    // Each limit is measured by its own size, so that litres and kilograms go together.
    const over = limits.map(({ most }, k) => (asked[k] ?? 0) / most - 1);
    const square =
      over.reduce((all, much, k) => all + (much > 0 || (prices[k] ?? 0) > 0 ? much ** 2 : 0), 0) +
      sums.reduce((all, sum) => all + sum ** 2, 0);
    if (square < NEXT_TO_NOTHING) break;
    const step = (share * Math.max(LEAST_GAP, best - value)) / square;
    limits.forEach(({ most }, k) => {
      prices[k] = Math.max(0, (prices[k] ?? 0) + (step * (over[k] ?? 0)) / most);
    });
    balances.forEach(({ weight }, k) => {
      slopes[k] = Math.min(weight, Math.max(-weight, (slopes[k] ?? 0) + step * (sums[k] ?? 0)));
    });
  }
  return bound;
}
