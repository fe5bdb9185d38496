import type { Slip, Slips } from '@lean-clasp/core/plan';
import { formatWait } from '@lean-clasp/core/units';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Fragment } from 'react';
import { Link as RouterLink } from 'react-router';
import { Section } from '../frame/Page';
import { dayAndTime } from '../order/wall-words';

/** What did not begin when it was to, and what that moves; nothing where all goes as planned. */
export function Slipped({ slips: { slipped, moved } }: { readonly slips: Slips }) {
  if (slipped.length === 0) return null;
  return (
    <Section title="What slipped">
      <ul aria-label="Slipped" style={{ margin: 0, paddingLeft: 20 }}>
        {slipped.map(({ session, was }) => (
          <li key={`${session.build} ${session.session}`}>
            <Typography>
              <Name slip={{ session, was }} /> was to begin {dayAndTime(was)}; now {dayAndTime(session.start)}{' '}
              at the earliest.
            </Typography>
          </li>
        ))}
      </ul>
      <Typography sx={{ mt: 1 }}>
        {moved.length === 0 ? (
          'It moves nothing else.'
        ) : (
          <>
            That moves{' '}
            {moved.map((slip, i) => (
              <Fragment key={`${slip.session.build} ${slip.session.session}`}>
                {i > 0 && ', '}
                <Name slip={slip} /> by {formatWait(slip.session.start - slip.was)}
              </Fragment>
            ))}
            .
          </>
        )}
      </Typography>
    </Section>
  );
}

function Name({ slip: { session } }: { readonly slip: Slip }) {
  return (
    <>
      <Link component={RouterLink} to={`/builds/${session.build}/order`} sx={{ fontWeight: 700 }}>
        {session.name}
      </Link>
      {session.of > 1 && `, session ${session.session + 1}`}
    </>
  );
}
