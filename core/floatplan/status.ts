import { byClock } from '../units/clockWords';
import { type Instant, clockAt, clockName, dateAt, dayInWords, minutesBetween } from '../units/time';
import { duration } from '../units/words';
import type { CheckIn, CheckInKind } from '../documents/checkIn';
import type { FloatPlan, WayPoint } from './floatPlan';

export type PlanState = 'left' | 'afloat' | 'late' | 'overdue' | 'home';
/** How a plan stands at a moment. */
export interface PlanStatus {
  state: PlanState;
  homeAt: Instant;
  callAt: Instant;
  /** When something was last heard; null: nothing since the plan was left. */
  heardAt: Instant | null;
  heard: CheckIn | null;
}

/** Check-ins that stand, in the order they were pressed. */
function standing(checkIns: readonly CheckIn[]): CheckIn[] {
  const stack: CheckIn[] = [];
  for (const one of checkIns.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at)))
    if (one.what === 'taken back') stack.pop();
    else stack.push(one);
  return stack;
}

/**
 * Where a plan stands. Late is past the hour of coming home, overdue past the hour to call; both move with
 * "home by". Whoever has said nothing of being afloat is late and overdue all the same. A plan that was left
 * anew has hours of its own: what was said of coming home before it was made says nothing of it.
 */
export function statusOf(
  { times, madeAt }: Pick<FloatPlan, 'times' | 'madeAt'>,
  checkIns: readonly CheckIn[],
  now: Instant,
): PlanStatus {
  const since = (one: CheckIn) => Date.parse(one.at) >= Date.parse(madeAt);
  const stack = standing(checkIns).filter((one) => one.what !== 'home' || since(one));
  const moved = stack.findLast((one) => one.what === 'well' && one.homeBy !== null && since(one));
  const planned = Date.parse(times.homeAt);
  const homeAt = moved?.homeBy ? Date.parse(moved.homeBy) : planned;
  const callAt = homeAt + Math.max(0, Date.parse(times.callAt) - planned);
  const last = stack.at(-1) ?? null;
  const heardAt = last ? Date.parse(last.at) : null;
  const state =
    last?.what === 'home'
      ? 'home'
      : now >= callAt
        ? 'overdue'
        : now >= homeAt
          ? 'late'
          : last
            ? 'afloat'
            : 'left';
  return { state, homeAt, callAt, heardAt, heard: last };
}

const heardWords: Record<CheckInKind, string> = {
  afloat: 'launched',
  well: 'said to be well',
  home: 'said to be home',
  'taken back': 'taken back',
};
/** Whom to call, by name and number. */
export function serviceOf({ name, phone }: FloatPlan['rescue']): string {
  return [name, phone].filter(Boolean).join(', ') || 'the emergency service of that place';
}
/**
 * A moment by the clock of the water, which it names, and its day there: what stands on paper is read on any day,
 * and anywhere.
 */
export function sayMomentInFull(at: Instant, zone: string): string {
  return `${onItsDay(at, zone)} (${clockName(at, zone)})`;
}
function onItsDay(at: Instant, zone: string): string {
  return byClock(`${clockAt(at, zone)} on ${dayInWords(dateAt(at, zone))}`);
}
/** What whoever waits does when the hour to call comes, in a sentence. */
export function sayCall({ times, zone, rescue }: Pick<FloatPlan, 'times' | 'zone' | 'rescue'>): string {
  const channel = rescue.radio === '' ? '' : ` (${rescue.radio})`;
  return `Nothing heard by ${sayMomentInFull(Date.parse(times.callAt), zone)}: call ${serviceOf(rescue)}${channel}, and read this out.`;
}
/** The landing's name, where it is another than the launch; null: one comes back. */
export function landingElsewhere(way: readonly WayPoint[]): string | null {
  const named = (kind: WayPoint['kind']) => way.find((one) => one.kind === kind)?.name ?? null;
  const landing = named('landing');
  return landing === named('launch') ? null : landing;
}
/** The hours of a plan in their order, in words; home and the hour to call may have been said anew since. */
export function sayHours(
  { times, zone, way }: Pick<FloatPlan, 'times' | 'zone' | 'way'>,
  since?: Pick<PlanStatus, 'homeAt' | 'callAt'>,
): { label: string; text: string }[] {
  const onTo = landingElsewhere(way);
  const hours: [string, Instant | null][] = [
    ['Afloat', Date.parse(times.launchAt)],
    [
      onTo === null ? 'Turn for home' : `On to ${onTo}`,
      times.turnAt === null ? null : Date.parse(times.turnAt),
    ],
    ['Home', since?.homeAt ?? Date.parse(times.homeAt)],
    ['Call', since?.callAt ?? Date.parse(times.callAt)],
  ];
  return hours.flatMap(([label, at]) => (at === null ? [] : [{ label, text: sayMomentInFull(at, zone) }]));
}
/** A moment by the clock of the water, with its day where that is another than today there. */
export function sayMoment(at: Instant, zone: string, now: Instant): string {
  return dateAt(at, zone) === dateAt(now, zone) ? byClock(clockAt(at, zone)) : onItsDay(at, zone);
}
/** How a moment is said: as one who is on the outing reads it, or as it is read ashore, where the clock is named too. */
export type SayMoment = (at: Instant, zone: string, now: Instant) => string;

