import { useSyncExternalStore } from 'react';

/** Whether the server answered the last time it was asked. */
let reached = true;
const listeners = new Set<() => void>();

export function noteReach(answers: boolean): void {
  if (answers === reached) return;
  reached = answers;
  for (const listener of listeners) listener();
}
export function isReached(): boolean {
  return reached;
}
function subscribe(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}
export function useReach(): boolean {
  return useSyncExternalStore(subscribe, () => reached);
}

/** Waits longer each time the server does not answer, so that a telephone at the water is not emptied by asking. */
const FIRST_MS = 3000;
const LONGEST_MS = 60_000;
export function retryAfterMs(failures: number): number {
  return Math.min(LONGEST_MS, FIRST_MS * 2 ** Math.min(10, failures));
}

/** Calls back when the network or the server is there again. */
export function whenOnline(work: () => void): () => void {
  const off = subscribe(() => {
    if (reached) work();
  });
  window.addEventListener('online', work);
  return () => {
    off();
    window.removeEventListener('online', work);
  };
}
