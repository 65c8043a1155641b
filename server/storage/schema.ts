import { sql } from 'drizzle-orm';
import {
  bigint,
  bigserial,
  boolean,
  index,
  integer,
  jsonb,
  pgTable,
  text,
  timestamp,
  unique,
  uuid,
} from 'drizzle-orm/pg-core';

import type { KindName } from '#core/documents/registry';

/**
 * Every document is kept whole as JSON, with a version that each write moves on. A deleted one keeps its row
 * for undo.
 */
function documentTable<Name extends string>(name: Name) {
  return pgTable(name, documentColumns(), (table) => [
    index(`${name}_change_no`).on(table.changeNo),
    index(`${name}_owner`).on(table.owner, table.changeNo),
  ]);
}
function documentColumns() {
  return {
    id: text().primaryKey(),
    version: integer().notNull(),
    doc: jsonb().notNull(),
    createdAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    updatedAt: timestamp({ withTimezone: true }).notNull().defaultNow(),
    deletedAt: timestamp({ withTimezone: true }),
    /**
     * The number of its newest change among all changes of the house; a trigger counts. What changed since
     * is read by it.
     */
    changeNo: bigint({ mode: 'number' }).notNull().default(0),
    /** Whose it is, from its key: `owner~name`. Empty: the house's, the club's and its first keeper's. */
    owner: text()
      .notNull()
      .generatedAlwaysAs(sql`case when position('~' in id) > 0 then split_part(id, '~', 1) else '' end`),
  };
}

export const anglers = documentTable('anglers');
export const craft = documentTable('craft');
export const items = documentTable('items');
export const waters = documentTable('waters');
export const rulePacks = documentTable('rule_packs');
export const species = documentTable('species');
export const procedures = documentTable('procedures');
export const outings = pgTable(
  'outings',
  {
    ...documentColumns(),
    /**
     * Date, launch, home and nights of its brief as text, null what is not there: the list is put in order by
     * them without reading whole documents.
     */
    hours: text()
      .array()
      .generatedAlwaysAs(
        sql`array[doc #>> '{brief,date}', doc #>> '{brief,launchAt}', doc #>> '{brief,homeAt}', doc #>> '{brief,nights}']`,
      ),
  },
  (table) => [
    index('outings_change_no').on(table.changeNo),
    index('outings_owner').on(table.owner, table.changeNo),
  ],
);
/** The table of each kind, by the kind's name in the registry. */
export const documentTables = {
  anglers,
  craft,
  items,
  waters,
  rulePacks,
  species,
  procedures,
  outings,
} satisfies Record<KindName, unknown>;
export type DocumentTable = (typeof documentTables)[KindName];

/** Small pictures, each named by the SHA-256 of its bytes: one that is kept never changes. */
export const pictures = pgTable('pictures', {
  id: text().primaryKey(),
  mediaType: text().notNull(),
  /** The bytes in base 64. */
  data: text().notNull(),
});

/** The walk-round's answers. A trigger of the migration refuses to change or remove a row. */
export const walkAnswers = pgTable(
  'walk_answers',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    key: uuid().notNull(),
    outingId: text()
      .notNull()
      .references(() => outings.id),
    stepId: text().notNull(),
    verdict: text().notNull(),
    at: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    note: text().notNull(),
    recordedAt: timestamp({ withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    /**
     * How far the server's clock was ahead of the device's when the answer was sent, ms; null: the device did
     * not say.
     */
    clockAheadMs: bigint({ mode: 'number' }),
  },
  (table) => [
    index('walk_answers_outing').on(table.outingId),
    unique('walk_answers_key').on(table.outingId, table.key),
  ],
);

/** What was signed, frozen, with its hash. Append-only like the answers. */
export const signatures = pgTable(
  'signatures',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    outingId: text()
      .notNull()
      .references(() => outings.id),
    signedAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    hash: text().notNull(),
    judged: jsonb().notNull(),
    /**
     * Of one that was made without a network, on the device: sent twice, it is kept once. null: made here.
     */
    key: uuid(),
  },
  (table) => [
    index('signatures_in_force').on(table.outingId, table.signedAt),
    unique('signatures_key').on(table.outingId, table.key),
  ],
);

