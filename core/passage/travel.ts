import { AIR_DENSITY, SALT_WATER } from '../units/constants';
import type { Instant } from '../units/time';
import { type Flow, type FlowAt, toward } from '../environment/flow';

/** What moves and is moved. Areas are drag areas, Cd·A, in m². */
export interface Hull {
  /** Pace held in still water and air, m/s. */
  cruiseMps: number;
  powerW: number;
  windageM2: number;
  lateralAirM2: number;
  lateralWaterM2: number;
}

export interface Leg {
  bearingDeg: number;
  distanceM: number;
  /** Wind blows this way; stream runs this way. */
  wind: FlowAt;
  stream: FlowAt;
}

export type Hindrance = 'cannot hold track' | 'no headway' | 'not reached';

export interface LegResult {
  feasible: boolean;
  why: Hindrance | null;
  durationS: number | null;
  meanGroundMps: number | null;
  meanThroughWaterMps: number | null;
  /** The largest crab along the leg, signed: positive steers to the right of the track. */
  maxCrabDeg: number | null;
  /** The strongest stream against it, m/s; less than nothing where it runs along all the way. */
  againstMps: number | null;
}
export interface Travel {
  feasible: boolean;
  legs: LegResult[];
  totalS: number | null;
  energyKj: number | null;
}

const STEP_S = 60;
const LEAST_GROUND_MPS = 0.05;
const RAD = Math.PI / 180;
// Two weeks, longer than any outing: a leg not done by then is not made.
const MOST_STEPS = 60 * 24 * 14;
const NOT_REACHED: LegResult = {
  feasible: false,
  why: 'not reached',
  durationS: null,
  meanGroundMps: null,
  meanThroughWaterMps: null,
  maxCrabDeg: null,
  againstMps: null,
};

export interface Pace {
  speedMps: number;
  crab: number;
  /** Over the ground along the leg; 0 where no way is made. */
  groundMps: number;
  /** Stream along the leg, against the way. */
  againstMps: number;
  why: Hindrance | null;
}

/** How a hull goes along a leg at a moment, given about how fast it goes through the water. */
function pacing(hull: Hull, waterDensity: number): (leg: Leg, at: Instant, guessMps: number) => Pace {
  const paceIn = pacingIn(hull, waterDensity);
  return ({ bearingDeg, wind, stream }, at, guessMps) =>
    paceIn(toward(1, bearingDeg), wind(at), stream(at), guessMps);
}
/**
 * How a hull goes in a wind and a stream, steering so that it keeps to its track.
 * @returns a function of the track as a flow of 1 m/s, the wind, the stream (m/s), and about how fast it goes
 * through the water
 */
export function pacingIn(
  hull: Hull,
  waterDensity: number,
): (track: Flow, wind: Flow, stream: Flow, guessMps: number) => Pace {
  const k = hull.powerW / hull.cruiseMps ** 3;
  const airDrag = 0.5 * AIR_DENSITY * hull.windageM2;
  const leewayShare = Math.sqrt((AIR_DENSITY * hull.lateralAirM2) / (waterDensity * hull.lateralWaterM2));
  return ({ east, north }, wind, stream, guessMps) => {
    const head = -(wind.east * east + wind.north * north);
    const speedMps = speedThroughWater(k, airDrag, head, hull.powerW, guessMps);
    const crosswind = wind.east * north - wind.north * east;
    const cross = crosswind * leewayShare + stream.east * north - stream.north * east;
    const againstMps = -(stream.east * east + stream.north * north);
    const stopped = { speedMps, groundMps: 0, againstMps };
    if (Math.abs(cross) >= speedMps) return { ...stopped, crab: 0, why: 'cannot hold track' };
    const crab = -Math.asin(cross / speedMps);
    const groundMps = speedMps * Math.cos(crab) - againstMps;
    if (groundMps <= LEAST_GROUND_MPS) return { ...stopped, crab, why: 'no headway' };
    return { speedMps, crab, groundMps, againstMps, why: null };
  };
}

/**
 * Time, heading and effort along legs: power against water and wind, drift made good by steering up. In steps
 * of one minute.
 * @param latest who is still under way then is not followed further: that is no headway
 */
