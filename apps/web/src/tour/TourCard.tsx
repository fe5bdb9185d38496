import { lazy, Suspense } from 'react';
import { useAppSelector } from '../app/store';

/** Read in only when somebody is shown round. */
const TourStop = lazy(async () => ({ default: (await import('./TourStop')).TourStop }));

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
