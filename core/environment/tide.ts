import { createTidePredictor } from '@neaps/tide-predictor';
import type { Instant } from '../units/time';

/**
 * A harmonic constituent: name as tide tables write it, amplitude (m, or m/s for a stream), phase in degrees
 * (UTC).
 */
export interface Constituent {
  name: string;
  amplitude: number;
  phaseDeg: number;
}

/** Values at even steps, for looking up in between. */
export interface Series {
  from: Instant;
  stepMs: number;
  values: readonly number[];
}

const STEP_S = 600;

/**
 * What harmonic constituents add up to, every ten minutes. The sum is the library's; `mean` is added to each
 * value.
 */
export function harmonicSeries(
  constituents: readonly Constituent[],
  from: Instant,
  to: Instant,
  mean = 0,
): Series {
  const start = Math.floor(from / (STEP_S * 1000)) * STEP_S * 1000;
  if (constituents.length === 0) return { from: start, stepMs: STEP_S * 1000, values: [mean, mean] };
  const predictor = createTidePredictor(
    constituents.map(({ name, amplitude, phaseDeg }) => ({ name, amplitude, phase: phaseDeg })),
    { offset: mean },
  );
  const end = new Date(to + STEP_S * 1000);
  const timeline = predictor.getTimelinePrediction({ start: new Date(start), end, timeFidelity: STEP_S });
  return { from: start, stepMs: STEP_S * 1000, values: timeline.map((point) => point.level) };
}

/** The value at a moment, straight between its neighbours; the ends are held. */
export function valueAt({ from, stepMs, values }: Series, at: Instant): number {
  const place = (at - from) / stepMs;
  const i = Math.max(0, Math.min(values.length - 2, Math.floor(place)));
  const part = Math.max(0, Math.min(1, place - i));
  return (values[i] ?? 0) * (1 - part) + (values[i + 1] ?? values[i] ?? 0) * part;
}

export interface TurnOfTide {
  at: Instant;
  value: number;
  high: boolean;
}

/**
 * High and low waters within a span: the tops and bottoms of the curve, each by a parabola through three
 * points.
 */
export function turnsOfTide(series: Series, from: Instant, to: Instant): TurnOfTide[] {
  const { values, stepMs } = series;
  const list: TurnOfTide[] = [];
  for (let i = 1; i < values.length - 1; i += 1) {
    const [a, b, c] = [values[i - 1] ?? 0, values[i] ?? 0, values[i + 1] ?? 0];
    const high = b >= a && b > c;
    if (!high && !(b <= a && b < c)) continue;
    const bend = a - 2 * b + c;
    const shift = bend === 0 ? 0 : (a - c) / (2 * bend);
    const at = series.from + (i + shift) * stepMs;
    if (at >= from && at <= to) list.push({ at, value: b - ((a - c) * shift) / 4, high });
  }
  return list;
}

/** Moments at which a stream turns: where the signed speed passes nought. */
export function slackWaters({ from: start, stepMs, values }: Series, from: Instant, to: Instant): Instant[] {
  const list: Instant[] = [];
  for (let i = 0; i < values.length - 1; i += 1) {
    const [a, b] = [values[i] ?? 0, values[i + 1] ?? 0];
    if (a === b || a * b > 0 || a === 0) continue;
    const at = start + (i + a / (a - b)) * stepMs;
    if (at >= from && at <= to) list.push(at);
  }
  return list;
}
