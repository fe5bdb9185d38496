import type { Page } from '@playwright/test';
import { expect, prefer, test } from './fixtures';

/** What of a run is looked at here, as the server has it. */
interface Run {
  readonly startedAtMs: number;
  readonly script: {
    readonly operations: readonly {
      readonly id: string;
      readonly endMin: number;
      readonly startMin: number;
      readonly after: readonly string[];
      readonly wait: { readonly min: number; readonly until: string } | null;
    }[];
    readonly fuses: readonly {
      readonly lit: string;
      readonly closed: string;
      readonly holds: readonly string[];
      readonly openMin: number;
      readonly closedMin: number;
      readonly totalMin: number;
    }[];
  };
  readonly events: readonly {
    readonly id: string;
    readonly kind: string;
    readonly operation?: string;
    readonly atMs: number;
  }[];
}

const NOON = new Date('2026-04-14T12:00:00').getTime();
const MINUTE = 60_000;

/** The shortest fuse at an instant, min, reckoned here from what was told alone; null where none burns. */
function shortestAt({ startedAtMs, script, events }: Run, nowMs: number): number | null {
  const done = new Map<string, number>();
  for (const { kind, operation, atMs } of events) {
    if (operation !== undefined && kind === 'done') done.set(operation, atMs);
  }
  const begun = (id: string): number => {
    const after = script.operations.find((each) => each.id === id)?.after ?? [];
    return after.reduce((latest, each) => Math.max(latest, done.get(each) ?? Infinity), startedAtMs);
  };
  const left = script.fuses.flatMap(({ lit, closed, holds, openMin, closedMin, totalMin }) => {
    const litAt = begun(lit);
    if (litAt === Infinity || holds.every((id) => done.has(id))) return [];
    const closedAt = done.get(closed);
    const limit = closedAt === undefined ? litAt + openMin * MINUTE : closedAt + closedMin * MINUTE;
    return [(Math.min(litAt + totalMin * MINUTE, limit) - nowMs) / MINUTE];
  });
  return left.length === 0 ? null : Math.min(...left);
}

const minutesOf = (text: string): number => {
  const [, sign = '', minutes = '0', seconds = '0'] = /^(−?)(\d+):(\d\d)/.exec(text) ?? [];
  return (sign === '' ? 1 : -1) * (Number(minutes) + Number(seconds) / 60);
};

async function runAt(page: Page, url: string): Promise<Run> {
  const id = new URL(page.url()).pathname.split('/').at(-1) ?? '';
  return (await (await page.request.get(`${url}/api/runs/${id}`)).json()) as Run;
}

/** From the first bead to the last clamp, key by key. Returns how many steps there were. */
async function runThrough(page: Page, url: string, reloadEvery: number): Promise<number> {
  const steps = Number((await page.getByText(/^1 of \d+$/).textContent())?.split(' ').at(-1));
  for (let step = 1; step <= steps; step += 1) {
    await expect(page.getByText(`${step} of ${steps}`, { exact: true })).toBeVisible();
    await page.clock.runFor('00:02');
    const wait = page.getByRole('status').filter({ hasText: /^in / });
    if (await wait.isVisible()) {
      await page.keyboard.press('Space');
      await expect(wait).toBeHidden();
      await page.clock.runFor('00:01');
    }
    await page.keyboard.press('Space');
    if (step < steps && step % reloadEvery === 0) {
      await expect(page.getByText(`${step + 1} of ${steps}`, { exact: true })).toBeVisible();
      await page.reload();
      await expect(page.getByText(`${step + 1} of ${steps}`, { exact: true })).toBeVisible();
    }
    if (step === Math.ceil(steps / 3)) await compareFuse(page, url, step);
  }
  return steps;
}

/** What stands large on the screen, against a replay of what the server was told; the same to a second. */
async function compareFuse(page: Page, url: string, step: number): Promise<void> {
  await expect
    .poll(async () => (await runAt(page, url)).events.filter(({ kind }) => kind === 'done').length)
    .toBe(step);
  await page.clock.runFor(500);
  const nowMs = await page.evaluate(() => Date.now());
  const shortest = shortestAt(await runAt(page, url), nowMs);
  if (shortest === null) return;
  const shown = minutesOf((await page.getByRole('timer').textContent()) ?? '');
  if (shortest < 60) expect(Math.abs(shown - shortest)).toBeLessThanOrEqual(1.1 / 60);
}

