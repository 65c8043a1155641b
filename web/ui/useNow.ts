import { useEffect, useState } from 'react';
import { onClock, sharedNow } from './clock';

/** The moment, moving on every half minute, by the clock that the server shares. */
export function useNow(everyMs = 30_000): number {
  const [now, setNow] = useState(sharedNow);
  useEffect(() => {
    const tick = () => setNow(sharedNow());
    const timer = setInterval(tick, everyMs);
    const off = onClock(tick);
    return () => {
      clearInterval(timer);
      off();
    };
  }, [everyMs]);
  return now;
}
