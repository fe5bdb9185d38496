import { adhesiveWindow } from '@lean-clasp/core/adhesives';
import { type AirSeries, bestHours, storedMoisturePct } from '@lean-clasp/core/air';
import { PLAIN_TRAITS } from '@lean-clasp/core/materials';
import type { Climate, ShopDocument } from '@lean-clasp/core/formats';
import { familiesOf, weekOf } from '@lean-clasp/core/plan';
import { formatClock } from '@lean-clasp/core/units';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Suspense } from 'react';
import { useAirSeries } from '../air/use-shop-now';
import { Loading } from '../frame/Loading';
import { readIn } from '../parts/read-in';
import { useFormat } from '../quantities/use-format';

const AirChart = readIn(() => import('./AirChart').then((m) => m.AirChart));

/** Thicknesses whose wood is told, mm. */
const TOLD_MM = [6, 20, 45];

/** What the sensor has read: a chart, what wood has come to, and the hours in which the glues on the shelf stay open longest. */
export function AirRecord({ shop }: { readonly shop: ShopDocument }) {
  const series = useAirSeries(shop.sensor !== undefined);
  if (series === null || series.samples.length === 0) return null;
  return (
    <Box sx={{ mb: 2 }}>
      <Suspense fallback={<Loading what="Drawing" />}>
        <AirChart samples={series.samples} />
      </Suspense>
      <WoodNow shop={shop} series={series} />
      <BestHours shop={shop} series={series} />
    </Box>
  );
}

interface Of {
  readonly shop: ShopDocument;
  readonly series: AirSeries;
}

function WoodNow({ shop, series }: Of) {
  const f = useFormat();
  const known = { ...shop, airMeans: [...series.means] };
  const told = TOLD_MM.map(
    (thicknessMm) =>
      `${storedMoisturePct(thicknessMm, PLAIN_TRAITS, known).toFixed(1)} % at ${f.length(thicknessMm)}`,
  );
  return (
    <Typography sx={{ mt: 1 }}>
      Wood that has lain here has come to {told.join(', ')} – open-pored wood follows twice as fast
      [judgement]. Plans reckon unmetered wood with this; a meter knows better.
    </Typography>
  );
}

function BestHours({ shop, series }: Of) {
  const open = weekOf(shop).hours;
  const [from, to] = [
    Math.min(...open.map(({ fromMin }) => fromMin / 60)),
    Math.max(...open.map(({ toMin }) => toMin / 60)),
  ];
  const atWork = series.usualDay.filter(({ hour }) => hour >= from && hour < to);
  const glues = familiesOf(shop)
    .filter(({ id }) => shop.bottles.some(({ adhesive }) => adhesive === id))
    .flatMap((adhesive) => {
      const openMinAt = (air: Climate) =>
        adhesiveWindow(adhesive, { ...air, faces: 1, traits: PLAIN_TRAITS }).openMin?.low ?? null;
      const best = bestHours(atWork, openMinAt);
      return best === null ? [] : [{ adhesive, best }];
    });
  if (glues.length === 0) return null;
  return (
    <Box component="ul" aria-label="Best hours of the day" sx={{ mt: 1, mb: 0, pl: 3 }}>
      {glues.map(({ adhesive, best: { fromHour, toHour, openMin } }) => (
        <li key={adhesive.id}>
          {adhesive.name}:{' '}
          {toHour - fromHour === atWork.length
            ? `about the same all day, open ${formatClock(openMin)} or more`
            : `open longest from ${fromHour} to ${toHour} h, ${formatClock(openMin)} or more`}
        </li>
      ))}
    </Box>
  );
}
