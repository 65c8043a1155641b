import { onWater } from '../boat/drag';
import { isOneWay } from '../documents/hours';
import type { Outing } from '../documents/outing';
import type { References } from '../documents/references';
import { type Repair, applyRepair } from '../editing/repair';
import { dayOf } from '../environment/day';
import { densityOf } from '../environment/density';
import { lightOfDay, noonOf } from '../environment/light';
import { contextOf } from '../judgement/context';
import { alarmInstant } from '../needs/catalogueAlive';
import type { RouteLeg } from '../passage/route';
import { powerSheet } from '../power/powerSheet';
import { HOUR_MS, type Instant, MINUTE_MS, clockAt, dateAt, shiftClock } from '../units/time';
import { noAnswers } from '../walkround/answers';
import { type Part, type RehearsalInput, type RehearsedDay, rehearse } from './rehearse';
import { usualSpread } from './spread';

/** So many days of all, and by which hour the middle of them came. */
export interface Counted {
  days: number;
  /** Clock time that half of those days came before; null: there were none. */
  half: string | null;
}
/** One thing changed, and in how many of the same days the outing then goes wrong, or one is home late. */
export interface Option {
  repair: Repair;
  wrong: number;
  late: number;
}
/** An outing rehearsed: counts of days, never a promise. */
export interface Rehearsal {
  days: number;
  seed: number;
  /** Hours from the forecast to the launch; null: nobody wrote when it was looked at. */
  ageH: number | null;
  /** Clock times of coming home: 5, 50 and 95 of a hundred of the days that came home. */
  home: { early: string; half: string; late: string } | null;
  /** Days by the quarter of an hour in which they came home; the last one in a hundred is left out. */
  bins: readonly { from: string; days: number }[];
  deadline: string;
  /** Home later than written; past civil dusk; past the hour to call; not at all within twelve hours. */
  late: number;
  dark: { at: string; days: number } | null;
  called: { at: string; days: number } | null;
  notHome: number;
  /** The wind passed one's own limit: where it first did. */
  limitMps: number;
  passed: Record<Part, Counted>;
  /** Turned early by one's own rule, and how many of those days were home as written. */
  turned: Counted & { enough: number };
  /** Made no way for a while. */
  stopped: number;
  empty: readonly { name: string; days: number }[];
  /** Days in which something of this went wrong: see `wrongOf`. */
  wrong: number;
  /** Of `optionDays` days: as it is, and with one thing changed, what helps most first. */
  optionDays: number;
  wrongOfThose: number;
  lateOfThose: number;
  /** Whether nobody wrote a turn: then it is as late as the forecast lets one. */
  latestTurn: boolean;
  options: readonly Option[];
}
/** Why an outing cannot be rehearsed, in words for the screen. */
export type Unrehearsed = { why: string };

const BIN_MIN = 15;
/** Without a word of when the forecast was looked at, it is taken as two days old, h. */
const UNKNOWN_AGE_H = 48;
const MOST_OPTION_DAYS = 4000;

/** What is rehearsed of an outing, and the hours that its days are held against. */
export interface RehearsalCase {
  input: RehearsalInput;
  deadline: Instant;
  darkAt: Instant | null;
  callAt: Instant | null;
  zone: string;
}

/**
 * Rehearses an outing under a forecast that errs. Seeded: the same seed meets the same days, with and without a
 * change.
 * @param days how many; 10,000 settle the counts to about one in a hundred
 */
