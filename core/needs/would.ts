import { type KindId, kindIds, kinds } from '../gear/kinds';
import { newItem } from '../gear/newItem';
import type { Item } from '../outing/item';
import { catalogue } from './catalogue';
import type { NeedId } from './ids';
import { type NeedContext, type Shortfall, worthOf } from './need';

/** A kind that would meet a need here, and what to ask for when a usual one of it falls short. */
export interface Would {
  kind: KindId;
  asked: Shortfall | null;
  /** How many of it settle what is missing. */
  pieces: number;
}

const boughtBetter: ReadonlySet<Shortfall['code']> = new Set<Shortfall['code']>([
  'too-little',
  'wrong-size',
  'not-approved',
  'not-bright',
  'not-hardened',
  'not-coated',
  'not-floating',
  'not-waterproof',
  'not-retained',
  'no-release',
  'bites-through',
]);
/** Whether a better one of the kind does not lack it: what has no such measure at all will not have more of it. */
function betterBought(asked: Shortfall, { attributes }: Item): boolean {
  return boughtBetter.has(asked.code) && (asked.code !== 'too-little' || attributes[asked.attribute] !== undefined);
}

/** Why a thing by itself would not count for a need here, its condition left out; null: it would. */
export function lacksHere(id: NeedId, item: Item, c: NeedContext): Shortfall | null {
  return (
    catalogue[id].lacks?.({ item, entry: { itemId: item.id, quantity: 1, apart: false, withId: null } }, c) ?? null
  );
}

/**
 * The kinds that would meet what a need still misses on this outing: a wetsuit where a wetsuit is enough, no gaff for a fish that goes back.
 * @param missing means or amount still to come @param taken kinds that count already, where others are wanted
 */
export function wouldMeet(id: NeedId, c: NeedContext, missing: number, taken: ReadonlySet<KindId>): Would[] {
  const need = catalogue[id];
  return kindIds.flatMap((kind): Would[] => {
    if (!kinds[kind].means.includes(id) || taken.has(kind)) return [];
    const item = newItem('usual', kind);
    const asked = lacksHere(id, item, c);
    if (asked !== null && !betterBought(asked, item)) return [];
    const worth = worthOf(need, item);
    return [{ kind, asked, pieces: need.distinctKinds || worth <= 0 ? 1 : Math.ceil(missing / worth - 1e-9) }];
  });
}
