import { startTransition, useEffect, useState } from 'react';
import { nextFrame } from './next-frame';

/** Ends when what came before has been drawn. */
let before: Promise<void> = Promise.resolve();

/**
 * Whether it is this one's turn to be drawn: of all that want to be, one comes between two frames, so that a page with much to draw still
 * answers hands. Once it has come it stays.
 */
export function useTurn(wanted: boolean): boolean {
  const [come, setCome] = useState(false);
  useEffect(() => {
    if (!wanted) return;
    let there = true;
    const mine = before;
    before = before.then(nextFrame);
    void mine.then(() => {
      if (there) startTransition(() => setCome(true));
    });
    return () => {
      there = false;
    };
  }, [wanted]);
  return come;
}
