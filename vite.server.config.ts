import { defineConfig } from 'vite';

export default defineConfig({
  build: { ssr: 'server/main.ts', outDir: 'dist/server', emptyOutDir: true, target: 'node20' },
});
