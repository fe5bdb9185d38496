import { spawn } from 'node:child_process';
import { copyOf, removeFolder } from '../scripts/lib/server.mjs';
import { expect, prefer, test } from './fixtures';

const LIST =
  'Name;Qty;L (mm);W (mm);T (mm);Material\nSide door;1;700,5;420;19;Cherry\nShelf;1;900;lots;19;Cherry\n';
/** 1 m long, 400 mm wide, the near edge an arc 30 mm deep, in centimetres. */
const SLAB = [
  ...[0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, 5, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'],
  ...[0, 'LWPOLYLINE', 8, 'cut', 90, 4, 70, 1, 10, 0, 20, 0, 42, -0.06, 10, 100, 20, 0],
  ...[10, 100, 20, 40, 10, 0, 20, 40, 0, 'ENDSEC', 0, 'EOF'],
].join('\n');

test('a cut list out of a file becomes a panel, and a drawing the outline of a slab', async ({
  page,
  app,
}) => {
  await prefer(page, {});
  await page.goto(`${app.url}/builds`);
  await page.getByRole('button', { name: 'Panels from a cut list' }).click();
  await page
    .getByLabel('Open a file (CSV)')
    .setInputFiles({ name: 'list.csv', mimeType: 'text/csv', buffer: Buffer.from(LIST, 'latin1') });
  await expect(page.getByText('2 rows read under their heads; 1 cannot be taken.')).toBeVisible();
  await page.getByRole('button', { name: 'Make panels of 1 row' }).click();
  await page.getByRole('link', { name: 'Side door' }).click();
  await expect(page.getByRole('region', { name: 'Boards' })).toBeVisible();

  const made = await page.request.post(`${app.url}/api/builds`, {
    data: {
      template: 'round-panel',
      name: 'Slab',
      project: '',
      service: 'dry',
      answers: { boards: 3, thicknessMm: 40 },
    },
    headers: { origin: app.url },
  });
  const { id } = (await made.json()) as { id: string };
  await page.goto(`${app.url}/builds/${id}/fit`);
  await page
    .getByLabel('Outline from a drawing (SVG, DXF)')
    .setInputFiles({ name: 'slab.dxf', mimeType: 'image/vnd.dxf', buffer: Buffer.from(SLAB) });
  await expect(page.getByText('Outline taken: 1000 mm by 400 mm.')).toBeVisible();
  await expect(page.getByLabel('Length', { exact: true })).toHaveValue('1000 mm');
});

test('the command line serves the app', async ({ page, demoData }) => {
  const data = copyOf(demoData);
  const child = spawn(process.execPath, [
    'apps/cli/bin/lean-clasp.mjs',
    'serve',
    '--port',
    '0',
    '--data',
    data,
  ]);
  const ended = new Promise<number | null>((done) => child.once('exit', done));
  try {
    let said = '';
    child.stdout.on('data', (chunk: Buffer) => (said += chunk.toString()));
    await expect(() => expect(said).toMatch(/answers at http\S+/)).toPass({ timeout: 60_000 });
    await page.goto(/answers at (http\S+)/.exec(said)?.[1] ?? '');
    await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  } finally {
    child.kill('SIGTERM');
    expect(await ended).toBe(0);
    removeFolder(data);
  }
});
