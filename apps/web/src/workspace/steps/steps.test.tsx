import { benchScript, stepsOfSession } from '@lean-clasp/core/bench';
import type { PlacedClamp, ShopDocument } from '@lean-clasp/core/formats';
import { planBuild, rowOf, withRow } from '@lean-clasp/core/plan';
import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { screen, waitFor, within } from '@testing-library/react';
import { renderBuild, retype } from '../../../test/render-build';
import { FitStep } from './FitStep';
import { GlueStep } from './GlueStep';
import { OrderStep } from '../../order/OrderStep';
import { RehearseStep } from './RehearseStep';
import { SHOP_ID } from '../../shop/shop-id';
import { STEP_PARTS } from '../step-parts';
import { SqueezeStep } from './SqueezeStep';

beforeAll(() => Promise.all(Object.values(STEP_PARTS).map(({ ahead }) => ahead())), 60_000);

const clampedBy = (...clamps: PlacedClamp[]) => withRow(stageFloor(DEMO_SHOP), { clamps });

describe('Fit', () => {
  it('changes a board where it stands, and all of them like it', async () => {
    const { user, build } = renderBuild(<FitStep />);
    await user.click(screen.getByRole('button', { name: 'Board C: change' }));
    await retype(user, 'Thickness', '22.5');
    await retype(user, 'Width', '5 1/2"');
    expect(build().boards?.[2]).toMatchObject({ thicknessMm: 22.5, widthMm: 139.7 });
    await user.click(screen.getByRole('button', { name: 'All of this wood, thickness, length' }));
    expect(build().boards?.map(({ thicknessMm }) => thicknessMm)).toEqual([22.5, 22.5, 22.5, 22.5, 22.5]);
  });

  it('takes boards out down to two, and adds them', async () => {
    const { user, build } = renderBuild(<FitStep />, {});
    await user.click(screen.getByRole('button', { name: 'Add a board' }));
    expect(build().boards).toHaveLength(6);
    for (let left = 6; left > 2; left -= 1) {
      await user.click(screen.getByRole('button', { name: 'Board A: change' }));
      await user.click(screen.getByRole('button', { name: 'Take out' }));
    }
    await user.click(screen.getByRole('button', { name: 'Board A: change' }));
    expect(screen.getByRole('button', { name: 'Take out' })).toBeDisabled();
    expect(build().boards).toHaveLength(2);
  });

  it('answers a feeler reading in words, and takes it back when it is emptied', async () => {
    const { user, build } = renderBuild(<FitStep />);
    await retype(user, 'Gap A–B', '0.3');
    expect(
      await screen.findByText(/^A–B: about .* closes it – the clamps close this easily/),
    ).toBeInTheDocument();
    await user.clear(screen.getByRole('textbox', { name: 'Gap A–B' }));
    expect(build().jointNotes.flatMap(({ gapMm }) => gapMm ?? [])).toEqual([0.2]);
  });

  it('keeps a metered moisture apart from none', async () => {
    const { user, build } = renderBuild(<FitStep />);
    await user.click(screen.getByRole('button', { name: 'Board A: change' }));
    await retype(user, 'Moisture, metered', '9.5 %');
    expect(build().boards?.[0]?.mcPct).toBe(9.5);
    await user.clear(screen.getByRole('textbox', { name: 'Moisture, metered' }));
    expect(build().boards?.[0]?.mcPct).toBeNull();
  });
});

describe('Glue', () => {
  it('ranks the families on this job and takes the one that is pressed', async () => {
    const { user, build } = renderBuild(<GlueStep />);
    const list = await screen.findByRole('list', { name: 'Glues, best for this job first' });
    const names = within(list)
      .getAllByRole('button')
      .map((button) => button.textContent);
    expect(names).toHaveLength(15);
    expect(names[0]).toContain('Exterior PVA');
    expect(names[0]).toMatch(/on the shelf: 620 mL/);
    await user.click(within(list).getByRole('button', { name: /Liquid hide glue/ }));
    expect(build().glue.adhesive).toBe('hide-liquid');
  });

  it('says that a family is refused and why', async () => {
    renderBuild(<GlueStep />, { climate: { tempC: 9, rhPct: 60 } });
    const list = await screen.findByRole('list', { name: 'Glues, best for this job first' });
    expect(within(list).getAllByText('refused').length).toBeGreaterThan(6);
    expect(within(list).getAllByText(/is below 10 °C: this glue forms no sound line/).length).toBeGreaterThan(
      0,
    );
  });

  it('gives the glue of each line and of the whole', async () => {
    renderBuild(<GlueStep />);
    expect(await screen.findByRole('row', { name: /^A–B card, one face 4 g 0:42/ })).toBeInTheDocument();
    expect(screen.getByText(/^In all 15 g \(14 mL\)/)).toBeInTheDocument();
  });

  it('spreads a chosen line in its own way, and as the rest again', async () => {
    const { user, build } = renderBuild(<GlueStep />);
    await user.click(await screen.findByRole('row', { name: /^B–C/ }));
    await user.click(screen.getByRole('combobox', { name: 'Line B–C with' }));
    await user.click(await screen.findByRole('option', { name: 'hand roller' }));
    expect(build().jointNotes.flatMap(({ spread }) => spread ?? [])).toEqual([
      { method: 'roller', faces: 1 },
    ]);
    expect(await screen.findByRole('row', { name: /^B–C hand roller, one face/ })).toBeInTheDocument();
    await user.click(screen.getByRole('combobox', { name: 'Line B–C with' }));
    await user.click(await screen.findByRole('option', { name: 'as the rest' }));
    expect(build().jointNotes.flatMap(({ spread }) => spread ?? [])).toEqual([]);
  });
});

