import { type Page } from '@playwright/test';
import { expect, prefer, retype, test } from './fixtures';

// With the server gone the page opens from what the browser keeps of it.
test.use({ serviceWorkers: 'allow' });

/** What of a run is looked at here. */
interface Run {
  readonly events: readonly { readonly kind: string }[];
}

const NOON = new Date('2026-04-14T12:00:00').getTime();

async function startClock(page: Page, url: string): Promise<void> {
  await page.clock.install({ time: NOON - 60_000 });
  await page.goto(`${url}/builds/stage-floor/glue-up`);
  await expect(page.getByRole('button', { name: /Start the clock/ })).toBeEnabled();
  // From here on the clock stands still unless the test moves it.
  await page.clock.pauseAt(NOON);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByRole('heading', { name: 'Spread A–B' })).toBeVisible();
}

const clockOf = (page: Page) => page.getByRole('timer');

test.beforeEach(({ page }) => prefer(page, {}));

test('a run by the clock: fuses, undo, reload, trouble, and a log entry that outlives the server', async ({
  page,
  app,
}) => {
  await startClock(page, app.url);
  await expect(clockOf(page)).toHaveText('4:08');
  await page.clock.runFor('00:30');
  await expect(clockOf(page)).toHaveText('3:38');

  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Close A–B' })).toBeVisible();
  await page.clock.runFor('00:01');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('heading', { name: 'Close A–B' })).toBeVisible();
  await page.clock.runFor('00:01');
  // The button of a headset, as browsers hand it to a page.
  await page.evaluate(() =>
    document.body.dispatchEvent(
      new KeyboardEvent('keydown', { key: 'MediaPlayPause', code: 'MediaPlayPause', bubbles: true }),
    ),
  );
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await page.clock.runFor('00:01');
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('heading', { name: 'Close A–B' })).toBeVisible();
  await page.getByRole('button', { name: 'Done – next' }).click();

  await page.clock.runFor('00:20');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await expect(clockOf(page)).toHaveText('3:48');

  await page.getByRole('button', { name: 'Trouble' }).click();
  await page.getByRole('button', { name: 'A clamp is stuck' }).click();
  await expect(page.getByRole('button', { name: /Work it loose, takes 1:30/ })).toBeVisible();
  await page.getByRole('button', { name: /Take a spare clamp, takes 0:24/ }).click();

  const steps = Number((await page.getByText(/^3 of \d+$/).textContent())?.split(' ').at(-1));
  expect(steps).toBeGreaterThan(20);
  for (let step = 3; step <= steps; step += 1) {
    await expect(page.getByText(`${step} of ${steps}`)).toBeVisible();
    await page.clock.runFor('00:20');
    await page.keyboard.press('Space');
  }
  await expect(page.getByRole('heading', { name: 'Clamped. Leave it now.' })).toBeVisible();
  await expect(page.getByText(/Clamps off: today 13:1\d/)).toBeVisible();
  await page.getByRole('link', { name: 'Write down how it came out' }).click();

  await page.getByRole('button', { name: 'patchy' }).click();
  await retype(page.getByLabel('Off flat, straightedge across'), '0.4');
  await page.getByLabel(/What went well/).fill('Second clamp fetched late.');
  await expect(page.getByRole('row', { name: /hands-on time/ })).toContainText('9:30');
  await page.clock.resume();
  await page.waitForTimeout(300);
  await app.restart();
  await page.goto(`${app.url}/logbook`);
  await page.getByRole('searchbox', { name: 'Build or note' }).fill('Stage floor');
  await expect(page.getByRole('row', { name: /Stage floor/ })).toHaveCount(3);
  await page.getByRole('link', { name: /^today (11:59|12:00)$/ }).click();
  await expect(page.getByLabel(/What went well/)).toHaveValue('Second clamp fetched late.');
  await expect(page.getByLabel('Off flat, straightedge across')).toHaveValue('0.40 mm');
  await expect(page.getByRole('button', { name: 'patchy' })).toHaveAttribute('aria-pressed', 'true');
});