export function rehearsalOf(
  outing: Outing,
  references: References,
  now: Instant,
  { days, seed }: { days: number; seed: number },
): Rehearsal | Unrehearsed {
  const base = rehearsalInput(outing, references, now);
  if ('why' in base) return base;
  const { input, deadline, darkAt, callAt, zone } = base;
  const all = rehearse(input, days, seed);
  const clock = (min: number) => clockAt(input.launchAt + min * MINUTE_MS, zone);
  const count = (is: (day: RehearsedDay) => boolean) => all.filter(is).length;
  const after = (at: Instant) => all.filter(isHomeAfter(at, base)).length;
  const homes = sorted(all.flatMap(({ homeMin }) => homeMin ?? []));
  const passedIn = (part: Part) =>
    counted(all, ({ passed }) => (passed?.part === part ? passed.min : null), clock);
  const optionDays = Math.min(days, MOST_OPTION_DAYS);
  const turned = counted(all, (day) => (day.turnedEarly ? day.turnedMin : null), clock);
  const isLate = isHomeAfter(deadline, base);
  return {
    days,
    seed,
    ageH: ageOf(outing, input.launchAt),
    home:
      homes.length === 0
        ? null
        : {
            early: clock(quantile(homes, 0.05)),
            half: clock(quantile(homes, 0.5)),
            late: clock(quantile(homes, 0.95)),
          },
    bins: binsOf(homes.slice(0, Math.ceil(homes.length * 0.99)), clock),
    deadline: clockAt(deadline, zone),
    late: lateOf(all, base),
    dark: darkAt === null ? null : { at: clockAt(darkAt, zone), days: after(darkAt) },
    called: callAt === null ? null : { at: clockAt(callAt, zone), days: after(callAt) },
    notHome: count(({ homeMin }) => homeMin === null),
    limitMps: input.limitMps,
    passed: { out: passedIn('out'), there: passedIn('there'), home: passedIn('home') },
    turned: {
      ...turned,
      enough: count((day) => day.turnedEarly && !isLate(day)),
    },
    stopped: count(({ stopped }) => stopped),
    empty: input.batteries.map(({ name }, i) => ({ name, days: count(({ empty }) => empty[i] === true) })),
    wrong: wrongOf(all, base),
    optionDays,
    wrongOfThose: wrongOf(all.slice(0, optionDays), base),
    lateOfThose: lateOf(all.slice(0, optionDays), base),
    latestTurn: outing.brief.turnAt === null,
    options: optionsFor(outing, references, clockAt(input.turnAt, zone))
      .flatMap((repair): Option[] => {
        const changed = rehearsalInput(applyRepair(outing, repair, now), references, now);
        if ('why' in changed) return [];
        const same = rehearse(changed.input, optionDays, seed);
        return [{ repair, wrong: wrongOf(same, changed), late: lateOf(same, changed) }];
      })
      .toSorted(
        (a, b) =>
          hundredths(a.wrong, optionDays) - hundredths(b.wrong, optionDays) ||
          hundredths(a.late, optionDays) - hundredths(b.late, optionDays),
      ),
  };
}

/** A difference of less than a hundredth of the days is none: chance decides it. */
const hundredths = (days: number, of: number) => Math.round((100 * days) / of);
/**
 * What an option changes of the days that go wrong and of those in which one is late, in hundredths of the days:
 * less than nothing is better, 0 is no more than chance does.
 */
export function effectOf(
  { wrong, late }: Option,
  { wrongOfThose, lateOfThose, optionDays }: Rehearsal,
): { wrong: number; late: number } {
  const more = (a: number, b: number) => hundredths(a, optionDays) - hundredths(b, optionDays);
  return { wrong: more(wrong, wrongOfThose), late: more(late, lateOfThose) };
}

/** Days in which one is home later than written, or not at all. */
function lateOf(days: readonly RehearsedDay[], one: RehearsalCase): number {
  return days.filter(isHomeAfter(one.deadline, one)).length;
}
/** Whether one is home after a moment, or not at all. */
function isHomeAfter(at: Instant, { input }: RehearsalCase): (day: RehearsedDay) => boolean {
  const min = (at - input.launchAt) / MINUTE_MS;
  return ({ homeMin }) => homeMin === null || homeMin > min;
}

/**
 * A day goes wrong where one is not home, is home after dark though that was not meant or after the hour to
 * call, makes no way, has an empty battery, or is under way in more wind than one's own limit.
 */
function wrongOf(days: readonly RehearsedDay[], one: RehearsalCase): number {
  const { darkAt, callAt, deadline } = one;
  const least = Math.min(
    callAt ?? Infinity,
    // Home in the dark is no surprise where it was written so.
    darkAt !== null && darkAt >= deadline ? darkAt : Infinity,
  );
  const isTooLate = isHomeAfter(least, one);
  return days.filter(
    (day) =>
      isTooLate(day) ||
      day.stopped ||
      (day.passed !== null && day.passed.part !== 'there') ||
      day.empty.includes(true),
  ).length;
}

