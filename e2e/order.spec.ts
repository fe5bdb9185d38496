import { readFileSync } from 'node:fs';
import ICAL from 'ical.js';
import { expect, prefer, test } from './fixtures';

test.beforeEach(({ page }) => prefer(page, {}));

test('sessions and order are worked out, moved by hand, pinned and taken back', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/lantern/order`);
  await expect(page.getByRole('region', { name: 'One session: 6 joints' })).toBeVisible();
  await page.getByRole('button', { name: 'Work out sessions and order' }).click();
  await expect(page.getByRole('button', { name: /^Back to / })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(/% likely/)).toBeVisible();
  await expect(page.getByText(/^One session[:.] ?(proven|There may)/)).toBeVisible();

  // The last mitre of a ring closes with its neighbour; alone in a later session it cannot be spread any more.
  const chips = page.getByRole('list', { name: 'Joints of session 1 in the order of closing' });
  await chips.getByRole('button').last().click();
  await page.getByRole('combobox', { name: 'Glued in' }).click();
  await page.getByRole('option', { name: 'a new one after these' }).click();
  await expect(page.getByText(/Not moved: .*can no longer be spread/)).toBeVisible();
  await expect(page.getByRole('region', { name: 'One session: 6 joints' })).toBeVisible();

  await page.getByRole('checkbox', { name: 'Pinned there' }).check();
  await expect(chips.getByRole('button', { name: /pinned/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(chips.getByRole('button', { name: /pinned/ })).toBeHidden();
  await page.getByRole('button', { name: /^Back to / }).click();
  await expect(page.getByRole('button', { name: /^Back to / })).toBeHidden();
  await page.reload();
  await expect(page.getByRole('region', { name: 'One session: 6 joints' })).toBeVisible();
  await expect(page.getByRole('button', { name: /^Back to / })).toBeHidden();
});

test('a joint dragged to the end makes a session of its own, kept over a reload', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-ends/order`);
  await page.getByRole('button', { name: 'Work out sessions and order' }).click();
  const chips = page.getByRole('list', { name: 'Joints of session 1 in the order of closing' });
  await expect(chips.getByRole('button')).toHaveCount(2, { timeout: 30_000 });
  const chip = chips.getByRole('button').last();
  await chip.scrollIntoViewIfNeeded();
  const from = await chip.boundingBox();
  const to = await page.locator('[data-drop="new session"]').boundingBox();
  if (from === null || to === null) throw new Error('nothing to drag');
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 2);
  await page.mouse.down();
  // The new session lies beside the first, as high as that.
  await page.mouse.move(to.x + to.width / 2, from.y + from.height / 2, { steps: 12 });
  await page.mouse.up();
  await expect(page.getByRole('region', { name: 'Session 2: one joint' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('region', { name: 'Session 2: one joint' })).toBeVisible();
  await expect(page.getByRole('table', { name: 'Dates of the sessions' }).getByRole('row')).toHaveCount(3);
});

test('dates are saved as a calendar that another reader takes', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/lantern/order`);
  await page.getByLabel('From').fill('2027-03-01T15:40');
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as calendar file (.ics)' }).click();
  const file = await saving;
  expect(file.suggestedFilename()).toMatch(/\.ics$/);
  const text = readFileSync(await file.path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(text) as unknown[])
    .getAllSubcomponents('vevent')
    .map((each) => new ICAL.Event(each));
  expect(events.map(({ startDate }) => startDate.toString())[0]).toBe('2027-03-01T15:40:00');
  expect(events[1]?.summary).toContain('Clamps off');
});

test('a large frame is arranged while the page stays alive, and enough can be said', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/balustrade/order`);
  await page.getByRole('button', { name: 'Work out sessions and order' }).click();
  await expect(page.getByText(/Best so far: \d sessions/)).toBeVisible({ timeout: 45_000 });
  await page.getByRole('button', { name: 'That is enough' }).click();
  await expect(page.getByRole('region', { name: /^Session 2: / })).toBeVisible({ timeout: 30_000 });
});

test('the order of closing is played in the drawing', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/hatch-mouldings/order`);
  await page.getByRole('button', { name: 'Play the closing order' }).click();
  await expect(page.getByText(/^Closing 1 of 3: /)).toBeVisible();
  await expect(page.getByText(/^Closing 3 of 3: /)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByRole('button', { name: 'Play the closing order' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Batch of 6' })).toBeVisible();
});

test('Today dates every build that waits, by the hours and benches of the shop', async ({ page, app }) => {
  await page.goto(`${app.url}/shop`);
  const monday = page.getByRole('textbox', { name: 'Monday' });
  await monday.fill('from nine');
  await expect(page.getByText(/"from nine" is no opening/)).toBeVisible();
  for (const day of ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday']) {
    await page.getByRole('textbox', { name: day }).fill('6–12');
  }
  await page.getByRole('link', { name: 'Today' }).click();
  const days = page.getByRole('list', { name: 'Sessions by day' });
  await expect(days.getByRole('listitem')).toHaveCount(8, { timeout: 60_000 });
  const starts = await days.getByRole('listitem').allTextContents();
  for (const start of starts) expect(start).toMatch(/^\w{3} \d+ \w{3}, (0[6-9]|1[01]):\d\d/);
  await expect(page.getByText(/^Last on /)).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as calendar file (.ics)' }).click();
  const text = readFileSync(await (await saving).path(), 'utf8');
  const events = new ICAL.Component(ICAL.parse(text) as unknown[]).getAllSubcomponents('vevent');
  expect(events.length).toBeGreaterThanOrEqual(2 * starts.length);
});
