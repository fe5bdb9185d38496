import { makeDataFolder, removeFolder, startServer } from '../scripts/lib/server.mjs';
import { expect, test, verdict } from './fixtures';

// With the server gone the page opens from what the browser keeps of it.
test.use({ serviceWorkers: 'allow' });

test('an empty shop is told by tapping what is there, and has a true plan', async ({ page }) => {
  const data = makeDataFolder();
  const server = await startServer({ data });
  await page.goto(server.url);
  await page.getByRole('button', { name: 'Something else: every kind' }).click();
  await expect(page.getByRole('radio', { name: 'Mitred post' })).toBeVisible();
  await page.getByRole('radio', { name: 'Tenoned frame' }).click();
  await page.getByRole('checkbox', { name: 'Exterior PVA' }).click();
  for (let i = 0; i < 3; i += 1)
    await page.getByRole('button', { name: 'One more T-bar sash clamp' }).click();
  await page.getByRole('button', { name: 'Show me the first plan' }).click();
  await expect(page).toHaveURL(/\/fit$/);
  await expect(verdict(page, 'inTime')).toBeVisible();
  await page.getByRole('link', { name: 'Squeeze' }).click();
  // As many as were tapped, and no more.
  await expect(page.getByRole('cell', { name: /^3 × T-bar sash clamp/ })).toBeVisible();
  await page.getByRole('link', { name: 'Glue', exact: true }).click();
  await expect(page.getByText('Exterior PVA').first()).toBeVisible();
  await page.close();
  await server.stop();
  removeFolder(data);
});

test('somebody new is shown round, looks a term up, and leaves', async ({ page, shown }) => {
  await page.goto(shown);
  await page.getByRole('button', { name: 'Show me round' }).click();
  const card = page.getByRole('region', { name: /^The way round/ });
  await expect(card).toContainText('1. Today');
  await card.getByRole('button', { name: 'Next' }).click();
  await expect(page).toHaveURL(/stage-floor\/fit$/);
  await card.getByRole('button', { name: 'Next' }).click();
  await card.getByRole('button', { name: 'open time' }).click();
  const term = page.getByRole('dialog', { name: 'open time' });
  await expect(term).toContainText('Warm, dry air shortens it.');
  await term.getByRole('link', { name: 'Every term' }).click();
  await expect(page.getByRole('heading', { name: 'Terms' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(card).toBeHidden();
  await page.getByRole('link', { name: 'Today' }).click();
  await expect(page.getByRole('button', { name: 'Show me round' })).toBeHidden();
});
