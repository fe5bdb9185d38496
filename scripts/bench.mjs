import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { chromium } from '@playwright/test';
import { sample } from 'fast-check';
import { tsImport } from 'tsx/esm/api';
import { buildAll } from './lib/build.mjs';
import { startBareServer } from './lib/bare-server.mjs';
import { CHROMIUM } from './lib/chromium.mjs';
import { giveUp } from './lib/run.mjs';
import { makeDataFolder, removeFolder, startServer } from './lib/server.mjs';
import { wholePanelTimes } from './lib/whole-panel.mjs';
import { ensureChromium, ensurePackages } from './lib/setup.mjs';

// npm run bench: what a person feels, each figure beside a baseline measured in the same run on the same machine.
// npm run bench -- screen pressure: these only.

const TEST_SUPPORT = '../packages/core/src/test-support';
/** Half a minute of typing, its first strokes included. */
const EDITS = 120;
/** An answer that takes longer is not coming. */
const LONGEST_MS = 10_000;
/** Between keys of a quick typist. */
const KEY_EVERY_MS = 250;
const LOADS = 5;
/** Edits after which fixes are waited for, with time in between for all that an edit sets off. */
const [FIX_EDITS, AFTER_FIXES_MS] = [12, 800];
/** Edits sent one after another in one go, and how often the two servers take turns. */
const SENT = 100;
const TURNS = 4;

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
];
const LARGE_EDITS = 30;
const LOOKED_AT_MS = 2000;
const VERDICTS = 'section[aria-label="Verdicts"]';

/** Kinds that come small and large: the longest row, and the kind with most parts. */
const GROWING = [
  {
    name: 'boards of a panel',
    answers: (boards) => ['edge-panel', { boards, widthMm: 25 * boards, lengthMm: 1200 }],
    counts: [2, 5, 10, 20, 40],
  },
  {
    name: 'slats on three rails',
    answers: (slats) => ['slatted-frame', { slats, rails: 3, betweenLegsMm: 300 + 60 * slats }],
    counts: [2, 6, 12, 24],
  },
];
const GROWING_ROUNDS = 3;

const sorted = (values) => [...values].sort((a, b) => a - b);
const median = (values) => sorted(values)[Math.floor(values.length / 2)];
const p95 = (values) => sorted(values)[Math.ceil(values.length * 0.95) - 1];
const ms = (value) => `${value.toFixed(value < 10 ? 1 : 0)} ms`;
const kb = (bytes) => `${(bytes / 1000).toFixed(0)} kB`;
const mb = (bytes) => `${(bytes / 1e6).toFixed(0)} MB`;

const rows = [];
function report(name, figure, target, baseline = '', ratio = '') {
  rows.push({ name, figure, target, baseline, ratio });
}

const MEASURES = {
  start: measureServerStart,
  kept: measureKept,
  screen: measureFirstScreen,
  edits: measureEdits,
  large: async () => {
    for (const build of LARGE) await measureLarge(build);
  },
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

try {
  for (const [name, measure] of Object.entries(MEASURES)) {
    if (asked.length === 0 || asked.includes(name)) await measure();
  }
} finally {
  await browser.close();
  await server.stop();
  removeFolder(data);
}
console.table(rows);

/** Spawn to first answer, on data that is already there; baseline: Node starting and ending. */
async function measureServerStart() {
  const folder = makeDataFolder();
  await (await startServer({ data: folder, demo: true })).stop();
  const starts = [];
  for (let i = 0; i < LOADS; i += 1) {
    const again = await startServer({ data: folder, demo: true });
    starts.push(again.readyMs);
    await again.stop();
  }
  removeFolder(folder);
  const bare = Array.from({ length: LOADS }, () => {
    const startedAt = performance.now();
    spawnSync(process.execPath, ['-e', '0']);
    return performance.now() - startedAt;
  });
  report(
    'server start',
    ms(median(starts)),
    '',
    `node -e 0: ${ms(median(bare))}`,
    times(median(starts), median(bare)),
  );
}

/** Edits that the server keeps in a second, one after another; baseline: the least that keeps them as safely. */
async function measureKept() {
  const build = await (await fetch(`${server.url}/api/builds/stage-floor`)).json();
  const folder = makeDataFolder();
  const bare = await startBareServer({ folder, body: build.body });
  let [revision, name] = [build.revision, build.body.name];
  const send = async (url) => {
    const next = `Floor ${revision}`;
    const response = await fetch(url, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id: `bench-${revision}`,
        baseRevision: revision,
        kind: 'edit',
        label: 'Name',
        group: 'bench',
        patch: [{ op: 'replace', path: '/name', value: next }],
        inverse: [{ op: 'replace', path: '/name', value: name }],
      }),
    });
    if (!response.ok) throw new Error(await response.text());
    await response.json();
    return next;
  };
  const rates = { ours: [], bare: [] };
  for (let turn = 0; turn <= TURNS; turn += 1) {
    let from = performance.now();
    for (let i = 0; i < SENT; i += 1) {
      name = await send(`${server.url}/api/builds/stage-floor`);
      revision += 1;
    }
    const ours = SENT / ((performance.now() - from) / 1000);
    from = performance.now();
    for (let i = 0; i < SENT; i += 1) await send(`${bare.url}/one`);
    // The first turn warms both.
    if (turn === 0) continue;
    rates.ours.push(ours);
    rates.bare.push(SENT / ((performance.now() - from) / 1000));
  }
  await bare.stop();
  removeFolder(folder);
  const share = median(rates.ours) / median(rates.bare);
  report(
    'edits kept in a second',
    median(rates.ours).toFixed(0),
    'at least 60 % of the baseline',
    `a bare server: ${median(rates.bare).toFixed(0)}`,
    `${(100 * share).toFixed(0)} %`,
  );
}

