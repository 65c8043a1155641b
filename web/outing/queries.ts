import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import useSWR from 'swr';
import { later } from '../documents/useDocumentEditor';
import type { Outing } from '#core/documents/outing';
import { clockAheadMs } from '../ui/clock';
import type { Answer, Verdict } from '#core/documents/answer';
import { readFrozen } from '#core/signing/frozen';
import type { SignedSnapshot } from '#core/signing/snapshot';
import type { Versioned } from '#core/documents/kept';
import { type ApiError, request } from '../documents/api';
import { drawer } from '../offline/drawer';
import { whenOnline } from '../offline/reach';
import { AnswerQueue } from './answerQueue';
import { type Earlier } from '#core/walkround/answers';

const none: readonly Earlier[] = [];

export interface Signature {
  id: number;
  signedAt: string;
  /** Empty: made on this device, and sealed when the server has it. */
  hash: string;
  judged: SignedSnapshot;
  atWater: boolean;
  /** Not on the server yet. */
  waits?: boolean;
}
/** A signature made without a network, on its way. */
interface HeldSignature {
  key: string;
  signedAt: string;
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
          const walk = await request<Walk>('POST', `${path}/answers`, {
            answers,
            sentAt: new Date().toISOString(),
          });
          await mutate(walk, { revalidate: false });
        },
        storage: drawer,
        later,
      }),
    [outingId, path, mutate],
  );
  const { unsent, held, refused, unkept } = useSyncExternalStore(queue.subscribe, queue.getState);
  const signing = useMemo(
    () =>
      new AnswerQueue<HeldSignature>(`tally-signatures:${outingId}`, {
        send: async (list) => {
          // Its answers first: what was signed stands on them.
          for (const one of list) {
            const walk = await request<Walk>('POST', `${path}/signatures-at-the-water`, {
              ...one,
              sentAt: new Date().toISOString(),
            });
            await mutate(walk, { revalidate: false });
          }
        },
        storage: drawer,
        later,
      }),
    [outingId, path, mutate],
  );
  const signatures = useSyncExternalStore(signing.subscribe, signing.getState);
  useEffect(() => {
    const flush = () => void queue.flush().then(() => signing.flush());
    return whenOnline(flush);
  }, [queue, signing]);
  const answer = useCallback(
    (stepId: string, verdict: Verdict, { at = Date.now(), note = '' } = {}) =>
      queue.add({ key: crypto.randomUUID(), stepId, verdict, at: new Date(at).toISOString(), note }),
    [queue],
  );
  const record = useMemo(() => {
    const known = new Set((data?.answers ?? []).map((one) => one.key));
    const here = [...held, ...unsent].filter((one) => !known.has(one.key));
    // What is still here was dated by this device's clock; it is reckoned by the server's, as it will be once
    // it is there.
    const shared = (at: string) => new Date(Date.parse(at) + clockAheadMs()).toISOString();
    return [...(data?.answers ?? []), ...here.map((one) => ({ ...one, at: shared(one.at) }))];
  }, [data, unsent, held]);
  const waiting = [...signatures.held, ...signatures.unsent].at(-1) ?? null;
  const signature = useMemo<Signature | null>(() => {
    const judged = waiting?.judged ?? data?.signature?.judged;
    const read = judged === undefined ? null : readFrozen(judged);
    if (!read || 'why' in read) return null;
    if (waiting)
      return {
        id: 0,
        signedAt: waiting.signedAt,
        hash: '',
        judged: read.snapshot,
        atWater: true,
        waits: true,
      };
    return data?.signature ? { ...data.signature, judged: read.snapshot } : null;
  }, [data, waiting]);
  const signHere = (judged: SignedSnapshot) =>
    signing.add({ key: crypto.randomUUID(), signedAt: new Date().toISOString(), judged });
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
    /** The device is full: answers are in this page alone. */
    unkept: unkept || signatures.unkept,
    signatureRefused: signatures.refused,
    signHere,
    signAgain: signing.again,
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
