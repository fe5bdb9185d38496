import { findClampKind } from '@lean-clasp/core/clamps';
import type { RackLot, ShopDocument } from '@lean-clasp/core/formats';
import { asMeasured, type OwnPull, ownPulls, unmeasured } from '@lean-clasp/core/learning';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import { Section } from '../frame/Page';
import { useFormat } from '../quantities/use-format';
import { useEditShop } from '../shop/use-edit-shop';
import { LearnedEntry } from './LearnedEntry';

/** What clamps were measured to pull in these hands, beside what is typical of their kind. */
export function OwnPulls({ shop }: { readonly shop: ShopDocument }) {
  const pulls = ownPulls(shop);
  return (
    <Section title="Pull of your clamps">
      {pulls.length === 0 && (
        <Typography>
          Not measured yet: plans go by what is typical of each kind, ± 30 % [judgement]. Under{' '}
          <Link component={RouterLink} to="/shop">
            Shop
          </Link>{' '}
          “Measure” reads it off a scale under a lever, a marked spring or a gauge.
        </Typography>
      )}
      {pulls.map((pull) => (
        <Pull key={pull.lot.id} pull={pull} />
      ))}
    </Section>
  );
}

function Pull({
  pull: { lot, typicalN, nowN, forceN, lowN, highN, perTurnN, times, inUse },
}: {
  readonly pull: OwnPull;
}) {
  const f = useFormat();
  const edit = useEditShop();
  const name = `${findClampKind(lot.kind).name}, ${lot.count} that open to ${f.length(lot.maxOpeningMm)}`;
  const change = (label: string, to: (lot: RackLot) => RackLot) =>
    edit(`${label}: ${name}`, (shop) => ({
      ...shop,
      rack: shop.rack.map((each) => (each.id === lot.id ? to(each) : each)),
    }));
  return (
    <LearnedEntry
      name={name}
      actions={
        <>
          {!inUse && (
            <Button
              variant="contained"
              color="secondary"
              aria-label={`Accept: ${name}`}
              onClick={() => change('Pull, as measured', asMeasured)}
            >
              Accept
            </Button>
          )}
          <Button aria-label={`Forget: ${name}`} onClick={() => change('Pull forgotten', unmeasured)}>
            Forget
          </Button>
        </>
      }
    >
      <Typography>
        Plans go by {f.force(nowN)} now; {f.force(typicalN)} is typical of the kind. Measured{' '}
        {times.length === 1 ? 'once' : `${times.length} times`}: <strong>{f.force(forceN)}</strong>, with 95 %
        confidence between {f.force(lowN)} and {f.force(highN)}
        {perTurnN === null ? '' : `; ${f.force(perTurnN)} for a turn past snug`}.
      </Typography>
      <Typography variant="body2" color="text.secondary">
        {times
          .map(
            ({ on, forceN: readN, weight }) =>
              `${dayjs(on).format('D MMM YYYY')}: ${f.force(readN)}${weight < HALF ? ', too far off to count much' : ''}`,
          )
          .join('; ')}
      </Typography>
    </LearnedEntry>
  );
}

/** A time that counts less than this is told to be far off. */
const HALF = 0.5;
