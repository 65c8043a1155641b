import { type Flow, type FlowAt, toward } from '../environment/flow';
import { type Hull, pacingIn } from '../passage/travel';
import { type Instant, MINUTE_MS } from '../units/time';
import { type Draws, drawing } from './draws';
import { type Spread, WIND_KEEPS, windErrorMps } from './spread';

export interface RehearsedLeg {
  bearingDeg: number;
  distanceM: number;
  /** The stream here, as a share of the water's. */
  streamFactor: number;
}
/** An outing as far as it is rehearsed: a way, hours, a boat, the forecast, and one's own rule. */
export interface RehearsalInput {
  launchAt: Instant;
  turnAt: Instant;
  /** Home is back where it began; false: the way ends elsewhere, and is never gone back. */
  returns: boolean;
  out: readonly RehearsedLeg[];
  home: readonly RehearsedLeg[];
  hull: Hull;
  waterDensity: number;
  windAt: FlowAt;
  streamAt: FlowAt;
  /** Hours from the forecast to the launch. */
  ageH: number;
  /** One turns when the wind passes this, m/s. */
  limitMps: number;
  /** What draws on each battery, W on the average of the hours afloat, and what it gives, Wh. */
  batteries: readonly { name: string; watts: number; givesWh: number }[];
  spread: Spread;
}
export type Part = 'out' | 'there' | 'home';
/** What became of one day. Times in minutes after the launch as written. */
export interface RehearsedDay {
  /** null: not home within twelve hours of the turn. */
  homeMin: number | null;
  turnedMin: number;
  /** Whether the turn was earlier than written, by one's own rule. */
  turnedEarly: boolean;
  /** Where and when the wind first passed the limit; null: it did not. */
  passed: { part: Part; min: number } | null;
  /** Made no way for a while against wind and stream. */
  stopped: boolean;
  /** Of each battery, whether it was empty before the boat was home. */
  empty: readonly boolean[];
}

const STEP_MIN = 5;
const STEP_S = STEP_MIN * 60;
const FOLLOWED_MIN = 12 * 60;
/** The forecast is read this long before the launch and after the day is over, minutes. */
const MARGIN_MIN = 4 * 60;
const SLOWEST = 0.5;
const FASTEST = 1.5;

/**
 * The day of an outing many times over, each as the forecast, the stream and the angler may differ from what is
 * written. An estimate, in steps of five minutes; it knows nothing of waves, fog, fish or accidents.
 * @param seed the same seed meets the same days, also with another outing
 */
export function rehearse(input: RehearsalInput, days: number, seed: number): RehearsedDay[] {
  const simulate = simulating(input);
  const draw = drawing(seed, HOURS_DRAWN);
  return Array.from({ length: days }, () => simulate(draw()));
}
/** Hours of error that are drawn; after them the last stands. */
export const HOURS_DRAWN = 12;

type Leg = RehearsedLeg & { track: Flow };
const withTrack = (leg: RehearsedLeg): Leg => ({ ...leg, track: toward(1, leg.bearingDeg) });
/** The same way back: the leg begun last, as far as it was gone, first. */
const reversed = (gone: readonly RehearsedLeg[]): Leg[] =>
  gone
    .toReversed()
    .map(({ bearingDeg, ...leg }) => withTrack({ ...leg, bearingDeg: (bearingDeg + 180) % 360 }));

