import type { ShopDocument } from '@lean-clasp/core/formats';
import { DEMO_SHOP } from '@lean-clasp/core/demo';
import { ThemeProvider } from '@mui/material/styles';
import { render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { Provider, useSelector } from 'react-redux';
import { makeStore, type RootState } from '../app/store';
import { themeFor } from '../app/theme';
import { airNote, airWords } from '../air/air-words';
import { opened } from '../documents/documents-slice';
import { retype } from '../../test/render-build';
import { AirSection } from './AirSection';
import { ShelfSection } from './ShelfSection';
import { SHOP_ID } from './shop-id';

const SHOP: ShopDocument = {
  ...DEMO_SHOP,
  sensor: { address: 'http://127.0.0.1:4630/air', follow: true },
};

function Parts() {
  const shop = useSelector((state: RootState) => state.documents.open[SHOP_ID]?.body) as ShopDocument;
  return (
    <>
      <ShelfSection shop={shop} />
      <AirSection shop={shop} />
    </>
  );
}

function renderShop(air: object | null) {
  localStorage.clear();
  jest
    .spyOn(globalThis, 'fetch')
    .mockImplementation((input) =>
      air === null || (input instanceof Request ? input.url : String(input)).includes('/series')
        ? new Promise(() => undefined)
        : Promise.resolve(
            new Response(JSON.stringify(air), { headers: { 'content-type': 'application/json' } }),
          ),
    );
  const store = makeStore(localStorage);
  const document = { id: SHOP_ID, revision: 0, body: SHOP, updatedAtMs: 0 };
  store.dispatch(opened({ collection: 'shops', document, log: [] }));
  render(
    <Provider store={store}>
      <ThemeProvider theme={themeFor('day')}>
        <Parts />
      </ThemeProvider>
    </Provider>,
  );
  return {
    user: userEvent.setup(),
    shop: () => store.getState().documents.open[SHOP_ID]?.body as ShopDocument,
  };
}

describe('the label of a bottle', () => {
  it('keeps each end by itself, and says that it is used', async () => {
    const { user, shop } = renderShop(null);
    const [first] = screen.getAllByText('Its label');
    if (first === undefined) throw new Error('no bottle');
    await user.click(first);
    const [from] = screen.getAllByRole('textbox', { name: 'Open, from' });
    if (from === undefined) throw new Error('no field');
    await user.type(from, '3');
    expect(shop().bottles[0]?.label?.openMin).toEqual({ low: 3, high: null });
    const [to] = screen.getAllByRole('textbox', { name: 'Open, to' });
    if (to === undefined) throw new Error('no field');
    await user.type(to, '5');
    expect(shop().bottles[0]?.label?.openMin).toEqual({ low: 3, high: 5 });
    expect(screen.getByText(/Its label: 1 of its figures typed in/)).toBeInTheDocument();
  });
});

describe('the sensor', () => {
  it('shows what it reads and how old that is', async () => {
    renderShop({ state: 'fresh', air: { tempC: 16.4, rhPct: 57 }, takenAtMs: Date.now() - 3 * 60_000 });
    expect(await screen.findByText(/57 %\. The sensor answers, read 3 min ago\./)).toBeInTheDocument();
  });

  it('keeps an address that can be none to itself, and the last good one in the shop', async () => {
    const { user, shop } = renderShop(null);
    await retype(user, 'Sensor’s address', 'on the wall');
    expect(screen.getByText(/An address begins with http/)).toBeInTheDocument();
    expect(shop().sensor?.address).toBe(SHOP.sensor?.address);
    await retype(user, 'Sensor’s address', 'http://192.168.7.5/air');
    expect(shop().sensor).toEqual({ address: 'http://192.168.7.5/air', follow: true });
    await user.click(screen.getByRole('checkbox', { name: 'Plans go by the sensor' }));
    expect(shop().sensor?.follow).toBe(false);
    await user.clear(screen.getByRole('textbox', { name: 'Sensor’s address' }));
    await user.tab();
    expect(shop().sensor).toBeUndefined();
  });

  it.each([
    ['gone', 'does not answer', 'sensor silent'],
    ['mad', 'nonsense', 'sensor mad'],
    ['stale', 'old reading', 'old reading'],
  ] as const)('says what is wrong when it is %s', (state, words, note) => {
    const report = { state, air: { tempC: 17, rhPct: 50 }, takenAtMs: 0 };
    expect(airWords(report, 25 * 60_000)).toContain(words);
    expect(airWords(report, 25 * 60_000)).toContain('25 min ago');
    expect(airNote(report)).toBe(note);
    expect(airWords({ state: 'gone', air: null, takenAtMs: null }, 0)).toContain('the air typed in is used');
  });
});
