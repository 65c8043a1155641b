import type { Instant } from '../units/time';
import { type Hull, type Leg, lastStart, travel } from './travel';

const GRID_MS = 5 * 60_000;
/** The way gone backward may be this much out against the way gone forward. */
const ABOUT_MS = 2 * GRID_MS;

/**
 * The latest time, on a five-minute grid, to start for home so as to be in by a deadline.
 * @returns null when no start from `earliest` on is in by then
 */
export function turnBack(
  home: readonly Leg[],
  hull: Hull,
  deadline: Instant,
  earliest: Instant,
  waterDensity?: number,
): Instant | null {
  const about = lastStart(deadline, hull, home, earliest - ABOUT_MS, waterDensity);
  if (about === null) return null;
  const isIn = (start: Instant) => {
    const { totalS } = travel(start, hull, home, waterDensity, deadline);
    return totalS !== null && start + totalS * 1000 <= deadline;
  };
  for (
    let start = Math.floor(Math.min(deadline, about + ABOUT_MS) / GRID_MS) * GRID_MS;
    start >= earliest;
    start -= GRID_MS
  )
    if (isIn(start)) return start;
  return null;
}
