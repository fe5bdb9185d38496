import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, gzipSync } from 'node:zlib';
import { ROOT, run, tool } from './run.mjs';

/** The bundled server, which serves the bundled web app. */
export const SERVER_ENTRY = join(ROOT, 'apps/server/dist/main.js');

/** Bundles the web app and the server; true when both went well. */
export function buildAll() {
  const built = ['apps/web', 'apps/server'].every((folder) =>
    run(tool('vite'), [
      'build',
      join(ROOT, folder),
      '--config',
      join(ROOT, folder, 'vite.config.ts'),
      '--logLevel',
      'warn',
    ]),
  );
  if (built) packWebApp();
  return built;
}

/** What is worth packing; fonts and pictures are packed already. */
const PACKED = /\.(js|css|svg|html)$/;

/** Writes each file of the web app packed beside itself, once, so that the server need not at every request. */
function packWebApp() {
  const root = join(ROOT, 'apps/web/dist');
  for (const name of readdirSync(root, { recursive: true })) {
    if (!PACKED.test(name)) continue;
    const path = join(root, name);
    const plain = readFileSync(path);
    writeFileSync(`${path}.br`, brotliCompressSync(plain));
    writeFileSync(`${path}.gz`, gzipSync(plain, { level: 9 }));
  }
}

/** True when there is something to start. */
export const isBuilt = () => existsSync(SERVER_ENTRY) && existsSync(join(ROOT, 'apps/web/dist/index.html'));
