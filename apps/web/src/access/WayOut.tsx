import { Suspense } from 'react';
import { useAppSelector } from '../app/store';
import { readIn } from '../parts/read-in';

/** Read in only where somebody came in from the network. */
const SignOut = readIn(() => import('./SignOut').then((m) => m.SignOut));

/** Who came in from the network, and the way out; nothing at the machine itself. */
export function WayOut() {
  const here = useAppSelector(({ access }) => access.here);
  return (
    !here && (
      <Suspense>
        <SignOut />
      </Suspense>
    )
  );
}
