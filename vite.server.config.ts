import { defineConfig } from 'vite';

/** What reads files of its own beside its code, or is no JavaScript, is read where it lies. */
const whereTheyLie = ['@electric-sql/pglite', '@fastify/swagger-ui', '@node-rs/argon2', 'nodemailer', 'pdfmake', 'pg'];

export default defineConfig({
  // The rest comes in few files: reading six hundred small ones took a fifth of a start.
  ssr: { noExternal: true, external: whereTheyLie },
  build: {
    ssr: true,
    outDir: 'dist/server',
    emptyOutDir: true,
    target: 'node20',
    rollupOptions: {
      input: {
        main: 'server/main.ts',
        readBundleWorker: 'server/bundle/readBundleWorker.ts',
        planPdfWorker: 'server/word/planPdfWorker.ts',
      },
      // Beside one another: a worker's code is found beside the code that starts it.
      output: { entryFileNames: '[name].js', chunkFileNames: '[name].js' },
    },
  },
});
