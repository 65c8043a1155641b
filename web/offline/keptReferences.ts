import { type UseStore, clear, createStore, get, set } from 'idb-keyval';

// Opened once, when something is first kept or looked for.
let opened: UseStore | null = null;
const store = () => (opened ??= createStore('tally-references', 'held'));
const HELD = 'held';

/**
 * What was read last of what outings point at lies on this device, so that only changes are sent. A browser
 * that keeps nothing asks for all.
 */
export const keptReferences = {
  read: async (): Promise<unknown> => {
    try {
      return await get(HELD, store());
    } catch {
      return undefined;
    }
  },
  write: (held: unknown): void => void set(HELD, held, store()).catch(() => undefined),
  /** Whoever signs out leaves nothing of it here. */
  clear: (): Promise<void> => clear(store()).catch(() => undefined),
};
