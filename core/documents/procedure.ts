import { forms } from './forms';
import { z } from 'zod';
import { kindIds } from '../catalog/gear/kinds';
import { idText, lineText, nameText } from './field';

/** Outings with which a procedure is gone through, whatever is aboard. */
export const procedureOccasions = [
  'always',
  'at sea',
  'in surf',
  'in rapids',
  'in the dark',
  'alone',
] as const;
export type ProcedureOccasion = (typeof procedureOccasions)[number];

const stepText = lineText.refine((line) => line.trim() !== '', 'A step says what is done.');

/** Short ordered steps for what must be done without thinking: told before launching, read at the water. */
export const procedureSchema = z.strictObject({
  format: z.literal(forms.procedures),
  id: idText,
  name: nameText,
  /** The one that ships in whose place it stands; null: in none. */
  inPlaceOf: idText.nullable(),
  /**
   * Gone through with such outings, and with any that has one of the kinds aboard. Neither: looked up only.
   */
  occasions: z
    .array(z.enum(procedureOccasions, `One of: ${procedureOccasions.join(', ')}.`))
    .max(procedureOccasions.length),
  kinds: z.array(z.enum(kindIds, 'Choose a kind.')).max(12, 'At most 12 kinds.'),
  /** In order, each one thing to do. */
  steps: z
    .array(stepText)
    .min(1, 'Write its steps, one to a line.')
    .max(12, 'At most 12 steps: more are not remembered.'),
});
export type Procedure = z.infer<typeof procedureSchema>;
