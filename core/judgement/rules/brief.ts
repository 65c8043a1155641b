import type { Water } from '../../documents/water';
import { type Blank, openBlanks } from '../../documents/references';
import { lightOfDay, noonOf } from '../../environment/light';
import {
  type Instant,
  MINUTE_MS,
  addDays,
  clockAt,
  dateAt,
  minutesBetween,
  shiftClock,
} from '../../units/time';
import { capital, count, dayWords, duration, listed, plural } from '../../units/words';
import { SHAKEDOWN_OUTINGS } from '../../vocabulary/trips';
import { forecastSeenAt, FORECAST_HOURS } from '../../walkround/forecastSeen';
import type { DayExposures } from '../../exposures/exposures';
import type { Unsaid } from '../../exposures/unsaid';
import { HOUR_MS } from '../../units/time';
import { rule } from '../rule';
import { type FindingLevel } from '../../vocabulary/levels';

const blankWords: Record<Blank, string> = {
  targets: 'the fish',
  water: 'the water',
  launch: 'the launch',
  area: 'the place to fish',
  craft: 'the boat',
  angler: 'your own profile',
};

const briefIncomplete = rule({
  code: 'brief-incomplete',
  reads: ['outward', 'places'],
  station: 'brief',
  measure: 'blanks',
  find: ({ outward: brief, places }) => {
    const blanks = openBlanks(brief, places);
    return blanks.length > 0
      ? [
          {
            level: 'stop',
            basis: 'physics',
            extent: blanks.length,
            facts: { blanks: blanks as readonly Blank[] },
          },
        ]
      : [];
  },
  say: ({ blanks }) => ({
    title: 'The sentence has open blanks',
    text: `Still to say: ${listed(blanks.map((blank) => blankWords[blank]))}. Nothing can be signed before.`,
  }),
  otherwise: () => 'Say what is still open in the sentence.',
});

const hoursReversed = rule({
  code: 'hours-reversed',
  reads: ['outward', 'places', 'day'],
  station: 'brief',
  measure: 'whether',
  find: ({ outward: { launchAt, homeAt }, places, day }) =>
    places.water && (day.launchAt === null || day.homeAt === null)
      ? [{ level: 'stop', basis: 'physics', extent: 1, facts: { launchAt, homeAt } }]
      : [],
  say: ({ launchAt, homeAt }) => ({
    title: 'Home is at the hour of the launch',
    text: `Afloat ${launchAt} to ${homeAt} is no time at all. An hour before the launch means the next morning; for nights in camp, say how many.`,
  }),
  repairs: (_, { brief }) => [
    { do: 'set-hours', launchAt: brief.launchAt, homeAt: shiftClock(brief.launchAt, 240) },
  ],
  otherwise: () => 'Write the hours anew.',
});

const hoursGone = rule({
  code: 'hours-gone',
  reads: ['outward', 'day', 'now', 'log'],
  station: 'brief',
  measure: 'whether',
  // Of an outing that is over and logged nothing is asked any more.
  find: ({ outward: { launchAt, date }, day: { homeAt }, now, log }) =>
    homeAt !== null && homeAt < now && log === null
      ? [{ level: 'stop', basis: 'physics', extent: 1, facts: { launchAt, date } }]
      : [],
  say: ({ launchAt, date }) => ({
    title: 'These hours have gone by',
    text: `The launch was ${dayWords(date)} at ${launchAt}. An outing is signed before it, not after.`,
  }),
  repairs: (_, { today, brief }) =>
    [today, addDays(today, 1)].filter((date) => date > brief.date).map((date) => ({ do: 'set-date', date })),
  otherwise: () => 'Another date.',
});

