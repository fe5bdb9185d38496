import { ensurePackages } from './lib/setup.mjs';
import { giveUp } from './lib/run.mjs';
import { buildAll } from './lib/build.mjs';

ensurePackages();
if (!buildAll()) giveUp('The build failed.');
