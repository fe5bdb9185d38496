import { readFileSync } from 'node:fs';
import { KEY_EVERY_MS, LONGEST_MS, mb, median, ms, p95, times } from './figures.mjs';

/** Half a minute of typing, its first strokes included. */
const EDITS = 120;

/** Edits after which fixes are waited for, with time in between for all that an edit sets off. */
const [FIX_EDITS, AFTER_FIXES_MS] = [12, 800];

/** Kinds at their largest, with a question that is asked again and again. */
const LARGE = [
  {
    name: '24 slats on three rails',
    answers: { template: 'slatted-frame', answers: { slats: 24, rails: 3, betweenLegsMm: 1800 } },
    field: 'Slat thickness',
    // Far enough apart for a verdict to say another figure.
    textOf: (i) => String(i % 2 === 0 ? 8 + (i % 15) : 24 - (i % 15)),
  },
  {
    name: 'a bend of 30 plies',
    answers: { template: 'bent-lamination', answers: { plyMm: 1, thicknessMm: 30 } },
    field: 'Width',
    textOf: (i) => String(i % 2 === 0 ? 150 + 4 * (i % 15) : 50 + 4 * (i % 15)),
  },
  {
    // Few parts, but sessions to be worked out anew with each size.
    name: 'a case of five shelves',
    answers: { template: 'case', answers: { shelves: 5, heightMm: 1800, widthMm: 900, depthMm: 300 } },
    field: 'Depth',
    textOf: (i) => String(i % 2 === 0 ? 250 + 4 * (i % 15) : 380 - 4 * (i % 15)),
  },
];

const LARGE_EDITS = 30;
const LOOKED_AT_MS = 2000;
const VERDICTS = 'section[aria-label="Verdicts"]';

/** Keystroke to the new verdict painted; baseline: keystroke to its own character in the name field. */
export async function measureEdits({ server, browser, report }) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.url}/builds/stage-floor/squeeze`);
  const verdict = page.locator('[data-verdict="tight"]');
  await verdict.waitFor();
  const pull = page.getByRole('textbox', { name: 'Pulled to' });
  const toVerdict = await typing(
    page,
    pull,
    (i) => String(40 + (i % 60)),
    '[data-verdict="tight"]',
    KEY_EVERY_MS,
  );
  const hammered = await typing(page, pull, (i) => String(40 + (i % 60)), '[data-verdict="tight"]', 0);
  const name = page.getByLabel('Name of the build');
  const toEcho = await typing(page, name, (i) => `Stage floor ${i}`, null, KEY_EVERY_MS);
  const fixes = await timeToFixes(page, pull);
  report(
    'edit → verdict, median',
    ms(median(toVerdict)),
    'under 50 ms',
    `echo of a key: ${ms(median(toEcho))}`,
    times(median(toVerdict), median(toEcho)),
  );
  report(
    'edit → verdict, 95 %',
    ms(p95(toVerdict)),
    'under 50 ms',
    `echo of a key: ${ms(p95(toEcho))}`,
    times(p95(toVerdict), p95(toEcho)),
  );
  report(
    'edits without a pause → verdict, median',
    ms(median(hammered)),
    '',
    `at a typist's pace: ${ms(median(toVerdict))}`,
    times(median(hammered), median(toVerdict)),
  );
  report(
    'edit → fixes worked out, median',
    ms(median(fixes)),
    'under 250 ms',
    `verdict: ${ms(median(toVerdict))}`,
    times(median(fixes), median(toVerdict)),
  );
  const heap = await page.evaluate(() => performance.memory.usedJSHeapSize);
  report('memory of the page (scripts)', mb(heap), 'under 150 MB');
  const rss =
    Number(/VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1]) * 1024;
  report('memory of the server', mb(rss), 'under 200 MB');
  await page.close();
}

/** The same for assemblies of many parts. */
export async function measureLarge(bench) {
  for (const build of LARGE) await measureLargeOne(bench, build);
}

