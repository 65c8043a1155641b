import { useMemo } from 'react';
import useSWR, { useSWRConfig } from 'swr';
import type { Angler } from '#core/documents/angler';
import type { Craft } from '#core/documents/craft';
import type { Item } from '#core/documents/item';
import type { References } from '#core/documents/references';
import type { RulePack } from '#core/documents/rulePack';
import type { OwnSpecies } from '#core/documents/ownSpecies';
import type { Water } from '#core/documents/water';
import { ApiError, type Kept, request } from '../app/api';
import { useSay } from '../ui/Spoken';

const KEY = '/api/references';

export interface DocumentKinds {
  anglers: Angler;
  craft: Craft;
  items: Item;
  waters: Water;
  rulePacks: RulePack;
  species: OwnSpecies;
}
export type Kind = keyof DocumentKinds;
export type KeptReferences = { [K in Kind]: Kept<DocumentKinds[K]>[] };

const paths: Record<Kind, string> = {
  anglers: '/api/anglers',
  craft: '/api/craft',
  items: '/api/items',
  waters: '/api/waters',
  rulePacks: '/api/rule-packs',
  species: '/api/species',
};

/** All that outings point at, with versions. */
export function useKept() {
  return useSWR<KeptReferences>(KEY);
}

/** The same as the judgement reads it; undefined while it is on its way. */
export function useReferences(): { references: References | undefined; error: unknown } {
  const { data, error } = useKept();
  const references = useMemo<References | undefined>(
    () =>
      data && {
        angler: data.anglers[0]?.doc ?? null,
        craft: data.craft.map(({ doc }) => doc),
        items: data.items.map(({ doc }) => doc),
        waters: data.waters.map(({ doc }) => doc),
        rulePacks: data.rulePacks.map(({ doc }) => doc),
        species: data.species.map(({ doc }) => doc),
      },
    [data],
  );
  return { references, error };
}

/** Writes of one kind of document; each refreshes what everyone reads. */
export function useDocuments<K extends Kind>(kind: K) {
  const { mutate } = useSWRConfig();
  const path = paths[kind];
  type Doc = DocumentKinds[K];
  const then = async <T>(work: Promise<T>): Promise<T> => {
    const done = await work;
    await mutate(KEY);
    return done;
  };
  return {
    create: (doc: Doc) => then(request<Kept<Doc>>('POST', path, { doc })),
    put: (doc: Doc, version: number) => then(request<Kept<Doc>>('PUT', `${path}/${doc.id}`, { version, doc })),
    remove: (id: string, version: number) => then(request<Kept<Doc>>('DELETE', `${path}/${id}?version=${version}`)),
    restore: (id: string) => then(request<Kept<Doc>>('POST', `${path}/${id}/restore`)),
  };
}

/** Many writes to the locker at once: all of them or none. */
interface ItemBatch {
  create?: readonly Item[];
  change?: readonly { version: number; doc: Item }[];
  remove?: readonly Versioned[];
  restore?: readonly string[];
}
interface Versioned {
  id: string;
  version: number;
}
/** Writes a batch and answers with what takes it back: `before` are the documents that it changes, as they were. */
export function useItemBatch() {
  const { mutate } = useSWRConfig();
  const say = useSay();
  const write = async (work: ItemBatch) => {
    const { versions } = await request<{ versions: Versioned[] }>('POST', `${paths.items}/batch`, work);
    await mutate(KEY);
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
