import { readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { brotliCompress, constants } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { type Plugin, defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { outingFiles } from './scripts/outingFiles';

/**
 * The two faces that every screen is set in are asked for with the page itself: words do not move when their
 * letters come.
 */
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

/**
 * Brotli-compressed at build time; chunks that most screens load at the highest quality, which saves 2 % more
 * and takes twice as long.
 */
const compressed: Plugin = {
  name: 'compressed',
  writeBundle: async ({ dir = '' }, bundle) => {
    const compress = promisify(brotliCompress);
    const imports = Object.values(bundle).flatMap((one) => (one.type === 'chunk' ? one.imports : []));
    const isCommon = (file: string) => imports.filter((one) => one === file).length >= 8;
    const files = Object.keys(bundle).filter((file) => /\.(js|css)$/.test(file));
    await Promise.all(
      files.map(async (file) => {
        const params = { [constants.BROTLI_PARAM_QUALITY]: isCommon(file) ? 11 : 10 };
        await writeFile(join(dir, `${file}.br`), await compress(await readFile(join(dir, file)), { params }));
      }),
    );
  },
};

/**
 * The program as it is carried to the water: all its files, kept by a service worker from the moment that an
 * outing is carried.
 */
const carried = VitePWA({
  strategies: 'generateSW',
  registerType: 'prompt',
  // It is put on a device when an outing is, and not before: web/offline/worker.ts.
  injectRegister: false,
  manifest: {
    name: 'Unhurried Tally',
    short_name: 'Tally',
    description: 'Loadout and safety checklist of a kayak outing, counted before launching.',
    start_url: '/outings',
    display: 'standalone',
    background_color: '#F7F4EC',
    theme_color: '#F7F4EC',
    icons: [
      { src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' },
      { src: '/mark-192.png', sizes: '192x192', type: 'image/png' },
      { src: '/mark-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
    ],
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,svg,png,woff2,wasm}'],
    globIgnores: ['samples/**'],
    maximumFileSizeToCacheInBytes: 6 * 1024 * 1024,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/(api|watch)\//],
    clientsClaim: true,
    runtimeCaching: [
      {
        urlPattern: ({ url, sameOrigin }) => sameOrigin && url.pathname.startsWith('/api/pictures/'),
        handler: 'CacheFirst',
        options: { cacheName: 'tally-pictures', expiration: { maxEntries: 400 } },
      },
    ],
  },
});

/**
 * Code that the same screens use travels in one file, and small ones join their neighbour: sixty files take
 * ten rounds to the server.
 */
const together = {
  groups: [
    { name: 'frame', tags: ['$initial' as const], priority: 3 },
    { name: 'time', test: /[\\/](luxon|core[\\/](units|vocabulary))[\\/]/, minShareCount: 4, priority: 2 },
    {
      name: 'controls',
      test: /[\\/]node_modules[\\/](@mui|react-transition-group|@popperjs)[\\/]/,
      minShareCount: 6,
      priority: 1,
    },
    { name: 'counting', test: /[\\/]core[\\/]/, minShareCount: 6, priority: 1 },
  ],
};

export default defineConfig({
  root: 'web',
  plugins: [react(), facesFirst, compressed, outingFiles, carried],
  build: {
    outDir: '../dist/web',
    emptyOutDir: true,
    target: 'es2023',
    manifest: true,
    chunkSizeWarningLimit: 900,
    rolldownOptions: { output: { codeSplitting: together } },
  },
  worker: { format: 'es' },
  server: {
    proxy: Object.fromEntries(
      ['/api', '/watch'].map((path) => [path, `http://127.0.0.1:${process.env.API_PORT ?? '4181'}`]),
    ),
  },
});
