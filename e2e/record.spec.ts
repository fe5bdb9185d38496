import { expect, choose, prefer, test } from './fixtures';

// With the server gone the page opens from what the browser keeps of it.
test.use({ serviceWorkers: 'allow' });

/** What of a run's events is looked at here. */
interface Told {
  readonly kind: string;
  readonly joint?: string;
  readonly payload?: {
    readonly stretches?: readonly { readonly look: string; readonly where: string }[];
    readonly picture?: { readonly id: string; readonly gone: boolean };
    readonly coupon?: { readonly woodFailurePct: number | null };
    readonly recheck?: { readonly due: string; readonly found: string };
    readonly reading?: { readonly check: string; readonly accepted: boolean };
  };
}

/** One point, as a PNG that names its author: what the page draws anew must not. */
const PNG =
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mP8z8BQDwAEhQGAhKmMIQAAAABJRU5ErkJggg==';

test.beforeEach(({ page }) => prefer(page, {}));

test('a record says joint by joint how it came out, with pictures, a coupon and later looks', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/logbook/demo-run-1`);
  await expect(page.getByRole('heading', { name: 'Joint by joint' })).toBeVisible();

  await page.getByRole('button', { name: /^Line B–C/ }).click();
  await expect(page.getByRole('combobox', { name: 'Joint' })).toHaveText('B–C');
  await choose(page, 'It is', 'open');
  await choose(page, 'Where', 'right end');
  await page.getByLabel('Open by').fill('0.3');
  await page.getByRole('button', { name: 'Mark it' }).click();
  await expect(page.getByRole('list', { name: 'Joints as marked' })).toContainText(
    'B–C: open by 0.30 mm, right end',
  );
  await expect(page.getByTestId('marked')).toHaveCount(1);

  const name = 'bench corner.png';
  await page
    .getByLabel('Photographs to add')
    .setInputFiles({ name, mimeType: 'image/png', buffer: Buffer.from(PNG, 'base64') });
  const picture = page.getByRole('img', { name: 'Photograph 1' });
  await expect(picture).toBeVisible();
  await page.getByLabel('What it shows').fill('ridge at the stop');
  await page.getByLabel('What it shows').blur();

  await page.getByRole('button', { name: 'A coupon was glued with it' }).click();
  await page.getByLabel('Wood failure, %').fill('85');
  await expect(page.getByText(/Broke in the wood/)).toBeVisible();
  await choose(page, 'Found after a week', 'sound');

  const told = async () =>
    ((await (await page.request.get(`${app.url}/api/runs/demo-run-1`)).json()) as { events: Told[] }).events;
  await expect
    .poll(async () => (await told()).map(({ payload }) => payload?.recheck?.found).filter(Boolean))
    .toEqual(['sound']);
  const kept = (await told()).flatMap(({ payload }) => payload?.picture ?? []).at(-1);
  const address = `${app.url}/api/runs/demo-run-1/pictures/${kept?.id}`;
  await expect.poll(async () => (await page.request.get(address)).status()).toBe(200);
  await page.reload();
  await expect(page.getByRole('img', { name: 'ridge at the stop' })).toBeVisible();
  await expect(page.getByLabel('Wood failure, %')).toHaveValue('85');
  await expect(page.getByTestId('marked')).toHaveCount(1);

  await page.getByLabel('Photographs to add').setInputFiles({
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(
    page.getByRole('alert').filter({ hasText: 'no picture that this browser can read' }),
  ).toBeVisible();
});

test('a picture taken while the server is away is sent when it is back', async ({ page, app }) => {
  await page.goto(`${app.url}/logbook/demo-run-1`);
  await expect(page.getByRole('heading', { name: 'Photographs' })).toBeVisible();
  await app.stop();
  await page
    .getByLabel('Photographs to add')
    .setInputFiles({ name: 'a.png', mimeType: 'image/png', buffer: Buffer.from(PNG, 'base64') });
  await expect(page.getByRole('img', { name: 'Photograph 1' })).toBeVisible();
  await page.close();
  await app.start();
  const later = await page.context().newPage();
  await later.goto(app.url);
  await expect
    .poll(
      async () => {
        const run = (await (await later.request.get(`${app.url}/api/runs/demo-run-1`)).json()) as {
          events: Told[];
        };
        const id = run.events.flatMap(({ payload }) => payload?.picture ?? []).at(-1)?.id;
        return (await later.request.get(`${app.url}/api/runs/demo-run-1/pictures/${id}`)).status();
      },
      { timeout: 20_000 },
    )
    .toBe(200);
});