/**
 * Plans as they were left with somebody ashore, whole. Append-only: the one of an outing that was left last
 * is the one they have.
 */
export const plansLeft = pgTable(
  'plans_left',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    key: uuid().notNull(),
    outingId: text()
      .notNull()
      .references(() => outings.id),
    plan: jsonb().notNull(),
    leftAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    /**
     * Hours of the plan, written by a trigger, so that plans that are out are found without reading the
     * others. null: not readable.
     */
    launchAt: timestamp({ withTimezone: true, mode: 'string' }),
    callAt: timestamp({ withTimezone: true, mode: 'string' }),
  },
  (table) => [
    index('plans_left_in_force').on(table.outingId, table.leftAt),
    index('plans_left_call').on(table.callAt),
    unique('plans_left_key').on(table.outingId, table.key),
  ],
);
/** The page on which a plan can be watched, by its secret; one an outing. */
export const watchPages = pgTable('watch_pages', {
  outingId: text()
    .primaryKey()
    .references(() => outings.id),
  token: text().notNull().unique(),
  /** What comes before the path in its address, as the angler's browser has it. */
  base: text().notNull(),
  offAt: timestamp({ withTimezone: true, mode: 'string' }),
  /** When it was opened last, and when the angler said that they have the plan. */
  openedAt: timestamp({ withTimezone: true, mode: 'string' }),
  toldAt: timestamp({ withTimezone: true, mode: 'string' }),
});
/** What was said from the water. Append-only. */
export const checkIns = pgTable(
  'check_ins',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    key: uuid().notNull(),
    outingId: text()
      .notNull()
      .references(() => outings.id),
    what: text().notNull(),
    at: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    homeBy: timestamp({ withTimezone: true, mode: 'string' }),
    recordedAt: timestamp({ withTimezone: true, mode: 'string' }).notNull().defaultNow(),
    /** As of the walk-round's answers. */
    clockAheadMs: bigint({ mode: 'number' }),
  },
  (table) => [
    index('check_ins_outing').on(table.outingId),
    unique('check_ins_key').on(table.outingId, table.key),
  ],
);
/** Messages to whoever is ashore: each is made once, by its mark. */
export const outbox = pgTable(
  'outbox',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    mark: text().notNull().unique(),
    outingId: text()
      .notNull()
      .references(() => outings.id),
    kind: text().notNull(),
    toName: text().notNull(),
    toAddress: text().notNull(),
    subject: text().notNull(),
    body: text().notNull(),
    madeAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    /** null: not sent, or only shown. */
    sentAt: timestamp({ withTimezone: true, mode: 'string' }),
    /** Why it could not be sent the last time; empty: nothing went wrong. */
    trouble: text().notNull().default(''),
    tries: integer().notNull().default(0),
  },
  (table) => [
    index('outbox_outing').on(table.outingId),
    index('outbox_unsent')
      .on(table.madeAt)
      .where(sql`sent_at is null and to_address <> ''`),
  ],
);

/** What was brought in from elsewhere, with what it took the place of, so that it can be taken back. */
export const imports = pgTable('imports', {
  id: bigserial({ mode: 'number' }).primaryKey(),
  key: uuid().notNull().unique(),
  /** Owner of what was imported, as it stands in the keys of rows: only they take it back. */
  owner: text().notNull().default(''),
  at: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  /** Each document that was written: its kind, name and version since, and what stood there before. */
  undo: jsonb().notNull(),
  /** null: it stands. */
  undoneAt: timestamp({ withTimezone: true, mode: 'string' }),
});

