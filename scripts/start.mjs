import { buildAll, isBuilt, SERVER_ENTRY } from './lib/build.mjs';
import { giveUp, runForever } from './lib/run.mjs';
import { ensurePackages } from './lib/setup.mjs';

// npm start -- --data DIR --port N --host H
ensurePackages();
if (!isBuilt() && !buildAll()) giveUp('The build failed.');
runForever(process.execPath, [SERVER_ENTRY, ...process.argv.slice(2)]);
