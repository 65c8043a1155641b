import { BAR_M } from '../../exposures/rough';
import { lightOfDay, isDark, noonOf } from '../../environment/light';
import { clockOf } from '../../exposures/exposures';
import { isOneWay } from '../../documents/hours';
import { alarmInstant } from '../../needs/catalogueAlive';
import { onWater } from '../../boat/drag';
import { onScale } from '../../needs/need';
import { overLand } from '../../passage/shore';
import { dateAt, minutesBetween } from '../../units/time';
import { amount } from '../../units/amount';
import { capital, duration, figure, listed } from '../../units/words';
import { MOST_EXTENT } from '../../vocabulary/extent';
import { IN_HAND_MIN, earlierTurn, otherHours, otherPlaces } from '../candidates';
import { rule } from '../rule';
import { type FindingLevel } from '../../vocabulary/levels';

/** A steepening of the wind's waves from which it is told, and waves too small to matter, m. */
const STEEPER = 1.25;
const LEAST_SEA_M = 0.25;
/** Past what is counted: the waves are stopped and break. */
const BREAKING = 99;

const cannotHold = rule({
  code: 'cannot-hold',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'whether',
  find: ({ day, places }) => {
    const { plan } = day;
    const stopped = plan?.legs.find((leg) => leg.why === 'cannot hold track' || leg.why === 'no headway');
    if (!stopped || !plan || stopped.why === null || stopped.why === 'not reached') return [];
    const { leg, way, why, startsAt } = stopped;
    const race = leg.hazards.find((hazard) => hazard.streamFactor > 1)?.name ?? null;
    const at = clockOf(day, places)(startsAt ?? plan.launchAt);
    return [
      {
        level: 'stop',
        basis: 'physics',
        extent: 1,
        subject: way,
        facts: { leg: leg.name, way, why, at, race },
      },
    ];
  },
  say: ({ leg, way, why, at, race }) => ({
    title: way === 'out' ? 'The way out is shut' : 'The way home is shut',
    text: `${capital(leg)}, begun at ${at}: ${
      why === 'no headway'
        ? 'wind and stream together stop you'
        : 'the set across the track is faster than you are'
    }${race ? ` in ${race}` : ''}. At your pace and power, an estimate.`,
  }),
  repairs: ({ way }, context) => [
    ...(way === 'home' ? earlierTurn(context) : []),
    ...otherPlaces(context),
    ...otherHours(context),
  ],
});

const turnPassed = rule({
  code: 'turn-passed',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'minutes',
  find: ({ day, places }) => {
    const { plan } = day;
    if (!plan || plan.spotAt === null || plan.turnAt === null || plan.latestTurn !== null) return [];
    if (plan.legs.some((leg) => leg.way === 'home' && leg.why !== null)) return [];
    const clock = clockOf(day, places);
    const facts = { spotAt: clock(plan.spotAt), deadline: clock(plan.deadline) };
    return [{ level: 'stop', basis: 'physics', extent: minutesBetween(plan.deadline, plan.spotAt), facts }];
  },
  say: ({ spotAt, deadline }) => ({
    title: 'No time to fish',
    text: `You would be there at ${spotAt}, and from then on no start brings you in by ${deadline}.`,
  }),
  repairs: (_, context) => [...otherPlaces(context), ...otherHours(context)],
  otherwise: () => 'Turn for home earlier, or stay ashore.',
});

/**
 * Stream against the way home, as a share of one's pace, from which it is told and minded; what stops one is
 * told by itself.
 */
