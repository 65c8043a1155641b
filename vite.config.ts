import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { type Plugin, defineConfig } from 'vite';

/** The two faces that every screen is set in are asked for with the page itself: words do not move when their letters come. */
const facesFirst: Plugin = {
  name: 'faces-first',
  transformIndexHtml: {
    order: 'post',
    handler: (_html, { bundle }) =>
      Object.keys(bundle ?? {})
        .filter((file) => /-latin-wght-normal-[^/]*\.woff2$/.test(file))
        .map((file) => ({
          tag: 'link',
          attrs: { rel: 'preload', as: 'font', type: 'font/woff2', href: `/${file}`, crossorigin: true },
          injectTo: 'head-prepend' as const,
        })),
  },
};

/** What is served for a year is pressed once, here, and as small as it goes: the server sends it as it lies. */
const pressed: Plugin = {
  name: 'pressed',
  writeBundle: async ({ dir = '' }, bundle) => {
    const press = promisify(brotliCompress);
    const files = Object.keys(bundle).filter((file) => /\.(js|css)$/.test(file));
    await Promise.all(
      files.map(async (file) => writeFile(join(dir, `${file}.br`), await press(await readFile(join(dir, file))))),
    );
  },
};

/** Code that the same screens use travels in one file, and small ones join their neighbour: sixty files take ten rounds to the server. */
const together = {
  groups: [
    { name: 'frame', tags: ['$initial' as const], priority: 3 },
    { name: 'time', test: /[\\/](luxon|core[\\/](units|vocabulary))[\\/]/, minShareCount: 4, priority: 2 },
    {
      name: 'controls',
      test: /[\\/]node_modules[\\/](@mui|react-transition-group|@popperjs)[\\/]/,
      minShareCount: 4,
      priority: 1,
    },
    { name: 'counting', test: /[\\/]core[\\/]/, minShareCount: 4, priority: 1 },
  ],
};

export default defineConfig({
  root: 'web',
  plugins: [react(), facesFirst, pressed],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2023',
    manifest: true,
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: together } },
  },
  worker: { format: 'es' },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.API_PORT ?? '4181'}` } },
});
