import type { Hour } from '../documents/outing';
import type { Places } from '../documents/references';
import { bearingBetween } from '../environment/geo';
import { fetchFor } from '../environment/sea';
import { nearestGround } from '../passage/ground';
import type { Instant } from '../units/time';

/**
 * Wind off the shore matters beyond this distance, m, within so many degrees of straight off, over more open
 * water than this, m.
 */
const OFF_SHORE_FROM_M = 50;
const OFF_SHORE_WITHIN_DEG = 60;
const OPEN_FROM_M = 1000;

/** The worst of a figure, and the moment it falls on, as it is said. */
export interface Peak {
  value: number;
  at: string;
}
export interface WindHour {
  clock: string;
  windMps: number | null;
  gustMps: number | null;
  offshore: boolean;
}

/**
 * Wind blows off the shore where it comes from the nearest ground to the place to fish, and drives out over
 * open water.
 */
export function windsOf(
  hours: readonly Hour[],
  { area, water }: Places,
  clock: (at: Instant) => string,
): WindHour[] {
  const ground = area && water ? nearestGround(area, water) : null;
  const off =
    area && water && ground && ground.distanceM > OFF_SHORE_FROM_M ? bearingBetween(ground.at, area) : null;
  return hours.map(({ at, windMps, gustMps, windFromDeg }) => {
    const downwind = windFromDeg === null ? null : (windFromDeg + 180) % 360;
    const offshore =
      off !== null &&
      downwind !== null &&
      Math.abs(turnOf(downwind - off)) <= OFF_SHORE_WITHIN_DEG &&
      fetchFor(water?.fetchM ?? [], downwind) > OPEN_FROM_M;
    return { clock: clock(Date.parse(at)), windMps, gustMps, offshore };
  });
}
/** An angle between −180 and 180°. */
function turnOf(degrees: number): number {
  return (((degrees % 360) + 540) % 360) - 180;
}
export function strongestOffshore(winds: readonly WindHour[]): Peak | null {
  let best: Peak | null = null;
  for (const { offshore, windMps, clock } of winds)
    if (offshore && windMps !== null && (best === null || windMps > best.value))
      best = { value: windMps, at: clock };
  return best;
}
