import { kb, LOADS, LONGEST_MS, median, ms, times } from './figures.mjs';

/** Before the other screens are fetched in the quiet, ms. */
const LATER_MS = 1500;

/** Navigation to the first frame with the four verdicts, nothing in the cache; baseline: a bare picture from the same server. */
export async function measureFirstScreen({ server, browser, report }) {
  const load = (address, selector) => loads(browser, server.url + address, selector);
  const start = await load('/', 'main h2');
  const build = await load('/builds/stage-floor/squeeze', '[data-verdict="flat"]');
  const plain = await load('/mark.svg', 'svg');
  const baseline = `a bare picture: ${ms(plain.ms)}`;
  report('first screen, the start page', ms(start.ms), 'under 600 ms', baseline, times(start.ms, plain.ms));
  report('a build opened by its address', ms(build.ms), 'under 700 ms', baseline, times(build.ms, plain.ms));
  for (const [name, { bytes }] of [
    ['the start page', start],
    ['a build', build],
  ]) {
    report(
      `JavaScript for ${name}, packed, beside the worker’s ${kb(bytes.worker)}`,
      kb(bytes.shown),
      'under 300 kB',
      `a moment later, charts and all: ${kb(bytes.later)}`,
      times(bytes.shown, bytes.later),
    );
  }
}

/** Median time from navigation to the first frame with something on show, as the page sees it, and the bytes of script. */
async function loads(browser, url, selector) {
  const took = [];
  let bytes = { shown: 0, later: 0, worker: 0 };
  for (let i = 0; i < LOADS; i += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.addInitScript((wanted) => {
      const look = () =>
        requestAnimationFrame(() => {
          if (document.querySelector(wanted) === null) look();
          else requestAnimationFrame(() => (globalThis.shownAfterMs = performance.now()));
        });
      look();
    }, selector);
    await page.goto(url, { waitUntil: 'commit' });
    const shown = await page.waitForFunction(() => globalThis.shownAfterMs, undefined, {
      timeout: LONGEST_MS,
    });
    took.push(await shown.jsonValue());
    // The worker's script counts once it is there, and so does what comes of itself after.
    await page.waitForTimeout(LATER_MS);
    bytes = await page.evaluate(() => {
      const scripts = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js'));
      const sum = (of) => of.reduce((total, { transferSize }) => total + transferSize, 0);
      const isWorker = ({ name }) => name.includes('.worker-');
      const ofPage = scripts.filter((script) => !isWorker(script));
      return {
        shown: sum(ofPage.filter(({ startTime }) => startTime <= globalThis.shownAfterMs)),
        later: sum(ofPage),
        worker: sum(scripts.filter(isWorker)),
      };
    });
    await context.close();
  }
  return { ms: median(took), bytes };
}
