import { z } from 'zod';
import { MOST_EXTENT } from '../vocabulary/extent';
import { instantText, quantity, text } from './field';

export const acceptanceSchema = z.strictObject({
  /** The finding's key. */
  key: text(200),
  reason: text(400).refine((reason) => reason.trim().length >= 3, 'Say why, in a few words.'),
  at: instantText,
  /**
   * How bad it was when accepted, in the measure of the finding's rule; a finding that grows past it asks
   * again.
   */
  extent: quantity(0, MOST_EXTENT, ''),
});
export type Acceptance = z.infer<typeof acceptanceSchema>;
