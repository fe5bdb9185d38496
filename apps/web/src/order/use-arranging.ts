import type { Arranged, AssemblyBuild, ShopDocument } from '@lean-clasp/core';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { arranger } from '../planner/workers';

/** Sessions being worked out: the best so far, and whether the work goes on. */
export interface Arranging {
  readonly best: Arranged | null;
  readonly working: boolean;
  readonly failure: string | null;
  readonly start: () => void;
  /** Takes the best so far. */
  readonly enough: () => void;
}

/** Works out sessions off the page; `onDone` gets the best found, also when the person has had enough. */
export function useArranging(
  build: AssemblyBuild,
  shop: ShopDocument,
  onDone: (best: Arranged) => void,
): Arranging {
  const [best, setBest] = useState<Arranged | null>(null);
  const [working, setWorking] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const wanted = useRef(0);
  // Leaving the step ends the work.
  useEffect(() => () => void (wanted.current += 1), []);
  const start = useCallback(() => {
    const own = (wanted.current += 1);
    let last: Arranged | null = null;
    setWorking(true);
    setFailure(null);
    const goOn = (next: Arranged) => {
      if (wanted.current !== own) return Promise.resolve(false);
      last = next;
      setBest(next);
      return Promise.resolve(true);
    };
    arranger()
      .arrange(build, shop, proxy(goOn))
      .then(
        () => {
          if (wanted.current !== own) return;
          setWorking(false);
          if (last !== null) onDone(last);
        },
        (error: unknown) => {
          setWorking(false);
          setFailure(error instanceof Error ? error.message : String(error));
        },
      );
  }, [build, shop, onDone]);
  const enough = useCallback(() => {
    wanted.current += 1;
    setWorking(false);
    if (best !== null) onDone(best);
  }, [best, onDone]);
  return { best, working, failure, start, enough };
}
