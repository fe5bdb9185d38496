import { lazy, Suspense } from 'react';
import { useAppSelector } from '../app/store';

/** Read in only where somebody came in from the network. */
const SignOut = lazy(async () => ({ default: (await import('./SignOut')).SignOut }));

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
