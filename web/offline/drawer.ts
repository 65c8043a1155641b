import { type UseStore, createStore, del, get, set } from 'idb-keyval';

// Opened once, when something is first kept or looked for.
let opened: UseStore | null = null;
const store = () => (opened ??= createStore('tally-drawer', 'texts'));
// Without a database in the browser what follows still holds as far as local storage does.
const quietly = (work: Promise<unknown>) => void work.catch(() => undefined);

/**
 * Where texts wait on this device for the server. Local storage is read at once, but a browser that is killed
 * may not have written it yet; the database has it within milliseconds, and is asked after: `late`.
 */
export const drawer = {
  getItem: (key: string): string | null => localStorage.getItem(key),
  setItem: (key: string, text: string): void => {
    quietly(set(key, text, store()));
    localStorage.setItem(key, text);
  },
  removeItem: (key: string): void => {
    quietly(del(key, store()));
    localStorage.removeItem(key);
  },
  late: async (key: string): Promise<string | null> => {
    try {
      return (await get<string>(key, store())) ?? null;
    } catch {
      return null;
    }
  },
};
export type Drawer = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'> & {
  /** What was put there and is not in `getItem` yet; null: nothing. */
  late?: (key: string) => Promise<string | null>;
};
