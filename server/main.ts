import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { buildApp } from './app';
import { backupsOf } from './backup/daily';
import { type PeopleStore, peopleStore } from './people/store';
import { openFrom } from './storage/openFrom';
import { isNewerThan } from './storage/schemaVersion';
import { loadDemo } from './sample/demo';
import { PlainError, systemCode } from './errors/plainError';
import { mailer } from './word/mail';
import { migrationsFolder, projectRoot } from './projectRoot';
import { publicAddress, readSettings } from './settings';

function readPem(file: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new PlainError(
      'bad-setting',
      `${file} cannot be read (${systemCode(error) ?? 'no reason given'}).`,
    );
  }
}

/** How long open connections are waited for at a stop. */
const GRACE_MS = 1000;
/** How often plans that are out are looked at. */
const WATCH_MS = 15_000;
/** How often it is asked whether the last backup is a day old. */
const BACKUP_MS = 60_000;
/**
 * How often what is over is taken away, and how often it is asked whether a newer program has changed the
 * data.
 */
const SWEEP_MS = 10 * 60_000;
const OUTDATED_MS = 60_000;

// A promise that nobody waited for and that failed is a fault of ours, and none for which everyone is sent
// away.
process.on('unhandledRejection', (reason) => console.error('A failure that nobody waited for:', reason));

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const tls = settings.tls && { cert: readPem(settings.tls.cert), key: readPem(settings.tls.key) };
  // Whoever may signal this process may have a backup made: `npm run backup` does. It is heard from the
  // beginning: a signal that nobody hears would end the process.
  let backUp: (() => void) | null = null;
  let asked = false;
  process.on('SIGUSR2', () => (backUp ? backUp() : (asked = true)));
  const migrations = migrationsFolder();
  const { db, close, unlock } = await openFrom(settings, migrations);
  const now = () => Date.now();
  if (settings.demo && (await loadDemo(db, now())))
    console.log('The database was empty: the demo data is in it now.');
  const backups = backupsOf(db, settings.backups, now);
  const app = await buildApp({
    db,
    backups,
    backupEveryMs: BACKUP_MS,
    sweepEveryMs: SWEEP_MS,
    isOutdated: () => isNewerThan(db, migrations),
    outdatedEveryMs: OUTDATED_MS,
    now,
    webRoot: join(projectRoot(), 'dist/web'),
    log: true,
    serving: settings,
    tls,
    post: settings.smtpUrl === null ? null : mailer(settings.smtpUrl, settings.mailFrom),
    watchMs: WATCH_MS,
    accounts: settings.accounts,
    trusted: settings.trusted,
  });
  const stop = async () => {
    // What is being answered is answered; a browser also keeps connections open that say nothing, and those
    // are not waited for.
    const cut = setTimeout(() => app.server.closeAllConnections(), GRACE_MS);
    await app.close();
    clearTimeout(cut);
    await close();
    unlock();
  };
  try {
    await app.listen({ host: settings.host, port: settings.port });
  } catch (error) {
    await stop();
    const code = systemCode(error);
    throw new PlainError(
      'port',
      code === 'EADDRINUSE'
        ? `Port ${settings.port} on ${settings.host} is already in use. Stop what uses it, or choose another with PORT.`
        : `Cannot listen on ${settings.host}:${settings.port} (${code ?? 'no reason given'}).`,
    );
  }
  backUp = () =>
    void backups.make().catch((error: unknown) => app.log.warn({ err: error }, 'no backup could be made'));
  if (asked) backUp();
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      console.log('\nStopping. Everything kept is kept.');
      void stop().then(() => process.exit(0));
    });
  const address = app.server.address();
  const port = typeof address === 'object' && address !== null ? address.port : settings.port;
  console.log(`Unhurried Tally is ready at ${settings.tls ? 'https' : 'http'}://${settings.host}:${port}`);
  if (settings.accounts) await sayFirst(peopleStore(db, now), publicAddress(settings, port));
}

/** In a house that nobody can come into yet: the address that makes its first keeper, said once. */
async function sayFirst(people: PeopleStore, base: string): Promise<void> {
  if (!(await people.isEmpty())) return;
  const { token } = await people.makePass('first', null);
  console.log(
    `Nobody can sign in yet. Whoever opens this first, within a day, is the first keeper: ${base}/first-keeper#${token}`,
  );
}

main().catch((error: unknown) => {
  if (!(error instanceof PlainError)) throw error;
  console.error(error.message);
  process.exit(1);
});
