import type { Day } from '../environment/day';
import type { Outward } from '../documents/outing';
import type { Launch } from '../documents/water';
import { type OnWater, onWater } from '../boat/drag';
import type { Places } from '../documents/references';
import { densityOf } from '../environment/density';
import { outingHours } from '../documents/hours';
import { HOUR_MS, type Instant } from '../units/time';
import { type Route, type RouteLeg, routeOf } from './route';
import { type Hindrance, type Hull, type Leg, type Travel, travel } from './travel';
import { type Flow } from '../environment/flow';
import { shareWithin } from '../environment/geo';
import { turnBack } from './turnBack';

/** One leg as it will be paddled. */
export interface PlannedLeg {
  leg: RouteLeg;
  way: 'out' | 'home';
  startsAt: Instant | null;
  arrivesAt: Instant | null;
  why: Hindrance | null;
  groundMps: number | null;
  crabDeg: number | null;
  /** The strongest stream against the way, m/s; less than nothing: it runs along. */
  againstMps: number | null;
}

/** The outing in time: out, there, home. null: not known, or not to be reached. */
export interface Plan {
  route: Route;
  legs: readonly PlannedLeg[];
  launchAt: Instant;
  deadline: Instant;
  spotAt: Instant | null;
  /** When home is begun: as written, or as late as the grid allows. */
  turnAt: Instant | null;
  homeAt: Instant | null;
  /** The latest start for home that is in by the deadline. */
  latestTurn: Instant | null;
  /** Home with the second propulsion, begun at the same time. */
  homeAtSpare: Instant | null;
  /** Where it stops with the second propulsion; null: it does not. */
  spareWhy: Hindrance | null;
  /** From the place to fish to the nearest landing, there and then, minutes; null: not to be reached. */
  minutesToLanding: number | null;
  minutesToLandingSpare: number | null;
}
export interface WhatIf {
  latestTurn: Instant | null;
  homeAt: Instant | null;
}
/** What would change it: shown, not judged. */
export interface WhatIfs {
  latestTurnSpare: Instant | null;
  hourLater: WhatIf;
  windier: WhatIf;
}

const WINDIER = 1.3;
/** So long after the latest hour of coming home nobody is followed further: that way is not made. */
const FOLLOWED_MS = 24 * HOUR_MS;

function spareHull(boat: OnWater): Hull {
  return { ...boat, cruiseMps: boat.spareMps, powerW: boat.sparePowerW };
}

/**
 * The passage of an outing, with its latest turn and what would change it. null until boat, water, places and
 * hours are known.
 */
export function planOf(
  brief: Outward,
  looked: Places,
  day: Day,
  span: { from: Instant; to: Instant },
): Plan | null {
  const { craft, water } = looked;
  const route = routeOf(brief.route, looked);
  if (!craft || !water || !route) return null;
  const density = densityOf(water);
  const hull = onWater(craft, looked.loaded);
  const out = legsFor(route.out, day, 1);
  const home = legsFor(route.home, day, 1);
  const go = (from: Instant, with_: Hull, legs: readonly Leg[]) =>
    travel(from, with_, legs, density, span.to + FOLLOWED_MS);
  const outward = go(span.from, hull, out);
  const spotAt = outward.totalS === null ? null : span.from + outward.totalS * 1000;
  const earliest = spotAt ?? span.from;
  const latestTurn = turnBack(home, hull, span.to, earliest, density);
  // Without a written turn it is the latest that is in by the deadline; where there is none, at once.
  const turnAt = outingHours(brief, water.timeZone)?.turnAt ?? latestTurn ?? spotAt;
  const homeward = turnAt === null ? null : go(turnAt, hull, home);
  const spare = spareHull(hull);
  const homewardSpare = turnAt === null ? null : go(turnAt, spare, home);
  const arrive = (way: Travel | null) =>
    way?.totalS == null || turnAt === null ? null : turnAt + way.totalS * 1000;
  const nearest = turnAt === null ? null : nearestLanding(route, looked, day);
  const minutes = (with_: Hull) => {
    const total = nearest && turnAt !== null ? go(turnAt, with_, nearest).totalS : null;
    return total === null ? null : total / 60;
  };
  return {
    route,
    legs: [...timed(route.out, outward, 'out', span.from), ...timed(route.home, homeward, 'home', turnAt)],
    launchAt: span.from,
    deadline: span.to,
    spotAt,
    turnAt,
    homeAt: arrive(homeward),
    latestTurn,
    homeAtSpare: arrive(homewardSpare),
    spareWhy: homewardSpare?.legs.find((leg) => leg.why !== null)?.why ?? null,
    minutesToLanding: minutes(hull),
    minutesToLandingSpare: minutes(spare),
  };
}

