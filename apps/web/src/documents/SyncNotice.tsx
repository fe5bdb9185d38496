import Alert from '@mui/material/Alert';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store';
import { putMineOnTop, takeTheirs } from './sync';

/** Tells when edits are not on the server yet, and asks when they clash with somebody else's. */
export function SyncNotice({ id }: { readonly id: string }) {
  const dispatch = useAppDispatch();
  const document = useAppSelector((state) => state.documents.open[id]);
  const failing = useAppSelector((state) => state.keeping.failing);
  const [unfit, setUnfit] = useState(0);
  if (document === undefined) return null;
  const { sync, pending } = document;
  const count = `${pending.length} ${pending.length === 1 ? 'edit' : 'edits'}`;
  return (
    <>
      {sync.kind === 'conflict' && (
        <Alert
          severity="warning"
          variant="outlined"
          action={
            <>
              <Button
                color="inherit"
                onClick={() => {
                  dispatch(putMineOnTop(id)).then(setUnfit, () => undefined);
                }}
              >
                Put mine on top
              </Button>
              <Button color="inherit" onClick={() => void dispatch(takeTheirs(id))}>
                Take the other
              </Button>
            </>
          }
        >
          {sync.clashes.length > 0
            ? `Changed here and in another window: ${sync.clashes.join(', ')}. `
            : 'This was changed in another window meanwhile. '}
          {sync.unfit > 0 && `${sync.unfit} of your edits name what is no longer there. `}
          Your {count} made here {pending.length === 1 ? 'is' : 'are'} kept: put them on top of the other
          version, or drop them.
        </Alert>
      )}
      {sync.kind === 'offline' && (
        <Alert severity="info" variant="outlined">
          The server does not answer. Your {count} {pending.length === 1 ? 'is' : 'are'}{' '}
          {failing === null
            ? 'kept in this browser and will'
            : 'in this page alone (do not close it) and will'}{' '}
          go in by {pending.length === 1 ? 'itself' : 'themselves'}.
        </Alert>
      )}
      {sync.kind === 'outdated' && (
        <Alert severity="warning" variant="outlined">
          {sync.edits === 1 ? 'One edit' : `${sync.edits} edits`} of your last visit never reached the server,
          and this build has been brought up to date since: {sync.edits === 1 ? 'it is' : 'they are'} not in
          it. Look it over and make {sync.edits === 1 ? 'it' : 'them'} again.
        </Alert>
      )}
      {sync.kind === 'refused' && (
        <Alert
          severity="error"
          variant="outlined"
          action={
            <Button color="inherit" onClick={() => void dispatch(takeTheirs(id))}>
              Go back to the last good state
            </Button>
          }
        >
          {sync.message}
        </Alert>
      )}
      <Snackbar
        open={unfit > 0}
        autoHideDuration={8000}
        onClose={() => setUnfit(0)}
        message={`${unfit} of those edits no longer ${unfit === 1 ? 'fits' : 'fit'} what the other window left.`}
      />
    </>
  );
}