const AGAINST_SHARE = { note: 0.5, mind: 0.8 };
const streamAgainst = rule({
  code: 'stream-against-home',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'share',
  slack: 0.05,
  find: ({ day, places }) => {
    const { plan } = day;
    const paceMps = places.craft && onWater(places.craft, places.loaded).cruiseMps;
    if (!plan || !paceMps || plan.legs.some((leg) => leg.why !== null)) return [];
    const [worst] = plan.legs
      .filter((leg) => leg.way === 'home')
      .toSorted((a, b) => (b.againstMps ?? 0) - (a.againstMps ?? 0));
    const streamMps = worst?.againstMps ?? 0;
    const level = onScale(streamMps / paceMps, AGAINST_SHARE);
    if (!worst || level === null) return [];
    const at = clockOf(day, places)(worst.startsAt ?? plan.launchAt);
    const facts = { leg: worst.leg.name, at, streamMps, paceMps };
    return [{ level, basis: 'physics', extent: streamMps / paceMps, facts }];
  },
  say: ({ leg, at, streamMps, paceMps }) => ({
    title: `The stream takes ${figure((streamMps / paceMps) * 100, 0)} % of your pace on the way home`,
    text: `${capital(leg)}, begun at ${at}: ${amount(streamMps, 'm/s')} against you at ${amount(paceMps, 'm/s')}, an estimate. A little more of it, or a little less of you, and it stands still.`,
  }),
  repairs: (_, context) => [...otherHours(context), ...otherPlaces(context)],
  otherwise: () => 'Slack water for the way home, or a place from which the stream brings you.',
});

/** Minutes between the turn that was written and the latest, under which it is told and minded. */
const TIGHT_MIN = { note: IN_HAND_MIN, mind: 10 };
const turnTight = rule({
  code: 'turn-tight',
  reads: ['day', 'places', 'outward'],
  station: 'brief',
  measure: 'minutes short',
  find: ({ day, places, outward }) => {
    const { plan } = day;
    // Without a written turn the latest one is only named.
    if (!plan || outward.turnAt === null || plan.turnAt === null || plan.latestTurn === null) return [];
    const inHandMin = minutesBetween(plan.turnAt, plan.latestTurn);
    if (inHandMin < 0 || inHandMin >= TIGHT_MIN.note) return [];
    const level: FindingLevel = inHandMin < TIGHT_MIN.mind ? 'mind' : 'note';
    const clock = clockOf(day, places);
    const facts = { turnAt: clock(plan.turnAt), latestTurn: clock(plan.latestTurn), inHandMin };
    return [{ level, basis: 'judgement', extent: TIGHT_MIN.note - inHandMin, facts }];
  },
  say: ({ turnAt, latestTurn, inHandMin }) => ({
    title: inHandMin < 1 ? 'Nothing in hand' : `${duration(inHandMin)} in hand`,
    text: `You mean to leave there at ${turnAt}; the latest start is ${latestTurn}. One tangle, or a little more wind, takes more than that.`,
  }),
  repairs: (_, context) => [...earlierTurn(context), ...otherHours(context)],
  otherwise: () => 'Turn earlier, or come home later.',
});
/** So long before the person ashore calls for help one is to be in, min. */
const BEFORE_CALL_MIN = 15;
const homeLate = rule({
  code: 'home-late',
  reads: ['day', 'places', 'brief'],
  station: 'brief',
  measure: 'minutes',
  find: ({ day, places, brief }) => {
    const { plan } = day;
    if (!plan || plan.spotAt === null || plan.turnAt === null || plan.homeAt === null) return [];
    const homeShut = plan.legs.some((leg) => leg.way === 'home' && leg.why !== null);
    if ((plan.latestTurn === null && !homeShut) || plan.homeAt <= plan.deadline) return [];
    const alarm = alarmInstant(brief, places);
    const beforeCallMin = alarm === null ? 0 : minutesBetween(plan.homeAt, alarm);
    const afterAlarm = alarm !== null && beforeCallMin < 0;
    const clock = clockOf(day, places);
    const level: FindingLevel = afterAlarm ? 'stop' : beforeCallMin < BEFORE_CALL_MIN ? 'mind' : 'note';
    return [
      {
        level,
        basis: 'physics',
        extent: minutesBetween(plan.deadline, plan.homeAt),
        facts: {
          turnAt: clock(plan.turnAt),
          homeAt: clock(plan.homeAt),
          deadline: clock(plan.deadline),
          latestTurn: plan.latestTurn === null ? null : clock(plan.latestTurn),
          afterAlarm,
        },
      },
    ];
  },
  say: ({ turnAt, homeAt, deadline, latestTurn, afterAlarm }) => ({
    title: `In at ${homeAt}, not ${deadline}`,
    text: `Leaving there at ${turnAt}, against that hour's wind and stream. ${
      latestTurn === null ? 'No start from there is in by then.' : `The latest start is ${latestTurn}.`
    }${afterAlarm ? ' Help would have been called by then.' : ''}`,
  }),
  repairs: (_, context) => [...earlierTurn(context), ...otherHours(context), ...otherPlaces(context)],
});

