import { defineConfig } from 'vite';

/** Bundles the server with the workspace packages; npm packages stay outside. */
export default defineConfig({
  build: { ssr: 'src/main.ts', outDir: 'dist', target: 'node20', sourcemap: true },
  ssr: { noExternal: [/^@lean-clasp\//] },
});
