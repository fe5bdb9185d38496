import { useRef } from 'react';

/** Presses closer together than this are one: a double tap, a knuckle that rolls off, ms. */
const ONE_PRESS_MS = 400;

/** Does what is pressed once: not again for a key that is merely held, nor for a second tap right after the first. */
export function useOneStep(): (what: string, act: () => void, event?: Pick<KeyboardEvent, 'repeat'>) => void {
  const last = useRef({ what: '', atMs: Number.NEGATIVE_INFINITY });
  return (what, act, event) => {
    const atMs = performance.now();
    const again = last.current.what === what && atMs - last.current.atMs < ONE_PRESS_MS;
    if (event?.repeat === true || again) return;
    last.current = { what, atMs };
    act();
  };
}
