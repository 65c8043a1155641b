import { useSyncExternalStore } from 'react';

/** Whether the server said that nobody is signed in on this device. */
let signedOut = false;
const listeners = new Set<() => void>();

export function noteSignedOut(is: boolean): void {
  if (is === signedOut) return;
  signedOut = is;
  for (const listener of listeners) listener();
}
export function useSignedOut(): boolean {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => signedOut,
  );
}
