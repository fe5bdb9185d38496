import { DEMO_SHOP, stageFloor, wagonBuilds } from '@lean-clasp/core/demo';
import { planBuild } from '@lean-clasp/core/plan';
import { screen, waitFor, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { asWorkedOut, glueInDryJig, halvesOf, inStages, moveJoint, pinJoint, preSetClamps } from './edits';
import { OrderStep } from './OrderStep';

jest.setTimeout(60_000);

const floor = stageFloor(DEMO_SHOP);
const LINES = planBuild(floor, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);
const [AB = '', BC = '', CD = '', DE = ''] = LINES;

describe('edits of an order', () => {
  const sessionsOf = (edit: (build: typeof floor) => typeof floor, from = floor) =>
    edit(from).order?.sessions;

  it('move a joint into another session or a new one, pin it there, and drop a session that runs empty', () => {
    const now = [LINES];
    expect(sessionsOf(moveJoint(CD, 1, now))).toEqual([[AB, BC, DE], [CD]]);
    expect(moveJoint(CD, 1, now)(floor).order?.pinned).toEqual([CD]);
    const two = inStages([[AB, BC, DE], [CD]])(floor);
    expect(sessionsOf(moveJoint(CD, 0, []), two)).toEqual([[AB, BC, DE, CD]]);
    expect(sessionsOf(moveJoint(AB, 1, []), two)).toEqual([
      [BC, DE],
      [CD, AB],
    ]);
    // Further than a new one is a new one.
    expect(sessionsOf(moveJoint(AB, 9, []), two)).toEqual([[BC, DE], [CD], [AB]]);
  });

  it('never lose a joint nor have it twice, whatever is moved where', () => {
    let build = floor;
    for (let i = 0; i < 60; i += 1) {
      const joint = LINES[(7 * i) % LINES.length] ?? AB;
      build = moveJoint(joint, (5 * i) % 4, [LINES])(build);
      const all = build.order?.sessions.flat() ?? [];
      expect([...all].sort()).toEqual([...LINES].sort());
      expect(build.order?.sessions.every((ids) => ids.length > 0)).toBe(true);
      expect(new Set(build.order?.pinned).size).toBe(build.order?.pinned.length);
    }
  });

  it('pin and let go, of sessions that were worked out as well', () => {
    const pinned = pinJoint(BC, true, [LINES])(floor);
    expect(pinned.order).toEqual({ sessions: [LINES], pinned: [BC] });
    expect(pinJoint(BC, true, [])(pinned).order?.pinned).toEqual([BC]);
    expect(pinJoint(BC, false, [])(pinned).order?.pinned).toEqual([]);
  });

  it('make two halves and the line between them, for any number of lines', () => {
    expect(halvesOf(LINES)).toEqual([[AB, BC], [DE], [CD]]);
    expect(halvesOf([AB, BC, CD])).toEqual([[AB], [CD], [BC]]);
    expect(halvesOf([AB, BC])).toEqual([[AB], [BC]]);
    expect(halvesOf([AB])).toEqual([[AB]]);
  });

  it('forget pins when stages are chosen, and everything when it is to be worked out', () => {
    const pinned = pinJoint(BC, true, [LINES])(floor);
    expect(inStages([[AB], [BC, CD, DE]])(pinned).order?.pinned).toEqual([]);
    expect(asWorkedOut(pinned)).not.toHaveProperty('order');
    expect(asWorkedOut(pinned)).toEqual(asWorkedOut(floor));
  });

  it('change no minutes of an order that nobody has made', () => {
    expect(glueInDryJig(true)(floor)).toBe(floor);
    expect(glueInDryJig(true)(inStages([[AB], [BC, CD, DE]])(floor)).order?.dryJig).toBe(true);
    expect(preSetClamps(false)(floor).preSet).toBe(false);
  });
});

const headings = () =>
  screen
    .getAllByRole('region', { name: /^(One session|Session \d): / })
    .map((part) => part.getAttribute('aria-label'));

describe('sessions of a row', () => {
  it('are one go, two halves and a line, or board by board', async () => {
    const { user, build } = renderBuild(<OrderStep />);
    expect(await screen.findByRole('region', { name: 'One session: 4 joints' })).toBeInTheDocument();
    const inAll = () => screen.getByText(/^\d+:\d\d hands-on(?! with)/).textContent;
    const once = inAll();
    await user.click(screen.getByRole('button', { name: 'Board by board' }));
    await screen.findByRole('region', { name: 'Session 4: one joint' });
    expect(headings()).toEqual([1, 2, 3, 4].map((n) => `Session ${n}: one joint`));
    // Every session sets and tightens all clamps anew.
    expect(inAll()).not.toBe(once);
    expect(build().order?.sessions).toEqual(LINES.map((id) => [id]));
    await user.click(screen.getByRole('button', { name: 'Two halves, then one line' }));
    await screen.findByRole('region', { name: 'Session 1: 2 joints' });
    expect(build().order?.sessions).toEqual([[AB, BC], [DE], [CD]]);
    await user.click(screen.getByRole('button', { name: 'Back to one go' }));
    expect(await screen.findByRole('region', { name: 'One session: 4 joints' })).toBeInTheDocument();
    expect(build()).not.toHaveProperty('order');
  });

  it('are changed by the list for the joint that is selected, which is pinned there', async () => {
    const { user, build } = renderBuild(<OrderStep />);
    await user.click(await screen.findByRole('button', { name: /· B–C$/ }));
    expect(screen.getByRole('button', { name: /· B–C$/ })).toHaveAttribute('aria-pressed', 'true');
    await user.click(screen.getByRole('combobox', { name: 'Glued in' }));
    await user.click(screen.getByRole('option', { name: 'a new one after these' }));
    await screen.findByRole('region', { name: 'Session 2: one joint' });
    expect(build().order).toMatchObject({ sessions: [[AB, CD, DE], [BC]], pinned: [BC] });
    expect(screen.getByTitle('pinned')).toBeInTheDocument();
    await user.click(screen.getByRole('checkbox', { name: 'Pinned there' }));
    expect(build().order?.pinned).toEqual([]);
    expect(screen.queryByTitle('pinned')).toBeNull();
  });
});

describe('sessions of an assembly', () => {
  const flats = wagonBuilds().find(({ id }) => id === 'scenery-flats')?.build;
  if (flats === undefined) throw new Error('no flats in the demo');
  const ids = planBuild(flats, DEMO_SHOP).joints.map(({ facts }) => facts.joint.id);

  it('refuse a move that cannot be glued, say why, and change nothing', async () => {
    const { user, build } = renderBuild(<OrderStep />, {}, 'costume-trunk');
    const [list] = await screen.findAllByRole('list', { name: /^Joints of session/ });
    const [chip] = within(list as HTMLElement).getAllByRole('button');
    await user.click(chip as HTMLElement);
    await user.click(screen.getByRole('combobox', { name: 'Glued in' }));
    await user.click(screen.getByRole('option', { name: 'a new one after these' }));
    // All round a case its other joints close it: what is left for later is closed already.
    expect(await screen.findByText(/^Not moved: .+\.$/)).toBeInTheDocument();
    expect(build()).not.toHaveProperty('order');
    await user.click(screen.getByRole('button', { name: 'Close' }));
    expect(screen.queryByText(/^Not moved: /)).toBeNull();
  });

  it('hold every joint once when they are worked out around a pin', async () => {
    const [first = '', ...rest] = ids;
    const { user, build } = renderBuild(
      <OrderStep />,
      { order: { sessions: [[first], rest], pinned: [first] } },
      'scenery-flats',
    );
    await user.click(await screen.findByRole('button', { name: 'Work out anew around the pins' }));
    await waitFor(() => expect(build().order?.sessions[0]).toContain(first), { timeout: 30_000 });
    expect([...(build().order?.sessions.flat() ?? [])].sort()).toEqual([...ids].sort());
    expect(build().order?.pinned).toEqual([first]);
  });
});
