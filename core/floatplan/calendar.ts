import { ICalAlarmType, ICalCalendar } from 'ical-generator';
import { onOneLine } from '../documents/field';
import type { Instant } from '../units/time';
import type { Before } from './before';
import { landingElsewhere, serviceOf } from './status';
import type { FloatPlan } from './floatPlan';

/** Minutes before each of them at which a calendar speaks up. */
const AHEAD_MIN = { launch: 60, turn: 15, home: 0, call: 0 } as const;
const LASTS_MS = 15 * 60_000;

interface CalendarGiven {
  id: string;
  homeAt: Instant;
  callAt: Instant;
  now: Instant;
  before?: readonly Before[];
}

/**
 * Launch, turn, home and call as a calendar file (RFC 5545), each with an alarm; moments in UTC, so that
 * every calendar shows them by its own clock.
 * @param homeAt, callAt as they stand now @param id names the plan: the same plan again replaces its events
 * @param before what is to be done before the launch; only for the angler’s own calendar
 */
export function planCalendar(
  plan: FloatPlan,
  { id, homeAt, callAt, now, before = [] }: CalendarGiven,
): string {
  const { times, rescue } = plan;
  // The library writes the calendar's name as it is: a line break in it would begin a line of the file.
  const [title, who] = [onOneLine(plan.title), onOneLine(plan.who)];
  const calendar = new ICalCalendar({ name: title, prodId: { company: 'Unhurried Tally', product: 'plan' } });
  const add = (part: keyof typeof AHEAD_MIN, at: Instant, summary: string, description: string) => {
    const event = calendar.createEvent({
      id: `${id}-${part}@unhurried-tally`,
      start: new Date(at),
      end: new Date(at + LASTS_MS),
      stamp: new Date(now),
      summary,
      description,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: AHEAD_MIN[part] * 60, description: summary });
  };
  before.forEach(({ at, what, why }, i) => {
    const event = calendar.createEvent({
      id: `${id}-before-${i}@unhurried-tally`,
      start: new Date(at),
      end: new Date(at + LASTS_MS),
      stamp: new Date(now),
      summary: onOneLine(what),
      description: why,
    });
    event.createAlarm({ type: ICalAlarmType.display, trigger: 0, description: onOneLine(what) });
  });
  add('launch', Date.parse(times.launchAt), `Afloat: ${title}`, `${who} launches.`);
  const onTo = landingElsewhere(plan.way);
  if (times.turnAt !== null)
    add(
      'turn',
      Date.parse(times.turnAt),
      `${onTo === null ? 'Turn for home' : `On to ${onTo}`}: ${title}`,
      onTo === null ? `${who} turns for home.` : `${who} goes on to ${onTo}, and lands there.`,
    );
  add('home', homeAt, `Home: ${title}`, `${who} is to be home.`);
  add(
    'call',
    callAt,
    `Nothing heard? Call. ${title}`,
    `If ${who} has not been heard from, call ${serviceOf(rescue)} and read out the plan.`,
  );
  return calendar.toString();
}
