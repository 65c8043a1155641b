import type { Documents, KindName } from '#core/documents/registry';
import { kindNames } from '#core/documents/registry';
import type { Database } from '../storage/open';
import { type DocumentStore, documentStore } from './store';

export type Stores = { readonly [K in KindName]: DocumentStore<Documents[K]> };

/** A store for each kind of document. */
export function stores(db: Database): Stores {
  return Object.fromEntries(kindNames.map((name) => [name, documentStore(db, name)])) as unknown as Stores;
}
