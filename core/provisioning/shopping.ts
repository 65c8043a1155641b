import { kinds } from '../catalog/gear/kinds';
import { catalogue } from '../needs/catalogue';
import { type NeedId, needsByPurpose } from '../vocabulary/needs';
import type { Need } from '../needs/need';
import type { Missing } from './propose';
import type { PurchaseOption } from '../needs/purchaseOptions';

/** One thing to buy or borrow. */
export interface Purchase extends PurchaseOption {
  needIds: NeedId[];
  euro: number;
  /** Whether the money reaches for it. */
  within: boolean;
  /** A Stop stands until it is there. */
  vital: boolean;
}

/** What is for the fish: never bought before what is for whoever fishes. */
const tackle: ReadonlySet<NeedId> = new Set<NeedId>([...needsByPurpose.hook, ...needsByPurpose.land]);
const rank = { law: 1, must: 2, should: 3, could: 4 } as const;

/**
 * What to buy first: what life hangs on, then law, then what keeps one well before what catches fish, musts
 * before shoulds, the cheapest way of each; one thing that settles several is bought once. Prices are a rule
 * of thumb. What is too dear for what is left of the money is passed over and said so, and the next one
 * looked at. What is made for a need comes before what also does it.
 * @param budgetEuro null: no limit
 */
export function purchases(missing: readonly Missing[], budgetEuro: number | null): Purchase[] {
  const order = missing
    .filter((one) => one.would.length > 0)
    .toSorted(
      (a, b) =>
        Number(b.unmet === 'stop') - Number(a.unmet === 'stop') ||
        Number(b.level === 'law') - Number(a.level === 'law') ||
        Number(tackle.has(a.needId)) - Number(tackle.has(b.needId)) ||
        rank[a.level] - rank[b.level],
    );
  const list: Purchase[] = [];
  let spentEuro = 0;
  for (const one of order) {
    const bought = list
      .filter(
        (earlier) =>
          one.would.some(({ kind }) => kind === earlier.kind) && sharable(one.needId, earlier.needIds),
      )
      .slice(0, one.different);
    for (const earlier of bought) earlier.needIds.push(one.needId);
    const others = one.would
      .filter(({ kind }) => !bought.some((earlier) => earlier.kind === kind))
      .toSorted(
        (a, b) =>
          aside(a, one.needId) - aside(b, one.needId) ||
          euroOf(a) - euroOf(b) ||
          a.kind.localeCompare(b.kind),
      );
    const sorts = new Set<string | null>(bought.map(({ sort }) => sort));
    const different = others.filter(
      ({ sort }) => sort === null || (!sorts.has(sort) && Boolean(sorts.add(sort))),
    );
    for (const chosen of different.slice(0, one.different - bought.length)) {
      const euro = euroOf(chosen);
      const within = budgetEuro === null || spentEuro + euro <= budgetEuro;
      if (within) spentEuro += euro;
      list.push({ ...chosen, needIds: [one.needId], euro, within, vital: one.unmet === 'stop' });
    }
  }
  return list;
}

function euroOf({ kind, pieces }: PurchaseOption): number {
  return kinds[kind].usualEuro * pieces;
}
/**
 * 0 for what is made for the need first, 1 for what does it beside something else: ice is drunk, but a bottle
 * is for water.
 */
function aside({ kind }: PurchaseOption, needId: NeedId): number {
  return kinds[kind].means[0] === needId ? 0 : 1;
}
/**
 * Whether one thing can settle a need beside others: a measure is used up, and the paddle one sets out with
 * is not its own spare.
 */
function sharable(needId: NeedId, others: readonly NeedId[]): boolean {
  const measured = (id: NeedId) => (catalogue[id] as Need).amount !== undefined;
  const paddles: readonly NeedId[] = ['propulsion', 'second-propulsion'];
  return (
    [needId, ...others].every((id) => !measured(id)) &&
    !(paddles.includes(needId) && others.some((id) => paddles.includes(id)))
  );
}
