import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Where `npm run dev` keeps its server. */
const DEV_API = process.env.LEAN_CLASP_DEV_API ?? 'http://127.0.0.1:4620';

/** Loaded by one screen or one part of it only: a chunk of their own. */
const SELDOM =
  /node_modules\/(recharts|d3-|victory-|es-toolkit|@dnd-kit|decimal|immer-|react-zoom|papaparse)/;

/** What every plan and its figures are shown with. */
const PLAN = /packages\/core\/|src\/(words|quantities|verdicts|drawing|parts)\//;

/** What only assemblies are laid out, measured and named with: not for the start page or a panel. */
const KINDS =
  /polygon-clipping|robust-predicates|splaytree|core\/src\/(kinds|solids|sequence\/ways-out|assembly\/(derive|joint-facts|reinforcement|reference-marks)|drawing\/(assembly-marks|apart|painters-order|faceted-parts)|templates\/assembly)|src\/words\/kinds|web\/src\/assembly/;

export default defineConfig({
  // The compiler remembers what it can, so that an edit draws again only what it changes.
  plugins: [
    react({ compiler: true }),
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
    rolldownOptions: {
      output: {
        // Few and large beats many and small: the packages every screen stands on, and what every plan needs.
        codeSplitting: {
          groups: [
            // The frame has these already; without a chunk of their own they would ride with what needs them next.
            { name: 'frame', priority: 4, test: /@mui\/material\/(Alert|Button|IconButton)\// },
            {
              name: 'packages',
              priority: 3,
              test: (id) => id.includes('node_modules') && !SELDOM.test(id) && !KINDS.test(id),
              minShareCount: 2,
            },
            {
              name: 'plan',
              priority: 2,
              test: (id) => PLAN.test(id) && !KINDS.test(id),
              minShareCount: 2,
            },
            { name: 'kinds', priority: 1, test: KINDS, minShareCount: 2 },
          ],
        },
      },
    },
  },
});
