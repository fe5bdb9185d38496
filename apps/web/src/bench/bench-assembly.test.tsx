import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import type { RunDocument } from '@lean-clasp/core/formats';
import { comesLater, promiseOf } from '@lean-clasp/core/bench';
import { planBuild, settlePlan } from '@lean-clasp/core/plan';
import { formatFor, says } from '@lean-clasp/words';
import { act, fireEvent, screen } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { Bench } from './Bench';
import { type BenchKit, benchKit } from './bench-kit';
import { useAppSelector } from '../app/store';
import { runBegun } from './runs-slice';

const f = formatFor('metric');

/** The bench as the page shows it: by what the store has of its run. */
function BenchOf({ id, kit }: { readonly id: string; readonly kit: BenchKit }) {
  const run = useAppSelector((state) => state.runs.byId[id]);
  return run === undefined ? null : <Bench run={run} kit={kit} />;
}

/** The bench in the middle of a glue-up of one of the demo's builds. */
function atBench(id: string, steps: number) {
  const build = wagonBuilds().find((each) => each.id === id)?.build;
  if (build === undefined) throw new Error(`no ${id}`);
  const plan = settlePlan(planBuild(build, DEMO_SHOP));
  const kit = benchKit(plan);
  const startedAtMs = Date.now() - 5000;
  const run: RunDocument = {
    format: 'lean-clasp/run',
    version: 2,
    id: `run-${id}`,
    buildId: id,
    buildName: build.name,
    buildRevision: 0,
    session: 0,
    piece: 0,
    startedAtMs,
    script: kit.script,
    promise: promiseOf(plan),
    events: soonOf(kit)
      .slice(0, steps)
      .map(({ id: operation }, seq) => ({
        id: `before-${seq}`,
        device: 'before',
        seq,
        atMs: startedAtMs + seq,
        hand: 0,
        kind: 'done',
        operation,
      })),
  };
  const page = renderPage(<BenchOf id={run.id} kit={kit} />, { silent: true });
  act(() => {
    page.store.dispatch(runBegun({ run, known: true, unsent: [] }));
  });
  return { ...page, kit, plan };
}

/** What is done before the clamps are left alone, in the order in which it is shown. */
const soonOf = ({ script }: BenchKit) =>
  script.operations
    .filter((operation) => !comesLater(operation))
    .sort((a, b) => a.endMin - b.endMin || a.startMin - b.startMin);

const drawn = () => screen.queryByTestId('bench-assembly');

