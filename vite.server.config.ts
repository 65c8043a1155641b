import { defineConfig } from 'vite';
import { readWhereTheyLie } from './scripts/runtimePackages.mjs';

export default defineConfig({
  // The rest comes in few files: reading six hundred small ones took a fifth of a start.
  ssr: { noExternal: true, external: readWhereTheyLie },
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        main: 'server/main.ts',
        backup: 'server/backup/cli.ts',
        readBundleWorker: 'server/bundle/readBundleWorker.ts',
        planPdfWorker: 'server/word/planPdfWorker.ts',
        packWorker: 'server/calc/packWorker.ts',
        arrangeWorker: 'server/calc/arrangeWorker.ts',
      },
      // Beside one another: a worker's code is found beside the code that starts it.
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
});
