import { expect, prefer, test } from './fixtures';

test('a kind is chosen from its drawing, answered, refused where it cannot be made, and kept', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds`);
  await page.getByRole('link', { name: 'New build' }).click();
  await page.getByRole('link', { name: 'Tenoned frame' }).click();
  const tenon = page.getByRole('textbox', { name: 'Tenon length' });
  await tenon.fill('90');
  await expect(page.getByRole('alert')).toContainText('would break out of a stile');
  await expect(page.getByRole('button', { name: 'Start this build' })).toBeDisabled();
  await tenon.fill('40');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Side door');
  await page.getByRole('button', { name: 'Start this build' }).click();
  await expect(page).toHaveURL(/\/fit$/);
  await expect(page.getByRole('group', { name: 'Side door: 5 parts, 6 joints' })).toBeVisible();
  await page.getByRole('textbox', { name: 'Middle rails' }).fill('2');
  await expect(page.getByRole('group', { name: 'Side door: 6 parts, 8 joints' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('group', { name: 'Side door: 5 parts, 6 joints' })).toBeVisible();
  await page.reload();
  await expect(page.getByRole('textbox', { name: 'Tenon length' })).toHaveValue('40 mm');
});

test('a part is reached and chosen by keyboard in the drawing and lit in the list', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/scenery-flats/fit`);
  const part = page.getByRole('button', { name: /^middle rail, eastern/ });
  await part.focus();
  await page.keyboard.press('Enter');
  await expect(part).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText('middle rail is lit in the drawing.')).toBeVisible();
  await page.getByRole('button', { name: 'Above' }).click();
  await expect(page.getByRole('button', { name: /^middle rail, eastern/ })).toHaveAttribute(
    'aria-pressed',
    'true',
  );
});

test('an assembly turns as a solid where the browser can draw one', async ({ page, app }) => {
  await page.goto(`${app.url}/builds/balustrade/fit`);
  await page.getByRole('button', { name: 'Turn it' }).click();
  await expect(page.getByRole('img', { name: /as a solid/ }).locator('canvas')).toBeVisible();
});

test('a free assembly grows by a part that is joined, and refuses two in one place', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/new/free`);
  await page.getByRole('button', { name: 'Start this build' }).click();
  await page.getByRole('button', { name: 'Add a part' }).click();
  const third = page.getByRole('group', { name: 'Part 3' });
  await third.getByRole('textbox', { name: 'From x' }).fill('20');
  await third.getByRole('textbox', { name: 'From z' }).fill('310');
  await expect(page.getByRole('alert')).toContainText('are in the same place');
  await third.getByRole('textbox', { name: 'From z' }).fill('400');
  await expect(page.getByRole('alert')).toBeHidden();
  await expect(page.getByRole('group', { name: /3 parts, one joint/ })).toBeVisible();
});

for (const units of ['metric', 'imperial'] as const) {
  test(`every build of the wagon opens with its drawing and four verdicts, ${units}`, async ({
    page,
    app,
  }) => {
    await prefer(page, { units });
    const faults: string[] = [];
    page.on('pageerror', ({ message }) => faults.push(message));
    const { builds } = (await (await page.request.get(`${app.url}/api/builds`)).json()) as {
      builds: { id: string }[];
    };
    expect(builds.length).toBe(26);
    for (const { id } of builds) {
      await page.goto(`${app.url}/builds/${id}/fit`);
      await expect(page.locator('[data-verdict]')).toHaveCount(4);
      await expect(page.getByText(/NaN|undefined|Infinity/)).toHaveCount(0);
    }
    expect(faults).toEqual([]);
  });
}

test('parts and joints of the drawing are reached, read out and chosen by keyboard', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/costume-trunk/fit`);
  const joints = page.getByRole('group', { name: 'Joints', exact: true }).getByRole('button');
  await joints.first().focus();
  await page.keyboard.press('ArrowRight');
  await expect(joints.nth(1)).toBeFocused();
  await expect(joints.nth(1)).toHaveAccessibleName(/^housing, .+ – .+, \d+ cm²$/);
  await page.keyboard.press('Enter');
  await expect(joints.nth(1)).toHaveAttribute('aria-pressed', 'true');
  // What is lit in the drawing is open in the list.
  await expect(page.getByRole('combobox', { name: 'Glued' })).toBeVisible();
  await page.keyboard.press('Tab');
  const parts = page.getByRole('group', { name: 'Parts', exact: true }).getByRole('button');
  await expect(parts.first()).toBeFocused();
  await expect(parts.first()).toHaveAccessibleName(/yellow-poplar, \d+/);
  await page.keyboard.press('ArrowLeft');
  await expect(parts.last()).toBeFocused();
});
