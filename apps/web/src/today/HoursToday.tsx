import type { ShopDocument } from '@lean-clasp/core/formats';
import { hoursLeft, type ShopCalendar, type ShopSession } from '@lean-clasp/core/plan';
import { formatWait } from '@lean-clasp/core/units';
import { ASPECT_NAMES } from '@lean-clasp/words';
import Typography from '@mui/material/Typography';
import { timeOf } from '../order/wall-words';
import { useFormat } from '../quantities/use-format';
import type { Soon } from './use-before-long';

/** What fits into the hours left of the day, and what the air of those hours does to it. */
export function HoursToday({
  calendar,
  shop,
  now,
  soon,
}: {
  readonly calendar: ShopCalendar;
  readonly shop: ShopDocument;
  /** Wall minute. */
  readonly now: number;
  readonly soon: readonly Soon[];
}) {
  const f = useFormat();
  const left = hoursLeft(calendar, shop, now);
  if (left === null) return null;
  const { closes, leftMin, fits } = left;
  const worse = soon.filter(
    ({ session, worse: aspects }) => aspects.length > 0 && fits.some((fit) => isSame(fit, session)),
  );
  return (
    <>
      <Typography sx={{ mb: 1 }}>
        Open until {timeOf(closes)}, {formatWait(leftMin)} from now.{' '}
        {fits.length === 0
          ? 'No session that waits fits into that.'
          : `In that time, with the clamps, benches and hands there are: ${fits.map(named).join(', ')}.`}
      </Typography>
      {worse.map(({ session, air, worse: aspects }) => (
        <Typography key={`${session.build} ${session.session}`} sx={{ mb: 1 }}>
          Not {session.name} at {timeOf(session.start)} if the air goes as usual
          {air === null ? '' : ` (${f.temperature(air.tempC)}, ${Math.round(air.rhPct)} %)`}:{' '}
          {aspects.map((aspect) => ASPECT_NAMES[aspect]).join(', ')} would fail then.
        </Typography>
      ))}
    </>
  );
}

const isSame = (a: ShopSession, b: ShopSession) => a.build === b.build && a.session === b.session;

const named = ({ name, session, of, start }: ShopSession): string =>
  `${name}${of > 1 ? `, session ${session + 1},` : ''} at ${timeOf(start)}`;