/** The same for one assembly of many parts. */
async function measureLargeOne({ server, browser, report }, { name, answers, field, textOf }) {
  const response = await fetch(`${server.url}/api/builds`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, project: '', service: 'dry', ...answers }),
  });
  const { id } = await response.json();
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${server.url}/builds/${id}/fit`);
  const asked = page.getByRole('textbox', { name: field, exact: true });
  await asked.waitFor();
  await page.locator('[data-verdict="inTime"]').waitFor();
  // Nobody types before the page has been looked at.
  await page.waitForTimeout(LOOKED_AT_MS);
  const toVerdict = await typing(page, asked, textOf, VERDICTS, KEY_EVERY_MS, LARGE_EDITS);
  // Weighed over the whole assembly: the plan is all there once it says another weight.
  const toPlan = await typing(page, asked, textOf, '[data-testid="weight"]', KEY_EVERY_MS, LARGE_EDITS);
  const toEcho = await typing(
    page,
    page.getByLabel('Name of the build'),
    (i) => `${name} ${i}`,
    null,
    KEY_EVERY_MS,
    LARGE_EDITS,
  );
  report(
    `${name}: edit → verdict, median and 95 %`,
    `${ms(median(toVerdict))}, ${ms(p95(toVerdict))}`,
    'under 100 ms',
    `echo of a key: ${ms(median(toEcho))}`,
    times(median(toVerdict), median(toEcho)),
  );
  report(
    `${name}: edit → all of the plan, median`,
    ms(median(toPlan)),
    '',
    `verdict: ${ms(median(toVerdict))}`,
    times(median(toPlan), median(toVerdict)),
  );
  await page.close();
}

/**
 * Milliseconds from an input event to the next frame after `watched` changed (or the field itself), with a
 * pause before each edit.
 */
async function typing(page, field, textOf, watched, pauseMs, edits = EDITS) {
  const times = [];
  for (let i = 0; i < edits; i += 1) {
    await page.waitForTimeout(pauseMs);
    await page.evaluate((selector) => {
      globalThis.measured = new Promise((done) => {
        let startedAt = 0;
        document.addEventListener('input', () => (startedAt = performance.now()), {
          once: true,
          capture: true,
        });
        const finish = () => requestAnimationFrame(() => done(performance.now() - startedAt));
        if (selector === null) {
          document.addEventListener('input', () => finish(), { once: true });
        } else {
          const seen = new MutationObserver(() => {
            // Still the answer to the key before.
            if (startedAt === 0) return;
            seen.disconnect();
            finish();
          });
          seen.observe(document.querySelector(selector), {
            subtree: true,
            childList: true,
            characterData: true,
            attributes: true,
          });
        }
      });
    }, watched);
    await field.fill(textOf(i));
    const took = await page.evaluate(
      (longest) =>
        Promise.race([globalThis.measured, new Promise((late) => setTimeout(late, longest, null))]),
      LONGEST_MS,
    );
    if (took === null)
      throw new Error(`${watched} did not change within ${LONGEST_MS} ms of "${textOf(i)}".`);
    times.push(took);
  }
  return times;
}

/** Milliseconds from an input event to the frame in which fixes for the new state may be taken. */
async function timeToFixes(page, pull) {
  await page.locator('[data-verdict="inTime"]').click();
  const offered = page
    .getByRole('region', { name: 'In time in detail' })
    .getByRole('button', { name: /^Do it/ });
  await offered.first().waitFor();
  const times = [];
  for (let i = 0; i < FIX_EDITS; i += 1) {
    await page.waitForTimeout(AFTER_FIXES_MS);
    await page.evaluate(() => {
      globalThis.taken = new Promise((done) => {
        document.addEventListener(
          'input',
          () => {
            const startedAt = performance.now();
            let old = false;
            const look = () => {
              const button = document.querySelector(
                '[aria-label="In time in detail"] button[aria-label^="Do it"]',
              );
              old ||= button?.disabled !== false;
              if (old && button?.disabled === false) done(performance.now() - startedAt);
              else requestAnimationFrame(look);
            };
            requestAnimationFrame(look);
          },
          { capture: true, once: true },
        );
      });
    });
    await pull.fill(String(60 + i));
    times.push(await page.evaluate(() => globalThis.taken));
  }
  return times;
}
