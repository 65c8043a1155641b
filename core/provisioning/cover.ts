/** Something that can be chosen once: what it costs, and how much of which demand it covers. */
export interface Choosable {
  cost: number;
  covers: readonly { demand: number; amount: number }[];
}
export interface CoverProblem {
  options: readonly Choosable[];
  /** How much of each demand is wanted. */
  wanted: readonly number[];
  /** Whether two options may not both count for a demand (one container, one battery, one kind). */
  clash: (demand: number, a: number, b: number) => boolean;
  /** Search nodes to spend at the most; then the best found stands, with its gap. */
  mostNodes: number;
}
export interface Cover {
  chosen: number[];
  cost: number;
  /** No cover costs less than this. */
  bound: number;
  proven: boolean;
}

const EPS = 1e-9;

/**
 * The cheapest set of options that covers every demand (weighted multi-cover with clashes), by branch and
 * bound: the demand with the fewest ways left is settled first; a branch ends when its cost and the dearest
 * single demand still open reach the best found.
 * @returns null when the demands cannot all be covered
 */
export function cheapestCover({ options, wanted, clash, mostNodes }: CoverProblem): Cover | null {
  const byDemand = wanted.map((_, demand) =>
    options
      .flatMap(({ covers, cost }, option) => {
        const amount = covers.find((one) => one.demand === demand)?.amount ?? 0;
        return amount > 0 ? [{ option, amount, cost }] : [];
      })
      .sort((a, b) => a.cost / a.amount - b.cost / b.amount || a.option - b.option),
  );
  const state: ('open' | 'in' | 'out')[] = options.map(() => 'open');
  const counting = wanted.map((): number[] => []);
  const covered = wanted.map(() => 0);
  let best: { chosen: number[]; cost: number } | null = null;
  let nodes = 0;
  let complete = true;

  /**
   * The least that what is missing of a demand costs, parts of options allowed; Infinity: it cannot be
   * covered any more.
   */
  const least = (demand: number): number => {
    let missing = (wanted[demand] ?? 0) - (covered[demand] ?? 0);
    let cost = 0;
    for (const { option, amount, cost: price } of byDemand[demand] ?? []) {
      if (missing <= EPS) return cost;
      if (state[option] !== 'open' || clashes(demand, option)) continue;
      const share = Math.min(1, missing / amount);
      cost += share * price;
      missing -= amount;
    }
    return missing <= EPS ? cost : Infinity;
  };
  const clashes = (demand: number, option: number) =>
    (counting[demand] ?? []).some((other) => clash(demand, option, other));
  const bound = () => wanted.reduce((most, _, demand) => Math.max(most, least(demand)), 0);
  const rootBound = bound();
  if (rootBound === Infinity) return null;

  const include = (option: number): number[] => {
    state[option] = 'in';
    return (options[option]?.covers ?? []).flatMap(({ demand, amount }) => {
      if (clashes(demand, option)) return [];
      counting[demand]?.push(option);
      covered[demand] = (covered[demand] ?? 0) + amount;
      return [demand];
    });
  };
  const takeBack = (option: number, demands: readonly number[]) => {
    state[option] = 'open';
    for (const demand of demands) {
      counting[demand]?.pop();
      covered[demand] =
        (covered[demand] ?? 0) - (options[option]?.covers.find((one) => one.demand === demand)?.amount ?? 0);
    }
  };
  const search = (cost: number) => {
    nodes += 1;
    if (nodes > mostNodes) {
      complete = false;
      return;
    }
    if (best !== null && cost + bound() >= best.cost - EPS) return;
    let tightest = -1;
    let ways = Infinity;
    for (let demand = 0; demand < wanted.length; demand += 1) {
      if ((covered[demand] ?? 0) + EPS >= (wanted[demand] ?? 0)) continue;
      const open = (byDemand[demand] ?? []).filter(
        ({ option }) => state[option] === 'open' && !clashes(demand, option),
      ).length;
      if (open < ways) [tightest, ways] = [demand, open];
    }
    if (tightest < 0) {
      best = { chosen: state.flatMap((one, option) => (one === 'in' ? [option] : [])), cost };
      return;
    }
    const left: number[] = [];
    for (const { option, cost: price } of byDemand[tightest] ?? []) {
      if (state[option] !== 'open' || clashes(tightest, option)) continue;
      const demands = include(option);
      search(cost + price);
      takeBack(option, demands);
      // The other branches do without this one, so that no set is tried twice.
      state[option] = 'out';
      left.push(option);
    }
    for (const option of left) state[option] = 'open';
  };
  search(0);
  const found = best as { chosen: number[]; cost: number } | null;
  if (found === null) return null;
  return { ...found, bound: complete ? found.cost : rootBound, proven: complete };
}
