import { defineConfig } from 'vite';

/** What reads files of its own beside its code, or is no JavaScript, is read where it lies. */
const whereTheyLie = ['@electric-sql/pglite', '@fastify/swagger-ui', '@node-rs/argon2', 'nodemailer', 'pdfmake', 'pg'];

export default defineConfig({
  // The rest comes in one file: reading six hundred small ones took a fifth of a start.
  ssr: { noExternal: true, external: whereTheyLie },
  build: { ssr: 'server/main.ts', outDir: 'dist/server', emptyOutDir: true, target: 'node20' },
});
