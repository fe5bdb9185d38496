import { readFileSync } from 'node:fs';
import { choose, expect, prefer, retype, test, verdict } from './fixtures';

test.beforeEach(({ page }) => prefer(page, {}));

test('clamps are placed from the rack, around one that is pinned, and fewer without it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  const rows = page.getByRole('button', { name: /^Clamp \d: / });
  await expect(rows).toHaveCount(6);
  await rows.nth(1).click();
  const pin = page.getByLabel('Pinned: stays when clamps are placed');
  const place = page.getByRole('button', { name: 'Place clamps' });
  await pin.check();
  await place.click();
  await expect(page.getByText(/^\d clamps: lowest 1\.\d\d MPa of 1\.20 MPa/)).toBeVisible({
    timeout: 30_000,
  });
  await expect(page.getByRole('button', { name: /^Clamp \d: .* at 241 mm$/ })).toContainText('pinned');
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
  await pin.uncheck();
  await place.click();
  await expect(page.getByText(/^5 clamps: lowest 1\.2\d MPa of 1\.20 MPa/)).toBeVisible({ timeout: 30_000 });
  await expect(rows).toHaveCount(5);
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
  await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(6);
});

test('a rack that falls short is told what to borrow, make or do instead', async ({ page, app }) => {
  await page.goto(`${app.url}/shop`);
  const lots = page.getByRole('group', { name: /^Lot of / });
  await expect(lots.first()).toBeVisible();
  for (const [lot, count] of [
    ['Lot of T-bar sash clamps', '2'],
    ['Lot of pipe clamps', '0'],
    ['Lot of heavy F clamps', '0'],
  ] as const) {
    await retype(page.getByRole('group', { name: lot }).getByLabel('How many'), count);
  }
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await page.getByRole('button', { name: 'Place clamps' }).click();
  await expect(page.getByText('What would do instead')).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/^Borrow \d T-bar sash clamps, 5\.4 kN each, that open 615 mm/)).toBeVisible();
});

test('cauls have a crown and a template as large as it says', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  const cauls = page.getByRole('region', { name: 'Cauls' });
  await expect(cauls.getByText(/2 pairs at .* white ash, 40 × 50 mm, 680 mm long/)).toBeVisible();
  // What would help comes in above the cauls and moves them.
  await expect(page.getByRole('region', { name: 'What would help' })).toBeVisible();
  await cauls.getByRole('link', { name: 'Crown and clamp strip, full size' }).click();
  const crown = page.getByRole('region', { name: 'Crown of the cauls, 4 alike, full size' });
  await expect(crown.getByRole('img')).toBeVisible();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    crown.getByRole('button', { name: /SVG$/ }).click(),
  ]);
  const svg = readFileSync(await saved.path(), 'utf8');
  // A unit of the drawing is a millimetre: as wide as it says, five millimetres free on either side of 600.
  const [, wide, , , across] = /width="([\d.]+)mm".*viewBox="([-\d.]+) ([-\d.]+) ([\d.]+) /.exec(svg) ?? [];
  expect([Number(wide), Number(across)]).toEqual([610, 610]);
});

test('a light squeeze is refused for glue that fills no gaps, and told for one that does', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await choose(page, 'Pressure', 'light, then again');
  await expect(verdict(page, 'tight')).toContainText('a light squeeze leaves a thick line');
  await page.goto(`${app.url}/builds/stage-floor/glue`);
  await page
    .getByRole('button', { name: /polyurethane, foaming|foaming polyurethane/i })
    .first()
    .click();
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await expect(verdict(page, 'tight')).toContainText('wants 0.20 MPa');
  await expect(page.getByText(/a second squeeze in the same order/)).toBeVisible();
});

