import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import type { Outing } from '#core/documents/outing';
import type { Answer, Verdict } from '#core/walkround/answerSchema';
import type { Judged } from '#core/signing/signOff';
import { type ApiError, type Kept, request } from '../app/api';
import { AnswerQueue } from './answerQueue';
import { OutingEditor } from '../documents/editor';

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
        later,
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

const later = (work: () => void, ms: number) => {
  const timer = setTimeout(work, ms);
  return () => clearTimeout(timer);
};

/** The walk-round's record: what the server has, and after it what is still on its way there. */
export function useWalk(outingId: string) {
  const path = `/api/outings/${outingId}`;
  const { data, error, mutate } = useSWR<Walk, ApiError>(`${path}/walk-round`);
  const queue = useMemo(
    () =>
      new AnswerQueue(`tally-answers:${outingId}`, {
        send: async (answers) => {
          const walk = await request<Walk>('POST', `${path}/answers`, { answers });
          await mutate(walk, { revalidate: false });
        },
        storage: localStorage,
        later,
      }),
    [outingId, path, mutate],
  );
  const { unsent, refused } = useSyncExternalStore(queue.subscribe, queue.getState);
  const answer = useCallback(
    (stepId: string, verdict: Verdict) =>
      queue.add({ key: crypto.randomUUID(), stepId, verdict, at: new Date().toISOString(), note: '' }),
    [queue],
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
    flush: queue.flush,
    sign,
  };
}
export type WalkRecord = ReturnType<typeof useWalk>;
