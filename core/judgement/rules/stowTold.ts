import type { Zone } from '../../documents/boatParts';
import { isRough } from '../../exposures/rough';
import { type Placed, type StowPlan } from '../../stow/plan';
import { count, listed } from '../../units/words';
import { type Mode, modeWords } from '../../vocabulary/stow';
import type { Context } from '../context';
import { rememberFor } from '../../units/remember';
import type { RuleFinding } from '../rule';
import { planIn } from '../stowRepairs';

/** Things that stand this high over their place are felt by the wind and by whoever casts, m. */
export const HIGH_M = 0.9;
const MOST_NAMED = 4;

export const named = (list: readonly Placed[]) => {
  const names = list.map(({ one }) => one.item.name);
  return names.length > MOST_NAMED
    ? `${listed(names.slice(0, MOST_NAMED - 1))} and ${count(names.length - MOST_NAMED + 1)} more`
    : listed(names);
};
export const idsOf = (list: readonly Placed[]) => list.map(({ one }) => one.item.id);
export const inMode = (mode: Mode) => (mode === 'fish' ? '' : ` (${modeWords[mode]})`);

export interface AfloatPlan {
  mode: Mode;
  plan: StowPlan;
  rough: boolean;
}
const known = rememberFor((_: Context['plans']) => ({
  day: null as Context['day'] | null,
  list: [] as AfloatPlan[],
}));
/**
 * Plans of the modes that are afloat, each plan once, under the mode in which it is hardest: the same list
 * for the same plans and day.
 */
export function afloatPlans({ plans, day }: Pick<Context, 'plans' | 'day'>): readonly AfloatPlan[] {
  const last = known(plans);
  if (last.day !== day) Object.assign(last, { day, list: afloatAmong(plans, day) });
  return last.list;
}
function afloatAmong(plans: Context['plans'], day: Context['day']): AfloatPlan[] {
  const list = plans
    .filter(({ mode }) => mode !== 'carry' && mode !== 'camp')
    .map((one) => ({ ...one, rough: isRough(one.mode, day) }))
    .toSorted(
      (a, b) => Number(b.rough) - Number(a.rough) || Number(b.mode === 'fish') - Number(a.mode === 'fish'),
    );
  return list.filter(
    (one, i) => list.findIndex(({ plan, rough }) => plan === one.plan && (rough || !one.rough)) === i,
  );
}
/** Things that have to be found again by those who were told: by id, in this plan. */
export function placedAgain(context: Context, mode: Mode, ids: readonly string[]): Placed[] {
  const plan = planIn(context, mode);
  return ids.flatMap((id) => plan?.byId.get(id) ?? []);
}
/** Things by the place of the boat that they are in. */
export function byZone(list: readonly Placed[]): { zone: Zone; things: Placed[] }[] {
  const zones = new Map<string, { zone: Zone; things: Placed[] }>();
  for (const placed of list) {
    if (!placed.zone) continue;
    const one = zones.get(placed.zone.id) ?? { zone: placed.zone, things: [] };
    one.things.push(placed);
    zones.set(placed.zone.id, one);
  }
  return [...zones.values()];
}
export const byHand = (list: readonly Placed[]) => list.some(({ by }) => by !== 'kind');
/** Things as a finding tells of them: by name, how many, and by id for what settles it. */
export const toldOf = (list: readonly Placed[]) => ({
  things: named(list),
  many: list.length,
  thingIds: idsOf(list),
});
/** A Note that rests on judgement, of these things together; of none, none. */
export const noteOf = (list: readonly Placed[]): RuleFinding<ReturnType<typeof toldOf>>[] =>
  list.length === 0 ? [] : [{ level: 'note', basis: 'judgement', extent: list.length, facts: toldOf(list) }];
