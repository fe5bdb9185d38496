import { Suspense } from 'react';
import { useAppSelector } from '../app/store';
import { readIn } from '../parts/read-in';

/** Read in only when somebody is shown round. */
const TourStop = readIn(() => import('./TourStop').then((m) => m.TourStop));

/** Where the way round has come to; nothing while nobody is shown round. */
export function TourCard() {
  const tour = useAppSelector((state) => state.tour);
  return (
    tour !== null && (
      <Suspense>
        <TourStop tour={tour} />
      </Suspense>
    )
  );
}
