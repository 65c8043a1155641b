import type { Effort } from './water';

/** Energy spent afloat, kJ per hour. Rule of thumb for an adult of middling mass. */
const KJ_PER_HOUR: Record<Effort, number> = { rest: 400, easy: 800, steady: 1300, hard: 2100 };
const SHARE_EATEN = 0.5;
const KJ_PER_CAMP_DAY = 10_000;

/** Food energy to carry for one person, kJ: half of what the hours afloat cost, and a full day's food for each night out. */
export function foodEnergy(input: { hours: number; nights: number; effort: Effort }): number {
  return KJ_PER_HOUR[input.effort] * input.hours * SHARE_EATEN + input.nights * KJ_PER_CAMP_DAY;
}

/** Meals cooked in camp for one person: supper and breakfast for each night. */
export function campMeals(nights: number): number {
  return nights * 2;
}
