import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { App } from './App';
import { makeStore } from './store';

jest.mock('../sums/SumsPage', () => ({
  SumsPage: () => {
    throw new Error('no such sum');
  },
}));

it('a screen that fails says so where it stands, and the others go on', async () => {
  localStorage.clear();
  jest.spyOn(console, 'error').mockImplementation(() => undefined);
  jest
    .spyOn(globalThis, 'fetch')
    .mockImplementation(() => Promise.resolve(Response.json({ role: 'owner', here: true, open: true })));
  history.replaceState(null, '', '/sums');
  render(<App store={makeStore(localStorage)} />);
  expect(await screen.findByText('This screen stopped working.')).toBeInTheDocument();
  expect(screen.getByText('no such sum')).toBeInTheDocument();
  expect(screen.getAllByRole('main')).toHaveLength(1);
  await userEvent.click(screen.getByRole('button', { name: /^Help/ }));
  await userEvent.click(await screen.findByRole('link', { name: /terms/i }));
  expect(await screen.findByRole('heading', { name: 'Terms' })).toBeInTheDocument();
  expect(screen.queryByText('This screen stopped working.')).toBeNull();
});
