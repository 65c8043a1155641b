import { clockAt } from '../units/time';
import { isDark, lightOfDay, noonOf } from '../environment/light';
import { alarmInstant } from '../needs/catalogueAlive';
import { overLand } from '../passage/shore';
import { type Found, found } from './finding';
import type { Judging } from './context';

/** A steepening of the wind's waves from which it is told, and waves too small to matter, m. */
const STEEPER = 1.25;
const LEAST_SEA_M = 0.25;
const FOG_MIND_M = 1000;
const FOG_STOP_M = 200;
/** Water wanted over a bar or ramp, m. */
const BAR_M = 0.3;

/** What the day and the way ask of one: passage, light, sea, tide. */
export const dayJudgements: readonly ((j: Judging) => Found[])[] = [
  wayHeld,
  inByTheDeadline,
  inByLight,
  windAgainstStream,
  fog,
  bars,
  secondPropulsion,
  wayOverLand,
];

function wayHeld({ e: { plan }, looked }: Judging): Found[] {
  const zone = looked.water?.timeZone ?? 'utc';
  const stopped = plan?.legs.find((leg) => leg.why === 'cannot hold track' || leg.why === 'no headway');
  if (!stopped || !plan || stopped.why === null || stopped.why === 'not reached') return [];
  const { leg, way, why, startsAt } = stopped;
  const race = leg.hazards.find((hazard) => hazard.streamFactor > 1)?.name ?? null;
  const at = clockAt(startsAt ?? plan.launchAt, zone);
  return [found('stop', 'physics', 'brief', 1, { code: 'cannot-hold', leg: leg.name, way, why, at, race }, way)];
}

function inByTheDeadline({ e: { plan }, looked, outing }: Judging): Found[] {
  if (!plan || plan.spotAt === null || plan.turnAt === null) return [];
  const zone = looked.water?.timeZone ?? 'utc';
  const clock = (at: number) => clockAt(at, zone);
  const deadline = clock(plan.deadline);
  const homeShut = plan.legs.some((leg) => leg.way === 'home' && leg.why !== null);
  if (plan.latestTurn === null && !homeShut)
    return [
      found('stop', 'physics', 'brief', plan.spotAt - plan.deadline, {
        code: 'turn-passed',
        spotAt: clock(plan.spotAt),
        deadline,
      }),
    ];
  if (plan.homeAt === null || plan.homeAt <= plan.deadline) return [];
  const alarm = alarmInstant(outing.brief, looked);
  const afterAlarm = alarm !== null && plan.homeAt > alarm;
  return [
    found(afterAlarm ? 'stop' : 'mind', 'physics', 'brief', plan.homeAt - plan.deadline, {
      code: 'home-late',
      turnAt: clock(plan.turnAt),
      homeAt: clock(plan.homeAt),
      deadline,
      latestTurn: plan.latestTurn === null ? null : clock(plan.latestTurn),
      afterAlarm,
    }),
  ];
}

// Darkness that is meant is a note; darkness that comes because one is late is minded.
function inByLight({ e: { plan }, looked: { water }, outing }: Judging): Found[] {
  if (!plan || !water || plan.homeAt === null || plan.homeAt <= plan.deadline) return [];
  const { latDeg, lonDeg, timeZone } = water;
  if (isDark(plan.deadline, latDeg, lonDeg) || !isDark(plan.homeAt, latDeg, lonDeg)) return [];
  const { sunset } = lightOfDay(noonOf(outing.brief.date, lonDeg), latDeg, lonDeg);
  const facts = {
    code: 'home-after-dark',
    homeAt: clockAt(plan.homeAt, timeZone),
    sunset: sunset === null ? '' : clockAt(sunset, timeZone),
  } as const;
  return [found('mind', 'physics', 'brief', plan.homeAt - plan.deadline, facts)];
}

function windAgainstStream({ e, looked }: Judging): Found[] {
  const zone = looked.water?.timeZone ?? 'utc';
  const steep = e.seas.filter(
    ({ sea }) => sea.windSeaM >= LEAST_SEA_M && (sea.factor === null || sea.factor >= STEEPER),
  );
  const worst = steep.toSorted((a, b) => (b.sea.factor ?? Infinity) - (a.sea.factor ?? Infinity))[0];
  if (!worst) return [];
  const { factor, onStreamM } = worst.sea;
  const extent = factor ?? 99;
  return [
    found('mind', 'physics', 'brief', extent, {
      code: 'wind-against-stream',
      at: clockAt(worst.at, zone),
      hsM: onStreamM,
      factor,
      streamMps: worst.streamMps,
    }),
  ];
}

function fog({ e }: Judging): Found[] {
  if (e.visibility === null || e.visibility.value >= FOG_MIND_M) return [];
  const { value, at } = e.visibility;
  return [
    found(value < FOG_STOP_M ? 'stop' : 'mind', 'judgement', 'brief', FOG_MIND_M - value, {
      code: 'fog',
      visibilityM: value,
      at,
    }),
  ];
}

function bars({ e, looked }: Judging): Found[] {
  const places = [
    { when: 'launch' as const, bar: e.barAtLaunch, place: looked.launch?.name ?? '' },
    { when: 'landing' as const, bar: e.barAtLanding, place: looked.landing?.name ?? '' },
  ];
  return places.flatMap(({ when, bar, place }) =>
    bar === null || bar.depthM >= BAR_M
      ? []
      : [
          found(
            bar.depthM <= 0 ? 'stop' : 'mind',
            'physics',
            'brief',
            BAR_M - bar.depthM,
            { code: 'bar-low', place, depthM: bar.depthM, at: bar.at, when },
            when,
          ),
        ],
  );
}

// A missing second propulsion is told as a need; a slow one here.
function secondPropulsion({ e: { plan }, looked, outing, needs }: Judging): Found[] {
  if (!plan || plan.spotAt === null || plan.turnAt === null || plan.homeAt === null) return [];
  if (needs.some((need) => need.id === 'second-propulsion' && !need.met)) return [];
  const alarm = alarmInstant(outing.brief, looked) ?? plan.deadline;
  if (plan.homeAtSpare !== null && plan.homeAtSpare <= alarm) return [];
  const zone = looked.water?.timeZone ?? 'utc';
  const facts = {
    code: 'second-too-slow',
    homeAt: plan.homeAtSpare === null ? null : clockAt(plan.homeAtSpare, zone),
    deadline: clockAt(plan.deadline, zone),
  } as const;
  return [found('mind', 'physics', 'brief', plan.homeAtSpare === null ? 1e9 : plan.homeAtSpare - alarm, facts)];
}

/** A straight leg over land is shorter than the way one takes: every hour worked out from it is too early. */
function wayOverLand({ e: { plan }, looked: { water } }: Judging): Found[] {
  if (!plan || !water) return [];
  const legs = plan.legs.filter(({ leg }) => overLand(leg.from, leg.to, water.launches, water.chart));
  return legs.length === 0
    ? []
    : [
        found('mind', 'physics', 'brief', legs.length, {
          code: 'way-over-land',
          legs: legs.map(({ leg }) => leg.name),
        }),
      ];
}
