import { proxy } from 'comlink';
import { useCallback, useEffect, useRef, useState } from 'react';

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
 * Runs a search in a worker, which tells each step until it is told that it is enough.
 * @param run starts it; told anew only when what is searched changes.
 * @param onDone gets the last step once it has ended by itself.
 */
export function useSearch<S>(
  run: (goOn: (step: S) => Promise<boolean>) => Promise<void>,
  onDone: (last: S) => void,
): Search<S> {
  const [step, setStep] = useState<S | null>(null);
  const [working, setWorking] = useState(false);
  const [failure, setFailure] = useState<string | null>(null);
  const wanted = useRef(0);
  // Leaving the step ends the work.
  useEffect(() => () => void (wanted.current += 1), []);
  const start = useCallback(() => {
    const own = (wanted.current += 1);
    let last: S | null = null;
    setStep(null);
    setWorking(true);
    setFailure(null);
    const goOn = (next: S) => {
      if (wanted.current !== own) return Promise.resolve(false);
      last = next;
      setStep(next);
      return Promise.resolve(true);
    };
    run(proxy(goOn)).then(
      () => {
        if (wanted.current !== own) return;
        setWorking(false);
        if (last !== null) onDone(last);
      },
      (error: unknown) => {
        if (wanted.current !== own) return;
        setWorking(false);
        setFailure(error instanceof Error ? error.message : String(error));
      },
    );
  }, [run, onDone]);
  const stop = useCallback(() => {
    wanted.current += 1;
    setWorking(false);
  }, []);
  return { step, working, failure, start, stop };
}
