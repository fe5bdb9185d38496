import { startTransition, useEffect, useState } from 'react';

/** The value that last stood still for `restMs` milliseconds; the first one at once. */
export function useRested<T>(value: T, restMs: number): T {
  const [rested, setRested] = useState(() => value);
  useEffect(() => {
    const timer = setTimeout(() => startTransition(() => setRested(() => value)), restMs);
    return () => clearTimeout(timer);
  }, [value, restMs]);
  return rested;
}
