import { choose, expect, kept, prefer, retype, test, verdict } from './fixtures';

test.beforeEach(({ page }) => prefer(page, {}));

test('a new panel from eight answers, judged while they are given', async ({ page, app }) => {
  await page.goto(`${app.url}/builds`);
  await page.getByRole('link', { name: 'New build' }).click();
  await page.getByRole('link', { name: 'Edge-glued panel' }).click();
  await page.getByLabel('Name').fill('Kitchen counter');
  await choose(page, 'Species', 'Black walnut');
  await retype(page.getByLabel('Boards'), '4');
  await retype(page.getByLabel('Width', { exact: true }), '20 1/2"');
  await retype(page.getByLabel('Thickness'), '22');
  await expect(page.getByText(/lowest, wants 0\.90 MPa/)).toBeVisible();
  await page.getByRole('button', { name: 'Start this build' }).click();
  await expect(page.getByLabel('Name of the build')).toHaveValue('Kitchen counter');
  await expect(page.getByRole('button', { name: /^Board D, 130\.2 mm wide/ })).toBeVisible();
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', /holds|close/);
  await page.goto(`${app.url}/builds`);
  await expect(page.getByRole('link', { name: 'Kitchen counter' })).toBeVisible();
});

test('hot dry air shortens the time, a cold shop refuses the glue', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/glue`);
  await expect(verdict(page, 'inTime')).toContainText('short of 6:18');
  await page.getByRole('button', { name: /18 °C · 45 %/ }).click();
  const air = page.getByRole('dialog', { name: 'Air' });
  await air.getByLabel('Temperature').fill('32');
  await air.getByLabel('Humidity').fill('20');
  await expect(verdict(page, 'inTime')).toContainText('short of 5:06');
  await expect(verdict(page, 'inTime')).toHaveAttribute('data-state', 'fails');
  await air.getByLabel('Temperature').fill('6');
  await expect(verdict(page, 'inTime')).toContainText('below 10 °C: this glue forms no sound line');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Glue up' }).click();
  await expect(page.getByText(/Not to be started like this/)).toBeVisible();
  await expect(page.getByRole('button', { name: /Start the clock/ })).toBeDisabled();
});

test('a clamp that is too short is refused with the reason, and a fix really mends it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await page.getByRole('button', { name: /^Clamp 3: T-bar/ }).click();
  await choose(page, 'From the rack', /parallel-jaw clamp, 600 mm/);
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'fails');
  await expect(verdict(page, 'tight')).toContainText('clamp 3 opens 600 mm, the work needs 615 mm');
  await expect(page.getByText(/Too short: it opens 600 mm/)).toBeVisible();
  // By name: what stood there before the edit goes when the new list comes.
  await page
    .getByRole('button', { name: /^Do it: \d .* instead/ })
    .first()
    .click();
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
  await page.keyboard.press('Control+z');
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'fails');
  await page.keyboard.press('Control+z');
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'holds');
  await page.keyboard.press('Control+Shift+z');
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'fails');
});

test('a fix shows its ghost, states its effect, and that effect comes', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/order`);
  await verdict(page, 'inTime').click();
  const detail = page.getByRole('region', { name: 'In time in detail' });
  await expect(detail.getByText('How this figure is got')).toBeVisible();
  const helper = detail.getByRole('listitem').filter({ hasText: 'One more pair of hands' });
  const promised = /→ (\d+:\d\d)/.exec(await helper.innerText())?.[1] ?? 'nothing';
  await helper.getByRole('button').click();
  await expect(verdict(page, 'inTime')).toContainText(promised);
  await expect(page.getByRole('button', { name: '2 pairs of hands' })).toBeVisible();
});

test('a panel that nothing holds is said to buckle, and bars hold it', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await expect(verdict(page, 'flat')).toContainText('free, it would pop');
  await page.getByLabel('Bars lie against the faces').uncheck();
  await retype(page.getByRole('textbox', { name: 'Pairs of cauls' }), '0');
  await expect(verdict(page, 'flat')).toContainText('nothing holds it');
  await expect(page.getByText(/Free, this panel would buckle/)).toBeVisible();
  await page.getByRole('button', { name: /Do it: Bars touching both faces/ }).click();
  // What the dry fit read as twist is still there; only the buckling is gone.
  await expect(verdict(page, 'flat')).not.toContainText('nothing holds it');
  await expect(page.getByText(/What holds it: bars on both faces/)).toBeVisible();
  await expect(page.getByRole('textbox', { name: 'Pairs of cauls' })).toHaveValue('0');
});

