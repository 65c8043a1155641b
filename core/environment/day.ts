import { type FlowAt, type FlowPoint, STILL, flowBetween, fromBearing } from './flow';
import type { Conditions, Hour } from '../documents/outing';
import type { Water } from '../documents/water';
import { DAY_MS, type Instant } from '../units/time';
import { rememberFor } from '../units/remember';
import { type Series, type TurnOfTide, slackWaters, turnsOfTide } from './tide';
import { type WaterStream, streamOf, tideOf } from './waterTide';

/** Wind, stream and tide of a water through a stretch of days, for asking at any moment. */
export interface Day {
  /** In order of time. */
  hours: readonly Hour[];
  windAt: FlowAt;
  /** Whether a wind is known at all. */
  windKnown: boolean;
  streamAt: FlowAt;
  /** Signed speed along the water's own stream bearing; null: no stream. */
  streamSeries: Series | null;
  tideSeries: Series | null;
  turns: readonly TurnOfTide[];
  slacks: readonly Instant[];
}

const days = rememberFor((_: Conditions) => rememberFor((_of: Water) => new Map<string, Day>()));

/** The day of an outing, worked out once for the same figures, water and days. */
export function dayOf(conditions: Conditions, water: Water, from: Instant, to: Instant): Day {
  // From noon to noon: a tide is corrected from day to day, and so comes out alike whichever days were asked
  // for.
  const span = {
    from: Math.floor(from / DAY_MS) * DAY_MS - DAY_MS / 2,
    to: Math.ceil(to / DAY_MS) * DAY_MS + 2.5 * DAY_MS,
  };
  const known = days(conditions)(water);
  const key = `${span.from} ${span.to}`;
  const day = known.get(key) ?? workOut(conditions, water, span.from, span.to);
  known.set(key, day);
  return day;
}

type Tides = Pick<Day, 'tideSeries' | 'turns' | 'slacks'> & { stream: WaterStream | null };
const tides = new WeakMap<Water, Map<string, Tides>>();

function tidesOf(water: Water, from: Instant, to: Instant): Tides {
  const key = `${from} ${to}`;
  const known = tides.get(water)?.get(key);
  if (known) return known;
  const tideSeries = tideOf(water, from, to);
  const stream = streamOf(water, from, to);
  const made = {
    tideSeries,
    stream,
    turns: tideSeries ? turnsOfTide(tideSeries, from, to) : [],
    slacks: stream ? slackWaters(stream.series, from, to) : [],
  };
  const map = tides.get(water) ?? new Map<string, Tides>();
  if (map.size > 40) map.clear();
  tides.set(water, map.set(key, made));
  return made;
}

function workOut(conditions: Conditions, water: Water, from: Instant, to: Instant): Day {
  const hours = conditions.hours.toSorted((a, b) => Date.parse(a.at) - Date.parse(b.at));
  const wind: FlowPoint[] = hours.flatMap(({ at, windMps, windFromDeg }) =>
    windMps === null ? [] : [{ at: Date.parse(at), ...fromBearing(windMps, windFromDeg ?? 0) }],
  );
  const { stream, ...series } = tidesOf(water, from, to);
  return {
    hours,
    windAt: flowBetween(wind),
    windKnown: wind.length > 0,
    streamAt: stream?.at ?? STILL,
    streamSeries: stream?.series ?? null,
    ...series,
  };
}
