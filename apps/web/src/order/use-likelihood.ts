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

/**
 * Asks for the likelihood of a build, then for what would change it, until told that it is enough. What is wrong with the build, the plan
 * tells.
 */
const simulated = (
  build: BuildDocument,
  shop: ShopDocument,
  asItIs: (likelihood: Likelihood | null) => boolean,
  change: (change: LikelyChange) => boolean,
): Promise<void> =>
  arranger()
    .likelihood(
      build,
      shop,
      proxy((likelihood: Likelihood | null) => Promise.resolve(asItIs(likelihood))),
      proxy((each: LikelyChange) => Promise.resolve(change(each))),
    )
    .catch(() => undefined);

/** Simulates off the page: first the build as it is, then each change; an edit begins anew. */
export function useLikelihood(build: BuildDocument, shop: ShopDocument): LikelihoodNow {
  const [now, setNow] = useState<LikelihoodNow>({ likelihood: null, changes: [], working: true });
  useEffect(() => {
    let overtaken = false;
    const update = (next: (before: LikelihoodNow) => LikelihoodNow): boolean => {
      if (!overtaken) setNow(next);
      return !overtaken;
    };
    void simulated(
      build,
      shop,
      (likelihood) => update(() => ({ likelihood, changes: [], working: true })),
      (change) => update((before) => ({ ...before, changes: [...before.changes, change] })),
    ).then(() => update((before) => ({ ...before, working: false })));
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
    void simulated(
      build,
      shop,
      (likelihood) => {
        if (!overtaken) setLikely(likelihood);
        return false;
      },
      () => false,
    );
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  return likely;
}