test('glues are compared on this job and one press takes another', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/glue`);
  const list = page.getByRole('list', { name: 'Glues, best for this job first' });
  await expect(list.getByRole('listitem')).toHaveCount(15);
  await expect(list.getByRole('button', { pressed: true })).toContainText('Interior PVA');
  await list.getByRole('button', { name: /Exterior PVA/ }).click();
  await expect(list.getByRole('button', { pressed: true })).toContainText('Exterior PVA');
  await expect(verdict(page, 'inTime')).toHaveAttribute('data-state', 'holds');
  await expect(page.getByText(/safety data sheet/)).toBeVisible();
  await kept(page);
});

test('a clamp is dragged along the panel and the pressure follows, already before it is let go', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  const clamp = page.locator('[data-part^="clamp-"]').nth(5);
  await expect(clamp).toBeVisible();
  const tight = verdict(page, 'tight');
  await expect(tight).toHaveAttribute('data-state', 'holds');
  const box = await clamp.boundingBox();
  if (box === null) throw new Error('no clamp to drag');
  const dragTo = (x: number) => page.mouse.move(x, box.y + 60, { steps: 8 });
  await page.mouse.move(box.x + box.width / 2, box.y + 20);
  await page.mouse.down();
  await dragTo(box.x - 60);
  await expect(tight).toHaveAttribute('data-state', 'fails');
  const takenBack = page.getByRole('button', { name: /^Take back: Clamp position/ });
  await expect(takenBack).toBeHidden();
  // Past its neighbours, where clamps change numbers, home again, and out.
  await dragTo(box.x - 300);
  await dragTo(box.x + box.width / 2);
  await expect(tight).toHaveAttribute('data-state', 'holds');
  await dragTo(box.x - 60);
  await page.mouse.up();
  await expect(takenBack).toBeVisible();
  await expect(tight).toHaveAttribute('data-state', 'fails');
  // It stays where it was let go.
  const label = (await clamp.getAttribute('aria-label')) ?? '';
  await dragTo(box.x - 200);
  await expect(clamp).toHaveAttribute('aria-label', label);
});

test('a clamp taken hold of before the plan is settled goes on being seen where it is held', async ({
  page,
  app,
}) => {
  // What the page asks the elements of its own accord waits until it is let through.
  await page.addInitScript(() => {
    window.Worker = class extends Worker {
      override postMessage(message: { readonly id?: string; readonly path?: readonly string[] }): void {
        const send = () => super.postMessage(message);
        if (message.path?.[0] !== 'settle') return send();
        const answered = new Promise<void>((done) => {
          this.addEventListener('message', ({ data }: MessageEvent<{ readonly id?: string }>) => {
            if (data.id === message.id) done();
          });
        });
        Reflect.set(window, 'letSettle', () => (send(), answered));
      }
    };
  });
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  const tight = verdict(page, 'tight');
  await expect(tight).toHaveAttribute('data-state', 'holds');
  await page.waitForFunction('letSettle');
  const box = await page.locator('[data-part^="clamp-"]').nth(5).boundingBox();
  if (box === null) throw new Error('no clamp to drag');
  await page.mouse.move(box.x + box.width / 2, box.y + 20);
  await page.mouse.down();
  await page.mouse.move(box.x - 60, box.y + 60, { steps: 8 });
  await expect(tight).toHaveAttribute('data-state', 'fails');
  await page.evaluate('letSettle()');
  // By when what it answered would be drawn.
  await page.evaluate('new Promise((done) => setTimeout(done, 500))');
  await expect(tight).toHaveAttribute('data-state', 'fails');
});

test('readings of the dry fit are answered in words', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await retype(page.getByRole('textbox', { name: 'Gap A–B' }), '0.3');
  await expect(page.getByText(/A–B: about .* closes it – the clamps close this easily/)).toBeVisible();
  await retype(page.getByRole('textbox', { name: 'Gap A–B' }), '-5');
  await expect(page.getByText(/A–B: .*back to the plane/)).toBeVisible();
  await expect(verdict(page, 'tight')).toHaveAttribute('data-state', 'fails');
});

test('the printed sheet holds the drawing and the clamps, and nothing of the screen around it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await expect(verdict(page, 'tight')).toBeVisible();
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('row', { name: /T-bar sash clamp above 69 mm 615 mm 5\.4 kN/ })).toBeVisible();
  await expect(page.getByRole('group', { name: 'Stage floor, drawn to scale' })).toBeVisible();
  for (const screenOnly of [verdict(page, 'tight'), page.getByRole('navigation', { name: 'Places' })]) {
    await expect(screenOnly).toBeHidden();
  }
  const pdf = await page.pdf({ format: 'A4', landscape: true });
  expect(pdf.length).toBeGreaterThan(10_000);
});

test('a position can be typed past its neighbours without the row jumping away', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/stage-floor/squeeze`);
  await page.getByRole('button', { name: /^Clamp 2: T-bar/ }).click();
  const at = page.getByRole('textbox', { name: 'At', exact: true });
  await at.click();
  await at.press('Control+a');
  await page.keyboard.type('500', { delay: 60 });
  await expect(at).toBeFocused();
  await expect(at).toHaveValue('500');
  await expect(page.getByRole('button', { name: /^Clamp 3, below, at 500 mm/ })).toBeVisible();
});
