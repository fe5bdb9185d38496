import { DEMO_SHOP, pastRuns, stageFloor } from '@lean-clasp/core/demo';
import { readRun, summaryOf } from '@lean-clasp/core/runs';
import { act, screen, within } from '@testing-library/react';
import { renderBuild, retype } from '../../test/render-build';
import { runBegun } from '../bench/runs-slice';
import { keptInBrowser } from '../keeping/kept';
import { RunList } from './RunList';
import { RunRecordForm } from './RunRecordForm';

const RUNS = pastRuns(stageFloor(DEMO_SHOP), 'stage-floor', DEMO_SHOP, 1_780_000_000_000);
const [run] = RUNS;
if (run === undefined) throw new Error('the demo has runs');

describe('RunRecordForm', () => {
  async function opened() {
    const page = renderBuild(<RunRecordForm runId={run?.id ?? ''} />);
    act(() => {
      page.store.dispatch(runBegun({ run: run as NonNullable<typeof run>, known: true, unsent: [] }));
    });
    await screen.findByText('How it came out');
    const now = () => page.store.getState().runs.byId[run?.id ?? ''];
    return {
      ...page,
      record: () => readRun(now() ?? { events: [] }).record,
      events: () => now()?.events ?? [],
    };
  }

  it('sets what was promised beside what happened', async () => {
    await opened();
    expect(screen.getByRole('row', { name: /^hands-on time 9:30 \d+:\d\d/ })).toBeInTheDocument();
    expect(screen.getByRole('row', { name: /^off flat 0\.\d+ mm 1\.60 mm/ })).toBeInTheDocument();
    expect(screen.getByText(/^Clamps off: /)).toBeInTheDocument();
  });

  it('keeps each reading as it is typed, in the browser too', async () => {
    const { user, record, events } = await opened();
    await user.click(screen.getByRole('button', { name: 'even beads' }));
    await retype(user, 'Off flat, straightedge across', '0.03in');
    await user.type(screen.getByLabelText(/What went well/), ' Better.');
    expect(record()).toMatchObject({
      squeezeOut: 'even',
      note: expect.stringMatching(/ Better\.$/) as string,
    });
    expect(record()?.flatnessMm).toBeCloseTo(0.762, 6);
    // What is typed in one go is one event, not one for each letter, and kept before it is sent.
    expect(events().length).toBeLessThan((run?.events.length ?? 0) + 6);
    const kept = await keptInBrowser().events();
    expect(JSON.stringify(kept)).toContain('Better.');
  });

  it('refuses a reading past what a feeler reads, and keeps the last good one', async () => {
    const { user, record } = await opened();
    await retype(user, 'Widest gap left', '40');
    expect(await screen.findByText(/Must be from 0 mm to 5 mm/)).toBeInTheDocument();
    expect(record()?.widestGapMm).toBe(4);
  });
});

describe('RunList', () => {
  it('draws how much of its fuse a glue-up burnt, where the log knows', () => {
    const [late, unknown] = RUNS.map(summaryOf);
    if (late === undefined || unknown === undefined) throw new Error('the demo has two');
    renderBuild(<RunList runs={[{ ...late, fuseUsed: 1.206 }, unknown]} wide />);
    const [first, second] = screen.getAllByRole('row').slice(1);
    expect(within(first as HTMLElement).getByRole('cell', { name: '121 %' })).toBeInTheDocument();
    expect(within(second as HTMLElement).queryByText(/%/)).toBeNull();
  });

  it('shows planned against taken, and leads to the record', () => {
    renderBuild(<RunList runs={RUNS.map(summaryOf)} wide />);
    const rows = screen.getAllByRole('row').slice(1);
    expect(rows).toHaveLength(2);
    expect(within(rows[0] as HTMLElement).getByText('Interior PVA, fast')).toBeInTheDocument();
    expect(within(rows[0] as HTMLElement).getByRole('link')).toHaveAttribute('href', `/logbook/${run?.id}`);
  });
});