/** Who may come in. One who was removed keeps the row, so that nobody else takes the name's place. */
export const people = pgTable('people', {
  id: text().primaryKey(),
  /**
   * Stands before the names of what is theirs; empty: the first keeper, to whom the house belonged before.
   */
  owner: text().notNull().unique(),
  name: text().notNull(),
  /** The name as it is compared: no two people have the same. */
  nameKey: text().notNull().unique(),
  keeper: boolean().notNull(),
  passwordHash: text().notNull(),
  createdAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  removedAt: timestamp({ withTimezone: true, mode: 'string' }),
});
/** Devices that are signed in, each by the hash of its secret. */
export const sessions = pgTable(
  'sessions',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    tokenHash: text().notNull().unique(),
    personId: text()
      .notNull()
      .references(() => people.id),
    device: text().notNull(),
    createdAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    seenAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    expiresAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    revokedAt: timestamp({ withTimezone: true, mode: 'string' }),
  },
  (table) => [index('sessions_person').on(table.personId)],
);
/**
 * Addresses that let somebody in once: the first keeper, an invitation, a device to be paired. Each by the
 * hash of its secret.
 */
export const passes = pgTable('passes', {
  id: bigserial({ mode: 'number' }).primaryKey(),
  tokenHash: text().notNull().unique(),
  kind: text().notNull(),
  /** Who made it; null: the house. */
  madeBy: text().references(() => people.id),
  /** What it says of whoever is asked in. */
  note: text().notNull(),
  madeAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  expiresAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  usedAt: timestamp({ withTimezone: true, mode: 'string' }),
});
/** Codes that make a new password, each good once. */
export const recoveryCodes = pgTable(
  'recovery_codes',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    personId: text()
      .notNull()
      .references(() => people.id),
    codeHash: text().notNull(),
    usedAt: timestamp({ withTimezone: true, mode: 'string' }),
  },
  (table) => [index('recovery_codes_person').on(table.personId)],
);
/** Keys that a person's devices hold in place of a password: only what checks them is kept here. */
export const passkeys = pgTable(
  'passkeys',
  {
    id: text().primaryKey(),
    personId: text()
      .notNull()
      .references(() => people.id),
    name: text().notNull(),
    /** The public key, base64url. */
    publicKey: text().notNull(),
    /** How often it was used, as the device counts; one that goes back is a copy. */
    counter: bigint({ mode: 'number' }).notNull(),
    /** How it is reached, as the browser said: a list as JSON. */
    transports: text().notNull(),
    createdAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    usedAt: timestamp({ withTimezone: true, mode: 'string' }),
  },
  (table) => [index('passkeys_person').on(table.personId)],
);
/**
 * Outings that others of the house were asked along to: which companion of it somebody is, and the outing of
 * their own that they made of it.
 */
export const shares = pgTable(
  'shares',
  {
    id: bigserial({ mode: 'number' }).primaryKey(),
    outingId: text()
      .notNull()
      .references(() => outings.id),
    companionId: text().notNull(),
    personId: text()
      .notNull()
      .references(() => people.id),
    madeAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
    declinedAt: timestamp({ withTimezone: true, mode: 'string' }),
    /** Key of the row of their own outing; null: not made yet. */
    ownOutingId: text().references(() => outings.id),
    /** null: it stands. */
    endedAt: timestamp({ withTimezone: true, mode: 'string' }),
  },
  (table) => [
    index('shares_outing').on(table.outingId),
    index('shares_person').on(table.personId),
    index('shares_own_outing').on(table.ownOutingId),
  ],
);
/** Sign-ins in vain, by person and by address, and until when the next is refused. */
export const signInTries = pgTable('sign_in_tries', {
  id: text().primaryKey(),
  failures: integer().notNull(),
  lastAt: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  until: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
});
/** What was done about coming in and taking out. Append-only. */
export const audit = pgTable('audit', {
  id: bigserial({ mode: 'number' }).primaryKey(),
  at: timestamp({ withTimezone: true, mode: 'string' }).notNull(),
  personId: text(),
  what: text().notNull(),
  detail: text().notNull(),
  address: text().notNull(),
});

/** Facts about this database itself, such as when the demo data came in. */
export const house = pgTable('house', { name: text().primaryKey(), value: text().notNull() });
