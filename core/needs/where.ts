import { kinds } from '../catalog/gear/kinds';
import type { Aboard } from '../documents/references';
import { reaches } from '../vocabulary/boat';
import type { NeedId } from '../vocabulary/needs';
import { whereOf } from '../vocabulary/where';
import type { Shortfall } from './need';

/** Why a thing does not count where it lies; null: it lies where it must, or nobody said where. */
export function outOfPlace(need: NeedId, { item, lies }: Aboard): Shortfall | null {
  const want = whereOf[need];
  if (!want || !lies || lies.in === 'nowhere' || lies.in === 'companion') return null;
  if (lies.in === 'body' && lies.boxes.length === 0) return null;
  // What hangs on the seat or a rail for the whole party is told by its own rule.
  const reached = want === 'worn' ? -1 : reaches.indexOf(want);
  if (reaches.indexOf(lies.reach) <= reached) return null;
  // A paddle at one's side is in the hand though its middle is not.
  if (kinds[item.kind].means.includes('propulsion') && lies.reach === 'turn') return null;
  return { code: 'out-of-place', want, boxes: lies.boxes, place: lies.place, in: lies.in, moves: lies.moves };
}
