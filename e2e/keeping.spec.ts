import { expect, kept, prefer, retype, test, verdict } from './fixtures';

// With the server gone the page opens from what the browser keeps of it.
test.use({ serviceWorkers: 'allow' });

test.beforeEach(({ page }) => prefer(page, {}));

test('every edit survives a reload, and undo still goes all the way back', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await page.getByRole('button', { name: 'Board B: change' }).click();
  await retype(page.getByLabel('Width', { exact: true }), '101');
  await retype(page.getByLabel('Thickness', { exact: true }), '7/8"');
  await kept(page);
  await page.reload();
  await expect(page.getByRole('button', { name: /^Board B, 101 mm wide/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take back: Thickness of B' }).click();
  await page.getByRole('button', { name: 'Take back: Width of B' }).click();
  await expect(page.getByRole('button', { name: /^Board B, 96 mm wide/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Nothing to take back' })).toBeDisabled();
});

test('bad input gets a sentence and loses nothing', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await page.getByRole('button', { name: 'Board A: change' }).click();
  const width = page.getByLabel('Width', { exact: true });
  for (const [text, sentence] of [
    ['-5', 'Must be from 10 mm to 1000 mm. The last good value is kept.'],
    ['0', 'Must be from 10 mm to 1000 mm. The last good value is kept.'],
    ['wide', /Not readable\. Type it like 19 5\/8/],
  ] as const) {
    await retype(width, text);
    await expect(page.getByText(sentence)).toBeVisible();
    await expect(width).toHaveValue(text);
    await expect(page.getByRole('button', { name: /^Board A, 128 mm wide/ })).toBeVisible();
  }
  await retype(page.getByLabel('Length', { exact: true }), '40 m');
  await expect(page.getByText('Must be from 50 mm to 6000 mm. The last good value is kept.')).toBeVisible();
  await page.reload();
  await expect(page.getByRole('button', { name: /^Board A, 128 mm wide, 1000 mm long/ })).toBeVisible();
});

test('two windows on one build: what they change apart is merged, what both change is asked', async ({
  page,
  app,
  context,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await expect(verdict(page, 'tight')).toBeVisible();
  const other = await context.newPage();
  await other.goto(`${app.url}/builds/stage-floor/fit`);
  await retype(other.getByLabel('Name of the build'), 'Floor of the wagon');
  await kept(other);
  await retype(page.getByLabel('Left long, each end'), '8');
  await kept(page);
  await expect(page.getByLabel('Name of the build')).toHaveValue('Floor of the wagon');
  await other.reload();
  await retype(other.getByLabel('Left long, each end'), '9');
  await kept(other);
  await retype(page.getByLabel('Left long, each end'), '12');
  await expect(page.getByText(/in another window: Left long/)).toBeVisible();
  await page.getByRole('button', { name: 'Put mine on top' }).click();
  await kept(page);
  await other.reload();
  await expect(other.getByLabel('Left long, each end')).toHaveValue('12 mm');
});

test('edits made while the server is away go in when it is back', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await expect(verdict(page, 'tight')).toBeVisible();
  await app.stop();
  await retype(page.getByLabel('Left long, each end'), '9');
  await expect(page.getByText(/kept in this browser and will go in/)).toBeVisible();
  await expect(verdict(page, 'square')).toContainText('9 mm left long');
  await app.start();
  await kept(page);
  await page.reload();
  await expect(page.getByLabel('Left long, each end')).toHaveValue('9 mm');
});

test('without a server the page opens again, is edited, and loses nothing', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await retype(page.getByLabel('Left long, each end'), '7');
  await kept(page);
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await page.waitForTimeout(1500);
  await app.stop();
  await page.reload();
  await expect(page.getByLabel('Left long, each end')).toHaveValue('7 mm');
  await expect(verdict(page, 'tight')).toBeVisible();
  await retype(page.getByLabel('Name of the build'), 'Made without a server');
  await expect(page.getByText(/kept in this browser and will go in/)).toBeVisible();
  for (const place of ['Sums', 'Shop', 'Logbook', 'Builds']) {
    await page.getByRole('link', { name: place, exact: true }).click();
    await expect(page.getByText('This screen stopped working')).toBeHidden();
  }
  await page.reload();
  await app.start();
  await page.goto(`${app.url}/shop`);
  await expect
    .poll(
      async () => {
        const answer = await page.request.get(`${app.url}/api/builds/stage-floor`);
        return ((await answer.json()) as { body: { name: string } }).body.name;
      },
      { timeout: 30_000 },
    )
    .toBe('Made without a server');
});

test('a browser that forbids to keep anything still sends what is typed, and says so', async ({
  page,
  app,
}) => {
  await page.addInitScript(() => {
    for (const name of ['localStorage', 'indexedDB']) {
      Object.defineProperty(window, name, {
        get: () => {
          throw new DOMException('forbidden', 'SecurityError');
        },
      });
    }
  });
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await retype(page.getByLabel('Left long, each end'), '11');
  await expect(page.getByText(/This browser keeps no safety copy/)).toBeVisible();
  await kept(page);
  const answer = await page.request.get(`${app.url}/api/builds/stage-floor`);
  expect(((await answer.json()) as { body: { row: { trimMm: number } } }).body.row.trimMm).toBe(11);
  await page.goto(`${app.url}/builds/stage-floor/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Spread A–B' })).toBeVisible();
});

test('a build can be removed, after a question, and put back', async ({ page, app }) => {
  await page.goto(`${app.url}/builds`);
  await page.getByRole('button', { name: 'Remove Stage floor' }).click();
  await page.getByRole('button', { name: 'Keep it' }).click();
  await expect(page.getByRole('link', { name: 'Stage floor' })).toBeVisible();
  await page.getByRole('button', { name: 'Remove Stage floor' }).click();
  await page.getByRole('button', { name: 'Remove', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Stage floor' })).toBeHidden();
  await expect(page.getByRole('link', { name: 'Scenery flats' })).toBeVisible();
  await page.getByRole('button', { name: 'Put back Stage floor' }).click();
  // The bin is below a long list that draws only the rows in view.
  await page.getByLabel('Find by name or project').fill('Stage');
  await expect(page.getByRole('link', { name: 'Stage floor' })).toBeVisible();
});

test('the shop is edited in place and every plan follows', async ({ page, app }) => {
  await page.goto(`${app.url}/shop`);
  const bars = page.getByRole('group', { name: 'Lot of T-bar sash clamps' });
  await retype(bars.getByLabel('Pull, measured'), '450 lbf');
  await page.getByRole('link', { name: 'Builds' }).click();
  await page.getByRole('link', { name: 'Stage floor' }).click();
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'fails');
  await page.getByRole('link', { name: 'Shop' }).click();
  await expect(bars.getByLabel('Pull, measured')).toHaveValue('2.0 kN');
});
