import { join } from 'node:path';
import { ROOT, runForever, tool } from './lib/run.mjs';
import { ensurePackages } from './lib/setup.mjs';

// npm run dev: server and web app, both reloading on change, on demo data of their own.
const PORT = '4620';

ensurePackages();
runForever(tool('concurrently'), [
  '--kill-others',
  '--names',
  'server,web',
  `${tool('tsx')} watch apps/server/src/main.ts --demo --data ${join(ROOT, '.dev-data')} --port ${PORT}`,
  `${tool('vite')} apps/web --config apps/web/vite.config.ts`,
]);
