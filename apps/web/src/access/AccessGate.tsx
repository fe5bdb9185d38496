import Snackbar from '@mui/material/Snackbar';
import { Suspense, useState } from 'react';
import { Outlet } from 'react-router';
import { useAppSelector } from '../app/store';
import { readIn } from '../parts/read-in';

/** Read in only where a passphrase is asked for. */
const SignInPage = readIn(() => import('./SignInPage').then((m) => m.SignInPage));

/** Every screen, once somebody has come in. */
export function AccessGate() {
  const { role, refusals } = useAppSelector(({ access }) => access);
  const [seen, setSeen] = useState(refusals);
  if (role === null) {
    return (
      <Suspense>
        <SignInPage />
      </Suspense>
    );
  }
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
