import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import { findKind, startOf } from '@lean-clasp/core/kinds';
import { planBuild, settlePlan } from '@lean-clasp/core/plan';
import {
  CLAMP_CAUTION,
  formatFor,
  KIND_CAUTIONS,
  PREPARATION_WORDS,
  questionWords,
  says,
} from '@lean-clasp/words';
import { screen, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { FitStep } from './steps/FitStep';
import { GlueStep } from './steps/GlueStep';
import { GlueUpStep } from './steps/GlueUpStep';
import { RehearseStep } from './steps/RehearseStep';
import { SqueezeStep } from './steps/SqueezeStep';
import { OrderStep } from '../order/OrderStep';
import { VerdictStrip } from '../verdicts/VerdictStrip';
import { STEP_PARTS } from './step-parts';

beforeAll(() => Promise.all(Object.values(STEP_PARTS).map(({ ahead }) => ahead())), 60_000);

// Every kind of the demo through every step, as a page shows it: what the plan knows must be on it, and nothing half-said.

const f = formatFor('metric');
const HALF_SAID = /undefined|NaN|\[object|Infinity|\b[a-z]+(-[a-z]+){2,}\b(?= ?[:,(])/;

const CASES = wagonBuilds().map(({ id, build }) => [id, build] as const);
const planOf = (id: string) => {
  const build = CASES.find(([each]) => each === id)?.[1];
  if (build === undefined) throw new Error(`no ${id}`);
  return settlePlan(planBuild(build, DEMO_SHOP));
};

const said = () => document.body.textContent ?? '';

describe.each(CASES)('%s', (id, build) => {
  it('has its answers, parts and preparation on Fit', async () => {
    renderBuild(<FitStep />, {}, id);
    const plan = planOf(id);
    const kind = findKind(build.template);
    if (kind.ownBoards) {
      // A list of boards takes the place of sizes asked for.
      expect(await screen.findByRole('region', { name: 'Boards' })).toBeInTheDocument();
      expect(said()).not.toMatch(HALF_SAID);
      return;
    }
    const pieces = plan.facts.assembly.sets * plan.facts.parts.length;
    await screen.findByText(new RegExp(`Parts, ${pieces} in all`));
    const answers = { ...startOf(kind), ...build.answers };
    for (const [name, { when }] of Object.entries(kind.questions)) {
      if (['sidesMm', 'anglesDeg'].includes(name)) continue;
      const asked = when === undefined || when(answers);
      expect([name, said().includes(questionWords(build.template, name))]).toEqual([name, asked]);
    }
    for (const step of kind.preparation) expect(said()).toContain(PREPARATION_WORDS[step].slice(0, 25));
    expect(said()).not.toMatch(HALF_SAID);
  });

  it('has every glue with reasons, its own among those not refused, on Glue', async () => {
    renderBuild(<GlueStep />, {}, id);
    const list = await screen.findByRole('list', { name: 'Glues, best for this job first' });
    const rows = within(list).getAllByRole('button');
    expect(rows).toHaveLength(15);
    const chosen = rows.filter((row) => row.getAttribute('aria-pressed') === 'true');
    expect(chosen).toHaveLength(1);
    // What takes too long is told so of its glue, too: no step is green where another is red.
    const late = planOf(id).verdicts.inTime.state === 'fails';
    expect(chosen[0]?.textContent?.includes('refused')).toBe(late);
    expect(said()).not.toMatch(HALF_SAID);
  });

  it('has hands-on time and every session on Order', async () => {
    renderBuild(<OrderStep />, {}, id);
    const plan = planOf(id);
    expect((await screen.findAllByText(/hands-on/)).length).toBeGreaterThan(0);
    for (const { facts } of plan.joints.slice(0, 3)) expect(said()).toContain(facts.label.split(' – ')[0]);
    expect(said()).not.toMatch(HALF_SAID);
  });

  it('has every pull, how it is brought together and the caution on Squeeze', async () => {
    renderBuild(<SqueezeStep />, {}, id);
    const ironed = planOf(id).facts.assembly.pressedBy === 'iron';
    const caution = ironed ? KIND_CAUTIONS.iron : CLAMP_CAUTION;
    expect(await screen.findByText(caution)).toBeInTheDocument();
    if (ironed) expect(screen.queryByText(CLAMP_CAUTION)).toBeNull();
    expect(said()).not.toMatch(HALF_SAID);
  });

  it('has everything to gather on Rehearse, and keeps ticks', async () => {
    const { user } = renderBuild(<RehearseStep />, {}, id);
    const boxes = await screen.findAllByRole('checkbox');
    expect(boxes.length).toBeGreaterThan(8);
    await user.click(boxes[0] as HTMLElement);
    // Clamps in their places may call one more lesson to mind.
    const now = screen.getAllByRole('checkbox').length;
    expect(now).toBeGreaterThanOrEqual(boxes.length);
    expect(screen.getByText(new RegExp(`^1 of ${now} done`))).toBeInTheDocument();
    expect(said()).not.toMatch(HALF_SAID);
  });

  it('has its steps in order on Glue up, and a start unless something forbids it', async () => {
    renderBuild(<GlueUpStep />, {}, id);
    const start = await screen.findByRole('button', { name: /Start the clock/ });
    const items = screen.getAllByRole('listitem');
    expect(items.length).toBeGreaterThan(2);
    expect(items[0]?.textContent).toMatch(/^(Spread|Thin coat 1 of 3)/);
    const forbidden = screen.queryByText(/Not to be started like this/) !== null;
    expect((start as HTMLButtonElement).disabled).toBe(forbidden);
    expect(said()).not.toMatch(HALF_SAID);
  });

  it('says the cause of each verdict in the strip as the core has it', async () => {
    renderBuild(<VerdictStrip />, {}, id);
    const { verdicts } = planOf(id);
    for (const name of ['In time', 'Square', 'Flat'] as const) {
      const aspect = ({ 'In time': 'inTime', Square: 'square', Flat: 'flat' } as const)[name];
      const cell = await screen.findByRole('button', { name: new RegExp(`^${name} `) });
      expect(cell).toHaveAttribute('data-state', verdicts[aspect].state);
      expect(cell.getAttribute('aria-label')).toContain(says(verdicts[aspect].cause, f).slice(0, 20));
    }
  });
});
