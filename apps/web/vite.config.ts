import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** Where `npm run dev` keeps its server. */
const DEV_API = process.env.LEAN_CLASP_DEV_API ?? 'http://127.0.0.1:4620';

/** Loaded by one screen or one part of it only: a chunk of their own. */
const SELDOM = /node_modules\/(recharts|d3-|victory-|es-toolkit|@dnd-kit|decimal|immer-|react-zoom)/;

export default defineConfig({
  plugins: [react()],
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
            {
              name: 'packages',
              test: (id) => id.includes('node_modules') && !SELDOM.test(id),
              minShareCount: 2,
            },
            {
              name: 'plan',
              test: /packages\/core\/|src\/(words|quantities|verdicts|drawing|parts)\//,
              minShareCount: 2,
            },
          ],
        },
      },
    },
  },
});
