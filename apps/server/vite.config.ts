import { defineConfig } from 'vite';

/** Packages that bring machine code, or start threads from files of their own. */
const UNBUNDLED = ['better-sqlite3', 'pino', 'piscina'];

/** Bundles the server with all that it stands on: a thousand small files take longer to find than to run. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    sourcemap: true,
    rollupOptions: { input: { main: 'src/main.ts', worker: 'src/work/worker.ts' } },
  },
  ssr: { noExternal: true, external: UNBUNDLED },
});
