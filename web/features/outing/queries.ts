import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import type { Outing } from '#core/outing/outing';
import type { Answer, Verdict } from '#core/walkround/answers';
import type { Judged } from '#core/walkround/signOff';
import { ApiError, type Kept, request } from '../../app/api';
import { OutingEditor } from './editor';

export interface Signature {
  id: number;
  signedAt: string;
  hash: string;
  judged: Judged;
}
interface Walk {
  answers: Answer[];
  signature: Signature | null;
}

export function useKeptOuting(id: string) {
  return useSWR<Kept<Outing>, ApiError>(`/api/outings/${id}`);
}

/** The editor of one outing, for as long as its screens are open. */
export function useEditor(kept: Kept<Outing>) {
  const { mutate } = useSWRConfig();
  const [editor] = useState(
    () =>
      new OutingEditor(kept, {
        put: (doc, version, leaving) => request('PUT', `/api/outings/${doc.id}`, { version, doc }, leaving),
        drafts: sessionStorage,
        now: () => Date.now(),
        later: (work, ms) => {
          const timer = setTimeout(work, ms);
          return () => clearTimeout(timer);
        },
      }),
  );
  const state = useSyncExternalStore(editor.subscribe, editor.getState);
  useEffect(() => editor.adopt(kept), [editor, kept]);
  useEffect(() => {
    const leave = () => void editor.flush(true);
    window.addEventListener('pagehide', leave);
    return () => {
      window.removeEventListener('pagehide', leave);
      void editor.flush().then(() => mutate('/api/outings/summaries'));
    };
  }, [editor, mutate]);
  return { editor, state };
}

const RETRY_MS = 4000;

/** The walk-round's record: each answer is kept on this device until the server has it, and sent in the order given. */
export function useWalk(outingId: string) {
  const path = `/api/outings/${outingId}`;
  const key = `${path}/walk-round`;
  const storageKey = `tally-answers:${outingId}`;
  const { data, error, mutate } = useSWR<Walk, ApiError>(key);
  const [unsent, setUnsent] = useState<Answer[]>(
    () => JSON.parse(localStorage.getItem(storageKey) ?? '[]') as Answer[],
  );
  const [refused, setRefused] = useState<string | null>(null);

  const hold = useCallback(
    (change: (list: Answer[]) => Answer[]) =>
      setUnsent((list) => {
        const next = change(list);
        if (next.length === 0) localStorage.removeItem(storageKey);
        else localStorage.setItem(storageKey, JSON.stringify(next));
        return next;
      }),
    [storageKey],
  );

  useEffect(() => {
    if (unsent.length === 0) return undefined;
    let over = false;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const send = async () => {
      try {
        const walk = await request<Walk>('POST', `${path}/answers`, { answers: unsent });
        await mutate(walk, { revalidate: false });
        const sent = new Set(unsent.map((answer) => answer.key));
        hold((list) => list.filter((answer) => !sent.has(answer.key)));
      } catch (failure) {
        if (failure instanceof ApiError && failure.status >= 400 && failure.status < 500) {
          setRefused(failure.fields[0]?.message ?? failure.message);
          hold(() => []);
        } else if (!over) timer = setTimeout(() => void send(), RETRY_MS);
      }
    };
    void send();
    return () => {
      over = true;
      clearTimeout(timer);
    };
  }, [unsent, path, mutate, hold]);

  const answer = useCallback(
    (stepId: string, verdict: Verdict, note = '') => {
      setRefused(null);
      const given: Answer = { key: crypto.randomUUID(), stepId, verdict, at: new Date().toISOString(), note };
      hold((list) => [...list, given]);
    },
    [hold],
  );
  const record = useMemo(() => {
    const known = new Set((data?.answers ?? []).map((one) => one.key));
    return [...(data?.answers ?? []), ...unsent.filter((one) => !known.has(one.key))];
  }, [data, unsent]);
  const sign = async (version: number) => {
    const walk = await request<Walk>('POST', `${path}/signatures`, { version });
    await mutate(walk, { revalidate: false });
  };
  return {
    loaded: data !== undefined,
    error,
    record,
    unsent: unsent.length,
    refused,
    signature: data?.signature ?? null,
    answer,
    sign,
  };
}
export type WalkRecord = ReturnType<typeof useWalk>;
