import type { LikelyChange } from '@lean-clasp/core/fixes';
import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Likelihood } from '@lean-clasp/core/plan';
import { proxy } from 'comlink';
import { useEffect, useState } from 'react';
import { arranger } from '../planner/workers';

/** A likelihood, and what is known so far of what would change it. */
export interface LikelihoodNow {
  /** Null until it is worked out, and where there is none. */
  readonly likelihood: Likelihood | null;
  readonly changes: readonly LikelyChange[];
  readonly working: boolean;
}

/** Simulates off the page: first the build as it is, then each change; an edit begins anew. */
export function useLikelihood(build: BuildDocument, shop: ShopDocument): LikelihoodNow {
  const [now, setNow] = useState<LikelihoodNow>({ likelihood: null, changes: [], working: true });
  useEffect(() => {
    let overtaken = false;
    arranger()
      .likelihood(
        build,
        shop,
        proxy((likelihood: Likelihood | null) => {
          if (!overtaken) setNow({ likelihood, changes: [], working: true });
          return Promise.resolve(!overtaken);
        }),
        proxy((change: LikelyChange) => {
          if (!overtaken) setNow((before) => ({ ...before, changes: [...before.changes, change] }));
          return Promise.resolve(!overtaken);
        }),
      )
      // What is wrong with the build, the plan tells.
      .catch(() => undefined)
      .finally(() => {
        if (!overtaken) setNow((before) => ({ ...before, working: false }));
      });
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  return now;
}

/** The likelihood alone, without what would change it; null until it is worked out. */
export function useLikely(build: BuildDocument, shop: ShopDocument): Likelihood | null {
  const [likely, setLikely] = useState<Likelihood | null>(null);
  useEffect(() => {
    let overtaken = false;
    arranger()
      .likelihood(
        build,
        shop,
        proxy((likelihood: Likelihood | null) => {
          if (!overtaken) setLikely(likelihood);
          return Promise.resolve(false);
        }),
        proxy(() => Promise.resolve(false)),
      )
      // What is wrong with the build, the plan tells.
      .catch(() => undefined);
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  return likely;
}
