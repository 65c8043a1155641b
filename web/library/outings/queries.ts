import useSWR, { useSWRConfig } from 'swr';
import type { Tally } from '#core/judgement/assess';
import type { Outing } from '#core/documents/outing';
import { type Kept, request } from '../../app/api';

const LIST = '/api/outings/summaries';

export interface Summary {
  kept: Kept<Outing>;
  counts: { stop: number; mind: number; note: number };
  tallies: { brief: Tally; kit: Tally; workings: Tally; walkRound: Tally; ashore: Tally };
  gateOpen: boolean;
  signed: { at: string; stale: boolean } | null;
}

export function useSummaries() {
  return useSWR<Summary[]>(LIST);
}

/** What can be done to the list; each refreshes it. */
export function useOutingActions() {
  const { mutate } = useSWRConfig();
  const then = async <T>(work: Promise<T>): Promise<T> => {
    const done = await work;
    await mutate(LIST);
    return done;
  };
  return {
    create: (doc: Outing) => then(request<Kept<Outing>>('POST', '/api/outings', { doc })),
    copy: (id: string, newId: string, date: string) =>
      then(request<Kept<Outing>>('POST', `/api/outings/${id}/copy`, { id: newId, date })),
    remove: (id: string, version: number) => then(request<unknown>('DELETE', `/api/outings/${id}?version=${version}`)),
    restore: (id: string) => then(request<unknown>('POST', `/api/outings/${id}/restore`)),
  };
}
