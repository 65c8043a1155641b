import { useDeviceState } from './useDeviceState';

/** What is half typed, held by this browser until it is done with: leaving the page loses nothing. */
export function useKeptDraft<Value>(key: string, fresh: () => Value) {
  return useDeviceState(`tally-draft-${key}`, fresh);
}
