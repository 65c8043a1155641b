import type { DayExposures } from '../exposures/exposures';
import { kinds } from '../catalog/gear/kinds';
import { tackleKinds } from '../catalog/gear/tackleKinds';
import type { Item } from '../documents/item';
import type { OutingInView } from '../documents/references';

/** Rods, boxes and all tackle by mass. */
export interface TackleCount {
  rods: number;
  boxes: number;
  massKg: number;
}
/** What each school carries. Usual practice. */
const BUDGETS: Record<'spare' | 'ample', TackleCount> = {
  spare: { rods: 2, boxes: 2, massKg: 4 },
  ample: { rods: 4, boxes: 4, massKg: 9 },
};
/** Surf and the far water take from it: fewer things to lose and to stow. */
const LOWERED: Record<'spare' | 'ample', TackleCount> = {
  spare: { rods: 2, boxes: 1, massKg: 3 },
  ample: { rods: 3, boxes: 3, massKg: 6 },
};
const FAR_M = 3000;
const SURF_M = 0.5;

/** Rods, lines, lures, bait and terminal tackle: what one could do with less of. */
const counted = ['rods', 'lures', 'leader', 'terminal', 'bait', 'bait-catching'] as const;
export const tackleKindIds: ReadonlySet<string> = new Set(
  (Object.keys(tackleKinds) as (keyof typeof tackleKinds)[]).filter((id) => {
    const { means, aside } = kinds[id];
    return aside === 'part of another' || counted.some((need) => means.includes(need));
  }),
);

/** Whether a thing has a part in the sums of rods and tackle. */
export function isTackle({ kind, attributes: { lureG, drogueM } }: Item): boolean {
  return (
    tackleKindIds.has(kind) ||
    lureG !== undefined ||
    drogueM !== undefined ||
    worked.some((need) => kinds[kind].means.includes(need))
  );
}
const worked = ['rods', 'lures', 'terminal'] as const;

/** What the angler's school allows itself on this outing; null without a profile. */
export function tackleBudget({ angler }: Pick<OutingInView, 'angler'>, e: DayExposures): TackleCount | null {
  if (!angler) return null;
  const lowered = (e.breakerM ?? 0) > SURF_M || (e.maxDistanceFromShoreM ?? 0) > FAR_M;
  return (lowered ? LOWERED : BUDGETS)[angler.schools.tackle];
}

export function tackleAboard({ aboard }: OutingInView): TackleCount {
  const count: TackleCount = { rods: 0, boxes: 0, massKg: 0 };
  for (const { item, entry } of aboard) {
    if (!tackleKindIds.has(item.kind)) continue;
    const { means } = kinds[item.kind];
    if (means.includes('rods')) count.rods += entry.quantity;
    if (means.includes('lures')) count.boxes += entry.quantity;
    count.massKg += item.massKg * entry.quantity;
  }
  return count;
}
