import { resolve } from 'node:path';
import { PlainError } from '../errors/plainError';
import { migrationsFolder } from '../projectRoot';
import { readSettings } from '../settings';
import { backUp, restore } from './command';

/** `npm run backup`, `npm run restore -- FILE [--yes]`. */
async function main([command, ...rest]: readonly string[]): Promise<void> {
  const settings = readSettings(process.env);
  const migrations = migrationsFolder();
  const say = (line: string) => console.log(line);
  if (command === 'backup') return backUp(settings, migrations, () => Date.now(), say);
  const file = rest.find((one) => !one.startsWith('--'));
  if (file === undefined)
    throw new PlainError(
      'backup',
      'Say which backup: npm run restore -- FILE. Nothing is changed without --yes.',
    );
  return restore(
    settings,
    migrations,
    { file: resolve(process.env.INIT_CWD ?? '.', file), goOn: rest.includes('--yes') },
    () => Date.now(),
    say,
  );
}

main(process.argv.slice(2)).catch((error: unknown) => {
  if (!(error instanceof PlainError)) throw error;
  console.error(error.message);
  process.exit(1);
});