export function travel(
  departAt: Instant,
  hull: Hull,
  legs: readonly Leg[],
  waterDensity = SALT_WATER,
  latest: Instant = Infinity,
): Travel {
  const paceOf = pacing(hull, waterDensity);
  const results: LegResult[] = [];
  let at = departAt;
  let speed = hull.cruiseMps;
  let stopped = false;
  let steps = 0;
  for (const leg of legs) {
    if (stopped) {
      results.push(NOT_REACHED);
      continue;
    }
    let left = leg.distanceM;
    let spentS = 0;
    let throughWater = 0;
    let maxCrab = 0;
    let mostAgainst = -Infinity;
    let why: Hindrance | null = null;
    while (left > 0) {
      steps += 1;
      const { speedMps, crab, groundMps, againstMps, why: hindered } = paceOf(leg, at, speed);
      speed = speedMps;
      if (hindered || steps > MOST_STEPS || at > latest) {
        why = hindered ?? 'no headway';
        break;
      }
      const seconds = Math.min(STEP_S, left / groundMps);
      left = seconds < STEP_S ? 0 : left - groundMps * seconds;
      spentS += seconds;
      throughWater += speed * seconds;
      at += seconds * 1000;
      if (Math.abs(crab) > Math.abs(maxCrab)) maxCrab = crab;
      if (againstMps > mostAgainst) mostAgainst = againstMps;
    }
    if (why) {
      stopped = true;
      results.push({ ...NOT_REACHED, why });
      continue;
    }
    results.push({
      feasible: true,
      why: null,
      durationS: spentS,
      meanGroundMps: spentS > 0 ? leg.distanceM / spentS : 0,
      meanThroughWaterMps: spentS > 0 ? throughWater / spentS : 0,
      maxCrabDeg: maxCrab / RAD,
      againstMps: Number.isFinite(mostAgainst) ? mostAgainst : null,
    });
  }
  const totalS = stopped ? null : results.reduce((sum, leg) => sum + (leg.durationS ?? 0), 0);
  return {
    feasible: !stopped,
    legs: results,
    totalS,
    energyKj: totalS === null ? null : (hull.powerW * totalS) / 1000,
  };
}

/**
 * The way gone backward in time from its end: about when the last boat that is in by `deadline` must have set
 * off. Where none makes way it must have been further on before that began. Steps of a minute forward and
 * backward differ a little, so this is a place to begin trying, no answer.
 * @returns null when that is before `earliest`
 */
export function lastStart(
  deadline: Instant,
  hull: Hull,
  legs: readonly Leg[],
  earliest: Instant,
  waterDensity = SALT_WATER,
): Instant | null {
  const paceOf = pacing(hull, waterDensity);
  let at = deadline;
  let speed = hull.cruiseMps;
  for (const leg of [...legs].reverse()) {
    let left = leg.distanceM;
    while (left > 0) {
      if (at < earliest) return null;
      const { speedMps, groundMps } = paceOf(leg, at, speed);
      speed = speedMps;
      const seconds = groundMps === 0 ? STEP_S : Math.min(STEP_S, left / groundMps);
      left = seconds < STEP_S ? 0 : left - groundMps * seconds;
      at -= seconds * 1000;
    }
  }
  return at;
}

/**
 * The s > 0 at which (k s² + airDrag (head+s)|head+s|) s = power: Newton from the last speed, bracketed so
 * that it cannot stray.
 */
export function speedThroughWater(
  k: number,
  airDrag: number,
  head: number,
  power: number,
  guess: number,
): number {
  let low = 0;
  let high = Infinity;
  let s = Math.max(guess, 0.05);
  for (let i = 0; i < 100; i += 1) {
    const air = head + s;
    const push = k * s * s + airDrag * air * Math.abs(air);
    const excess = push * s - power;
    if (excess > 0) high = s;
    else low = s;
    const slope = push + s * (2 * k * s + 2 * airDrag * Math.abs(air));
    let next = s - excess / slope;
    if (!(slope > 0) || next <= low || next >= high) next = high === Infinity ? s * 2 : (low + high) / 2;
    if (Math.abs(next - s) <= 1e-12 * s) return next;
    s = next;
  }
  return s;
}
