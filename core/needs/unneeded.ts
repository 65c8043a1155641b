import { type KindId, kinds } from '../catalog/gear/kinds';
import { wornPlaces } from '../catalog/gear/places';
import type { Item } from '../documents/item';
import type { Outing } from '../documents/outing';
import { type NeedId, needsByPurpose } from '../vocabulary/needs';
import { type OutingInView, idsAboard } from '../documents/references';
import type { JudgedNeed } from './match';

/** Needs whose means are never named as unneeded: they back up what keeps one alive and brings one home. */
const backingUp: ReadonlySet<NeedId> = new Set<NeedId>([
  ...needsByPurpose.alive,
  ...needsByPurpose.back,
  'spare-clothes',
  'hot-drink',
]);
/** Kinds that pad or hold other things. */
const helping: readonly KindId[] = [
  'deck-pad',
  'seat-cushion',
  'phone-float',
  'cord',
  'carabiners',
  'rod-tube',
];
/**
 * What is worn, what stays with the vehicle, what pads, holds or carries something else, and what comes along
 * on every outing or for a reason that was given: leaving it ashore is not proposed.
 */
function mayBeLeft({ kind, always, stays }: Item): boolean {
  const { place, means } = kinds[kind];
  return (
    stays.trim() === '' &&
    !always &&
    place !== 'vehicle' &&
    !wornPlaces.includes(place) &&
    !helping.includes(kind) &&
    !means.some((id) => backingUp.has(id))
  );
}

/**
 * Items aboard that no raised need asks for, where leaving them ashore is sound. A container with something
 * in it is at work, and so is a part of a rig whose rod is aboard.
 */
export function unneeded(
  needs: readonly JudgedNeed[],
  looked: OutingInView,
  { rigs }: Pick<Outing, 'rigs'>,
): string[] {
  const raised = new Set<string>(needs.map((need) => need.id));
  const { aboard } = looked;
  const ids = idsAboard(looked);
  const atWork = new Set<string | null>([
    ...aboard.map(({ item }) => item.containerId),
    ...rigs
      .filter(({ rodId }) => rodId !== null && ids.has(rodId))
      .flatMap(({ reelId, mainId, leaderId, clipId, lureId }) => [reelId, mainId, leaderId, clipId, lureId]),
  ]);
  return aboard
    .filter(
      ({ item }) =>
        mayBeLeft(item) && !atWork.has(item.id) && !kinds[item.kind].means.some((id) => raised.has(id)),
    )
    .map(({ item }) => item.id);
}
