import { flag, useFlag } from './flag';

/** Whether the server answered the last time it was asked. */
const reached = flag(true);
export const noteReach = reached.set;
export const isReached = reached.is;
export const useReach = (): boolean => useFlag(reached);

/**
 * Waits longer each time the server does not answer, so that a telephone at the water is not emptied by
 * asking.
 */
const FIRST_MS = 3000;
const LONGEST_MS = 60_000;
export function retryAfterMs(failures: number): number {
  return Math.min(LONGEST_MS, FIRST_MS * 2 ** Math.min(10, failures));
}

/** Calls back when the network or the server is there again. */
export function whenOnline(work: () => void): () => void {
  const off = reached.subscribe(() => {
    if (reached.is()) work();
  });
  window.addEventListener('online', work);
  return () => {
    off();
    window.removeEventListener('online', work);
  };
}