/** Navigation to the first frame with the four verdicts, nothing in the cache; baseline: a bare picture from the same server. */
async function measureFirstScreen() {
  const start = await loads('/', 'main h2');
  const build = await loads('/builds/stage-floor/squeeze', '[data-verdict="flat"]');
  const plain = await loads('/mark.svg', 'svg');
  const baseline = `a bare picture: ${ms(plain.ms)}`;
  report('first screen, the start page', ms(start.ms), 'under 600 ms', baseline, times(start.ms, plain.ms));
  report('a build opened by its address', ms(build.ms), 'under 700 ms', baseline, times(build.ms, plain.ms));
  for (const [name, { bytes }] of [
    ['the start page', start],
    ['a build', build],
  ]) {
    report(
      `JavaScript for ${name}, packed, beside the worker’s ${kb(bytes.worker)}`,
      kb(bytes.page),
      'under 300 kB',
    );
  }
}

/** Median time from navigation to the first frame with something on show, as the page sees it, and the bytes of script. */
async function loads(address, selector) {
  const took = [];
  let bytes = { page: 0, worker: 0 };
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
    await page.goto(server.url + address, { waitUntil: 'commit' });
    const shown = await page.waitForFunction(() => globalThis.shownAfterMs, undefined, {
      timeout: LONGEST_MS,
    });
    took.push(await shown.jsonValue());
    // The worker's script counts once it is there, however late.
    await page.waitForTimeout(KEY_EVERY_MS);
    bytes = await page.evaluate(() => {
      const scripts = performance.getEntriesByType('resource').filter(({ name }) => name.endsWith('.js'));
      const sum = (of) => of.reduce((total, { transferSize }) => total + transferSize, 0);
      const isWorker = ({ name }) => name.includes('.worker-');
      return {
        page: sum(scripts.filter((script) => !isWorker(script))),
        worker: sum(scripts.filter(isWorker)),
      };
    });
    await context.close();
  }
  return { ms: median(took), bytes };
}

