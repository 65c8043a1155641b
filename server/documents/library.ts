import { createHash, randomUUID } from 'node:crypto';
import { eq } from 'drizzle-orm';
import type { References } from '#core/documents/references';
import { type Documents, type KindName, type ReferenceName, referenceNames } from '#core/documents/registry';
import type { Database } from '../storage/open';
import { type ChangedRow, changedRows, newestChange } from './changedRows';
import type { SetAside, Versioned } from '#core/documents/kept';
import { isSetAside, readRow } from './store';
import { hasClub, perOwner, currentScope } from '../people/scope';
import { house } from '../storage/schema';

/** Stands in the table of the house: names its series of change numbers. */
export const CHANGE_SERIES = 'change-series';

interface Entry {
  id: string;
  owner: string;
  changeNo: number;
  createdAt: string;
  /** null: it was deleted. */
  kept: Versioned<{ id: string }> | null;
  /** As it goes over the wire; null: not asked for yet. */
  json: string | null;
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
 * All reference documents, held in this process and brought up to date by what changed: nothing is read
 * twice. A list in which nothing changed stays the same list, so that what was worked out from it can be
 * kept.
 */
export interface Library {
  read: () => Promise<LibraryState>;
  /**
   * JSON text of everything changed after a number; 0, or a number of another series: of everything.
   * @param series the one that the number is of
   */
  changesSince: (after: number, series: string | null) => Promise<string>;
}

export function libraryOf(db: Database): Library {
  const houses = perOwner(() => ownLibrary(db));
  return {
    read: () => houses().read(),
    changesSince: (after, series) => houses().changesSince(after, series),
  };
}

/** The library of one owner, and what of the club's they read. */
function ownLibrary(db: Database): Library {
  let entries = emptyEntries();
  let asides = new Map<string, SetAside>();
  let at = 0;
  let state: LibraryState | null = null;
  let reading: Promise<LibraryState> | null = null;

  const take = (row: ChangedRow) => {
    const name = row.kind as ReferenceName;
    const inKind = `${row.owner}~${row.id}`;
    const key = `${name}/${inKind}`;
    asides.delete(key);
    entries[name].delete(inKind);
    at = Math.max(at, row.changeNo);
    const read = row.deleted ? null : readRow(name, row);
    if (read && isSetAside(read)) asides.set(key, read);
    else {
      const { id, owner, changeNo, createdAt } = row;
      entries[name].set(inKind, { id, owner, changeNo, createdAt, kept: read, json: null });
    }
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
    changesSince: async (after, asked) => {
      const { at: now, setAside } = await read();
      const series = await seriesOf(db);
      const whole = after <= 0 || after > now || (asked !== null && asked !== series);
      const parts = referenceNames.map((name) => {
        const all = [...entries[name].values()];
        const touched = new Set(all.filter(({ changeNo }) => whole || changeNo > after).map(({ id }) => id));
        const shown = shownOf(all);
        const kept = shown.filter(({ id }) => touched.has(id)).sort(inOrder);
        const there = new Set(shown.map(({ id }) => id));
        const gone = whole ? [] : [...touched].filter((id) => !there.has(id));
        return `"${name}":{"changed":[${kept.map((one) => sent(name, one)).join(',')}],"gone":${JSON.stringify(gone)}}`;
      });
      return `{"at":${now},"series":${JSON.stringify(series)},"whole":${whole},${parts.join(',')},"setAside":${JSON.stringify(setAside)}}`;
    },
  };
}

/** A document as it goes over the wire, written when it is first asked for. */
function sent(name: ReferenceName, entry: Entry): string {
  const doc = hasClub(name) ? { ...entry.kept, club: entry.owner === '' } : entry.kept;
  return (entry.json ??= JSON.stringify(doc));
}

/**
 * Names the series of change numbers that somebody is told: another house, another person, or a house that
 * was put back from a backup has another. By it a browser knows whether what it kept can be brought up to
 * date by changes alone.
 */
async function seriesOf(db: Database): Promise<string> {
  await db.insert(house).values({ name: CHANGE_SERIES, value: randomUUID() }).onConflictDoNothing();
  const [row] = await db.select().from(house).where(eq(house.name, CHANGE_SERIES));
  return createHash('sha256')
    .update(`${row?.value ?? ''} ${currentScope().owner}`)
    .digest('base64url')
    .slice(0, 16);
}

type Entries = Record<ReferenceName, Map<string, Entry>>;
function emptyEntries(): Entries {
  return Object.fromEntries(referenceNames.map((name) => [name, new Map()])) as unknown as Entries;
}

/** Those that stand; of one's own and the club's of the same name, one's own. */
function shownOf(all: readonly Entry[]): Entry[] {
  const kept = all.filter((one) => one.kept !== null);
  const own = new Set(kept.filter(({ owner }) => owner !== '').map(({ id }) => id));
  return own.size === 0 ? kept : kept.filter(({ id, owner }) => owner !== '' || !own.has(id));
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
    return shownOf([...entries[name].values()])
      .sort(inOrder)
      .map((one) => one.kept?.doc as unknown as Documents[Name]);
  };
  const was = before?.references;
  const versions = new Map<string, number>();
  for (const name of referenceNames)
    for (const { id, kept } of shownOf([...entries[name].values()]))
      if (kept) versions.set(`${name}/${id}`, kept.version);
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
