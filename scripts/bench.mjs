// What is measured is what ships: built as the server is, not translated line by line as it runs.
import { fileURLToPath, pathToFileURL } from 'node:url';
import { join } from 'node:path';

const root = fileURLToPath(new URL('..', import.meta.url));
const { build } = await import('vite');
await build({
  configFile: join(root, 'vite.server.config.ts'),
  logLevel: 'error',
  // The browser's driver lies beside its own files.
  ssr: { external: ['@playwright/test'] },
  build: { ssr: join(root, 'scripts/bench.ts'), outDir: join(root, 'dist/bench') },
});
delete process.env.NODE_ENV;
await import(pathToFileURL(join(root, 'dist/bench/bench.js')).href);