test('every kind is squeezed: clamps on the drawing, corners under a band, a fix with its effect', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/gable-sign/squeeze`);
  await expect(page.getByRole('table', { name: 'Pressure on the joints' })).toContainText('35°');
  await expect(verdict(page, 'tight')).toContainText('0.11 MPa');
  const more = page.getByRole('listitem').filter({ hasText: '1 more clamp, 3 in all' });
  await expect(more).toContainText('0.11 MPa → 0.13 MPa');
  await more.getByRole('button').click();
  await expect(verdict(page, 'tight')).toContainText('0.13 MPa');
  await page.goto(`${app.url}/builds/awning-pole/squeeze`);
  await retype(page.getByRole('textbox', { name: 'Clamps' }), '5');
  await expect(page.getByRole('table', { name: 'Clamps, Down' })).toContainText('5 × C clamp: 1–5');
  await expect(page.getByText(/does not meet/)).toHaveCount(0);
});

test('the shop’s tables are sorted, pasted from a spreadsheet, and taken back', async ({ page, app }) => {
  await page.goto(`${app.url}/shop`);
  const lots = page.getByRole('group', { name: /^Lot of .*clamps$/ });
  const first = lots.first();
  await page.getByRole('button', { name: 'Sort by opens to' }).click();
  await expect(first).toHaveAccessibleName('Lot of pointed spring clamps');
  const before = await lots.count();
  await page.getByRole('button', { name: 'Paste clamps' }).click();
  await page
    .getByLabel('Rows')
    .fill('Kind\tHow many\tOpens to (in)\npipe clamp\t4\t36\nanvil\t2\t20\nspring clamp\t12\t2');
  await expect(page.getByText('3 rows read under their heads; 1 cannot be taken.')).toBeVisible();
  await page.getByRole('button', { name: 'Take 2 rows' }).click();
  await expect(lots).toHaveCount(before + 2);
  await expect(page.getByText('kept', { exact: true })).toBeVisible();
  await page.reload();
  await expect(lots).toHaveCount(before + 2);
  await page.keyboard.press('Control+z');
  await expect(lots).toHaveCount(before);
  const saved = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save clamps as CSV' }).click();
  expect((await saved).suggestedFilename()).toBe('clamps.csv');
});

test('the shop lists cauls and blocks, and every edit is kept', async ({ page, app }) => {
  await page.goto(`${app.url}/shop`);
  await page.getByRole('button', { name: 'Add cauls' }).click();
  const cauls = page.getByRole('group', { name: 'Lot of cauls' });
  await expect(cauls).toHaveCount(3);
  await retype(cauls.last().getByLabel('Crown'), '0.6');
  await expect(page.getByRole('group', { name: /^Lot of (block|batten)s$/ })).toHaveCount(3);
  await page.reload();
  await expect(page.getByRole('group', { name: 'Lot of cauls' }).last().getByLabel('Crown')).toHaveValue(
    '0.60 mm',
  );
});

test('clamps of a case are moved, pinned, taken off and left to be worked out again', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/costume-trunk/squeeze`);
  const across = page.getByRole('region', { name: 'Across' });
  await across.getByRole('button', { name: 'Place one by one' }).click();
  const rows = across.getByRole('button', { name: /^Clamp .*: .*, at [\d,]+ mm$/ });
  await expect(rows).toHaveCount(8);
  await expect(across.getByRole('status')).toContainText('8 clamps: 1.5 kN in all, seating wants 1.2 kN');
  // On the drawing, too.
  await page.getByRole('group', { name: 'Clamps' }).getByRole('button', { name: 'Clamp 2' }).click();
  await expect(rows.nth(1)).toHaveAttribute('aria-expanded', 'true');
  await retype(across.getByLabel('Along'), '240');
  await expect(verdict(page, 'tight')).toContainText(/under one clamp: two, or a caul across/);
  await across.getByLabel('Pinned: stays when clamps are placed').check();
  await across.getByRole('button', { name: 'Place anew' }).click();
  // The search has ended once it says what it came to; until then clamps may still be added.
  await expect(across.getByRole('status')).toContainText('seating wants');
  await expect(across.getByText('Around 1 pinned.')).toBeVisible();
  await expect(across.getByRole('button', { name: /^Clamp \d: .* at 240 mm$/ })).toContainText('pinned');
  const placed = await rows.count();
  await across.getByRole('button', { name: 'Take off' }).click();
  await expect(rows).toHaveCount(placed - 1);
  await page.reload();
  await expect(rows).toHaveCount(placed - 1);
  await across.getByRole('button', { name: 'Leave it to be worked out' }).click();
  await expect(rows).toHaveCount(0);
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
});

test('a clamp of a case is slid over the drawing; the others are kept where they stood', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/costume-trunk/squeeze`);
  const number = page.locator('[data-clamp="1"]');
  await expect(number).toBeVisible();
  const rows = page.getByRole('button', { name: /^Clamp \d+: / });
  await expect(rows).toHaveCount(0);
  const { x, y, width, height } = (await number.boundingBox()) ?? { x: 0, y: 0, width: 0, height: 0 };
  await page.mouse.move(x + width / 2, y + height / 2);
  await page.mouse.down();
  await page.mouse.move(x + width / 2, y + height / 2 - 40, { steps: 5 });
  await expect(page.getByText(/^\d+ mm along$/)).toBeVisible();
  await page.mouse.up();
  await expect(rows).toHaveCount(8);
  // It went up the sides, away from the joint that it seated.
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'close');
  await page.keyboard.press('Control+z');
  await expect(rows).toHaveCount(0);
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
});

test('the clamps of a stack are searched for, and its pressure is drawn along the joints', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/trestle-feet/squeeze`);
  const down = page.getByRole('region', { name: 'Down' });
  await expect(down.getByRole('img', { name: /^layer 1 – layer 2: .* along 640 mm$/ })).toBeVisible();
  await expect(verdict(page, 'tight')).not.toHaveAttribute('data-state', 'holds');
  await down.getByRole('button', { name: 'Place clamps' }).click();
  await expect(down.getByText(/^\d+ clamps: lowest 1\.2\d MPa of 1\.20 MPa/)).toBeVisible({
    timeout: 30_000,
  });
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
  await page.keyboard.press('Control+z');
  await expect(verdict(page, 'tight')).not.toHaveAttribute('data-state', 'holds');
});

