import { DEMO_SHOP } from '@lean-clasp/core/demo';
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { retype } from '../../test/render-build';
import { AssemblyFit } from './AssemblyFit';

describe('Fit of an assembly', () => {
  it('keeps what cannot be made in the form, says why, and lets the last good answers stand', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'scenery-flats');
    await screen.findByText(/Parts, 5 in all/);
    await retype(user, 'Tenon length', '80');
    const alert = screen.getByRole('alert');
    expect(alert.textContent).toMatch(/would break out of a stile.*Possible: at most 63 mm/);
    // The 8 on the way to 80 could be made and stands.
    expect(build().answers['tenonMm']).toBe(8);
    expect(screen.getByRole('textbox', { name: 'Tenon length' })).toHaveProperty('value', '80 mm');
    await retype(user, 'Tenon length', '50');
    expect(screen.queryByRole('alert')).toBeNull();
    expect(build().answers['tenonMm']).toBe(50);
  });

  it('makes a frame of another number of sides even, so that it closes', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'dressing-mirror');
    await screen.findByText(/Parts, 4 in all/);
    await retype(user, 'Sides', '5');
    expect(await screen.findByText(/Parts, 5 in all/)).toBeDefined();
    expect(build().answers['anglesDeg']).toEqual([108, 108, 108, 108, 108]);
  });

  it('offers the shop’s own woods for a kind and for a part, and plans with them', async () => {
    const own = {
      id: 'bog-oak',
      name: 'Bog oak',
      like: 'white-oak',
      densityKgPerM3: 900,
      cR: null,
      cT: null,
      openPored: true,
      resinous: false,
      oily: false,
    };
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'scenery-flats', {
      ...DEMO_SHOP,
      woods: [own],
    });
    await screen.findByText(/Parts, 5 in all/);
    await user.click(screen.getByRole('combobox', { name: 'Species' }));
    await user.click(await screen.findByRole('option', { name: 'Bog oak' }));
    expect(build().answers['species']).toBe('bog-oak');
    expect(await screen.findByRole('button', { name: /stile, bog oak/ })).toBeDefined();
    const list = await screen.findByRole('list', { name: 'Cutting list' });
    fireEvent.paste(list, { clipboardData: { getData: () => 'rail 2\tcherry\nrail 3\tBog oak' } });
    expect(build().partNotes).toMatchObject([
      { id: 'rail-2', species: 'cherry' },
      { id: 'rail-3', species: 'bog-oak' },
    ]);
  });

  it('notes wood, moisture and state for all parts alike', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'scenery-flats');
    await user.click(await screen.findByRole('button', { name: /stile, eastern white pine/ }));
    await retype(user, 'Moisture, metered', '11.5');
    expect(build().partNotes).toEqual([
      { id: 'stile-1', species: null, mcPct: 11.5, condition: 'fresh' },
      { id: 'stile-2', species: null, mcPct: 11.5, condition: 'fresh' },
    ]);
  });

  it('notes the rough board of a part, says what comes off it and whether it is too small, and forgets it', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'scenery-flats');
    await user.click(await screen.findByRole('button', { name: /stile, eastern white pine/ }));
    expect(screen.getByText(/Joint one face and one edge, 1\.5.* and 3.* off/)).toBeDefined();
    await retype(user, 'Rough thickness', '28');
    expect(screen.getByText(/Too small in thickness/)).toBeDefined();
    expect(build().partNotes[0]?.roughMm?.[2]).toBe(28);
    // Terms in a sentence are buttons of their own.
    const minded = () =>
      screen.getAllByText(
        (_, element) =>
          element?.tagName === 'P' &&
          /^Mind: .*stile: the rough board has 28 mm of thickness/.test(element.textContent),
      );
    await waitFor(() => expect(minded()).toHaveLength(2));
    await user.clear(screen.getByRole('textbox', { name: 'Rough thickness' }));
    await user.tab();
    expect(build().partNotes[0]).not.toHaveProperty('roughMm');
  });

  it('takes rows pasted from a spreadsheet onto the cutting list', async () => {
    const { build } = renderBuild(<AssemblyFit />, {}, 'scenery-flats');
    const list = await screen.findByRole('list', { name: 'Cutting list' });
    fireEvent.paste(list, { clipboardData: { getData: () => 'rail 2\tcherry\t9' } });
    expect(build().partNotes).toEqual([{ id: 'rail-2', species: 'cherry', mcPct: 9, condition: 'fresh' }]);
    expect(await screen.findByText('1 part taken from the pasted rows.')).toBeDefined();
  });

  it('says of a gap whether clamps may close it', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'bench-seat');
    await user.click(await screen.findByRole('button', { name: /edge joint, board 1 – board 2/ }));
    await retype(user, 'Gaps, board 1 – board 2 (mm)', '0.4');
    expect(build().jointNotes).toEqual([
      { id: 'board-1_board-2', gapMm: null, gapsMm: [0.4], reinforcement: 'none' },
    ]);
    expect(await screen.findByText(/0.40 mm open – the clamps/)).toBeDefined();
  });

  it('reads several gaps from end to end into the shape of the line', async () => {
    const { user } = renderBuild(<AssemblyFit />, {}, 'bench-seat');
    await user.click(await screen.findByRole('button', { name: /edge joint, board 1 – board 2/ }));
    await retype(user, 'Gaps, board 1 – board 2 (mm)', '0.3, 0.05, 0.3');
    expect(
      await screen.findByText(/0.30 mm open, touching in the middle, its ends 0.25 mm off/),
    ).toBeDefined();
  });

  it('keeps the last good gaps when one cannot be read or is out of bounds', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'bench-seat');
    await user.click(await screen.findByRole('button', { name: /edge joint, board 1 – board 2/ }));
    await retype(user, 'Gaps, board 1 – board 2 (mm)', '0.2, 0.1');
    await retype(user, 'Gaps, board 1 – board 2 (mm)', '0.2, 70');
    expect(screen.getByText(/Each must lie between .* last good list is kept/)).toBeDefined();
    expect(build().jointNotes[0]?.gapsMm).toEqual([0.2]);
  });

  it('leaves a joint dry, and takes that back', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'bench-seat');
    await user.click(await screen.findByRole('button', { name: /edge joint, board 1 – board 2/ }));
    await user.click(screen.getByRole('combobox', { name: 'Glued' }));
    await user.click(screen.getByRole('option', { name: 'left dry' }));
    expect(build().jointNotes[0]?.glued).toBe('none');
    expect(await screen.findByText(/^0 cm² of glue line/)).toBeDefined();
    await user.click(screen.getByRole('combobox', { name: 'Glued' }));
    await user.click(screen.getByRole('option', { name: 'as this kind is glued' }));
    expect(build().jointNotes[0]).not.toHaveProperty('glued');
  });

  it('says where the face mark goes, and turns it over', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'scenery-flats');
    await user.click(await screen.findByRole('button', { name: /stile, eastern white pine/ }));
    expect(screen.getByText(/^Face mark /).textContent).toMatch(/edge mark/);
    const before = screen.getByText(/^Face mark /).textContent;
    await user.click(screen.getByRole('checkbox', { name: 'Best face the other way' }));
    expect(build().partNotes[0]?.faceTurned).toBe(true);
    await waitFor(() => expect(screen.getByText(/^Face mark /).textContent).not.toBe(before));
  });

  it('chooses a key for every mitre and ticks off the preparation', async () => {
    const { user, build } = renderBuild(<AssemblyFit />, {}, 'dressing-mirror');
    const choices = await screen.findByRole('radiogroup', { name: 'What holds the mitres' });
    await user.click(within(choices).getByRole('radio', { name: /Key/ }));
    expect(build().jointNotes.map(({ reinforcement }) => reinforcement)).toEqual([
      'key',
      'key',
      'key',
      'key',
    ]);
    await user.click(screen.getByRole('checkbox', { name: /Line up the inside corners/ }));
    expect(build().prepared).toEqual(['inside-corners']);
  });

  it('reads the diagonals into which one to pull, and how far', async () => {
    const { user } = renderBuild(<AssemblyFit />, {}, 'scenery-flats');
    await screen.findByText(/Parts, 5/);
    await retype(user, 'Diagonal A–C', '1846');
    await retype(user, 'Diagonal B–D', '1840');
    expect(await screen.findByText(/pull A–C in by 3 mm/)).toBeDefined();
  });
});