const unsaidWords: Record<Unsaid, string> = {
  wind: 'wind',
  'wind direction': 'wind direction',
  swell: 'swell',
  air: 'air',
  water: 'water temperature',
  thunder: 'thunder',
  tide: 'the tide of that day',
  stream: 'the stream of that day',
};
function missingFigures(e: DayExposures, surf: boolean): string[] {
  const known: [string, boolean][] = [
    ['wind', e.wind !== null],
    ['gusts', e.gust !== null],
    ['air', e.airMinC !== null],
    ['water temperature', e.waterC !== null],
    ['thunder', e.thunder !== null],
    ['swell and its period', !surf || e.breakerM !== null],
  ];
  const missing = known.flatMap(([name, is]) => (is ? [] : [name]));
  // Some hours without a figure are some hours not judged; what is wholly missing is named above.
  const some = e.unsaid
    .map((one) => unsaidWords[one])
    .filter((name) => !missing.some((other) => other.startsWith(name.split(' ')[0] ?? name)));
  return [...missing, ...some];
}

/**
 * Farther from ground than this nobody goes by no forecast at all, m; one hour without is told, and more are
 * minded.
 */
const BLIND_FROM_M = 300;
const conditionsMissing = rule({
  code: 'conditions-missing',
  reads: ['day', 'places'],
  station: 'brief',
  measure: 'figures',
  find: ({ day, places }) => {
    const { launchAt, homeAt } = day;
    if (launchAt === null || homeAt === null) return [];
    const figures = missingFigures(day, places.launch?.surf === true);
    if (figures.length === 0) return [];
    const hours = Math.ceil(minutesBetween(launchAt, homeAt) / 60);
    const blind = hours - day.winds.filter(({ windMps }) => windMps !== null).length;
    const onlyHours = figures.every((name) => name === unsaidWords.wind);
    const level: FindingLevel =
      blind >= hours && (day.maxDistanceFromShoreM ?? 0) > BLIND_FROM_M
        ? 'stop'
        : onlyHours && blind <= 1
          ? 'note'
          : 'mind';
    return [{ level, basis: 'judgement', extent: figures.length, facts: { figures, hours } }];
  },
  say: ({ figures, hours }) => ({
    title: 'The day has not been written down',
    text: `No figure for ${listed(figures)} in the ${hours === 1 ? 'hour' : `${hours} hours`} afloat. What is not written was not judged.`,
  }),
  otherwise: () => 'Write the figures, or read them from a file.',
});

/** Weather of the stand-in station at a water that is real: made up, whatever it says. */
const weatherInvented = rule({
  code: 'weather-invented',
  reads: ['conditions', 'places', 'log'],
  station: 'brief',
  measure: 'whether',
  find: ({ conditions, places: { water }, log }) =>
    conditions.source === 'station' && water && !water.invented && log === null
      ? [{ level: 'mind', basis: 'judgement', extent: 1, facts: { water: water.name } }]
      : [],
  say: ({ water }) => ({
    title: 'Invented weather: nobody forecast this',
    text: `The simulated station knows nothing of ${water}. What is judged by its figures says nothing of the day.`,
  }),
  otherwise: () => 'Type the forecast that you read or heard, as a line, or read it from a file.',
});

/** Settings of a water where the sea comes and goes. */
const tidal: readonly Water['setting'][] = ['estuary', 'coast', 'flats', 'open'];

/** How far sunrise may be off where the position is taken from the time zone alone, min. Rule of thumb. */
const SUN_ERROR_MIN = 90;
/** Without a position sunrise is estimated from the time zone, and a rescue service has only a name. */
const positionUnknown = rule({
  code: 'position-unknown',
  reads: ['places', 'day'],
  station: 'brief',
  measure: 'whether',
  find: ({ places: { water }, day: { launchAt, homeAt } }) => {
    if (!water || water.positioned || launchAt === null || homeAt === null) return [];
    const { timeZone, latDeg, lonDeg } = water;
    const sun = (at: Instant) => lightOfDay(noonOf(dateAt(at, timeZone), lonDeg), latDeg, lonDeg);
    const { sunrise } = sun(launchAt);
    const { sunset } = sun(homeAt);
    const guard = SUN_ERROR_MIN * MINUTE_MS;
    const isNearDark =
      sunrise === null || sunset === null || launchAt < sunrise + guard || homeAt > sunset - guard;
    const level = isNearDark || tidal.includes(water.setting) ? ('mind' as const) : ('note' as const);
    const clock = (at: Instant | null) => (at === null ? null : clockAt(at, timeZone));
    const facts = { water: water.name, sunrise: clock(sunrise), sunset: clock(sunset) };
    return [{ level, basis: 'judgement', extent: 1, facts }];
  },
  say: ({ water, sunrise, sunset }) => ({
    title: `Where ${water} lies is not written`,
    text: `${
      sunrise === null || sunset === null
        ? 'Light and dark are guessed by its clock alone.'
        : `Sunrise at ${sunrise} and sunset at ${sunset} are guessed by its clock alone, and may be an hour and a half off.`
    } Whoever looks for you has its name, and no position.`,
  }),
  otherwise: () =>
    'Write its position with the water: the slip’s own for who looks for you; any town near by does for the sun.',
});