/** The latest turn with the second propulsion, everything one hour later, and the wind a third stronger. */
export function whatIfs(plan: Plan, looked: Places, day: Day): WhatIfs | null {
  const { craft, water } = looked;
  if (!craft || !water) return null;
  const density = densityOf(water);
  const { route, deadline, turnAt } = plan;
  const earliest = plan.spotAt ?? plan.launchAt;
  const home = legsFor(route.home, day, 1);
  const hull = onWater(craft, looked.loaded);
  const later = turnAt === null ? null : turnAt + HOUR_MS;
  return {
    latestTurnSpare: turnBack(home, spareHull(hull), deadline, earliest, density),
    hourLater: whatIf(home, hull, density, later, deadline + HOUR_MS, earliest + HOUR_MS),
    windier: whatIf(legsFor(route.home, day, WINDIER), hull, density, turnAt, deadline, earliest),
  };
}

/** A point of the way on to another landing. */
export interface Mark {
  name: string;
  /** The latest time to be past it and still land by the deadline; null: no time is early enough. */
  latestAt: Instant | null;
  /** Landings along the leg that leads to it: the last places to get out before it. */
  waysOut: readonly string[];
}

/** A landing so near the way is a way out of it, m. */
const BESIDE_M = 300;

/** The marks of a one-way trip between the place to fish and the landing, in their order. */
export function marksOn({ route, deadline, launchAt }: Plan, looked: Places, day: Day): Mark[] {
  const { craft, water, landing, launch } = looked;
  if (!craft || !water) return [];
  const density = densityOf(water);
  const hull = onWater(craft, looked.loaded);
  const beside = ({ from, to }: RouteLeg, place: Launch) => shareWithin(from, to, place, BESIDE_M) !== null;
  const between = water.launches.filter(({ id }) => id !== landing?.id && id !== launch?.id);
  return route.home.slice(0, -1).map((leg, i) => ({
    name: leg.to.name,
    latestAt: turnBack(legsFor(route.home.slice(i + 1), day, 1), hull, deadline, launchAt, density),
    // Beside two legs, where the way winds: told with the first.
    waysOut: between
      .filter((one) => beside(leg, one) && !route.home.slice(0, i).some((earlier) => beside(earlier, one)))
      .map(({ name }) => name),
  }));
}

function whatIf(
  home: readonly Leg[],
  hull: Hull,
  density: number,
  turnAt: Instant | null,
  deadline: Instant,
  earliest: Instant,
): WhatIf {
  const way = turnAt === null ? null : travel(turnAt, hull, home, density, deadline + FOLLOWED_MS);
  return {
    latestTurn: turnBack(home, hull, deadline, earliest, density),
    homeAt: way?.totalS == null || turnAt === null ? null : turnAt + way.totalS * 1000,
  };
}

/** A leg of the route as the pieces that are travelled. */
function legsFor(legs: readonly RouteLeg[], day: Day, windTimes: number): Leg[] {
  const wind = windTimes === 1 ? day.windAt : (at: Instant) => times(day.windAt(at), windTimes);
  return legs.flatMap(({ bearingDeg, pieces }) =>
    pieces.map(({ distanceM, streamFactor }) => ({
      bearingDeg,
      distanceM,
      wind,
      stream: streamFactor === 1 ? day.streamAt : (at: Instant) => times(day.streamAt(at), streamFactor),
    })),
  );
}
function times({ east, north }: Flow, by: number): Flow {
  return { east: east * by, north: north * by };
}

/** Puts the pieces of each leg together again. */
function timed(
  legs: readonly RouteLeg[],
  way: Travel | null,
  direction: 'out' | 'home',
  startsAt: Instant | null,
): PlannedLeg[] {
  let piece = 0;
  let at = startsAt;
  return legs.map((leg): PlannedLeg => {
    const results = way?.legs.slice(piece, piece + leg.pieces.length) ?? [];
    piece += leg.pieces.length;
    const begins = at;
    const why = way ? (results.find((one) => one.why !== null)?.why ?? null) : 'not reached';
    const seconds = why ? null : results.reduce((sum, one) => sum + (one.durationS ?? 0), 0);
    at = seconds === null || begins === null ? null : begins + seconds * 1000;
    const crab = results.reduce(
      (most, one) => (Math.abs(one.maxCrabDeg ?? 0) > Math.abs(most) ? (one.maxCrabDeg ?? 0) : most),
      0,
    );
    return {
      leg,
      way: direction,
      startsAt: begins,
      arrivesAt: at,
      why,
      groundMps: seconds ? leg.distanceM / seconds : null,
      crabDeg: why ? null : crab,
      againstMps: why ? null : Math.max(...results.map((one) => one.againstMps ?? -Infinity)),
    };
  });
}

/** Straight from the place to fish to whichever landing is nearest. */
function nearestLanding(route: Route, looked: Places, day: Day): Leg[] | null {
  const { water, area } = looked;
  if (!water || !area) return null;
  const ways = water.launches.flatMap((launch) => {
    const straight = routeOf({ out: [], home: [] }, { ...looked, landing: launch });
    return straight ? [straight.home] : [];
  });
  const byLength = ways.toSorted((a, b) => sum(a) - sum(b));
  return legsFor(byLength[0] ?? route.home, day, 1);
}
function sum(legs: readonly RouteLeg[]): number {
  return legs.reduce((total, leg) => total + leg.distanceM, 0);
}
