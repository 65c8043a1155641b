import { useMemo } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import type { Item } from '#core/documents/item';
import type { References } from '#core/documents/references';
import { type Documents, type ReferenceName, documentKinds } from '#core/documents/registry';
import type { Versioned } from '#core/documents/kept';
import { ApiError, request } from './api';
import { type KeptReferences, REFERENCES, referenceStore } from './ReferenceStore';
import { useToast } from '../ui/Toast';
import { noteWritten, removeDocument } from './ownWrites';
import { speakFor } from './speech';

/** All that outings point at, with versions. */
export function useKept() {
  // The store answers with the same record while nothing changed; comparing ten thousand things would cost
  // more than drawing them.
  return useSWR<KeptReferences>(REFERENCES, referenceStore.read, { compare: Object.is });
}

/** The same, once, for what is done without a screen of it. */
export function readReferences(): Promise<References> {
  return referenceStore.read().then(asReferences);
}

function asReferences(data: KeptReferences): References {
  return {
    angler: data.anglers[0]?.doc ?? null,
    craft: documentsOf(data.craft),
    items: documentsOf(data.items),
    waters: documentsOf(data.waters),
    rulePacks: documentsOf(data.rulePacks),
    species: documentsOf(data.species),
  };
}

const bare = new WeakMap<object, readonly unknown[]>();
/** The documents of a list, the same list each time. */
function documentsOf<Doc>(list: readonly Versioned<Doc>[]): readonly Doc[] {
  const known = (bare.get(list) as readonly Doc[] | undefined) ?? list.map(({ doc }) => doc);
  bare.set(list, known);
  return known;
}

/** The same as the judgement reads it; undefined while it is on its way. */
export function useReferences(): { references: References | undefined; error: unknown } {
  const { data, error } = useKept();
  const references = useMemo(() => data && asReferences(data), [data]);
  return { references, error };
}

/** Writes of one kind of document; after each, what changed is read. */
export function useDocuments<K extends ReferenceName>(kind: K) {
  const { mutate } = useSWRConfig();
  const path = `/api/${documentKinds[kind].path}`;
  type Doc = Documents[K];
  const then = async <T>(work: Promise<T>, doc?: Doc): Promise<T> => {
    const done = await work;
    // No screen need read the profile for its units to hold from now on.
    if (doc?.format.startsWith('angler/')) speakFor(doc as Documents['anglers']);
    await mutate(REFERENCES);
    return done;
  };
  return {
    create: (doc: Doc) => then(request<Versioned<Doc>>('POST', path, { doc }), doc),
    put: (doc: Doc, version: number) =>
      then(
        written(`${path}/${doc.id}`, request<Versioned<Doc>>('PUT', `${path}/${doc.id}`, { version, doc })),
        doc,
      ),
    remove: (id: string, version: number) => then(removeDocument<Doc>(`${path}/${id}`, version)),
    restore: (id: string) => then(request<Versioned<Doc>>('POST', `${path}/${id}/restore`)),
  };
}

async function written<Doc>(path: string, work: Promise<Versioned<Doc>>): Promise<Versioned<Doc>> {
  const done = await work;
  noteWritten(path, done.version);
  return done;
}

/** Many writes to the locker at once: all of them or none. */
interface ItemBatch {
  create?: readonly Item[];
  change?: readonly { version: number; doc: Item }[];
  remove?: readonly DocumentVersion[];
  restore?: readonly string[];
}
interface DocumentVersion {
  id: string;
  version: number;
}
/**
 * Writes a batch and answers with what takes it back: `before` are the documents that it changes, as they
 * were.
 */
export function useItemBatch() {
  const { mutate } = useSWRConfig();
  const say = useToast();
  const write = async (work: ItemBatch) => {
    const { versions } = await request<{ versions: DocumentVersion[] }>('POST', '/api/batches/items', work);
    await mutate(REFERENCES);
    return new Map(versions.map(({ id, version }) => [id, version]));
  };
  return async (work: ItemBatch, before: readonly Item[] = []): Promise<() => void> => {
    const now = await write(work);
    const versionOf = (id: string) => now.get(id) ?? 0;
    return () => {
      const back: ItemBatch = {
        remove: (work.create ?? []).map(({ id }) => ({ id, version: versionOf(id) })),
        change: before.map((doc) => ({ doc, version: versionOf(doc.id) })),
        restore: (work.remove ?? []).map(({ id }) => id),
      };
      write(back).catch((error: unknown) => {
        if (!(error instanceof ApiError)) throw error;
        say(`Not undone. ${error.message}`);
      });
    };
  };
}
