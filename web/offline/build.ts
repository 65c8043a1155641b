import { flag, useFlag } from './flag';

/** The build that this page is of; null: none, as while the program is being written. */
const ours = document.querySelector<HTMLMetaElement>('meta[name=build]')?.content ?? null;
/** The same as a text; empty: none. */
export const BUILD = ours ?? '';
const newer = flag(false);

/** Notes which build the server serves: after an update an open page is of an older one. */
export function noteServed(build: string | null): void {
  if (ours !== null && build !== null && build !== '') newer.set(build !== ours);
}
export const useNewerServed = (): boolean => useFlag(newer);

/** Where the list of files that an outing's screens load lies; null: there is none. */
export const outingFilesAddress = (): string | null =>
  ours === null ? null : `/assets/outing-files-${ours}.json`;

/** Opens the page anew, in the newest version that there is. */
export async function loadNewest(): Promise<void> {
  const found = await navigator.serviceWorker?.getRegistration().catch(() => undefined);
  await found?.update().catch(() => undefined);
  found?.waiting?.postMessage({ type: 'SKIP_WAITING' });
  window.location.reload();
}
