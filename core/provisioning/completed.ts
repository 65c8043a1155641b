import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { withItem } from '../editing/edit';
import { newItem } from '../editing/newItem';
import { bettered } from '../needs/purchaseOptions';
import { propose } from './propose';
import { purchases } from './shopping';
import type { Instant } from '../units/time';
import { noAnswers } from '../walkround/answers';

const asked = (
  kind: Item['kind'],
  id: string,
  quantity: number,
  lacks: Parameters<typeof bettered>[1][],
): Item => lacks.reduce((one, lack) => bettered(one, lack) ?? one, newItem(id, kind, { quantity }));
/**
 * The outing with everything it asks for bought in a shop and proposed from there, as often as one thing
 * brings the want of another.
 */
export function completed(
  outing: Outing,
  references: References,
  now: Instant,
): { outing: Outing; refs: References } {
  let refs: References = { ...references, items: [] };
  let laden = outing;
  for (let round = 0; round < 5; round += 1) {
    const bought = purchases(propose(laden, refs, noAnswers, now).missing, null).map(
      ({ kind, pieces, asked: lacks }, i) => asked(kind, `bought-${round}-${i}`, pieces, lacks),
    );
    refs = { ...refs, items: [...refs.items, ...bought] };
    for (const { itemId, quantity } of propose(laden, refs, noAnswers, now).add)
      laden = withItem(laden, itemId, quantity);
  }
  return { outing: laden, refs };
}
