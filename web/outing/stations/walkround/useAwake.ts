import { useEffect, useState } from 'react';

/** Keeps the screen on while it is open. @returns whether the browser does; null: it cannot say */
export function useAwake(): boolean {
  const [on, setOn] = useState(false);
  useEffect(() => {
    let lock: WakeLockSentinel | null = null;
    let there = true;
    const take = async () => {
      if (document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (!there) void lock.release();
        else setOn(true);
        lock.addEventListener('release', () => there && setOn(false));
      } catch {
        // A battery that is low, or a browser that will not: it is not said to be on.
        if (there) setOn(false);
      }
    };
    void take();
    document.addEventListener('visibilitychange', take);
    return () => {
      there = false;
      document.removeEventListener('visibilitychange', take);
      void lock?.release();
    };
  }, []);
  return on;
}
