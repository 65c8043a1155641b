import { AsyncLocalStorage } from 'node:async_hooks';
import type { KindName } from '#core/documents/registry';

/** Whose documents are read and written: a person's own, and, where the club has some of that kind, the club's. */
export interface Scope {
  /** Who owns them, as it stands before their names in the database; empty: the house itself, and its first keeper. */
  owner: string;
  /** May write what is the club's. */
  keeper: boolean;
  /** null: nobody by name, as in a house without accounts. */
  personId: string | null;
}

/** Between owner and name in the key of a row. No name of a document can hold it. */
const BETWEEN = '~';
/** Kinds of which the club has its own, read by all and written by keepers. */
const clubs: ReadonlySet<KindName> = new Set<KindName>(['waters', 'species', 'rulePacks']);

/** A house without accounts, and what the server does by itself. */
export const HOUSE: Scope = { owner: '', keeper: true, personId: null };

const current = new AsyncLocalStorage<Scope>();

/** The one place that knows who is asking. */
export const scope = (): Scope => current.getStore() ?? HOUSE;
export const within = <T>(whose: Scope, work: () => T): T => current.run(whose, work);
/** What the server does for everyone, whoever's request set it off. Keys of rows are taken as they are. */
export const asHouse = <T>(work: () => T): T => current.run(HOUSE, work);

/** The key of the row of a document, or of what hangs on it, of whoever is asking. A name with an owner in it is the house's to use. */
export function rowKey(id: string): string {
  const { owner } = scope();
  if (owner === '') return id;
  if (id.includes(BETWEEN)) throw new Error('A name of a document holds no owner.');
  return `${owner}${BETWEEN}${id}`;
}
/** The name of a document, from the key of its row. */
export function plainId(key: string): string {
  return key.slice(key.indexOf(BETWEEN) + 1);
}
export function ownerIn(key: string): string {
  const at = key.indexOf(BETWEEN);
  return at < 0 ? '' : key.slice(0, at);
}
export const isMine = (key: string): boolean => ownerIn(key) === scope().owner;
/** Whose documents of a kind whoever is asking may read: their own first. */
export function readableOwners(kind: KindName): string[] {
  const { owner } = scope();
  return owner !== '' && clubs.has(kind) ? [owner, ''] : [owner];
}

/** So many owners' lists are held at once; whoever was not here for longest is read anew when they come. */
const MOST_HELD = 400;

/** Something that is held for each owner apart. */
export function perOwner<T>(make: () => T): () => T {
  const held = new Map<string, T>();
  return () => {
    const { owner } = scope();
    const found = held.get(owner) ?? make();
    held.delete(owner);
    held.set(owner, found);
    if (held.size > MOST_HELD) {
      const [oldest = ''] = held.keys();
      held.delete(oldest);
    }
    return found;
  };
}
