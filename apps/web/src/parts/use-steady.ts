import { useCallback, useLayoutEffect, useRef } from 'react';

/**
 * `handler` under an identity that never changes; calls always reach the newest one. Lets a heavy child be
 * memoised although its parent makes a new handler at every drawing. Not to be called while drawing.
 */
export function useSteady<A extends readonly unknown[]>(handler: (...args: A) => void): (...args: A) => void {
  const newest = useRef(handler);
  useLayoutEffect(() => {
    newest.current = handler;
  });
  return useCallback((...args: A) => newest.current(...args), []);
}
