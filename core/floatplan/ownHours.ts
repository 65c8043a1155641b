import { callInstant, outingHours } from '../documents/hours';
import type { Brief } from '../documents/outing';
import { byClock } from '../units/clockWords';
import type { Instant } from '../units/time';
import { sayMoment } from './status';

/**
 * The hours of an outing for whoever is on it: by the clock of the water, with the day where that is another
 * than the day of the launch.
 * @param reckoned when it is turned for home where nobody wrote when; null: not known
 * @returns home and call as "16:00 on Sunday 17 May"; turn null where it is neither written nor known
 */
export function sayOwnHours(
  brief: Pick<Brief, 'date' | 'launchAt' | 'turnAt' | 'homeAt' | 'nights' | 'alarmAt'>,
  zone: string,
  reckoned: Instant | null = null,
): { turn: string | null; home: string; call: string } {
  const hours = outingHours(brief, zone);
  const call = callInstant(brief, zone);
  const say = (at: Instant) => sayMoment(at, zone, hours?.launchAt ?? at);
  const turn = hours?.turnAt ?? reckoned;
  return {
    turn: turn === null ? null : say(turn),
    home: hours === null ? byClock(brief.homeAt) : say(hours.homeAt),
    call: call === null ? byClock(brief.alarmAt) : say(call),
  };
}
