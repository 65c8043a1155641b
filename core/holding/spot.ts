import { seaAt } from '../conditions/sea';
import type { Day } from '../conditions/day';
import { valueAt } from '../conditions/tide';
import type { Hour } from '../outing/outing';
import type { Area, Water } from '../outing/water';
import { speedOf } from '../passage/flow';
import { distanceBetween } from '../passage/geo';
import { HOUR_MS, type Instant, clockAt } from '../units/time';

/** The place to fish at one moment: what an anchor, a drift and a jig have to do with. */
export interface SpotHour {
  at: Instant;
  clock: string;
  depthM: number;
  /** Of which tide over chart datum. */
  tideM: number;
  streamMps: number;
  windMps: number;
  hsM: number;
}

const STEP_MS = HOUR_MS / 2;

/** Every half hour from one moment to another, on the half hours of the clock. The stream is that of the place, a race there counted. */
export function spotHours(
  area: Area,
  water: Water,
  day: Day,
  hours: readonly Hour[],
  from: Instant,
  to: Instant,
): SpotHour[] {
  const factor = Math.max(
    1,
    ...water.hazards
      .filter((hazard) => distanceBetween(hazard, area) <= hazard.radiusM)
      .map((hazard) => hazard.streamFactor),
  );
  const list: SpotHour[] = [];
  for (let at = Math.ceil(from / STEP_MS) * STEP_MS; at <= to; at += STEP_MS) {
    const stream = day.streamAt(at);
    const hour = rowAt(hours, at);
    const tideM = day.tideSeries ? valueAt(day.tideSeries, at) : 0;
    list.push({
      at,
      clock: clockAt(at, water.timeZone),
      depthM: Math.max(0.1, area.depthM + tideM),
      tideM,
      streamMps: speedOf(stream) * factor,
      windMps: speedOf(day.windAt(at)),
      hsM: hour ? seaAt(hour, water, stream).onStreamM : 0,
    });
  }
  return list;
}

/** The written hour that a moment falls into, or the nearest to it. */
function rowAt(hours: readonly Hour[], at: Instant): Hour | null {
  let best: Hour | null = null;
  for (const hour of hours)
    if (best === null || Math.abs(Date.parse(hour.at) - at) < Math.abs(Date.parse(best.at) - at)) best = hour;
  return best;
}
