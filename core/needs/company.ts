import { type KindId, kindIds, kinds } from '../catalog/gear/kinds';
import type { Outing } from '../documents/outing';
import type { Aboard } from '../documents/references';
import { newItem } from '../editing/newItem';
import { rememberFor } from '../units/remember';
import { catalogue } from './catalogue';
import type { NeedId } from '../vocabulary/needs';
import type { JudgedNeed } from './match';

/** What each person of a party has to carry on their own body or in their own boat. */
const personal: ReadonlySet<NeedId> = new Set([
  'buoyancy',
  'sound-signal',
  'call-for-help',
  'be-seen-night',
  'immersion-clothing',
  'head',
  'cut-line',
  'second-propulsion',
  'spare-clothes',
  'water',
  'sleep',
  'licence',
]);

/** The needs of this outing that every companion answers for: those that keep one alive. */
export function personalNeeds(needs: readonly JudgedNeed[]): JudgedNeed[] {
  return needs.filter((need) => personal.has(need.id) && (need.level === 'law' || need.level === 'must'));
}

/** The needs that one thing in any boat of the party settles. */
export function sharedNeeds(needs: readonly JudgedNeed[]): JudgedNeed[] {
  return needs.filter((need) => catalogue[need.id].shared === true);
}

/**
 * What the others bring for all of the party, each by the usual figures of its kind. The same list while
 * nothing of it is said anew.
 */
export const broughtBy = rememberFor((company: Outing['company']): readonly Aboard[] =>
  company.flatMap(({ id: carriedBy, brings }) =>
    brings.map(({ id, kind, name, quantity }) => ({
      item: newItem(id, kind, name === '' ? {} : { name }),
      entry: { itemId: id, quantity, outsideContainer: false, carriedBy },
    })),
  ),
);
/** Kinds of things of which one in any boat does for all. */
export function kindsForAll(needs: readonly JudgedNeed[]): KindId[] {
  const shared = new Set(sharedNeeds(needs).map(({ id }) => id));
  return kindIds.filter((kind) => kinds[kind].means.some((id) => shared.has(id)));
}

/** Things aboard that meet a need the party shares. */
export function sharedAboard(aboard: readonly Aboard[], needs: readonly JudgedNeed[]): Aboard[] {
  const shared = new Set(sharedNeeds(needs).map(({ id }) => id));
  return aboard.filter(({ item }) => kinds[item.kind].means.some((id) => shared.has(id)));
}
