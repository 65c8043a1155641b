import { sql } from 'drizzle-orm';
import type { FastifyInstance } from 'fastify';
import { buildApp } from '../app';
import { backupsOf } from '../backup/daily';
import { signUp } from '../people/signUp';
import { passwordHash } from '../people/secrets';
import { peopleStore } from '../people/store';
import { loadDemo } from '../sample/demo';
import type { Database } from '../storage/open';
import { emptyDatabase } from './emptyDatabase';
import { NOW } from './openApp';

export const PASSWORD = 'a long enough one';
/** A password is worked out slowly, so that nobody tries many: everyone here has one and the same. */
let kept: Promise<string> | null = null;
const hashed = () => (kept ??= passwordHash(PASSWORD));
export type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';

/** Somebody with a browser: it keeps its cookie. */
export class Visitor {
  cookie = '';
  constructor(
    readonly app: FastifyInstance,
    readonly device = 'a browser',
  ) {}
  async ask(method: Method, url: string, payload?: object) {
    const reply = await this.app.inject({
      method,
      url,
      headers: { 'user-agent': this.device, ...(this.cookie === '' ? {} : { cookie: this.cookie }) },
      ...(payload ? { payload } : {}),
    });
    const set = reply.headers['set-cookie'];
    if (typeof set === 'string') this.cookie = set.split(';')[0]?.replace(/=$/, '') ?? '';
    return reply;
  }
  get = (url: string) => this.ask('GET', url);
  post = (url: string, payload: object = {}) => this.ask('POST', url, payload);
}

export interface Club {
  app: FastifyInstance;
  db: Database;
  people: ReturnType<typeof peopleStore>;
  now: () => number;
  wait: (ms: number) => void;
  /** The first keeper. */
  keeper: (name?: string) => Promise<Visitor>;
  /** Somebody whom a keeper asks in. */
  member: (by: Visitor, name: string) => Promise<Visitor>;
  /** Nobody is in the house any more: whoever came in before owns nothing that those who come now see. */
  empty: () => Promise<void>;
  close: () => Promise<void>;
}

/** A house with accounts and the demo data, and a clock that only the test moves. */
export async function openClub(): Promise<Club> {
  const opened = await emptyDatabase();
  const { db } = opened;
  let at = NOW;
  const now = () => at;
  await loadDemo(db, at);
  const backups = backupsOf(db, null, now);
  const app = await buildApp({ db, now, webRoot: null, log: false, accounts: true, backups });
  const people = peopleStore(db, now);
  const comeIn = async (kind: 'first' | 'join', token: string, name: string) => {
    const visitor = new Visitor(app);
    const newcomer = { token, name, passwordHash: await hashed(), address: '127.0.0.1' };
    const { person } = await signUp(db, now, kind, newcomer);
    visitor.cookie = `tally=${await people.begin(person.id, visitor.device)}`;
    return visitor;
  };
  return {
    ...{ app, db, people, now },
    wait: (ms) => {
      at += ms;
    },
    keeper: async (name = 'Ada') => comeIn('first', (await people.makePass('first', null)).token, name),
    member: async (by, name) => {
      const { token } = (await by.post('/api/invitations', { note: name })).json<{ token: string }>();
      return comeIn('join', token, name);
    },
    empty: async () => {
      at = NOW;
      await db.execute(sql`delete from house where name = 'owner'`);
      await db.execute(
        sql`truncate people, sessions, passes, passkeys, shares, recovery_codes, sign_in_tries, audit`,
      );
    },
    close: async () => {
      await app.close();
      await opened.close();
    },
  };
}