/** The run that is on, whole, as the server has it. */
async function runningAt(page: Page, url: string): Promise<Run | undefined> {
  const { runs } = (await (await page.request.get(`${url}/api/runs?state=running`)).json()) as {
    runs: { id: string }[];
  };
  const id = runs[0]?.id;
  if (id === undefined) return undefined;
  return (await (await page.request.get(`${url}/api/runs/${id}`)).json()) as Run;
}

/** Waits until the screens have been fetched in the quiet, the last step's panel after all others. */
async function everyScreenFetched(page: Page): Promise<void> {
  const isLastThere = () =>
    page.evaluate(() =>
      performance.getEntriesByType('resource').some(({ name }) => name.includes('/RecordStep-')),
    );
  await expect.poll(isLastThere, { timeout: 60_000 }).toBe(true);
  await page.waitForLoadState('networkidle');
}

test('the clock is started with the server gone, and the run comes in with its events', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/glue-up`);
  await expect(page.getByRole('button', { name: /Start the clock/ })).toBeEnabled();
  await everyScreenFetched(page);
  await app.stop();
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Spread A–B' })).toBeVisible();
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { level: 1, name: 'Close A–B' })).toBeVisible();
  await app.start();
  await expect.poll(async () => (await runningAt(page, app.url))?.events.length, { timeout: 40_000 }).toBe(1);
});

test('a run ended without the server, its tab closed, goes in from another page', async ({
  page,
  app,
  context,
}) => {
  await startClock(page, app.url);
  await page.keyboard.press('Space');
  await app.stop();
  await page.getByRole('button', { name: 'Trouble' }).click();
  await page.getByRole('button', { name: 'Give this glue-up up' }).click();
  await expect(page.getByRole('heading', { name: 'Given up' })).toBeVisible();
  await page.close();
  await app.start();
  const other = await context.newPage();
  await other.goto(`${app.url}/shop`);
  await expect
    .poll(async () => {
      const answer = await other.request.get(`${app.url}/api/runs?state=abandoned`);
      return ((await answer.json()) as { runs: unknown[] }).runs.length;
    })
    .toBe(1);
});

test('a held key and a double tap are one step, and one can go back from the end', async ({ page, app }) => {
  await startClock(page, app.url);
  await page.keyboard.down('Space');
  for (let i = 0; i < 15; i += 1) await page.keyboard.down('Space');
  await page.keyboard.up('Space');
  await expect(page.getByText(/^2 of \d+$/)).toBeVisible();
  await page.clock.runFor('00:01');
  await page.getByRole('button', { name: 'Done – next' }).dblclick();
  await expect(page.getByText(/^3 of \d+$/)).toBeVisible();
  const steps = Number((await page.getByText(/^3 of \d+$/).textContent())?.split(' ').at(-1));
  for (let step = 3; step <= steps; step += 1) {
    await expect(page.getByText(`${step} of ${steps}`)).toBeVisible();
    await page.clock.runFor('00:01');
    await page.keyboard.press('Space');
  }
  await expect(page.getByRole('heading', { name: 'Clamped. Leave it now.' })).toBeVisible();
  await page.clock.runFor('00:01');
  await page.getByRole('button', { name: 'Not done yet: back to the last step' }).click();
  await expect(page.getByText(`${steps} of ${steps}`)).toBeVisible();
});

test('a clock that is set by an hour changes no fuse, and is told and kept', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Spread A–B' })).toBeVisible();
  await page.evaluate(() => {
    const { now } = Date;
    Date.now = () => now.call(Date) + 3_600_000;
  });
  await expect(page.getByRole('status').filter({ hasText: 'was set forward by' })).toBeVisible();
  await expect(clockOf(page)).toHaveText(/^[34]:\d\d$/);
  await expect
    .poll(async () => (await runningAt(page, app.url))?.events.map(({ kind }) => kind))
    .toEqual(['clock-set']);
});

test('a page that was left open takes nothing from a run that ended elsewhere', async ({
  page,
  app,
  context,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Spread A–B' })).toBeVisible();
  const address = page.url();
  const other = await context.newPage();
  await other.goto(address);
  await expect(other.getByRole('heading', { level: 1, name: 'Spread A–B' })).toBeVisible();
  await other.keyboard.press('Space');
  await expect(page.getByRole('heading', { level: 1, name: 'Close A–B' })).toBeVisible();
  await other.getByRole('button', { name: 'Trouble' }).click();
  await other.getByRole('button', { name: 'Give this glue-up up' }).click();
  await expect(page.getByRole('heading', { name: 'Given up' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Given up' })).toBeVisible();
  const id = address.split('/').at(-1) ?? '';
  const run = (await (await page.request.get(`${app.url}/api/runs/${id}`)).json()) as Run;
  expect(run.events.map(({ kind }) => kind)).toEqual(['done', 'abandon']);
});

test('a fuse that runs out says so, and a run can be given up', async ({ page, app }) => {
  await startClock(page, app.url);
  await page.clock.runFor('05:00');
  await expect(clockOf(page)).toHaveText('−0:52');
  await expect(page.getByText(/over: A–B must be closed/)).toBeVisible();
  await page.getByRole('button', { name: 'Trouble' }).click();
  await page.getByRole('button', { name: 'Something else' }).click();
  await expect(page.getByRole('button', { name: /Pull A–B apart while it is wet/ })).toBeVisible();
  await page.getByRole('button', { name: 'Give this glue-up up' }).click();
  await expect(page.getByRole('heading', { name: 'Given up' })).toBeVisible();
  await page.clock.resume();
  await page.goto(`${app.url}/logbook`);
  // A winter of others stands before it, by the clock that was set.
  await page.getByRole('searchbox', { name: 'Build or note' }).fill('Stage floor');
  await expect(page.getByRole('row', { name: /given up/ })).toBeVisible();
});

test('a run goes on while the server is away and is sent when it is back', async ({ page, app }) => {
  await startClock(page, app.url);
  await app.stop();
  await page.keyboard.press('Space');
  await page.clock.runFor('00:01');
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await app.start();
  await page.clock.runFor('00:05');
  await page.keyboard.press('Space');
  await expect
    .poll(async () => {
      const run = await runningAt(page, app.url);
      return run?.events.length;
    })
    .toBe(3);
});

test('an instruction stays readable at the bench: buttons of 72 px, one huge figure', async ({
  page,
  app,
}) => {
  await startClock(page, app.url);
  for (const name of ['Back', 'Done – next', 'Trouble']) {
    const box = await page.getByRole('button', { name }).boundingBox();
    expect(box?.height).toBeGreaterThanOrEqual(72);
    expect(box?.width).toBeGreaterThanOrEqual(72);
  }
  const size = await clockOf(page).evaluate((element) =>
    Number.parseFloat(getComputedStyle(element).fontSize),
  );
  expect(size).toBeGreaterThan(90);
});

test('a frame is glued up by the clock, joint by joint, and lands in the logbook', async ({ page, app }) => {
  await page.clock.install({ time: new Date('2026-11-24T12:00:00') });
  await page.goto(`${app.url}/builds/scenery-flats/rehearse`);
  await expect(page.getByText(/^0 of \d+ done/)).toBeVisible();
  await page.goto(`${app.url}/builds/scenery-flats/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByRole('heading', { name: /^Spread left stile – / })).toBeVisible();
  await expect(page.getByText(/until left stile – .+ must be closed/)).toBeVisible();
  const steps = Number((await page.getByText(/^1 of \d+$/).textContent())?.split(' ').at(-1));
  expect(steps).toBeGreaterThan(12);
  for (let step = 1; step <= steps; step += 1) {
    await expect(page.getByText(`${step} of ${steps}`)).toBeVisible();
    await page.clock.runFor('00:10');
    await page.keyboard.press('Space');
  }
  await expect(page.getByRole('heading', { name: 'Clamped. Leave it now.' })).toBeVisible();
  await page.getByRole('link', { name: 'Write down how it came out' }).click();
  await expect(page.getByRole('row', { name: /hands-on time/ })).toBeVisible();
  await page.clock.resume();
  await page.goto(`${app.url}/logbook`);
  await page.getByRole('searchbox', { name: 'Build or note' }).fill('Scenery flats');
  await expect(page.getByRole('row', { name: /Scenery flats/ })).toBeVisible();
});
