/** Mean wind of a Beaufort force 0 to 12 at 10 m, m/s: v = 0.836 · B^1.5 (WMO No. 8). */
export function forceToMps(force: number): number {
  return 0.836 * force ** 1.5;
}
/** Lowest wind of each force from 0 to 12, m/s (WMO No. 8, table of the Beaufort scale). */
const LOWEST_MPS = [0, 0.3, 1.6, 3.4, 5.5, 8, 10.8, 13.9, 17.2, 20.8, 24.5, 28.5, 32.7];
/** The Beaufort force of a wind, 0 to 12. Wind in m/s. */
export function forceOf(mps: number): number {
  return Math.max(
    0,
    LOWEST_MPS.findLastIndex((lowest) => mps >= lowest - 1e-9),
  );
}
