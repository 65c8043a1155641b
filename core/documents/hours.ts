import { type Instant, addDays, instantOf, minutesOf } from '../units/time';
import type { Brief } from './outing';

/**
 * The hours of an outing as moments, each by the civil time of its own day: a night in which the clocks
 * change is longer or shorter.
 */
export interface OutingHours {
  launchAt: Instant;
  homeAt: Instant;
  /** When home is to be begun; null: not written. */
  turnAt: Instant | null;
}
type Hours = Pick<Brief, 'date' | 'launchAt' | 'turnAt' | 'homeAt' | 'nights'>;

/** A call longer after home than this is taken as one that was meant for before it. */
const LATEST_CALL_MIN = 12 * 60;
const DAY_MIN = 24 * 60;

/**
 * Whether an outing ends elsewhere than it began: a river floated, a shore followed to another landing. There
 * is no turn for home then.
 */
export function isOneWay({ launchId, landingId }: Pick<Brief, 'launchId' | 'landingId'>): boolean {
  return landingId !== null && launchId !== null && landingId !== launchId;
}
/**
 * Whether one comes home the next morning, afloat through midnight: home before the launch by the clock, and
 * no night in camp.
 */
export function throughMidnight({
  nights,
  launchAt,
  homeAt,
}: Pick<Hours, 'nights' | 'launchAt' | 'homeAt'>): boolean {
  return nights === 0 && homeAt < launchAt;
}

/** The day on which one comes home. */
export function homeDate(brief: Pick<Hours, 'date' | 'nights' | 'launchAt' | 'homeAt'>): string {
  return addDays(brief.date, brief.nights + (throughMidnight(brief) ? 1 : 0));
}

/** Minutes from one time of the clock to the next time it shows another; 0 where they are the same. */
export function minutesTo(from: string, to: string): number {
  return (minutesOf(to) - minutesOf(from) + DAY_MIN) % DAY_MIN;
}

/** Whether a call by the clock is on the day after coming home: past midnight, and not half a day away. */
function callsNextDay({ homeAt, alarmAt }: Pick<Brief, 'homeAt' | 'alarmAt'>): boolean {
  return alarmAt < homeAt && minutesTo(homeAt, alarmAt) <= LATEST_CALL_MIN;
}

/** @param zone of the water @returns null when a date or time is none */
export function outingHours(brief: Hours, zone: string): OutingHours | null {
  const launchAt = instantOf(brief.date, brief.launchAt, zone);
  const homeAt = instantOf(homeDate(brief), brief.homeAt, zone);
  if (launchAt === null || homeAt === null) return null;
  return { launchAt, homeAt, turnAt: turnOf(brief, zone) };
}

/**
 * When the person ashore calls for help.
 * @param zone of the water
 * @returns null when the date or time is none
 */
export function callInstant(brief: Hours & Pick<Brief, 'alarmAt'>, zone: string): Instant | null {
  return instantOf(addDays(homeDate(brief), callsNextDay(brief) ? 1 : 0), brief.alarmAt, zone);
}

/**
 * A turn before the launch by the clock is one after midnight; with nights out it is on the day of coming
 * home.
 */
function turnOf(brief: Hours, zone: string): Instant | null {
  const { turnAt } = brief;
  if (turnAt === null) return null;
  const evening = throughMidnight(brief) && turnAt >= brief.launchAt;
  return instantOf(evening ? brief.date : homeDate(brief), turnAt, zone);
}
