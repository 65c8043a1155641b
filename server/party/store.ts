import { and, desc, eq, isNull, or } from 'drizzle-orm';
import type { Person } from '../people/store';
import type { Database } from '../storage/open';
import { people, shares } from '../storage/schema';
import { inTransaction } from '../storage/transaction';

export type Share = typeof shares.$inferSelect;

/**
 * Who was asked along to whose outing. Keys of outings are those of their rows: two owners meet here, and
 * nowhere else.
 */
export function partyStore(db: Database, now: () => number) {
  const iso = () => new Date(now()).toISOString();
  const standing = isNull(shares.endedAt);
  return {
    /** All who were asked along to an outing and are still of the house. */
    asked: async (outingKey: string): Promise<{ share: Share; person: Person }[]> =>
      db
        .select({ share: shares, person: people })
        .from(shares)
        .innerJoin(people, eq(shares.personId, people.id))
        .where(and(eq(shares.outingId, outingKey), standing, isNull(people.removedAt))),
    /**
     * Asks somebody along as one of the companions. Nobody is asked twice, and nobody else is that companion.
     */
    ask: (outingKey: string, companionId: string, personId: string): Promise<void> =>
      inTransaction(db, async (tx) => {
        await tx
          .update(shares)
          .set({ endedAt: iso() })
          .where(
            and(
              eq(shares.outingId, outingKey),
              standing,
              or(eq(shares.companionId, companionId), eq(shares.personId, personId)),
            ),
          );
        await tx.insert(shares).values({ outingId: outingKey, companionId, personId, madeAt: iso() });
      }),
    /** false: nobody was. */
    end: async (outingKey: string, companionId: string): Promise<boolean> => {
      const rows = await db
        .update(shares)
        .set({ endedAt: iso() })
        .where(and(eq(shares.outingId, outingKey), eq(shares.companionId, companionId), standing))
        .returning({ id: shares.id });
      return rows.length > 0;
    },
    /** What somebody was asked along to, the newest first. */
    of: (personId: string): Promise<Share[]> =>
      db
        .select()
        .from(shares)
        .where(and(eq(shares.personId, personId), standing))
        .orderBy(desc(shares.id))
        .limit(MOST_ASKED),
    /** One of what somebody was asked along to, by its number or by the outing that they made of it. */
    one: async (personId: string, by: { id: number } | { ownOutingKey: string }): Promise<Share | null> =>
      (
        await db
          .select()
          .from(shares)
          .where(
            and(
              eq(shares.personId, personId),
              standing,
              'id' in by ? eq(shares.id, by.id) : eq(shares.ownOutingId, by.ownOutingKey),
            ),
          )
      )[0] ?? null,
    answer: async (id: number, said: { ownOutingKey: string } | 'not coming'): Promise<void> => {
      await db
        .update(shares)
        .set(
          said === 'not coming'
            ? { declinedAt: iso(), ownOutingId: null }
            : { declinedAt: null, ownOutingId: said.ownOutingKey },
        )
        .where(eq(shares.id, id));
    },
    /** Whoever owns an outing, by what stands before its name in its key. */
    ownerOf: async (owner: string): Promise<Person | null> =>
      (
        await db
          .select()
          .from(people)
          .where(and(eq(people.owner, owner), isNull(people.removedAt)))
      )[0] ?? null,
  };
}
export type PartyStore = ReturnType<typeof partyStore>;

const MOST_ASKED = 50;