/** Reads an outing for its rehearsal, or says why it cannot be. */
export function rehearsalInput(
  outing: Outing,
  references: References,
  now: Instant,
): RehearsalCase | Unrehearsed {
  const { exposures, places, looked, workings } = contextOf(outing, references, noAnswers, now);
  const { plan } = exposures;
  const { water, craft, angler, area } = places;
  if (outing.brief.nights > 0)
    return { why: 'An outing with nights out is not rehearsed: its days are too many.' };
  if (!plan || !water || !craft || !angler || !area)
    return { why: 'Boat, water, place and hours are wanted first: the way out and home is not known.' };
  if (!outing.conditions.hours.some(({ windMps }) => windMps !== null))
    return { why: 'No wind is written for the day: there is no forecast that could err.' };
  const { launchAt, deadline } = plan;
  if (plan.turnAt === null) return { why: 'No turn gets you home in time, by the forecast as it stands.' };
  const day = dayOf(outing.conditions, water, launchAt, deadline);
  const hours = Math.max(0.5, exposures.hoursAfloat ?? 1);
  const noon = noonOf(dateAt(launchAt, water.timeZone), area.lonDeg);
  const { dusk } = lightOfDay(noon, area.latDeg, area.lonDeg);
  return {
    deadline,
    callAt: alarmInstant(outing.brief, places),
    darkAt: dusk !== null && dusk > launchAt ? dusk : null,
    zone: water.timeZone,
    input: {
      launchAt,
      turnAt: plan.turnAt,
      returns: !isOneWay(outing.brief),
      out: plan.route.out.flatMap(pieces),
      home: plan.route.home.flatMap(pieces),
      hull: onWater(craft, looked.loaded),
      waterDensity: densityOf(water),
      windAt: day.windAt,
      streamAt: day.streamAt,
      ageH: ageOf(outing, launchAt) ?? UNKNOWN_AGE_H,
      limitMps: angler.limits.windMps,
      batteries: powerSheet(looked, exposures, workings).supplies.map(({ item, devices, sum }) => ({
        name: item.name,
        watts: devices.reduce((watts, one) => watts + (one.watts * one.duty * one.hours) / hours, 0),
        givesWh: sum.usableWh,
      })),
      spread: usualSpread,
    },
  };
}
const pieces = ({ bearingDeg, pieces: list }: RouteLeg) => list.map((piece) => ({ bearingDeg, ...piece }));

function ageOf({ conditions: { takenAt } }: Outing, launchAt: Instant): number | null {
  return takenAt === null ? null : Math.max(0, (launchAt - Date.parse(takenAt)) / HOUR_MS);
}

/**
 * What one can change in one press, each by itself.
 * @param turn the hour of the turn, written or not
 */
function optionsFor({ brief }: Outing, { waters }: References, turn: string): Repair[] {
  const { launchAt, homeAt, turnAt } = brief;
  const moved = (min: number): Repair => ({
    do: 'together',
    parts: [
      { do: 'set-hours', launchAt: shiftClock(launchAt, min), homeAt: shiftClock(homeAt, min) },
      ...(turnAt === null ? [] : [{ do: 'set-turn' as const, turnAt: shiftClock(turnAt, min) }]),
    ],
  });
  const water = waters.find(({ id }) => id === brief.waterId);
  const area = water?.areas.find(({ id }) => id === brief.areaId);
  const nearer = (water?.areas ?? [])
    .filter((one) => area !== undefined && one.id !== area.id && one.distanceM < area.distanceM)
    .toSorted((a, b) => b.distanceM - a.distanceM);
  return [
    moved(-60),
    moved(-30),
    moved(60),
    ...[-60, -30, 30].map((min): Repair => ({ do: 'set-turn', turnAt: shiftClock(turn, min) })),
    ...nearer
      .slice(0, 2)
      .map(({ id, name, distanceM }): Repair => ({ do: 'set-area', areaId: id, name, distanceM })),
  ];
}

function sorted(minutes: readonly number[]): readonly number[] {
  return minutes.toSorted((a, b) => a - b);
}
/** The value below which a share of sorted figures lies. */
function quantile(figures: readonly number[], share: number): number {
  return figures[Math.min(figures.length - 1, Math.floor(figures.length * share))] ?? 0;
}
function counted(
  all: readonly RehearsedDay[],
  minuteOf: (day: RehearsedDay) => number | null,
  clock: (min: number) => string,
): Counted {
  const minutes = sorted(all.flatMap((day) => minuteOf(day) ?? []));
  return { days: minutes.length, half: minutes.length === 0 ? null : clock(quantile(minutes, 0.5)) };
}
function binsOf(homes: readonly number[], clock: (min: number) => string): Rehearsal['bins'] {
  const bins = new Map<number, number>();
  for (const min of homes) {
    const bin = Math.floor(min / BIN_MIN);
    bins.set(bin, (bins.get(bin) ?? 0) + 1);
  }
  const [first, last] = [Math.min(...bins.keys()), Math.max(...bins.keys())];
  if (bins.size === 0) return [];
  return Array.from({ length: last - first + 1 }, (_, i) => ({
    from: clock((first + i) * BIN_MIN),
    days: bins.get(first + i) ?? 0,
  }));
}
