import { choose, expect, prefer, retype, test } from './fixtures';

test('a sum answers live, in either unit system, and says what went into it', async ({ page, app }) => {
  await prefer(page, {});
  await page.goto(`${app.url}/sums/movement`);
  await expect(page.getByRole('definition').getByText('8.47 mm')).toBeVisible();
  await expect(page.getByTestId('sum-figure').getByText('8.47 mm')).toBeVisible();
  await choose(page, 'Species', 'Cherry');
  await expect(page.getByRole('definition').getByText('5.95 mm')).toBeVisible();
  await page.getByRole('button', { name: /Units: millimetres/ }).click();
  await expect(page.getByRole('definition').getByText('0.234"')).toBeVisible();
  await expect(page.getByLabel('Width')).toHaveValue('23 5/8"');
  await page.getByText('What went into it').click();
  await expect(page.getByText('0.00248')).toBeVisible();
});

test('lists of sides, corners and readings are typed as they are read off', async ({ page, app }) => {
  await prefer(page, {});
  await page.goto(`${app.url}/sums/mitre-polygon`);
  await expect(page.getByText('45° · 45° · 45° · 45°').first()).toBeVisible();
  await page.getByLabel(/Sides, outside/).fill('500, 300, 503, 300');
  await expect(page.getByText('3 mm', { exact: true })).toBeVisible();
  await expect(page.getByText(/the outline misses itself by 3 mm/)).toBeVisible();
  await page.getByLabel(/Sides, outside/).fill('500, 300, wide');
  await expect(page.getByText(/Not readable\. Type it like 12, 9\.5, 12/)).toBeVisible();
  await page.getByRole('link', { name: 'Square by diagonals' }).click();
  await expect(page.getByText('racked', { exact: true })).toBeVisible();
  await retype(page.getByLabel('Side c–d'), '597');
  await expect(page.getByText('racked, and a side has the wrong length')).toBeVisible();
});

test('each sum has an address of its own and refuses nonsense in a sentence', async ({ page, app }) => {
  await prefer(page, {});
  await page.goto(`${app.url}/sums/clamp-need`);
  await expect(page.getByText('low 1.20 MPa, high 1.70 MPa')).toBeVisible();
  await retype(page.getByLabel('Length'), '9000 m');
  await expect(page.getByText(/Must be from 1 mm to 20000 mm/)).toBeVisible();
  await page.getByRole('link', { name: 'Working time of a glue' }).click();
  await expect(page).toHaveURL(/adhesive-window$/);
  await retype(page.getByLabel('Temperature'), '3');
  await expect(page.getByText('none: refused').first()).toBeVisible();
  await expect(page.getByText(/this glue forms no sound line/)).toBeVisible();
});

test('a link to a sum holds what was put in, and one that cannot be read starts from the example', async ({
  page,
  app,
}) => {
  await prefer(page, {});
  await page.goto(`${app.url}/sums/mitre-polygon`);
  await page.getByLabel(/Sides, outside/).fill('500, 300, 507, 300');
  await expect(page).toHaveURL(/given=/);
  const link = page.url();
  await page.goto(`${app.url}/sums/quad`);
  await page.goto(link);
  await expect(page.getByText(/the outline misses itself by 7 mm/)).toBeVisible();
  await page.goto(`${app.url}/sums/movement?given=%7Bbroken`);
  await expect(page.getByRole('definition').getByText('8.47 mm')).toBeVisible();
});
