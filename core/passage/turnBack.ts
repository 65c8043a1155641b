import type { Instant } from '../units/time';
import { type Hull, type Leg, travel } from './travel';

const GRID_MS = 5 * 60_000;
// No boat here is faster than this over the ground; a later start cannot be in by the deadline.
const FASTEST_MPS = 6;

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
  const distanceM = home.reduce((sum, leg) => sum + leg.distanceM, 0);
  const late = (start: Instant): number | null => {
    const { totalS } = travel(start, hull, home, waterDensity);
    return totalS === null ? null : start + totalS * 1000 - deadline;
  };
  let start = Math.floor((deadline - (distanceM / FASTEST_MPS) * 1000) / GRID_MS) * GRID_MS;
  while (start >= earliest) {
    const by = late(start);
    if (by !== null && by <= 0) return start;
    // One way, one boat: who starts later never comes in earlier. So a jump back by the lateness may be halved forward again.
    let good = by === null ? start - GRID_MS : start - Math.max(GRID_MS, Math.ceil(by / GRID_MS) * GRID_MS);
    if (by !== null && good >= earliest && (late(good) ?? 1) <= 0) {
      let bad = start;
      while (bad - good > GRID_MS) {
        const middle = good + Math.floor((bad - good) / GRID_MS / 2) * GRID_MS;
        if ((late(middle) ?? 1) <= 0) good = middle;
        else bad = middle;
      }
      return good;
    }
    start -= GRID_MS;
  }
  return null;
}
