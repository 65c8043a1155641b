import { useSWRConfig } from 'swr';
import type { BundlePart, Standing } from '#core/documents/bundle';
import type { KindName } from '#core/documents/registry';
import { request } from '../documents/api';

/** What a bundle holds beside what is here. */
export interface BundleLook {
  madeAt: string;
  parts: BundlePart[];
  documents: { kind: KindName; id: string; name: string; is: Standing; why: string; here: number | null }[];
  signatures: { outingId: string; signedAt: string; good: boolean }[];
  answers: number;
  plans: number;
  checkIns: number;
  pictures: number;
  /** Records and pictures that cannot be read and are left. */
  unreadable: number;
}
/** A bundle that was chosen: its name, its bytes in base 64, and what it would do here. */
export interface ChosenBundle {
  name: string;
  file: string;
  look: BundleLook;
}
export type BundledOne = BundleLook['documents'][number];

export const bundleAddress = (parts: readonly BundlePart[]) => `/api/bundle?parts=${parts.join(',')}`;
export const lookAtBundle = (file: string) => request<BundleLook>('POST', '/api/bundle/look', { file });

/** Brings in and takes back; every screen reads anew what it shows. */
export function useImportBundle() {
  const { mutate } = useSWRConfig();
  const then = async <T>(work: Promise<T>): Promise<T> => {
    const done = await work;
    await mutate(() => true);
    return done;
  };
  return {
    importBundle: (file: string, key: string, take: readonly { choice: string; here: number | null }[]) =>
      then(request<{ written: number }>('POST', '/api/bundle/bring-in', { file, key, take })),
    takeBack: (key: string) =>
      then(request<{ back: number; left: string[] }>('POST', '/api/bundle/take-back', { key })),
  };
}
