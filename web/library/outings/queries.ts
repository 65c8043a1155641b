import useSWR, { useSWRConfig } from 'swr';
import type { Outing } from '#core/documents/outing';
import type { SetAside } from '#core/documents/kept';
import type { PlanStatus, Waited } from '#core/floatplan/status';
import type { Summary } from '#core/judgement/summary';
import type { Versioned } from '#core/documents/kept';
import type { Speech } from '#core/units/speaking';
import { get, request } from '../../documents/api';
import { removeDocument } from '../../documents/ownWrites';
import { speakFor } from '../../documents/speech';

const LIST = '/api/summaries';

export interface SummaryPage {
  ahead: Summary[];
  gone: Summary[];
  of: { ahead: number; gone: number };
  house: { profile: { units: Speech } | null; boats: number; waters: number; things: number };
  setAside: SetAside[];
}

/** A device that has never been here reads it in the units chosen too. */
async function readPage(path: string): Promise<SummaryPage> {
  const page = await get<SummaryPage>(path);
  speakFor(page.house.profile);
  return page;
}
/** The list as of a day, so many of each part. */
export function useSummaries(today: string, most: { ahead: number; gone: number }) {
  return useSWR<SummaryPage>(`${LIST}?today=${today}&ahead=${most.ahead}&gone=${most.gone}`, readPage, {
    keepPreviousData: true,
    // What it counts is changed on other pages: whoever comes back sees it as it is, however soon.
    dedupingInterval: 0,
  });
}

export const SAMPLE = '/api/sample';
/** How much of the sample is here as it came. */
export function useSample() {
  return useSWR<{ documents: number }>(SAMPLE);
}

/** After a change of an outing every page of the list is read again. */
export function isSummaries(key: unknown): boolean {
  return typeof key === 'string' && key.startsWith(LIST);
}

/** What can be done to the list; each refreshes it. */
export function useOutingActions() {
  const { mutate } = useSWRConfig();
  const then = async <T>(work: Promise<T>): Promise<T> => {
    const done = await work;
    await mutate(isSummaries);
    return done;
  };
  return {
    create: (doc: Outing) => then(request<Versioned<Outing>>('POST', '/api/outings', { doc })),
    copy: (id: string, newId: string, date: string) =>
      then(request<Versioned<Outing>>('POST', `/api/outings/${id}/copy`, { id: newId, date })),
    remove: (id: string, version: number) => then(removeDocument<unknown>(`/api/outings/${id}`, version)),
    restore: (id: string) => then(request<unknown>('POST', `/api/outings/${id}/restore`)),
    refresh: () => then(Promise.resolve()),
  };
}

interface OutNow extends PlanStatus, Waited {
  outingId: string;
  title: string;
}
const LOOK_AGAIN_MS = 30_000;
/** Plans that are out, by the server's clock. */
export function useOut() {
  return useSWR<{ out: OutNow[] }>('/api/out', { refreshInterval: LOOK_AGAIN_MS, dedupingInterval: 0 });
}
