import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

/** Where `npm run dev` keeps its server. */
const DEV_API = process.env.LEAN_CLASP_DEV_API ?? 'http://127.0.0.1:4620';

export default defineConfig({
  plugins: [react()],
  server: { port: 5173, proxy: { '/api': { target: DEV_API } } },
  worker: { format: 'es' },
  build: { target: 'es2022', sourcemap: false, chunkSizeWarningLimit: 900 },
});
