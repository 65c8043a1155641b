/** How far a day may differ from what was written. Each is a rule of thumb until it is one's own. */
export interface Spread {
  /** Standard deviation of one's pace, as a share of it; and the share of it lost an hour at the most. */
  pace: number;
  fadesPerHour: number;
  /** Launched up to so many minutes late. */
  lateMin: number;
  /** In such a share of days one stays at the place, up to so many minutes longer. */
  stays: number;
  staysMin: number;
  /** In such a share of days something stops one on the way home: a fish that tows, a repair. */
  stops: number;
  stopsMin: number;
  /** Standard deviations: of the moment a change of wind comes, and of the stream's, minutes; of its strength, share. */
  windTimingMin: number;
  streamTimingMin: number;
  streamStrength: number;
  /** Standard deviation of what a battery gives, share. */
  battery: number;
}
export const usualSpread: Spread = {
  pace: 0.08,
  fadesPerHour: 0.04,
  lateMin: 30,
  stays: 1 / 3,
  staysMin: 45,
  stops: 0.1,
  stopsMin: 30,
  windTimingMin: 45,
  streamTimingMin: 15,
  streamStrength: 0.08,
  battery: 0.1,
};

/** How much of an hour's error of the wind is left in the next. */
export const WIND_KEEPS = 0.8;
/**
 * Standard deviation of each part of the wind (east, north), m/s: by the age of the forecast at the launch, and
 * by the hours after it. A rule of thumb near published errors of forecasts of the wind at 10 m.
 * @param ageH hours from the forecast to the launch, 0 and up @param afterH hours after the launch, 0 and up
 */
export function windErrorMps(ageH: number, afterH: number): number {
  return 1 + 0.02 * Math.min(Math.max(ageH, 0), 96) + 0.15 * Math.min(afterH, 10);
}
