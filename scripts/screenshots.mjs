import { mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { chromium } from '@playwright/test';
import { buildAll } from './lib/build.mjs';
import { CHROMIUM } from './lib/chromium.mjs';
import { giveUp, ROOT } from './lib/run.mjs';
import { makeDataFolder, removeFolder, startServer } from './lib/server.mjs';
import { ensureChromium, ensurePackages } from './lib/setup.mjs';

// npm run screenshots: one picture of each main view from the demo's data, for the README.

const FLOOR = '/builds/stage-floor';

/** Name, address, how it is liked, and what is done before the picture. */
const PICTURES = [
  ['today', '/'],
  ['builds', '/builds'],
  // Before anything is run, which would tie its clamps up.
  ['shop', '/shop'],
  ['fit', `${FLOOR}/fit`],
  ['glue', `${FLOOR}/glue`],
  ['order', `${FLOOR}/order`],
  ['squeeze', `${FLOOR}/squeeze`, {}, placeClamps],
  ['assembly-squeeze', '/builds/trestle-feet/squeeze', { theme: 'lamp', units: 'imperial' }, placeStack],
  ['rehearse', `${FLOOR}/rehearse`],
  ['practice', '/builds/scenery-flats/rehearse', {}, firstMishap],
  ['glue-up', `${FLOOR}/glue-up`],
  ['bench', `${FLOOR}/glue-up`, { theme: 'lamp' }, runSomeSteps],
  ['bench-case', '/builds/costume-trunk/glue-up', {}, runSomeSteps],
  ['bench-reading', '/builds/scenery-flats/glue-up', { theme: 'lamp' }, readDiagonals],
  ['bench-post', '/builds/lamp-posts/glue-up', {}, runSomeSteps],
  ['record', '/logbook/season-12', {}, showWhatWentWrong],
  ['logbook', '/logbook'],
  ['trends', '/logbook/trends'],
  ['sums', '/sums/quad'],
];

ensurePackages();
ensureChromium();
if (!buildAll()) giveUp('The build failed.');
const folder = join(ROOT, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
const data = makeDataFolder();
const server = await startServer({ data, demo: true });
const browser = await chromium.launch(CHROMIUM);

try {
  for (const [name, address, liking = {}, act] of PICTURES) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const kept = JSON.stringify({ sound: false, speech: false, ...liking });
    await context.addInitScript((text) => localStorage.setItem('lean-clasp.preferences', text), kept);
    const page = await context.newPage();
    await page.goto(server.url + address, { waitUntil: 'networkidle' });
    if (act !== undefined) await act(page);
    // Fixes come a moment after the verdicts.
    await page.waitForTimeout(1500);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    process.stdout.write(`docs/screenshots/${name}.png\n`);
    await context.close();
  }
} finally {
  await browser.close();
  await server.stop();
  removeFolder(data);
}

async function showWhatWentWrong(page) {
  await page.getByRole('heading', { name: 'What went wrong?' }).scrollIntoViewIfNeeded();
  await page.mouse.wheel(0, 400);
}

async function placeStack(page) {
  await page.getByRole('button', { name: 'Place clamps' }).click();
  await page.getByText(/^\d+ clamps: lowest/).waitFor({ timeout: 60_000 });
  await page.getByRole('heading', { name: 'Down' }).scrollIntoViewIfNeeded();
}

/** Both diagonals of a frame, read and answered. */
async function readDiagonals(page) {
  await page.getByRole('button', { name: /Start the clock/ }).click();
  const diagonals = page.getByRole('heading', { level: 1, name: 'Read both diagonals' });
  await page.getByRole('timer').waitFor();
  while (!(await diagonals.isVisible())) {
    await page.keyboard.press('Space');
    await page.waitForTimeout(450);
  }
  for (const [label, digits] of [
    ['A–C', '1506'],
    ['B–D', '1500'],
  ]) {
    await page.getByLabel(label, { exact: true }).focus();
    for (const digit of digits) await page.getByRole('button', { name: digit, exact: true }).click();
  }
  await page.getByRole('button', { name: 'That is what I read' }).click();
}

/** A session played until something goes wrong. */
async function firstMishap(page) {
  await page.getByRole('button', { name: 'Play it' }).click();
  await page.getByRole('button', { name: '×8' }).click();
  await page.getByRole('alertdialog').waitFor({ timeout: 120_000 });
}

async function runSomeSteps(page) {
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await page.getByRole('timer').waitFor();
  for (let i = 0; i < 4; i += 1) {
    await page.waitForTimeout(900);
    await page.keyboard.press('Space');
  }
}

/** Clamps of the panel placed by search. */
async function placeClamps(page) {
  await page.getByRole('button', { name: 'Place clamps' }).click();
  await page.getByText(/^\d clamps: lowest/).waitFor({ timeout: 60_000 });
}

/** Sessions of an assembly, worked out as the person would have them. */
