import {
  DEMO_SHOP,
  pastRuns,
  seasonBuilds,
  seasonRuns,
  stageFloor,
  wagonBuilds,
} from '@lean-clasp/core/demo';
import type { RunDocument } from '@lean-clasp/core/formats';
import { documentStore, openDatabase, prepareFolder, runStore } from '@lean-clasp/store';
import { type Browser, chromium, type Page } from '@playwright/test';
import { CHROMIUM } from '../scripts/lib/chromium.mjs';
import { makeDataFolder, removeFolder, startServer } from '../scripts/lib/server.mjs';

/** What a shop of many years takes to look at. */
export interface ScaleOutcome {
  readonly builds: number;
  readonly runs: number;
  readonly events: number;
  readonly views: readonly {
    readonly view: string;
    /** Median until it can be used, ms: the first visit of a browser, and a later one. */
    readonly firstMs: number;
    readonly laterMs: number;
    /** Longest stretch in which the page did not answer, over all visits, ms. */
    readonly longestTaskMs: number;
    readonly nodes: number;
    readonly heapMb: number;
  }[];
  readonly interactions: readonly { readonly what: string; readonly medianMs: number }[];
  readonly faults: readonly string[];
}

const HOUR_MS = 3_600_000;
/** Between the runs of one shop. */
const EVERY_MS = 4 * HOUR_MS;
const LOADS = 5;
/** Until what is done ahead of its being asked for has ended, ms. */
const SETTLED_MS = 2500;
/** Between looks at whether a view is there, ms. */
const POLL_MS = 200;
const LIMITS = { viewMs: 1000, interactionMs: 100, heapMb: 150, taskMs: 200, nodes: 5000 };

/** Where each view is, and what stands there once it can be used. */
const VIEWS: readonly (readonly [view: string, path: string, ready: string])[] = [
  ['Today', '/', '[aria-label="Worked on last"] a'],
  ['Builds', '/builds', '[aria-label="Builds"] a'],
  ['Shop', '/shop', '[role="group"][aria-label^="Lot of"]'],
  ['Logbook', '/logbook', 'a[href^="/logbook/r"]'],
  ['Trends', '/logbook/trends', '.recharts-surface'],
  ['Learned', '/logbook/learned', 'table'],
  ['A build', '/builds/b0/fit', '[data-verdict="flat"]'],
];

/** Measures every view over a shop of so many runs, a tenth as many builds. */
export async function scale(runs: number): Promise<ScaleOutcome> {
  const data = makeDataFolder();
  const builds = Math.max(1, Math.round(runs / 10));
  const events = await fill(data, builds, runs);
  const server = await startServer({ data });
  const browser = await chromium.launch(CHROMIUM);
  try {
    const views = [];
    for (const [view, path, ready] of VIEWS) {
      views.push({ view, ...(await measureView(browser, `${server.url}${path}`, ready)) });
    }
    const interactions = await measureInteractions(browser, server.url);
    const faults = [
      ...views.flatMap(({ view, firstMs, laterMs, longestTaskMs, nodes, heapMb }) => [
        ...(longestTaskMs > LIMITS.taskMs ? [`${view}: a task of ${longestTaskMs} ms`] : []),
        ...(nodes > LIMITS.nodes ? [`${view}: ${nodes} nodes`] : []),
        ...(Math.max(firstMs, laterMs) > LIMITS.viewMs ? [`${view}: ${firstMs} and ${laterMs} ms`] : []),
        ...(heapMb > LIMITS.heapMb ? [`${view}: ${heapMb} MB`] : []),
      ]),
      ...interactions.flatMap(({ what, medianMs }) =>
        medianMs > LIMITS.interactionMs ? [`${what}: ${medianMs} ms`] : [],
      ),
    ];
    return { builds, runs, events, views, interactions, faults };
  } finally {
    await browser.close();
    await server.stop();
    removeFolder(data);
  }
}

/** Fills a folder with builds and runs like those of the demo. @returns how many events. */
async function fill(data: string, builds: number, runs: number): Promise<number> {
  prepareFolder(data);
  const db = await openDatabase(data);
  const now = Date.now();
  const plain = { check: (body: unknown) => body as object, now: () => now, version: null };
  const shops = documentStore<object>(db, { kind: 'shop', ...plain });
  const documents = documentStore<object>(db, { kind: 'build', ...plain });
  await shops.create('shop', DEMO_SHOP);
  const floor = stageFloor(DEMO_SHOP);
  const models = [...wagonBuilds(), ...seasonBuilds()].map(({ build }) => build);
  for (let i = 0; i < builds; i += 1) {
    await documents.create(`b${i}`, { ...(models[i % models.length] ?? floor), name: `Build ${i}` });
  }
  const store = runStore(db, () => now);
  const like = [...pastRuns(floor, 'b0', DEMO_SHOP, now), ...seasonRuns(DEMO_SHOP, now)];
  let events = 0;
  for (let i = 0; i < runs; i += 1) {
    const run = moved(like[i % like.length] as RunDocument, i, builds, now - i * EVERY_MS);
    const { events: happened, ...head } = run;
    await store.begin(head);
    await store.add(run.id, happened);
    events += happened.length;
  }
  await db.destroy();
  return events;
}

