import { z } from 'zod';
import { instantText, lineText } from './field';

export const verdicts = ['good', 'fault', 'not here'] as const;
export type Verdict = (typeof verdicts)[number];

/** One answer given on the walk-round. The record only grows; the last word on a step counts. */
export const answerSchema = z.strictObject({
  /** Made where the answer was given, so that sending it twice records it once. */
  key: z.uuid('An answer carries a key of its own (a UUID).'),
  stepId: z.string().regex(/^[a-z0-9:-]{1,100}$/, 'Not the name of a step.'),
  verdict: z.enum(verdicts, 'Answer good, fault or not here.'),
  /** By the clock of the device it was given on, until it is recorded; from then on by the server's. */
  at: instantText,
  note: lineText,
});
export type Answer = z.infer<typeof answerSchema>;

/** Clocks that differ by less than this are taken as one. */
const ONE_CLOCK_MS = 2 * 60_000;

/**
 * When an answer was given, by the server's clock.
 * @param clockAheadMs how far the server's clock was ahead of the device's when it was sent; null: not known
 * @param recordedAt when it came in: nothing was answered later than that
 */
export function answeredAt(at: string, clockAheadMs: number | null, recordedAt: string): string {
  const moment = Math.min(Date.parse(at) + (clockAheadMs ?? 0), Date.parse(recordedAt));
  return new Date(moment).toISOString();
}

/** How far two clocks differ, where it is worth telling; null: they agree. */
export function clocksApart(clockAheadMs: number | null): number | null {
  return clockAheadMs !== null && Math.abs(clockAheadMs) >= ONE_CLOCK_MS ? clockAheadMs : null;
}
