import useSWR, { useSWRConfig } from 'swr';
import type { Outing } from '#core/documents/outing';
import type { Versioned } from '#core/documents/kept';
import type { Coming, Party } from '#core/needs/party';
import { get, request } from '../documents/api';
import { REFERENCES } from '../documents/ReferenceStore';
import { useMe } from './queries';

/** Somebody of the house whom one can ask along. */
export interface Other {
  id: string;
  name: string;
}
/** An outing that somebody asked one along to. */
export interface Along {
  id: number;
  by: string;
  title: string;
  date: string;
  launchAt: string;
  homeAt: string;
  water: string | null;
  coming: Coming;
  outingId: string | null;
}

const ALONG = '/api/along';
/** What the others do is looked at again so often, while a page of it is open. */
const LOOKED_AGAIN_MS = 20_000;
/** Whether there are others in this house. */
const useHasOthers = () => useMe().data?.accounts === true;

export function useOthers() {
  return useSWR<Other[]>(useHasOthers() ? '/api/companions' : null, get);
}
/** The party of an outing of one's own; null: nobody else is in it, or the house has no others. */
export function useParty(outingId: string, version: number) {
  const path = `/api/outings/${outingId}/party`;
  const { mutate } = useSWRConfig();
  // What is saved here changes what all of it lack.
  const key = useHasOthers() ? ([path, version] as const) : null;
  const answer = useSWR(key, ([at]) => get<Party | null>(at), {
    refreshInterval: LOOKED_AGAIN_MS,
    keepPreviousData: true,
  });
  const then = async (work: Promise<unknown>) => {
    await work;
    await mutate(key);
  };
  return {
    party: answer.data ?? null,
    ask: (companionId: string, personId: string) =>
      then(request('PUT', `${path}/${companionId}`, { personId })),
    askNoMore: (companionId: string) => then(request('DELETE', `${path}/${companionId}`)),
  };
}

export function useAlongList() {
  return useSWR<Along[]>(useHasOthers() ? ALONG : null, get, { refreshInterval: LOOKED_AGAIN_MS });
}
export function useAlong(id: string) {
  const { mutate } = useSWRConfig();
  const path = `${ALONG}/${id}`;
  const then = async <T>(work: Promise<T>): Promise<T> => {
    const done = await work;
    await Promise.all([mutate(ALONG), mutate(path), mutate(REFERENCES)]);
    return done;
  };
  return {
    ...useSWR<Party>(path, get),
    join: (outingId: string, craftId: string | null) =>
      then(request<Versioned<Outing>>('POST', `${path}/join`, { id: outingId, craftId })),
    decline: () => then(request('POST', `${path}/decline`)),
  };
}
