import LogoutIcon from '@mui/icons-material/LogoutOutlined';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useAppDispatch, useAppSelector } from '../app/store';
import { RailButton } from '../frame/RailButton';
import { signOut } from './session';

/** Who came in from the network, and the way out. */
export function SignOut() {
  const dispatch = useAppDispatch();
  const role = useAppSelector(({ access }) => access.role);
  const [asking, setAsking] = useState(false);
  const close = () => setAsking(false);
  return (
    <>
      <RailButton label={`Signed in: ${role}. Sign out.`} onClick={() => setAsking(true)}>
        <LogoutIcon />
        {role}
      </RailButton>
      <Dialog open={asking} onClose={close} aria-labelledby="sign-out-title">
        <DialogTitle id="sign-out-title">Sign out?</DialogTitle>
        <DialogContent>
          This browser forgets the builds and lists it has seen. What the server does not have yet stays here
          and goes in when somebody signs in again.
        </DialogContent>
        <DialogActions>
          <Button onClick={close} autoFocus>
            Stay
          </Button>
          <Button
            color="error"
            onClick={() => {
              close();
              // With the server away there is nobody to sign out of; it stays as it is.
              dispatch(signOut()).catch(() => undefined);
            }}
          >
            Sign out
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
