export const immersionClasses = ['warm', 'cool', 'shock possible', 'cold', 'very cold', 'extreme'] as const;
export type ImmersionClass = (typeof immersionClasses)[number];

export interface Immersion {
  class: ImmersionClass;
  /** Published ranges, in minutes; null: no upper end is given. Ranges, never a promise. */
  exhaustionMin: readonly [number, number];
  survivalMin: readonly [number, number | null];
}

// Lower edge of each class, °C.
const classes: readonly [number, ImmersionClass][] = [
  [25, 'warm'],
  [20, 'cool'],
  [15, 'shock possible'],
  [10, 'cold'],
  [5, 'very cold'],
  [-Infinity, 'extreme'],
];
// Lower edge in °C, exhaustion and survival in minutes: the widely published coast-guard table of expected
// times, by the temperature itself (its rows stand at 32.5, 40, 50, 60, 70 and 80 °F).
const times: readonly [number, readonly [number, number], readonly [number, number | null]][] = [
  [21.1, [180, 720], [180, null]],
  [15.6, [120, 420], [120, 2400]],
  [10, [60, 120], [60, 360]],
  [4.4, [30, 60], [60, 180]],
  [0.3, [15, 30], [30, 90]],
  [-Infinity, [0, 15], [15, 45]],
];

/**
 * The class of a water temperature in °C, with the published ranges of time to exhaustion and of survival.
 */
export function immersion(waterC: number): Immersion {
  const [, name] = classes.find(([from]) => waterC >= from) ?? [0, 'extreme' as const];
  const [, exhaustionMin, survivalMin] =
    times.find(([from]) => waterC >= from) ?? (times[times.length - 1] as (typeof times)[number]);
  return { class: name, exhaustionMin, survivalMin };
}

/** Water under which a wetsuit or better is asked for (> 500 m out or alone), °C. */
export const WETSUIT_BELOW_C = 18;
/** Water under which a drysuit or its equal is asked for, °C. */
export const DRYSUIT_BELOW_C = 12;

/** Water under which the first breaths are a gasp and hands soon stop serving, °C. */
export const COLD_SHOCK_BELOW_C = 15;
/**
 * In such water, minutes: until the breath is one's own again, and as long as hands and arms serve. As widely
 * taught; people differ.
 */
export const GASPING_MIN: readonly [number, number] = [1, 3];
export const HANDS_SERVE_MIN = 10;
