import { planBuild } from '@lean-clasp/core/plan';
import { DEMO_SHOP, wagonBuilds } from '@lean-clasp/core/demo';
import { screen, waitFor, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { AssemblySheet } from '../assembly/AssemblySheet';
import { usePlan } from '../planner/plan-context';
import { OrderStep } from './OrderStep';

// Sessions are worked out on the page itself here.
jest.setTimeout(60_000);

const trunk = wagonBuilds().find(({ id }) => id === 'costume-trunk')?.build;
if (trunk === undefined) throw new Error('no trunk in the demo');
const TRUNK = planBuild(trunk, DEMO_SHOP);

/** The drawing and the step beside each other, as in the workspace. */
function Step() {
  const { plan } = usePlan();
  return (
    <>
      {plan !== null && (
        <AssemblySheet plan={plan} title="Flats" ordered squeezed={false} onSlide={() => undefined} />
      )}
      <OrderStep />
    </>
  );
}

async function arranged(id: string) {
  const page = renderBuild(<Step />, {}, id);
  await page.user.click(await screen.findByRole('button', { name: 'Work out sessions and order' }));
  await waitFor(() => expect(page.build().order).toBeDefined(), { timeout: 30_000 });
  return page;
}

describe('Order of an assembly', () => {
  it('tells the likelihood of one go, and works out an order that holds every joint once', async () => {
    const { build, user } = renderBuild(<Step />, {}, 'scenery-flats');
    expect(await screen.findByText(/% likely/)).toBeDefined();
    await user.click(await screen.findByRole('button', { name: 'Work out sessions and order' }));
    await waitFor(() => expect(build().order).toBeDefined(), { timeout: 30_000 });
    expect(screen.getByRole('region', { name: 'One session: 6 joints' })).toBeDefined();
    expect(new Set(build().order?.sessions.flat()).size).toBe(6);
    expect(screen.getByText(/^One session(: proven|\. There may be an order with more room)/)).toBeDefined();
  });

  it('numbers joints in the drawing by their order of closing, and plays it step by step', async () => {
    const { user } = await arranged('scenery-flats');
    const joints = screen.getByRole('group', { name: 'Joints' });
    expect(within(joints).getAllByText(/^[1-6]$/)).toHaveLength(6);
    const slider = screen.getByRole('slider', { name: 'Closings done' });
    expect(slider.getAttribute('aria-valuetext')).toMatch(/^(\d) of \1 closed$/);
    slider.focus();
    await user.keyboard('{Home}');
    expect(await screen.findByText('Nothing closed yet.')).toBeDefined();
    await user.keyboard('{ArrowRight}');
    expect(await screen.findByText(/^Closing 1 of \d: /)).toBeDefined();
  });

  it('reads moves out one by one by the arrow keys', async () => {
    const { user } = await arranged('scenery-flats');
    const chart = screen.getByRole('group', { name: /^Moves of the session/ });
    chart.focus();
    await user.keyboard('{ArrowRight}');
    expect(within(chart).getByRole('status').textContent).toMatch(/^0:00 to \d:\d\d, you: Spread .*stile/i);
    await user.keyboard('{ArrowLeft}{ArrowLeft}');
    expect(within(chart).getByRole('status').textContent).toMatch(/^0:00 to/);
    for (let i = 0; i < 30; i += 1) await user.keyboard('{ArrowRight}');
    expect(within(chart).getByRole('status').textContent).toMatch(/, you: /);
  });

  it('offers the dry case as a jig once there are sessions to hold, and counts its minutes', async () => {
    const ids = TRUNK.joints.map(({ facts }) => facts.joint.id);
    const sessions = [ids.filter((id) => !id.includes('strip')), ids.filter((id) => id.includes('strip'))];
    const { user, build } = renderBuild(
      <OrderStep />,
      {
        order: { sessions, pinned: [] },
      },
      'costume-trunk',
    );
    await user.click(await screen.findByRole('checkbox', { name: /put together dry/ }));
    expect(build().order?.dryJig).toBe(true);
    expect(await screen.findByText(/Put the rest together dry first/)).toBeDefined();
    await user.click(screen.getByRole('button', { name: 'Back to the usual order' }));
    await screen.findByRole('region', { name: /^One session: \d+ joints/ });
    expect(screen.queryByRole('checkbox', { name: /put together dry/ })).toBeNull();
  });

  it('lets clamps be laid out beforehand or not, which takes longer', async () => {
    const { user, build } = renderBuild(<OrderStep />, {}, 'scenery-flats');
    const before = (await screen.findByText(/^\d+:\d\d hands-on(?! with)/)).textContent;
    await user.click(screen.getByRole('checkbox', { name: /laid out beforehand/ }));
    expect(build().preSet).toBe(false);
    await waitFor(() => expect(screen.getByText(/^\d+:\d\d hands-on(?! with)/).textContent).not.toBe(before));
  });

  it('tells how a batch of mouldings flows', async () => {
    renderBuild(<OrderStep />, {}, 'hatch-mouldings');
    const batch = await screen.findByRole('region', { name: 'Batch of 6' });
    expect(batch.textContent).toMatch(/\d+ an hour once it flows/);
    expect(batch.textContent).toMatch(/The rack holds 2 at once/);
  });
});
