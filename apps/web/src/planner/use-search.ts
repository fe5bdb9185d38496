import { proxy } from 'comlink';
import { useCallback, useEffect, useState } from 'react';

/** A search off the page: how far it is, and whether it goes on. */
export interface Search<S> {
  /** What it told last; null before the first of it. */
  readonly step: S | null;
  readonly working: boolean;
  readonly failure: string | null;
  readonly start: () => void;
  readonly stop: () => void;
}

/**
 * Runs a search in a worker, which tells each step until it is told that it is enough. Where what is searched changes
 * meanwhile it begins anew: an answer to an older question must not undo an edit. Leaving the step ends it.
 * @param run starts it; another one only when what is searched changes.
 * @param onDone gets the last step once it has ended by itself.
 */
export function useSearch<S>(
  run: (goOn: (step: S) => Promise<boolean>) => Promise<void>,
  onDone: (last: S) => void,
): Search<S> {
  const [step, setStep] = useState<S | null>(null);
  const [failure, setFailure] = useState<string | null>(null);
  // Which start this is; 0 while nothing is searched.
  const [asked, setAsked] = useState(0);
  useEffect(() => {
    if (asked === 0) return undefined;
    let wanted = true;
    let last: S | null = null;
    const goOn = (next: S) => {
      if (wanted) {
        last = next;
        setStep(next);
      }
      return Promise.resolve(wanted);
    };
    run(proxy(goOn)).then(
      () => {
        if (!wanted) return;
        setAsked(0);
        if (last !== null) onDone(last);
      },
      (error: unknown) => {
        if (!wanted) return;
        setAsked(0);
        setFailure(error instanceof Error ? error.message : String(error));
      },
    );
    return () => {
      wanted = false;
    };
  }, [asked, run, onDone]);
  const start = useCallback(() => {
    setStep(null);
    setFailure(null);
    setAsked((before) => before + 1);
  }, []);
  const stop = useCallback(() => setAsked(0), []);
  return { step, working: asked > 0, failure, start, stop };
}
