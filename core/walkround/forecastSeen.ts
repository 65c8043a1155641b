import type { Conditions } from '../documents/outing';
import type { Instant } from '../units/time';
import type { Answers } from './answers';

/** A forecast older than this is looked at again before launching, hours. */
export const FORECAST_HOURS = 3;

/** When the forecast was last looked at: when its figures were written, or found unchanged at the water. null: never. */
export function forecastSeenAt({ takenAt }: Pick<Conditions, 'takenAt'>, answers: Answers): Instant | null {
  const looked = answers.get('gate:weather');
  const seen = [takenAt, looked?.verdict === 'good' ? looked.at : null].flatMap((at) =>
    at === null ? [] : [Date.parse(at)],
  );
  return seen.length > 0 ? Math.max(...seen) : null;
}
