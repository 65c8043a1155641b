import { isIPv6 } from 'node:net';
import { eq, lt, sql } from 'drizzle-orm';
import type { Database } from '../storage/open';
import { signInTries } from '../storage/schema';
import { inTransaction } from '../storage/transaction';

const FORGOTTEN_MS = 86_400_000;
const LONGEST_MS = 15 * 60_000;
/**
 * So many failures are free; then the next is refused for a second, two, four, up to a quarter of an hour.
 */
export function delayAfter(failures: number, free: number): number {
  return failures <= free ? 0 : Math.min(LONGEST_MS, 1000 * 2 ** Math.min(20, failures - free - 1));
}

/** The key of an address. Of IPv6 the first 64 bits, since one household has all that follow. */
export function addressKey(ip: string): string {
  if (!isIPv6(ip) || ip.startsWith('::ffff:')) return `address:${ip}`;
  // The URL parser writes an address in one way (RFC 5952), with `::` for its zeros.
  const [head = '', tail] = new URL(`http://[${ip.split('%')[0]}]`).hostname.slice(1, -1).split('::');
  const groups = head.split(':').filter((group) => group !== '');
  const zeros =
    tail === undefined ? 0 : 8 - groups.length - tail.split(':').filter((group) => group !== '').length;
  return `address:${[...groups, ...Array<string>(zeros).fill('0')].slice(0, 4).join(':')}::/64`;
}

/** Attempts to sign in, counted in the database, for all processes on it. */
export function attemptStore(db: Database, now: () => number) {
  const iso = (at = now()) => new Date(at).toISOString();
  return {
    /**
     * Counts one more attempt as if it failed, unless the key is held up.
     * @returns until when the key is held up, ms; in the past: it is not, and the attempt is counted
     */
    claim: (key: string, free: number): Promise<number> =>
      inTransaction(db, async (tx) => {
        const at = iso();
        await tx
          .insert(signInTries)
          .values({ id: key, failures: 0, lastAt: at, until: at })
          .onConflictDoNothing();
        const [row] = await tx.select().from(signInTries).where(eq(signInTries.id, key)).for('update');
        const until = Date.parse(row?.until ?? at);
        if (until > now()) return until;
        const isForgotten = now() - Date.parse(row?.lastAt ?? at) > FORGOTTEN_MS;
        const failures = isForgotten ? 1 : (row?.failures ?? 0) + 1;
        await tx
          .update(signInTries)
          .set({ failures, lastAt: at, until: iso(now() + delayAfter(failures, free)) })
          .where(eq(signInTries.id, key));
        return 0;
      }),
    /** The last attempt was no failure; those before stay counted. */
    refund: async (key: string): Promise<void> => {
      await db
        .update(signInTries)
        .set({ failures: sql`greatest(0, ${signInTries.failures} - 1)`, until: iso() })
        .where(eq(signInTries.id, key));
    },
    clear: async (key: string): Promise<void> => {
      await db.delete(signInTries).where(eq(signInTries.id, key));
    },
    /** Forgets what was long ago. */
    sweep: async (): Promise<void> => {
      await db.delete(signInTries).where(lt(signInTries.lastAt, iso(now() - FORGOTTEN_MS)));
    },
  };
}
export type AttemptStore = ReturnType<typeof attemptStore>;
