import { expect, prefer, test } from './fixtures';

test.beforeEach(({ page }) => prefer(page, {}));

test('a session is practised with mishaps, answered by keys, and debriefed', async ({ page, app }) => {
  await page.clock.install();
  await page.goto(`${app.url}/builds/scenery-flats/rehearse`);
  await page.getByRole('button', { name: 'Play it' }).click();
  await page.getByRole('button', { name: '×8' }).click();
  const mishap = page.getByRole('alertdialog');
  const table = page.getByRole('table', { name: 'Mishaps and answers' });
  const asked: string[] = [];
  for (let i = 0; i < 400 && !(await table.isVisible()); i += 1) {
    await page.clock.runFor(600);
    if (await mishap.isVisible()) {
      asked.push((await mishap.getByRole('heading').textContent()) ?? '');
      await page.keyboard.press('1');
      await expect(mishap).toBeHidden();
    }
  }
  await expect(table).toBeVisible();
  expect(asked.length).toBeGreaterThanOrEqual(2);
  await expect(table.getByRole('row')).toHaveCount(asked.length + 1);
  for (const what of asked) await expect(table).toContainText(what);
  await expect(page.getByText(/Every mishap answered at once/)).toBeVisible();
  // It is play: neither a run nor a pace comes of it.
  const { runs } = (await (await page.request.get(`${app.url}/api/runs?build=scenery-flats`)).json()) as {
    runs: unknown[];
  };
  expect(runs).toHaveLength(0);
  await page.getByRole('button', { name: 'The same again' }).click();
  await expect(page.getByText(/^0 of \d+ steps$/)).toBeVisible();
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(page.getByRole('button', { name: 'Play it' })).toBeVisible();
});

test('each session is rehearsed with its own things, ready and in place', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/boarding-platform/rehearse`);
  await expect(page.getByTestId('bench-layout')).toBeVisible();
  const gathered = page.getByRole('checkbox', { name: /opened to/ });
  await expect(gathered).toHaveCount(1);
  const first = (await page.getByText(/opened to \d+ mm/).textContent()) ?? '';
  await page.getByRole('combobox', { name: 'Session to rehearse' }).click();
  await page.getByRole('option', { name: /^session 2/ }).click();
  await expect(page.getByText(/opened to \d+ mm/)).not.toHaveText(first);
  await expect(page.getByText('what does not fit shows now, with no clock running')).toBeVisible();
});
