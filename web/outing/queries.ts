import { useCallback, useMemo, useSyncExternalStore } from 'react';
import useSWR from 'swr';
import { later } from '../documents/useDocumentEditor';
import type { Outing } from '#core/documents/outing';
import { clockAheadMs } from '../ui/clock';
import type { Answer, Verdict } from '#core/walkround/answerSchema';
import { type SignedSnapshot, openSnapshot } from '#core/signing/snapshot';
import type { Versioned } from '#core/documents/kept';
import { type ApiError, request } from '../documents/api';
import { AnswerQueue } from './answerQueue';
import { type Earlier } from '#core/walkround/answers';

const none: readonly Earlier[] = [];

export interface Signature {
  id: number;
  signedAt: string;
  hash: string;
  judged: SignedSnapshot;
}
interface Walk {
  answers: Answer[];
  signature: (Omit<Signature, 'judged'> & { judged: unknown }) | null;
  /** Rows of the record that cannot be read: they count for nothing. */
  leftOut: number;
  /** What was looked over for other outings of the last days. */
  earlier: readonly Earlier[];
}

export function useKeptOuting(id: string) {
  return useSWR<Versioned<Outing>, ApiError>(`/api/outings/${id}`);
}

/** The walk-round's record: what the server has, and after it what is still on its way there. */
export function useWalk(outingId: string) {
  const path = `/api/outings/${outingId}`;
  const { data, error, mutate } = useSWR<Walk, ApiError>(`${path}/walk-round`);
  const queue = useMemo(
    () =>
      new AnswerQueue<Answer>(`tally-answers:${outingId}`, {
        send: async (answers) => {
          const walk = await request<Walk>('POST', `${path}/answers`, { answers, sentAt: new Date().toISOString() });
          await mutate(walk, { revalidate: false });
        },
        storage: localStorage,
        later,
      }),
    [outingId, path, mutate],
  );
  const { unsent, held, refused } = useSyncExternalStore(queue.subscribe, queue.getState);
  const answer = useCallback(
    (stepId: string, verdict: Verdict) =>
      queue.add({ key: crypto.randomUUID(), stepId, verdict, at: new Date().toISOString(), note: '' }),
    [queue],
  );
  const record = useMemo(() => {
    const known = new Set((data?.answers ?? []).map((one) => one.key));
    const here = [...held, ...unsent].filter((one) => !known.has(one.key));
    // What is still here was dated by this device's clock; it is reckoned by the server's, as it will be once it is there.
    const shared = (at: string) => new Date(Date.parse(at) + clockAheadMs()).toISOString();
    return [...(data?.answers ?? []), ...here.map((one) => ({ ...one, at: shared(one.at) }))];
  }, [data, unsent, held]);
  const signature = useMemo<Signature | null>(
    () => (data?.signature ? { ...data.signature, judged: openSnapshot(data.signature.judged) } : null),
    [data],
  );
  const sign = async (version: number) => {
    const walk = await request<Walk>('POST', `${path}/signatures`, { version });
    await mutate(walk, { revalidate: false });
  };
  return {
    loaded: data !== undefined,
    error,
    record,
    unsent: unsent.length,
    held: held.length,
    refused,
    leftOut: data?.leftOut ?? 0,
    earlier: data?.earlier ?? none,
    signature,
    sendAgain: queue.again,
    answer,
    flush: queue.flush,
    sign,
  };
}
export type WalkRecord = ReturnType<typeof useWalk>;
