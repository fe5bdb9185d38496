import type { ShopDocument } from '@lean-clasp/core/formats';
import { act, screen, waitFor, within } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { makeStore } from '../app/store';
import { editDocument } from '../documents/sync';
import { Help } from '../frame/Help';
import { NetworkSection } from '../shop/NetworkSection';
import { SHOP_ID } from '../shop/shop-id';
import { sessionKnown } from './access-slice';
import { AccessGate } from './AccessGate';
import { watchSession } from './session';
import { WayOut } from './WayOut';

const nobody = { role: null, here: false, open: true };
const bench = { role: 'bench', here: false, open: true } as const;

describe('AccessGate', () => {
  it('lets in by the passphrase and says when it is another', async () => {
    const { store, user, asked } = renderPage(<AccessGate />, {
      server: {
        'GET /api/session': () => nobody,
        'POST /api/session': ({ body }) =>
          (body as { passphrase: string }).passphrase === 'right one' ? bench : nobody,
      },
    });
    await act(() => store.dispatch(watchSession()));
    await user.type(await screen.findByLabelText('Passphrase'), 'right one');
    await user.click(screen.getByRole('button', { name: 'Come in' }));
    await waitFor(() => expect(screen.queryByLabelText('Passphrase')).not.toBeInTheDocument());
    expect(asked.at(-1)).toMatchObject({ method: 'POST', body: { passphrase: 'right one' } });
  });

  it('says what to do where no passphrase is set', async () => {
    const { store } = renderPage(<AccessGate />, {
      server: { 'GET /api/session': () => ({ ...nobody, open: false }) },
    });
    await act(() => store.dispatch(watchSession()));
    expect(await screen.findByText(/None is set yet/)).toBeInTheDocument();
  });

  it('makes no edit from a device of the bench, and says why', async () => {
    const { store, shop } = renderPage(<AccessGate />);
    act(() => void store.dispatch(sessionKnown(bench)));
    act(
      () =>
        void store.dispatch(
          editDocument<ShopDocument>(SHOP_ID, 'Name', (before) => ({ ...before, name: 'Mine' })),
        ),
    );
    expect(await screen.findByText(/changed by the owner/)).toBeInTheDocument();
    expect(shop().name).toBe('The Wagon Shed');
  });

  it('remembers a bench for when the server is away', () => {
    const { store } = renderPage(null);
    act(() => void store.dispatch(sessionKnown(bench)));
    expect(makeStore(localStorage).getState().access.role).toBe('bench');
  });
});

describe('the way out', () => {
  it('is for those from the network, and takes what was seen with it', async () => {
    const { store, user } = renderPage(<WayOut />, { server: { 'DELETE /api/session': () => null } });
    expect(screen.queryByRole('button', { name: /Sign out/ })).not.toBeInTheDocument();
    act(() => void store.dispatch(sessionKnown(bench)));
    await user.click(await screen.findByRole('button', { name: 'Signed in: bench. Sign out.' }));
    await user.click(screen.getByRole('button', { name: 'Sign out' }));
    await waitFor(() => expect(store.getState().access.role).toBeNull());
  });
});

describe('Help', () => {
  it('is read in when asked for by its button or its key, and goes again', async () => {
    const { user } = renderPage(<Help />);
    await user.keyboard('?');
    expect(await screen.findByRole('dialog', { name: 'Help' })).toBeInTheDocument();
    await user.click(screen.getByRole('button', { name: 'Close' }));
    await waitFor(() => expect(screen.queryByRole('dialog')).not.toBeInTheDocument());
    await user.click(screen.getByRole('button', { name: /^Help/ }));
    expect(await screen.findByText('at the bench: sound and voice off or on')).toBeInTheDocument();
  });
});

describe('NetworkSection', () => {
  const network = {
    addresses: ['http://192.0.2.5:4620'],
    secure: false,
    passphrases: [],
    calendar: '/api/calendar/k.ics',
  };

  it('shows the address with its code, warns while nobody can come in, and sets a passphrase', async () => {
    const { user, asked } = renderPage(<NetworkSection />, {
      server: { 'GET /api/network': () => network, 'PUT /api/network/passphrases/bench': () => [] },
    });
    expect(await screen.findByTitle('Code of http://192.0.2.5:4620')).toBeInTheDocument();
    expect(screen.getByText(/nobody comes in from the network yet/)).toBeInTheDocument();
    expect(screen.getByText('http://192.0.2.5:4620/api/calendar/k.ics')).toBeInTheDocument();
    const form = within(screen.getByRole('form', { name: 'Passphrase of the bench' }));
    await user.type(form.getByLabelText('Bench passphrase'), 'mallet water and rag');
    await user.click(form.getByRole('button', { name: 'Set it' }));
    await waitFor(() =>
      expect(asked).toContainEqual(
        expect.objectContaining({ method: 'PUT', body: { passphrase: 'mallet water and rag' } }),
      ),
    );
  });

  it('tells how to open it where only this machine reaches it, and leaves passphrases to the machine', async () => {
    const { store } = renderPage(<NetworkSection />, {
      server: { 'GET /api/network': () => ({ ...network, addresses: [] }) },
    });
    expect(await screen.findByText(/Only this machine reaches the shop/)).toBeInTheDocument();
    act(() => void store.dispatch(sessionKnown({ ...bench, role: 'owner' })));
    expect(await screen.findByText(/set at the machine that serves/)).toBeInTheDocument();
    expect(screen.queryByRole('form')).not.toBeInTheDocument();
  });
});
