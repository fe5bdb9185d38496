import { screen, waitFor, within } from '@testing-library/react';
import { renderBuild } from '../../test/render-build';
import { VerdictStrip } from './VerdictStrip';

const cell = (name: string) => screen.findByRole('button', { name: new RegExp(`^${name} `) });

describe('VerdictStrip', () => {
  it('says each of the four with its word, figure, limit and cause', async () => {
    renderBuild(<VerdictStrip />);
    expect((await cell('In time')).getAttribute('aria-label')).toMatch(
      /^In time fails: 1:12 short of 6:18; A–B takes 7:30 of 6:18 closed assembly time/,
    );
    expect((await cell('Tight')).getAttribute('aria-label')).toMatch(
      /^Tight holds: 1\.5\d MPa lowest, wants 1\.20 MPa/,
    );
    expect((await cell('Square')).getAttribute('aria-label')).toMatch(/^Square holds: 0 mm/);
    expect((await cell('Flat')).getAttribute('aria-label')).toMatch(/held by bars on both faces and cauls/);
  });

  it('opens one to its fixes and its sums, and closes again', async () => {
    const { user } = renderBuild(<VerdictStrip />);
    await user.click(await cell('In time'));
    const detail = await screen.findByRole('region', { name: 'In time in detail' });
    expect(await within(detail).findByText('One more pair of hands, 2 in all')).toBeInTheDocument();
    expect(within(detail).getByText(/^Window: closed time at the unfavourable end/)).toBeInTheDocument();
    expect(within(detail).getByText(/^Label times: typical published sheets/)).toBeInTheDocument();
    await user.click(within(detail).getByRole('button', { name: 'Close' }));
    expect(screen.queryByRole('region', { name: 'In time in detail' })).toBeNull();
  });

  it('applies a fix, whose effect then stands in the strip', async () => {
    const { user, build } = renderBuild(<VerdictStrip />);
    await user.click(await cell('In time'));
    const button = await screen.findByRole('button', { name: /^Do it: One more pair of hands/ });
    await waitFor(() => expect(button).toBeEnabled());
    await user.click(button);
    expect(build().crew).toBe(2);
    await waitFor(async () => expect(await cell('In time')).toHaveAttribute('data-state', 'holds'));
  });

  it('has nothing to offer where there is room', async () => {
    const { user } = renderBuild(<VerdictStrip />);
    await user.click(await cell('Square'));
    expect(await screen.findByText('Nothing needed: there is room to spare.')).toBeInTheDocument();
  });
});