test('a fix that wants a reading leads to where it is noted, and writes none', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/backdrop/squeeze`);
  await verdict(page, 'flat').click();
  const sight = page
    .getByRole('region', { name: 'Verdicts' })
    .getByRole('listitem')
    .filter({ hasText: 'Sight it for wind and bow' });
  await expect(sight).toContainText('Then');
  await sight.getByRole('link', { name: 'To Fit' }).click();
  await expect(page).toHaveURL(/backdrop\/fit$/);
  await expect(verdict(page, 'flat')).toContainText('no twist or bow read');
});

test('clamps that a running glue-up holds are left out, and taken again when it is planned for later', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/glue-up`);
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await expect(page.getByRole('timer')).toBeVisible();
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  const leaveOut = page.getByLabel('Leave out what sits on other work now: 10 clamps');
  await expect(leaveOut).toBeChecked();
  const place = page.getByRole('button', { name: 'Place clamps' });
  const found = page.getByText(/ clamps: lowest /);
  const sash = page.getByRole('button', { name: /^Clamp \d: T-bar sash clamp / });
  await place.click();
  await expect(found).toHaveText(/^6 clamps: lowest 1\.\d\d MPa of 1\.20 MPa/, { timeout: 60_000 });
  await expect(sash).toHaveCount(0);
  await leaveOut.uncheck();
  await place.click();
  await expect(found).toHaveText(/^5 clamps: lowest 1\.2\d MPa of 1\.20 MPa/, { timeout: 60_000 });
  await expect(sash).toHaveCount(5);
  await page.goto(`${app.url}/shop`);
  await expect(page.getByText(/^\d of \d on Stage floor, being put on now/).first()).toBeVisible();
});

test('the drawing is zoomed by buttons and wheel, moved about, and clamps are still dragged on it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  const panel = page.getByRole('group', { name: /^Stage floor/ }).first();
  await expect(verdict(page, 'flat')).toBeVisible();
  const wide = async () => (await panel.boundingBox())?.width ?? 0;
  const whole = await wide();
  await page.getByRole('button', { name: 'Zoom in' }).click();
  await expect.poll(wide).toBeGreaterThan(1.5 * whole);
  await page.getByRole('button', { name: 'Zoom out' }).click();
  await expect.poll(wide).toBeCloseTo(whole, 0);
  // A wheel alone is for the page.
  await page.mouse.move(400, 350);
  await page.mouse.wheel(0, -300);
  await page.keyboard.down('Control');
  for (let turn = 0; turn < 4; turn++) await page.mouse.wheel(0, -300);
  await page.keyboard.up('Control');
  await expect.poll(wide).toBeGreaterThan(1.5 * whole);
  const before = await panel.boundingBox();
  await page.mouse.down();
  await page.mouse.move(340, 330, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => (await panel.boundingBox())?.x).toBeCloseTo((before?.x ?? 0) - 60, -1);
  // A clamp goes by its own way, and the drawing stays.
  const stays = await panel.boundingBox();
  const sheet = await page.locator('.print-sheet').boundingBox();
  const clamps = page.locator('[data-part^="clamp-"]');
  const at = await Promise.all((await clamps.all()).map((clamp) => clamp.boundingBox()));
  const seen = at.findIndex((box) => box !== null && box.x > (sheet?.x ?? 0) + 100 && box.x < 700);
  const held = at[seen];
  if (held == null) throw new Error('no clamp on the part that is shown');
  const where = await clamps.nth(seen).getAttribute('aria-label');
  await page.mouse.move(held.x + held.width / 2, 400);
  await page.mouse.down();
  await page.mouse.move(held.x + held.width / 2 + 30, 400, { steps: 4 });
  await page.mouse.up();
  await expect(page.getByRole('button', { name: /^Take back: Clamp position/ })).toBeVisible();
  await expect(clamps.nth(seen)).not.toHaveAttribute('aria-label', where ?? '');
  expect((await panel.boundingBox())?.x).toBeCloseTo(stays?.x ?? 0, 0);
  await page.getByRole('button', { name: 'Fit the sheet' }).click();
  await expect.poll(wide).toBeCloseTo(whole, 0);
});
