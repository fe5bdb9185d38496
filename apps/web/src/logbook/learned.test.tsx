import { DEMO_SHOP, seasonRuns } from '@lean-clasp/core/demo';
import { NOTHING_LEARNED } from '@lean-clasp/core/formats';
import { evidenceOf, type Trends } from '@lean-clasp/core/learning';
import { readAfterwards, summaryOf } from '@lean-clasp/core/runs';
import { act, screen, waitFor, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { renderPage, type Server } from '../../test/render-page';
import { runBegun } from '../bench/runs-slice';
import { LessonsPage } from '../lessons/LessonsPage';
import { LearnedPage } from './LearnedPage';
import { LogbookPage } from './LogbookPage';
import { RunRecordForm } from './RunRecordForm';
import { TrendsPage } from './TrendsPage';

const SEASON = seasonRuns(DEMO_SHOP, 1_780_000_000_000);
const SERVER: Server = {
  'GET /api/runs/evidence': () => ({ evidence: SEASON.flatMap((run) => evidenceOf(run) ?? []) }),
};

describe('Learned', () => {
  it('says what plans go by, what the log says, and from which glue-ups', async () => {
    const { user } = renderPage(<LearnedPage />, { server: SERVER });
    const pace = await screen.findByRole('article', { name: 'Pace at putting clamps on' });
    expect(pace.textContent).toMatch(
      /Plans go by × 1\.10 now\. The log says × 1\.\d\d, with 95 % confidence between/,
    );
    await user.click(within(pace).getByRole('button', { name: 'Where it comes from' }));
    const rows = within(pace).getAllByRole('row');
    expect(rows.length).toBe(SEASON.length + 1);
    const weights = rows
      .slice(1)
      .map((row) => Number.parseInt(within(row).getAllByRole('cell')[2]?.textContent ?? '', 10) || 0);
    // The one in which the telephone rang hardly counts.
    expect(Math.min(...weights)).toBeLessThan(20);
  });

  it('is taken over, refused and forgotten, each an edit of the shop', async () => {
    const { user, shop } = renderPage(<LearnedPage />, { server: SERVER });
    await user.click(await screen.findByRole('button', { name: 'Accept: Pace at putting clamps on' }));
    expect(shop().learned?.pace).toEqual([
      expect.objectContaining({ work: 'press', method: '', runs: SEASON.length }),
    ]);
    const inUse = screen.getByRole('region', { name: 'Plans go by this' });
    await user.click(within(inUse).getByRole('button', { name: 'Forget: Pace at putting clamps on' }));
    expect(shop().learned?.pace).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Refuse: Pace at readings' }));
    expect(shop().learned?.refused).toEqual(['pace:check:']);
    expect(screen.getByRole('region', { name: 'Refused' })).toHaveTextContent('Pace at readings');
  });
});

it('tells paces that were walked without glue, and forgets them', async () => {
  const walked = { work: 'spread', method: '', factor: 1.35, runs: 0, on: '2026-11-20' } as const;
  const shop = { ...DEMO_SHOP, learned: { ...NOTHING_LEARNED, pace: [walked] } };
  const page = renderPage(<LearnedPage />, { server: SERVER, shop });
  const region = await screen.findByRole('region', { name: 'From dry runs' });
  expect(region).toHaveTextContent('Pace at spreading: × 1.35, walked without glue on 20 Nov 2026');
  await page.user.click(within(region).getByRole('button', { name: /^Forget/ }));
  expect(page.shop().learned?.pace).toEqual([]);
});

describe('the pull of one\u2019s own clamps', () => {
  const [lot] = DEMO_SHOP.rack;
  const measured = [
    { on: '2026-03-02', forceN: 3200, perTurnN: 1500, errorN: 60 },
    { on: '2026-08-11', forceN: 3000, perTurnN: 1400, errorN: 80 },
  ];

  it('stands beside what is typical, and can be accepted and forgotten', async () => {
    if (lot === undefined) throw new Error('the demo has clamps');
    const shop = { ...DEMO_SHOP, rack: [{ ...lot, forceN: null, measured }] };
    const page = renderPage(<LearnedPage />, { server: SERVER, shop });
    const region = await screen.findByRole('region', { name: 'Pull of your clamps' });
    expect(region).toHaveTextContent(
      /Measured 2 times: 3\.1 kN, with 95 % confidence between 2\.\d kN and 3\.\d kN/,
    );
    expect(region).toHaveTextContent('2 Mar 2026: 3.2 kN; 11 Aug 2026: 3.0 kN');
    await page.user.click(within(region).getByRole('button', { name: /^Accept/ }));
    expect(page.shop().rack[0]).toMatchObject({ forceN: 3100, perTurnN: 1450 });
    expect(within(region).queryByRole('button', { name: /^Accept/ })).toBeNull();
    await page.user.click(within(region).getByRole('button', { name: /^Forget/ }));
    expect(page.shop().rack[0]).toMatchObject({ forceN: null });
    expect(page.shop().rack[0]).not.toHaveProperty('measured');
    expect(region).toHaveTextContent('Not measured yet');
  });
});

describe('Trends', () => {
  const TRENDS: Trends = {
    pace: [
      { month: '2026-03', work: 'press', method: '', runs: 3, factor: 1.2 },
      { month: '2026-03', work: 'spread', method: 'brush', runs: 3, factor: 0.9 },
      { month: '2026-04', work: 'press', method: '', runs: 2, factor: 1.3 },
      { month: '2026-03', work: 'spread', method: '', runs: 3, factor: 0.9 },
    ],
    used: [{ month: '2026-03', runs: 3, share: 0.62 }],
    reached: [{ month: '2026-03', template: 'case', runs: 1, squareMm: 0.4, flatMm: null }],
    glue: [
      { month: '2026-03', runs: 3, gPerM2: 180, takenGPerM2: null },
      { month: '2026-04', runs: 2, gPerM2: 182, takenGPerM2: 214 },
    ],
    causes: [{ cause: 'too-cold', runs: 2 }],
    coupons: [
      { month: '2026-02', adhesive: 'pva-interior', bottle: null, openedOn: null, runs: 1, pct: 70 },
      { month: '2026-03', adhesive: 'pva-interior', bottle: 'a', openedOn: '2025-11-04', runs: 1, pct: 55 },
      { month: '2026-03', adhesive: 'pva-interior', bottle: 'b', openedOn: '2026-03-02', runs: 1, pct: 85 },
      { month: '2026-03', adhesive: 'hide-hot', bottle: 'c', openedOn: null, runs: 1, pct: 90 },
      { month: '2026-04', adhesive: 'hide-hot', bottle: 'd', openedOn: null, runs: 1, pct: 95 },
    ],
    lessons: [{ lesson: 'cold-shop', runs: 4, wrong: 1 }],
    calibration: { bins: [{ runs: 12, promised: 0.9, kept: 0.75 }], brier: 0.19, brierOfMean: 0.188 },
  };

  it('tells each chart in words too', async () => {
    renderPage(<TrendsPage />, { server: { 'GET /api/runs/trends': () => TRENDS } });
    // The first chart stands before the others.
    await waitFor(() =>
      expect(screen.getAllByRole('img').map((chart) => chart.getAttribute('aria-label'))).toEqual(
        expect.arrayContaining([
          'promised 90 %, came true in 75 % of 12',
          'closest joint: Mar 26 62 %',
          'putting clamps on: Mar 26 1.2 ×, Apr 26 1.3 ×; spreading: Mar 26 0.9 ×',
          'brush: Mar 26 0.9 ×',
          'Case: Mar 26 0.40 mm',
          'glue or wood was too cold: 2',
          'planned: Mar 26 180 g, Apr 26 182 g; taken, where weighed: Apr 26 214 g',
          'Interior PVA, fast: Feb 26 70 %; Interior PVA, fast, opened 4 Nov 2025: Mar 26 55 %; Interior PVA, fast, opened 2 Mar 2026: Mar 26 85 %; Hot hide glue, no date, no. 1: Mar 26 90 %; Hot hide glue, no date, no. 2: Apr 26 95 %',
        ]),
      ),
    );
    expect(screen.getByText(/Brier score 0\.190 over 12 glue-ups, against 0\.188/)).toBeInTheDocument();
    expect(screen.getAllByText('Nothing of that was noted yet.')).toHaveLength(1);
  });

  it('says of a lesson whether it helped', async () => {
    renderPage(<LessonsPage />, { server: { 'GET /api/runs/trends': () => TRENDS } });
    const cold = await screen.findByRole('article', { name: 'Glued in a cold shop' });
    expect(
      await within(cold).findByText(/Told before 4 glue-ups, of which 1 went wrong\./),
    ).toBeInTheDocument();
  });
});

describe('Lessons', () => {
  it('are written with a trigger in plain words, put away, brought back and removed', async () => {
    const { user, shop } = renderPage(<LessonsPage />);
    await user.click(await screen.findByRole('button', { name: 'Write a lesson' }));
    const title = screen.getByRole('textbox', { name: 'In a few words' });
    await user.clear(title);
    await user.type(title, 'The stop slipped');
    await user.type(screen.getByRole('textbox', { name: /What keeps it/ }), 'Screw it down.');
    await user.click(screen.getByRole('combobox', { name: 'What of the plan' }));
    await user.click(screen.getByRole('option', { name: 'pairs of hands' }));
    await user.click(screen.getByRole('combobox', { name: 'How' }));
    await user.click(screen.getByRole('option', { name: 'below' }));
    const limit = screen.getByRole('textbox', { name: 'Limit' });
    await user.clear(limit);
    await user.type(limit, '2');
    expect(screen.getByText(/So it comes back where: pairs of hands below 2\./)).toBeInTheDocument();
    expect(shop().lessons?.own[0]).toMatchObject({
      change: 'Screw it down.',
      when: [{ trait: 'crew', below: 2 }],
    });
    const library = screen.getByRole('article', { name: 'The cup ran hot' });
    await user.click(within(library).getByRole('button', { name: 'Put away' }));
    expect(shop().lessons?.away).toEqual(['hot-cup']);
    await user.click(screen.getByRole('button', { name: 'Bring back' }));
    expect(shop().lessons?.away).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Remove' }));
    expect(shop().lessons?.own).toEqual([]);
  });
});

describe('the log', () => {
  it('is narrowed by what is typed and ticked, and says so where nothing is like that', async () => {
    const summaries = SEASON.map(summaryOf).reverse();
    const { user, asked } = renderPage(<LogbookPage />, {
      server: {
        'GET /api/runs': ({ query }) => ({ runs: query.has('wrong') ? [] : summaries, next: null }),
      },
    });
    await user.type(await screen.findByRole('searchbox', { name: 'Build or note' }), 'flats');
    await waitFor(() => expect(asked.at(-1)?.query.get('text')).toBe('flats'));
    await user.click(screen.getByRole('checkbox', { name: 'What went wrong' }));
    expect(await screen.findByText('No glue-up in the log is like that.')).toBeInTheDocument();
    expect(screen.getByRole('searchbox')).toHaveValue('flats');
  });
});

describe('what went wrong', () => {
  it('ranks causes by what the run holds, asks for the look that tells most, and keeps what it was put down to', async () => {
    const run = SEASON[11];
    if (run === undefined) throw new Error('the demo has a season');
    const page = renderBuild(<RunRecordForm runId={run.id} />);
    act(() => void page.store.dispatch(runBegun({ run, known: true, unsent: [] })));
    const { user } = page;
    const why = await screen.findByRole('region', { name: 'What went wrong?' });
    const first = () => within(why).getAllByRole('article')[0] as HTMLElement;
    expect(first()).toHaveAccessibleName('full pressure came after the glue had grabbed');
    expect(first()).toHaveTextContent(/Speaks for it: at full pressure too late/);
    const told = () => readAfterwards(page.store.getState().runs.byId[run.id] ?? run);
    await user.click(within(first()).getByRole('button', { name: 'Put down to this' }));
    expect(told().cause).toBeNull();
    await user.click(within(first()).getByRole('button', { name: 'It was this' }));
    expect(told().cause).toEqual({ symptom: 'open-at-end', cause: 'pressed-late' });
    await user.click(within(why).getByRole('button', { name: /thick line of glue/ }));
    expect(told().looks.get('break-look')).toBe('thick');
    await user.click(screen.getByRole('button', { name: 'tacky, it still wetted' }));
    expect([...told().closed.values()]).toEqual(['tacky']);
  });

  it('stands beside the clock: planned and worked, promised and found', async () => {
    const run = SEASON[11];
    if (run === undefined) throw new Error('the demo has a season');
    const { store } = renderBuild(<RunRecordForm runId={run.id} />);
    act(() => void store.dispatch(runBegun({ run, known: true, unsent: [] })));
    const clock = await screen.findByRole('region', { name: 'On the clock, planned and worked' });
    expect(
      within(clock)
        .getByRole('img', { name: /^Planned/ })
        .getAttribute('aria-label'),
    ).toMatch(/^Planned and worked: \d+ of \d+ steps done; planned 4:\d\d, took 1\d:\d\d; late: layer 1/);
    expect(within(clock).getByRole('row', { name: /^In time .*likely did not hold/ })).toBeInTheDocument();
    expect(
      within(clock).getByRole('row', { name: /^Tight .*squeeze-out patchy, widest gap 0\.25 mm/ }),
    ).toBeInTheDocument();
  });
});
