import type { StreamHour, Water } from '../documents/water';
import { HOUR_MS, type Instant } from '../units/time';
import { type FlowAt, NO_STREAM, bearingOf, flowBetween, speedOf, toward } from './flow';
import { type Series, type TurnOfTide, harmonicSeries, turnsOfTide, valueAt } from './tide';
import { tableCovers, tableSeries } from './tideTable';

/**
 * The tide of a water through a span: by its table where that speaks for the span, else by constituents, else
 * as far as the table goes. null: no tide, or nothing written of it.
 */
export function tideOf({ tide }: Pick<Water, 'tide'>, from: Instant, to: Instant): Series | null {
  if (!tide) return null;
  const { turns, constituents, meanM } = tide;
  if (constituents.length > 0 && !tableCovers(turns, from, to))
    return harmonicSeries(constituents, from, to, meanM);
  return tableSeries(turns, from, to);
}

/** Whether a tide is held but its height in these hours is not. */
export function tideIsSilent({ tide }: Pick<Water, 'tide'>, from: Instant, to: Instant): boolean {
  return tide !== null && tide.constituents.length === 0 && !tableCovers(tide.turns, from, to);
}

/**
 * Whether a stream is held but what it does in these hours is not: its hours go by a high water that nobody
 * wrote, or it has no figure at all.
 */
export function streamIsSilent(
  water: Pick<Water, 'tide' | 'stream' | 'setting'>,
  from: Instant,
  to: Instant,
): boolean {
  const { stream, tide } = water;
  // A river runs, whether or not anybody has written how.
  if (stream === null) return water.setting === 'river';
  if (stream.hours.length > 0) return tide === null || tideIsSilent(water, from, to);
  return stream.constituents.length === 0 && stream.steadyMps === 0;
}

/** A stream without a table of hours. */
export const noStreamTable = { hours: [] as StreamHour[], springRangeM: null, neapRangeM: null };

/** What a water's stream does: its flow at any moment, and its signed speed along its own bearing. */
export interface WaterStream {
  series: Series;
  at: FlowAt;
}

/**
 * The stream of a water through a span: by hours about high water where they are written, else by its parts
 * along one bearing. null: none.
 */
export function streamOf(
  water: Pick<Water, 'tide' | 'stream'>,
  from: Instant,
  to: Instant,
): WaterStream | null {
  const { stream } = water;
  if (!stream) return null;
  if (stream.hours.length > 0) return streamByHours(water, stream, from, to);
  const series = harmonicSeries(stream.constituents, from, to, stream.steadyMps);
  const unit = toward(1, stream.towardDeg);
  return {
    series,
    at: (at) => {
      const speed = valueAt(series, at);
      return { east: unit.east * speed, north: unit.north * speed };
    },
  };
}

/** High waters up to so long before and behind a span decide what the stream does in it. */
const REACH_MS = 14 * HOUR_MS;
/**
 * The rates of a table are for springs and neaps; a tide of greater range runs harder, by so much at the
 * most.
 */
const MOST_OVER_SPRINGS = 1.25;
const STEP_MS = 600_000;

function streamByHours(
  water: Pick<Water, 'tide'>,
  stream: NonNullable<Water['stream']>,
  from: Instant,
  to: Instant,
): WaterStream {
  const rows = stream.hours.toSorted((a, b) => a.hour - b.hour);
  const tide = tideOf(water, from - REACH_MS, to + REACH_MS);
  const turns = tide ? turnsOfTide(tide, from - REACH_MS, to + REACH_MS) : [];
  const points = turns
    .filter(({ high }) => high)
    .flatMap((high) => {
      const share = springShare(stream, rangeAt(high, turns));
      return rows.map(({ hour, towardDeg, springMps, neapMps }) => ({
        at: high.at + hour * HOUR_MS,
        of: high.at,
        ...toward(Math.max(0, neapMps + (springMps - neapMps) * share), towardDeg),
      }));
    })
    .toSorted((a, b) => a.at - b.at);
  // Where the rows of two tides overlap, the nearer high water speaks.
  const highs = turns.flatMap(({ high, at }) => (high ? [at] : []));
  const own = points.filter(({ at, of }) =>
    highs.every((high) => Math.abs(at - high) >= Math.abs(at - of) - 1),
  );
  const flow = own.length > 0 ? flowBetween(own) : () => NO_STREAM;
  const start = Math.floor(from / STEP_MS) * STEP_MS;
  const axis = toward(1, stream.towardDeg);
  const values = Array.from({ length: Math.ceil((to - start) / STEP_MS) + 2 }, (_, i) => {
    const now = flow(start + i * STEP_MS);
    return Math.sign(now.east * axis.east + now.north * axis.north || 1) * speedOf(now);
  });
  return { series: { from: start, stepMs: STEP_MS, values }, at: flow };
}

