import { kinds } from '../catalog/gear/kinds';
import type { Item } from '../documents/item';
import { byItself } from '../documents/references';
import { catalogue } from '../needs/catalogue';
import type { NeedId } from '../vocabulary/needs';
import { type WalkTaken, outOfService } from '../needs/match';
import { type NeedContext, type Shortfall, disqualified } from '../needs/need';

/** An owned item that could meet a need, and why it would not count if it came aboard; null: it would. */
export interface Choice {
  item: Item;
  shortfall: Shortfall | null;
}

/**
 * Everything in the locker whose kind can meet a need and that is not aboard: what counts first, then the
 * lightest.
 */
export function choicesFor(
  needId: NeedId,
  items: readonly Item[],
  context: NeedContext,
  lastDay: string,
  taken: WalkTaken,
): Choice[] {
  const aboardIds = new Set(context.aboard.map(({ item }) => item.id));
  return items
    .filter((item) => !aboardIds.has(item.id) && kinds[item.kind].means.includes(needId))
    .map((item): Choice => {
      const aboard = byItself(item);
      return {
        item,
        shortfall: outOfService(aboard, lastDay, taken) ?? disqualified(catalogue[needId], aboard, context),
      };
    })
    .sort(
      (a, b) => Number(a.shortfall !== null) - Number(b.shortfall !== null) || a.item.massKg - b.item.massKg,
    );
}
