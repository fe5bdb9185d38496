import AxeBuilder from '@axe-core/playwright';
import { type Page } from '@playwright/test';
import { expect, prefer, test, verdict } from './fixtures';
import { layoutFaults } from './layout-faults';

/** Every view, with something that shows when it is ready. */
const VIEWS: readonly (readonly [path: string, ready: string | RegExp])[] = [
  ['/', 'In clamps'],
  ['/builds', 'Stage floor'],
  ['/builds/new', 'What is to be glued up?'],
  ['/builds/new/edge-panel', 'Start this build'],
  ['/builds/new/mitred-frame', 'Start this build'],
  ['/builds/dressing-mirror/fit', 'What holds the mitres'],
  ['/builds/costume-trunk/glue', 'Spreading'],
  ['/builds/costume-trunk/squeeze', 'Bringing it together'],
  ['/builds/stage-floor/paper', 'Crown of the cauls, 4 alike, full size'],
  ['/builds/scenery-flats/order', 'One session: 6 joints'],
  ['/builds/stage-floor/fit', 'Dry fit'],
  ['/builds/stage-floor/glue', 'Which glue'],
  ['/builds/stage-floor/order', 'One session'],
  ['/builds/stage-floor/squeeze', 'Pull and hold'],
  ['/builds/stage-floor/rehearse', 'Before it closes'],
  ['/builds/stage-floor/glue-up', /Start the clock/],
  ['/builds/stage-floor/record', 'How it came out'],
  ['/shop', 'Glue shelf'],
  ['/logbook', 'Glue-ups'],
  ['/logbook/demo-run-2', 'How it came out'],
  ['/sums/adhesive-window', 'What went into it'],
  ['/sums/mitre-polygon', 'Outline misses itself by'],
  ['/sums/flatness', 'Wind over the whole'],
  ['/sums/sequence', 'Tightest window, share left'],
  ['/sums/calendar', 'Shop hours (day 0 is Sunday)'],
  ['/sums/band', 'Tension of the band'],
  ['/glossary', 'closed assembly time'],
  ['/nowhere', 'Nothing at this address'],
];

async function expectAccessible(page: Page): Promise<void> {
  // Our pages have no frames, so that they need not be looked for, and only what is wrong is wanted.
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode(true)
    .options({ resultTypes: ['violations'] })
    .analyze();
  const serious = violations
    .filter(({ impact }) => impact === 'serious' || impact === 'critical')
    .map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`);
  expect(serious).toEqual([]);
}

const SIZES = [
  { width: 1280, height: 800 },
  { width: 800, height: 1280 },
] as const;

for (const [theme, units] of [
  ['day', 'metric'],
  ['lamp', 'imperial'],
] as const) {
  for (const [path, ready] of VIEWS) {
    test(`readable and whole, ${theme}, ${units}: ${path}`, async ({ page, shown }) => {
      await prefer(page, { theme, units });
      await page.goto(`${shown}${path}`);
      await expect(page.getByText(ready).first()).toBeVisible();
      await expectAccessible(page);
      for (const size of SIZES) {
        await page.setViewportSize(size);
        await expect(page.getByText(ready).first()).toBeVisible();
        // Charts follow a turned screen a moment later.
        await expect
          .poll(async () => ({ size, faults: await layoutFaults(page) }), { timeout: 5000 })
          .toEqual({ size, faults: [] });
      }
    });
  }

  test(`no serious accessibility fault, ${theme}: a verdict opened, and the bench`, async ({ page, app }) => {
    await prefer(page, { theme });
    await page.goto(`${app.url}/builds/stage-floor/squeeze`);
    await verdict(page, 'inTime').click();
    await expect(page.getByText('How this figure is got')).toBeVisible();
    await expectAccessible(page);
    await page.goto(`${app.url}/builds/stage-floor/glue-up`);
    await page.getByRole('button', { name: /Start the clock/ }).click();
    await expect(page.getByRole('timer')).toBeVisible();
    await expectAccessible(page);
  });
}

test('the whole plan is reached by keyboard', async ({ page, app }) => {
  await prefer(page, {});
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await expect(verdict(page, 'tight')).toBeVisible();

  // Boards into another order.
  await page.getByRole('button', { name: 'Move board A' }).focus();
  await page.keyboard.press('Space');
  await page.waitForTimeout(150);
  await page.keyboard.press('ArrowDown');
  await page.waitForTimeout(300);
  await page.keyboard.press('Space');
  await expect(page.getByRole('button', { name: /^Board A, 96 mm wide/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('button', { name: /^Board A, 128 mm wide/ })).toBeVisible();

  // A part of the drawing, selected in both places.
  await page.getByRole('button', { name: /^Board C, 140 mm wide/ }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Board C: change' })).toHaveAttribute(
    'aria-expanded',
    'true',
  );

  // Steps, and a clamp moved by arrows.
  await page.keyboard.press('Alt+4');
  await expect(page).toHaveURL(/squeeze$/);
  const clamp = page.getByRole('button', { name: /^Clamp 2, below/ });
  await clamp.focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByRole('button', { name: 'Clamp 2, below, at 246 mm' })).toBeVisible();
  await page.keyboard.press('Delete');
  await expect(page.getByRole('button', { name: /^Clamp 6, / })).toHaveCount(0);

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Help' })).toBeVisible();
});

test('touch targets are large enough for a knuckle', async ({ page, app }) => {
  await prefer(page, {});
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await expect(page.getByText('Pull and hold')).toBeVisible();
  const small = await page.evaluate(() =>
    [...document.querySelectorAll<HTMLElement>('button, a[href], [role="combobox"]')]
      .filter(
        (element) => element.getClientRects().length > 0 && element.textContent !== 'Skip to the content',
      )
      .map((element) => ({
        name: element.getAttribute('aria-label') ?? element.textContent,
        box: element.getBoundingClientRect(),
      }))
      .filter(({ box }) => box.height < 43.5 || box.width < 43.5)
      .map(({ name, box }) => `${name}: ${Math.round(box.width)} × ${Math.round(box.height)}`),
  );
  expect(small).toEqual([]);
});