const tideNotHeld = rule({
  code: 'tide-not-held',
  notes: true,
  reads: ['places'],
  station: 'brief',
  measure: 'whether',
  find: ({ places: { water } }) =>
    water &&
    water.type !== 'fresh' &&
    tidal.includes(water.setting) &&
    water.tide === null &&
    water.stream === null
      ? [{ level: 'note', basis: 'physics', extent: 1, facts: { water: water.name } }]
      : [],
  say: ({ water }) => ({
    title: `No tide is held for ${water}`,
    text: 'Heights, streams and water over a bar were taken as they never change. Where the sea comes and goes, write its high and low waters with the water.',
  }),
});

const conditionsStale = rule({
  code: 'conditions-stale',
  notes: true,
  reads: ['conditions', 'answers', 'now', 'day', 'places', 'log'],
  station: 'brief',
  measure: 'hours',
  find: ({ conditions, answers, now, day, places, log }) => {
    const seen = forecastSeenAt(conditions, answers, now);
    const hoursOld = seen === null ? null : (now - seen) / HOUR_MS;
    const unknown = day.launchAt === null || day.homeAt === null;
    // Of an outing that is over nothing is to be looked at again.
    if (unknown || log !== null || hoursOld === null || hoursOld <= FORECAST_HOURS) return [];
    return missingFigures(day, places.launch?.surf === true).length === 0
      ? [{ level: 'note', basis: 'judgement', extent: hoursOld, facts: { hoursOld } }]
      : [];
  },
  say: ({ hoursOld }) => ({
    title: `The forecast was looked at ${duration(hoursOld * 60)} ago`,
    text: `Look again within ${count(FORECAST_HOURS)} hours of signing.`,
  }),
  repairs: () => [{ do: 'looked-again' }],
});

const firstOutings = rule({
  code: 'first-outings',
  reads: ['places', 'outward'],
  station: 'brief',
  measure: 'whether',
  find: ({ places: { craft, angler }, outward: brief }) => {
    if (!craft || craft.outingsLogged >= SHAKEDOWN_OUTINGS) return [];
    const practising = brief.trip === 'shakedown';
    const level: FindingLevel = angler?.experience === 'new' && !practising ? 'mind' : 'note';
    const facts = { craft: craft.name, logged: craft.outingsLogged, practising };
    return [{ level, basis: 'school', extent: 1, facts }];
  },
  say: ({ craft, logged, practising }) => ({
    title:
      logged === 0
        ? `${craft} is new to you`
        : `${capital(count(logged))} ${plural(logged, 'outing')} with ${craft} so far`,
    text: practising
      ? 'To practise, close in: loading, launching and landing, tipping over and getting back in, pumping out.'
      : 'A short shakedown without tackle shows what this boat does: loading, launching, getting back in, pumping out.',
  }),
  repairs: () => [{ do: 'shakedown' }],
  otherwise: () => 'Make this one a shakedown, close in and without tackle; or accept it with a reason.',
});

export const briefRules = [
  briefIncomplete,
  hoursReversed,
  hoursGone,
  conditionsMissing,
  weatherInvented,
  positionUnknown,
  tideNotHeld,
  conditionsStale,
  firstOutings,
] as const;
