import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { fullSizeItems } from '@lean-clasp/core/full-size';
import { planBuild, settlePlan } from '@lean-clasp/core/plan';
import { screen, within } from '@testing-library/react';
import Papa from 'papaparse';
import { buildServer, renderPage } from '../../test/render-page';
import { cutList } from './own-files';
import { PaperPage } from './PaperPage';

const floor = stageFloor(DEMO_SHOP);
const stored = [{ id: 'floor', revision: 3, body: floor, updatedAtMs: 0 }];
const network = { addresses: ['http://192.0.2.5:4620'], secure: false, passphrases: [] };
const saved: string[] = [];

beforeEach(() => {
  saved.length = 0;
  URL.createObjectURL = () => 'blob:file';
  URL.revokeObjectURL = () => undefined;
  jest.spyOn(HTMLAnchorElement.prototype, 'click').mockImplementation(function click(
    this: HTMLAnchorElement,
  ) {
    saved.push(this.download);
  });
});

const show = (paper: (() => unknown) | null = () => ({})) =>
  renderPage(<PaperPage />, {
    path: '/builds/:buildId/paper',
    at: '/builds/floor/paper',
    server: {
      ...buildServer(stored),
      'GET /api/builds/floor/edits': () => [],
      'GET /api/network': () => network,
      ...(paper === null ? {} : { 'POST /api/paper': paper }),
    },
  });

describe('paper and files', () => {
  it('has the sheet made of the build on show, with an address that a tablet reaches', async () => {
    const { user, asked } = show();
    await user.click(await screen.findByRole('combobox', { name: 'Paper' }));
    await user.click(await screen.findByRole('option', { name: 'Letter' }));
    await user.click(screen.getByRole('button', { name: 'Sheet, PDF' }));
    await screen.findByRole('button', { name: 'Sheet, PDF' });
    const sent = asked.find(({ path }) => path === '/api/paper')?.body;
    expect(sent).toMatchObject({
      ask: {
        what: 'sheet',
        paper: 'letter',
        units: 'metric',
        session: null,
        link: 'http://192.0.2.5:4620/builds/floor/glue-up',
      },
      plan: { build: { name: floor.name } },
    });
    expect(saved).toEqual(['stage-floor-sheet.pdf']);
  });

  it('draws and offers every template that the plan has, in three formats', async () => {
    const { user, asked } = show();
    const items = fullSizeItems(settlePlan(planBuild(floor, DEMO_SHOP)));
    const sections = await screen.findAllByRole('region', { name: /, full size$/ });
    expect(sections).toHaveLength(items.length);
    for (const section of sections) {
      expect(within(section).getByRole('img')).toBeInTheDocument();
      expect(within(section).getAllByRole('button')).toHaveLength(3);
    }
    await user.click(screen.getByRole('button', { name: 'Clamp strip, DXF' }));
    expect(asked.find(({ path }) => path === '/api/paper')?.body).toMatchObject({
      ask: { what: 'full-size', item: 'clamp-strip', format: 'dxf' },
    });
  });

  it('says what the server would not do, and stays as it was', async () => {
    const { user } = show(null);
    await user.click(await screen.findByRole('button', { name: 'Sheet, PDF' }));
    expect(await screen.findByRole('alert')).toHaveTextContent('Nothing here.');
    expect(saved).toEqual([]);
    expect(screen.getByRole('button', { name: 'Sheet, PDF' })).toBeEnabled();
  });

  it('saves the build and its parts without the server', async () => {
    const { user } = show();
    await user.click(await screen.findByRole('button', { name: 'Build, JSON' }));
    await user.click(screen.getByRole('button', { name: 'Cut list, CSV' }));
    expect(saved).toEqual(['stage-floor.json', 'stage-floor-cut-list.csv']);
  });
});

describe('the cut list', () => {
  it.each([floor, ...wagonBuilds().map(({ build }) => build)].map((build) => [build.name, build] as const))(
    'of %s has a line for each part, with its wood and sizes',
    (_, build) => {
      const plan = planBuild(build, DEMO_SHOP);
      const [heads, ...rows] = Papa.parse<string[]>(cutList(plan)).data;
      expect(heads).toHaveLength(6);
      expect(rows).toHaveLength(plan.facts.parts.length);
      rows.forEach((row, i) => {
        const part = plan.facts.parts[i]?.part;
        expect(row[0]).toBe(part?.label);
        expect(row.slice(2, 5).map(Number)).toEqual(part?.blankMm.map((mm) => Math.round(mm * 10) / 10));
      });
    },
  );
});
