import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { fillIn, pickIn, renderBuild } from '../../test/render-build';
import { PullsStep } from './PullsStep';

const region = (name: string) => screen.findByRole('region', { name }, { timeout: 20_000 });
const rowsIn = (part: HTMLElement) => within(part).queryAllByRole('button', { name: /, at [\d.,]+ mm$/ });
const numberedIn = (part: HTMLElement) => within(part).queryAllByRole('button', { name: /^Clamp \d: / });

// Many plans, one after the other; a slow machine takes its time.
jest.setTimeout(240_000);

describe('clamps of a pull, one by one', () => {
  async function trunk() {
    const page = renderBuild(<PullsStep />, {}, 'costume-trunk');
    const across = await region('Across');
    await page.user.click(within(across).getByRole('button', { name: 'Place one by one' }));
    // Numbers come with the plan, which may lag behind the rows.
    await waitFor(() => expect(numberedIn(across)).toHaveLength(8), { timeout: 20_000 });
    const placed = () => page.build().squeeze?.clamps ?? [];
    return { ...page, across, placed };
  }

  it('stand where they were worked out, and say what they come to', async () => {
    const { across, placed } = await trunk();
    expect(placed()).toHaveLength(8);
    expect(placed().every(({ pull }) => pull === 'across')).toBe(true);
    expect(within(across).getByRole('status').textContent).toMatch(/^8 clamps: .* in all, seating wants/);
    expect(within(across).queryByRole('textbox', { name: 'Clamps' })).toBeNull();
  });

  it('are moved, eased, pinned and taken from another lot', async () => {
    const { user, across, placed } = await trunk();
    await user.click(within(across).getByRole('button', { name: /^Clamp 2: / }));
    await fillIn(user, across, 'Along', '240');
    await fillIn(user, across, 'Across', '33');
    await fillIn(user, across, 'Pull no more than', '150 N');
    await user.click(within(across).getByRole('checkbox', { name: /^Pinned/ }));
    const changed = placed().filter(({ pinned }) => pinned === true);
    expect(changed).toMatchObject([{ alongMm: 240, acrossMm: 33, mostN: 150 }]);
    expect(placed()).toHaveLength(8);
    await fillIn(user, across, 'Pull no more than', '');
    expect(placed().find(({ pinned }) => pinned === true)).not.toHaveProperty('mostN');
    const before = changed[0]?.rackId;
    await pickIn(user, across, 'From the rack', /^pipe/i);
    expect(placed().find(({ pinned }) => pinned === true)?.rackId).not.toBe(before);
    await user.click(within(across).getByRole('checkbox', { name: /^Pinned/ }));
    expect(placed().some(({ pinned }) => pinned === true)).toBe(false);
  });

  it('come off one by one until the last, which must have a follower first', async () => {
    const { user, across, placed } = await trunk();
    for (let left = 8; left > 1; left -= 1) {
      const [first] = rowsIn(across);
      if (first === undefined) throw new Error('no clamp left');
      if (first.getAttribute('aria-expanded') !== 'true') await user.click(first);
      await user.click(within(across).getByRole('button', { name: 'Take off' }));
      await waitFor(() => expect(rowsIn(across)).toHaveLength(left - 1));
    }
    const [only] = rowsIn(across);
    if (only === undefined) throw new Error('no clamp left');
    if (only.getAttribute('aria-expanded') !== 'true') await user.click(only);
    expect(within(across).getByRole('button', { name: 'Take off' })).toBeDisabled();
    expect(within(across).getByText(/The only clamp of this pull/)).toBeInTheDocument();
    await user.click(within(across).getByRole('button', { name: 'Add a clamp' }));
    expect(placed()).toHaveLength(2);
    await user.click(within(across).getByRole('button', { name: 'Leave it to be worked out' }));
    expect(placed()).toEqual([]);
    expect(await within(across).findByRole('textbox', { name: 'Clamps' })).toBeInTheDocument();
  });

  it('are not said to press nothing before the plan has caught up with them', async () => {
    const { user, across } = await trunk();
    await user.click(within(across).getByRole('button', { name: 'Add a clamp' }));
    expect(within(across).queryByRole('button', { name: /^Clamp that presses nothing/ })).toBeNull();
    await waitFor(() => expect(numberedIn(across)).toHaveLength(9), { timeout: 20_000 });
  });
});