// Darkness that is meant is a note; darkness that comes because one is late is minded.
const homeAfterDark = rule({
  code: 'home-after-dark',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'minutes',
  find: ({ day, places }) => {
    const { plan } = day;
    const { water } = places;
    if (!plan || !water || plan.homeAt === null || plan.homeAt <= plan.deadline) return [];
    const { latDeg, lonDeg, timeZone } = water;
    const clock = clockOf(day, places);
    if (isDark(plan.deadline, latDeg, lonDeg) || !isDark(plan.homeAt, latDeg, lonDeg)) return [];
    const { sunset } = lightOfDay(noonOf(dateAt(plan.deadline, timeZone), lonDeg), latDeg, lonDeg);
    const facts = {
      homeAt: clock(plan.homeAt),
      sunset: sunset === null ? null : clock(sunset),
    };
    return [{ level: 'mind', basis: 'physics', extent: minutesBetween(plan.deadline, plan.homeAt), facts }];
  },
  say: ({ homeAt, sunset }) => ({
    title: `In at ${homeAt}, after sunset`,
    text: `${sunset === null ? '' : `The sun sets at ${sunset}. `}You would look for the landing in the dark.`,
  }),
  repairs: (_, context) => [...earlierTurn(context), ...otherHours(context), ...otherPlaces(context)],
});

const windAgainstStream = rule({
  code: 'wind-against-stream',
  reads: ['day'],
  station: 'brief',
  measure: 'times steeper',
  find: ({ day: { seas } }) => {
    const steep = seas.filter(
      ({ sea }) => sea.windSeaM >= LEAST_SEA_M && (sea.factor === null || sea.factor >= STEEPER),
    );
    const worst = steep.toSorted((a, b) => (b.sea.factor ?? Infinity) - (a.sea.factor ?? Infinity))[0];
    if (!worst) return [];
    const { factor, onStreamM } = worst.sea;
    return [
      {
        level: 'mind',
        basis: 'physics',
        extent: factor ?? BREAKING,
        facts: { at: worst.clock, hsM: onStreamM, factor, streamMps: worst.streamMps },
      },
    ];
  },
  say: ({ at, hsM, factor, streamMps }) => ({
    title: `Wind against stream at ${at}`,
    text: `${amount(streamMps, 'm/s', 2)} of stream ${
      factor === null
        ? 'stops the waves: they break'
        : `stands the waves up ${figure(factor, 2)} times, to about ${amount(hsM, 'm')}`
    }, short and steep. An estimate.`,
  }),
  repairs: (_, context) => otherHours(context),
});

const barLow = rule({
  code: 'bar-low',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'm short of water',
  find: ({ day: { barAtLaunch, barAtLanding }, places: { launch, landing } }) =>
    (
      [
        { when: 'launch', bar: barAtLaunch, place: launch?.name ?? '' },
        { when: 'landing', bar: barAtLanding, place: landing?.name ?? '' },
      ] as const
    ).flatMap(({ when, bar, place }) => {
      if (bar === null || bar.depthM >= BAR_M) return [];
      const level: FindingLevel = bar.depthM <= 0 ? 'stop' : 'mind';
      const facts = { place, depthM: bar.depthM, at: bar.at, when };
      return [{ level, basis: 'physics' as const, extent: BAR_M - bar.depthM, subject: when, facts }];
    }),
  say: ({ place, depthM, at, when }) => ({
    title: depthM <= 0 ? `${place} is dry at ${at}` : `${amount(depthM, 'm')} of water at ${place} at ${at}`,
    text: `${when === 'launch' ? 'Launching' : 'Landing'} there means dragging the boat over what the tide leaves. The tide is a prediction; wind and pressure move it.`,
  }),
  repairs: (_, context) => otherHours(context),
});

