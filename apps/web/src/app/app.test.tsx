import { DEMO_SHOP, stageFloor } from '@lean-clasp/core/demo';
import { act, render, screen, waitFor } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { SHOP_ID } from '../shop/shop-id';
import { headStart } from '../workspace/head-start';
import { App } from './App';
import { makeStore } from './store';

const BUILD = stageFloor(DEMO_SHOP);

/** What the server answers, by path; anything else is not there. */
let answers: Record<string, unknown>;
let asked: string[];

beforeEach(() => {
  localStorage.clear();
  asked = [];
  answers = {
    '/api/session': { role: 'owner', here: true, open: true },
    '/api/builds/stage-floor': { id: 'stage-floor', revision: 3, updatedAtMs: 0, body: BUILD },
    '/api/builds/stage-floor/edits': [],
    [`/api/shops/${SHOP_ID}`]: { id: SHOP_ID, revision: 1, updatedAtMs: 0, body: DEMO_SHOP },
    [`/api/shops/${SHOP_ID}/edits`]: [],
  };
  jest.spyOn(globalThis, 'fetch').mockImplementation((input) => {
    const url = new URL(input instanceof Request ? input.url : String(input), location.origin);
    asked.push(url.pathname);
    const body = answers[url.pathname];
    return Promise.resolve(
      new Response(
        JSON.stringify(
          body ?? { error: { code: 'unknown-id', field: '', message: 'Nothing here.', allowed: '' } },
        ),
        {
          status: body === undefined ? 404 : 200,
          headers: { 'content-type': 'application/json' },
        },
      ),
    );
  });
});

async function openAt(path: string) {
  history.replaceState(null, '', path);
  const store = makeStore(localStorage);
  render(<App store={store} />);
  await screen.findByRole('main');
  return { store, user: userEvent.setup() };
}

describe('addresses', () => {
  it('that lead nowhere say so, and where builds are', async () => {
    await openAt('/nowhere/at/all');
    expect(await screen.findByRole('heading', { name: 'Nothing at this address' })).toBeInTheDocument();
    expect(screen.getByRole('link', { name: 'See all builds' })).toHaveAttribute('href', '/builds');
  });

  it('of a build without a step lead to its first', async () => {
    await openAt('/builds/stage-floor');
    await waitFor(() => expect(location.pathname).toBe('/builds/stage-floor/fit'));
  });
});

describe('the rail', () => {
  it('names the five places and marks the one on show', async () => {
    await openAt('/glossary');
    const places = screen.getByRole('navigation', { name: 'Places' });
    expect([...places.querySelectorAll('a')].map((place) => place.getAttribute('href'))).toEqual([
      '/',
      '/builds',
      '/shop',
      '/logbook',
      '/sums',
    ]);
    expect(await screen.findByRole('heading', { name: 'Terms' })).toBeInTheDocument();
  });

  it('changes units and theme, which are kept for the next time', async () => {
    const { user, store } = await openAt('/glossary');
    const { units, theme } = store.getState().preferences;
    await user.click(screen.getByRole('button', { name: /^Units/ }));
    await user.click(screen.getByRole('button', { name: /^Theme/ }));
    expect(store.getState().preferences).not.toMatchObject({ units });
    expect(makeStore(localStorage).getState().preferences).toEqual({
      ...store.getState().preferences,
      units: units === 'metric' ? 'imperial' : 'metric',
      theme: theme === 'day' ? 'lamp' : 'day',
    });
  });

  it('offers a way past it to whoever goes by keyboard', async () => {
    const { user } = await openAt('/glossary');
    await user.tab();
    const skip = screen.getByRole('link', { name: 'Skip to the content' });
    expect(skip).toHaveFocus();
    expect(skip).toHaveAttribute('href', `#${screen.getByRole('main').id}`);
  });
});

describe('the head start of a build', () => {
  it('opens it and the shop, once, however often it is asked for', async () => {
    const store = makeStore(localStorage);
    await act(() =>
      Promise.all([
        store.dispatch(headStart('stage-floor', 'fit')),
        store.dispatch(headStart('stage-floor', 'fit')),
      ]),
    );
    await act(() => store.dispatch(headStart('stage-floor', 'fit')));
    expect(store.getState().documents.open['stage-floor']?.body).toEqual(BUILD);
    expect(store.getState().documents.open[SHOP_ID]?.revision).toBe(1);
    for (const path of ['/api/builds/stage-floor', `/api/shops/${SHOP_ID}`]) {
      expect(asked.filter((each) => each === path)).toHaveLength(1);
    }
  });

  it('fails where there is no such build, and leaves it to the screen to say so', async () => {
    const store = makeStore(localStorage);
    await expect(act(() => store.dispatch(headStart('no-such-build', 'fit')))).rejects.toThrow(
      'Nothing here.',
    );
    expect(store.getState().documents.open['no-such-build']).toBeUndefined();
  });
});
