import { DEMO_SHOP, pastRuns, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { STARTER_SHOP } from '@lean-clasp/core/templates';
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

/** Builds are thought through first, which takes a while on a busy machine. */
const THOUGHT = { timeout: 20_000 };

const section = async (title: string) => {
  const heading = await screen.findByRole('heading', { name: title }, THOUGHT);
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

  it('asks three things where there is no build yet, and leads to a first plan', async () => {
    const { user, asked, shop } = renderPage(<TodayPage />, {
      server: { ...answering([], []), 'POST /api/builds': () => BUILDS[0] },
      shop: STARTER_SHOP,
    });
    const questions = await section('Three questions to a first plan');
    expect(questions.queryByRole('radio', { name: 'Mitred post' })).not.toBeInTheDocument();
    await user.click(questions.getByRole('button', { name: 'Something else: every kind' }));
    expect(questions.getByRole('radio', { name: 'Mitred post' })).toBeVisible();
    await user.click(questions.getByRole('radio', { name: /Mortise|tenon/i }));
    await user.click(questions.getByRole('checkbox', { name: 'Liquid hide glue' }));
    await user.click(questions.getByRole('checkbox', { name: 'Slow epoxy' }));
    const bars = within(questions.getByRole('group', { name: 'T-bar sash clamps' }));
    const more = bars.getByRole('button', { name: 'One more T-bar sash clamp' });
    for (let i = 0; i < 5; i += 1) await user.click(more);
    await user.click(bars.getByRole('button', { name: 'One T-bar sash clamp fewer' }));
    expect(bars.getByLabelText('How many')).toHaveTextContent('4');
    await user.click(questions.getByRole('button', { name: 'One more parallel-jaw clamp' }));
    await user.click(questions.getByRole('button', { name: 'Show me the first plan' }));
    await waitFor(() => expect(asked.some(({ method }) => method === 'POST')).toBe(true));
    const made = asked.find(({ method }) => method === 'POST');
    expect(made?.body).toMatchObject({ template: 'tenon-frame' });
    await waitFor(() =>
      expect(shop().rack.map(({ kind, count }) => [kind, count])).toEqual([
        ['parallel-jaw', 1],
        ['t-bar', 4],
      ]),
    );
    expect(shop().bottles.map(({ adhesive }) => adhesive)).toEqual(['hide-liquid', 'epoxy-slow']);
  });

  it('says until when the shop is open and what fits into that, and which lessons bear on it', async () => {
    const hours = [0, 1, 2, 3, 4, 5, 6].map((day) => ({ day, fromMin: 0, toMin: 1440 }));
    const shop = { ...DEMO_SHOP, benches: [], week: { hours: hours.slice(0, 6), benches: 1 } };
    jest.useFakeTimers({ now: new Date('2026-11-26T09:00:00'), advanceTimers: true });
    renderPage(<TodayPage />, { server: answering([]), shop });
    const next = await section('What can start next');
    const told = await next.findByText(/^Open until /, {}, THOUGHT);
    expect(told.textContent).toMatch(/from now\. In that time, .+: .+ at \d\d:\d\d/);
    const lessons = await section('Lessons that bear');
    expect(lessons.getAllByRole('link').length).toBeGreaterThan(0);
    jest.useRealTimers();
  });

  it('says what did not begin when it was to, and what that moves', async () => {
    jest.useFakeTimers({ now: new Date('2026-11-26T15:00:00'), advanceTimers: true });
    const planned = BUILDS.map(({ id }, i) => ({
      build: id,
      session: 0,
      start: Date.UTC(2026, 10, i === 0 ? 25 : 26, i === 0 ? 9 : 16) / 60_000,
    }));
    const kept = { 'lean-clasp.day-plan': { day: '2026-11-25', starts: planned, before: 'nonsense' } };
    renderPage(<TodayPage />, { server: answering([]), kept });
    const slipped = await section('What slipped');
    expect(slipped.getByText(/was to begin Wed 25 Nov, 09:00; now /)).toBeInTheDocument();
    expect(slipped.getByText(/^(That moves|It moves nothing)/)).toBeInTheDocument();
    await waitFor(() => expect(localStorage.getItem('lean-clasp.day-plan')).toContain('2026-11-26'));
    jest.useRealTimers();
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
    const list = await next.findByRole('list', { name: 'Sessions by day' }, THOUGHT);
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
    await user.click(await screen.findByRole('button', { name: 'What would one more clamp save?' }, THOUGHT));
    const again = await screen.findByRole('button', { name: 'Work it out again' }, THOUGHT);
    const told = again.closest('[role="status"]')?.textContent ?? '';
    expect(told).toMatch(/^One more (clamp, of whichever lot, would save no clamp-up and no hour|.+: .+)\./);
  });
});