// A missing second propulsion is told as a need; a slow one here.
const secondTooSlow = rule({
  code: 'second-too-slow',
  reads: ['day', 'places', 'brief', 'needs'],
  station: 'brief',
  measure: 'minutes',
  find: ({ day, places, brief, needs }) => {
    const { plan } = day;
    if (!plan || plan.spotAt === null || plan.turnAt === null || plan.homeAt === null) return [];
    if (needs.some((need) => need.id === 'second-propulsion' && !need.met)) return [];
    const alarm = alarmInstant(brief, places) ?? plan.deadline;
    if (plan.homeAtSpare !== null && plan.homeAtSpare <= alarm) return [];
    const clock = clockOf(day, places);
    return [
      {
        level: 'mind',
        basis: 'physics',
        extent: plan.homeAtSpare === null ? MOST_EXTENT : minutesBetween(alarm, plan.homeAtSpare),
        facts: {
          homeAt: plan.homeAtSpare === null ? null : clock(plan.homeAtSpare),
          deadline: clock(plan.deadline),
        },
      },
    ];
  },
  say: ({ homeAt, deadline }) => ({
    title:
      homeAt === null
        ? 'The second propulsion does not bring you home'
        : `With the second propulsion in at ${homeAt}`,
    text:
      homeAt === null
        ? 'At its pace, wind and stream of those hours are stronger. If the first fails, you do not get in by yourself.'
        : `You said ${deadline}. If the first fails out there, help is called while you are on your way.`,
  }),
  repairs: (_, context) => [...otherPlaces(context), ...otherHours(context)],
  otherwise: () => 'A second propulsion that is faster, a nearer place, or other hours.',
});

/** A straight leg over land is shorter than the way one takes: every hour worked out from it is too early. */
const wayOverLand = rule({
  code: 'way-over-land',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'legs',
  find: ({ day: { plan }, places: { water } }) => {
    if (!plan || !water) return [];
    const legs = plan.legs
      .filter(({ leg }) => overLand(leg.from, leg.to, water.launches, water.chart))
      .map(({ leg }) => leg.name);
    return legs.length === 0
      ? []
      : [{ level: 'mind', basis: 'physics', extent: legs.length, facts: { legs } }];
  },
  say: ({ legs }) => ({
    title: 'The way leads over land',
    text: `By the chart held here: ${listed(legs)}. Draw it round, so that distance and hours are those of the way you take.`,
  }),
  otherwise: () => 'Draw the way round the land.',
});

/** Who lands elsewhere stands there without the vehicle. */
const shuttle = rule({
  code: 'shuttle',
  notes: true,
  reads: ['day', 'places', 'outward'],
  station: 'brief',
  measure: 'whether',
  find: ({ day: { plan }, places: { launch, landing }, outward }) => {
    if (!isOneWay(outward) || !launch || !landing) return [];
    const alongM = plan?.legs.reduce((sum, { leg }) => sum + leg.distanceM, 0) ?? null;
    return [
      {
        level: 'note',
        basis: 'judgement',
        extent: 1,
        facts: { from: launch.name, to: landing.name, alongM },
      },
    ];
  },
  say: ({ from, to, alongM }) => ({
    title: `You land at ${to}; what stands at ${from}?`,
    text: `${alongM === null ? '' : `${capital(amount(alongM / 1000, 'km'))} along the way, and nobody paddles back. `}A vehicle left there first, or somebody who fetches you: settle it with them, and write here who it is.`,
  }),
  otherwise: () => 'Leave a vehicle there first, or ask to be fetched.',
});

export const wayRules = [
  cannotHold,
  turnPassed,
  streamAgainst,
  turnTight,
  homeLate,
  homeAfterDark,
  windAgainstStream,
  barLow,
  secondTooSlow,
  wayOverLand,
  shuttle,
] as const;
