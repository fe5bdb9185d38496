import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Arranged } from '@lean-clasp/core/plan';
import { useCallback } from 'react';
import { useSearch } from '../planner/use-search';
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
  build: BuildDocument,
  shop: ShopDocument,
  onDone: (best: Arranged) => void,
): Arranging {
  const run = useCallback(
    (goOn: (best: Arranged) => Promise<boolean>) => arranger().arrange(build, shop, goOn),
    [build, shop],
  );
  const { step: best, working, failure, start, stop } = useSearch(run, onDone);
  const enough = useCallback(() => {
    stop();
    if (best !== null) onDone(best);
  }, [best, stop, onDone]);
  return { best, working, failure, start, enough };
}
