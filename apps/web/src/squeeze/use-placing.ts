import type { PanelBuild, PanelPlacing, PlacingStep, ShopDocument } from '@lean-clasp/core';
import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';
import { arranger } from '../planner/workers';
import { makeId } from '../workspace/edits';

/** Clamps being placed: how far it is, and what it came to. */
export interface Placing {
  /** Null while nothing is being placed. */
  readonly step: PlacingStep | null;
  /** What the last placing came to. */
  readonly placing: PanelPlacing | null;
  readonly failure: string | null;
  readonly start: () => void;
  readonly stop: () => void;
}

/** Places clamps off the page; `onDone` gets them once they are checked. */
export function usePlacing(
  build: PanelBuild,
  shop: ShopDocument,
  onDone: (placing: PanelPlacing) => void,
): Placing {
  const [step, setStep] = useState<PlacingStep | null>(null);
  const [placing, setPlacing] = useState<PanelPlacing | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  const wanted = useRef(0);
  // Leaving the step ends the work.
  useEffect(() => () => void (wanted.current += 1), []);
  const start = useCallback(() => {
    const own = (wanted.current += 1);
    let last: PanelPlacing | null = null;
    setStep({ stage: 'searching', placing: null, clamps: 0 });
    setFailure(null);
    const goOn = (next: PlacingStep) => {
      if (wanted.current !== own) return Promise.resolve(false);
      last = next.placing;
      setStep(next);
      return Promise.resolve(true);
    };
    arranger()
      .place(build, shop, makeId(), proxy(goOn))
      .then(
        () => {
          if (wanted.current !== own) return;
          setStep(null);
          setPlacing(last);
          if (last !== null) onDone(last);
        },
        (error: unknown) => {
          setStep(null);
          setFailure(error instanceof Error ? error.message : String(error));
        },
      );
  }, [build, shop, onDone]);
  const stop = useCallback(() => {
    wanted.current += 1;
    setStep(null);
  }, []);
  return { step, placing, failure, start, stop };
}