/** A run of its own like another, begun at some other time. */
function moved(run: RunDocument, i: number, builds: number, startedAtMs: number): RunDocument {
  const byMs = startedAtMs - run.startedAtMs;
  const build = i % builds;
  return {
    ...run,
    id: `r${i}`,
    buildId: `b${build}`,
    buildName: `Build ${build}`,
    startedAtMs,
    events: run.events.map((event) => ({ ...event, atMs: event.atMs + byMs })),
  };
}

const median = (values: readonly number[]): number =>
  Math.round([...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0);

/** Notes when something is first on the screen, ms from the beginning of the navigation; looked for by the page itself, which costs least. */
const noteReady = (selector: string): void => {
  const watched = new MutationObserver(() => {
    if (document.querySelector(selector) === null) return;
    watched.disconnect();
    requestAnimationFrame(() => setTimeout(() => performance.mark('ready')));
  });
  watched.observe(document, { childList: true, subtree: true });
};
/** Notes the longest task of the page. */
const noteTasks = (): void => {
  const page = globalThis as { longestTaskMs?: number };
  page.longestTaskMs = 0;
  new PerformanceObserver((list) => {
    for (const { duration } of list.getEntries()) {
      page.longestTaskMs = Math.max(page.longestTaskMs ?? 0, duration);
    }
  }).observe({ type: 'longtask', buffered: true });
};
const readyAt = () => performance.getEntriesByName('ready')[0]?.startTime;

async function measureView(browser: Browser, url: string, ready: string) {
  const first: number[] = [];
  const later: number[] = [];
  let heapMb = 0;
  let nodes = 0;
  const tasks: number[] = [];
  for (let i = 0; i < LOADS; i += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    await page.addInitScript(noteReady, ready);
    await page.addInitScript(noteTasks);
    const open = async () => {
      await page.goto(url, { waitUntil: 'commit' });
      const found = await page.waitForFunction(readyAt, undefined, { polling: POLL_MS });
      return Number(await found.jsonValue());
    };
    first.push(await open());
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.waitForTimeout(SETTLED_MS);
    tasks.push(await longestTask(page));
    later.push(await open());
    await page.waitForTimeout(SETTLED_MS);
    tasks.push(await longestTask(page));
    nodes = Math.max(nodes, await page.evaluate(() => document.querySelectorAll('*').length));
    const cdp = await context.newCDPSession(page);
    await cdp.send('HeapProfiler.collectGarbage');
    const { usedSize } = (await cdp.send('Runtime.getHeapUsage')) as { usedSize: number };
    heapMb = Math.max(heapMb, Math.round(usedSize / 1e6));
    await context.close();
  }
  return {
    firstMs: median(first),
    laterMs: median(later),
    longestTaskMs: Math.round(Math.max(...tasks)),
    nodes,
    heapMb,
  };
}

const longestTask = (page: Page): Promise<number> =>
  page.evaluate(() => (globalThis as { longestTaskMs?: number }).longestTaskMs ?? 0);

/** Ways of using the long lists, each until the screen answers. */
async function measureInteractions(browser: Browser, url: string) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${url}/builds`);
  const find = page.getByLabel('Find by name or project');
  await find.waitFor();
  await page.waitForTimeout(1500);
  const typed = [];
  for (const text of ['Build 7', 'Build 71', 'Build 712', 'Build 71', 'Build 7']) {
    typed.push(await untilPainted(page, () => find.fill(text)));
  }
  const scrolled = [];
  for (let i = 0; i < 5; i += 1) {
    scrolled.push(await untilPainted(page, () => page.mouse.wheel(0, 600)));
  }
  await page.goto(`${url}/logbook`);
  await page
    .getByRole('link', { name: /^Build/ })
    .first()
    .waitFor();
  await page.waitForTimeout(1500);
  const turned = [];
  for (let i = 0; i < 5; i += 1) turned.push(await untilPainted(page, () => page.mouse.wheel(0, 600)));
  await page.close();
  return [
    { what: 'a letter in the search of builds', medianMs: median(typed) },
    { what: 'a turn of the wheel over builds', medianMs: median(scrolled) },
    { what: 'a turn of the wheel over the logbook', medianMs: median(turned) },
  ];
}

/** From an action until the next frame after it is on the screen, ms. */
async function untilPainted(page: Page, act: () => Promise<unknown>): Promise<number> {
  const from = performance.now();
  await act();
  await page.evaluate(() => new Promise((done) => requestAnimationFrame(() => setTimeout(done))));
  return performance.now() - from;
}
