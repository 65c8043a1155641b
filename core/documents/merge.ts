import { canonical } from './canonical';

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
 * Three-way merge of two changes to one document. What only one side changed is taken from it; what both changed
 * differently is a conflict, and the merged document holds mine there. Lists of records are merged by their own key.
 */
export function mergeDocuments<T>(base: T, mine: T, theirs: T): { merged: T; conflicts: Conflict[] } {
  const conflicts: Conflict[] = [];
  const merged = merge(base, mine, theirs, [], conflicts) as T;
  return { merged, conflicts };
}

function merge(base: unknown, mine: unknown, theirs: unknown, path: readonly string[], conflicts: Conflict[]): unknown {
  if (same(mine, theirs) || same(base, theirs)) return mine;
  if (same(base, mine)) return theirs;
  if (isPlain(base) && isPlain(mine) && isPlain(theirs)) {
    const keys = new Set([...Object.keys(mine), ...Object.keys(theirs)]);
    return Object.fromEntries(
      [...keys].flatMap((key) => {
        const value = merge(base[key], mine[key], theirs[key], [...path, key], conflicts);
        return value === undefined ? [] : [[key, value]];
      }),
    );
  }
  const lists = [base, mine, theirs].map(byKey);
  const [b, m, t] = lists;
  if (b && m && t) return Object.values(merge(b, m, t, path, conflicts) as Plain);
  conflicts.push({ path, mine, theirs });
  return mine;
}

function same(a: unknown, b: unknown): boolean {
  return canonical(a ?? null) === canonical(b ?? null);
}

/** A list of records as a map by the field that names each; null when it is not such a list. */
function byKey(value: unknown): Plain | null {
  if (!Array.isArray(value) || !value.every(isPlain)) return null;
  const named = value.map((record) => record.itemId ?? record.key ?? record.at);
  if (named.some((name) => typeof name !== 'string')) return null;
  return Object.fromEntries(value.map((record, i) => [String(named[i]), record]));
}
