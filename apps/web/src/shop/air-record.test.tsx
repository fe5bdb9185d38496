import type { AirSeries } from '@lean-clasp/core/air';
import { DEMO_SHOP, pastAir } from '@lean-clasp/core/demo';
import type { ShopDocument } from '@lean-clasp/core/formats';
import { screen, waitFor, within } from '@testing-library/react';
import { renderPage } from '../../test/render-page';
import { useShopNow } from '../air/use-shop-now';
import { AirSection } from './AirSection';

const NOW = Date.parse('2026-11-27T12:00:00Z');
const SERIES: AirSeries = {
  samples: pastAir(NOW),
  means: [
    { days: 1, mcPct: 9.04 },
    { days: 10, mcPct: 10.21 },
    { days: 90, mcPct: 9.61 },
  ],
  usualDay: Array.from({ length: 24 }, (_, hour) => ({
    hour,
    tempC: hour < 12 ? 5 : 18.26,
    rhPct: hour < 12 ? 60 : 51.4,
  })),
};
const WITH_SENSOR: ShopDocument = {
  ...DEMO_SHOP,
  sensor: { address: 'http://127.0.0.1:9/air', follow: true },
};
const REPORT = { state: 'fresh', air: { tempC: 17.3, rhPct: 49.6 }, takenAtMs: NOW };
const answering = (series: AirSeries) => ({
  'GET /api/air': () => REPORT,
  'GET /api/air/series': () => series,
});

describe('the record of the air', () => {
  it('is drawn in both of what it reads, with what wood has come to by it', async () => {
    renderPage(<AirSection shop={WITH_SENSOR} />, { server: answering(SERIES) });
    const chart = await screen.findByRole('img', { name: /^Air of the last two weeks: / });
    expect(chart.getAttribute('aria-label')).toMatch(/: 9 °C to 21 °C, \d\d to \d\d % humidity$/);
    // 20 mm is ten days, 6 mm the least, 45 mm half way to ninety.
    expect(
      screen.getByText(/has come to 9\.0 % at 6 mm, 10\.2 % at 20 mm, 9\.8 % at 45 mm/),
    ).toBeInTheDocument();
    expect(screen.getByText(/\[judgement\]/)).toBeInTheDocument();
  });

  it('names the best hours for each glue on the shelf, and none in which it does not set', async () => {
    renderPage(<AirSection shop={WITH_SENSOR} />, { server: answering(SERIES) });
    const list = await screen.findByRole('list', { name: 'Best hours of the day' });
    const told = within(list).getAllByRole('listitem');
    expect(told.length).toBe(new Set(DEMO_SHOP.bottles.map(({ adhesive }) => adhesive)).size);
    // Mornings at 5 °C are too cold for the white glue, whatever its open time would be.
    expect(
      within(list).getByText(/^Interior PVA.*: open longest from 12 to 17 h, \d+:\d\d or more$/),
    ).toBeInTheDocument();
  });

  it('shows nothing before the first reading, and does not ask without a sensor', async () => {
    const empty = renderPage(<AirSection shop={WITH_SENSOR} />, {
      server: answering({ samples: [], means: [], usualDay: [] }),
    });
    await waitFor(() => expect(empty.asked.map(({ path }) => path)).toContain('/api/air/series'));
    expect(screen.queryByRole('img', { name: /^Air of the last/ })).toBeNull();
    expect(screen.queryByRole('list', { name: 'Best hours of the day' })).toBeNull();
  });

  it('asks no sensor where there is none', () => {
    const { asked } = renderPage(<AirSection shop={DEMO_SHOP} />);
    expect(asked).toEqual([]);
  });
});

describe('useShopNow', () => {
  function Told({ shop }: { readonly shop: ShopDocument }) {
    const { climate, airMeans, hours } = useShopNow(shop) ?? shop;
    return (
      <output data-testid="told">
        {JSON.stringify({ climate, airMeans, hours: hours.length, at: hours[15] })}
      </output>
    );
  }
  const told = () => JSON.parse(screen.getByTestId('told').textContent ?? '') as unknown;

  it('plans by what the sensor read, in steps that are worth a new plan', async () => {
    renderPage(<Told shop={WITH_SENSOR} />, { server: answering(SERIES) });
    await waitFor(() =>
      expect(told()).toEqual({
        climate: { tempC: 17.5, rhPct: 50 },
        airMeans: [
          { days: 1, mcPct: expect.closeTo(9, 6) as number },
          { days: 10, mcPct: expect.closeTo(10.2, 6) as number },
          { days: 90, mcPct: expect.closeTo(9.6, 6) as number },
        ],
        hours: 24,
        at: { hour: 15, tempC: 18.5, rhPct: 51 },
      }),
    );
  });

  it('keeps what was typed in where plans do not go by the sensor', () => {
    const typed = { climate: DEMO_SHOP.climate, hours: DEMO_SHOP.hours.length };
    const { asked } = renderPage(
      <Told shop={{ ...WITH_SENSOR, sensor: { address: 'http://127.0.0.1:9/air', follow: false } }} />,
      { server: answering(SERIES) },
    );
    expect(told()).toEqual(typed);
    expect(asked).toEqual([]);
  });

  it('takes the air now alone while the record is empty', async () => {
    renderPage(<Told shop={WITH_SENSOR} />, {
      server: answering({ samples: [], means: [], usualDay: [] }),
    });
    await waitFor(() =>
      expect(told()).toEqual({ climate: { tempC: 17.5, rhPct: 50 }, hours: DEMO_SHOP.hours.length }),
    );
  });
});
