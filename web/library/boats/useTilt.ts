import { useEffect, useState } from 'react';

/** Some browsers ask before they tell how the device lies. */
interface Asking {
  requestPermission?: () => Promise<'granted' | 'denied'>;
}

/** How far the device lies over to one side, °; null: it does not tell. `ask`: it may be asked for it. */
export function useTilt(): { tiltDeg: number | null; ask: (() => void) | null } {
  const [tiltDeg, setTilt] = useState<number | null>(null);
  const [asked, setAsked] = useState(false);
  const source =
    typeof DeviceOrientationEvent === 'undefined' ? null : (DeviceOrientationEvent as unknown as Asking);
  useEffect(() => {
    if (!asked) return;
    // Roll about the long axis of a phone that lies flat.
    const take = ({ gamma }: DeviceOrientationEvent) => {
      if (gamma !== null) setTilt(gamma);
    };
    window.addEventListener('deviceorientation', take);
    return () => window.removeEventListener('deviceorientation', take);
  }, [asked]);
  const ask = () => {
    const asking = source?.requestPermission?.();
    if (asking) asking.then((answer) => setAsked(answer === 'granted')).catch(() => setAsked(false));
    else setAsked(true);
  };
  return { tiltDeg, ask: source && !asked ? ask : null };
}
