import Link from '@mui/material/Link';
import { Link as RouterLink } from 'react-router';
import { Page } from './Page';

/** An address that leads nowhere. */
export function NothingHere() {
  return (
    <Page title="Nothing at this address">
      The address may be mistyped, or the build was removed.{' '}
      <Link component={RouterLink} to="/builds">
        See all builds
      </Link>
      .
    </Page>
  );
}
