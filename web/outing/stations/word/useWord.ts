import { useCallback, useEffect, useMemo, useSyncExternalStore } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import type { FloatPlan } from '#core/floatplan/floatPlan';
import type { Message } from '#core/floatplan/message';
import type { CheckIn, CheckInKind } from '#core/documents/checkIn';
import { statusOf } from '#core/floatplan/status';
import { type ApiError, request } from '../../../documents/api';
import { later } from '../../../documents/useDocumentEditor';
import { drawer } from '../../../offline/drawer';
import { whenOnline } from '../../../offline/reach';
import { AnswerQueue } from '../../answerQueue';

interface KeptWord {
  /** `openedAt`: when its page was opened since; `toldAt`: when the angler said that they have it. */
  left: { at: string; plan: FloatPlan; openedAt: string | null; toldAt: string | null } | null;
  page: string | null;
  checkIns: CheckIn[];
  messages: Message[];
  mails: boolean;
  /** Plans that were left and cannot be read: they count for nothing. */
  unreadable?: number;
}

/**
 * What was left of an outing with whoever waits, and what was said from the water: by the server, and after
 * it what is still on its way there.
 */
export function useWord(outingId: string, now: number) {
  const path = `/api/outings/${outingId}`;
  const { mutate: everywhere } = useSWRConfig();
  const { data, error, mutate } = useSWR<KeptWord, ApiError>(`${path}/word`);
  const queue = useMemo(
    () =>
      new AnswerQueue<CheckIn>(`tally-check-ins:${outingId}`, {
        send: async (checkIns) => {
          const word = await request<KeptWord>('POST', `${path}/check-ins`, {
            checkIns,
            sentAt: new Date().toISOString(),
          });
          await mutate(word, { revalidate: false });
          // Who is out is said on the front page.
          await everywhere('/api/out');
        },
        storage: drawer,
        later,
      }),
    [outingId, path, mutate, everywhere],
  );
  const { unsent, held, refused } = useSyncExternalStore(queue.subscribe, queue.getState);
  useEffect(() => whenOnline(() => void queue.flush()), [queue]);
  const checkIn = useCallback(
    (what: CheckInKind, homeBy: number | null = null) =>
      queue.add({
        key: crypto.randomUUID(),
        what,
        at: new Date().toISOString(),
        homeBy: homeBy === null ? null : new Date(homeBy).toISOString(),
      }),
    [queue],
  );
  const checkIns = useMemo(() => {
    const known = new Set((data?.checkIns ?? []).map(({ key }) => key));
    return [...(data?.checkIns ?? []), ...[...held, ...unsent].filter(({ key }) => !known.has(key))];
  }, [data, unsent, held]);
  const left = data?.left ?? null;
  const base = window.location.origin;
  const then = async (work: Promise<KeptWord>) => void (await mutate(await work, { revalidate: false }));
  return {
    loaded: data !== undefined,
    error,
    left,
    /** As whoever looks at this has the house. */
    page: data?.page ? `${base}${data.page}` : null,
    messages: data?.messages ?? [],
    mails: data?.mails ?? false,
    unreadable: data?.unreadable ?? 0,
    checkIns,
    status: left && statusOf(left.plan, checkIns, now),
    waiting: unsent.length + held.length,
    refused,
    sendAgain: queue.again,
    checkIn,
    leave: (plan: FloatPlan) =>
      then(request<KeptWord>('POST', `${path}/word`, { key: crypto.randomUUID(), plan, base })),
    received: () => then(request<KeptWord>('POST', `${path}/word-received`, {})),
    watched: (on: boolean) => then(request<KeptWord>('POST', `${path}/watch-page`, { on, base })),
  };
}
export type Word = ReturnType<typeof useWord>;
