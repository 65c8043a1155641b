/** Clocks that differ by less than this are taken as one. */
const ONE_CLOCK_MS = 2 * 60_000;

let serverAheadMs = 0;
const listeners = new Set<() => void>();

/** Told with every answer of the server: what its clock said while this device's said `at`. */
export function compareClocks(serverNow: number, at: number): void {
  const ahead = serverNow - at;
  if (!Number.isFinite(ahead) || Math.abs(ahead - serverAheadMs) < 1000) return;
  serverAheadMs = ahead;
  for (const listener of listeners) listener();
}

/** How far the server's clock is ahead of this device's, ms. */
export function clockAheadMs(): number {
  return serverAheadMs;
}
export function onClock(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/** The moment as the server reckons it, so that both judge alike; this device's own while the two agree. */
export function sharedNow(): number {
  return Date.now() + (Math.abs(serverAheadMs) >= ONE_CLOCK_MS ? serverAheadMs : 0);
}
