import { expect, prefer, test } from './fixtures';
import { MINUTE, NOON, runAt, runThrough } from './bench-run';

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

for (const [id, name] of [
  ['costume-trunk', 'a case'],
  ['drumhead', 'a round panel'],
  ['backdrop', 'a sheet in a bag'],
] as const) {
  test(`two devices at ${name} each show their own hands, and every step is done once`, async ({
    page,
    app,
    context,
  }) => {
    await page.goto(`${app.url}/builds/${id}/glue-up`);
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
    // Both have told the server all they did, once.
    await expect(async () => {
      const { script, events } = await runAt(page, app.url);
      const done = events.filter(({ kind }) => kind === 'done').map(({ operation }) => operation);
      const soon = script.operations.filter(({ wait }) => wait?.until !== 'rubbery');
      expect(done.toSorted()).toEqual(soon.map(({ id }) => id).toSorted());
    }).toPass();
  });
}
