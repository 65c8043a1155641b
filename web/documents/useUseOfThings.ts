import useSWR from 'swr';
import type { Learnt } from '#core/ashore/learnt';

/**
 * What outings say of the things in the locker: which go along at all, and what the logs came to.
 * @param without an outing whose own word is not asked for
 */
export function useUseOfThings(without = '') {
  return useSWR<{ usedIds: string[]; learnt: Record<string, Learnt> }>(
    `/api/use-of-things${without === '' ? '' : `?without=${without}`}`,
  );
}
