import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { expect, test } from './fixtures';

test('the sheet of a build is saved as a PDF that others read, templates as drawings', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/builds/stage-floor/fit`);
  await page.getByRole('link', { name: 'Paper and files' }).click();
  await expect(page.getByRole('heading', { name: 'Paper and files' })).toBeVisible();
  const saving = async (name: string | RegExp) => {
    const [saved] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name, exact: true }).click(),
    ]);
    return { name: saved.suggestedFilename(), path: await saved.path() };
  };
  const sheet = await saving('Sheet, PDF');
  expect(sheet.name).toBe('stage-floor-sheet.pdf');
  const text = execFileSync('pdftotext', [sheet.path, '-'], { encoding: 'utf8' });
  expect(text).toContain('Stage floor');
  expect(text).toContain('Gather, in order of use');
  const picture = readFileSync((await saving('Drawing, PNG')).path);
  expect(picture.subarray(1, 4).toString()).toBe('PNG');
  expect(picture.readUInt32BE(16)).toBe(2400);
  const strip = await saving('Clamp strip, SVG');
  expect(readFileSync(strip.path, 'utf8')).toContain('<g id="cut"');
  const list = await saving('Cut list, CSV');
  expect(readFileSync(list.path, 'utf8').trim().split('\n')).toHaveLength(6);
});

test('everything is saved as one file, and read in again after it is told what would come of it', async ({
  page,
  app,
}) => {
  await page.goto(`${app.url}/shop`);
  const section = page.getByRole('region', { name: 'Everything as one file' });
  await section.scrollIntoViewIfNeeded();
  const [saved] = await Promise.all([
    page.waitForEvent('download'),
    section.getByRole('link', { name: 'Save everything' }).click(),
  ]);
  await section.getByLabel('Archive to read in').setInputFiles(await saved.path());
  await expect(section.getByText(/Added to what is here: 0 new builds, \d+ the same/)).toBeVisible();
  await section.getByRole('button', { name: 'Add what is not here' }).click();
  await expect(section.getByText(/^Read in: 0 new builds/)).toBeVisible();
});
