import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT, run, tool } from './run.mjs';

/** The bundled server, which serves the bundled web app. */
export const SERVER_ENTRY = join(ROOT, 'apps/server/dist/main.js');

/** Bundles the web app and the server; true when both went well. */
export function buildAll() {
  return ['apps/web', 'apps/server'].every((folder) =>
    run(tool('vite'), [
      'build',
      join(ROOT, folder),
      '--config',
      join(ROOT, folder, 'vite.config.ts'),
      '--logLevel',
      'warn',
    ]),
  );
}

/** True when there is something to start. */
export const isBuilt = () => existsSync(SERVER_ENTRY) && existsSync(join(ROOT, 'apps/web/dist/index.html'));
