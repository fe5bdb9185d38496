import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';
import { CHUNKS, UNUSED } from './chunks.ts';
import { earlyLinks } from './early-links.ts';

/** Where `npm run dev` keeps its server. */
const DEV_API = process.env.LEAN_CLASP_DEV_API ?? 'http://127.0.0.1:4620';

export default defineConfig({
  // The compiler remembers what it can, so that an edit draws again only what it changes.
  plugins: [
    react({ compiler: true }),
    earlyLinks(),
    VitePWA({
      // A page that is open keeps the program it began with; the new one comes when it is loaded again.
      registerType: 'prompt',
      injectRegister: null,
      manifest: {
        name: 'Lean Clasp',
        short_name: 'Lean Clasp',
        description: 'Plan a glue-up, run it against the clock, and learn from it.',
        lang: 'en-GB',
        start_url: '/',
        display: 'standalone',
        background_color: '#f6f3ea',
        theme_color: '#1f2a2e',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2,wasm}'],
        maximumFileSizeToCacheInBytes: 8_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        // Lists as they were last seen, where the server is away; documents and runs are kept by the page itself.
        runtimeCaching: [
          {
            urlPattern: ({ url, request }) =>
              request.method === 'GET' &&
              /^\/api\/(builds|runs|bin|calc|catalogue)/.test(url.pathname) &&
              !url.pathname.endsWith('/stream'),
            handler: 'NetworkFirst',
            options: { cacheName: 'lists', expiration: { maxEntries: 400 } },
          },
        ],
      },
    }),
  ],
  server: { port: 5173, proxy: { '/api': { target: DEV_API } } },
  worker: { format: 'es' },
  build: {
    target: 'es2022',
    sourcemap: false,
    chunkSizeWarningLimit: 1200,
    rolldownOptions: { treeshake: UNUSED, output: { codeSplitting: { groups: [...CHUNKS] } } },
  },
});
