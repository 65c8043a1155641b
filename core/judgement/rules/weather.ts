import { capital, count, duration, figure, plural } from '../../units/words';
import { otherHours } from '../candidates';
import { type FindingLevel, rule } from '../rule';

/** Thunder chance from which nobody launches, and from which it is minded, %. */
const THUNDER_STOP_PCT = 30;
const THUNDER_MIND_PCT = 10;
/** Sight under which nobody launches, and under which it is minded, m. */
const FOG_STOP_M = 200;
const FOG_MIND_M = 1000;

const thunder = rule({
  code: 'thunder',
  reads: ['exposures'],
  station: 'brief',
  measure: '%',
  find: ({ exposures: { thunder: peak, launchAt } }) => {
    if (launchAt === null || !peak || peak.value < THUNDER_MIND_PCT) return [];
    const level: FindingLevel = peak.value >= THUNDER_STOP_PCT ? 'stop' : 'mind';
    return [{ level, basis: 'physics', extent: peak.value, facts: { percent: peak.value, at: peak.at } }];
  },
  say: ({ percent, at }) => ({
    title: `Thunder: ${figure(percent, 0)} % at ${at}`,
    text: 'You and your rods are the highest things on the water. There is nowhere to go.',
  }),
  repairs: (_, context) => otherHours(context),
});

const windOverLimit = rule({
  code: 'wind-over-limit',
  reads: ['exposures', 'places'],
  station: 'brief',
  measure: 'm/s',
  find: ({ exposures: { wind, launchAt }, places: { angler } }) =>
    launchAt !== null && angler && wind && wind.value > angler.limits.windMps
      ? [
          {
            level: 'mind',
            basis: 'judgement',
            extent: wind.value,
            facts: { mps: wind.value, at: wind.at, limitMps: angler.limits.windMps },
          },
        ]
      : [],
  say: ({ mps, at, limitMps }) => ({
    title: `Wind passes your limit at ${at}`,
    text: `${figure(mps)} m/s; you set ${figure(limitMps)} m/s.`,
  }),
  repairs: (_, context) => otherHours(context),
});

// Wind and the gusts in it are one cause: told once, by the steady wind where that already passes the limit.
const gustOverLimit = rule({
  code: 'gust-over-limit',
  reads: ['exposures', 'places'],
  station: 'brief',
  measure: 'm/s',
  find: ({ exposures: { wind, gust, launchAt }, places: { angler } }) =>
    launchAt !== null &&
    angler &&
    gust &&
    gust.value > angler.limits.gustMps &&
    (wind?.value ?? 0) <= angler.limits.windMps
      ? [
          {
            level: 'mind',
            basis: 'judgement',
            extent: gust.value,
            facts: { mps: gust.value, at: gust.at, limitMps: angler.limits.gustMps },
          },
        ]
      : [],
  say: ({ mps, at, limitMps }) => ({
    title: `Gusts pass your limit at ${at}`,
    text: `${figure(mps)} m/s; you set ${figure(limitMps)} m/s.`,
  }),
  repairs: (_, context) => otherHours(context),
});

const surfOverLimit = rule({
  code: 'surf-over-limit',
  reads: ['exposures', 'places'],
  station: 'brief',
  measure: 'm',
  find: ({ exposures: { breakerM }, places: { angler, launch } }) =>
    angler && launch && breakerM !== null && breakerM > angler.limits.breakerM
      ? [
          {
            level: 'stop',
            basis: 'judgement',
            extent: breakerM,
            facts: { breakerM, limitM: angler.limits.breakerM, launch: launch.name },
          },
        ]
      : [],
  say: ({ breakerM, limitM, launch }) => ({
    title: `Surf above your limit at ${launch}`,
    text: `Breakers of about ${figure(breakerM)} m, an estimate from the swell; you set ${figure(limitM)} m. It is met twice, going out tired and coming in more so.`,
  }),
  repairs: (_, context) => otherHours(context),
});

const fog = rule({
  code: 'fog',
  reads: ['exposures'],
  station: 'brief',
  measure: 'm short of sight',
  find: ({ exposures: { visibility } }) => {
    if (visibility === null || visibility.value >= FOG_MIND_M) return [];
    const { value, at } = visibility;
    const level: FindingLevel = value < FOG_STOP_M ? 'stop' : 'mind';
    return [{ level, basis: 'judgement', extent: FOG_MIND_M - value, facts: { visibilityM: value, at } }];
  },
  say: ({ visibilityM, at }) => ({
    title: `Visibility ${figure(visibilityM, 0)} m at ${at}`,
    text: 'Nobody sees you, and you do not see the shore. A horn and a compass are no more than that.',
  }),
  repairs: (_, context) => otherHours(context),
});

const darkness = rule({
  code: 'darkness',
  reads: ['exposures', 'needs'],
  station: 'brief',
  measure: 'minutes',
  find: ({ exposures: { darkMinutes, darkSpans }, needs }) => {
    if (darkMinutes < 1) return [];
    const lit = needs.some((need) => need.id === 'be-seen-night' && need.met);
    return [
      { level: 'note', basis: 'physics', extent: darkMinutes, facts: { minutes: darkMinutes, spans: darkSpans, lit } },
    ];
  },
  say: ({ minutes, spans, lit }) => ({
    title: `${duration(minutes)} of darkness`,
    text: `${spans.map(({ from, to }) => `${from} to ${to}`).join(' and ')}, by the sun. ${lit ? 'A white light is carried; it must burn until then.' : 'A white light is needed.'}`,
  }),
});

/** Warmer than any water: a colder one is worse by so many degrees. */
const WARMEST_C = 40;
const coldWater = rule({
  code: 'cold-water',
  reads: ['exposures', 'needs'],
  station: 'brief',
  sheet: 'cold',
  measure: '°C below 40',
  find: ({ exposures: { immersion, waterC, minutesToLanding }, needs }) => {
    if (!immersion || waterC === null || immersion.class === 'warm' || immersion.class === 'cool') return [];
    const dressed = needs.some((need) => need.id === 'immersion-clothing' && need.met);
    const { class: name, exhaustionMin } = immersion;
    return [
      {
        level: 'note',
        basis: 'physics',
        extent: WARMEST_C - waterC,
        facts: { waterC, class: name as string, exhaustionMin, minutesToLanding, dressed },
      },
    ];
  },
  say: ({ waterC, class: name, exhaustionMin, minutesToLanding, dressed }) => ({
    title: `Water at ${figure(waterC)} °C: ${name}`,
    text: `Published ranges put exhaustion at ${duration(exhaustionMin[0])} to ${duration(exhaustionMin[1])} in such water; people differ widely.${minutesToLanding === null ? '' : ` The nearest landing is ${duration(minutesToLanding)} away at your own pace, an estimate.`}${dressed ? '' : ' Dress for the water, not the air.'}`,
  }),
});

const party = rule({
  code: 'party',
  reads: ['exposures', 'company'],
  station: 'kit',
  measure: 'people',
  find: ({ exposures, company }) =>
    exposures.party > company.length + 1
      ? [{ level: 'note', basis: 'judgement', extent: exposures.party, facts: { people: exposures.party } }]
      : [],
  say: ({ people }) => ({
    title: `${capital(count(people))} ${plural(people, 'person', 'people')}, and this counts your own boat`,
    text: 'Buoyancy, warmth and signals are each person’s own. Agree who carries what is shared.',
  }),
});

export const weatherRules = [thunder, windOverLimit, gustOverLimit, surfOverLimit, fog] as const;
export const exposureNotes = [darkness, coldWater, party] as const;
