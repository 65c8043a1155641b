import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { buildApp } from './app';
import { lockData } from './storage/dataLock';
import { type OpenDatabase, openEmbedded, openServer } from './storage/open';
import { loadDemo } from './storage/demo';
import { PlainError, systemCode } from './http/plainError';
import { causeOf } from './storage/trouble';
import { mailer } from './word/mail';
import { type Settings, readSettings } from './settings';

/** The project's folder, found from the source as well as from the bundle. */
function projectRoot(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'package.json')) && folder !== dirname(folder)) folder = dirname(folder);
  return folder;
}

async function openDatabase(settings: Settings, migrations: string): Promise<OpenDatabase & { unlock: () => void }> {
  if (settings.databaseUrl !== null) {
    try {
      return { ...(await openServer(settings.databaseUrl, migrations)), unlock: () => undefined };
    } catch (error) {
      throw new PlainError('database', `The database at DATABASE_URL cannot be opened: ${causeOf(error)}.`);
    }
  }
  const unlock = lockData(settings.data);
  try {
    return { ...(await openEmbedded({ folder: join(settings.data, 'db') }, migrations)), unlock };
  } catch (error) {
    unlock();
    if (error instanceof PlainError) throw error;
    throw new PlainError('database', `The data in ${settings.data} cannot be opened: ${causeOf(error)}.`);
  }
}

function readPem(file: string): Buffer {
  try {
    return readFileSync(file);
  } catch (error) {
    throw new PlainError('bad-setting', `${file} cannot be read (${systemCode(error) ?? 'no reason given'}).`);
  }
}

/** How long open connections are waited for at a stop. */
const GRACE_MS = 1000;
/** How often plans that are out are looked at. */
const WATCH_MS = 15_000;

async function main(): Promise<void> {
  const settings = readSettings(process.env);
  const root = projectRoot();
  const { db, close, unlock } = await openDatabase(settings, join(root, 'server/storage/migrations'));
  const now = () => Date.now();
  if (settings.demo && (await loadDemo(db, now()))) console.log('The database was empty: the demo data is in it now.');
  const app = await buildApp({
    db,
    now,
    webRoot: join(root, 'dist/web'),
    log: true,
    serving: settings,
    tls: settings.tls && { cert: readPem(settings.tls.cert), key: readPem(settings.tls.key) },
    post: settings.smtpUrl === null ? null : mailer(settings.smtpUrl, settings.mailFrom),
    watchMs: WATCH_MS,
  });
  const stop = async () => {
    // What is being answered is answered; a browser also keeps connections open that say nothing, and those are not waited for.
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
}

main().catch((error: unknown) => {
  if (!(error instanceof PlainError)) throw error;
  console.error(error.message);
  process.exit(1);
});
