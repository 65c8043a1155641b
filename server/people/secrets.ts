import { createHash, randomBytes, randomInt } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';
import { Refusal } from '../http/problem';

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
/** So many are worked out at once, and so many wait: what sign-ins cost is not taken from everything else. */
const AT_ONCE = 2;
const WAITING = 20;
let working = 0;
const queue: (() => void)[] = [];

async function inTurn<T>(work: () => Promise<T>): Promise<T> {
  if (working >= AT_ONCE) {
    if (queue.length >= WAITING)
      throw new Refusal(503, 'Busy', 'Too many people are signing in just now. Try again in a moment.');
    await new Promise<void>((go) => queue.push(go));
  }
  working += 1;
  try {
    return await work();
  } finally {
    working -= 1;
    queue.shift()?.();
  }
}

export const passwordHash = (password: string): Promise<string> => inTurn(() => hash(password, COST));
/** Whether it is the password. Against no hash it takes as long, and is not. */
export async function isPassword(password: string, kept: string | null): Promise<boolean> {
  decoy ??= passwordHash(newToken());
  const against = kept ?? (await decoy);
  const same = await inTurn(() => verify(against, password)).catch((error: unknown) => {
    if (error instanceof Refusal) throw error;
    return false;
  });
  return kept !== null && same;
}
let decoy: Promise<string> | null = null;
