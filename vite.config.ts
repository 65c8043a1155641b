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

export default defineConfig({
  root: 'web',
  plugins: [react(), facesFirst],
  build: { outDir: '../dist/web', emptyOutDir: true, target: 'es2023', manifest: true, chunkSizeWarningLimit: 900 },
  worker: { format: 'es' },
  server: { proxy: { '/api': `http://127.0.0.1:${process.env.API_PORT ?? '4181'}` } },
});
