import { expect, prefer, test, verdict } from './fixtures';
import { layoutFaults } from './layout-faults';

// The helper's telephone: all of a build and of the bench within reach of a thumb.
test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
test.beforeEach(({ page }) => prefer(page, {}));

const VIEWS = [
  '/',
  '/builds',
  '/builds/new',
  '/builds/stage-floor/fit',
  '/builds/stage-floor/glue',
  '/builds/costume-trunk/order',
  '/builds/stage-floor/squeeze',
  '/builds/lamp-posts/rehearse',
  '/logbook',
  '/logbook/trends',
  '/shop',
  '/sums',
];

test('every view fits a telephone, its text large enough to read', async ({ page, shown }) => {
  for (const view of VIEWS) {
    await page.goto(`${shown}${view}`);
    await expect(page.getByRole('navigation', { name: 'Places' })).toBeVisible();
    await expect(page.locator('main :is(h1, h2)').first()).toBeVisible();
    await expect.poll(() => layoutFaults(page), { message: view }).toEqual([]);
  }
});

test('what a step asks lies under the drawing, and a verdict opens over both', async ({ page, shown }) => {
  await page.goto(`${shown}/builds/stage-floor/squeeze`);
  await expect(verdict(page, 'tight')).toBeInViewport();
  await page.getByRole('button', { name: 'Place clamps' }).tap({ trial: true });
  await verdict(page, 'inTime').tap();
  const detail = page.getByRole('region', { name: 'In time in detail' });
  await expect(detail.getByText('How this figure is got')).toBeVisible();
  await detail.getByRole('button', { name: 'Close', exact: true }).tap();
  await expect(page.getByRole('button', { name: /^Theme/ })).toBeHidden();
  await page.getByRole('button', { name: 'More' }).tap();
  await page.getByRole('button', { name: /^Theme/ }).tap({ trial: true });
});

test('a glue-up is begun and gone on with by the thumb', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/costume-trunk/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).tap();
  await expect(page.getByText(/^1 of \d+$/)).toBeVisible();
  const next = page.getByRole('button', { name: 'Done – next' });
  await expect(next).toBeInViewport({ ratio: 1 });
  // A hand that has just begun is not one that is done.
  await page.waitForTimeout(500);
  await next.tap();
  await expect(page.getByText(/^2 of \d+$/)).toBeVisible();
  for (const name of ['Back', 'Trouble'])
    await expect(page.getByRole('button', { name, exact: true })).toBeInViewport({ ratio: 1 });
  await expect(page.getByRole('heading', { level: 1 })).toBeInViewport({ ratio: 1 });
});
