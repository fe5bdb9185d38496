import { screen } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { ShowRound } from './ShowRound';
import { STOPS } from './stops';
import { TourCard } from './TourCard';

const page = (
  <>
    <ShowRound />
    <TourCard />
  </>
);
const builds = (ids: readonly string[]) => ({
  'GET /api/builds': () => ({
    builds: ids.map((id) => ({
      id,
      revision: 0,
      name: id,
      project: '',
      template: 'edge-panel',
      updatedAtMs: 0,
    })),
    next: null,
  }),
});
const where = () => screen.getByTestId('where').textContent;

it('leads through every stop by the build that shows most, back and on, to its end', async () => {
  const { user, store } = renderPage(page, {
    path: '*',
    at: '/sums',
    server: builds(['bench', 'stage-floor']),
  });
  await user.click(await screen.findByRole('button', { name: 'Show me round' }));
  expect(
    await screen.findByRole('region', { name: `The way round, 1 of ${STOPS.length}` }),
  ).toBeInTheDocument();
  expect(where()).toBe('/');
  await user.click(screen.getByRole('button', { name: 'Next' }));
  expect(where()).toBe('/builds/stage-floor/fit');
  await user.click(screen.getByRole('button', { name: 'Next' }));
  await user.click(screen.getByRole('button', { name: 'Back' }));
  expect(where()).toBe('/builds/stage-floor/fit');
  for (let stop = 2; stop < STOPS.length; stop += 1)
    await user.click(screen.getByRole('button', { name: 'Next' }));
  expect(where()).toBe('/shop');
  await user.click(screen.getByRole('button', { name: 'Done' }));
  expect(store.getState().tour).toBeNull();
  expect(store.getState().preferences.shownRound).toBe(true);
});

it('is left at any stop, by key as well, and explains a term at a tap', async () => {
  const { user, store } = renderPage(page, { path: '*', at: '/', server: builds(['bench']) });
  await user.click(await screen.findByRole('button', { name: 'Show me round' }));
  await user.click(await screen.findByRole('button', { name: 'Next' }));
  await user.click(screen.getByRole('button', { name: 'Next' }));
  await user.click(screen.getByRole('button', { name: 'open time' }));
  expect(screen.getByRole('dialog', { name: 'open time' })).toHaveTextContent('Warm, dry air shortens it.');
  await user.keyboard('{Escape}');
  expect(screen.getByRole('region', { name: /^The way round, 3/ })).toBeInTheDocument();
  await user.click(screen.getByRole('button', { name: 'Leave' }));
  expect(screen.queryByRole('region', { name: /^The way round/ })).toBeNull();
  expect(store.getState().tour).toBeNull();
});

it('is not offered before there is a build to show it by', async () => {
  const { asked } = renderPage(page, { path: '*', at: '/', server: builds([]) });
  await screen.findByTestId('where');
  expect(asked.length).toBeGreaterThan(0);
  expect(screen.queryByRole('button', { name: 'Show me round' })).toBeNull();
});
