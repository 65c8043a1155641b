/** The code that the database or the system gave an error, looked for through what wraps it; null: none. */
export function databaseCode(error: unknown): string | null {
  for (let one = error, depth = 0; one instanceof Error && depth < 6; one = one.cause, depth += 1)
    if ('code' in one && typeof one.code === 'string') return one.code;
  return null;
}

/** The innermost reason of an error, in its own words. */
export function causeOf(error: unknown): string {
  let innermost = error;
  for (let depth = 0; innermost instanceof Error && innermost.cause !== undefined && depth < 6; depth += 1)
    innermost = innermost.cause;
  if (innermost instanceof AggregateError && innermost.errors.length > 0) return causeOf(innermost.errors[0]);
  if (!(innermost instanceof Error)) return 'no reason given';
  return innermost.message || databaseCode(innermost) || 'no reason given';
}

// Cancelled by a limit of time, locked, shutting down, too many connections; and what the network says.
const AWAY: ReadonlySet<string> = new Set([
  '57014',
  '55P03',
  '57P01',
  '57P02',
  '57P03',
  '53300',
  '08000',
  '08003',
  '08006',
  '08001',
  '25P03',
  'ECONNREFUSED',
  'ECONNRESET',
  'EPIPE',
  'ETIMEDOUT',
  'ENOTFOUND',
  'EHOSTUNREACH',
]);
const AWAY_WORDS = /timeout|terminated|Connection ended|connection is closed|PGlite is closed|not queryable/i;

// Data or an index that is corrupt, an error within the database, and a file that cannot be read.
const DAMAGED: ReadonlySet<string> = new Set(['XX000', 'XX001', 'XX002', '58030', '58P01', '22P05', '22021']);
const DAMAGED_WORDS =
  /invalid page|could not (?:read|open) (?:block|file|relation)|memory access out of bounds|unreachable|invalid memory alloc|is corrupt|unexpected (?:chunk|toast|end of JSON|token)|missing chunk|table index is out of bounds/i;

/** Whether part of what is on the disk is damaged: it is not as the database wrote it. */
export function isDatabaseDamaged(error: unknown): boolean {
  const code = databaseCode(error);
  if (code !== null && DAMAGED.has(code)) return true;
  for (let one = error, depth = 0; one instanceof Error && depth < 6; one = one.cause, depth += 1)
    if (one.name === 'RuntimeError' || DAMAGED_WORDS.test(one.message)) return true;
  return false;
}

/** Whether the database did not answer in time, or is not there: nothing was done, and it may be later. */
export function isDatabaseAway(error: unknown): boolean {
  const code = databaseCode(error);
  if (code !== null && AWAY.has(code)) return true;
  for (let one = error, depth = 0; one instanceof Error && depth < 6; one = one.cause, depth += 1)
    if (AWAY_WORDS.test(one.message)) return true;
  return false;
}
