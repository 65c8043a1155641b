import { randomUUID } from 'node:crypto';
import { and, asc, desc, eq, gt, inArray, isNull, lt, or, sql } from 'drizzle-orm';
import { Refusal } from '../errors/refusal';
import type { Database } from '../storage/open';
import { audit, house, passes, passkeys, people, recoveryCodes, sessions } from '../storage/schema';
import { looksLikeOneOf } from './lookAlike';
import { codeHash, newCode, newToken, tokenHash } from './secrets';

export type Person = typeof people.$inferSelect;
export type Passkey = typeof passkeys.$inferSelect;
export type PassKind = 'first' | 'join' | 'pair' | 'passkey' | 'passkey sign-in';
export type AuditWhat =
  | 'first keeper'
  | 'joined'
  | 'invited'
  | 'invitation withdrawn'
  | 'signed in'
  | 'sign-in refused'
  | 'signed out'
  | 'device signed out'
  | 'device paired'
  | 'passkey added'
  | 'passkey removed'
  | 'password changed'
  | 'recovered'
  | 'removed'
  | 'made a keeper'
  | 'house handed over'
  | 'exported'
  | 'brought in';

const DAY_MS = 86_400_000;
const SESSION_MS = 90 * DAY_MS;
const SHORT_MS = 5 * 60_000;
export const LASTS_MS: Record<PassKind, number> = {
  ...{ first: DAY_MS, join: 7 * DAY_MS, pair: SHORT_MS },
  ...{ passkey: SHORT_MS, 'passkey sign-in': SHORT_MS },
};
/**
 * Passes of a kind that may wait to be used, of one person each; of those that nobody in particular asks for,
 * of all.
 */
const MOST_STANDING: Record<PassKind, number> = {
  ...{ first: 100, join: 100, pair: 10 },
  ...{ passkey: 10, 'passkey sign-in': 500 },
};
/** How long after its time a pass stays to be looked into. */
const KEPT_AFTER_MS = 30 * DAY_MS;
/** Stands in the table of the house: who owns it, where it was handed over. */
const OWNER = 'owner';
const CODES = 8;
/** A session says when it was seen last, to the minute. */
const SEEN_MS = 60_000;

/** Names are the same however they are written. */
export const nameKey = (name: string): string =>
  name.normalize('NFKC').trim().replace(/\s+/g, ' ').toLowerCase();

