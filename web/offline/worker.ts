const WAIT_MS = 20_000;
const NOT_BY_HTTPS =
  'The outing is on the device, but this browser opens no page without a network unless it came by https. Leave this page open, or take it on paper.';
const NOT_KEPT =
  'The outing is on the device, but the program itself is not kept by this browser. Leave this page open, or take it on paper.';

/**
 * @returns null where the program itself is on this device and opens without a network; else why not, in
 * words
 */
export async function whyNotOpening(): Promise<string | null> {
  if (!('serviceWorker' in navigator)) return NOT_BY_HTTPS;
  const found = await navigator.serviceWorker.getRegistration().catch(() => undefined);
  return found?.active ? null : NOT_KEPT;
}

/**
 * Lets the program itself open without a network: its files are kept by a service worker.
 * @returns null when they are; else why not, in words
 */
export async function installWorker(): Promise<string | null> {
  if (!('serviceWorker' in navigator)) return NOT_BY_HTTPS;
  try {
    await navigator.serviceWorker.register('/sw.js');
    const late = new Promise<'late'>((done) => setTimeout(() => done('late'), WAIT_MS));
    const ready = await Promise.race([navigator.serviceWorker.ready, late]);
    return ready === 'late'
      ? 'The program itself is still being put on the device: wait, and carry it again.'
      : null;
  } catch {
    return NOT_KEPT;
  }
}

/**
 * Where the program was put on this device and a newer one has come since, the newer one serves from the next
 * opening.
 */
export function takeNewest(): void {
  if (!('serviceWorker' in navigator)) return;
  navigator.serviceWorker.getRegistration().then(
    (found) => found?.waiting?.postMessage({ type: 'SKIP_WAITING' }),
    () => undefined,
  );
}
