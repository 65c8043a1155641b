import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { Refusal } from '../errors/refusal';

/** 256 bits, which nobody guesses: for sessions and for addresses that let somebody in. */
export const newToken = (): string => randomBytes(32).toString('base64url');
/** Tokens are kept as this alone: whoever reads the database signs in with nothing. */
export const tokenHash = (token: string): string => createHash('sha256').update(token).digest('base64url');

/** Letters that are not taken for one another. */
const LETTERS = 'abcdefghjkmnpqrstuvwxyz23456789';
/** A code to be written down: twelve letters of thirty-one, 59 bits, in three groups. */
export const newCode = (): string =>
  Array.from(
    { length: 12 },
    (_, i) => (i > 0 && i % 4 === 0 ? '-' : '') + (LETTERS[randomInt(LETTERS.length)] ?? ''),
  ).join('');
/** A code as it is compared: however it was typed. */
export const codeHash = (code: string): string => tokenHash(code.toLowerCase().replace(/[^a-z0-9]/g, ''));

/** argon2id at 64 MiB and three passes (RFC 9106, section 4, the second recommended choice), one lane. */
const COST = { memoryCost: 65_536, timeCost: 3, parallelism: 1 } as const;
/**
 * Strangers and those who are signed in wait in lines of their own: no crowd of strangers keeps out whoever
 * is signed in.
 */
export type Line = 'strangers' | 'signed in';
/** So many wait in a line while one is worked out: what sign-ins cost is not taken from everything else. */
const WAITING = 20;
const lines: Record<Line, { working: boolean; waiting: (() => void)[] }> = {
  strangers: { working: false, waiting: [] },
  'signed in': { working: false, waiting: [] },
};

async function inTurn<T>(name: Line, work: () => Promise<T>): Promise<T> {
  const line = lines[name];
  if (line.working) {
    if (line.waiting.length >= WAITING)
      throw new Refusal('busy', 'Busy', 'Too many people are signing in just now. Try again in a moment.');
    await new Promise<void>((go) => line.waiting.push(go));
  }
  line.working = true;
  try {
    return await work();
  } finally {
    const next = line.waiting.shift();
    // Whoever is next takes the place over: nobody who comes now is before them.
    if (next) next();
    else line.working = false;
  }
}

export const passwordHash = (password: string, line: Line = 'strangers'): Promise<string> =>
  inTurn(line, () => hash(password, COST));

/**
 * A hash that no password has, at the same cost: against it a name that nobody has takes as long to refuse as
 * one that somebody has.
 */
const NOBODYS_HASH = `$argon2id$v=19$m=${COST.memoryCost},t=${COST.timeCost},p=${COST.parallelism}$${[16, 32]
  .map((bytes) => randomBytes(bytes).toString('base64').replaceAll('=', ''))
  .join('$')}`;

/**
 * Whether it is the password. Against no hash it takes as long, and is not.
 * @throws Refusal (503) where too many wait
 */
export async function isPassword(
  password: string,
  kept: string | null,
  line: Line = 'strangers',
): Promise<boolean> {
  const same = await inTurn(line, () => verify(kept ?? NOBODYS_HASH, password).catch(() => false));
  return kept !== null && same;
}