const BUILDS = [
  ['stage-floor', 'a panel in one go'],
  ['boarding-platform', 'a panel board by board'],
  ['costume-trunk', 'a case'],
  ['lamp-posts', 'a mitred post'],
  ['dressing-mirror', 'a mitred frame'],
  ['scenery-flats', 'a tenoned frame'],
  ['backdrop', 'a veneered sheet in a bag'],
  ['hatch-mouldings', 'a trim set with hot melt'],
  ['valance-edge', 'an iron-on edge'],
  ['split-roundel', 'a round reglue'],
  ['proscenium', 'a bent lamination'],
  ['awning-pole', 'a scarf'],
] as const;

test.beforeEach(({ page }) => prefer(page, {}));

for (const [id, name] of BUILDS) {
  test(`${name} is run from the first bead to the clamps off, reloaded on the way, nothing lost or doubled`, async ({
    page,
    app,
  }) => {
    await page.clock.install({ time: NOON - MINUTE });
    await page.goto(`${app.url}/builds/${id}/glue-up`);
    await expect(page.getByRole('button', { name: /Start the clock/ })).toBeEnabled();
    await page.clock.pauseAt(NOON);
    await page.getByRole('button', { name: /Start the clock/ }).click();
    const steps = await runThrough(page, app.url, 7);
    await expect(page.getByRole('heading', { name: 'Clamped. Leave it now.' })).toBeVisible();
    await page.clock.runFor('00:01');
    const off = page.getByRole('button', { name: 'Clamps are off' });
    await off.click();
    const sure = page.getByRole('button', { name: 'They are off' });
    if (await sure.isVisible()) await sure.click();
    await expect(page.getByText(/^Clamps came off today/)).toBeVisible();
    await expect
      .poll(
        async () => (await runAt(page, app.url)).events.filter(({ kind }) => kind === 'clamps-off').length,
      )
      .toBe(1);
    const { events } = await runAt(page, app.url);
    const done = events.filter(({ kind }) => kind === 'done').map(({ operation }) => operation);
    expect(done).toHaveLength(steps);
    expect(new Set(done).size).toBe(steps);
    expect(new Set(events.map((event) => event.id)).size).toBe(events.length);
    expect(events.filter(({ kind }) => kind === 'finish')).toHaveLength(1);
    await page.getByRole('link', { name: 'Write down how it came out' }).click();
    await expect(page.getByRole('row', { name: /hands-on time/ })).toBeVisible();
  });
}

test('a panel glued board by board knows what is glued, and what comes next', async ({ page, app }) => {
  await page.clock.install({ time: NOON - MINUTE });
  await page.goto(`${app.url}/builds/boarding-platform/glue-up`);
  await expect(page.getByRole('combobox', { name: 'Which session' })).toHaveText(/^session 1, one joint$/);
  await page.clock.pauseAt(NOON);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await runThrough(page, app.url, 1000);
  await page.clock.runFor('00:02');
  await page.getByRole('link', { name: 'Back to the build' }).click();
  await page.clock.resume();
  await page.goto(`${app.url}/builds/boarding-platform/glue-up`);
  await expect(page.getByRole('combobox', { name: 'Which session' })).toHaveText(/^session 2, /);
  await expect(page.getByText(/What this session joins onto is in clamps until today/)).toBeVisible();
  await page.getByRole('combobox', { name: 'Which session' }).click();
  await expect(page.getByRole('option', { name: /^session 1, one joint; glued today/ })).toBeVisible();
});

test('two devices each show their own hands, and every step is done once', async ({ page, app, context }) => {
  await page.goto(`${app.url}/builds/costume-trunk/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await page.waitForURL('**/bench/**');
  const helper = await context.newPage();
  await helper.goto(page.url());
  await page.getByRole('button', { name: 'you', exact: true }).click();
  await helper.getByRole('button', { name: 'helper', exact: true }).click();
  await helper.reload();
  await expect(helper.getByRole('button', { name: 'helper', exact: true })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
  const clamped = page.getByRole('heading', { name: 'Clamped. Leave it now.' });
  await expect(async () => {
    for (const screen of [page, helper]) {
      if (await clamped.isVisible()) return;
      const busy = screen.getByRole('heading', { level: 1 }).filter({ hasNotText: 'Hands free' });
      if (await busy.isVisible()) await screen.keyboard.press('Space');
      await screen.waitForTimeout(430);
    }
    await expect(clamped).toBeVisible({ timeout: 10 });
  }).toPass({ timeout: 100_000, intervals: [10] });
  await expect(helper.getByRole('heading', { name: 'Clamped. Leave it now.' })).toBeVisible();
  await page.waitForTimeout(500);
  const { script, events } = await runAt(page, app.url);
  const done = events.filter(({ kind }) => kind === 'done').map(({ operation }) => operation);
  const soon = script.operations.filter(({ wait }) => wait?.until !== 'rubbery');
  expect(new Set(done)).toEqual(new Set(soon.map(({ id }) => id)));
  expect(done).toHaveLength(soon.length);
});