/** People, their devices, and what lets somebody in. */
export function peopleStore(db: Database, now: () => number) {
  const iso = (at = now()) => new Date(at).toISOString();
  const endPasses = async (madeBy: string, kinds: readonly PassKind[]) => {
    await db
      .update(passes)
      .set({ usedAt: iso() })
      .where(and(eq(passes.madeBy, madeBy), inArray(passes.kind, [...kinds]), isNull(passes.usedAt)));
  };
  return {
    isEmpty: async (): Promise<boolean> =>
      (
        await db
          .select({ is: sql`1` })
          .from(people)
          .limit(1)
      ).length === 0,
    byName: async (name: string): Promise<Person | null> =>
      (
        await db
          .select()
          .from(people)
          .where(and(eq(people.nameKey, nameKey(name)), isNull(people.removedAt)))
      )[0] ?? null,
    byId: async (id: string): Promise<Person | null> =>
      (
        await db
          .select()
          .from(people)
          .where(and(eq(people.id, id), isNull(people.removedAt)))
      )[0] ?? null,
    list: (): Promise<Person[]> =>
      db.select().from(people).where(isNull(people.removedAt)).orderBy(asc(people.createdAt)),
    /**
     * Within a transaction: no two who come in at once take names that look the same.
     * null: the name, or one that looks like it, is taken. The first owns what was in the house before.
     */
    add: async (
      name: string,
      passwordHash: string,
      { first }: { first: boolean },
    ): Promise<Person | null> => {
      await db.execute(sql`lock table ${people} in share row exclusive mode`);
      const taken = await db.select({ name: people.name }).from(people);
      const names = taken.map((one) => one.name);
      if (looksLikeOneOf(name, names)) return null;
      const id = randomUUID();
      const [row] = await db
        .insert(people)
        .values({
          ...{ id, name: name.trim(), nameKey: nameKey(name), passwordHash, createdAt: iso() },
          owner: first ? '' : id.replaceAll('-', '').slice(0, 20),
          keeper: first,
        })
        .onConflictDoNothing()
        .returning();
      return row ?? null;
    },
    /** A device that was to be paired by whoever knew the password before is not any more. */
    setPassword: async (id: string, passwordHash: string): Promise<void> => {
      await db.update(people).set({ passwordHash }).where(eq(people.id, id));
      await endPasses(id, ['pair', 'passkey']);
    },
    /**
     * The owner of the house: whoever it was handed to, else the first keeper. null: nobody is left of them.
     */
    owner: async (): Promise<Person | null> => {
      const [handed] = await db.select().from(house).where(eq(house.name, OWNER));
      const is = handed ? eq(people.id, handed.value) : eq(people.owner, '');
      return (
        (
          await db
            .select()
            .from(people)
            .where(and(is, isNull(people.removedAt)))
        )[0] ?? null
      );
    },
    /** Hands the house over: they keep it as well. What was the owner's own stays theirs. */
    setOwner: async (id: string): Promise<void> => {
      await db
        .insert(house)
        .values({ name: OWNER, value: id })
        .onConflictDoUpdate({ target: house.name, set: { value: id } });
      await db.update(people).set({ keeper: true }).where(eq(people.id, id));
    },
    setKeeper: async (id: string): Promise<void> => {
      await db.update(people).set({ keeper: true }).where(eq(people.id, id));
    },
    /**
     * Nobody is signed in by it any more, and whom they invited may not come; what is theirs stays, and is
     * nobody's to read.
     */
    remove: async (id: string): Promise<void> => {
      await endPasses(id, ['join', 'pair', 'passkey']);
      await db.update(people).set({ removedAt: iso() }).where(eq(people.id, id));
      await db
        .update(sessions)
        .set({ revokedAt: iso() })
        .where(and(eq(sessions.personId, id), isNull(sessions.revokedAt)));
    },

    /** @returns the secret that the device keeps */
    begin: async (personId: string, device: string): Promise<string> => {
      const token = newToken();
      await db.insert(sessions).values({
        ...{ tokenHash: tokenHash(token), personId, device: device.slice(0, 200) },
        ...{ createdAt: iso(), seenAt: iso(), expiresAt: iso(now() + SESSION_MS) },
      });
      return token;
    },
    /** Who is signed in by a secret; null: nobody, or not any more. */
    signedIn: async (token: string): Promise<{ person: Person; sessionId: number } | null> => {
      const [row] = await db
        .select({ person: people, session: sessions })
        .from(sessions)
        .innerJoin(people, eq(sessions.personId, people.id))
        .where(
          and(
            eq(sessions.tokenHash, tokenHash(token)),
            isNull(sessions.revokedAt),
            isNull(people.removedAt),
            gt(sessions.expiresAt, iso()),
          ),
        );
      if (!row) return null;
      if (now() - Date.parse(row.session.seenAt) > SEEN_MS)
        await db.update(sessions).set({ seenAt: iso() }).where(eq(sessions.id, row.session.id));
      return { person: row.person, sessionId: row.session.id };
    },
    devices: (personId: string) =>
      db
        .select()
        .from(sessions)
        .where(
          and(eq(sessions.personId, personId), isNull(sessions.revokedAt), gt(sessions.expiresAt, iso())),
        )
        .orderBy(desc(sessions.seenAt)),
    /** @param except of all of a person's devices this one stays signed in */
    end: async (personId: string, which: { id: number } | { except: number | null }): Promise<number> => {
      const rows = await db
        .update(sessions)
        .set({ revokedAt: iso() })
        .where(
          and(
            eq(sessions.personId, personId),
            isNull(sessions.revokedAt),
            'id' in which
              ? eq(sessions.id, which.id)
              : which.except === null
                ? undefined
                : sql`${sessions.id} <> ${which.except}`,
          ),
        )
        .returning({ id: sessions.id });
      return rows.length;
    },

    makePass: async (
      kind: PassKind,
      madeBy: string | null,
      note = '',
    ): Promise<{ token: string; expiresAt: string }> => {
      const token = newToken();
      const expiresAt = iso(now() + LASTS_MS[kind]);
      const standing = await db
        .select({ id: passes.id })
        .from(passes)
        .where(
          and(
            eq(passes.kind, kind),
            madeBy === null ? isNull(passes.madeBy) : eq(passes.madeBy, madeBy),
            isNull(passes.usedAt),
            gt(passes.expiresAt, iso()),
          ),
        )
        .limit(MOST_STANDING[kind]);
      if (standing.length >= MOST_STANDING[kind])
        throw new Refusal(
          'too many tries',
          'Enough',
          'Too many of these are waiting to be used. Try again when some are over.',
        );
      await db
        .insert(passes)
        .values({ tokenHash: tokenHash(token), kind, madeBy, note, madeAt: iso(), expiresAt });
      return { token, expiresAt };
    },
    /** Whether a pass could be used now. It stays as it is. */
    isPassGood: async (kind: PassKind, token: string): Promise<boolean> =>
      (
        await db
          .select({ id: passes.id })
          .from(passes)
          .where(
            and(
              eq(passes.tokenHash, tokenHash(token)),
              eq(passes.kind, kind),
              isNull(passes.usedAt),
              gt(passes.expiresAt, iso()),
            ),
          )
      ).length > 0,
    /** Takes away passes that nobody can use or misses any more. */
    sweep: async (): Promise<void> => {
      const short: PassKind[] = ['pair', 'passkey', 'passkey sign-in'];
      await db
        .delete(passes)
        .where(
          or(
            and(inArray(passes.kind, short), lt(passes.expiresAt, iso())),
            lt(passes.expiresAt, iso(now() - KEPT_AFTER_MS)),
          ),
        );
    },
    /** Takes a pass for use: it is good once. null: it is none, was used, withdrawn, or its time is over. */
    usePass: async (kind: PassKind, token: string): Promise<{ madeBy: string | null } | null> => {
      const [row] = await db
        .update(passes)
        .set({ usedAt: iso() })
        .where(
          and(
            eq(passes.tokenHash, tokenHash(token)),
            eq(passes.kind, kind),
            isNull(passes.usedAt),
            gt(passes.expiresAt, iso()),
          ),
        )
        .returning({ madeBy: passes.madeBy });
      return row ?? null;
    },
    invitations: () =>
      db
        .select({ id: passes.id, note: passes.note, madeAt: passes.madeAt, expiresAt: passes.expiresAt })
        .from(passes)
        .where(and(eq(passes.kind, 'join'), isNull(passes.usedAt), gt(passes.expiresAt, iso())))
        .orderBy(asc(passes.id)),
    withdraw: async (id: number): Promise<boolean> => {
      const rows = await db
        .update(passes)
        .set({ usedAt: iso() })
        .where(and(eq(passes.id, id), eq(passes.kind, 'join'), isNull(passes.usedAt)))
        .returning({ id: passes.id });
      return rows.length > 0;
    },

    /** New codes in the place of all before. They are shown once. */
    makeCodes: async (personId: string): Promise<string[]> => {
      const codes = Array.from({ length: CODES }, newCode);
      await db
        .update(recoveryCodes)
        .set({ usedAt: iso() })
        .where(and(eq(recoveryCodes.personId, personId), isNull(recoveryCodes.usedAt)));
      await db.insert(recoveryCodes).values(codes.map((code) => ({ personId, codeHash: codeHash(code) })));
      return codes;
    },
    /** Whether a recovery code could be used now. It stays as it is. */
    isCodeGood: async (personId: string, code: string): Promise<boolean> =>
      (
        await db
          .select({ id: recoveryCodes.id })
          .from(recoveryCodes)
          .where(
            and(
              eq(recoveryCodes.personId, personId),
              eq(recoveryCodes.codeHash, codeHash(code)),
              isNull(recoveryCodes.usedAt),
            ),
          )
      ).length > 0,
    useCode: async (personId: string, code: string): Promise<boolean> => {
      const rows = await db
        .update(recoveryCodes)
        .set({ usedAt: iso() })
        .where(
          and(
            eq(recoveryCodes.personId, personId),
            eq(recoveryCodes.codeHash, codeHash(code)),
            isNull(recoveryCodes.usedAt),
          ),
        )
        .returning({ id: recoveryCodes.id });
      return rows.length > 0;
    },

    passkeysOf: (personId: string): Promise<Passkey[]> =>
      db.select().from(passkeys).where(eq(passkeys.personId, personId)).orderBy(asc(passkeys.createdAt)),
    passkey: async (id: string): Promise<Passkey | null> =>
      (await db.select().from(passkeys).where(eq(passkeys.id, id)))[0] ?? null,
    /** false: it is somebody's already. */
    addPasskey: async (key: Omit<Passkey, 'createdAt' | 'usedAt'>): Promise<boolean> => {
      const rows = await db
        .insert(passkeys)
        .values({ ...key, createdAt: iso() })
        .onConflictDoNothing()
        .returning({ id: passkeys.id });
      return rows.length > 0;
    },
    /** false: it was used meanwhile. */
    usePasskey: async ({ id, counter }: Passkey, newCounter: number): Promise<boolean> => {
      const rows = await db
        .update(passkeys)
        .set({ counter: newCounter, usedAt: iso() })
        .where(and(eq(passkeys.id, id), eq(passkeys.counter, counter)))
        .returning({ id: passkeys.id });
      return rows.length > 0;
    },
    removePasskey: async (personId: string, id: string): Promise<boolean> => {
      const rows = await db
        .delete(passkeys)
        .where(and(eq(passkeys.id, id), eq(passkeys.personId, personId)))
        .returning({ id: passkeys.id });
      return rows.length > 0;
    },

    removePasskeys: async (personId: string): Promise<void> => {
      await db.delete(passkeys).where(eq(passkeys.personId, personId));
    },

    note: async (what: AuditWhat, personId: string | null, address: string, detail = ''): Promise<void> => {
      await db.insert(audit).values({ at: iso(), personId, what, detail: detail.slice(0, 200), address });
    },
    noted: (most: number) => db.select().from(audit).orderBy(desc(audit.id)).limit(most),
  };
}
export type PeopleStore = ReturnType<typeof peopleStore>;
