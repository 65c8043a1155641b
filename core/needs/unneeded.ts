import { kinds } from '../catalog/gear/kinds';
import type { Outing } from '../documents/outing';
import { type Looked, idsAboard } from '../documents/references';
import type { JudgedNeed } from './match';

/** Items aboard that no raised need asks for. A container with something in it is at work, and so is a part of a rig whose rod is aboard. */
export function unneeded(needs: readonly JudgedNeed[], looked: Looked, { rigs }: Outing): string[] {
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
    .filter(({ item }) => !atWork.has(item.id) && !kinds[item.kind].means.some((id) => raised.has(id)))
    .map(({ item }) => item.id);
}
