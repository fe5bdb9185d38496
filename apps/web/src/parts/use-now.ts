import { useEffect, useState } from 'react';

const TICK_MS = 250;

/** The time of day while `running`, four times a second unless asked for less. */
export function useNow(running: boolean, tickMs = TICK_MS): number {
  const [now, setNow] = useState(() => Date.now());
  useEffect(() => {
    if (!running) return undefined;
    const timer = setInterval(() => setNow(Date.now()), tickMs);
    return () => clearInterval(timer);
  }, [running, tickMs]);
  return now;
}
