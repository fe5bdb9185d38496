import { type Page } from '@playwright/test';
import { expect, prefer, retype, test } from './fixtures';

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
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await page.keyboard.press('Backspace');
  await expect(page.getByRole('heading', { name: 'Close A–B' })).toBeVisible();
  await page.getByRole('button', { name: 'Done – next' }).click();

  await page.clock.runFor('00:20');
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await expect(clockOf(page)).toHaveText('3:48');

  await page.getByRole('button', { name: 'Trouble' }).click();
  await expect(
    page.getByText(/pull A–B, B–C apart and wipe off while it is wet: possible for 3:48/),
  ).toBeVisible();
  await page.getByRole('button', { name: 'Note it and go on' }).click();

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
  await expect(page.getByRole('row', { name: /Stage floor/ })).toHaveCount(3);
  await page.getByRole('link', { name: 'today 12:00' }).click();
  await expect(page.getByLabel(/What went well/)).toHaveValue('Second clamp fetched late.');
  await expect(page.getByLabel('Off flat, straightedge across')).toHaveValue('0.40 mm');
  await expect(page.getByRole('button', { name: 'patchy' })).toHaveAttribute('aria-pressed', 'true');
});

test('a fuse that runs out says so, and a run can be given up', async ({ page, app }) => {
  await startClock(page, app.url);
  await page.clock.runFor('05:00');
  await expect(clockOf(page)).toHaveText('−0:52');
  await expect(page.getByText(/over: line A–B must be closed/)).toBeVisible();
  await page.getByRole('button', { name: 'Trouble' }).click();
  await expect(page.getByText(/A–B ran out/)).toBeVisible();
  await page.getByRole('button', { name: 'Give this glue-up up' }).click();
  await expect(page.getByRole('heading', { name: 'Given up' })).toBeVisible();
  await page.clock.resume();
  await page.goto(`${app.url}/logbook`);
  await expect(page.getByRole('row', { name: /given up/ })).toBeVisible();
});

test('a run goes on while the server is away and is sent when it is back', async ({ page, app }) => {
  await startClock(page, app.url);
  await app.stop();
  await page.keyboard.press('Space');
  await page.keyboard.press('Space');
  await expect(page.getByRole('heading', { name: 'Spread B–C' })).toBeVisible();
  await app.start();
  await page.clock.runFor('00:05');
  await page.keyboard.press('Space');
  await expect
    .poll(async () => {
      const runs = (await (await page.request.get(`${app.url}/api/runs`)).json()) as {
        state: string;
        events: unknown[];
      }[];
      return runs.find(({ state }) => state === 'running')?.events.length;
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
  await expect(page.getByText(/until line left stile – .+ must be closed/)).toBeVisible();
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
  await expect(page.getByRole('row', { name: /Scenery flats/ })).toBeVisible();
});
