import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../app/store';
import { instantWords } from '../bench/release';
import { useNow } from '../parts/use-now';
import { type Found, foundSeen } from './keeping-slice';

/** Tells on every page what the browser cannot keep, what it found, and what waits for a decision. */
export function KeepingNotices() {
  const dispatch = useAppDispatch();
  const { failing, found, refusedRuns } = useAppSelector((state) => state.keeping);
  const asks = useAppSelector((state) => state.documents.open);
  const now = useNow(false);
  const waiting = Object.values(asks).filter(({ sync }) => sync.kind === 'conflict');
  return (
    <>
      {failing !== null && (
        <Alert severity="warning" variant="outlined" sx={{ m: 1 }}>
          This browser keeps no safety copy: {failing}. Everything still goes to the server at once; only
          while the server is away would it be lost with this page.
        </Alert>
      )}
      {waiting.map(({ id, collection, body }) => (
        <Alert
          key={id}
          severity="warning"
          variant="outlined"
          sx={{ m: 1 }}
          action={
            <Button
              component={Link}
              to={collection === 'shops' ? '/shop' : `/builds/${id}/fit`}
              color="inherit"
            >
              Look
            </Button>
          }
        >
          {'name' in body ? `“${body.name}”` : 'The shop'} was changed here and elsewhere: it wants a
          decision.
        </Alert>
      ))}
      {refusedRuns.map(({ id, buildName, why }) => (
        <Alert key={id} severity="error" variant="outlined" sx={{ m: 1 }}>
          A glue-up of “{buildName}” is kept in this browser and the server refuses it: {why}
        </Alert>
      ))}
      <Snackbar
        open={found.length > 0}
        autoHideDuration={12_000}
        onClose={() => dispatch(foundSeen())}
        message={found.map((each) => foundWords(each, now)).join(' ')}
      />
    </>
  );
}

const foundWords = ({ name, edits, keptAtMs }: Found, now: number): string =>
  `${edits === 1 ? 'One edit' : `${edits} edits`} of “${name}” from ${instantWords(keptAtMs, now)} had not been sent; ${edits === 1 ? 'it is' : 'they are'} in again.`;
