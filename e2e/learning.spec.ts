import { expect, prefer, test } from './fixtures';

test.beforeEach(({ page }) => prefer(page, {}));

test('a pace that the log teaches is taken over, and plans go by it and say so', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/order`);
  const handsOn = page.getByText(/hands-on/).first();
  const before = await handsOn.textContent();
  await page.goto(`${app.url}/logbook/learned`);
  await page.getByRole('button', { name: 'Accept: Pace at putting clamps on' }).click();
  await expect(
    page.getByRole('region', { name: 'Plans go by this' }).getByText('Pace at putting clamps on'),
  ).toBeVisible();
  await page.goto(`${app.url}/builds/stage-floor/order`);
  await expect(handsOn).not.toHaveText(before ?? '');
  await page.goto(`${app.url}/logbook/learned`);
  await page.getByRole('button', { name: 'Forget: Pace at putting clamps on' }).click();
  await page.goto(`${app.url}/builds/stage-floor/order`);
  await expect(handsOn).toHaveText(before ?? '');
});

test('a glue-up that went wrong is put down to its cause, becomes a lesson, and comes back before the next', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/logbook/season-6`);
  const why = page.getByRole('region', { name: 'What went wrong?' });
  await expect(why.getByRole('article').first()).toHaveAccessibleName('a film of glue on the face');
  await why.getByRole('article').first().getByRole('button', { name: 'Make it a lesson' }).click();
  await expect(page).toHaveURL(/\/logbook\/lessons/);
  const title = page.getByRole('textbox', { name: 'In a few words' });
  await title.fill('Crates: no tape, half an hour of scraping');
  await expect(page.getByText(/So it comes back where: kind of glue-up: /)).toBeVisible();
  await page.goto(`${app.url}/builds/costume-trunk/rehearse`);
  await expect(page.getByText(/paid for once: Crates: no tape/)).toBeVisible();
  await page.goto(`${app.url}/builds/costume-trunk/fit`);
  await expect(
    page.getByRole('region', { name: 'Lessons that bear on it' }).getByText(/Crates: no tape/),
  ).toBeVisible();
});

test('a lesson is said at its moment at the bench', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/scenery-flats/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await page.waitForURL('**/bench/**');
  const batten = page.getByRole('note').filter({ hasText: 'A batten across the long diagonal' });
  const steps = Number((await page.getByText(/^1 of \d+$/).textContent())?.split(' ').at(-1));
  const check = page.getByRole('heading', { level: 1, name: 'Read both diagonals' });
  for (let step = 1; step < steps; step += 1) {
    await expect(page.getByText(`${step} of ${steps}`, { exact: true })).toBeVisible();
    if (await check.isVisible()) break;
    await expect(batten).toBeHidden();
    await page.waitForTimeout(430);
    await page.keyboard.press('Space');
  }
  await expect(batten).toBeVisible();
  // The pad stays in sight beside it.
  await expect(page.getByRole('button', { name: '0', exact: true })).toBeInViewport();
});

test('the log is narrowed, added up, and two glue-ups are laid on one axis', async ({ page, app }) => {
  await page.goto(`${app.url}/logbook`);
  await page.getByRole('searchbox', { name: 'Build or note' }).fill('telephone');
  await expect(page.getByRole('row')).toHaveCount(2);
  await page.getByRole('row').nth(1).getByRole('link').click();
  const clock = page.getByRole('region', { name: 'On the clock, planned and worked' });
  await clock.getByRole('combobox', { name: 'Beside it' }).click();
  await page.getByRole('option').nth(1).click();
  await expect(clock.getByRole('img', { name: /^Planned and worked/ })).toHaveCount(2);
  await page.reload();
  await expect(clock.getByRole('img', { name: /^Planned and worked/ })).toHaveCount(2);
  await page.goto(`${app.url}/logbook/trends`);
  await expect(page.getByText(/^Brier score 0\.\d+ over \d+ glue-ups/)).toBeVisible();
  await expect(page.getByRole('img', { name: /^promised \d+ %, came true in/ })).toBeVisible();
});
