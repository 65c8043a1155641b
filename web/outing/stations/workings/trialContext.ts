import { createContext, use } from 'react';
import type { Exposures } from '#core/exposures/exposures';
import type { Attempt, Tried } from '#core/editing/trial';
import type { OutingInView } from '#core/documents/references';

/** The outing as it is with what is being tried, and the way to try more. */
export interface Trial extends Tried {
  looked: OutingInView;
  e: Exposures;
  changes: readonly Attempt[];
  /** Tries a number; the reason why not, or null. */
  attempt: (change: Attempt) => string | null;
}
export const TrialContext = createContext<Trial | null>(null);
export function useTrial(): Trial {
  const trial = use(TrialContext);
  if (!trial) throw new Error('No sheet is open here.');
  return trial;
}
