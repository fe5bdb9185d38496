import type { BuildDocument, ShopDocument } from '@lean-clasp/core/formats';
import type { Aspect, Verdict } from '@lean-clasp/core/verdicts';
import { useEffect, useState } from 'react';
import { askSettled } from './workers';

/** The verdicts on a build that is not open, worked out off the page; null until they are there. */
export function useVerdictsOf(
  build: BuildDocument,
  shop: ShopDocument,
): Readonly<Record<Aspect, Verdict>> | null {
  const [verdicts, setVerdicts] = useState<Readonly<Record<Aspect, Verdict>> | null>(null);
  useEffect(() => {
    let overtaken = false;
    askSettled(build, shop).then(
      (plan) => {
        if (!overtaken) setVerdicts(plan.verdicts);
      },
      // A build that cannot be planned says so when it is opened.
      () => undefined,
    );
    return () => {
      overtaken = true;
    };
  }, [build, shop]);
  return verdicts;
}
