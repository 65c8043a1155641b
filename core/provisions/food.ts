import type { Effort } from '../vocabulary/efforts';

/** Energy spent afloat, kJ per hour. Rule of thumb for an adult of middling mass. */
export const KJ_PER_HOUR: Record<Effort, number> = { rest: 400, easy: 800, steady: 1300, hard: 2100 };
export const SHARE_EATEN = 0.5;
export const KJ_PER_CAMP_DAY = 10_000;

/**
 * Food energy to carry for one person, kJ: a share of what the hours afloat cost, half by default, and a full
 * day's food for each night out.
 */
export function foodEnergy(input: {
  hours: number;
  nights: number;
  effort: Effort;
  /** One's own, in place of the usual by effort. */
  kjPerHour?: number | null;
  shareEaten?: number;
  kjPerCampDay?: number;
}): number {
  const {
    hours,
    nights,
    effort,
    kjPerHour,
    shareEaten = SHARE_EATEN,
    kjPerCampDay = KJ_PER_CAMP_DAY,
  } = input;
  return (kjPerHour ?? KJ_PER_HOUR[effort]) * hours * shareEaten + nights * kjPerCampDay;
}

/** Meals cooked in camp for one person: supper and breakfast for each night. */
export function campMeals(nights: number): number {
  return nights * 2;
}
