import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { buildAll, SERVER_ENTRY } from './lib/build.mjs';
import { giveUp, ROOT, runBeside, runForever, tool } from './lib/run.mjs';
import { ensurePackages } from './lib/setup.mjs';

// npm run demo -- [--reset] [--port N] [--host H]: the Lantern Wagon in a data folder of its own.
const DATA = join(ROOT, '.demo-data');
const args = process.argv.slice(2);

ensurePackages();
if (!buildAll()) giveUp('The build failed.');
if (args.includes('--reset')) rmSync(DATA, { recursive: true, force: true });
// The wagon shed's air, simulated; the demo goes on without it.
runBeside(tool('lean-clasp'), ['sensor']);
runForever(process.execPath, [
  SERVER_ENTRY,
  '--demo',
  '--sensor',
  'http://127.0.0.1:4630/air',
  '--data',
  DATA,
  ...args.filter((arg) => arg !== '--reset'),
]);
