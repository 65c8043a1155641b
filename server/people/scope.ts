import { AsyncLocalStorage } from 'node:async_hooks';
import type { KindName } from '#core/documents/registry';

/**
 * Whose documents are read and written: a person's own, and, where the club has some of that kind, the
 * club's.
 */
export interface Scope {
  /**
   * Who owns them, as it stands before their names in the database; empty: the house itself, and its first
   * keeper.
   */
  owner: string;
  /** May write what is the club's. */
  keeper: boolean;
  /** null: nobody by name, as in a house without accounts. */
  personId: string | null;
}

/** Between owner and name in the key of a row. No name of a document can hold it. */
const OWNER_SEPARATOR = '~';
/**
 * Before what the first keeper keeps to themselves of a kind of which the club has some: all else of theirs
 * stands without an owner.
 */
const FIRST_KEEPER_PREFIX = 'first';
/** Kinds of which the club has its own, read by all and written by keepers. */
const clubKinds: ReadonlySet<KindName> = new Set<KindName>(['waters', 'species', 'rulePacks', 'procedures']);

/** A house without accounts, and what the server does by itself. */
export const SERVER_SCOPE: Scope = { owner: '', keeper: true, personId: null };

const current = new AsyncLocalStorage<Scope>();

/** The one place that knows who is asking. */
export const currentScope = (): Scope => current.getStore() ?? SERVER_SCOPE;
export const runInScope = <T>(whose: Scope, work: () => T): T => current.run(whose, work);
/** What the server does for everyone, whoever's request set it off. Keys of rows are taken as they are. */
export const runAsServer = <T>(work: () => T): T => current.run(SERVER_SCOPE, work);

/**
 * The key of the row of a document, or of what hangs on it, of whoever is asking. A name with an owner in it
 * is the house's to use.
 */
export function rowKey(id: string): string {
  return keyFor(currentScope().owner, id);
}
export function keyFor(owner: string, id: string): string {
  if (owner === '') return id;
  if (id.includes(OWNER_SEPARATOR)) throw new Error('A name of a document holds no owner.');
  return `${owner}${OWNER_SEPARATOR}${id}`;
}
/** The name of a document, from the key of its row. */
export function plainId(key: string): string {
  return key.slice(key.indexOf(OWNER_SEPARATOR) + 1);
}
export function ownerIn(key: string): string {
  const at = key.indexOf(OWNER_SEPARATOR);
  return at < 0 ? '' : key.slice(0, at);
}
/** As what rows that are one's own may be owned: what is kept to oneself first. */
export function ownOwners(): string[] {
  const { owner } = currentScope();
  return owner === '' ? [FIRST_KEEPER_PREFIX, ''] : [owner];
}
/** The keys under which a document of one's own may stand. */
export const ownKeys = (id: string): string[] => ownOwners().map((owner) => keyFor(owner, id));
export const isMine = (key: string): boolean => ownOwners().includes(ownerIn(key));
/** Whose documents of a kind whoever is asking may read: their own first, then the club's. */
export function readableOwners(kind: KindName): string[] {
  const { owner } = currentScope();
  if (!clubKinds.has(kind)) return [owner];
  return owner === '' ? ownOwners() : [owner, ''];
}
export const readableKeys = (kind: KindName, id: string): string[] =>
  readableOwners(kind).map((owner) => keyFor(owner, id));
export const hasClub = (kind: KindName): boolean => clubKinds.has(kind);
/** Where something stands that is the club's, and where what one keeps to oneself. */
export const clubKey = (id: string): string => keyFor('', id);
export const selfKey = (id: string): string => ownKeys(id)[0] ?? id;

/** So many owners' lists are held at once; whoever was not here for longest is read anew when they come. */
const MOST_HELD = 400;

/** Something that is held for each owner apart. */
export function perOwner<T>(make: () => T): () => T {
  const held = new Map<string, T>();
  return () => {
    const { owner } = currentScope();
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
