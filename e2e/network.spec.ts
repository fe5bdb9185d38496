import { expect, kept, prefer, retype, test } from './fixtures';

// A server in between says for whom it asks; that makes a page of this machine one of the network.
test.use({ extraHTTPHeaders: { 'x-forwarded-for': '192.0.2.7' }, serviceWorkers: 'block' });

test.beforeEach(({ page }) => prefer(page, {}));

async function setPassphrase(url: string, role: string, passphrase: string): Promise<void> {
  // Asked from this machine, by nobody in between.
  const response = await fetch(`${url}/api/network/passphrases/${role}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ passphrase }),
  });
  expect(response.status).toBe(200);
}

test('a tablet comes in for the bench: runs, and changes no plan', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await expect(page.getByRole('heading', { name: 'This shop asks for its passphrase' })).toBeVisible();
  await expect(page.getByText(/None is set yet/)).toBeVisible();
  await setPassphrase(app.url, 'bench', 'mallet water and rag');
  await page.reload();
  const phrase = page.getByLabel('Passphrase', { exact: true });
  await phrase.fill('mallet and rag');
  await page.keyboard.press('Enter');
  await expect(page.getByText('That is not the passphrase.')).toBeVisible();
  await phrase.fill('mallet water and rag');
  await page.keyboard.press('Enter');
  const name = page.getByLabel('Name of the build');
  await expect(name).toHaveValue('Stage floor');
  await name.fill('Another floor');
  await expect(page.getByText(/Plans and the shop are changed by the owner/)).toBeVisible();
  await expect(name).toHaveValue('Stage floor');
  await page.goto(`${app.url}/builds`);
  await expect(page.getByText('Stage floor', { exact: true })).toBeVisible();
  await expect(page.getByRole('link', { name: 'New build' })).toBeHidden();
  await page.goto(`${app.url}/builds/stage-floor/glue-up`);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page).toHaveURL(/\/bench\//);
});

test('an owner edits; once the passphrase is another, what was typed waits and goes in after it', async ({
  page,
  app,
}) => {
  await setPassphrase(app.url, 'owner', 'three dry cauls waxed');
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await page.getByLabel('Passphrase', { exact: true }).fill('three dry cauls waxed');
  await page.getByRole('button', { name: 'Come in' }).click();
  await retype(page.getByLabel('Name of the build'), 'Floor one');
  await kept(page);
  // Typed before the page can hear of the new passphrase, sent after it is set.
  let release = () => {};
  const released = new Promise<void>((done) => (release = done));
  await page.route('**/api/**', async (route) => {
    await released;
    await route.continue();
  });
  await page.getByLabel('Name of the build').fill('Floor two');
  await setPassphrase(app.url, 'owner', 'three dry cauls oiled');
  release();
  await expect(page.getByRole('heading', { name: 'This shop asks for its passphrase' })).toBeVisible();
  await page.getByLabel('Passphrase', { exact: true }).fill('three dry cauls oiled');
  await page.getByRole('button', { name: 'Come in' }).click();
  await expect(page.getByLabel('Name of the build')).toHaveValue('Floor two');
  await kept(page);
  await page.reload();
  await expect(page.getByLabel('Name of the build')).toHaveValue('Floor two');
  await page.getByRole('button', { name: /Signed in: owner/ }).click();
  await page.getByRole('button', { name: 'Sign out', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'This shop asks for its passphrase' })).toBeVisible();
});
