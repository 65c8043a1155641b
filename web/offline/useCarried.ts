import { useCallback, useEffect, useState } from 'react';
import type { Outing } from '#core/documents/outing';
import type { Versioned } from '#core/documents/kept';
import { type Carried, PICTURES, listCarried, readCarried, writeCarried } from './carried';
import { installWorker, whyNotOpening } from './worker';

/** Where answers come from that are carried. */
export interface CarryPorts {
  ask: (path: string) => Promise<unknown>;
  references: string;
  /** Fetches what the screens of an outing are made of. */
  loadScreens: () => Promise<void>;
}

/** What is put on the device for an outing. */
function pathsOf(id: string, references: string): string[] {
  const path = `/api/outings/${id}`;
  return [path, `${path}/walk-round`, `${path}/word`, `${references}?since=0`];
}

async function gather(id: string, { ask, references }: CarryPorts): Promise<Carried> {
  const paths = pathsOf(id, references);
  const answers = Object.fromEntries(
    await Promise.all(paths.map(async (path) => [path, await ask(path)] as const)),
  );
  const { doc } = answers[`/api/outings/${id}`] as Versioned<Outing>;
  const carried = await writeCarried(
    { outingId: id, title: doc.title, date: doc.brief.date, answers },
    new Date().toISOString(),
  );
  await keepPictures(answers[`${references}?since=0`], doc);
  return carried;
}

async function loadScreens(ports: CarryPorts): Promise<void> {
  try {
    await ports.loadScreens();
  } catch {
    throw new Error('Not every screen of the outing came: carry it again while there is a network.');
  }
}

/** Pictures of what goes along; a device without room for them goes without. */
async function keepPictures(references: unknown, { loadout }: Outing): Promise<void> {
  if (!('caches' in window)) return;
  const aboard = new Set(loadout.map(({ itemId }) => itemId));
  const { items } = references as { items: { changed: { doc: { id: string; photo: string | null } }[] } };
  const names = items.changed.flatMap(({ doc }) =>
    aboard.has(doc.id) && doc.photo !== null ? [doc.photo] : [],
  );
  try {
    const cache = await caches.open(PICTURES);
    await cache.addAll(names.map((name) => `/api/pictures/${name}`));
  } catch {
    // The outing is carried without them.
  }
}

/** Outings that are being put on this device: whoever leaves the outing and comes back finds it going on. */
const underway = new Map<string, Promise<boolean>>();

export interface CarriedState {
  carried: Carried | null;
  busy: boolean;
  /** What went wrong, or may; null: nothing. */
  trouble: string | null;
  /** Why the page has to stay open to be used without a network; null: it opens anew. */
  staysOpen: string | null;
  /** @param first what has to be done before, such as sending what is unsent */
  carry: (first: () => Promise<unknown>) => Promise<boolean>;
  /** Puts the newest on the device, where it is carried. */
  renew: () => Promise<void>;
  /** It was taken off the device. */
  forget: () => void;
}

/** An outing on this device: whether it is, since when, and putting it there. */
export function useCarried(outingId: string, ports: CarryPorts): CarriedState {
  const [carried, setCarried] = useState<Carried | null>(null);
  const [busy, setBusy] = useState(underway.has(outingId));
  const [trouble, setTrouble] = useState<string | null>(null);
  const [staysOpen, setStaysOpen] = useState<string | null>(null);
  useEffect(() => {
    let there = true;
    // Opened again with a network where the program itself is not kept, this page wants all of its screens
    // anew.
    const look = async () => {
      const found = await readCarried(outingId).catch(() => null);
      if (!there || !found) return;
      setCarried(found);
      const why = await whyNotOpening();
      if (!there) return;
      setStaysOpen(why);
      if (why !== null) await loadScreens(ports).catch((error: Error) => there && setTrouble(error.message));
    };
    void look();
    void underway.get(outingId)?.finally(() => {
      if (!there) return;
      setBusy(false);
      void look();
    });
    return () => {
      there = false;
    };
  }, [outingId, ports]);
  const put = useCallback(
    async (first: () => Promise<unknown>) => {
      setTrouble(null);
      try {
        await first();
        const gathered = await gather(outingId, ports);
        const why = await installWorker();
        // Where the program itself is not kept, the page that stays open has to have all of its screens.
        if (why !== null) await loadScreens(ports);
        setStaysOpen(why);
        setCarried(gathered);
        const kept = (await navigator.storage?.persist?.()) ?? false;
        if (why === null && !kept)
          setTrouble(
            'The browser may clear it away when the device is short of room: look again before you leave.',
          );
        return true;
      } catch (error) {
        setTrouble(error instanceof Error ? error.message : 'It could not be put on this device.');
        return false;
      }
    },
    [outingId, ports],
  );
  const carry = useCallback(
    (first: () => Promise<unknown>) => {
      const going = underway.get(outingId) ?? put(first).finally(() => underway.delete(outingId));
      underway.set(outingId, going);
      setBusy(true);
      return going.finally(() => setBusy(false));
    },
    [outingId, put],
  );
  const renew = useCallback(async () => {
    const found = await readCarried(outingId).catch(() => null);
    if (!found) return;
    // Without a network, or on a full device, it stays as it is: older, and said to be.
    const now = await gather(outingId, ports).catch(() => readCarried(outingId).catch(() => null));
    setCarried(now);
  }, [outingId, ports]);
  const forget = useCallback(() => {
    setCarried(null);
    setTrouble(null);
  }, []);
  return { carried, busy, trouble, staysOpen: carried && staysOpen, carry, renew, forget };
}

/** All that is carried on this device. */
export function useCarriedList(): readonly Carried[] {
  const [list, setList] = useState<readonly Carried[]>([]);
  useEffect(() => {
    listCarried().then(setList, () => undefined);
  }, []);
  return list;
}
