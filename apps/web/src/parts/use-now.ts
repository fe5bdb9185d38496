import { useEffect, useState } from 'react';

const TICK_MS = 250;

/** The time of day while `running`, four times a second unless asked for less, by the wall clock unless by another. */
export function useNow(running: boolean, tickMs = TICK_MS, clock: () => number = Date.now): number {
  const [now, setNow] = useState(() => clock());
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => setNow(clock()), tickMs);
    return () => clearInterval(timer);
  }, [running, tickMs, clock]);
  return now;
}
