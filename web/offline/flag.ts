import { useSyncExternalStore } from 'react';

/** Something that is so or not for the whole page, and that screens follow. */
export interface Flag {
  is: () => boolean;
  set: (is: boolean) => void;
  subscribe: (listener: () => void) => () => void;
}
export function flag(first: boolean): Flag {
  let now = first;
  const listeners = new Set<() => void>();
  return {
    is: () => now,
    set: (is) => {
      if (is === now) return;
      now = is;
      for (const listener of listeners) listener();
    },
    subscribe: (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
  };
}
export function useFlag({ subscribe, is }: Flag): boolean {
  return useSyncExternalStore(subscribe, is);
}
