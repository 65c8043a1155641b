import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';

/** What chance decides of one day. All are drawn whatever is used, so that two outings meet the same days. */
export interface Draws {
  /** Standard normal: pace, timing of the wind's changes, timing and strength of the stream, batteries. */
  pace: number;
  timing: number;
  streamTiming: number;
  streamStrength: number;
  battery: number;
  /** 0 to 1: how late one launches, whether one stays and how long, whether something stops one and how long. */
  late: number;
  stays: number;
  staysLong: number;
  stops: number;
  stopsLong: number;
  fades: number;
  /** Standard normal, east and north, of each hour after the launch. */
  windEast: Float64Array;
  windNorth: Float64Array;
}

const INTS = 2 ** 32;
/** Days drawn one after another: the same seed, the same days. The record is used again for the next day. */
export function drawing(seed: number, hours: number): () => Draws {
  const random = xoroshiro128plus(seed);
  const uniform = () => ((random.next() >>> 0) + 0.5) / INTS;
  let spare: number | null = null;
  // Box and Muller, two at a time.
  const normal = () => {
    if (spare !== null) {
      const value = spare;
      spare = null;
      return value;
    }
    const radius = Math.sqrt(-2 * Math.log(uniform()));
    const angle = 2 * Math.PI * uniform();
    spare = radius * Math.sin(angle);
    return radius * Math.cos(angle);
  };
  const draws: Draws = {
    ...{ pace: 0, timing: 0, streamTiming: 0, streamStrength: 0, battery: 0 },
    ...{ late: 0, stays: 0, staysLong: 0, stops: 0, stopsLong: 0, fades: 0 },
    windEast: new Float64Array(hours),
    windNorth: new Float64Array(hours),
  };
  return () => {
    draws.pace = normal();
    draws.timing = normal();
    draws.streamTiming = normal();
    draws.streamStrength = normal();
    draws.battery = normal();
    draws.late = uniform();
    draws.stays = uniform();
    draws.staysLong = uniform();
    draws.stops = uniform();
    draws.stopsLong = uniform();
    draws.fades = uniform();
    for (let i = 0; i < hours; i += 1) {
      draws.windEast[i] = normal();
      draws.windNorth[i] = normal();
    }
    return draws;
  };
}