/** Keystroke to the new verdict painted; baseline: keystroke to its own character in the name field. */
async function measureEdits() {
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

/** The same for an assembly of many parts. */
async function measureLarge({ name, answers, field, textOf }) {
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

/** Plans from two parts up, in this process: verdicts by estimates, then the elements; baseline: the smallest of its kind. */
async function measureGrowth() {
  const core = (path) => tsImport(`../packages/core/src/${path}.ts`, import.meta.url);
  const { planBuild, settlePlan } = await core('plan/index');
  const { newBuild } = await core('templates/index');
  const { TEST_SHOP } = await core('test-support/builds');
  for (const { name, answers, counts } of GROWING) {
    let smallest = null;
    for (const count of counts) {
      const [template, given] = answers(count);
      let next = 0;
      const start = { template, name: 'Growing', project: '', service: 'dry', answers: given };
      const build = newBuild(start, TEST_SHOP, () => `g-${(next += 1)}`);
      const timed = Array.from({ length: GROWING_ROUNDS }, () => {
        const startedAt = performance.now();
        const plan = planBuild(build, TEST_SHOP);
        const plannedAt = performance.now();
        settlePlan(plan);
        return {
          parts: plan.facts.parts.length,
          planMs: plannedAt - startedAt,
          settleMs: performance.now() - plannedAt,
        };
      });
      const { parts, planMs, settleMs } = timed.reduce((a, b) => (b.planMs < a.planMs ? b : a));
      smallest ??= { parts, planMs };
      report(
        `plan of ${parts} parts (${name}), elements after it`,
        `${ms(planMs)} + ${ms(settleMs)}`,
        'under 100 ms',
        `${smallest.parts} parts: ${ms(smallest.planMs)}`,
        times(planMs, smallest.planMs),
      );
    }
  }
}

/** Sessions and order of 40 parts over HTTP, all attempts; baseline: half as many parts. */
async function measureSequence() {
  const [whole, half] = [await sequenceOf(40, 60), await sequenceOf(20, 30)];
  report(
    `sequence of 40 parts, 60 joints: ${whole.sessions} sessions, at least ${whole.leastSessions}`,
    ms(whole.took),
    'under 10 s',
    `20 parts, 30 joints: ${ms(half.took)}`,
    times(whole.took, half.took),
  );
  await measureProofs();
}

/** Orders of tight assemblies over HTTP; baseline: an exact programme that goes through all states, in this process. */
async function measureProofs() {
  const { tightAssemblies } = await tsImport(`${TEST_SUPPORT}/random-assemblies.ts`, import.meta.url);
  const { exactSequence } = await tsImport(`${TEST_SUPPORT}/exact-sequence.ts`, import.meta.url);
  for (const [joints, target, compared] of [
    [12, 'under 100 ms', 20],
    [20, 'under 10 s', 0],
  ]) {
    const took = [];
    const exact = [];
    let proven = 0;
    const inputs = sample(tightAssemblies({ least: joints, most: joints }), { seed: 3, numRuns: 200 })
      .filter((input) => input.joints.length === joints)
      .slice(0, 30);
    for (const [i, input] of inputs.entries()) {
      const startedAt = performance.now();
      const { status } = await calculated('sequence', input);
      took.push(performance.now() - startedAt);
      // What can never be made is told, with the joints that hold each other, which is an answer too.
      if (status !== 'best-found') proven += 1;
      if (i >= compared) continue;
      const exactAt = performance.now();
      exactSequence(input);
      exact.push(performance.now() - exactAt);
    }
    report(
      `order of ${joints} joints, ${inputs.length} times: ${proven} proven`,
      `${ms(median(took))}, 95 % ${ms(p95(took))}`,
      target,
      compared === 0 ? '' : `all states: ${ms(median(exact))}`,
      compared === 0 ? '' : times(median(took), median(exact)),
    );
  }
}

async function calculated(name, input) {
  const response = await fetch(`${server.url}/api/calc/${name}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(input),
  });
  const answer = await response.json();
  return answer.output ?? answer;
}

/**
 * Pressure along the lines over HTTP, nothing remembered; baseline: SuperLU over the whole panel on the same mesh with the
 * same contact, where Debian's python3-scipy is there, or else one banded factor of it in this process.
 */
async function measurePressure() {
  const boards = (n, widthOf) =>
    Array.from({ length: n }, (_, i) => ({ widthMm: widthOf(i), species: 'hard-maple', cut: 'flat' }));
  const clamps = (n, lengthMm, forceN) =>
    Array.from({ length: n }, (_, i) => ({ xMm: (lengthMm * (i + 0.5)) / n, forceN, padMm: 30 }));
  const hollow = (deepMm) => [{ line: 1, profileMm: [0, 0.625, 1, 0.625, 0].map((share) => share * deepMm) }];
  const different = boards(5, (i) => 100 + 7 * i);
  const panels = [
    ['5 boards of 1 m', { boards: boards(5, () => 120), lengthMm: 1000, clamps: clamps(4, 1000, 3000) }],
    [
      '5 different boards, a hollow line pulled shut',
      { boards: different, lengthMm: 1000, clamps: clamps(6, 1000, 3000), gaps: hollow(0.8) },
    ],
    [
      '5 different boards, a line that stays open',
      { boards: different, lengthMm: 1000, clamps: clamps(6, 1000, 900), gaps: hollow(3) },
    ],
    ['20 boards of 3 m', { boards: boards(20, () => 120), lengthMm: 3000, clamps: clamps(12, 3000, 3000) }],
    [
      '20 different boards of 3 m',
      { boards: boards(20, (i) => 80 + 4 * i), lengthMm: 3000, clamps: clamps(12, 3000, 3000) },
    ],
  ];
  for (const [name, panel] of panels) {
    const took = [];
    for (let i = 0; i < LOADS; i += 1) {
      const startedAt = performance.now();
      await calculated('panel-pressure', { thicknessMm: 20, ...panel });
      took.push(performance.now() - startedAt);
    }
    const { by, times: whole } = await wholePanelTimes({ thicknessMm: 20, ...panel }, LOADS);
    report(
      `panel-pressure, ${name}`,
      ms(median(took)),
      'a third of it',
      `${by}: ${ms(median(whole))}`,
      times(median(took), median(whole)),
    );
  }
}

/** A chain of parts with every few of them tied together again, and clamps for some of it at a time. */
async function sequenceOf(parts, joints) {
  const names = Array.from({ length: parts }, (_, i) => `p${i}`);
  const pairs = [
    ...names.slice(1).map((_, i) => [i, i + 1]),
    ...names.map((_, i) => [i, (i * 7 + 5) % parts]).filter(([a, b]) => Math.abs(a - b) > 1),
  ].slice(0, joints);
  const input = {
    parts: names,
    joints: pairs.map(([a, b], i) => ({
      id: `j${i}`,
      a: names[a],
      b: names[b],
      spreadMin: 0.3 + 0.1 * (i % 4),
      closeMin: 0.4,
      clampMin: 0.3,
      release: ['any'],
      clamps: { bar: 1 },
    })),
    window: { openMin: 6, closedMin: 8, totalMin: 12 },
    crew: 2,
    clamps: { bar: 24 },
    clampTimeMin: 45,
    marginShare: 0.1,
  };
  const startedAt = performance.now();
  const { sessions, leastSessions } = await calculated('sequence', input);
  return { took: performance.now() - startedAt, sessions: sessions.length, leastSessions };
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

function times(value, base) {
  return `${(value / base).toFixed(1)} ×`;
}