describe('an assembly at the bench', () => {
  it.each(wagonBuilds().map(({ id }) => id))('%s is told step by step beside its drawing', (id) => {
    const { kit } = atBench(id, 0);
    const [step] = soonOf(kit);
    if (step === undefined) throw new Error('no step');
    // With more than one pair of hands it begins with whose turn it is.
    const heading = screen.getByRole('heading', { level: 1 }).textContent;
    expect(heading?.replace(/^(you|helper|both): /, '')).toBe(says(step.instruction, f));
    expect(screen.getByText(`1 of ${soonOf(kit).length}`)).toBeInTheDocument();
    // A row is drawn from above, everything else on the slant.
    expect(kit.marks === null).toBe(kit.drawn !== null);
    if (kit.marks === null) expect(drawn()?.querySelectorAll('path').length).toBeGreaterThan(3);
    expect(document.body.textContent).not.toMatch(/undefined|NaN/);
  });

  it('marks both parts of the joint that is spread, and only those', () => {
    const { kit, plan } = atBench('scenery-flats', 0);
    const [step] = soonOf(kit);
    const joint = plan.facts.joints.find((each) => each.joint.id === step?.joints[0])?.joint;
    const lit = kit.drawn?.marks.sides.filter(({ part }) => part === joint?.a || part === joint?.b) ?? [];
    const fills = [...(drawn()?.querySelectorAll('path') ?? [])].map((path) => path.getAttribute('fill'));
    const counts = new Map<string | null, number>();
    for (const fill of fills) counts.set(fill, (counts.get(fill) ?? 0) + 1);
    expect(lit.length).toBeGreaterThan(0);
    expect([...counts.values()].some((count) => count >= lit.length)).toBe(true);
  });

  it('shows the clamp in hand by its number, without marking the joints of the whole pass', () => {
    const build = wagonBuilds().find(({ id }) => id === 'costume-trunk')?.build;
    if (build === undefined) throw new Error('no trunk');
    const steps = soonOf(benchKit(settlePlan(planBuild(build, DEMO_SHOP))));
    const first = steps.findIndex(({ clamps }) => clamps.length > 0);
    atBench('costume-trunk', first);
    const number = steps[first]?.clamps[0];
    const labels = [...(drawn()?.querySelectorAll('text') ?? [])].map((text) => text.textContent);
    expect(labels).toEqual([String(number)]);
  });

  it('has no fuse before the first bead is laid, and burns from there', () => {
    const { kit } = atBench('scenery-flats', 3);
    expect(kit.script.fuses.length).toBeGreaterThan(2);
    expect(screen.getByText('burning')).toBeInTheDocument();
    expect(screen.getByText(/^until /)).toBeInTheDocument();
  });

  it('goes on and back by the large buttons', () => {
    const { store } = atBench('scenery-flats', 2);
    const events = () => store.getState().runs.byId['run-scenery-flats']?.events ?? [];
    const before = events().length;
    fireEvent.click(screen.getByRole('button', { name: /^Done/ }));
    expect(events().length).toBe(before + 1);
    expect(events().at(-1)?.kind).toBe('done');
    fireEvent.click(screen.getByRole('button', { name: 'Back' }));
    expect(events().at(-1)?.kind).toBe('back');
  });

  it('takes a double tap, and a key that is held, as one step', () => {
    const { store } = atBench('scenery-flats', 0);
    const events = () => store.getState().runs.byId['run-scenery-flats']?.events ?? [];
    fireEvent.click(screen.getByRole('button', { name: /^Done/ }));
    fireEvent.click(screen.getByRole('button', { name: /^Done/ }));
    expect(events()).toHaveLength(1);
    for (let i = 0; i < 15; i += 1) {
      fireEvent.keyDown(document.body, { key: ' ', code: 'Space', repeat: i > 0 });
    }
    expect(events()).toHaveLength(1);
  });

  it('offers what still helps when something goes wrong', () => {
    const { store } = atBench('scenery-flats', 4);
    fireEvent.click(screen.getByRole('button', { name: 'Trouble' }));
    fireEvent.click(screen.getByRole('button', { name: 'A clamp is too short' }));
    const answers = screen.getByRole('dialog', { name: 'A clamp is too short' });
    expect(answers.textContent).toMatch(/Take a spare clamp, takes 0:36[\d:.]* to spare/);
    fireEvent.click(screen.getByRole('button', { name: /Take a spare clamp/ }));
    const { events = [] } = store.getState().runs.byId['run-scenery-flats'] ?? {};
    expect(events.at(-1)).toMatchObject({
      kind: 'mishap',
      payload: { mishap: { what: 'clamp-short', answer: 'next-spare-clamp' } },
    });
  });

  it('reads both diagonals on a big pad, says what to pull, and reads again until it will do', () => {
    const build = wagonBuilds().find(({ id }) => id === 'scenery-flats')?.build;
    if (build === undefined) throw new Error('no flats');
    const steps = soonOf(benchKit(settlePlan(planBuild(build, DEMO_SHOP))));
    const { store } = atBench(
      'scenery-flats',
      steps.findIndex(({ asks }) => asks === 'diagonals'),
    );
    const tell = (ac: string, bd: string) => {
      for (const [label, text] of [
        ['A–C', ac],
        ['B–D', bd],
      ] as const) {
        act(() => screen.getByLabelText(label).focus());
        for (const key of text) fireEvent.click(screen.getByRole('button', { name: key }));
      }
      fireEvent.click(screen.getByRole('button', { name: 'That is what I read' }));
    };
    tell('1506', '1500');
    expect(screen.getByText(/clamp lightly across A–C, draw it in by 3 mm/)).toBeInTheDocument();
    expect(screen.getByTestId('correction')).toBeInTheDocument();
    fireEvent.click(screen.getByRole('button', { name: 'Read again' }));
    tell('1502', '1502');
    expect(screen.getByText(/That will do/)).toBeInTheDocument();
    expect(screen.getByText(/off by 6 mm → 0 mm, getting better/)).toBeInTheDocument();
    const { events = [] } = store.getState().runs.byId['run-scenery-flats'] ?? {};
    expect(
      events.filter(({ kind }) => kind === 'reading').map(({ payload }) => payload?.reading),
    ).toMatchObject([
      { check: 'diagonals', values: { ac: 1506, bd: 1500 }, accepted: false },
      { check: 'diagonals', values: { ac: 1502, bd: 1502 }, accepted: true },
    ]);
  });

  it('keeps what is done hours into the cure for after the last clamp', () => {
    const { kit, plan } = atBench('scenery-flats', 0);
    const last = soonOf(kit).at(-1);
    expect(last?.endMin).toBeLessThan(plan.handsOnMin + 5);
    expect(
      soonOf(kit)
        .map(({ instruction }) => instruction.code)
        .join(),
    ).not.toContain('peel');
  });
});
