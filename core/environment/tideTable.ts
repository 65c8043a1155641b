import type { TideTurn } from '../documents/water';
import type { Instant } from '../units/time';
import type { Series, TurnOfTide } from './tide';

const STEP_MS = 600_000;

/** A high or low water at its instant. */
interface Turn {
  at: Instant;
  heightM: number;
}

/**
 * Height of the tide between a high and a low water, m: half a cosine, as tide tables themselves advise where
 * no better curve is held. Exact at both turns and half-way in height at half time; a shallow or lopsided
 * tide may differ by some decimetres. An estimate.
 */
export function heightBetween(a: Turn, b: Turn, at: Instant): number {
  const part = Math.max(0, Math.min(1, (at - a.at) / (b.at - a.at)));
  return a.heightM + ((b.heightM - a.heightM) * (1 - Math.cos(Math.PI * part))) / 2;
}

/** Between two turns farther apart than this one is missing, h. */
const MOST_APART_H = 16;
const HOUR_MS = 3_600_000;

/** The turns in order of time, from the last before a span to the first behind it. */
function around(turns: readonly TideTurn[], from: Instant, to: Instant): Turn[] {
  const sorted = turns
    .map(({ at, heightM }) => ({ at: Date.parse(at), heightM }))
    .toSorted((a, b) => a.at - b.at);
  const first = sorted.findLastIndex(({ at }) => at <= from);
  const last = sorted.findIndex(({ at }) => at >= to);
  return sorted.slice(Math.max(0, first), last < 0 ? sorted.length : last + 1);
}

/** The turns of a table within a span, as they were written; which are high is told by their neighbours. */
export function turnsWithin(turns: readonly TideTurn[], from: Instant, to: Instant): TurnOfTide[] {
  const list = turns
    .map(({ at, heightM }) => ({ at: Date.parse(at), value: heightM }))
    .toSorted((a, b) => a.at - b.at);
  return list
    .map((turn, i) => ({ ...turn, high: turn.value > (list[i - 1] ?? list[i + 1] ?? turn).value }))
    .filter(({ at }) => at >= from && at <= to);
}

/** Whether a table of high and low waters speaks for every moment of a span, without a turn missing. */
export function tableCovers(turns: readonly TideTurn[], from: Instant, to: Instant): boolean {
  const list = around(turns, from, to);
  const [first, last] = [list[0], list[list.length - 1]];
  if (!first || !last || first.at > from || last.at < to) return false;
  return list.every((turn, i) => i === 0 || turn.at - (list[i - 1]?.at ?? 0) <= MOST_APART_H * HOUR_MS);
}

/**
 * The curve through a table's turns, every ten minutes, as far as it goes within a span; null: not two turns
 * in reach of it.
 */
export function tableSeries(turns: readonly TideTurn[], from: Instant, to: Instant): Series | null {
  const list = around(turns, from, to);
  const [first, last] = [list[0], list[list.length - 1]];
  if (!first || !last || list.length < 2) return null;
  const start = Math.ceil(Math.max(from, first.at) / STEP_MS) * STEP_MS;
  const end = Math.min(to, last.at);
  const values: number[] = [];
  let i = 0;
  for (let at = start; at <= end; at += STEP_MS) {
    while (i < list.length - 2 && (list[i + 1]?.at ?? Infinity) <= at) i += 1;
    values.push(heightBetween(list[i] ?? first, list[i + 1] ?? last, at));
  }
  return values.length < 2 ? null : { from: start, stepMs: STEP_MS, values };
}
