import type { References } from '#core/documents/references';
import { type Documents, type KindName, type ReferenceName, referenceNames } from '#core/documents/registry';
import type { Database } from '../storage/open';
import { type ChangedRow, changedRows, newestChange } from './changedRows';
import type { SetAside, Versioned } from '#core/documents/kept';
import { isSetAside, readRow } from './store';

interface Entry {
  changeNo: number;
  createdAt: string;
  /** null: it was deleted. */
  kept: Versioned<{ id: string }> | null;
  /** As it goes over the wire, written once. */
  json: string;
}

/** What all outings point at, as of a change. */
export interface LibraryState {
  /** The newest change that is in it. */
  at: number;
  references: References;
  versions: ReadonlyMap<string, number>;
  setAside: readonly SetAside[];
}

/**
 * All reference documents, held in this process and brought up to date by what changed: nothing is read twice. A list in which nothing
 * changed stays the same list, so that what was worked out from it can be kept.
 */
export interface Library {
  read: () => Promise<LibraryState>;
  /** JSON text of everything changed after a number; 0: of everything. */
  changesSince: (after: number) => Promise<string>;
}

export function libraryOf(db: Database): Library {
  let entries = emptyEntries();
  let asides = new Map<string, SetAside>();
  let at = 0;
  let state: LibraryState | null = null;
  let reading: Promise<LibraryState> | null = null;

  const take = (row: ChangedRow) => {
    const name = row.kind as ReferenceName;
    const key = `${name}/${row.id}`;
    asides.delete(key);
    entries[name].delete(row.id);
    at = Math.max(at, row.changeNo);
    const entry = { changeNo: row.changeNo, createdAt: row.createdAt };
    if (row.deleted) {
      entries[name].set(row.id, { ...entry, kept: null, json: '' });
      return;
    }
    const read = readRow(name, row);
    if (isSetAside(read)) asides.set(key, read);
    else entries[name].set(row.id, { ...entry, kept: read, json: JSON.stringify(read) });
  };
  const bringUpToDate = async (): Promise<LibraryState> => {
    const newest = await newestChange(db);
    // Put back to an earlier state under our feet: everything is read anew.
    if (newest < at) {
      entries = emptyEntries();
      asides = new Map();
      at = 0;
      state = null;
    }
    if (state !== null && newest === at) return state;
    const touched = new Set<KindName>();
    for await (const rows of changedRows(db, referenceNames, at))
      for (const row of rows) {
        take(row);
        touched.add(row.kind);
      }
    if (state === null || touched.size > 0) state = stateOf(entries, asides, at, state, touched);
    return state;
  };
  const read = () => {
    reading ??= bringUpToDate().finally(() => {
      reading = null;
    });
    return reading;
  };
  return {
    read,
    changesSince: async (after) => {
      const { at: now, setAside } = await read();
      const whole = after <= 0 || after > now;
      const parts = referenceNames.map((name) => {
        const changed = [...entries[name]].filter(([, one]) => whole || one.changeNo > after);
        const kept = changed.filter(([, one]) => one.kept !== null).sort(([, a], [, b]) => inOrder(a, b));
        const gone = whole ? [] : changed.filter(([, one]) => one.kept === null).map(([id]) => id);
        return `"${name}":{"changed":[${kept.map(([, one]) => one.json).join(',')}],"gone":${JSON.stringify(gone)}}`;
      });
      return `{"at":${now},"whole":${whole},${parts.join(',')},"setAside":${JSON.stringify(setAside)}}`;
    },
  };
}

type Entries = Record<ReferenceName, Map<string, Entry>>;
function emptyEntries(): Entries {
  return Object.fromEntries(referenceNames.map((name) => [name, new Map()])) as unknown as Entries;
}

function inOrder(a: Entry, b: Entry): number {
  return a.createdAt < b.createdAt ? -1 : a.createdAt > b.createdAt ? 1 : 0;
}

function stateOf(
  entries: Entries,
  asides: ReadonlyMap<string, SetAside>,
  at: number,
  before: LibraryState | null,
  touched: ReadonlySet<KindName>,
): LibraryState {
  const documents = <Name extends ReferenceName>(name: Name, was: readonly Documents[Name][] | undefined) => {
    if (was && !touched.has(name)) return was;
    return [...entries[name].values()]
      .filter((one) => one.kept !== null)
      .sort(inOrder)
      .map((one) => one.kept?.doc as unknown as Documents[Name]);
  };
  const was = before?.references;
  const versions = new Map<string, number>();
  for (const name of referenceNames)
    for (const [id, { kept }] of entries[name]) if (kept) versions.set(`${name}/${id}`, kept.version);
  const anglers = documents('anglers', undefined);
  return {
    at,
    references: {
      angler: was && !touched.has('anglers') ? was.angler : (anglers[0] ?? null),
      craft: documents('craft', was?.craft),
      items: documents('items', was?.items),
      waters: documents('waters', was?.waters),
      rulePacks: documents('rulePacks', was?.rulePacks),
      species: documents('species', was?.species),
    },
    versions,
    setAside: [...asides.values()],
  };
}
