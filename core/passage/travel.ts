import { AIR_DENSITY, SALT_WATER } from '../units/constants';
import type { Instant } from '../units/time';
import type { FlowAt } from '../environment/flow';

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
};

/** Time, heading and effort along legs: power against water and wind, drift made good by steering up. In steps of one minute. */
export function travel(departAt: Instant, hull: Hull, legs: readonly Leg[], waterDensity = SALT_WATER): Travel {
  const k = hull.powerW / hull.cruiseMps ** 3;
  const airDrag = 0.5 * AIR_DENSITY * hull.windageM2;
  const leewayShare = Math.sqrt((AIR_DENSITY * hull.lateralAirM2) / (waterDensity * hull.lateralWaterM2));
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
    const along = { east: Math.sin(leg.bearingDeg * RAD), north: Math.cos(leg.bearingDeg * RAD) };
    let left = leg.distanceM;
    let spentS = 0;
    let throughWater = 0;
    let maxCrab = 0;
    let why: Hindrance | null = null;
    while (left > 0) {
      steps += 1;
      const wind = leg.wind(at);
      const stream = leg.stream(at);
      const head = -(wind.east * along.east + wind.north * along.north);
      speed = speedThroughWater(k, airDrag, head, hull.powerW, speed);
      const crosswind = wind.east * along.north - wind.north * along.east;
      const cross = crosswind * leewayShare + stream.east * along.north - stream.north * along.east;
      if (Math.abs(cross) >= speed) {
        why = 'cannot hold track';
        break;
      }
      const crab = -Math.asin(cross / speed);
      const ground = speed * Math.cos(crab) + stream.east * along.east + stream.north * along.north;
      if (ground <= LEAST_GROUND_MPS || steps > MOST_STEPS) {
        why = 'no headway';
        break;
      }
      const seconds = Math.min(STEP_S, left / ground);
      left = seconds < STEP_S ? 0 : left - ground * seconds;
      spentS += seconds;
      throughWater += speed * seconds;
      at += seconds * 1000;
      if (Math.abs(crab) > Math.abs(maxCrab)) maxCrab = crab;
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

/** The s > 0 at which (k s² + airDrag (head+s)|head+s|) s = power: Newton from the last speed, bracketed so that it cannot stray. */
export function speedThroughWater(k: number, airDrag: number, head: number, power: number, guess: number): number {
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
