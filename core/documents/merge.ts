import { differs } from './canonical';
import type { DocumentKind } from './registry';

/** A place both sides changed differently: its path, and each side's value. */
export interface Conflict {
  path: readonly string[];
  mine: unknown;
  theirs: unknown;
}

type Plain = Record<string, unknown>;
const isPlain = (value: unknown): value is Plain =>
  value !== null && typeof value === 'object' && !Array.isArray(value);

/**
 * Three-way merge of two changes to one document. What only one side changed is taken from it; what both
 * changed differently is a conflict, and the merged document holds mine there. Records of a list are merged
 * by the field that names them, as their kind says: what each side added is in it.
 */
export function mergeDocuments<T>(
  kind: Pick<DocumentKind<T>, 'listKeys' | 'latest'>,
  base: T,
  mine: T,
  theirs: T,
): { merged: T; conflicts: Conflict[] } {
  const conflicts: Conflict[] = [];
  const merged = merge(
    { listKeys: kind.listKeys, latest: kind.latest ?? [], conflicts },
    base,
    mine,
    theirs,
    [],
    '',
  ) as T;
  return { merged, conflicts };
}

interface Merging {
  listKeys: Readonly<Record<string, string>>;
  latest: readonly string[];
  conflicts: Conflict[];
}

/** @param place the path without the names of records, as the kind names its lists */
function merge(
  work: Merging,
  base: unknown,
  mine: unknown,
  theirs: unknown,
  path: readonly string[],
  place: string,
): unknown {
  if (!differs(mine, theirs) || !differs(base, theirs)) return mine;
  if (!differs(base, mine)) return theirs;
  if (isPlain(mine) && isPlain(theirs) && (isPlain(base) || path.length === 0)) {
    const was = isPlain(base) ? base : {};
    const keys = [...new Set([...Object.keys(mine), ...Object.keys(theirs)])];
    return Object.fromEntries(
      keys.flatMap((key) => {
        const value = merge(
          work,
          was[key],
          mine[key],
          theirs[key],
          [...path, key],
          place ? `${place}.${key}` : key,
        );
        return value === undefined ? [] : [[key, value]];
      }),
    );
  }
  const key = work.listKeys[place];
  const lists = key === undefined ? [] : [base ?? [], mine, theirs].map((list) => byKey(list, key));
  const [b, m, t] = lists;
  if (b && m && t) return mergeLists(work, b, m, t, path, place);
  if (work.latest.includes(place)) return momentOf(theirs) > momentOf(mine) ? theirs : mine;
  work.conflicts.push({ path, mine, theirs });
  return mine;
}

/** What was never done is earlier than all. */
function momentOf(value: unknown): number {
  const at = typeof value === 'string' ? Date.parse(value) : NaN;
  return Number.isNaN(at) ? -Infinity : at;
}

type Named = ReadonlyMap<string, Plain>;
/** Mine in my order, and what they added behind what it stood behind with them. */
function mergeLists(
  work: Merging,
  base: Named,
  mine: Named,
  theirs: Named,
  path: readonly string[],
  place: string,
) {
  const merged: { name: string; value: unknown }[] = [];
  const take = (name: string, at = merged.length) => {
    const value = merge(work, base.get(name), mine.get(name), theirs.get(name), [...path, name], place);
    if (value !== undefined) merged.splice(at, 0, { name, value });
  };
  for (const name of mine.keys()) take(name);
  let before: string | null = null;
  for (const name of theirs.keys()) {
    if (!mine.has(name)) {
      const at = merged.findIndex((one) => one.name === before);
      take(name, at < 0 ? merged.length : at + 1);
    }
    before = name;
  }
  return merged.map(({ value }) => value);
}

/** A list of records by the field that names each; null when it is not such a list, or two have one name. */
function byKey(value: unknown, key: string): Named | null {
  if (!Array.isArray(value) || !value.every(isPlain)) return null;
  const named = new Map<string, Plain>();
  for (const record of value) {
    const name = record[key];
    if (typeof name !== 'string' || named.has(name)) return null;
    named.set(name, record);
  }
  return named;
}
