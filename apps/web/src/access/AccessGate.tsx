import Snackbar from '@mui/material/Snackbar';
import { useState } from 'react';
import { Outlet } from 'react-router';
import { useAppSelector } from '../app/store';
import { SignInPage } from './SignInPage';

/** Every screen, once somebody has come in. */
export function AccessGate() {
  const { role, refusals } = useAppSelector(({ access }) => access);
  const [seen, setSeen] = useState(refusals);
  if (role === null) return <SignInPage />;
  return (
    <>
      <Outlet />
      <Snackbar
        open={refusals > seen}
        autoHideDuration={6000}
        onClose={() => setSeen(refusals)}
        message="This device came in for the bench: it runs glue-ups. Plans and the shop are changed by the owner."
      />
    </>
  );
}
