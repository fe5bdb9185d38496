import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { expect, prefer, test } from './fixtures';

test.beforeEach(({ page }) => prefer(page, {}));

test('a label typed in beats the catalogue wherever the glue is used, and is shown as such', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/shop`);
  await page.getByText('Its label').first().click();
  await page.getByRole('textbox', { name: 'Open, from' }).first().fill('21');
  await page.getByRole('textbox', { name: 'Open, to' }).first().fill('24');
  await page.getByRole('textbox', { name: 'Open, to' }).first().press('Tab');
  await expect(page.getByText('Its label: 1 of its figures typed in')).toBeVisible();
  await page.goto(`${app.url}/builds/stage-floor/glue`);
  const chosen = page
    .getByRole('list', { name: 'Glues, best for this job first' })
    .getByRole('button', { pressed: true });
  await expect(chosen).toContainText('Interior PVA, fast · by your label');
  await expect(chosen).toContainText('open 22–25');
});

test('what matters here changes what is best, with the reason said', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/glue`);
  await expect(page.getByText('Best here: Exterior PVA')).toBeVisible();
  await page.getByText('What matters here').click();
  await page.getByRole('checkbox', { name: 'To come apart again one day' }).check();
  await expect(page.getByText(/Best here: Liquid hide glue/)).toBeVisible();
  await expect(page.getByText(/comes apart again with warmth and damp/).first()).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Best here: Exterior PVA')).toBeVisible();
});

test('plans go by the sensor, and by the last good value once it fails', async ({ page, app }) => {
  let broken = false;
  const sensor = createServer((_request, response) => {
    if (broken) response.writeHead(503).end();
    else {
      const reading = { tempC: 12.1, rhPct: 66, takenAt: new Date().toISOString() };
      response.writeHead(200, { 'content-type': 'application/json' });
      response.end(JSON.stringify({ format: 'lean-clasp/air', version: 1, ...reading }));
    }
  });
  await new Promise<void>((done) => sensor.listen(0, '127.0.0.1', done));
  try {
    await page.goto(`${app.url}/shop`);
    const address = page.getByRole('textbox', { name: 'Sensor’s address' });
    await address.fill(`http://127.0.0.1:${(sensor.address() as AddressInfo).port}/air`);
    await address.press('Enter');
    await expect(
      page
        .getByText('kept', { exact: true })
        .or(page.getByText(/The sensor/))
        .first(),
    ).toBeVisible();
    await page.reload();
    await expect(page.getByText(/66 %\. The sensor answers, read/)).toBeVisible();
    await page.goto(`${app.url}/builds/stage-floor/fit`);
    await expect(page.getByRole('button', { name: /12 °C · 66 %/ })).toBeVisible();
    broken = true;
    // The server asks again once its last answer is twenty seconds old.
    await page.waitForTimeout(21_000);
    await page.reload();
    await expect(page.getByRole('button', { name: /12 °C · 66 % .*sensor silent/ })).toBeVisible();
  } finally {
    sensor.close();
  }
});