function simulating(input: RehearsalInput): (draws: Draws) => RehearsedDay {
  const { launchAt, turnAt, spread, hull, limitMps, batteries } = input;
  const turnMin = (turnAt - launchAt) / MINUTE_MS;
  const end = turnMin + FOLLOWED_MIN;
  const read = (flow: FlowAt) => {
    const count = Math.ceil((end + 2 * MARGIN_MIN) / STEP_MIN) + 1;
    return Array.from({ length: count }, (_, i) => flow(launchAt + (i * STEP_MIN - MARGIN_MIN) * MINUTE_MS));
  };
  const [wind, stream] = [read(input.windAt), read(input.streamAt)];
  const at = (series: readonly Flow[], min: number) =>
    series[Math.min(series.length - 1, Math.max(0, Math.round((min + MARGIN_MIN) / STEP_MIN)))] as Flow;
  const sigma = Array.from({ length: HOURS_DRAWN }, (_, hour) => windErrorMps(input.ageH, hour));
  const out = input.out.map(withTrack);
  const home = input.home.map(withTrack);
  const paceIn = pacingIn(hull, input.waterDensity);
  const errorEast = new Float64Array(HOURS_DRAWN);
  const errorNorth = new Float64Array(HOURS_DRAWN);
  // Written over at every step: a day is thousands of them.
  const blowing: Flow = { east: 0, north: 0 };
  const running: Flow = { east: 0, north: 0 };
  const fresh = Math.sqrt(1 - WIND_KEEPS ** 2);

  return (draws) => {
    let [east, north] = [0, 0];
    for (let hour = 0; hour < HOURS_DRAWN; hour += 1) {
      const keeps = hour === 0 ? 0 : WIND_KEEPS;
      const adds = hour === 0 ? 1 : fresh;
      east = keeps * east + adds * (draws.windEast[hour] ?? 0);
      north = keeps * north + adds * (draws.windNorth[hour] ?? 0);
      errorEast[hour] = east * (sigma[hour] ?? 0);
      errorNorth[hour] = north * (sigma[hour] ?? 0);
    }
    const windShift = draws.timing * spread.windTimingMin;
    const streamShift = draws.streamTiming * spread.streamTimingMin;
    const streamTimes = Math.max(0, 1 + draws.streamStrength * spread.streamStrength);
    const pace = Math.min(FASTEST, Math.max(SLOWEST, 1 + draws.pace * spread.pace));
    const fade = draws.fades * spread.fadesPerHour;
    /** The wind at a minute, put into `blowing`; whether it passes the limit. */
    const passesLimitAt = (min: number): boolean => {
      const written = at(wind, min + windShift);
      // Straight between the hours.
      const hour = Math.min(HOURS_DRAWN - 1, Math.max(0, min / 60));
      const i = Math.floor(hour);
      const j = Math.min(HOURS_DRAWN - 1, i + 1);
      const part = hour - i;
      blowing.east = written.east + (errorEast[i] ?? 0) * (1 - part) + (errorEast[j] ?? 0) * part;
      blowing.north = written.north + (errorNorth[i] ?? 0) * (1 - part) + (errorNorth[j] ?? 0) * part;
      return blowing.east ** 2 + blowing.north ** 2 > limitMps ** 2;
    };
    let passed: RehearsedDay['passed'] = null;
    let stopped = false;
    let min = draws.late * spread.lateMin;
    const began = min;
    let speed = hull.cruiseMps;
    /** Travels along legs until they are done, the limit is passed, or an hour has come; what of them was covered. */
    const follow = (
      legs: readonly Leg[],
      part: Part,
      until: number,
      turns: boolean,
    ): RehearsedLeg[] | 'done' => {
      const gone: RehearsedLeg[] = [];
      for (const { track, ...leg } of legs) {
        let left = leg.distanceM;
        while (left > 0) {
          if (min >= until) return [...gone, { ...leg, distanceM: leg.distanceM - left }];
          if (passesLimitAt(min)) {
            passed ??= { part, min };
            if (turns) return [...gone, { ...leg, distanceM: leg.distanceM - left }];
          }
          const runs = at(stream, min + streamShift);
          const factor = streamTimes * leg.streamFactor;
          running.east = runs.east * factor;
          running.north = runs.north * factor;
          const { speedMps, groundMps, againstMps } = paceIn(track, blowing, running, speed);
          speed = speedMps;
          // One's own pace of the day acts on what is made through the water.
          const slower = pace * Math.max(SLOWEST, 1 - (fade * (min - began)) / 60);
          const made = groundMps === 0 ? 0 : Math.max(0, (groundMps + againstMps) * slower - againstMps);
          if (made <= 0) stopped = true;
          const seconds = made * STEP_S > left ? left / made : STEP_S;
          left = seconds < STEP_S ? 0 : left - made * seconds;
          min += seconds / 60;
        }
        gone.push(leg);
      }
      return 'done';
    };
    const stay = draws.stays < spread.stays ? draws.staysLong * spread.staysMin : 0;
    const reached = follow(out, 'out', input.returns ? turnMin : Infinity, input.returns);
    if (reached === 'done')
      while (min < turnMin + stay) {
        if (passesLimitAt(min)) {
          passed ??= { part: 'there', min };
          break;
        }
        min = Math.min(min + STEP_MIN, turnMin + stay);
      }
    const turnedMin = min;
    const stops = draws.stops < spread.stops ? draws.stopsLong * spread.stopsMin : 0;
    const back = reached === 'done' || !input.returns ? home : reversed(reached);
    min += stops;
    const homeMin = follow(back, 'home', end, false) === 'done' ? min : null;
    const afloatH = (min - began) / 60;
    const given = Math.max(0, 1 + draws.battery * spread.battery);
    return {
      homeMin,
      turnedMin,
      turnedEarly: turnedMin < turnMin - STEP_MIN,
      passed,
      stopped,
      empty: batteries.map(({ watts, givesWh }) => watts * afloatH > givesWh * given),
    };
  };
}
