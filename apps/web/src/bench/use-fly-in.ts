import useMediaQuery from '@mui/material/useMediaQuery';
import { useEffect, useState } from 'react';

/** A closing is played in so long, after it was seen apart for a moment, ms. */
const FLIGHT_MS = 1400;
const SEEN_MS = 400;
const STEP_MS = 40;

/** How much of its way a part still has to come, from 1 to 0; at its place at once where motion is not wanted. */
export function useFlyIn(flies: boolean): number {
  const still = useMediaQuery('(prefers-reduced-motion: reduce)');
  const [left, setLeft] = useState(flies && !still ? 1 : 0);
  useEffect(() => {
    if (!flies || still) return undefined;
    const begun = performance.now();
    const timer = setInterval(() => {
      const share = Math.max(0, performance.now() - begun - SEEN_MS) / FLIGHT_MS;
      // Slower as it comes home.
      setLeft(share >= 1 ? 0 : (1 - share) ** 2);
      if (share >= 1) clearInterval(timer);
    }, STEP_MS);
    return () => clearInterval(timer);
  }, [flies, still]);
  return left;
}
