import { defineConfig } from 'vite';

/** Bundles the server with the workspace packages; npm packages stay outside. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: 'dist',
    target: 'node20',
    sourcemap: true,
    rollupOptions: { input: { main: 'src/main.ts', worker: 'src/work/worker.ts' } },
  },
  ssr: { noExternal: [/^@lean-clasp\//] },
});
