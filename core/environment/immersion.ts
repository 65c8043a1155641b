export const immersionClasses = ['warm', 'cool', 'shock possible', 'cold', 'very cold', 'extreme'] as const;
export type ImmersionClass = (typeof immersionClasses)[number];

export interface Immersion {
  class: ImmersionClass;
  /** Published ranges, in minutes; null: no upper end is given. Ranges, never a promise. */
  exhaustionMin: readonly [number, number];
  survivalMin: readonly [number, number | null];
}

// Lower edge in °C, class, exhaustion and survival in minutes: the widely published coast-guard table of expected times,
// each class given the row that its lower edge falls in, so the figure errs to the colder side.
const table: readonly [number, ImmersionClass, readonly [number, number], readonly [number, number | null]][] = [
  [25, 'warm', [180, 720], [180, null]],
  [20, 'cool', [120, 420], [120, 2400]],
  [15, 'shock possible', [60, 120], [60, 360]],
  [10, 'cold', [60, 120], [60, 360]],
  [5, 'very cold', [30, 60], [60, 180]],
  [-Infinity, 'extreme', [15, 30], [30, 90]],
];

/** The class of a water temperature in °C, with the published ranges of time to exhaustion and of survival. */
export function immersion(waterC: number): Immersion {
  const row = table.find(([from]) => waterC >= from);
  const [, name, exhaustionMin, survivalMin] = row ?? (table[table.length - 1] as (typeof table)[number]);
  return { class: name, exhaustionMin, survivalMin };
}

/** Water under which a wetsuit or better is asked for (> 500 m out or alone), °C. */
export const WETSUIT_BELOW_C = 18;
/** Water under which a drysuit or its equal is asked for, °C. */
export const DRYSUIT_BELOW_C = 12;