describe('Order', () => {
  it('lays the moves on a clock and offers what would help', async () => {
    renderBuild(<OrderStep />);
    expect(
      await screen.findByRole('img', { name: /^\d+ moves in 9:30; tightest A–B, / }),
    ).toBeInTheDocument();
    expect(screen.getByText(/^9:30 hands-on, then 1 h 10 min in clamps/)).toBeInTheDocument();
    expect(await screen.findByRole('button', { name: /^Do it: One more pair of hands/ })).toBeInTheDocument();
  });
});

describe('Squeeze', () => {
  it('tells the pressure along every line by finite elements, and follows an edit', async () => {
    const { user } = renderBuild(<SqueezeStep />);
    const table = await screen.findByRole('table', { name: 'Pressure along the lines' }, { timeout: 10_000 });
    expect(within(table).getAllByRole('row')).toHaveLength(5);
    const before = within(table).getByRole('row', { name: /^A–B/ }).textContent;
    expect(before).toMatch(/^A–B1\.\d\d MPa500 mm1\.\d\d MPa$/);
    await retype(user, 'Pulled to', '60');
    await waitFor(
      () => expect(within(table).getByRole('row', { name: /^A–B/ }).textContent).not.toBe(before),
      {
        timeout: 10_000,
      },
    );
  });

  it('moves, turns and takes off a clamp, and puts one into the widest gap', async () => {
    const { user, build } = renderBuild(<SqueezeStep />);
    await user.click(await screen.findByRole('button', { name: /^Clamp 2: T-bar/ }));
    await retype(user, 'At', '300');
    expect(rowOf(build()).clamps.map(({ xMm }) => xMm)).toContain(300);
    await user.click(screen.getByRole('button', { name: 'Take off' }));
    expect(rowOf(build()).clamps).toHaveLength(5);
    await user.click(screen.getByRole('button', { name: 'Add' }));
    await waitFor(() => expect(rowOf(build()).clamps).toHaveLength(6));
  });

  it('says of a short clamp what it opens to and what the work needs', async () => {
    renderBuild(<SqueezeStep />, clampedBy({ id: 'a', rackId: 'pj-600', xMm: 500, side: 'above' }));
    expect(
      await screen.findByText(/^Too short: it opens 600 mm, the work .* needs 615 mm/),
    ).toBeInTheDocument();
  });

  it('works clamps out where nobody has placed any, and places them when asked', async () => {
    const { user, build } = renderBuild(<SqueezeStep />, clampedBy());
    expect(await screen.findAllByRole('button', { name: /^Clamp \d: / })).not.toHaveLength(0);
    expect(rowOf(build()).clamps).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Place clamps' }));
    expect(await screen.findByText(/^\d clamps: lowest 1\.2\d MPa of 1\.20 MPa/)).toBeInTheDocument();
    expect(rowOf(build()).clamps.length).toBeGreaterThan(3);
  });

  it('takes off clamps whose lot was sold', async () => {
    const { user, build } = renderBuild(
      <SqueezeStep />,
      clampedBy({ id: 'a', rackId: 'sold', xMm: 500, side: 'above' }),
    );
    await user.click(await screen.findByRole('button', { name: 'Take them off' }));
    expect(rowOf(build()).clamps).toEqual([]);
  });
});

describe('Rehearse', () => {
  it('remembers what was ticked off', async () => {
    const { user } = renderBuild(<RehearseStep />);
    await user.click(await screen.findByLabelText('A straight stop across one end'));
    // Nineteen of any day, and what lessons this plan calls to mind today.
    const all = screen.getAllByRole('checkbox').length;
    expect(all).toBeGreaterThan(19);
    expect(screen.getByText(new RegExp(`^1 of ${all} done`))).toBeInTheDocument();
    expect(localStorage.getItem('lean-clasp.ticks.stage-floor')).toContain('gather-stop');
    await user.click(screen.getByRole('button', { name: 'Clear' }));
    expect(screen.getByText(new RegExp(`^0 of ${all} done`))).toBeInTheDocument();
  });

  it('is walked dry by the stopwatch, kept over a reload, and the shop goes by its pace when asked', async () => {
    let atMs = 1_780_000_000_000;
    jest.spyOn(Date, 'now').mockImplementation(() => atMs);
    const page = renderBuild(<RehearseStep />);
    const { user, store } = page;
    await user.click(await screen.findByRole('button', { name: 'Start the dry run' }));
    const steps = stepsOfSession(benchScript(planBuild(stageFloor(DEMO_SHOP), DEMO_SHOP)));
    for (const [i, { startMin, endMin }] of steps.entries()) {
      expect(screen.getByText(`${i + 1} of ${steps.length}`)).toBeInTheDocument();
      // Half as fast again as planned; one move went wrong and took ages.
      atMs += (i === 2 ? 9 : 1.5) * (endMin - startMin) * 60_000;
      await user.click(screen.getByRole('button', { name: i === 2 ? 'Went wrong' : 'Done – next' }));
    }
    const all = within(screen.getByRole('table', { name: 'Planned and walked' }))
      .getAllByRole('row')
      .at(-1);
    expect(all?.textContent).toMatch(/^in all.*1\.50$/);
    expect(localStorage.getItem('lean-clasp.dry-run.stage-floor.0')).toContain('"mishap":true');
    await waitFor(() =>
      expect(screen.getByText(/^At that pace/).textContent).toMatch(/^At that pace, in time: [▲◆●] /),
    );
    const pace = () => (store.getState().documents.open[SHOP_ID]?.body as ShopDocument).paceFactor;
    const before = pace();
    await user.click(screen.getByRole('button', { name: /^Plan at this pace/ }));
    expect(pace()).toBeCloseTo(1.5 * before, 1);
    jest.restoreAllMocks();
  });
});