/** Range of the tide about a high water, m: to the low waters beside it. */
function rangeAt(high: TurnOfTide, turns: readonly TurnOfTide[]): number | null {
  const i = turns.indexOf(high);
  const lows = [turns[i - 1], turns[i + 1]].flatMap((one) =>
    one && !one.high ? [high.value - one.value] : [],
  );
  return lows.length === 0 ? null : lows.reduce((sum, one) => sum + one, 0) / lows.length;
}

/** How far from neaps (0) to springs (1) a tide is by its range; springs where that is not known. */
function springShare(
  { springRangeM, neapRangeM }: Pick<NonNullable<Water['stream']>, 'springRangeM' | 'neapRangeM'>,
  rangeM: number | null,
): number {
  if (rangeM === null || springRangeM === null || neapRangeM === null || springRangeM <= neapRangeM) return 1;
  const share = (rangeM - neapRangeM) / (springRangeM - neapRangeM);
  return Math.min(MOST_OVER_SPRINGS, Math.max(-1, share));
}

/** The bearing along which a table of hours runs hardest: the one its speed is signed by. */
export function mainBearing(hours: readonly { towardDeg: number; springMps: number }[]): number {
  const hardest = hours.reduce((best, one) => (one.springMps > best.springMps ? one : best), {
    towardDeg: 0,
    springMps: 0,
  });
  return Math.round(bearingOf(toward(1, hardest.towardDeg))) % 360;
}

/**
 * Rows by the hour from slack waters and a greatest rate: a sine between one slack and the next, toward one
 * bearing as it floods and the other way as it ebbs. Common practice where nothing more is known; an
 * estimate.
 * @param slack.floodEndsH hours after high water at which the flood stream ends (before: negative)
 */
export function hoursFromSlack(slack: {
  floodEndsH: number;
  floodTowardDeg: number;
  springMps: number;
  neapMps: number;
}): StreamHour[] {
  const HALF_TIDE_H = 6.2;
  const back = (slack.floodTowardDeg + 180) % 360;
  return Array.from({ length: 13 }, (_, i) => {
    const hour = i - 6;
    const share = -Math.sin((Math.PI * (hour - slack.floodEndsH)) / HALF_TIDE_H);
    return {
      hour,
      towardDeg: share >= 0 ? slack.floodTowardDeg : back,
      springMps: Math.round(Math.abs(share) * slack.springMps * 100) / 100,
      neapMps: Math.round(Math.abs(share) * slack.neapMps * 100) / 100,
    };
  });
}

/**
 * Where a water's heights and streams come from, a sentence each; empty: it has neither. What was typed is
 * never called invented.
 */
export function sayTideSource({
  tide,
  stream,
  invented,
}: Pick<Water, 'tide' | 'stream' | 'invented'>): string {
  const constituents = `${invented ? 'invented' : 'its own'} constituents`;
  const heights =
    tide === null
      ? []
      : tide.turns.length > 0
        ? ['Heights: half a cosine between the high and low waters that were written, an estimate.']
        : tide.constituents.length > 0
          ? [`Heights are predicted from ${constituents}.`]
          : ['A tide is said to run, and no figure of it is written.'];
  const streams =
    stream === null
      ? []
      : stream.hours.length > 0
        ? ['Stream by the hours about high water.']
        : stream.constituents.length > 0
          ? [`The stream is predicted from ${constituents}.`]
          : ['The stream is steady, as it was written.'];
  return [...heights, ...streams].join(' ');
}
