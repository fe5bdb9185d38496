import { screen, within } from '@testing-library/react';
import { fillIn, pickIn, renderBuild } from '../../test/render-build';
import { AssemblyFit } from './AssemblyFit';

const openMore = async (id: string) => {
  const rendered = renderBuild(<AssemblyFit />, {}, id);
  await rendered.user.click(await screen.findByText('More about its shape'));
  const shape = screen.getByRole('region', { name: 'Shape' });
  return { ...rendered, shape };
};

describe('what differs, piece by piece', () => {
  it('is told for one rail and left as usual for the others', async () => {
    const { user, build, shape } = await openMore('scenery-flats');
    await fillIn(user, shape, 'Width of rails: top rail', '110');
    expect(build().answers['railWidthsMm']).toEqual([0, 0, 110]);
    await pickIn(user, shape, 'Joint of rails: middle rail', 'half lap');
    expect(build().answers['railJoinery']).toEqual(['', 'half-lap']);
    await fillIn(user, shape, 'Width of rails: top rail', '');
    expect(build().answers['railWidthsMm']).toEqual([0, 0, 0]);
  });

  it('goes with the pieces that another answer takes away', async () => {
    const { user, build, shape } = await openMore('scenery-flats');
    await fillIn(user, shape, 'Width of rails: top rail', '110');
    await fillIn(user, shape, 'Middle rails', '0');
    expect(build().answers['railWidthsMm']).toEqual([0, 0]);
    expect(within(shape).queryByRole('textbox', { name: 'Width of rails: middle rail' })).toBeNull();
  });

  it('is refused in words where it cannot be made, and what was good stands', async () => {
    const { user, build, shape } = await openMore('scenery-flats');
    const before = build().answers;
    await fillIn(user, shape, 'Height of rails, lower edge: middle rail', '20');
    expect(within(shape).getByRole('alert')).toHaveTextContent('would stand in the bottom rail');
    expect(build().answers).toEqual(before);
  });
});

describe('a question that other answers rule out', () => {
  it('is not asked', async () => {
    const { user } = renderBuild(<AssemblyFit />, {}, 'valance-edge');
    const shape = await screen.findByRole('region', { name: 'Shape' });
    expect(within(shape).getByRole('textbox', { name: 'Inside radius' })).toBeInTheDocument();
    await pickIn(user, shape, 'Laid on', 'a straight edge');
    expect(within(shape).queryByRole('textbox', { name: 'Inside radius' })).toBeNull();
    expect(screen.queryByText('More about its shape')).toBeNull();
  });
});
