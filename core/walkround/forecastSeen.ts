import type { Conditions } from '../documents/outing';
import { MINUTE_MS, type Instant } from '../units/time';
import type { Answers } from './answers';

/** A forecast older than this is looked at again before launching, hours. */
export const FORECAST_HOURS = 3;

/** Clocks may differ by so much; what is dated later than that was not looked at yet, min. */
const CLOCKS_DIFFER_MIN = 30;

/**
 * When the forecast was last looked at: when its figures were written, or found unchanged at the water. null:
 * never, or at a time to come.
 */
export function forecastSeenAt(
  { takenAt }: Pick<Conditions, 'takenAt'>,
  answers: Answers,
  now: Instant,
): Instant | null {
  const looked = answers.get('gate:weather');
  const seen = [takenAt, looked?.verdict === 'good' ? looked.at : null].flatMap((at) =>
    at === null || Date.parse(at) > now + CLOCKS_DIFFER_MIN * MINUTE_MS ? [] : [Date.parse(at)],
  );
  return seen.length > 0 ? Math.max(...seen) : null;
}
