import { z } from 'zod';
import { instantText, lineText } from '../documents/field';

export const verdicts = ['good', 'fault', 'not here'] as const;
export type Verdict = (typeof verdicts)[number];

/** One answer given on the walk-round. The record only grows; the last word on a step counts. */
export const answerSchema = z.strictObject({
  /** Made where the answer was given, so that sending it twice records it once. */
  key: z.uuid('An answer carries a key of its own (a UUID).'),
  stepId: z.string().regex(/^[a-z0-9:-]{1,100}$/, 'Not the name of a step.'),
  verdict: z.enum(verdicts, 'Answer good, fault or not here.'),
  at: instantText,
  note: lineText,
});
export type Answer = z.infer<typeof answerSchema>;
