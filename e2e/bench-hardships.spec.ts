import type { Page } from '@playwright/test';
import { compareFuse, MINUTE, NOON, pressThrough, runAt } from './bench-run';
import { type App, expect, prefer, test } from './fixtures';

// With the server gone the page opens from what the browser keeps of it.
test.use({ serviceWorkers: 'allow' });

/** Numbers from 0 to 1, the same for a seed. */
function scatter(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1_664_525 + 1_013_904_223) % 4_294_967_296;
    return state / 4_294_967_296;
  };
}

const SLAB = {
  template: 'heavy-slab',
  answers: {
    species: 'red-alder',
    planks: 3,
    widthMm: 500,
    lengthMm: 1200,
    thicknessMm: 40,
    caulPairs: 3,
  },
};
const SLATTED = {
  template: 'slatted-frame',
  answers: {
    rails: 2,
    slats: 5,
    betweenLegsMm: 400,
    heightMm: 500,
    railMm: 35,
    slatWidthMm: 40,
    slatThicknessMm: 12,
  },
};

const JOBS = [
  ['a slab', SLAB, 3],
  ['a slatted frame', SLATTED, 5],
  ['a case', 'costume-trunk', 7],
  ['a sheet in a bag', 'backdrop', 11],
] as const;

test.beforeEach(({ page }) => prefer(page, {}));

/** Opens a build to be glued up, made first where it is not one of the demo's. */
async function openGlueUp(page: Page, app: App, job: string | typeof SLAB | typeof SLATTED): Promise<void> {
  let id = typeof job === 'string' ? job : '';
  if (typeof job !== 'string') {
    const body = { name: 'Hard weather', project: '', service: 'dry', ...job };
    const made = await page.request.post(`${app.url}/api/builds`, {
      data: body,
      headers: { origin: app.url },
    });
    id = ((await made.json()) as { id: string }).id;
  }
  await page.goto(`${app.url}/builds/${id}/glue-up`);
  await expect(page.getByRole('button', { name: /Start the clock/ })).toBeEnabled();
}

for (const [name, job, seed] of JOBS) {
  test(`${name} is run through reloads and a server that is killed at random, nothing lost or doubled`, async ({
    page,
    app,
  }) => {
    // Dozens of steps, each with a server that may have to start: minutes on a busy machine.
    test.slow();
    const random = scatter(seed);
    await page.clock.install({ time: NOON - MINUTE });
    await openGlueUp(page, app, job);
    await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
    await page.clock.pauseAt(NOON);
    await page.getByRole('button', { name: /Start the clock/ }).click();
    const steps = Number((await page.getByText(/^1 of \d+$/).textContent())?.split(' ').at(-1));
    let gone = false;
    for (let step = 1; step <= steps; step += 1) {
      await expect(page.getByText(`${step} of ${steps}`, { exact: true })).toBeVisible();
      const weather = random();
      if (weather < 0.12) {
        if (gone) await app.start();
        else await app.kill();
        gone = !gone;
      }
      if (weather > 0.85) {
        await page.reload();
        await expect(page.getByText(`${step} of ${steps}`, { exact: true })).toBeVisible();
      }
      await pressThrough(page);
    }
    await expect(page.getByRole('heading', { name: 'Clamped. Leave it now.' })).toBeVisible();
    if (gone) await app.start();
    await expect(async () => {
      await page.clock.runFor('01:10');
      const { events } = await runAt(page, app.url);
      expect(events.filter(({ kind }) => kind === 'finish')).toHaveLength(1);
    }).toPass({ timeout: 30_000 });
    const { events } = await runAt(page, app.url);
    const done = events.filter(({ kind }) => kind === 'done').map(({ operation }) => operation);
    expect(done).toHaveLength(steps);
    expect(new Set(done).size).toBe(steps);
    expect(new Set(events.map(({ id }) => id)).size).toBe(events.length);
  });
}

const CLOCKED = [
  ['a case', 'costume-trunk'],
  ['a slatted frame', SLATTED],
  ['a mitred post', 'lamp-posts'],
] as const;

for (const [name, job] of CLOCKED) {
  test(`${name} is run with the storage full and the clock set by an hour: its fuses stay right to a second`, async ({
    page,
    app,
  }) => {
    await page.addInitScript(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException('full', 'QuotaExceededError');
      };
    });
    await openGlueUp(page, app, job);
    await page.getByRole('button', { name: /Start the clock/ }).click();
    const steps = Number((await page.getByText(/^1 of \d+$/).textContent())?.split(' ').at(-1));
    for (let step = 1; step <= 8; step += 1) {
      await expect(page.getByText(`${step} of ${steps}`, { exact: true })).toBeVisible();
      await page.waitForTimeout(450);
      await page.keyboard.press('Space');
    }
    const before = await page.getByRole('timer').textContent();
    await page.evaluate(() => {
      const { now } = Date;
      Date.now = () => now.call(Date) + 3_600_000;
    });
    await expect(page.getByRole('status').filter({ hasText: 'was set forward by' })).toBeVisible();
    const after = await page.getByRole('timer').textContent();
    const seconds = (text: string | null) => {
      const [minutes = 0, rest = 0] = (text ?? '').split(':').map(Number);
      return 60 * minutes + rest;
    };
    expect(seconds(before) - seconds(after)).toBeGreaterThanOrEqual(0);
    expect(seconds(before) - seconds(after)).toBeLessThan(20);
    await expect
      .poll(async () => (await runAt(page, app.url)).events.filter(({ kind }) => kind === 'done').length)
      .toBe(8);
  });
}

test('one screen conducts, and another takes over', async ({ page, app, browser }) => {
  await openGlueUp(page, app, 'costume-trunk');
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await page.waitForURL('**/bench/**');
  await expect(page.getByText('Another screen conducts')).toBeHidden();
  const telephone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await prefer(telephone, {});
  await telephone.goto(page.url());
  await expect(telephone.getByText('Another screen conducts')).toBeVisible();
  await telephone.getByRole('button', { name: 'Trouble' }).click();
  await expect(telephone.getByRole('button', { name: 'Give this glue-up up' })).toBeDisabled();
  await telephone.keyboard.press('Escape');
  await telephone.getByRole('button', { name: 'Take over' }).click();
  await expect(telephone.getByText('Another screen conducts')).toBeHidden();
  await expect(page.getByText('Another screen conducts')).toBeVisible();
  // Loaded again, each is what it was.
  await telephone.reload();
  await expect(telephone.getByRole('button', { name: 'Trouble' })).toBeVisible();
  await expect(telephone.getByText('Another screen conducts')).toBeHidden();
  await telephone.context().close();
});

test('the fuses of a slab agree with a replay of what the server was told', async ({ page, app }) => {
  await page.clock.install({ time: NOON - MINUTE });
  await openGlueUp(page, app, SLAB);
  await page.clock.pauseAt(NOON);
  await page.getByRole('button', { name: /Start the clock/ }).click();
  await expect(page.getByText(/^1 of \d+$/)).toBeVisible();
  for (let step = 1; step <= 6; step += 1) {
    await page.clock.runFor('00:07');
    await page.keyboard.press('Space');
    await compareFuse(page, app.url, step);
  }
});