describe('clamps of a stack', () => {
  it('are kept as they stand, or searched for', async () => {
    const { user, build } = renderBuild(<PullsStep />, {}, 'trestle-feet');
    const down = await region('Down');
    await user.click(within(down).getByRole('button', { name: 'Keep these places' }));
    const kept = build().squeeze?.clamps ?? [];
    expect(kept.length).toBeGreaterThan(2);
    expect(new Set(kept.map(({ id }) => id)).size).toBe(kept.length);
    await user.click(within(down).getByRole('button', { name: 'Place clamps' }));
    expect(
      await within(down).findByText(/^\d+ clamps: lowest 1\.\d\d MPa of 1\.20 MPa/, {}, { timeout: 50_000 }),
    ).toBeInTheDocument();
    expect(build().squeeze?.clamps?.some(({ id }) => kept.some((other) => other.id === id))).toBe(false);
  });

  it('are as many as the person says, and as many as it takes again when that is taken back', async () => {
    const { user, build } = renderBuild(<PullsStep />, {}, 'awning-pole');
    const down = await region('Down');
    await fillIn(user, down, 'Clamps', '5');
    expect(build().squeeze?.counts).toEqual([{ pull: 'down', count: 5 }]);
    await waitFor(() =>
      expect(within(down).getByRole('table', { name: 'Clamps, Down' }).textContent).toContain('5 × C clamp'),
    );
    await fillIn(user, down, 'Clamps', '');
    expect(build().squeeze?.counts).toEqual([]);
    expect(await within(down).findByText(/^worked out: \d+$/)).toBeInTheDocument();
  });
});

describe('wraps and pairs on a post', () => {
  it('are placed one by one, off the roll too', async () => {
    const { user, build } = renderBuild(
      <PullsStep />,
      {
        answers: {
          species: 'cherry',
          staves: 4,
          acrossFlatsMm: 95,
          thicknessMm: 20,
          lengthMm: 1400,
          posts: 1,
        },
      },
      'lamp-posts',
    );
    const round = await region('Right round');
    expect(within(round).getByText(/wrapped place: /)).toBeInTheDocument();
    await user.click(within(round).getByRole('button', { name: 'Place one by one' }));
    await waitFor(() => expect(rowsIn(round).length).toBeGreaterThan(5), { timeout: 20_000 });
    const placed = build().squeeze?.clamps ?? [];
    expect(placed.filter(({ rackId }) => rackId === 'elastic-wrap')).toHaveLength(3);
    expect(within(round).queryByText(/no longer on the rack/)).toBeNull();
    const [wrap] = within(round).getAllByRole('button', { name: /wrapped place/ });
    if (wrap === undefined) throw new Error('no wrap');
    await user.click(wrap);
    await fillIn(user, round, 'Along', '77');
    expect(build().squeeze?.clamps?.some(({ alongMm }) => alongMm === 77)).toBe(true);
  });
});

describe('how it is squeezed', () => {
  it('is told that a stack is pressed lightly, which no frame is asked', async () => {
    const { user, build } = renderBuild(<PullsStep />, {}, 'trestle-feet');
    const how = await region('How it is squeezed');
    await pickIn(user, how, 'Pressure', 'light, then again');
    expect(build().squeeze?.school).toBe('light');
    cleanup();
    renderBuild(<PullsStep />, {}, 'scenery-flats');
    const other = await region('How it is squeezed');
    expect(within(other).queryByRole('combobox', { name: 'Pressure' })).toBeNull();
  });

  it('is told of packing, cuts, waxed paper and a flat base', async () => {
    const { user, build } = renderBuild(<PullsStep />, {}, 'lamp-posts');
    const how = await region('How it is squeezed');
    await pickIn(user, how, 'Under the jaws', /^cauls/);
    await fillIn(user, how, 'Its thickness', '32');
    expect(build().squeeze?.packing).toEqual({ kind: 'cauls', thicknessMm: 32 });
    await pickIn(user, how, 'Under the jaws', /^nothing/);
    expect(within(how).queryByRole('textbox', { name: 'Its thickness' })).toBeNull();
    await fillIn(user, how, 'Cuts true to', '0.1');
    expect(build().squeeze?.cutErrorDeg).toBe(0.1);
    await user.click(within(how).getByRole('checkbox', { name: /Waxed paper/ }));
    await user.click(within(how).getByRole('checkbox', { name: /flat base/ }));
    expect(build().squeeze).toMatchObject({ slip: true, clampedDown: true });
  });

  it('asks of a sheet whether a bag or platens press it', async () => {
    const { user, build } = renderBuild(<PullsStep />, {}, 'backdrop');
    const how = await region('How it is squeezed');
    await pickIn(user, how, 'Pressed', /platens/);
    expect(build().squeeze?.press).toBe('cauls');
    expect(within(how).queryByRole('textbox', { name: 'Cuts true to' })).toBeNull();
  });
});
