/** What every thing costs in every place where it may lie, and what it takes up there. */
export interface Assignment {
  /** Places that each thing may take. */
  allowed: readonly (readonly number[])[];
  cost: (thing: number, place: number) => number;
  /** What each thing takes of a place's limits: room, mass. */
  takes: readonly (readonly number[])[];
  /** Each place's limits, in the same order; Infinity: none. */
  limits: readonly (readonly number[])[];
  /** Sums whose distance from nought is paid for, whichever way it goes: trim and heel. */
  level: readonly Level[];
}
export interface Level {
  /** What a thing in a place adds to the sum. */
  adds: (thing: number, place: number) => number;
  /** What the sum is without any of them. */
  without: number;
  /** What one of its units costs. */
  weight: number;
}

const ROUNDS = 250;

/**
 * No assignment within the limits costs less than this. Room and mass of each place get a price, raised by
 * subgradient ascent where more is asked of them than there is; with prices of
 * nought or more, each thing in the place where its own cost and what it takes up are least together, less
 * what all limits are worth, is never more than the best plan (Lagrangian relaxation of the assignment). What
 * is off level costs at least any slope of it that is no steeper than its weight.
 * @param best cost of a plan that is known, by which the steps are sized
 */
export function assignmentBound({ allowed, cost, takes, limits, level }: Assignment, best: number): number {
  const prices = limits.map((list) => list.map(() => 0));
  const costs = allowed.map((places, i) => places.map((z) => cost(i, z)));
  const slopes = level.map(() => 0);
  const added = allowed.map((places, i) => places.map((z) => level.map(({ adds }) => adds(i, z))));
  let bound = -Infinity;
  let share = 1;
  let stale = 0;
  for (let round = 0; round < ROUNDS; round += 1) {
    const over = limits.map((list) => list.map((limit) => -limit));
    const sums = level.map(({ without }) => without);
    let value = sums.reduce((all, sum, k) => all + sum * (slopes[k] ?? 0), 0);
    allowed.forEach((places, i) => {
      let least = Infinity;
      let chosen = -1;
      let at = -1;
      places.forEach((z, nth) => {
        let sum = costs[i]?.[nth] ?? 0;
        takes[i]?.forEach((much, limit) => (sum += much * (prices[z]?.[limit] ?? 0)));
        added[i]?.[nth]?.forEach((much, k) => (sum += much * (slopes[k] ?? 0)));
        if (sum < least) [least, chosen, at] = [sum, z, nth];
      });
      if (chosen < 0) return;
      value += least;
      added[i]?.[at]?.forEach((much, k) => (sums[k] = (sums[k] ?? 0) + much));
      const row = over[chosen];
      if (row) takes[i]?.forEach((much, limit) => (row[limit] = (row[limit] ?? 0) + much));
    });
    limits.forEach((list, z) =>
      list.forEach((limit, k) => {
        const price = prices[z]?.[k] ?? 0;
        if (price > 0) value -= limit * price;
      }),
    );
    if (value > bound) {
      bound = value;
      stale = 0;
    } else if ((stale += 1) >= PATIENCE) {
      share /= 2;
      stale = 0;
    }
    // Litres and kilograms are told apart: each limit is measured by its own size.
    let square = 0;
    over.forEach((list, z) =>
      list.forEach((much, k) => {
        const limit = limits[z]?.[k] ?? Infinity;
        if (Number.isFinite(limit) && limit > 0 && (much > 0 || (prices[z]?.[k] ?? 0) > 0))
          square += (much / limit) ** 2;
      }),
    );
    sums.forEach((sum) => (square += sum ** 2));
    if (square < 1e-12) break;
    const step = (share * Math.max(1e-6, best - value)) / square;
    sums.forEach((sum, k) => {
      const most = level[k]?.weight ?? 0;
      slopes[k] = Math.min(most, Math.max(-most, (slopes[k] ?? 0) + step * sum));
    });
    over.forEach((list, z) =>
      list.forEach((much, k) => {
        const limit = limits[z]?.[k] ?? Infinity;
        const row = prices[z];
        if (!row || !Number.isFinite(limit) || limit <= 0) return;
        row[k] = Math.max(0, (row[k] ?? 0) + (step * (much / limit)) / limit);
      }),
    );
  }
  return bound;
}
const PATIENCE = 12;
