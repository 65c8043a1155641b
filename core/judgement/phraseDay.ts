import { capital, figure, listed } from '../units/words';
import type { FindingCode } from './finding';
import type { Sentences } from './phrase';

type DayCode = Extract<
  FindingCode,
  | 'cannot-hold'
  | 'turn-passed'
  | 'home-late'
  | 'home-after-dark'
  | 'wind-against-stream'
  | 'fog'
  | 'bar-low'
  | 'second-too-slow'
  | 'way-over-land'
>;

/** What the day and the way have to say. */
export const daySentences: Sentences<DayCode> = {
  'cannot-hold': ({ leg, way, why, at, race }) => ({
    title: way === 'out' ? 'The way out is shut' : 'The way home is shut',
    text: `${capital(leg)}, begun at ${at}: ${
      why === 'no headway' ? 'wind and stream together stop you' : 'the set across the track is faster than you are'
    }${race ? ` in ${race}` : ''}. At your pace and power, an estimate.`,
  }),
  'turn-passed': ({ spotAt, deadline }) => ({
    title: 'No time to fish',
    text: `You would be there at ${spotAt}, and from then on no start brings you in by ${deadline}.`,
  }),
  'home-late': ({ turnAt, homeAt, deadline, latestTurn, afterAlarm }) => ({
    title: `In at ${homeAt}, not ${deadline}`,
    text: `Turning at ${turnAt}, against that hour's wind and stream. ${
      latestTurn === null ? 'No start from there is in by then.' : `The latest turn is ${latestTurn}.`
    }${afterAlarm ? ' Help would have been called by then.' : ''}`,
  }),
  'home-after-dark': ({ homeAt, sunset }) => ({
    title: `In at ${homeAt}, after sunset`,
    text: `The sun sets at ${sunset}. You would look for the landing in the dark.`,
  }),
  'wind-against-stream': ({ at, hsM, factor, streamMps }) => ({
    title: `Wind against stream at ${at}`,
    text: `${figure(streamMps)} m/s of stream ${
      factor === null
        ? 'stops the waves: they break'
        : `stands the waves up ${figure(factor, 2)} times, to about ${figure(hsM)} m`
    }, short and steep. An estimate.`,
  }),
  fog: ({ visibilityM, at }) => ({
    title: `Visibility ${figure(visibilityM, 0)} m at ${at}`,
    text: 'Nobody sees you, and you do not see the shore. A horn and a compass are no more than that.',
  }),
  'bar-low': ({ place, depthM, at, when }) => ({
    title: depthM <= 0 ? `${place} is dry at ${at}` : `${figure(depthM)} m of water at ${place} at ${at}`,
    text: `${when === 'launch' ? 'Launching' : 'Landing'} there means dragging the boat over what the tide leaves. The tide is a prediction; wind and pressure move it.`,
  }),
  'second-too-slow': ({ homeAt, deadline }) => ({
    title:
      homeAt === null ? 'The second propulsion does not bring you home' : `With the second propulsion in at ${homeAt}`,
    text:
      homeAt === null
        ? 'At its pace, wind and stream of those hours are stronger. If the first fails, you do not get in by yourself.'
        : `You said ${deadline}. If the first fails out there, help is called while you are on your way.`,
  }),
  'way-over-land': ({ legs }) => ({
    title: 'The way leads over land',
    text: `By the chart held here: ${listed(legs)}. Draw it round, so that distance and hours are those of the way you take.`,
  }),
};
