import { seatedIn } from '../boat/build';
import { reachOf } from '../boat/zones';
import type { Angler } from '../documents/angler';
import type { Zone } from '../documents/boatParts';
import type { Craft } from '../documents/craft';
import { rememberFor } from '../units/remember';
import type { Reach } from '../vocabulary/boat';

const known = rememberFor((_: Craft) => new Map<string, { heightM: number; reach: Reach }>());
/**
 * How a place is reached from the seat as the boat is set up; worked out once for a boat and whoever sits in
 * it.
 */
export function reachIn(zone: Zone, craft: Craft, { heightM }: Pick<Angler, 'heightM'>): Reach {
  const reaches = known(craft);
  const found = reaches.get(zone.id);
  if (found?.heightM === heightM) return found.reach;
  const reach = reachOf(zone, craft, { heightM }, seatedIn(craft));
  reaches.set(zone.id, { heightM, reach });
  return reach;
}
