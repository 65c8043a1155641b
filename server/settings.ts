import { resolve } from 'node:path';
import { PlainError } from './http/plainError';

/** What the environment may set. */
export interface Settings {
  host: string;
  port: number;
  data: string;
  databaseUrl: string | null;
  demo: boolean;
}

/** Reads HOST, PORT, TALLY_DATA, DATABASE_URL and TALLY_DEMO; a bad one is a plain error. */
export function readSettings(env: Readonly<Record<string, string | undefined>>): Settings {
  const port = env.PORT === undefined || env.PORT === '' ? 4180 : Number(env.PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65_535)
    throw new PlainError('bad-setting', `PORT must be a whole number from 0 to 65535, not "${env.PORT ?? ''}".`);
  return {
    host: env.HOST || '127.0.0.1',
    port,
    data: resolve(env.TALLY_DATA || 'data'),
    databaseUrl: env.DATABASE_URL || null,
    demo: (env.TALLY_DEMO ?? '1') !== '0',
  };
}
