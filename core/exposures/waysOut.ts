import { onWater } from '../boat/drag';
import type { Conditions, Hour } from '../documents/outing';
import type { Places } from '../documents/references';
import type { Launch } from '../documents/water';
import { dayOf } from '../environment/day';
import { densityOf } from '../environment/density';
import { type Place, bearingBetween, distanceBetween, fromPlane, toPlane } from '../environment/geo';
import { valueAt } from '../environment/tide';
import { overLand } from '../passage/shore';
import type { Plan } from '../passage/plan';
import { type Hindrance, travel } from '../passage/travel';
import { HOUR_MS, type Instant } from '../units/time';
import { breakersAt } from './exposures';
import { BAR_M } from './rough';

/** Why one does not get out there at that hour. */
export type Shut =
  | { why: Hindrance }
  | { why: 'surf'; breakerM: number }
  | { why: 'bar'; depthM: number }
  | { why: 'over land' };
/** One place to get out, from where one is at an hour. */
export interface WayOut {
  launch: Launch;
  distanceM: number;
  /** null: it is shut. */
  minutes: number | null;
  shut: Shut | null;
}
export interface WaysAt {
  at: Instant;
  /** Where the plan has one then. */
  place: Place;
  where: string;
  /** The soonest first, what is shut last. */
  ways: readonly WayOut[];
}

const STEP_MS = HOUR_MS / 2;
const MOST_STEPS = 48;
/** Who is not there by then has not got out there, h. */
const FOLLOWED_H = 6;

/**
 * Every place where one gets out of the water of an outing, each half hour from where the plan has one then:
 * how long it takes straight there in that wind and stream, and what shuts it. An estimate, by one's own pace.
 * @param breakersUpToM the angler's own limit for breakers, m
 * @returns empty where the way or the water is not known
 */
export function waysOut(
  plan: Plan,
  looked: Places,
  conditions: Conditions,
  breakersUpToM: number,
): readonly WaysAt[] {
  const { craft, water } = looked;
  const { launchAt, homeAt, deadline } = plan;
  if (!craft || !water) return [];
  const day = dayOf(conditions, water, launchAt, deadline);
  const hull = onWater(craft, looked.loaded);
  const density = densityOf(water);
  const until = homeAt ?? deadline;
  const steps = Math.min(MOST_STEPS, Math.floor((until - launchAt) / STEP_MS));
  const wayTo = (from: Place, launch: Launch, at: Instant): WayOut => {
    const distanceM = distanceBetween(from, launch);
    const shut = (what: Shut): WayOut => ({ launch, distanceM, minutes: null, shut: what });
    if (distanceM < 1) return { launch, distanceM, minutes: 0, shut: null };
    if (overLand(from, launch, water.launches, water.chart)) return shut({ why: 'over land' });
    const leg = {
      bearingDeg: bearingBetween(from, launch),
      distanceM,
      wind: day.windAt,
      stream: day.streamAt,
    };
    const { totalS, legs } = travel(at, hull, [leg], density, at + FOLLOWED_H * HOUR_MS);
    if (totalS === null) return shut({ why: legs[0]?.why ?? 'no headway' });
    const arrives = at + totalS * 1000;
    const hour = hourAt(day.hours, arrives);
    const breakerM = launch.surf && hour ? breakersAt(hour, water) : null;
    if (breakerM !== null && breakerM > breakersUpToM) return shut({ why: 'surf', breakerM });
    if (launch.barM !== null && day.tideSeries) {
      const depthM = launch.barM + valueAt(day.tideSeries, arrives);
      if (depthM < BAR_M) return shut({ why: 'bar', depthM });
    }
    return { launch, distanceM, minutes: totalS / 60, shut: null };
  };
  return Array.from({ length: steps + 1 }, (_, i): WaysAt => {
    const at = launchAt + i * STEP_MS;
    const { place, where } = whereAt(plan, at, looked);
    return {
      at,
      place,
      where,
      ways: water.launches
        .map((launch) => wayTo(place, launch, at))
        .toSorted((a, b) => (a.minutes ?? Infinity) - (b.minutes ?? Infinity) || a.distanceM - b.distanceM),
    };
  });
}

/** Where the plan has one at a moment: on a leg, or at the place to fish. */
export function whereAt(plan: Plan, at: Instant, { area, launch }: Places): { place: Place; where: string } {
  const under = plan.legs.find(
    ({ startsAt, arrivesAt }) => startsAt !== null && arrivesAt !== null && at >= startsAt && at < arrivesAt,
  );
  if (under && under.startsAt !== null && under.arrivesAt !== null) {
    const { from, to, name } = under.leg;
    const share = (at - under.startsAt) / (under.arrivesAt - under.startsAt);
    const { x, y } = toPlane(from, to);
    return { place: fromPlane(from, { x: x * share, y: y * share }), where: name };
  }
  const fishing = area ?? launch;
  return { place: fishing ?? { latDeg: 0, lonDeg: 0 }, where: fishing?.name ?? '' };
}

/** The written hour that a moment falls in; null: none is written. */
function hourAt(hours: readonly Hour[], at: Instant): Hour | null {
  return hours.findLast((hour) => Date.parse(hour.at) <= at) ?? hours[0] ?? null;
}

/**
 * From when on a place is shut for the rest of the outing; null: it is open at the end, or always shut.
 */
export function closesAt(list: readonly WaysAt[], launchId: string): Instant | null {
  const open = list.map(({ ways }) =>
    ways.some(({ launch, shut }) => launch.id === launchId && shut === null),
  );
  const last = open.lastIndexOf(true);
  return last < 0 || last === open.length - 1 ? null : (list[last + 1]?.at ?? null);
}
