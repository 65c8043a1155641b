import { seaAt } from './sea';
import type { Day } from './day';
import { valueAt } from './tide';
import type { Hour } from '../documents/outing';
import type { Area, Water } from '../documents/water';
import { speedOf } from './flow';
import { distanceBetween } from './geo';
import type { Flow } from './flow';
import { HOUR_MS, type Instant } from '../units/time';

/** The place to fish at one moment: what an anchor, a drift and a jig have to do with. */
export interface SpotHour {
  at: Instant;
  /** As it is said, with its day where the clock comes round. */
  clock: string;
  depthM: number;
  /** Of which tide over chart datum. */
  tideM: number;
  streamMps: number;
  /** Where stream and air move to, m/s east and north. */
  stream: Flow;
  air: Flow;
  windMps: number;
  /** The gusts of that hour, or the wind where none are known. */
  gustMps: number;
  hsM: number;
}

const STEP_MS = HOUR_MS / 2;

/**
 * When one comes, every half hour of the clock while one is there, and when one leaves: a short stay is seen
 * too. The stream is that of the place, a race there counted.
 */
export function spotHours(
  area: Area,
  water: Water,
  day: Day,
  hours: readonly Hour[],
  stay: { from: Instant; to: Instant; clock: (at: Instant) => string },
): SpotHour[] {
  const factor = Math.max(
    1,
    ...water.hazards
      .filter((hazard) => distanceBetween(hazard, area) <= hazard.radiusM)
      .map((hazard) => hazard.streamFactor),
  );
  const times = hours.map((hour) => Date.parse(hour.at));
  const list: SpotHour[] = [];
  for (const at of momentsOf(stay.from, stay.to)) {
    const stream = day.streamAt(at);
    const air = day.windAt(at);
    const hour = rowAt(hours, times, at);
    const tideM = day.tideSeries ? valueAt(day.tideSeries, at) : 0;
    list.push({
      at,
      clock: stay.clock(at),
      depthM: Math.max(0.1, area.depthM + tideM),
      tideM,
      streamMps: speedOf(stream) * factor,
      stream: { east: stream.east * factor, north: stream.north * factor },
      air,
      windMps: speedOf(air),
      gustMps: Math.max(speedOf(air), hour?.gustMps ?? 0),
      hsM: hour ? seaAt(hour, water, stream).onStreamM : 0,
    });
  }
  return list;
}

/** The written hour nearest to a moment; the hours are in order. */
function rowAt(hours: readonly Hour[], times: readonly Instant[], at: Instant): Hour | null {
  let i = 0;
  while (i + 1 < times.length && Math.abs((times[i + 1] ?? 0) - at) < Math.abs((times[i] ?? 0) - at)) i += 1;
  return hours[i] ?? null;
}

function momentsOf(from: Instant, to: Instant): Instant[] {
  if (to < from) return [];
  const moments = [from];
  for (let at = Math.ceil((from + 1) / STEP_MS) * STEP_MS; at < to; at += STEP_MS) moments.push(at);
  return to > from ? [...moments, to] : moments;
}