/** How it stands, in a title and a sentence. */
export function sayStatus(
  plan: Pick<FloatPlan, 'zone'>,
  status: PlanStatus,
  now: Instant,
  sayAt: SayMoment = sayMoment,
): { title: string; text: string } {
  const { state, homeAt, callAt, heardAt, heard } = status;
  const say = (at: Instant) => sayAt(at, plan.zone, now);
  const last =
    heardAt === null || !heard
      ? 'Nothing was heard since the plan was left.'
      : `Last heard at ${say(heardAt)}: ${heardWords[heard.what]}.`;
  const span = (to: Instant) => duration(Math.abs(minutesBetween(now, to)));
  switch (state) {
    case 'home':
      return { title: 'Home', text: last };
    case 'left':
      return {
        title: 'Left, and not launched yet',
        text: `Home by ${say(homeAt)}; to call at ${say(callAt)}. ${last}`,
      };
    case 'afloat':
      return {
        title: 'Afloat',
        text: `Home by ${say(homeAt)}, in ${span(homeAt)}; to call at ${say(callAt)}. ${last}`,
      };
    case 'late':
      return {
        title: `Late by ${span(homeAt)}`,
        text: `Home was to be at ${say(homeAt)}. To call at ${say(callAt)}, in ${span(callAt)}. ${last}`,
      };
    case 'overdue':
      return {
        title: `Overdue: the hour to call was ${say(callAt)}`,
        text: `Home was to be at ${say(homeAt)}, ${span(homeAt)} ago. ${last}`,
      };
  }
}

/** What of a plan says whom to call and where to look. */
export type Waited = Pick<FloatPlan, 'rescue' | 'who' | 'phone' | 'vehicle' | 'zone'>;
/** What whoever is ashore does now, in order. */
export function whatToDo(
  plan: Waited,
  { state, callAt, homeAt }: PlanStatus,
  now: Instant,
  sayAt: SayMoment = sayMoment,
): string[] {
  const say = (at: Instant) => sayAt(at, plan.zone, now);
  const { rescue, who, phone, vehicle, zone } = plan;
  const ring = phone === '' ? `Try to reach ${who || 'them'}.` : `Ring ${who || 'them'}: ${phone}.`;
  const look =
    vehicle === '' ? [] : [`If somebody is near, let them look whether the vehicle has gone: ${vehicle}.`];
  const service = serviceOf(rescue);
  const clock = `Times are by the clock at the water (${zone.replace('-', '−')}).`;
  switch (state) {
    case 'home':
      return ['Nothing more. Thank you for keeping watch.'];
    case 'left':
    case 'afloat':
      return [
        `Nothing now. Keep this page, and your telephone, with you at ${say(homeAt)}.`,
        `If nothing is heard by ${say(callAt)}, call ${service}. Nobody else is watching: the clock is yours.`,
        clock,
      ];
    case 'late':
      return [
        ring,
        ...look,
        `If nothing is heard by ${say(callAt)}, call ${service} and read out what stands below.`,
        clock,
      ];
    case 'overdue':
      return [
        `${ring} Once, not for long.`,
        `Call ${service} now. Read out what stands below, and say when you last heard.`,
        ...look,
        'Stay where they can ring you back. If they come home, say so to everyone you called.',
        clock,
      ];
  }
}
