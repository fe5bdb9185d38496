import { chromium } from '@playwright/test';
import { measureDrag } from './bench/drag.mjs';
import { measureEdits, measureLarge } from './bench/edits.mjs';
import { measureGrowth } from './bench/growth.mjs';
import { measurePressure } from './bench/pressure.mjs';
import { measureFirstScreen } from './bench/screens.mjs';
import { measureSequence } from './bench/sequence.mjs';
import { measureKept, measureServerStart } from './bench/server.mjs';
import { buildAll } from './lib/build.mjs';
import { CHROMIUM } from './lib/chromium.mjs';
import { giveUp } from './lib/run.mjs';
import { makeDataFolder, removeFolder, startServer } from './lib/server.mjs';
import { ensureChromium, ensurePackages } from './lib/setup.mjs';

// npm run bench: what a person feels, each figure beside a baseline measured in the same run on the same machine.
// npm run bench -- screen pressure: these only.

const MEASURES = {
  start: measureServerStart,
  kept: measureKept,
  screen: measureFirstScreen,
  edits: measureEdits,
  large: measureLarge,
  drag: measureDrag,
  growth: measureGrowth,
  sequence: measureSequence,
  pressure: measurePressure,
};
const asked = process.argv.slice(2);
const unknown = asked.filter((name) => !(name in MEASURES));
if (unknown.length > 0) {
  giveUp(`No measure is called ${unknown.join(', ')}; there are ${Object.keys(MEASURES).join(', ')}.`);
}

ensurePackages();
ensureChromium();
if (!buildAll()) giveUp('The build failed.');
const data = makeDataFolder();
const server = await startServer({ data, demo: true });
const browser = await chromium.launch(CHROMIUM);

const rows = [];
const report = (name, figure, target, baseline = '', ratio = '') =>
  rows.push({ name, figure, target, baseline, ratio });

try {
  for (const [name, measure] of Object.entries(MEASURES)) {
    if (asked.length === 0 || asked.includes(name)) await measure({ server, browser, report });
  }
} finally {
  await browser.close();
  await server.stop();
  removeFolder(data);
}
console.table(rows);
