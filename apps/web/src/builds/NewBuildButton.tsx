import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { useMayChange } from '../access/session';

/** The way to a new build, where one may be made. */
export function NewBuildButton() {
  if (!useMayChange()) return null;
  return (
    <Button component={Link} to="/builds/new" variant="contained">
      New build
    </Button>
  );
}
