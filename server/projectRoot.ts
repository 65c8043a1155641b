import { existsSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The project's folder, or that of a release: found from the source as well as from the bundle. */
export function projectRoot(): string {
  let folder = dirname(fileURLToPath(import.meta.url));
  while (!existsSync(join(folder, 'package.json')) && folder !== dirname(folder)) folder = dirname(folder);
  return folder;
}
export function migrationsFolder(): string {
  return join(projectRoot(), 'server/storage/migrations');
}
