import { DEMO_SHOP, pastRuns, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { type RunSummary, summaryOf } from '@lean-clasp/core/runs';
import { screen, waitFor, within } from '@testing-library/react';
import type { StoredBuild } from '../api/api';
import { buildServer, renderPage, type Server } from '../../test/render-page';
import { TodayPage } from './TodayPage';

const HOUR_MS = 3_600_000;
const BUILDS = wagonBuilds()
  .filter(({ id }) => ['scenery-flats', 'awning-pole'].includes(id))
  .map(({ id, build }, i) => ({ id, revision: 0, body: build, updatedAtMs: 1_790_000_000_000 - i }));

/** A run that began so many hours ago, in a state. */
function run(hoursAgo: number, state: RunSummary['state'], name: string): RunSummary {
  const [past] = pastRuns(
    stageFloor(DEMO_SHOP),
    'stage-floor',
    DEMO_SHOP,
    Date.now() - hoursAgo * HOUR_MS,
  ).map(summaryOf);
  if (past === undefined) throw new Error('the demo has runs');
  const moved = Date.now() - hoursAgo * HOUR_MS - past.startedAtMs;
  return {
    ...past,
    id: name,
    buildName: name,
    state,
    startedAtMs: past.startedAtMs + moved,
    clampedAtMs: past.clampedAtMs === null ? null : past.clampedAtMs + moved,
  };
}

const answering = (runs: readonly RunSummary[], builds: readonly StoredBuild[] = BUILDS): Server => ({
  'GET /api/runs': () => ({ runs, next: null }),
  ...buildServer(
    builds,
    new Set(runs.filter(({ state }) => state !== 'abandoned').map(({ buildId }) => buildId)),
  ),
  'GET /api/air': () => ({ state: 'none' }),
});

const section = async (title: string) => {
  const heading = await screen.findByRole('heading', { name: title });
  const found = heading.closest('section');
  if (found === null) throw new Error(`no section ${title}`);
  return within(found);
};

describe('Today', () => {
  it('says of each glue-up whether its clamps may come off and when it may be planed', async () => {
    renderPage(<TodayPage />, {
      server: answering([
        run(0.3, 'clamped', 'Fresh one'),
        run(3, 'clamped', 'Older one'),
        run(60, 'clamped', 'Cured one'),
        run(0.1, 'running', 'Running one'),
        run(2, 'abandoned', 'Given up'),
      ]),
    });
    const list = await section('In clamps');
    expect((await list.findByText('Fresh one')).parentElement?.textContent).toMatch(/clamps off /);
    expect(list.getByText('Older one').parentElement?.textContent).toMatch(
      /clamps may come off; plane it from /,
    );
    expect(list.getByText('Cured one').parentElement?.textContent).toContain('cured enough to work');
    expect(list.getByText('Running one').parentElement?.textContent).toContain('running now');
    expect(list.queryByText('Given up')).toBeNull();
    expect(list.getByRole('link', { name: 'Running one' })).toHaveAttribute('href', '/bench/Running one');
    expect(list.getByRole('link', { name: 'Fresh one' })).toHaveAttribute('href', '/logbook/Fresh one');
  });

  it('forgets glue-ups after a few days, and says what will stand here', async () => {
    renderPage(<TodayPage />, { server: answering([run(24 * 5, 'clamped', 'Last week')]) });
    const list = await section('In clamps');
    expect(await list.findByText(/^Nothing is in clamps/)).toBeInTheDocument();
    expect(list.queryByText('Last week')).toBeNull();
  });

  it('lists what was worked on last with its four verdicts', async () => {
    renderPage(<TodayPage />, { server: answering([]) });
    const list = await section('Worked on last');
    for (const { id, body } of BUILDS) {
      const link = await list.findByRole('link', { name: body.name });
      expect(link).toHaveAttribute('href', `/builds/${id}/fit`);
      const line = link.parentElement;
      await waitFor(() => expect(line?.textContent).toMatch(/In time.*Tight.*Square.*Flat/));
    }
  });

  it('invites to begin where there is no build yet', async () => {
    renderPage(<TodayPage />, { server: answering([], []) });
    expect(await screen.findByText(/^No build yet\./)).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'New build' })).toHaveAttribute('href', '/builds/new');
  });

  it('gives the air and what wood settles at, in the person’s units', async () => {
    renderPage(<TodayPage />, { server: answering([]) });
    const air = await section('Air in the shop');
    expect(air.getByText('18 °C, 45 %')).toBeInTheDocument();
    expect(
      air.getByText(/Boards that lie here are at 9\.7 % moisture by the air of weeks\. Typed in by hand/),
    ).toBeInTheDocument();
    expect(air.getByText('08:00')).toBeInTheDocument();
  });

  it('gives it in Fahrenheit to those who want that', async () => {
    renderPage(<TodayPage />, { server: answering([]), units: 'imperial' });
    const air = await section('Air in the shop');
    expect(air.getByText(/^64 °F, 45 %$/)).toBeInTheDocument();
  });

  it('thinks all builds through and says what can start, and what glue to get', async () => {
    const shop: ShopDocument = { ...DEMO_SHOP, bottles: [] };
    const { asked } = renderPage(<TodayPage />, { server: answering([]), shop });
    const next = await section('What can start next');
    const list = await next.findByRole('list', { name: 'Sessions by day' }, { timeout: 20_000 });
    expect(within(list).getAllByRole('listitem').length).toBeGreaterThanOrEqual(1);
    expect(next.getByText(/^To get: /).textContent).toMatch(/mL for /);
    expect(next.getByRole('button', { name: /calendar file/ })).toBeInTheDocument();
    expect(asked.every(({ method }) => method === 'GET')).toBe(true);
  });
});

describe('worth of one more clamp', () => {
  it('tries one more of each lot over the builds that wait, when it is asked', async () => {
    const few = { ...DEMO_SHOP, rack: DEMO_SHOP.rack.slice(0, 2).map((lot) => ({ ...lot, count: 1 })) };
    const floor = { id: 'floor', revision: 0, body: stageFloor(DEMO_SHOP), updatedAtMs: 1_790_000_000_000 };
    const { user } = renderPage(<TodayPage />, { server: answering([], [floor]), shop: few });
    await user.click(
      await screen.findByRole('button', { name: 'What would one more clamp save?' }, { timeout: 20_000 }),
    );
    const again = await screen.findByRole('button', { name: 'Work it out again' }, { timeout: 20_000 });
    const told = again.closest('[role="status"]')?.textContent ?? '';
    expect(told).toMatch(/^One more (clamp, of whichever lot, would save no clamp-up and no hour|.+: .+)\./);
  });
});
