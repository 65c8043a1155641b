import { kinds } from '../catalog/gear/kinds';
import { catalogue } from '../needs/catalogue';
import type { NeedId } from '../vocabulary/needs';
import type { Need } from '../needs/need';
import type { Missing } from './propose';
import type { PurchaseOption } from './purchaseOptions';

/** Means that practice makes or borrows soundly, by need. What keeps one alive is not made at home. */
export const homeMade: Partial<Record<NeedId, string>> = {
  'be-seen-day': 'a bright cloth on a fibreglass rod from a garden shop, 1.2 m above the deck',
  'stop-leak': 'tape that sticks wet, wound round a bottle you carry anyway',
  'take-water-out': 'a cut-down bottle on a cord bails an open deck; a closed hull wants a pump',
  'tow-line': 'four metres of floating rope with a bowline at each end',
  'paddle-retained': 'two metres of cord with a loop round the shaft, short enough not to wrap',
  'rod-retention': 'cord and a clip, one to a rod',
  measure: 'a board marked with a steel rule and sealed, with a float under it and your name on it',
  'fish-care': 'a wet sponge mat cut from a bath mat',
  ice: 'bottles of water frozen the evening before, drunk on the way home',
  'anchor-trolley': 'a ring, two pulleys and cord along one side',
  'line-clear': 'a washing bowl with pegs',
  'stand-up': 'a webbing strap with a knot to hold',
  'keep-air': 'a bicycle pump with the right adaptor, and patience',
  carry: 'a folded towel on the shoulder and a friend on the other end',
  keys: 'a spare key on a cord round the neck',
  'hang-food': 'a roll-top bag and ten metres of cord over a branch',
  heat: 'a wet cloth round the neck; salt and sugar in the bottle',
  'hot-drink': 'any flask, wrapped in a sock',
  'dry-in-vehicle': 'old clothes and a towel in a bag',
  'spare-clothes': 'clothes you own, no cotton, in a roll-top bag',
};

/** One thing to buy or borrow, and the money gone by then. */
export interface Purchase extends PurchaseOption {
  needIds: NeedId[];
  euro: number;
  spentEuro: number;
  within: boolean;
}

const rank = { law: 1, must: 2, should: 3, could: 4 } as const;

/**
 * What to buy first: what life hangs on, then law, musts and shoulds, the cheapest way of each; one thing that settles several is bought
 * once. Prices are a rule of thumb. What comes first is never given up for what comes later: from the first thing that is too dear, what
 * keeps one alive still stands before all else, and what no longer fits is said so. What is made for a need comes before what also does it.
 * @param budgetEuro null: no limit
 */
export function purchases(missing: readonly Missing[], budgetEuro: number | null): Purchase[] {
  const order = missing
    .filter((one) => one.would.length > 0)
    .toSorted((a, b) => Number(b.lifeCritical) - Number(a.lifeCritical) || rank[a.level] - rank[b.level]);
  const list: Purchase[] = [];
  let spentEuro = 0;
  let open = true;
  for (const one of order) {
    const bought = list
      .filter((earlier) => one.would.some(({ kind }) => kind === earlier.kind) && sharable(one.needId, earlier.needIds))
      .slice(0, one.different);
    for (const earlier of bought) earlier.needIds.push(one.needId);
    const others = one.would
      .filter(({ kind }) => !bought.some((earlier) => earlier.kind === kind))
      .toSorted(
        (a, b) => aside(a, one.needId) - aside(b, one.needId) || euroOf(a) - euroOf(b) || a.kind.localeCompare(b.kind),
      );
    const sorts = new Set<string | null>(bought.map(({ sort }) => sort));
    const different = others.filter(({ sort }) => sort === null || (!sorts.has(sort) && Boolean(sorts.add(sort))));
    for (const chosen of different.slice(0, one.different - bought.length)) {
      const euro = euroOf(chosen);
      open &&= budgetEuro === null || spentEuro + euro <= budgetEuro;
      if (open) spentEuro += euro;
      list.push({ ...chosen, needIds: [one.needId], euro, spentEuro, within: open });
    }
  }
  return list;
}

function euroOf({ kind, pieces }: PurchaseOption): number {
  return kinds[kind].usualEuro * pieces;
}
/** 0 for what is made for the need first, 1 for what does it beside something else: ice is drunk, but a bottle is for water. */
function aside({ kind }: PurchaseOption, needId: NeedId): number {
  return kinds[kind].means[0] === needId ? 0 : 1;
}
/** Whether one thing can settle a need beside others: a measure is used up, and the paddle one sets out with is not its own spare. */
function sharable(needId: NeedId, others: readonly NeedId[]): boolean {
  const measured = (id: NeedId) => (catalogue[id] as Need).amount !== undefined;
  const paddles: readonly NeedId[] = ['propulsion', 'second-propulsion'];
  return (
    [needId, ...others].every((id) => !measured(id)) &&
    !(paddles.includes(needId) && others.some((id) => paddles.includes(id)))
  );
}
